import { number, string } from 'yup'
import { sessionSports } from '../../core/session/document'
import { day } from './shapes'

const metres = () => number().min(0).max(10_000_000)
const seconds = () => number().min(0).max(604_800)

/** What of the log is asked for, as an address tells it. */
export const logQuery = {
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
}
