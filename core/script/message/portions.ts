import { metresPer, toMetres } from '../../quantity/distance'
import type { End } from '../../session/document'
import type { Draft } from './draft'
import { copied, isPlainWork } from './nodes'
import type { BlockNode, StepNode } from './nodes'
import { lineOf, stepOf, nodesOf, shareOf } from './steps'
import { addWords, metresIn, note, noteStretch, rounded, saidOf, tell, totalOf } from './work'
import type { Sequence } from './work'

/** `last 15 min @ MP`, `first 4 easy`, `last two`: a part of what was said before it. */
export function takePortion(sequence: Sequence, draft: Draft): void {
  const { work, out } = sequence
  const whole = out.at(-1)
  if (whole?.node === 'block') {
    const length = draft.lengths?.[0]
    if (!draft.target || !length || !('bare' in length) || length.bare >= whole.times) {
      addWords(whole, saidOf(work, draft))
      whole.tokens.push(...draft.tokens)
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
  if (!holder || !draft.lengths) return void (work.fault ??= { code: 'portion' })
  const unit = holder.step.end.on === 'distance' ? holder.step.end.unit : null
  const [length] = draft.lengths
  const end: End =
    'end' in length! ? length.end : unit ? { on: 'distance', value: length!.bare, unit } : { on: 'time', seconds: length!.bare * 60 }
  const { end: from } = holder.step
  const [own, left] = [stepOf(work, draft, end, undefined), leftOf(from, end)]
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

function leftOf(whole: End, part: End): End | 'none' | null {
  if (whole.on === 'time' && part.on === 'time') {
    const seconds = rounded(whole.seconds - part.seconds)
    return seconds < 0 ? null : seconds === 0 ? 'none' : { on: 'time', seconds }
  }
  if (whole.on !== 'distance' || part.on !== 'distance') return null
  const value = rounded((toMetres(whole) - toMetres(part)) / metresPer[whole.unit])
  return value < 0 ? null : value === 0 ? 'none' : { on: 'distance', value, unit: whole.unit }
}

/** A sum said in front, as in `8 mi total:`: the steps behind it are what it is made of. */
export function takeSum(sequence: Sequence, head: StepNode, from: number): void {
  const { out, work } = sequence
  if (!out.includes(head)) return
  const inner = out.slice(from)
  const sum = totalOf(inner)
  const { end } = head.step
  const fits = end.on === 'time' ? sum.metres === 0 && Math.abs(sum.seconds - end.seconds) < 1 : Math.abs(sum.metres - metresIn(end)) < 1
  if (inner.length > 0 && fits) {
    out.splice(out.indexOf(head), 1)
    noteStretch(work, head.draft.tokens, 'note', 'sum', 'the sum of what follows')
  } else if (inner.length > 0) {
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
