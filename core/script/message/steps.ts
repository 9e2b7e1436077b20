import type { End, Step } from '../../session/document'
import { bareLength, resolveClock } from './amounts'
import type { Draft } from './draft'
import type { Node, StepNode } from './nodes'
import type { Length } from './token'
import { note, rounded, saidBy, tell } from './work'
import type { Work } from './work'

/** Work by the minute, beside which a bare number counts minutes. */
const isPauseOf = (before: Node | undefined) => before?.node === 'step' && before.step.end.on === 'time'

/** The end that a length means here. */
function endOf(work: Work, length: Length, draft: Draft, isPause: boolean, before: Node | undefined): { end: End; doubt?: Step['doubt'] } {
  if ('end' in length) return { end: length.end, ...(draft.doubt ? { doubt: draft.doubt } : {}) }
  const token = draft.lengthToken!
  const read = bareLength(length.bare, {
    setting: work.settingAt(token),
    unit: work.unit,
    isPause: isPause && (draft.soft === undefined || isPauseOf(before)),
    before: isPause && before?.node === 'step' && !before.step.doubt ? before.step.end : null,
    raw: work.lines[token.line]!,
    token,
  })
  for (const noticed of read.noticed) work.result.noticed.push({ line: token.line, noticed })
  return { end: read.end, ...(read.doubt ? { doubt: read.doubt } : {}) }
}

/** Everything of a draft but its length, as a step. */
export function stepOf(work: Work, draft: Draft, end: End, doubt: Step['doubt']): Step {
  const isMoving = draft.role === 'rest' && draft.soft !== undefined && draft.soft !== 'easy'
  const role = isMoving || (draft.role === 'rest' && end.on === 'distance') ? 'recovery' : (draft.role ?? 'work')
  const step: Step = { kind: 'step', role, end }
  if (draft.target) step.target = draft.target
  if (draft.also) step.also = draft.also
  if (draft.clock) {
    const token = draft.tokens.find(one => one.is === 'clock')!
    const clocked = resolveClock(draft.clock, end, work.settingAt(token), token, work.lines[token.line]!)
    for (const noticed of clocked.noticed) work.result.noticed.push({ line: token.line, noticed })
    if (!step.target) step.target = clocked.target
    else step.also ??= clocked.target
    if (clocked.noticed.some(one => one.level === 'ask')) step.doubt = { said: saidBy(work, [token]) }
  }
  if (draft.isStride) step.manner = 'stride'
  else if (draft.soft && draft.soft !== 'easy') step.manner = draft.soft
  if (Object.keys(draft.swim).length > 0) step.swim = draft.swim
  if (draft.grade) step.grade = draft.grade
  if (draft.ceiling) capped(step, draft)
  if (draft.aside) draft.notes.push(saidBy(work, draft.aside))
  if (draft.notes.length > 0) step.note = draft.notes.join(' ')
  const asked = doubt
    ? undefined
    : draft.tokens.flatMap(token => token.noticed.filter(one => one.level === 'ask').map(one => ({ token, one })))[0]
  if (doubt) step.doubt = doubt
  else if (asked) step.doubt = { said: work.lines[asked.token.line]!.slice(asked.one.from, asked.one.to).trim() }
  return step
}

/** A cap alone is a target, beside another word for how hard a ceiling. */
function capped(step: Step, draft: Draft): void {
  const { ceiling } = draft
  const isTarget = draft.isBound && !step.target && draft.soft === undefined && step.role === 'work' && ceiling?.unit === undefined
  if (isTarget) step.target = { of: 'heart-rate', unit: 'bpm', hardest: ceiling!.above }
  else step.ceiling = ceiling!
}

export const lineOf = (draft: Draft) => draft.tokens[0]!.line

/** The nodes of a draft: one, or as many as its list has lengths. */
export function nodesOf(work: Work, draft: Draft, isPause: boolean, before?: Node): StepNode[] {
  tell(work, draft)
  const soft = draft.role === undefined && !draft.isStride && draft.soft ? { soft: draft.soft } : {}
  const make = (end: End, doubt: Step['doubt'], list?: object): StepNode => ({
    node: 'step',
    step: stepOf(work, draft, end, doubt),
    ...soft,
    draft,
    line: lineOf(draft),
    ...(list ? { list } : {}),
  })
  if (draft.share !== undefined) {
    if (before?.node !== 'step') work.fault ??= { code: 'nothing-before' }
    const end = before?.node === 'step' ? shareOf(before.step.end, draft.share) : null
    if (end) note(work, draft.tokens[0]!, 'note', 'computed', 'by the work before it')
    return [make(end ?? { on: 'press' }, undefined)]
  }
  if (!draft.lengths) {
    note(work, draft.tokens[0]!, 'note', 'open-end', 'until press')
    return [make({ on: 'press' }, draft.doubt)]
  }
  if (draft.easy && 'end' in draft.easy && 'end' in draft.lengths[0]!) {
    const easy: StepNode = {
      node: 'step',
      step: { kind: 'step', role: 'recovery', end: draft.easy.end, ...(draft.isWalk ? { manner: 'walk' as const } : {}) },
      draft,
      line: lineOf(draft),
    }
    return [make(draft.lengths[0].end, draft.doubt), easy]
  }
  if (draft.sendOff) return sendOffs(work, draft, make)
  const list = draft.lengths.length > 1 ? {} : undefined
  return draft.lengths.map((length, index) => {
    const { end, doubt } = endOf(work, length, draft, isPause, before)
    const made = make(end, doubt, list)
    if (draft.each) made.step.target = draft.each[index]!
    return made
  })
}

export function shareOf(end: End, { by, isOfTime }: NonNullable<Draft['share']>): End | null {
  if (isOfTime && end.on !== 'time') return null
  if (end.on === 'time') return { on: 'time', seconds: rounded(end.seconds * by) }
  return end.on === 'distance' ? { ...end, value: rounded(end.value * by) } : null
}

/** Send-offs: one clock for all, or one for each. */
function sendOffs(work: Work, draft: Draft, make: (end: End, doubt: Step['doubt'], list?: object) => StepNode): StepNode[] {
  const list = draft.lengths!.length > 1 ? {} : undefined
  return draft.lengths!.map((length, index) => {
    const { end, doubt } = endOf(work, length, draft, false, undefined)
    const seconds = draft.sendOff![Math.min(index, draft.sendOff!.length - 1)]!
    if (end.on !== 'distance') work.fault ??= { code: 'clock-without-distance' }
    return make(end.on === 'distance' ? { on: 'send-off', value: end.value, unit: end.unit, seconds } : end, doubt, list)
  })
}

/** A step that stands between others is a recovery unless it says what it is. */
export function asRecovery(node: StepNode): StepNode {
  const { soft: _, list: __, ...rest } = node
  if (node.step.role === 'work') node.step.role = 'recovery'
  return { ...rest, isBetween: true }
}

/** Longest session that pairs in minutes make likely, in minutes. */
const longestOfPairs = 180

/** `20 x 30/30` cannot be minutes: nobody asks then. */
export function settlePair(draft: Draft, counts: readonly { times: number }[]): void {
  const token = draft.lengthToken
  if (token?.is !== 'pair' || !('end' in token.work) || !('end' in token.easy)) return
  const [work, easy] = [token.work.end, token.easy.end]
  const each = work.on === 'time' && easy.on === 'time' ? work.seconds + easy.seconds : 0
  if (counts.reduce((product, { times }) => product * times, each) <= longestOfPairs) return
  token.noticed = token.noticed.map(one => (one.code === 'short-pair' ? { ...one, level: 'note' } : one))
}
