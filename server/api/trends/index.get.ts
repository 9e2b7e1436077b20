import { object, string } from 'yup'
import { sportNames } from '../../../core/session/sports'
import type { Sport } from '../../../core/session/document'
import { route } from '../../services/route'
import { trendsOf } from '../../services/trends'

export default route({
  query: object({ sport: string<Sport>().oneOf(sportNames).default('run') }),
  handle: ({ transaction, query }) => transaction(tx => trendsOf(tx, query.sport)),
})
