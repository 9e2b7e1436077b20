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

function byLine<One extends { line: number }>(all: readonly One[]): Map<number, One[]> {
  const lines = new Map<number, One[]>()
  for (const one of all) {
    const known = lines.get(one.line)
    if (known) known.push(one)
    else lines.set(one.line, [one])
  }
  return lines
}

/** The session each line belongs to by its own rows. */
function sessionOfLines(count: number, result: ReadResult): (number | undefined)[] {
  const own = Array.from<number | undefined>({ length: count + 1 })
  result.places.forEach((places, session) => {
    for (const place of places.values()) own[place.line] = session
  })
  return own
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
  const lines = text.split(/\r\n|\n|\r/)
  const own = sessionOfLines(lines.length, result)
  const stretches = byLine(coverText(text, result))
  const remarks = byLine(result.remarks)
  const headings = lines.map((_, index) => (remarks.get(index + 1) ?? []).some(remark => remark.code === 'day'))

  /** The session whose note holds the words of a line: of its own day, where that has rows; the first one's before any day. */
  function noteHolder(line: number): number | undefined {
    let from = line
    while (from > 1 && !headings[from - 1]) from--
    const isBeforeAnyDay = !headings[from - 1]
    for (let at = from; at <= lines.length; at++) {
      if (at > line && headings[at - 1] && !isBeforeAnyDay) return undefined
      if (own[at] !== undefined) return own[at]
    }
    return undefined
  }

  const isOnlySigns = (line: number) => (stretches.get(line) ?? []).every(stretch => stretch.kind === 'separator')

  function outcomeOf(line: number): Known {
    const said = remarks.get(line) ?? []
    const leftOver = (stretches.get(line) ?? []).filter(stretch => stretch.kind === 'left-over').map(stretch => stretch.text.trim())
    const session = own[line]
    if (said.some(remark => remark.level === 'error')) return { outcome: 'unread', session, leftOver }
    if (session !== undefined) return { outcome: 'session', session, leftOver }
    if (said.some(remark => remark.code === 'day-off')) return { outcome: 'rest-day', leftOver: [] }
    if (leftOver.length === 0) return { outcome: isOnlySigns(line) ? 'signs' : 'heading', leftOver }
    const holder = noteHolder(line)
    return holder === undefined ? { outcome: 'not-kept', leftOver } : { outcome: 'note', session: holder, leftOver }
  }

  return lines.flatMap((words, index) => (words.trim() === '' ? [] : [{ line: index + 1, text: words.trim(), ...outcomeOf(index + 1) }]))
}
