import { collectRecordings } from '../../../services/collect'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  handle: async ({ database, owner, params }) => ({ recordings: await collectRecordings(database, owner, params.id) }),
})
