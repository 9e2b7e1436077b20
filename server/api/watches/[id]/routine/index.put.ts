import { object } from 'yup'
import { route } from '../../../../services/route'
import { setHour } from '../../../../services/routine'
import { clock, idParams } from '../../../../services/shapes'

/** The hour at which a watch is pushed by itself, in minutes after midnight by the athlete's clock; null for by hand. */
export default route({
  params: idParams,
  body: object({ hour: clock().nullable().defined() }),
  handle: ({ transaction, params, body }) => transaction(tx => setHour(tx, params.id, body.hour)),
})
