import { metresPer, toMetres } from '../../quantity/distance'
import type { End } from '../../session/document'
import type { Draft } from './draft'
import { copied, isPlainWork } from './nodes'
import type { BlockNode, Node, StepNode } from './nodes'
import { lineOf, stepOf, nodesOf, shareOf } from './steps'
import { addWords, firstOf, lastOf, metresIn, note, noteStretch, rounded, saidBy, saidOf, tell, totalOf } from './work'
import type { Length } from './token'
import type { Sequence } from './work'

/** `last 15 min @ MP`, `first 4 easy`, `last two`: a part of what was said before it. */
export function takePortion(sequence: Sequence, draft: Draft): void {
  const { work, out } = sequence
  if (draft.portion === 'remainder') return takeRemainder(sequence, draft)
  const whole = out.at(-1)
  const isOfSum = sequence.head !== null && draft.portion !== 'middle' && !draft.isHalf
  if (isOfSum && draft.lengths?.every(length => whole?.node !== 'block' || 'end' in length))
    return void out.push(...nodesOf(work, draft, false))
  if (whole?.node === 'block') {
    const length = draft.lengths?.[0]
    if (!draft.target || !length || !('bare' in length) || length.bare >= whole.times) {
      addWords(whole, saidOf(work, draft))
      whole.tokens.push(...draft.tokens)
      if (length && out.at(-2)?.node === 'step') {
        noteStretch(work, draft.tokens, 'ask', 'within-or-after', 'after what stands before, not within it')
        whole.doubt ??= { said: saidOf(work, draft) }
      }
      return
    }
    const rest = copied([whole])[0] as BlockNode
    whole.times -= length.bare
    whole.isDropped = false
    rest.times = length.bare
    for (const node of rest.nodes) if (isPlainWork(node)) node.step.target = draft.target
    out.push(rest)
    return
  }
  const holder = out.findLast(node => node.node === 'step' && !node.list) as StepNode | undefined
  const isAlone = (!holder || sequence.hasNoWhole) && draft.lengths?.every(length => 'end' in length)
  if (isAlone) {
    sequence.hasNoWhole = true
    return void out.push(...nodesOf(work, draft, false))
  }
  const length = holder && (draft.isHalf ? halfOf(sequence, holder) : draft.lengths?.[0])
  if (!length) return void (work.fault ??= { code: 'portion' })
  const { end: from } = holder.step
  const end = 'end' in length ? length.end : endIn(from, length.bare)
  const [own, left] = [stepOf(work, draft, end, draft.doubt), leftOf(from, end)]
  if (left === null) return void (work.fault ??= { code: 'portion' })
  tell(work, draft)
  note(work, draft.tokens[0]!, 'note', 'computed', 'a part of the step before it')
  const soft = draft.soft && draft.role === undefined ? { soft: draft.soft } : {}
  const made: StepNode = { node: 'step', step: own, ...soft, draft, line: lineOf(draft) }
  const at = out.indexOf(holder)
  if (draft.portion === 'middle' && left !== 'none') {
    const [before] = copied([holder]) as [StepNode]
    for (const half of [before, holder]) half.step.end = shareOf(left, { by: 0.5, isOfTime: false })!
    out.splice(at, 1, before, made, holder)
  } else if (draft.portion === 'last') {
    if (left === 'none') out.splice(at, 1, made)
    else {
      holder.step.end = left
      out.splice(at + 1, 0, made)
    }
  } else {
    out.splice(at, left === 'none' ? 1 : 0, made)
    if (left !== 'none') holder.step.end = left
  }
}

/** `rest easy`: what is left of a stated sum; of a length said before, what its portions left; else until a press. */
function takeRemainder(sequence: Sequence, draft: Draft): void {
  const { work, out, head, headFrom, lineFrom } = sequence
  const [first] = out.slice(lineFrom)
  const whole = head ?? (first?.node === 'step' && isPlainWork(first) && !first.step.target ? first : null)
  const parts = out.slice(head ? headFrom : lineFrom + 1)
  const last = out.at(-1)
  const isParted = out.slice(lineFrom, -1).some(node => node.node === 'step' && node.draft.portion !== undefined)
  if (!head && isParted && isPlainWork(last) && !last.step.target) {
    tell(work, draft)
    last.draft.tokens.push(...draft.tokens)
    if (draft.target) last.step.target = draft.target
    else last.soft = 'easy'
    return
  }
  const left = whole && parts.length > 0 ? leftAfter(whole.step.end, parts) : null
  if (left === null || left === 'none') return void out.push(...nodesOf(work, { ...draft, soft: draft.soft ?? 'easy' }, false))
  if (!head) {
    out.splice(out.indexOf(whole!), 1)
    noteStretch(work, whole!.draft.tokens, 'note', 'sum', 'the sum of what follows')
  }
  note(work, draft.tokens[0]!, 'note', 'computed', 'what is left of the sum')
  out.push(...nodesOf(work, { ...draft, lengths: [{ end: left }] }, false))
}

/** What steps leave of a whole, all in its own measure; null where they do not say theirs in it. */
function leftAfter(whole: End, parts: readonly Node[]): End | 'none' | null {
  const { seconds, metres } = totalOf(parts)
  if (seconds > 0 && metres > 0) return null
  return leftOf(whole, whole.on === 'time' ? { on: 'time', seconds } : { on: 'distance', value: metres, unit: 'm' })
}

function leftOf(whole: End, part: End): End | 'none' | null {
  if (whole.on === 'time' && part.on === 'time') {
    const seconds = rounded(whole.seconds - part.seconds)
    return seconds < 0 ? null : seconds === 0 ? 'none' : { on: 'time', seconds }
  }
  if (whole.on !== 'distance' || part.on !== 'distance') return null
  const value = rounded((toMetres(whole) - toMetres(part)) / metresPer[whole.unit])
  return value < 0 ? null : value === 0 ? 'none' : { on: 'distance', value, unit: whole.unit }
}

