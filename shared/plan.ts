import type { Cord } from '../core/reckon/cord'
import type { Interval } from '../core/reckon/interval'
import type { SheetRow } from '../core/reckon/sheet'
import type { Sport } from '../core/session/document'
import type { Burden } from '../core/plan/burden'
import type { PlanKind } from '../core/plan/entry'
import type { CalendarTimes } from '../core/plan/times'
import type { ProgressWay } from '../core/plan/progress'
import type { DayAhead } from '../core/wrist/link/routine'
import type { NamingSchool, PushAct, PushingSchool } from '../core/wrist/link/schools'

/** What the routes about the plan, and the first screen, take and give. */

/** One thing on one day of the plan; `title` is a session's, or what was written there. */
export interface PlanRow {
  id: string
  day: string
  at: number
  kind: PlanKind
  sessionId: string | null
  title: string
  sport: string | null
  name: string | null
  minutes: number | null
  effort: number | null
  filled: boolean
  seconds: number | null
  metres: number | null
  cord: Cord | null
  burden: Burden | null
}

/** What a message with days has become: titles of what it put there anew, changed, moved, took off, and left as it was. */
export interface FilledWeek {
  rows: PlanRow[]
  added: string[]
  changed: string[]
  moved: string[]
  gone: string[]
  same: string[]
}

/** One session that was done, on its day in the zone it was done in. */
export interface DoneRow {
  id: string
  day: string
  startedAt: string
  title: string
  sport: string
  sessionId: string | null
  seconds: number
  metres: number | null
  held: number | null
  rpe: number | null
  cord: Cord | null
  burden: Burden | null
}

/** Some days with all that is on them, and what was dismissed about them. */
export interface PlanSpan {
  today: string
  entries: PlanRow[]
  done: DoneRow[]
  dismissed: string[]
  /** The last edit of the plan that can be taken back, in words. */
  undo: { number: number; said: string } | null
}

/** An edit of the plan, as a screen asks for it. */
export type PlanAsk =
  | { do: 'put'; day: string; kind: PlanKind; session?: string; name?: string; minutes?: number; effort?: number; sport?: Sport }
  | { do: 'change'; id: string; name: string | null; minutes: number | null; effort: number | null }
  | { do: 'move'; id: string; day: string; at?: number; was: { day: string } }
  | { do: 'off'; ids: string[] }
  | { do: 'copy'; from: string; days: number; to: string; way?: ProgressWay }
  | { do: 'lay'; on: { day: string; session: string }[] }
  | { do: 'swap'; one: string; other: string }
  | { do: 'shift'; from: string; by: number }
  | { do: 'clear'; from: string; days: number }

/** A session of today with its rows, as they come one after the other. */
export interface TodaySession {
  entry: PlanRow
  rows: Pick<SheetRow, 'path' | 'depth' | 'kind' | 'words' | 'startsAt' | 'comesTo'>[]
  seconds: Interval
  metres: Interval
  used: Interval | null
  isDone: boolean
  /** The watches that hold it, by the last receipt. */
  watches: string[]
}

/** Something that waits for the athlete, as a code with what it is about. */
export type Decision =
  | { code: 'doubt'; sessionId: string; title: string; day: string }
  | { code: 'no-plan'; recordingId: string; title: string; day: string }
  | { code: 'old-marks'; sport: Sport; day: string }
  | { code: 'balance'; message: string; source: string; key: string; kind: string; fix: { id: string; title: string; day: string } | null }
  | { code: 'push'; watchId: string; watch: string; refused: RefusedPush[]; triedAt: string }
  | { code: 'stopped'; watch: string; title: string; problem: string }
  | { code: 'demo'; weeks: number }

/** What the first screen shows. */
export interface TodayPicture {
  today: string
  /** Nothing was ever written, planned or done here. */
  isEmpty: boolean
  sessions: TodaySession[]
  others: PlanRow[]
  /** The coming sessions, tomorrow's first. */
  next: PlanRow[]
  week: { from: string; entries: PlanRow[]; done: DoneRow[] }
  last: DoneRow | null
  decisions: Decision[]
  races: { name: string; day: string }[]
  undo: PlanSpan['undo']
}

/** An address by which another calendar reads the plan. */
export interface CalendarFeed {
  id: string
  name: string
  /** Null for entries of the whole day. */
  times: CalendarTimes | null
  /** Minutes before that it rings; null for never. */
  alarm: number | null
  madeAt: string
  readAt: string | null
}

/** What became of the events of another calendar, in numbers; `sessions` of those added were found on the shelf. */
export interface TakenCalendar {
  added: number
  sessions: number
  moved: number
  changed: number
  gone: number
  same: number
  over: number
}

/** A session that a shape of weeks proposes, as it is drawn and weighs. */
export interface LaidSession {
  cord: Cord | null
  load: number | null
}

/** What stood in the way of a push that was done by itself. */
export type RefusedPush = Extract<PushAct, { do: 'wait' | 'ask' }> | { do: 'fault'; problem: string }

/** What is done at a watch by itself. */
export interface PushRoutine {
  /** Minutes after midnight by the athlete's clock; null where they push by hand. */
  hour: number | null
  pushAt: string | null
  clearAt: string | null
  triedAt: string | null
  refused: RefusedPush[]
}

/** What pushing will do to a watch on the coming days. */
export interface PushAhead {
  watchId: string
  watch: string
  routine: PushRoutine
  naming: NamingSchool
  pushing: PushingSchool
  days: DayAhead[]
  /** By what the watch said just now; else by its last receipts. */
  isSeen: boolean
}
