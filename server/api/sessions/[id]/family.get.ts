import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { listFamily } from '../../../services/shelf'

export default route({ params: idParams, handle: ({ transaction, params }) => transaction(tx => listFamily(tx, params.id)) })
