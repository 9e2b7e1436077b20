import type { Remark } from './remark'

/** The text with the stretch of a remark replaced, as one of its fixes asks. The remark was made on this very text. */
export function withFix(text: string, remark: Pick<Remark, 'line' | 'column' | 'length'>, replacement: string): string {
  let from = 0
  for (let line = 1; line < remark.line; line++) from = endOfLine(text, from)
  from += remark.column - 1
  return text.slice(0, from) + replacement + text.slice(from + remark.length)
}

/** Where the line after the one at `from` begins. */
function endOfLine(text: string, from: number): number {
  const end = /\r\n|\n|\r/g
  end.lastIndex = from
  return end.exec(text) ? end.lastIndex : text.length
}
