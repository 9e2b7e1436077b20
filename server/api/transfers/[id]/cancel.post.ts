import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { callOff } from '../../../services/transfer'

export default route({ params: idParams, handle: ({ database, owner, params }) => callOff(database, owner, params.id) })
