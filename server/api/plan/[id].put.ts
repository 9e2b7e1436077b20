import { object } from 'yup'
import { movePlanned } from '../../services/plan'
import { route } from '../../services/route'
import { day, idParams } from '../../services/shapes'

export default route({
  params: idParams,
  body: object({ day: day().required() }),
  async handle({ transaction, params, body }) {
    await transaction(tx => movePlanned(tx, params.id, body.day))
    return { id: params.id, day: body.day }
  },
})
