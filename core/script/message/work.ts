import { toMetres } from '../../quantity/distance'
import type { Ceiling, End, Repeat, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { sayFault } from '../../words/faults'
import type { Fault } from '../../words/faults'
import type { Noticed, Setting } from '../token/scanner'
import type { Clause, Draft, Part } from './draft'
import { isRest } from './nodes'
import type { Node, StepNode, UnreadNode } from './nodes'
import type { Token } from './token'

/** What is put together from a message, and what was noticed on the way. */
export interface Composition {
  nodes: Node[]
  noticed: { line: number; noticed: Noticed }[]
  ceiling?: Ceiling
  /** Words that no step takes. */
  leftOver: Token[]
}

/** A repeat whose steps still come. */
interface Scope {
  times: number
  from: number
  /** A scope begun within its line ends with it; one on a line of its own goes on below. */
  isInline: boolean
  line: number
  token: Token
  doubt?: Step['doubt'] | undefined
  until?: Repeat
}

export interface Work {
  /** Why the clause now read cannot be. */
  fault?: Fault | undefined
  /** What the reader goes by at a place of the message. */
  settingAt: (token: Token) => Setting
  lines: readonly string[]
  result: Composition
  /** The unit that a stated sum gave to numbers without one. */
  unit: 'mi' | 'km' | 'min' | null
  /** Puts together what stands in brackets. */
  composeInner: (clauses: readonly Clause[]) => Node[]
}

export interface Sequence {
  work: Work
  out: Node[]
  scopes: Scope[]
  /** Where in `out` the line and the clause now read began. */
  lineFrom: number
  line: number
  /** Portions said before the repeat they are of. */
  rounds: { first: number; final: number; draft: Draft | null }[]
  /** The sum said in front of the steps it is made of. */
  head: StepNode | null
  /** Where in `out` its parts begin. */
  headFrom: number
  /** How hard the rest of the line is, said in front of it. */
  aim: Draft | null
  /** Strides whose count and length still come. */
  strides: Draft | null
  /** Portions were said of no whole: each is a step. */
  hasNoWhole?: true
  /** Where the steps began that go on in turn. */
  turnsFrom: number | null
  /** How often something comes within an easy step. */
  every: (Part & { part: 'every' }) | null
  isInside: boolean
}

/** How deep repeats and brackets are followed: past what a session may hold, so that its own check says what is too much. */
export const deepestRead = limits.nesting + 2

export const newSequence = (work: Work, isInside: boolean): Sequence => ({
  work,
  out: [],
  scopes: [],
  lineFrom: 0,
  line: -1,
  rounds: [],
  isInside,
  head: null,
  headFrom: 0,
  aim: null,
  strides: null,
  turnsFrom: null,
  every: null,
})

/** To a thousandth, in whatever unit: what halves and shares leave beyond that is noise. */
export const rounded = (value: number) => Math.round(value * 1000) / 1000

export function note(work: Work, token: Token, level: Noticed['level'], code: string, readAs: string, fixes: Noticed['fixes'] = []): void {
  work.result.noticed.push({ line: token.line, noticed: { from: token.from, to: token.to, level, code, readAs, fixes } })
}

/** Says something of all that tokens of one line cover. */
export function noteStretch(work: Work, tokens: readonly Token[], level: Noticed['level'], code: string, readAs: string): void {
  const { line } = tokens[0]!
  work.result.noticed.push({ line, noticed: { from: firstOf(tokens, line), to: lastOf(tokens, line), level, code, readAs, fixes: [] } })
}

/** The words of tokens that stand in one line, with what is between them. */
export const saidBy = (work: Work, tokens: readonly Token[]) => {
  const { line } = tokens[0]!
  return work.lines[line]!.slice(firstOf(tokens, line), lastOf(tokens, line)).trim()
}

/** Hands on what was noticed while the words of a draft were read. */
export function tell(work: Work, draft: Draft): void {
  for (const token of draft.tokens) for (const noticed of token.noticed) work.result.noticed.push({ line: token.line, noticed })
}

/** Where the tokens of a line begin, in UTF-16 units from its start. */
export const firstOf = (tokens: readonly Token[], line: number) =>
  Math.min(...tokens.filter(token => token.line === line).map(token => token.from))

/** Where the tokens of a line end, in UTF-16 units from its start. */
export const lastOf = (tokens: readonly Token[], line: number) =>
  Math.max(...tokens.filter(token => token.line === line).map(token => token.to))

const nothing = { seconds: 0, metres: 0 }
/** The recoveries and rests that a round ends with. */
const closingRests = (nodes: readonly Node[]) => nodes.slice(nodes.findLastIndex(node => !isRest(node)) + 1)

/**
 * Seconds and metres of nodes in all, as far as they say them; a send-off counts its distance.
 *
 * @param isDropping leaves out what a repeat drops after its last round; who adds up in the head counts it
 */
export const totalOf = (nodes: readonly Node[], isDropping = true): { seconds: number; metres: number } =>
  nodes.reduce(
    (sum, node) => {
      const own = node.node === 'block' ? totalOf(node.nodes, isDropping) : lengthOf(node)
      const times = node.node === 'block' ? node.times : 1
      const left = node.node === 'block' && isDropping && node.isDropped ? totalOf(closingRests(node.nodes)) : nothing
      return { seconds: sum.seconds + own.seconds * times - left.seconds, metres: sum.metres + own.metres * times - left.metres }
    },
    { seconds: 0, metres: 0 },
  )

/** Adds words to a note behind what it says already. */
export function addWords(holder: { note?: string }, words: string): void {
  holder.note = [holder.note, words].filter(Boolean).join(', ')
}

const lengthOf = (node: StepNode | UnreadNode) =>
  node.node === 'unread'
    ? { seconds: 0, metres: 0 }
    : { seconds: node.step.end.on === 'time' ? node.step.end.seconds : 0, metres: metresIn(node.step.end) }

export const metresIn = (end: End) => (end.on === 'distance' || end.on === 'send-off' ? toMetres(end) : 0)

export function unread(work: Work, tokens: readonly Token[], line: number, fault: Fault): UnreadNode {
  const raw = work.lines[line]!
  const [from, to] =
    tokens.length > 0 ? [firstOf(tokens, line), lastOf(tokens, line)] : [raw.length - raw.trimStart().length, raw.trimEnd().length]
  work.result.noticed.push({
    line,
    noticed: {
      from,
      to,
      level: 'error',
      code: fault.code === 'empty-repeat' ? 'empty-block' : 'unreadable',
      readAs: sayFault(fault),
      fixes: [],
    },
  })
  return { node: 'unread', text: raw.slice(from, to).trim(), line, from, to }
}

/** Words of a clause that is talk: kept as they are. */
export function leaveOver(work: Work, draft: Draft): void {
  for (const { line, from, to, cost, noticed } of draft.tokens)
    work.result.leftOver.push({ is: 'unknown', words: work.lines[line]!.slice(from, to), line, from, to, cost, noticed })
}

export const secondsLikely = (end: End) => (end.on === 'time' ? end.seconds : end.on === 'distance' ? metresIn(end) * 0.3 : 0)

export const saidOf = (work: Work, draft: Draft) =>
  work.lines[draft.tokens[0]!.line]!.slice(draft.tokens[0]!.from, draft.tokens.at(-1)!.to).trim()
