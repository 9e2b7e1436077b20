import { number, object } from 'yup'
import { listRecordings } from '../../services/log-list'
import { logQuery } from '../../services/log-query'
import { route } from '../../services/route'

export default route({
  query: object({
    limit: number().integer().min(1).max(200).default(100),
    offset: number().integer().min(0).max(1_000_000).default(0),
    ...logQuery,
  }),
  handle: ({ transaction, query: { limit, offset, ...query } }) => transaction(tx => listRecordings(tx, query, limit, offset)),
})
