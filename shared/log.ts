import type { SessionSport } from '../core/session/document'
import type { Listed, LogRow } from './api'

/** What the routes about what was done take and give. */

/** What of the log is asked for; fields that are not there ask for nothing. */
export interface LogQuery {
  /** Words of its title, its note, or the session it was. */
  words?: string
  sport?: SessionSport
  /** Days in the zone it was done in, both included. */
  from?: string
  to?: string
  /** A session of the family. */
  family?: string
  held?: 'well' | 'badly' | 'unplanned'
  /** Metres, or seconds, at least and at most. */
  metresFrom?: number
  metresTo?: number
  secondsFrom?: number
  secondsTo?: number
  /** Where it was, as sessions say it: pool, track, trainer, treadmill, open-water. */
  place?: string
}

/** A page of what was done, with what all of it comes to and the months in which there is any. */
export interface FoundRecordings extends Listed<LogRow> {
  seconds: number
  metres: number
  months: { month: string; count: number }[]
}

/** What became of a recording that came in a file. */
export interface TakenIn {
  id: string
  title: string
  digest: string
  /** It was in the log before, the same to the last sample. */
  isKnown: boolean
  /** The recording of another device that holds the same; this one is put aside. */
  copyOf: { id: string; title: string } | null
}
