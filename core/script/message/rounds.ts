import type { Step, Target } from '../../session/document'
import { printEnd } from '../print'
import { onlyStep } from './attach'
import { isPaceUnit } from '../../quantity/intensity'
import { addToRounds, askEveryRound, putBetween, runOf } from './between'
import type { Clause, Draft, Part } from './draft'
import { isPlainWork, isRest } from './nodes'
import type { BlockNode, Node } from './nodes'
import { asRecovery, nodesOf } from './steps'
import type { Token } from './token'
import { note, saidBy, secondsLikely } from './work'
import type { Sequence } from './work'

const shortPause = 300

/** `6 x 400, 2 min`: a short time and no more behind a repeat is likelier its recovery than work; asked. */
function isShortPause(sequence: Sequence, clause: Clause, draft: Draft, last: BlockNode, context: StepContext): boolean {
  const [length] = draft.lengths ?? []
  const isBare = length !== undefined && 'end' in length && length.end.on === 'time' && length.end.seconds <= shortPause
  const says = draft.tokens.every(token => token.is === 'length')
  if (!isBare || !says || sequence.isInside || !context.isFirst || (clause.mark !== ',' && clause.mark !== '-') || last.nodes.some(isRest))
    return false
  if (onlyStep(last)?.step.end.on === 'send-off' || context.isFollowedByTime) return false
  const [node] = nodesOf(sequence.work, draft, true, onlyStep(last) ?? undefined)
  const recovery = asRecovery(node!)
  askEveryRound(sequence.work, last, recovery, true)
  const reps = repsOf(last)
  reps.nodes.push(recovery)
  reps.hasBetween = true
  return true
}

/** `2 x 3 x 1000`: the innermost of repeats that stand one in the other without brackets. */
function repsOf(outer: BlockNode): BlockNode {
  const [only] = outer.nodes
  return outer.nodes.length === 1 && only?.node === 'block' && !outer.isGroup ? repsOf(only) : outer
}

/** What follows a repeat without a sign between, or behind a slash: the other half of its rounds. */
export function isInRound(sequence: Sequence, clause: Clause, draft: Draft, last: BlockNode, context: StepContext): boolean {
  if (last.hasBetween || draft.role !== undefined || draft.portion || draft.isStride || draft.lengths?.length !== 1) return false
  const isPlain = !draft.target && !draft.clock && draft.notes.length === 0 && Object.keys(draft.swim).length === 0
  const worker = onlyStep(last)
  const isTargetOfWork = draft.target !== undefined && worker?.step.target === undefined
  const high = worker?.step.target
  const isSlower = draft.clock !== undefined && high?.of === 'pace' && 'easiest' in high && draft.clock.hardest > (high.easiest ?? Infinity)
  const isEasier = isSlower || (draft.target !== undefined && isEasierTarget(draft.target, high))
  const isByClock = worker?.step.end.on === 'send-off'
  const isSigned = clause.mark === '/' || (clause.mark === '-' && isEasier)
  const isBehindSlash = context.isFirst && isSigned && !isByClock && (isPlain || isTargetOfWork || isEasier)
  const [inner] = last.nodes
  if (isPlain && context.isFirst && clause.mark === '/' && last.nodes.length === 1 && inner?.node === 'block' && inner.hasBetween) {
    putBetween(sequence, nodesOf(sequence.work, draft, true), 'sets')
    return true
  }
  if (isTimeOfNext(draft, high)) {
    sequence.work.fault ??= { code: 'rounds' }
    return true
  }
  if (isShortPause(sequence, clause, draft, last, context)) return true
  const isJoined =
    !context.isFirst && last.line === clause.line && sequence.out.length > context.begun && (isPlain || draft.target !== undefined)
  if (isEasier && context.isFirst && clause.mark === ',' && !isByClock) {
    const recovery = asRecovery(nodesOf(sequence.work, draft, true, worker ?? undefined)[0]!)
    askEveryRound(sequence.work, last, recovery, false)
    addToRounds(last, [recovery])
    last.hasBetween = true
    return true
  }
  if (!isBehindSlash && !isJoined) return false
  const step = worker
  const [node] = nodesOf(sequence.work, draft, true, step ?? undefined)
  if (isBehindSlash && isTargetOfWork && step) {
    step.step.target = draft.target!
    delete node!.step.target
  }
  if (isPlain || isBehindSlash) putBetween(sequence, [node!], 'any')
  else {
    addToRounds(last, [isEasier ? asRecovery(node!) : node!])
    last.hasBetween = true
  }
  return true
}

/** `400 in 1:30, 1:28`: a time much like that of the step before is the next round's, which no repeat can say. */
function isTimeOfNext(draft: Draft, before: Target | undefined): boolean {
  const [length] = draft.lengths ?? []
  if (!length || !('end' in length) || length.end.on !== 'time' || before?.of !== 'pace' || !('unit' in before) || before.unit !== 's/step')
    return false
  const isOnlyLength = draft.tokens.every(token => token.is === 'length')
  return isOnlyLength && Math.abs(length.end.seconds - (before.hardest ?? 0)) <= 0.15 * length.end.seconds
}

function isEasierTarget(low: Target, high: Target | undefined): boolean {
  if (!high || low.of !== high.of) return false
  if ('zone' in low && 'zone' in high) return Math.max(...[low.zone].flat()) < Math.min(...[high.zone].flat())
  if (!('unit' in low) || !('unit' in high) || low.unit !== high.unit) return false
  const [hardest, easiest] = [low.hardest ?? Infinity, high.easiest ?? 0]
  if (low.of === 'power' || low.of === 'speed') return hardest < easiest
  return low.of === 'pace' && isPaceUnit(low.unit) && hardest > easiest
}

