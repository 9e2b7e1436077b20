import { route } from '../../../services/route'
import { aheadOf } from '../../../services/routine'
import { idParams } from '../../../services/shapes'

/** What pushing will do to a watch on the coming days. */
export default route({ params: idParams, handle: ({ database, owner, params }) => aheadOf(database, owner, params.id) })
