import { object, string } from 'yup'
import { route } from '../../services/route'
import { idParams } from '../../services/shapes'
import { movePlanned } from '../../services/week'

export default route({
  params: idParams,
  body: object({
    day: string()
      .matches(/^\d{4}-\d{2}-\d{2}$/, 'is not a date')
      .required(),
  }),
  async handle({ transaction, params, body }) {
    await transaction(tx => movePlanned(tx, params.id, body.day))
    return { id: params.id, day: body.day }
  },
})
