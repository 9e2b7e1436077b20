import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { followTransfer } from '../../../services/transfer'

export default route({ params: idParams, handle: ({ transaction, params }) => transaction(tx => followTransfer(tx, params.id)) })