/** `16 miles w/ 4 at MP`: a shorter length with an aim of its own, said to be with the length before it. */
export function isWithin(draft: Draft, whole: Node | undefined): whole is StepNode {
  const [length] = draft.lengths ?? []
  if (whole?.node !== 'step' || whole.step.role !== 'work' || whole.step.target || draft.role || draft.soft || draft.lengths?.length !== 1)
    return false
  if (!draft.target && !draft.clock && draft.notes.length === 0 && Object.keys(draft.swim).length === 0) return false
  const { end } = whole.step
  const part = 'end' in length! ? length.end : endIn(end, length!.bare)
  const left = leftOf(end, part)
  return left !== null && left !== 'none'
}

/** Takes it for the last part of the whole, and asks. */
export function askPortion(sequence: Sequence, draft: Draft, whole: StepNode): void {
  const { work } = sequence
  const first = whole.draft.tokens[0]!
  const said = saidBy(
    work,
    draft.tokens.filter(token => token.is !== 'with'),
  )
  const before = saidBy(work, whole.draft.tokens)
  const { line } = first
  const isOneLine = draft.tokens.every(token => token.line === line)
  const fixes = isOneLine
    ? [`last ${said}`, `middle ${said}`, `then ${said}`].map(part => ({ label: part, replacement: `${before}, ${part}` }))
    : []
  const [from, to] = [isOneLine ? firstOf(whole.draft.tokens, line) : draft.tokens[0]!.from, lastOf(draft.tokens, draft.tokens[0]!.line)]
  work.result.noticed.push({
    line: isOneLine ? line : draft.tokens[0]!.line,
    noticed: { from, to, level: 'ask', code: 'within-or-after', readAs: `the last ${said} of it`, fixes },
  })
  if (whole.soft === 'easy') {
    delete whole.soft
    whole.step.target = { of: 'effort', name: 'easy' }
  }
  takePortion(sequence, { ...draft, portion: 'last', doubt: { said } })
}

/** Half of a whole; all that is left of it where its first half was said before. */
function halfOf({ out }: Sequence, whole: StepNode): Length | undefined {
  const before = out[out.indexOf(whole) - 1]
  if (before?.node === 'step' && before.draft.isHalf) return { end: whole.step.end }
  const end = shareOf(whole.step.end, { by: 0.5, isOfTime: false })
  return end ? { end } : undefined
}

/** A number without a unit, in the unit of the whole that it is a part of. */
const endIn = (whole: End, value: number): End =>
  whole.on === 'distance' ? { on: 'distance', value, unit: whole.unit } : { on: 'time', seconds: value * 60 }

/** Whether steps come to a length, whether or not the one who added up counted what a repeat drops. */
const comeTo = (nodes: readonly Node[], end: End) =>
  [totalOf(nodes), totalOf(nodes, false)].some(({ seconds, metres }) =>
    end.on === 'time' ? metres === 0 && Math.abs(seconds - end.seconds) < 1 : Math.abs(metres - metresIn(end)) < 1,
  )

/** `total 1100`, `= 1100`, `(1100)` behind everything: the sum of it, and no step. */
export function takeClosingSum({ out, work }: Sequence): void {
  const last = out.at(-1)
  if (out.length < 2 || !isPlainWork(last) || last.step.target || !(last.draft.isTotal || last.isInBrackets)) return
  const parts = out.slice(0, -1)
  const fits = comeTo(parts, last.step.end)
  if (!fits && !last.draft.isTotal) return
  out.pop()
  const readAs = fits ? 'the sum of what stands before' : 'a sum that its parts do not come to'
  noteStretch(work, last.draft.tokens, fits ? 'note' : 'ask', 'sum', readAs)
}

/** `18 km: last 5 km @ MP`: where only its first or last parts are said, the sum is what is left of it too. */
function leaveRest({ out, work }: Sequence, head: StepNode, inner: readonly Node[]): boolean {
  const portions = inner.map(node => (node.node === 'step' ? node.draft.portion : undefined))
  if (portions.some(portion => portion === undefined || portion === 'remainder')) return false
  const left = leftAfter(head.step.end, inner)
  if (left === null || left === 'none') return false
  out.splice(out.indexOf(head), 1)
  head.step.end = left
  const last = portions.indexOf('last')
  out.splice(last < 0 ? out.length : out.indexOf(inner[last]!), 0, head)
  note(work, inner[0]!.node === 'step' ? inner[0]!.draft.tokens[0]! : head.draft.tokens[0]!, 'note', 'computed', 'a part of the sum')
  return true
}

/** A sum said in front, as in `8 mi total:`: the steps behind it are what it is made of. */
export function takeSum(sequence: Sequence, head: StepNode, from: number): void {
  const { out, work } = sequence
  if (!out.includes(head)) return
  const inner = out.slice(from)
  const sum = totalOf(inner)
  const fits = comeTo(inner, head.step.end)
  if (inner.length > 0 && fits) {
    out.splice(out.indexOf(head), 1)
    noteStretch(work, head.draft.tokens, 'note', 'sum', 'the sum of what follows')
  } else if (inner.length > 0 && !leaveRest(sequence, head, inner)) {
    out.splice(out.indexOf(head), 1)
    const isMixed = sum.seconds > 0 && sum.metres > 0
    note(
      work,
      head.draft.tokens[0]!,
      isMixed ? 'note' : 'ask',
      'sum',
      isMixed ? 'a sum, not checked' : 'a sum that its parts do not come to',
    )
  }
}
