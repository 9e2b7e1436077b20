import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { cancelSending } from '../../../services/transfer'

export default route({ params: idParams, handle: ({ database, owner, params }) => cancelSending(database, owner, params.id) })