/** `2 h easy with 3 x 10 min`: the repeats may come after the ride or stand within it. */
export function askWithin(sequence: Sequence, draft: Draft, token: Token, last: Node | undefined): Step['doubt'] {
  if (draft.isStride || last?.node !== 'step') return undefined
  note(sequence.work, token, 'ask', 'within-or-after', 'after what stands before, not within it')
  const said = { said: sequence.work.lines[token.line]!.slice(token.from).trim() }
  if (last.soft === 'easy') {
    delete last.soft
    last.step.target ??= { of: 'effort', name: 'easy' }
  }
  return said
}

export interface StepContext {
  /** The next clause is no more than a time either. */
  isFollowedByTime: boolean
  isWith: boolean
  isFirst: boolean
  /** Nothing stands behind it in the message. */
  isLast: boolean
  begun: number
  next: Part | undefined
}

export const isPauseDraft = (draft: Draft) =>
  draft.role === 'recovery' || draft.role === 'rest' || draft.share !== undefined || (draft.role === undefined && draft.soft !== undefined)

/** A recovery that follows its work or its repeat; true where it was put with it. */
export function isDirectlyBetween(sequence: Sequence, clause: Clause, draft: Draft, context: StepContext): boolean {
  const { work, out } = sequence
  const last = out.at(-1)!
  if (last.node === 'step' && draft.share !== undefined && clause.mark !== 'line' && runOf(sequence).length > 1) {
    putBetween(sequence, nodesOf(work, draft, true, last), 'any')
    return true
  }
  const isSameClause = !context.isFirst || clause.mark === '/' || clause.mark === '-'
  if (context.isFirst && (clause.mark === '.' || clause.mark === '+')) return false
  if (clause.mark === 'line' && context.isFirst) return false
  if (clause.mark === ';' && context.isFirst && context.isLast && draft.soft === 'easy' && draft.role === undefined) return false
  if (draft.isOff && last.node === 'block' && !last.hasBetween) {
    addToRounds(last, nodesOf(work, draft, true).map(asRecovery))
    last.hasBetween = true
    return true
  }
  const isByClock =
    last.node === 'block' && onlyStep(last)?.step.end.on === 'send-off' && draft.role === undefined && draft.level === undefined
  if (last.node === 'block' && !isByClock && !last.hasBetween && !last.nodes.some(isRest)) {
    const hasOwn = last.nodes.length > 1 || last.nodes[0]?.node === 'block'
    if (draft.role === undefined && context.isFirst && !isShortFor(sequence, draft, last)) return false
    if (isSameClause && (clause.mark === '/' || clause.mark === '-' || draft.role !== undefined || hasOwn)) {
      putBetween(sequence, nodesOf(work, draft, true, onlyStep(last) ?? undefined), 'any')
      return true
    }
    const [step] = nodesOf(work, draft, true, onlyStep(last) ?? undefined)
    const recovery = asRecovery(step!)
    const token = draft.tokens[0]!
    if (draft.lengths || draft.share) askEveryRound(work, last, recovery, false)
    else if (draft.isBack) askEveryRound(work, last, recovery, false)
    else note(work, token, 'note', 'every-round', 'in every round, the last too')
    addToRounds(last, [recovery])
    last.hasBetween = true
    return true
  }
  return false
}

const longestAtTheWall = 120

/** `6 x 50 drill 15 s` in a pool: a short time right behind a distance is the rest at the wall. */
export function isPauseAtTheWall(sequence: Sequence, draft: Draft, last: Node | undefined, { isFirst }: StepContext): boolean {
  const { work, out } = sequence
  const length = draft.lengths?.[0]
  const isOnlyLength = draft.tokens.every(({ is }) => is === 'length' || is === 'filler')
  if (isFirst || !last || !isOnlyLength || draft.lengths?.length !== 1 || work.settingAt(draft.tokens[0]!).sport !== 'swim') return false
  if (!('end' in length!) || length.end.on !== 'time' || length.end.seconds > longestAtTheWall) return false
  const swum = last.node === 'block' && last.hasBetween ? null : onlyStep(last)
  if (swum?.step.end.on !== 'distance' || swum.step.role !== 'work') return false
  const [rest] = nodesOf(work, { ...draft, role: 'rest' }, true, swum)
  note(work, draft.tokens[0]!, 'note', 'pause', `rest ${printEnd(length.end)} at the wall`)
  if (last.node === 'block') putBetween(sequence, [rest!], 'any')
  else out.push(asRecovery(rest!))
  return true
}

function isShortFor(sequence: Sequence, draft: Draft, last: BlockNode): boolean {
  const length = draft.lengths?.[0]
  if (!length || 'bare' in length) return true
  const work = onlyStep(last)
  const most = work ? Math.max(1.5 * secondsLikely(work.step.end), 300) : 240
  return secondsLikely(length.end) <= most
}

/** `2 x (4 x 400, 3 min)`: a short time behind a repeat at the end of a round is likelier the recovery between the sets; asked. */
export function askAfterSet({ out, work }: Sequence, clauses: readonly Clause[]): void {
  const [before, last] = [out.at(-2), out.at(-1)]
  if (clauses.at(-1)?.mark !== ',' || before?.node !== 'block' || !isPlainWork(last) || last.step.end.on !== 'time') return
  if (last.step.end.seconds > shortPause || last.draft.tokens.length > 1) return
  const words = printEnd(last.step.end)
  last.step.role = 'recovery'
  last.step.doubt = { said: saidBy(work, [last.draft.tokens[0]!]) }
  note(work, last.draft.tokens[0]!, 'ask', 'set-recovery', `recovery ${words} after each set`, [
    { label: 'recovery', replacement: `then recovery ${words}` },
    { label: 'work', replacement: `work ${words}` },
  ])
}
