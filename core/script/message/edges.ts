import { copied } from './nodes'
import type { Node, StepNode } from './nodes'
import { closeScope } from './repeats'
import { firstOf, lastOf, note, saidBy } from './work'
import type { Sequence, Work } from './work'

type Edge = 'warm-up' | 'cool-down'

/** Reads what comes before what its line said so far: `6 x 20 s hills after 20 min easy`. */
export function readBefore(sequence: Sequence, read: () => void): void {
  const { out, scopes } = sequence
  while (scopes.at(-1)?.isInline) closeScope(sequence)
  const begun = out.length
  read()
  out.splice(Math.min(sequence.lineFrom, begun), 0, ...out.splice(begun))
}

const isEdge = (node: Node | undefined, role: Edge): node is StepNode => node?.node === 'step' && node.draft.role === role

/** What a warm-up comes before and a cool-down behind. */
const isMain = (node: Node) =>
  node.node === 'block' || (node.node === 'step' && node.step.role === 'work' && node.soft === undefined && node.draft.role === undefined)

/** `10 min WU/CD`: one length said of both. */
function isPair({ lines }: Work, one: Node | undefined, other: Node | undefined): boolean {
  if (!isEdge(one, 'warm-up') || !isEdge(other, 'cool-down') || (one.draft.lengths && other.draft.lengths)) return false
  const { line } = one
  const between = lines[line]?.slice(lastOf(one.draft.tokens, line), firstOf(other.draft.tokens, line)) ?? ''
  return line === other.line && !/[.;,:]/.test(between)
}

/** Gives the one that says no length the length of the other. */
function shareLength({ work }: Sequence, one: StepNode, other: StepNode): void {
  const [from, to] = one.draft.lengths ? [one, other] : [other, one]
  if (!from.draft.lengths) return
  const token = to.draft.tokens[0]!
  to.step.end = { ...from.step.end }
  work.result.noticed = work.result.noticed.filter(
    ({ line, noticed }) => !(line === token.line && noticed.code === 'open-end' && noticed.from === token.from),
  )
  note(work, token, 'note', 'computed', 'as long as the other')
}

function ask(work: Work, { step, draft }: StepNode, where: 'first' | 'last'): void {
  const { line } = draft.tokens[0]!
  const [from, to] = [firstOf(draft.tokens, line), lastOf(draft.tokens, line)]
  const said = saidBy(work, draft.tokens)
  const fixes = [where, 'here'].map(place => ({ label: place, replacement: `${said} ${place}` }))
  work.result.noticed.push({ line, noticed: { from, to, level: 'ask', code: 'order', readAs: `the ${step.role} comes ${where}`, fixes } })
  step.doubt ??= { said }
}

const isMisplaced = ({ draft }: StepNode, others: readonly Node[]) => draft.order !== 'here' && others.some(isMain)

function move({ out, work }: Sequence, node: StepNode, where: 'first' | 'last'): void {
  if (node.draft.order !== where) ask(work, node, where)
  out.splice(out.indexOf(node), 1)
  if (where === 'first') out.unshift(node)
  else out.push(node)
}

/** `10 min easy before and after`: once as the warm-up and once as the cool-down. */
function standAround({ out, work }: Sequence, node: StepNode): void {
  note(work, node.draft.tokens[0]!, 'note', 'computed', 'as warm-up and as cool-down')
  const [coolDown] = copied([node]) as [StepNode]
  out.splice(out.indexOf(node), 1)
  for (const [edge, role] of [
    [node, 'warm-up'],
    [coolDown, 'cool-down'],
  ] as const) {
    edge.step.role = role
    delete edge.soft
    delete edge.isBetween
  }
  out.unshift(node)
  out.push(coolDown)
}

/**
 * A warm-up comes first and a cool-down last: one said elsewhere is put there and asked about, but where the words settle it.
 */
export function placeEdges(sequence: Sequence): void {
  const { out, work } = sequence
  const [first] = out.flatMap(node => (node.node === 'step' ? node.draft.tokens.slice(0, 1) : []))
  if (first && work.settingAt(first).bySport) return
  for (const node of out.filter(node => node.node === 'step' && node.draft.order === 'around')) standAround(sequence, node as StepNode)
  for (const [index, node] of [...out.entries()]) {
    const other = out[index + 1]
    if (!isPair(work, node, other)) continue
    const [warmUp, coolDown] = [node as StepNode, other as StepNode]
    shareLength(sequence, warmUp, coolDown)
    warmUp.draft.order ??= 'first'
    coolDown.draft.order ??= 'last'
  }
  for (const node of out.filter((node): node is StepNode => isEdge(node, 'cool-down')))
    if (isMisplaced(node, out.slice(out.indexOf(node) + 1))) move(sequence, node, 'last')
  for (const node of out.filter((node): node is StepNode => isEdge(node, 'warm-up')).reverse())
    if (isMisplaced(node, out.slice(0, out.indexOf(node)))) move(sequence, node, 'first')
}
