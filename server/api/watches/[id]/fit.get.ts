import { object, string } from 'yup'
import { previewFit } from '../../../services/fit'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  query: object({ session: string().uuid('is not an id').required() }),
  handle: ({ transaction, params, query }) => transaction(tx => previewFit(tx, params.id, query.session)),
})
