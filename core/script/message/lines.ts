import { takeAim } from './aims'
import type { Clause } from './draft'
import { takeSum } from './portions'
import { closeScope } from './repeats'
import type { Sequence } from './work'

const isSetsClause = (clause: Clause) => clause.parts.some(part => part.part === 'step' && part.draft.level !== undefined)
const indentOf = (raw: string) => raw.length - raw.trimStart().length

/** Whether the steps of a repeat whose head stands on a line of its own are over: at a blank line, or where the indent ends. */
function isOver({ work, out }: Sequence, { line: head, from }: Sequence['scopes'][number], line: number): boolean {
  if (out.length === from) return false
  const { lines } = work
  const isIndented = indentOf(lines[head + 1] ?? '') > indentOf(lines[head]!)
  return lines.slice(head + 1, line).some(raw => raw.trim() === '') || (isIndented && indentOf(lines[line]!) <= indentOf(lines[head]!))
}

/** Ends what ends with a line or a full stop: a sum, and the repeats begun within the line. */
export function beginLine(sequence: Sequence, clause: Clause): void {
  const { head, scopes } = sequence
  takeAim(sequence)
  if (head) takeSum(sequence, head, sequence.headFrom)
  sequence.head = null
  sequence.work.unit = null
  while (scopes.at(-1)?.isInline && !(clause.mark === '.' && isSetsClause(clause))) closeScope(sequence)
  while (scopes.length > 0 && !scopes.at(-1)!.isInline && isOver(sequence, scopes.at(-1)!, clause.line)) closeScope(sequence)
  sequence.lineFrom = sequence.out.length
  sequence.line = clause.line
}
