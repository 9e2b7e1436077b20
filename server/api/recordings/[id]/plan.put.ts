import { object, string } from 'yup'
import { setPlanOf } from '../../../services/plan-of'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

/** Which session a recording of another device was; null for none. */
export default route({
  params: idParams,
  body: object({ session: string().uuid('is not an id').nullable().defined() }),
  handle: ({ transaction, params, body }) => transaction(tx => setPlanOf(tx, params.id, body.session)),
})
