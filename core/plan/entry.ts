import type { Sport } from '../session/document'

/** What a day holds beside sessions: other work, words, a day of rest, a day that cannot be used, a race. */
export type PlanKind = 'session' | 'work' | 'note' | 'rest' | 'blocked' | 'race'
export const planKinds: readonly PlanKind[] = ['session', 'work', 'note', 'rest', 'blocked', 'race']

/** One thing on one day of the plan. */
export interface PlanEntry {
  id: string
  /** ISO date, floating: the athlete's own day wherever they are. */
  day: string
  /** Its place among those of its day, from 0. */
  at: number
  kind: PlanKind
  /** The session on the shelf, for kind `session`; null for all else. */
  session: string | null
  /** What is written there: a note, the name of other work, of a race; null for a session, which has its title. */
  name: string | null
  /** How long other work is; null where that is not said. */
  minutes: number | null
  /** How hard other work is, 0 to 10; null where that is not said, and then it has no load. */
  effort: number | null
  /** The sport of a race; null for all else. */
  sport: Sport | null
  /** Put there by a message: when it comes again, corrected, it is changed with it. */
  filled: boolean
}

/** Why an entry cannot be kept, as a code; null where it can. */
export type EntryFault = 'no-session' | 'session-beside' | 'no-name' | 'long-name' | 'minutes' | 'effort'

const longestName = 500
const mostMinutes = 48 * 60

/**
 * What is wrong with an entry of the plan.
 *
 * @returns a code, or null where nothing is: a session has one of the shelf and no words, all else has words where they are what it is
 */
export function faultOf(entry: Omit<PlanEntry, 'id' | 'day' | 'at'>): EntryFault | null {
  const { kind, session, name, minutes, effort } = entry
  if (kind === 'session') return session === null ? 'no-session' : null
  if (session !== null) return 'session-beside'
  if ((name ?? '').trim() === '' && kind !== 'rest' && kind !== 'blocked') return 'no-name'
  if ((name ?? '').length > longestName) return 'long-name'
  if (minutes !== null && !(minutes > 0 && minutes <= mostMinutes)) return 'minutes'
  if (effort !== null && !(effort >= 0 && effort <= 10)) return 'effort'
  return null
}

/** Entries in the order of their days, and within a day in the order that the athlete gave them. */
export const inOrder = (entries: Iterable<PlanEntry>): PlanEntry[] =>
  [...entries].sort((one, other) => one.day.localeCompare(other.day) || one.at - other.at || one.id.localeCompare(other.id))

/** What is on a day, in its order. */
export const onDay = (entries: Iterable<PlanEntry>, day: string): PlanEntry[] => inOrder([...entries].filter(entry => entry.day === day))
