import type { Item } from '../../session/document'
import type { Line, State } from './state'
import { addRemark, wordsOf } from './state'

/** A line that nobody could read, kept as it was, and why. */
export function unreadLine(state: State, line: Line, code: string, why: string): Item {
  const text = line.raw.trim().slice(0, 4000).trim()
  addRemark(state, line, { ...wordsOf(line.raw), level: 'error', code, readAs: why, fixes: [] })
  return { kind: 'unread', text }
}
