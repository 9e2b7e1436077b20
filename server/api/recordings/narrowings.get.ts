import { object } from 'yup'
import { logNarrowings } from '../../services/log-list'
import { logQuery } from '../../services/log-query'
import { route } from '../../services/route'

export default route({ query: object(logQuery), handle: ({ transaction, query }) => transaction(tx => logNarrowings(tx, query)) })
