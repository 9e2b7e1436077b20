import { restoreRecording } from '../../../services/recording'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  async handle({ transaction, params }) {
    await transaction(tx => restoreRecording(tx, params.id))
    return { restored: params.id }
  },
})
