import type { End, Target } from '../../session/document'
import { runnable } from './amounts'
import { attach, onlyStep } from './attach'
import { putBetween, runOf } from './between'
import { isStep } from './draft'
import type { Clause, Draft, Part } from './draft'
import { isPlainWork } from './nodes'
import type { BlockNode, Node, StepNode } from './nodes'
import { block, rangeDoubt } from './repeats'
import { asRecovery, nodesOf } from './steps'
import type { Length } from './token'
import { addWords, metresIn, totalOf } from './work'
import type { Sequence, Work } from './work'

/** What brackets behind a step or a repeat say of it; false where they are steps of their own. */
function takeAside(sequence: Sequence, group: Part & { part: 'group' }, target: Node | undefined): boolean {
  const { work } = sequence
  const drafts = group.clauses.flatMap(clause => clause.parts.flatMap(part => (part.part === 'step' ? [part.draft] : [])))
  const isOnlySteps = group.clauses.every(clause => clause.parts.every(part => part.part === 'step' || part.part === 'with'))
  if (!isOnlySteps || drafts.length === 0 || !target) return false
  const step = onlyStep(target)
  if (drafts.every(draft => !isStep(draft))) {
    if (!step) return false
    if (drafts.length > 1) {
      const words = saidInside(work, group)
      addWords(step.step, words)
    } else for (const draft of drafts) attach(sequence, draft, step)
    return true
  }
  return false
}

/** The words inside brackets. */
const saidInside = (work: Work, group: Part & { part: 'group' }) =>
  work.lines[group.token.line]!.slice(group.token.from + 1)
    .replace(/[)\]}].*$/, '')
    .trim()

/** Brackets that say what stands between: `(90 s)`, `(200 jog)`, `(rest 1:1)`, `(1' / 3')`. */
function betweenIn(sequence: Sequence, group: Part & { part: 'group' }, target: Node): StepNode[] | null {
  const parts = group.clauses.flatMap(clause => clause.parts)
  const drafts = parts.flatMap(part => (part.part === 'step' ? [part.draft] : []))
  if (drafts.length === 0 || drafts.length > 2 || drafts.length !== parts.length) return null
  const isPause = (draft: Draft) =>
    draft.role === 'recovery' ||
    draft.role === 'rest' ||
    draft.soft !== undefined ||
    draft.share !== undefined ||
    (draft.lengths?.length === 1 && !draft.target && !draft.clock && draft.notes.length === 0 && Object.keys(draft.swim).length === 0)
  if (!drafts.every(isPause)) return null
  if (drafts.length === 2 && (group.clauses[1]?.mark !== '/' || !(target.node === 'block' && target.nodes[0]?.node === 'block')))
    return null
  const before = onlyStep(target) ?? undefined
  return drafts.flatMap(draft => nodesOf(sequence.work, draft, true, before))
}

/** `(30 s between reps, 3 min between sets)`: drafts that each say between what they stand. */
function levelsIn({ clauses }: Part & { part: 'group' }): Draft[] | null {
  const parts = clauses.flatMap(clause => clause.parts.filter(part => part.part !== 'with'))
  const drafts = parts.flatMap(part => (part.part === 'step' && part.draft.level !== undefined ? [part.draft] : []))
  return drafts.length > 0 && drafts.length === parts.length ? drafts : null
}

/** `3 km (4:25)`: behind a longer way in kilometres or miles a time of a few minutes is its pace. */
const isPaceOf = (end: End, length: Length) =>
  end.on === 'distance' &&
  (end.unit === 'km' || end.unit === 'mi') &&
  end.value > 1 &&
  'end' in length &&
  length.end.on === 'time' &&
  length.end.seconds >= 150 &&
  length.end.seconds <= 720 &&
  (length.end.seconds * 1000) / metresIn(end) < runnable.fastest

/** A time in brackets behind a length is the time for that length where it can be one. */
function isOwnTime(group: Part & { part: 'group' }, target: Node | undefined, isFollowedByRecovery: boolean): Draft | null {
  const draft = isOneLength(group)
  const step = target && onlyStep(target)?.step
  if (!draft || step?.end.on !== 'distance' || step.target) return null
  if (draft.clock && !draft.lengths) return draft
  const length = draft.lengths?.[0]
  const isPace = length !== undefined && isPaceOf(step.end, length)
  if (!length || !(isFollowedByRecovery || isPace) || draft.target || draft.role || draft.soft) return null
  const seconds = 'bare' in length ? length.bare : length.end.on === 'time' ? length.end.seconds : null
  if (seconds === null) return null
  const clock = { easiest: seconds, hardest: seconds, isOwn: !isPace || isFollowedByRecovery }
  return { swim: {}, notes: [], tokens: [{ ...draft.tokens[0]!, is: 'clock', clock }], clock }
}

/** The one draft in brackets. */
function isOneLength({ clauses }: Part & { part: 'group' }): Draft | null {
  const [only] = clauses
  const [part] = only?.parts ?? []
  return clauses.length === 1 && only!.parts.length === 1 && part?.part === 'step' ? part.draft : null
}

/** Steps that together make up the one before them, again and again: `9 min (2 min, 1 min)`. */
function fillStep(node: StepNode, inner: readonly Node[]): BlockNode | null {
  const { end } = node.step
  const sum = totalOf(inner)
  const share =
    end.on === 'time' && sum.metres === 0
      ? end.seconds / sum.seconds
      : end.on === 'distance' && sum.seconds === 0
        ? metresIn(end) / sum.metres
        : 0
  if (!Number.isInteger(share) || share < 1 || inner.length < 2) return null
  return block(share, [...inner], node.line, true)
}

