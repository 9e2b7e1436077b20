import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { forgetWatch } from '../../../services/watch'

export default route({
  params: idParams,
  async handle({ transaction, params }) {
    await transaction(tx => forgetWatch(tx, params.id))
    return { forgotten: params.id }
  },
})
