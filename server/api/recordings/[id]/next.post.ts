import { object, string } from 'yup'
import { takeNext } from '../../../services/next'
import { route } from '../../../services/route'
import { day, idParams } from '../../../services/shapes'

/** Puts what comes next after a recording on a day. */
export default route({
  params: idParams,
  body: object({
    kind: string()
      .oneOf(['progress', 'repeat', 'ease', 'rest'] as const)
      .required(),
    day: day().required(),
  }),
  handle: ({ transaction, params, body }) => transaction(tx => takeNext(tx, params.id, body.kind, body.day)),
})
