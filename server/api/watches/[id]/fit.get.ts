import { object, string } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { previewFit } from '../../../services/transfer'

export default route({
  params: idParams,
  query: object({ session: string().uuid('is not an id').required() }),
  async handle({ transaction, params, query }) {
    const { losses, fits, program } = await transaction(tx => previewFit(tx, params.id, query.session))
    return { losses, fits, program }
  },
})
