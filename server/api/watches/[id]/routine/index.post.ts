import { route } from '../../../../services/route'
import { routineNow } from '../../../../services/routine'
import { idParams } from '../../../../services/shapes'

/** Pushes now, as at the athlete's hour. */
export default route({
  params: idParams,
  async handle({ database, owner, params }) {
    await routineNow(database, owner, params.id)
    return { begun: params.id }
  },
})
