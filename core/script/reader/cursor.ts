import type { Line } from './state'

/** A line of a note. */
export const notePattern = /^\s*#(?: (.*)|)$/s

/** The lines of a session, and which comes next. */
export interface Cursor {
  lines: Line[]
  at: number
}

/** Whether rows stand below a line that are indented further. */
export const hasRowsBelow = ({ lines, at }: Cursor, { indent }: Line) =>
  (lines.slice(at).find(line => line.raw.trim() !== '' && !notePattern.test(line.raw))?.indent ?? 0) > indent
