import { route } from '../../services/route'
import { removeSession } from '../../services/session'
import { idParams } from '../../services/shapes'

export default route({
  params: idParams,
  async handle({ transaction, params }) {
    await transaction(tx => removeSession(tx, params.id))
    return { removed: params.id }
  },
})
