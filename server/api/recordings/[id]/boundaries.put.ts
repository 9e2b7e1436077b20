import { array, number, object, string } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { setBoundaries } from '../../../services/step-boundaries'

/** Where steps began, as the athlete says; an empty list is what was found. */
export default route({
  params: idParams,
  body: object({
    boundaries: array(
      object({
        path: string().max(40).required(),
        round: array(number().integer().min(1).max(1_000_000).required()).max(6).required(),
        startsAt: number().min(0).max(604_800).required(),
      }),
    )
      .max(5000)
      .required(),
  }),
  handle: ({ transaction, params, body }) => transaction(tx => setBoundaries(tx, params.id, body.boundaries)),
})
