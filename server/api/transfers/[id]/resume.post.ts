import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { resumeTransfer } from '../../../services/transfer'

export default route({ params: idParams, handle: ({ database, owner, params }) => resumeTransfer(database, owner, params.id) })
