import type { Draft } from './draft'
import { isPlainWork, isRest } from './nodes'
import type { BlockNode, Node, StepNode } from './nodes'
import { stepOf } from './steps'
import { addWords, note, tell } from './work'
import type { Sequence } from './work'

/** The one work step that a node comes to. */
export function onlyStep(node: Node): StepNode | null {
  if (node.node === 'step') return node
  if (node.node === 'unread') return null
  const work = node.nodes.filter(inner => inner.node === 'block' || !isRest(inner))
  return work.length === 1 ? onlyStep(work[0]!) : null
}

export const isOnlyCap = (draft: Draft) =>
  draft.ceiling !== undefined && draft.isBound !== true && !draft.target && !draft.clock && draft.notes.length === 0

/** A target behind a group is for each step of work in it that has none. */
export function attachToAll(sequence: Sequence, draft: Draft, group: BlockNode): void {
  const steps = workIn(group)
  if (steps.length === 0) return void (sequence.work.fault ??= { code: 'nothing-before' })
  const again = { ...draft, tokens: draft.tokens.map(token => ({ ...token, noticed: [] })) }
  for (const [index, step] of steps.entries()) attach(sequence, index === 0 ? draft : again, step)
  const readAs = `for ${steps.length === 1 ? 'the step' : `each of the ${steps.length} steps`} before it`
  note(sequence.work, draft.tokens[0]!, 'note', 'target-joined', readAs)
}

const workIn = (group: BlockNode): StepNode[] =>
  group.nodes.flatMap(node => (node.node === 'block' ? workIn(node) : isPlainWork(node) && !node.step.target ? [node] : []))

/** Words without a length of their own, put to the step they are about. */
export function attach(sequence: Sequence, draft: Draft, node: StepNode): void {
  const { work } = sequence
  tell(work, draft)
  const { step } = node
  node.draft.tokens.push(...draft.tokens)
  const isBeside = node.soft !== undefined || step.target !== undefined
  const own = stepOf(work, isBeside ? { ...draft, isBound: false } : draft, step.end, undefined)
  if (own.doubt) step.doubt ??= own.doubt
  if (own.target) {
    if (!step.target) step.target = own.target
    else step.also ??= own.target
  }
  if (own.also) step.also ??= own.also
  if (own.ceiling) step.ceiling = own.ceiling
  if (own.grade) step.grade = own.grade
  if (own.swim) step.swim = { ...step.swim, ...own.swim, ...(own.swim.kit ? { kit: [...(step.swim?.kit ?? []), ...own.swim.kit] } : {}) }
  if (own.note) addWords(step, own.note)
  if (draft.sendOff && step.end.on !== 'distance') work.fault ??= { code: 'clock-without-distance' }
  if (draft.sendOff && step.end.on === 'distance')
    step.end = { on: 'send-off', value: step.end.value, unit: step.end.unit, seconds: draft.sendOff[0]! }
}
