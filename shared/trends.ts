import type { Habits } from '../core/trends/habits'
import type { MarkProposal } from '../core/trends/mark-proposals'
import type { Sport } from '../core/session/document'

/** What the routes about what moves give and take. */

/** The best over one length or time, and when it was. */
export interface BestRow {
  metres: number | null
  seconds: number
  /** m/s, or W. */
  value: number
  day: string
  id: string
  title: string
  /** The best of the last ninety days, where that is another. */
  lately: { value: number; seconds: number; day: string; id: string } | null
}

/** A mark that training speaks for, with what it would change of what is planned in the next seven days. */
export interface ProposedMark extends MarkProposal {
  changes: { title: string; day: string; was: string; becomes: string }[]
}

/** One session of a family that was carried out, with its rows. */
export interface FamilyDone {
  id: string
  day: string
  title: string
  rpe: number | null
  held: number | null
  rows: { path: string; of: 'speed' | 'power'; mean: number; heartRate: number | null; rounds: number }[]
}

export interface FamilyTrend {
  family: string
  /** The words of each row, by its path. */
  words: Record<string, string>
  done: FamilyDone[]
}

/** What some weeks came to. */
export interface PeriodSum {
  /** The first day. */
  from: string
  count: number
  seconds: number
  metres: number
  /** Effort times minutes; null where nothing was felt. */
  load: number | null
}

export interface Trends {
  sport: Sport
  /** Recordings that have not been read yet; asked again, more are. */
  unread: number
  bests: BestRow[]
  proposals: ProposedMark[]
  families: { family: string; title: string; count: number }[]
  habits: Habits
  weeks: PeriodSum[]
}

export type MarkAnswer = 'yes' | 'no' | 'later'
