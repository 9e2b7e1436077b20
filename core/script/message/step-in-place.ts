import { attach, attachToAll, isOnlyCap, onlyStep } from './attach'
import { putBetween, runOf } from './between'
import { isStep } from './draft'
import type { Clause, Draft, Part } from './draft'
import { isPlainWork } from './nodes'
import type { BlockNode, Node, StepNode } from './nodes'
import { askPortion, isWithin, takePortion } from './portions'
import { block, rangeDoubt, stepped, takingTurns } from './repeats'
import { askWithin, isDirectlyBetween, isInRound, isPauseAtTheWall, isPauseDraft } from './rounds'
import type { StepContext } from './rounds'
import { nodesOf, settlePair } from './steps'
import { leaveOver, note } from './work'
import type { Sequence } from './work'

const isOnlyEasy = (draft: Draft) =>
  draft.soft === 'easy' && !draft.lengths && draft.role === undefined && draft.share === undefined && !draft.isStride && !draft.portion

/** Words about a step that stands before them, or about the session; what is about nothing is left over. */
function readWords(sequence: Sequence, clause: Clause, draft: Draft): void {
  const { work, out } = sequence
  const last = out.at(-1)
  const step = last && onlyStep(last)
  const isTarget = draft.target !== undefined || draft.clock !== undefined
  if (clause.unknown.length > 0 && draft.ceiling === undefined && !draft.target) return leaveOver(work, draft)
  if (draft.ceiling && !last && draft.tokens.length === 1) {
    work.result.ceiling = draft.ceiling
    return note(work, draft.tokens[0]!, 'note', 'session-ceiling', `ceiling ${draft.ceiling.above} bpm`)
  }
  if (clause.mark === '/' && isAimOfPause(draft, last)) return attach(sequence, draft, last.nodes.at(-1) as StepNode)
  if (last?.node === 'block' && isOnlyCap(draft)) {
    last.ceiling = draft.ceiling!
    last.tokens.push(...draft.tokens)
  } else if (step) attach(sequence, draft, step)
  else if (last?.node === 'block' && isTarget) attachToAll(sequence, draft, last)
  else if (clause.unknown.length <= 1 && (isTarget || draft.sendOff)) work.fault ??= { code: 'nothing-before' }
  else leaveOver(work, draft)
}

/** `10 x 30/30 @ 130 % / 50 %`: behind a slash the aim of what stands between. */
function isAimOfPause(draft: Draft, last: Node | undefined): last is BlockNode {
  const [work, pause] = last?.node === 'block' ? last.nodes.slice(-2) : []
  if (!draft.target || work?.node !== 'step' || pause?.node !== 'step') return false
  return work.step.target?.of === draft.target.of && pause.step.role === 'recovery' && pause.step.target === undefined
}

/** `w/ 400 (2:30) jog`: a word behind the brackets of a pause says how it is moved. */
function isMannerOfPause(draft: Draft, last: Node | undefined, { isFirst }: StepContext): boolean {
  const pause = last?.node === 'block' ? last.nodes.at(-1) : undefined
  if (isFirst || pause?.node !== 'step' || !pause.isBetween || draft.lengths || draft.role || !draft.soft) return false
  if (draft.soft !== 'easy') pause.step.manner = draft.soft
  pause.draft.tokens.push(...draft.tokens)
  return true
}

/** Steps in as many repeats as there are counts before them. */
function repeated(sequence: Sequence, clause: Clause, draft: Draft, made: StepNode[], counts: (Part & { part: 'count' })[]): Node[] {
  if (draft.turns && draft.turns.length > 1 && counts.length === 1) return [takingTurns(draft, made, counts[0]!)]
  let nodes: Node[] = made
  for (const count of counts.reverse()) {
    if (draft.sendOff && draft.sendOff.length > 1 && draft.sendOff.length === count.times) {
      nodes = stepped(made, draft.sendOff)
      continue
    }
    const clocks = draft.sendOff?.length ?? 1
    if (clocks > 1 && count.times % clocks === 0) {
      nodes = [block(count.times / clocks, stepped(made, draft.sendOff!), clause.line, true, [count.token])]
      continue
    }
    const repeat = block(count.times, nodes, clause.line, false, [count.token], rangeDoubt(sequence, count))
    if (draft.easy && nodes.length === 2) Object.assign(repeat, { isDropped: true, hasBetween: true })
    nodes = [repeat]
  }
  return nodes
}

/** Whether a step is put with what stands before it: between, in its rounds, as its recovery. */
function isPutBefore(sequence: Sequence, clause: Clause, draft: Draft, context: StepContext): boolean {
  const { out, work } = sequence
  const last = out.at(-1)
  const isRecovery = isPauseDraft(draft)
  if (draft.level !== undefined || (context.isWith && (last?.node === 'block' || runOf(sequence).length > 1 || isRecovery))) {
    putBetween(sequence, nodesOf(work, draft, true, last && (onlyStep(last) ?? undefined)), draft.level ?? 'any')
    return true
  }
  if (isRecovery && last) return isDirectlyBetween(sequence, clause, draft, context)
  return last?.node === 'block' && isInRound(sequence, clause, draft, last, context)
}

/** `strides 6 x 100 m`: said before their count. */
const isStrideAhead = (draft: Draft, { next }: StepContext) => draft.isStride === true && !draft.lengths && next?.part === 'count'

export function readStep(
  sequence: Sequence,
  clause: Clause,
  draft: Draft,
  counts: (Part & { part: 'count' })[],
  context: StepContext,
): void {
  const { work, out } = sequence
  const last = out.at(-1)
  const isCounted = counts.length > 0
  if (draft.turns && draft.lengths) sequence.turnsFrom = out.length
  if (!isStep(draft) && !isCounted) return readWords(sequence, clause, draft)
  if (isOnlyEasy(draft) && !isCounted && context.isFirst && isPlainWork(last) && !last.step.target) {
    last.soft = 'easy'
    last.draft.tokens.push(...draft.tokens)
    return
  }
  if (isMannerOfPause(draft, last, context)) return
  if (isStrideAhead(draft, context)) return void (sequence.strides = draft)
  if (sequence.strides) {
    draft.isStride = true
    draft.tokens.push(...sequence.strides.tokens)
    sequence.strides = null
  }
  if (!isCounted && isPauseAtTheWall(sequence, draft, last, context)) return
  if (draft.portion && isCounted) return void (work.fault ??= { code: 'portion' })
  if (draft.portion) return takePortion(sequence, draft)
  if (!isCounted && context.isWith && isWithin(draft, last)) return askPortion(sequence, draft, last)
  if (!isCounted && isPutBefore(sequence, clause, draft, context)) return
  const within = isCounted && context.isWith ? askWithin(sequence, draft, counts[0]!.token, last) : undefined
  if (draft.easy) settlePair(draft, counts)
  const made = nodesOf(work, isStep(draft) ? draft : { ...draft, role: 'work' }, false, last)
  const nodes = repeated(sequence, clause, draft, made, counts)
  const [only] = nodes
  if (within && only?.node === 'block') only.doubt ??= within
  out.push(...nodes)
}
