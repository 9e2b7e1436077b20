import { number, object } from 'yup'
import { route } from '../../../services/route'
import { listRevisions } from '../../../services/session'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  query: object({ before: number().integer().min(1).default(2_147_483_647) }),
  handle: ({ transaction, params, query }) => transaction(tx => listRevisions(tx, params.id, query.before)),
})
