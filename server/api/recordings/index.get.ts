import { number, object, string } from 'yup'
import { sessionSports } from '../../../core/session/document'
import { listRecordings } from '../../services/log-list'
import { route } from '../../services/route'
import { day } from '../../services/shapes'

const metres = () => number().min(0).max(10_000_000)
const seconds = () => number().min(0).max(604_800)

export default route({
  query: object({
    limit: number().integer().min(1).max(200).default(100),
    offset: number().integer().min(0).max(1_000_000).default(0),
    words: string().max(200),
    sport: string().oneOf(sessionSports),
    from: day(),
    to: day(),
    family: string().uuid('is not an id'),
    held: string().oneOf(['well', 'badly', 'unplanned'] as const),
    place: string().oneOf(['pool', 'track', 'trainer', 'treadmill', 'open-water'] as const),
    metresFrom: metres(),
    metresTo: metres(),
    secondsFrom: seconds(),
    secondsTo: seconds(),
  }),
  handle: ({ transaction, query: { limit, offset, ...query } }) => transaction(tx => listRecordings(tx, query, limit, offset)),
})
