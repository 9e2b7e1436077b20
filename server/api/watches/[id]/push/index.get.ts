import { dryRun } from '../../../../services/push'
import { route } from '../../../../services/route'
import { idParams } from '../../../../services/shapes'

export default route({ params: idParams, handle: ({ database, owner, params }) => dryRun(database, owner, params.id) })
