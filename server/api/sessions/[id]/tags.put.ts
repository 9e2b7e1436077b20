import { tagsShape } from '../../../../shared/forms'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { tagSession } from '../../../services/shelf'

export default route({
  params: idParams,
  body: tagsShape,
  handle: async ({ transaction, params, body }) => ({ tags: await transaction(tx => tagSession(tx, params.id, body.tags)) }),
})
