import { object, string } from 'yup'
import { fitSession } from '../../../services/fit'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  query: object({ session: string().uuid('is not an id').required() }),
  async handle({ transaction, params, query }) {
    const { losses, fits, program, here } = await transaction(tx => fitSession(tx, params.id, query.session))
    return { losses, fits, program, here }
  },
})
