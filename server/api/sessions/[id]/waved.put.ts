import { array, object, string } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { waveOff } from '../../../services/shelf'

export default route({
  params: idParams,
  body: object({ waved: array(string().max(1000).required()).max(200).required() }),
  async handle({ transaction, params, body }) {
    await transaction(tx => waveOff(tx, params.id, body.waved))
    return { waved: body.waved }
  },
})
