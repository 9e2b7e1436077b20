import { endFeed } from '../../../services/calendar'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  async handle({ transaction, params }) {
    await transaction(tx => endFeed(tx, params.id))
    return { ended: params.id }
  },
})
