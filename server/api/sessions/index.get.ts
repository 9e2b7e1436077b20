import { number, object, string } from 'yup'
import { route } from '../../services/route'
import { listSessions } from '../../services/shelf'

export default route({
  query: object({
    search: string().max(200),
    sort: string()
      .oneOf(['newest', 'title', 'shortest', 'longest'] as const)
      .default('newest'),
    limit: number().integer().min(1).max(200).default(100),
    offset: number().integer().min(0).max(1_000_000).default(0),
  }),
  handle: ({ transaction, query }) => transaction(tx => listSessions(tx, query)),
})
