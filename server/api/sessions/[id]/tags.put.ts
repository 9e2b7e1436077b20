import { array, object, string } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { tagSession } from '../../../services/shelf'

export default route({
  params: idParams,
  body: object({ tags: array(string().max(40).required()).max(20).required() }),
  handle: async ({ transaction, params, body }) => ({ tags: await transaction(tx => tagSession(tx, params.id, body.tags)) }),
})
