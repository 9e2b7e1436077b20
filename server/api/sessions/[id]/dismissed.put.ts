import { array, object, string } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { dismiss } from '../../../services/shelf'

export default route({
  params: idParams,
  body: object({ dismissed: array(string().max(1000).required()).max(200).required() }),
  async handle({ transaction, params, body }) {
    await transaction(tx => dismiss(tx, params.id, body.dismissed))
    return { dismissed: body.dismissed }
  },
})
