import type { StepBoundary } from '../core/record/boundaries'
import type { Recording } from '../core/record/recording'
import type { Score } from '../core/record/score'
import type { Cord } from '../core/reckon/cord'
import type { Session, SessionSport } from '../core/session/document'
import type { Program } from '../core/wrist/program/program'
import type { Listed } from './api'

/** What the routes about what was done take and give. */

export interface LogRow {
  id: string
  title: string
  sport: SessionSport
  startedAt: string
  seconds: number
  metres: number | null
  held: number | null
  done: number | null
  planned: number | null
  rpe: number | null
  cord: Cord | null
}

/** A recording of another device that was put aside. */
export interface CopyAside {
  id: string
  /** The file it came in, or the sport. */
  name: string
  startedAt: string
}

export interface LoggedRecording {
  id: string
  title: string
  sessionId: string | null
  recording: Recording
  program: Program | null
  /** The program was changed on the watch after it was sent. */
  changedThere: boolean
  score: Score | null
  /** The session as it was when it was sent. */
  session: Session | null
  /** Hours slept before it. */
  slept: number | null
  /** Where the athlete says that steps began. */
  boundaries: StepBoundary[]
  /** The name of the file it came in. */
  original: string | null
  /** Other devices' recordings of the same, put aside. */
  copies: CopyAside[]
}

export type Felt = NonNullable<Recording['felt']>

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

/** A page of what was done, with what all of it comes to. */
export interface FoundRecordings extends Listed<LogRow> {
  seconds: number
  metres: number
}

/** What the log can be narrowed to: the months in which there is any of what is asked for, and the families done most often. */
export interface LogNarrowings {
  months: { month: string; count: number }[]
  /** By the title each was last done under. */
  families: { family: string; title: string; count: number }[]
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
