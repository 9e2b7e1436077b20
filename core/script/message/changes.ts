import { printEnd } from '../print'
import type { Part } from './draft'
import { copied, isRest } from './nodes'
import type { Node, StepNode } from './nodes'
import { block } from './repeats'
import { note, saidBy, secondsLikely, totalOf } from './work'
import type { Sequence } from './work'

/** `2 min jog / 1 min walk for 21 min`: the steps in turn until the time is over. */
export function goOn(sequence: Sequence, part: Part & { part: 'span' }, begun: number): void {
  const { out, work } = sequence
  const nodes = out.splice(Math.min(sequence.turnsFrom ?? begun, out.length))
  const sum = totalOf(nodes)
  const times = part.seconds / sum.seconds
  if (nodes.length === 0) return void (work.fault ??= { code: 'nothing-before' })
  if (sum.metres > 0 || !Number.isInteger(times)) {
    const made = block(1, nodes.map(firm), nodes[0]!.line, true, [part.token])
    made.until = { seconds: part.seconds }
    out.push(made)
    return
  }
  out.push(
    nodes.length === 1 && nodes[0]!.node === 'step' && times === 1
      ? nodes[0]!
      : block(times, nodes.map(firm), nodes[0]!.line, true, [part.token]),
  )
}

/** `getting 10 s/mile faster each mile from 8:00`: a step for each mile. */
export function progress(sequence: Sequence, part: Part & { part: 'progress' }): void {
  const { out, work } = sequence
  const whole = out.at(-1)
  const end = whole?.node === 'step' ? whole.step.end : null
  if (whole?.node !== 'step' || end?.on !== 'distance' || end.unit !== part.unit || !Number.isInteger(end.value) || end.value > 60)
    return void (work.fault ??= { code: 'change' })
  const unit = part.unit === 'mi' ? ('s/mi' as const) : ('s/km' as const)
  const steps = Array.from({ length: end.value }, (_, index) => {
    const [copy] = copied([whole]) as [StepNode]
    const seconds = part.from + part.by * index
    copy.step.end = { on: 'distance', value: 1, unit: part.unit }
    copy.step.target = { of: 'pace', unit, easiest: seconds, hardest: seconds }
    return copy
  })
  if (steps.some(({ step }) => step.target && 'hardest' in step.target && (step.target.hardest ?? 0) <= 60))
    return void (work.fault ??= { code: 'change' })
  note(
    work,
    part.token,
    'note',
    'computed',
    `each ${part.unit === 'mi' ? 'mile' : 'km'} ${Math.abs(part.by)} s ${part.by < 0 ? 'faster' : 'slower'}`,
  )
  out.splice(-1, 1, ...steps)
}

/** `every 5 min a 30 s surge, 50 min in all`: within the easy step, as often as it fits; asked. */
export function comeEvery(sequence: Sequence, every: Part & { part: 'every' }): void {
  const { out, work } = sequence
  const steps = out.filter((node): node is StepNode => node.node === 'step')
  const [whole, surge] = [...steps].sort((a, b) => secondsLikely(b.step.end) - secondsLikely(a.step.end))
  const rounds = whole && whole.step.end.on === 'time' ? whole.step.end.seconds / every.seconds : 0
  const isFitting = surge?.step.end.on === 'time' && surge.step.end.seconds < every.seconds && Number.isInteger(rounds) && rounds > 1
  if (!whole || !surge || out.length !== steps.length || steps.length > 3 || !isFitting || surge.step.end.on !== 'time') {
    note(work, every.token, 'ask', 'every', 'how often, and within what, is not clear')
    return
  }
  const easy: StepNode = {
    ...whole,
    soft: undefined,
    step: { ...whole.step, role: 'recovery', end: { on: 'time', seconds: every.seconds - surge.step.end.seconds } },
  }
  delete easy.step.note
  const made = block(rounds, [surge, easy], whole.line, true, [every.token])
  made.doubt = { said: saidBy(work, [every.token]) }
  note(work, every.token, 'ask', 'every', `${rounds} rounds of ${printEnd(surge.step.end)} and the rest of each easy`)
  out.splice(0, out.length, made)
}

/** A step that goes on in turn with others is work or recovery by its own words. */
const firm = (node: Node): Node => (node.node === 'step' && node.soft === 'jog' ? { ...node, soft: undefined } : node)

/** Each round by some seconds shorter or longer than the one before: its clock, or what stands between. */
export function changeEach(sequence: Sequence, part: Part & { part: 'change' }): void {
  const { out, work } = sequence
  const last = out.at(-1)
  if (last?.node !== 'block' || last.times > 60) return void (work.fault ??= { code: 'change' })
  const rounds: Node[] = []
  for (let round = 0; round < last.times; round++) {
    for (const node of copied(last.nodes)) {
      if (node.node !== 'step') return void (work.fault ??= { code: 'change' })
      const { end } = node.step
      const isChanging = end.on === 'send-off' || (end.on === 'time' && isRest(node))
      if (isChanging) {
        const seconds = end.seconds + part.by * round
        if (seconds <= 0) return void (work.fault ??= { code: 'change' })
        node.step.end = { ...end, seconds }
      }
      rounds.push(node)
    }
  }
  while (last.isDropped && isRest(rounds.at(-1))) rounds.pop()
  note(work, part.token, 'note', 'computed', `each ${Math.abs(part.by)} s ${part.by < 0 ? 'less' : 'more'} than the one before`)
  out.splice(-1, 1, ...rounds)
}
