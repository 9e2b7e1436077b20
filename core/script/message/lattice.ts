import type { Setting } from '../token/scanner'
import { scan } from '../token/scanner'
import type { Edge } from './terminals'
import { edgesAt } from './terminals'
import { withOwnWords } from './own-reading'
import type { Meaning, Token } from './token'

interface Reached {
  cost: number
  token: Token | null
  before: Reached | null
}

const mostReadings = 4

/** The state that a reading leaves behind for the next: what stood just before it. */
const stateOf = (reached: Reached) => reached.token?.is ?? ''

/** `a five-minute effort`: the sign between a number and its unit is none. */
const joined = (text: string) =>
  text
    .replace(/(\d\s*)-(?=(?:minutes?|mins?|seconds?|secs?|hours?|miles?|km|metres?|meters?)\b)/gi, '$1 ')
    .replace(/(?<![\d.:])(\d{1,2}) (000|500)(?=\s*m\b)/g, '$1$2 ')

/** Lines read before, by the rules they were read by: while one line is typed all the others stay as they are. */
const knownLines = new Map<string, Token[]>()
const knownLinesAtMost = 4000

const keyOf = (raw: string, setting: Setting, start: number, end: number) => {
  const { sport, poolUnit, poolLength, paceUnit, preferredMeasure, ownWords } = setting
  return `${sport} ${poolLength ?? ''}${poolUnit} ${paceUnit} ${preferredMeasure} ${ownWords?.key ?? ''} ${start} ${end}\n${raw}`
}

/** The tokens of a line, or of a stretch of it, each time as its own. */
export function tokensOf(raw: string, line: number, setting: Setting, start: number, end = raw.length): Token[] {
  const key = keyOf(raw, setting, start, end)
  const known = knownLines.get(key) ?? cheapestTokens(raw, setting, start, end)
  if (knownLines.size >= knownLinesAtMost) knownLines.clear()
  knownLines.set(key, known)
  return known.map(token => ({ ...token, line }))
}

/**
 * The cheapest way to read a line as tokens. Each place of the line has several readings; what each costs depends on the one
 * before it alone, so that the cheapest whole is found in one pass from left to right.
 *
 * @param ahead what stands before the first of its words
 */
function cheapestTokens(raw: string, setting: Setting, start: number, end: number, ahead: Token | null = null): Token[] {
  const line = 0
  const text = joined(scan(raw, setting).text)
  const bracketed: boolean[] = []
  let depth = 0
  for (const letter of text) {
    if ('([{'.includes(letter)) depth++
    if (')]}'.includes(letter)) depth--
    for (let unit = 0; unit < letter.length; unit++) bracketed.push(depth > 0)
  }
  const isOnTreadmill = /\b(?:treadmill|TM|grade|incline|gradient|hills?|uphill|climbs?)\b/i.test(text)
  const firstWord = start + text.slice(start).length - text.slice(start).trimStart().length
  const reached: Map<string, Reached>[] = Array.from({ length: raw.length + 1 }, () => new Map())
  reached[start]!.set('', { cost: 0, token: ahead, before: null })
  let last: Reached | null = null
  const readOwn = (before: Token | null) => (words: string) =>
    cheapestTokens(words, { ...setting, ownWords: undefined }, 0, words.length, before)
  for (let at = start; at <= end; at++) {
    const here = [...reached[at]!.values()].sort((a, b) => a.cost - b.cost).slice(0, mostReadings)
    if (here.length === 0) continue
    let next = at
    while (text[next] === ' ') next++
    if (next >= end) {
      if (!last || here[0]!.cost < last.cost) last = here[0]!
      continue
    }
    const known = new Map<string, Edge[]>()
    for (const state of here) {
      const place = {
        setting,
        line: raw,
        text,
        at: next,
        before: state.token,
        isOnTreadmill,
        isBracketed: bracketed[next] ?? false,
        isFirst: next === firstWord,
      }
      const edges = known.get(stateOf(state)) ?? withOwnWords(edgesAt(place), place, readOwn(state.token))
      known.set(stateOf(state), edges)
      for (const edge of edges) {
        if (edge.to > end) continue
        const cost = state.cost + edge.cost + pairCost(state.token, edge.meaning)
        const token = { ...edge.meaning, line, from: next, to: edge.to, cost: edge.cost, noticed: edge.noticed } as Token
        let entry: Reached = { cost, token, before: state }
        for (const meaning of edge.after ?? [])
          entry = { cost, token: { ...meaning, line, from: next, to: edge.to, cost: 0, noticed: [] }, before: entry }
        const key = stateOf(entry)
        const rival = reached[edge.to]!.get(key)
        if (!rival || rival.cost > cost) reached[edge.to]!.set(key, entry)
      }
    }
  }
  const tokens: Token[] = []
  for (let entry = last; entry?.before && entry.token; entry = entry.before) tokens.unshift(entry.token)
  return tokens
}

/** What a sign for `at` stands before. */
const aims = new Set<Meaning['is']>(['target', 'target-list', 'clock', 'grade'])

/** What two neighbours cost beside each other. */
function pairCost(before: Token | null, after: Meaning): number {
  if (before?.is === 'at') return aims.has(after.is) ? 0 : after.is === 'note' ? 0.5 : 4
  if (before?.is === 'count' && after.is === 'length' && after.isSpaced) return 3
  if (before?.is === 'count' && (after.is === 'length' || after.is === 'open')) return -0.3
  if (before?.is === 'length' && after.is === 'length') return 1
  if ((before?.is === 'length' || before?.is === 'mark') && after.is === 'share' && after.isOfTime) return 2
  if ((before?.is === 'role' || before?.is === 'with') && after.is === 'length') return -0.3
  return 0
}
