import { groupBy } from '../../quantity/group'
import { linesOf } from '../lines'
import { coverText } from './coverage'
import type { ReadResult } from './read-script'

export type LineOutcome = 'session' | 'rest-day' | 'heading' | 'signs' | 'note' | 'not-kept' | 'unread'

/** One line of a message, and what becomes of it when its sessions are kept. */
export interface AccountedLine {
  /** 1-based. */
  line: number
  text: string
  outcome: LineOutcome
  /** The session it belongs to, counted from 0; none where its words go to no session. */
  session?: number
  /** Words of it that became no row, though the line did. */
  leftOver: string[]
}

type Known = Omit<AccountedLine, 'line' | 'text'>

/** The session each line belongs to by its own rows. */
function sessionOfLines(count: number, result: ReadResult): (number | undefined)[] {
  const own = Array.from<number | undefined>({ length: count + 1 })
  result.places.forEach((places, session) => {
    for (const place of places.values()) own[place.line] = session
  })
  return own
}

/** The session whose note holds the words of a line: of its own day, where that has rows; before any day, the first. */
function noteHolders(own: readonly (number | undefined)[], isHeading: (line: number) => boolean): (number | undefined)[] {
  const firstOfDay: (number | undefined)[] = []
  let next: number | undefined
  for (let line = own.length - 1; line > 0; line--) {
    next = own[line] ?? next
    firstOfDay[line] = next
    if (isHeading(line)) next = undefined
  }
  let holder = own.find(session => session !== undefined)
  return own.map((_, line) => (isHeading(line) ? (holder = firstOfDay[line]) : holder))
}

/**
 * What becomes of every line of a message that is kept session by session, as a week is: nothing may vanish unsaid.
 * A session without a row is not kept, nor are the words of its day.
 *
 * Law: every line that is not blank is accounted for once, in its order.
 *
 * @param text the message that was read
 * @param result what `readScript` made of the same text
 */
export function accountForLines(text: string, result: ReadResult): AccountedLine[] {
  const lines = linesOf(text)
  const own = sessionOfLines(lines.length, result)
  const stretches = groupBy(coverText(text, result), stretch => stretch.line)
  const remarks = groupBy(result.remarks, remark => remark.line)
  const holders = noteHolders(own, line => remarks.get(line)?.some(remark => remark.code === 'day') === true)
  const isOnlySigns = (line: number) => (stretches.get(line) ?? []).every(stretch => stretch.kind === 'separator')

  function outcomeOf(line: number): Known {
    const said = remarks.get(line) ?? []
    const leftOver = (stretches.get(line) ?? []).filter(stretch => stretch.kind === 'left-over').map(stretch => stretch.text.trim())
    const session = own[line]
    if (said.some(remark => remark.level === 'error')) return { outcome: 'unread', session, leftOver }
    if (session !== undefined) return { outcome: 'session', session, leftOver }
    if (said.some(remark => remark.code === 'day-off')) return { outcome: 'rest-day', leftOver: [] }
    if (leftOver.length === 0) return { outcome: isOnlySigns(line) ? 'signs' : 'heading', leftOver }
    const holder = holders[line]
    return holder === undefined ? { outcome: 'not-kept', leftOver } : { outcome: 'note', session: holder, leftOver }
  }

  return lines.flatMap((words, index) => (words.trim() === '' ? [] : [{ line: index + 1, text: words.trim(), ...outcomeOf(index + 1) }]))
}

/** The days that a message says are without a session, ISO dates in their order; those without a date are left out. */
export function restDaysOf({ remarks }: Pick<ReadResult, 'remarks'>): string[] {
  let day: string | null = null
  const days = new Set<string>()
  for (const { code, readAs } of [...remarks].sort((one, other) => one.line - other.line || one.column - other.column)) {
    if (code === 'day' || code === 'date') day = /\d{4}-\d{2}-\d{2}/.exec(readAs)?.[0] ?? null
    if (code === 'day-off' && day !== null) days.add(day)
  }
  return [...days].sort()
}
