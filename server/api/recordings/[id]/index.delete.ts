import { removeRecording } from '../../../services/recording'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  async handle({ transaction, params }) {
    await transaction(tx => removeRecording(tx, params.id))
    return { removed: params.id }
  },
})
