import type { Block, Ceiling, Item, Repeat, Step } from '../../session/document'
import type { SoftWord } from '../token/soft-word'
import type { Draft } from './draft'
import type { Token } from './token'

/** A step with what its neighbours still decide. */
export interface StepNode {
  node: 'step'
  step: Step
  soft?: SoftWord | undefined
  draft: Draft
  line: number
  /** It was said to stand between others. */
  isBetween?: true
  /** It is all that its brackets hold. */
  isInBrackets?: true
  /** Listed with others as one ladder. */
  list?: object
}

export interface BlockNode {
  node: 'block'
  times: number
  /** Rounds until a distance or a time, instead of a count. */
  until?: Repeat
  doubt?: Step['doubt']
  nodes: Node[]
  /** What stands at the end of a round is left out after the last. */
  isDropped: boolean
  /** It was said what stands between its rounds. */
  hasBetween: boolean
  /** Its steps are the rounds that were said, with a target in turn. */
  hasTurns?: true
  /** Its steps were said in brackets. */
  isGroup: boolean
  note?: string
  ceiling?: Ceiling
  line: number
  /** What stands between its rounds stands between its steps too. */
  isEach?: true
  /** What said that it is a repeat. */
  tokens: Token[]
}

/** Words that could not be read, kept in their place. */
export interface UnreadNode {
  node: 'unread'
  text: string
  line: number
  from: number
  to: number
}

export type Node = StepNode | BlockNode | UnreadNode

/** Work that says only how long it is, so that what stands between such can be said once for all. */
export const isPlainWork = (node: Node | undefined): node is StepNode =>
  node?.node === 'step' && node.step.role === 'work' && node.soft === undefined && node.step.end.on !== 'press'

export const isRest = (node: Node | undefined): node is StepNode =>
  node?.node === 'step' && (node.step.role === 'recovery' || node.step.role === 'rest' || node.soft !== undefined)

type Span = Pick<Token, 'line' | 'from' | 'to'>

/** The stretches that a node was made of. */
export const spansOf = (node: Node): Span[] =>
  node.node === 'step' ? node.draft.tokens : node.node === 'unread' ? [node] : [...node.tokens, ...node.nodes.flatMap(spansOf)]

/** The items that nodes come to; the words whose role their place decides are told to `soft`. */
export function itemsOf(nodes: readonly Node[], soft: Map<Step, SoftWord>, place: (item: Item, node: Node) => void): Item[] {
  return nodes.map((node): Item => {
    if (node.node === 'unread') {
      const item: Item = { kind: 'unread', text: node.text.slice(0, 4000).trim() }
      place(item, node)
      return item
    }
    if (node.node === 'step') {
      if (node.soft) soft.set(node.step, node.soft)
      place(node.step, node)
      return node.step
    }
    const block: Block = {
      kind: 'block',
      repeat: node.until ?? { times: node.times },
      items: itemsOf(node.nodes, soft, place),
      ...(node.isDropped ? { lastRecovery: 'drop' as const } : {}),
      ...(node.doubt ? { doubt: node.doubt } : {}),
      ...(node.ceiling ? { ceiling: node.ceiling } : {}),
      ...(node.note ? { note: node.note } : {}),
    }
    place(block, node)
    return block
  })
}

/** The same nodes again, each step its own. */
export const copied = (nodes: readonly Node[]): Node[] =>
  nodes.map(node =>
    node.node === 'step'
      ? { ...node, step: structuredClone(node.step) }
      : node.node === 'unread'
        ? node
        : { ...node, nodes: copied(node.nodes) },
  )
