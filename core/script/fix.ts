import { lineStarts } from './lines'
import type { Remark } from './remark'

/** The text with the stretch of a remark replaced, as one of its fixes asks. The remark was made on this very text. */
export function withFix(text: string, remark: Pick<Remark, 'line' | 'column' | 'length'>, replacement: string): string {
  const from = lineStarts(text)[remark.line - 1]! + remark.column - 1
  return text.slice(0, from) + replacement + text.slice(from + remark.length)
}
