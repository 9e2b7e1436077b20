import { object, string } from 'yup'
import { route } from '../../services/route'
import { familyTrend } from '../../services/trends'

export default route({
  query: object({ id: string().uuid('is not an id').required() }),
  handle: ({ transaction, query }) => transaction(tx => familyTrend(tx, query.id)),
})
