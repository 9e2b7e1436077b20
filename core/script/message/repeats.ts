import type { Step } from '../../session/document'
import { attach } from './attach'
import type { Draft, Part } from './draft'
import { copied, isRest } from './nodes'
import type { BlockNode, Node, StepNode } from './nodes'
import type { Token } from './token'
import { note, saidBy, unread } from './work'
import type { Sequence } from './work'

/** A repeat of nodes, so many times; `line` is the index of the line that says it. */
export function block(
  times: number,
  nodes: Node[],
  line: number,
  isGroup: boolean,
  tokens: Token[] = [],
  doubt?: Step['doubt'],
): BlockNode {
  return { node: 'block', times, nodes, isDropped: false, hasBetween: false, isGroup, line, tokens, ...(doubt ? { doubt } : {}) }
}

export function closeScope(sequence: Sequence): BlockNode | null {
  const scope = sequence.scopes.pop()!
  const nodes = sequence.out.splice(scope.from)
  if (nodes.length === 0) {
    sequence.out.push(unread(sequence.work, [scope.token], scope.line, { code: 'empty-repeat' }))
    return null
  }
  const made = block(scope.times, nodes, scope.line, true, [scope.token], scope.doubt)
  if (scope.until) made.until = scope.until
  sequence.out.push(made)
  sequence.lineFrom = Math.min(sequence.lineFrom, sequence.out.length - 1)
  return made
}

/** An easy step that a session begins with is before its repeats. */
const isEasyStart = (node: Node) => node.node === 'step' && node.soft === 'easy'

const isEdge = (node: Node) => node.node === 'step' && (node.step.role === 'warm-up' || node.step.role === 'cool-down')

/** Repeats what the line, or for a count on a line of its own the lines above, said so far. */
export function again(sequence: Sequence, part: Part & { part: 'count' }, isAlone: boolean, begun: number, isGroupBefore: boolean): void {
  const { out, work } = sequence
  let from = isAlone ? 0 : Math.min(sequence.lineFrom, out.length)
  const scope = sequence.scopes.at(-1)
  if (scope) from = Math.max(from, scope.from)
  const start = out[sequence.head ? sequence.headFrom : 0]
  const isBeforeRepeat = (node: Node) => isEdge(node) || node === sequence.head || (node === start && isEasyStart(node) && out.length > 1)
  while (!isGroupBefore && from < out.length && isBeforeRepeat(out[from]!)) from++
  if (isGroupBefore) from = Math.max(from, begun)
  const last = out.at(-1)
  if (last?.node === 'step' && last.list) {
    while (from < out.length && !(out[from]!.node === 'step' && (out[from] as StepNode).list === last.list)) from++
  }
  const nodes = out.splice(from)
  if (nodes.length === 0) return void (work.fault ??= { code: 'nothing-before' })
  const closing = nodes.at(-1)
  const repeat = block(part.times, nodes, nodes[0]!.line, nodes.length > 1, [part.token], rangeDoubt(sequence, part))
  if (closing?.node === 'step' && closing.isBetween) Object.assign(repeat, { isDropped: true, hasBetween: true })
  out.push(repeat)
}

export function rangeDoubt({ work }: Sequence, { most, times, token }: Part & { part: 'count' }): Step['doubt'] | undefined {
  if (most === undefined) return undefined
  const said = saidBy(work, [token])
  note(
    work,
    token,
    'ask',
    'count-range',
    `${times} times`,
    [times, most].map(count => ({ label: `${count} times`, replacement: `${count} x` })),
  )
  return { said, others: [`${most} times`] }
}

/** `4 x 100 on 2:00/1:55/1:50/1:45`: a round for each clock. */
export const stepped = (made: StepNode[], clocks: readonly number[]): Node[] =>
  clocks.map(seconds => {
    const [copy] = copied([made[0]!]) as [StepNode]
    if (copy.step.end.on === 'send-off') copy.step.end = { ...copy.step.end, seconds }
    return copy
  })

/** A round for each target in turn, in as many repeats as they come round; what stands between is said once for all of them. */
export function takingTurns(draft: Draft, made: StepNode[], count: Part & { part: 'count' }): BlockNode {
  const turns = draft.turns!
  const times = count.times % turns.length === 0 ? count.times / turns.length : 1
  const rounds = Array.from({ length: count.times / times }, (_, round) => {
    const [copy] = copied([made[0]!]) as [StepNode]
    copy.step.target = turns[round % turns.length]!
    return copy
  })
  return { ...block(times, rounds, made[0]!.line, true, [count.token]), hasTurns: true }
}

/** Turns that come once only stand without a repeat, the recovery behind the last of them left out where it was between. */
export function unwrapTurns({ out }: Sequence): void {
  for (const node of out.filter(node => node.node === 'block' && node.hasTurns && node.times === 1) as BlockNode[]) {
    const { nodes } = node
    if (node.isDropped && isRest(nodes.at(-1))) nodes.pop()
    out.splice(out.indexOf(node), 1, ...nodes)
  }
}

/** `Reps 1-4 @ 10k, reps 5-8 @ 5k: 8 x 600`: the repeat in as many as there are portions. */
export function splitRounds(sequence: Sequence, whole: BlockNode): Node[] {
  const portions = sequence.rounds.splice(0)
  const isWhole = portions.reduce((sum, { first, final }) => sum + final - first + 1, 0) === whole.times
  if (!isWhole) {
    sequence.work.fault ??= { code: 'rounds' }
    return [whole]
  }
  return portions.map(({ first, final, draft }) => {
    const [part] = copied([whole]) as [BlockNode]
    part.times = final - first + 1
    part.isDropped = whole.isDropped && final === whole.times
    for (const node of part.nodes) if (node.node === 'step' && draft && !isRest(node)) attach(sequence, draft, node)
    return part
  })
}