/** `w/ 400 (2:30)`: a time in brackets behind a pause is the time for its length. */
function timeOfPause(part: Part & { part: 'group' }, target: Node): boolean {
  const pause = target.node === 'block' ? target.nodes.at(-1) : undefined
  if (pause?.node !== 'step' || !pause.isBetween || pause.step.end.on !== 'distance') return false
  const timed = isOneLength(part)?.lengths?.[0]
  if (!timed || !('end' in timed) || timed.end.on !== 'time') return false
  pause.step.target = { of: 'pace', unit: 's/step', easiest: timed.end.seconds, hardest: timed.end.seconds }
  pause.draft.tokens.push(...isOneLength(part)!.tokens)
  return true
}

/** `warm-up (10 min)`: brackets behind a step without a length say it. */
function lengthOfOpen({ work }: Sequence, part: Part & { part: 'group' }, target: Node): boolean {
  const open = onlyStep(target)
  if (open?.step.end.on !== 'press' || open.draft.lengths !== undefined || !isOneLength(part)) return false
  const [inner] = work.composeInner(part.clauses)
  if (inner?.node !== 'step') return false
  open.step.end = inner.step.end
  return true
}

export function readGroup(
  sequence: Sequence,
  part: Part & { part: 'group' },
  counts: (Part & { part: 'count' })[],
  isWith: boolean,
  isBehindGroup: boolean,
  isFollowedByRecovery: boolean,
): void {
  const { work, out } = sequence
  const target = out.at(-1)
  if (counts.length === 0 && target) {
    if (timeOfPause(part, target)) return
    if (lengthOfOpen(sequence, part, target)) return
    const own = isOwnTime(part, target, isFollowedByRecovery)
    if (own) return attach(sequence, own, onlyStep(target)!)
    if (takeAside(sequence, part, target)) return
    const levelled = levelsIn(part)
    if (levelled && (target.node === 'block' || runOf(sequence).length > 1)) {
      for (const draft of levelled) putBetween(sequence, nodesOf(work, draft, true, onlyStep(target) ?? undefined), draft.level!)
      return
    }
    const between = !isWith && target.node === 'block' ? betweenIn(sequence, part, target) : null
    if (between && !(target.node === 'block' && target.hasBetween)) {
      if (target.node === 'block' && isBehindGroup) return void target.nodes.push(...between.map(asRecovery))
      putBetween(sequence, between.slice(0, 1), between.length > 1 ? 'reps' : 'any')
      if (between.length > 1) putBetween(sequence, between.slice(1), 'sets')
      return
    }
  }
  const inner = work.composeInner(part.clauses)
  if (inner.length === 0) return
  const step = target && onlyStep(target)
  if (counts.length === 0 && step) {
    const filled = fillStep(step, inner)
    if (filled && isNoted(inner)) {
      addWords(step.step, saidInside(work, part))
      return
    }
    if (filled && target.node === 'block') {
      target.nodes.splice(target.nodes.indexOf(step), 1, ...(filled.times === 1 ? filled.nodes : [filled]))
      return
    }
  }
  const [only] = inner
  if (inner.length === 1 && only?.node === 'step' && counts.length === 0) only.isInBrackets = true
  let nodes = inner
  for (const count of counts.reverse())
    nodes = [block(count.times, nodes, part.token.line, true, [count.token], rangeDoubt(sequence, count))]
  out.push(...nodes)
}

/** Parts of a swim that only say how: `50 (25 drill/25 swim)`. */
const isNoted = (nodes: readonly Node[]) =>
  nodes.every(node => node.node === 'step' && node.step.target === undefined && node.step.end.on === 'distance')

/** As a share of the power before it: below this nobody calls it work. */
const easyShare = 0.7

/** So much less power, or the lowest zones beside ones at least two above. */
function isEasyBeside(low: Target, high: Target): boolean {
  if ('zone' in low && 'zone' in high) {
    const [own, other] = [Math.max(...[low.zone].flat()), Math.min(...[high.zone].flat())]
    return low.of === high.of && own <= 2 && other - own >= 2
  }
  if (low.of !== 'power' || high.of !== 'power' || !('unit' in low) || !('unit' in high) || low.unit !== high.unit) return false
  return (low.hardest ?? Infinity) < easyShare * (high.easiest ?? 0)
}

/** `(8 min @ 220 W, 2 min @ 120 W)`: so much less power than before is the recovery of a round. */
export function easeByPower(nodes: readonly Node[]): void {
  nodes.forEach((node, index) => {
    const before = nodes[index - 1]
    if (node.node !== 'step' || before?.node !== 'step' || node.step.role !== 'work' || before.step.role !== 'work') return
    const [low, high] = [node.step.target, before.step.target]
    if (low && high && isEasyBeside(low, high)) node.step.role = 'recovery'
  })
}

/** `(2:30/1:30)`: two lengths and a slash in brackets are work and recovery. */
export const isWorkAndEasy = (clauses: readonly Clause[], nodes: readonly Node[]) =>
  clauses.length === 2 &&
  clauses[1]!.mark === '/' &&
  nodes.length === 2 &&
  nodes.every(node => isPlainWork(node) && node.step.end.on === 'time' && !node.step.target && !node.step.note)
