import { attach } from './attach'
import type { Clause, Draft } from './draft'
import { isPlainWork } from './nodes'
import type { Node, StepNode } from './nodes'
import { leaveOver, note, tell } from './work'
import type { Sequence } from './work'

/** `Threshold intervals: 5 x 6 min`, `Easy run: 45 min`: words before a colon that say how hard what follows is, and no length. */
export function aimOf(sequence: Sequence, clause: Clause, next: Clause | undefined): Draft | null {
  const [only] = clause.parts
  if (next?.mark !== ':' || next.line !== clause.line || clause.parts.length !== 1 || only?.part !== 'step') return null
  const { draft } = only
  const isAim = draft.target !== undefined || draft.soft === 'easy'
  const saysMore = draft.lengths ?? draft.role ?? draft.share ?? draft.portion ?? draft.clock ?? draft.sendOff ?? draft.isStride
  return isAim && saysMore === undefined && sequence.out.length === sequence.lineFrom ? draft : null
}

const plainWork = (nodes: readonly Node[]): StepNode[] =>
  nodes.flatMap(node => (node.node === 'block' ? plainWork(node.nodes) : isPlainWork(node) && !node.step.target ? [node] : []))

/** Gives the work of the line what was said in front of it, where it says no target itself; else the words are left over. */
export function takeAim(sequence: Sequence): void {
  const { aim, work, out, lineFrom } = sequence
  if (!aim) return
  sequence.aim = null
  const steps = plainWork(out.slice(lineFrom))
  if (steps.length === 0) return leaveOver(work, aim)
  const silent: Draft = { ...aim, tokens: aim.tokens.map(token => ({ ...token, noticed: [] })) }
  if (aim.target) for (const step of steps) attach(sequence, silent, step)
  else {
    for (const step of steps) step.soft = 'easy'
    steps[0]!.draft.tokens.push(...aim.tokens)
  }
  tell(work, aim)
  note(work, aim.tokens[0]!, 'note', 'target-joined', `for ${steps.length === 1 ? 'the step' : 'each step of work'} behind it`)
}
