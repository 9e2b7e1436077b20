import { answerTo, ownNameAt } from '../token/own-words'
import type { Edge, Place } from './terminals'
import type { Token } from './token'

/** An own word is what the athlete said it is: no other reading of it is as likely. */
const costOfOwn = -0.5

function edgeOf(tokens: readonly Token[], to: number, noticed: Token['noticed']): Edge[] {
  const [first, ...others] = tokens
  return first ? [{ meaning: first, after: others, to, cost: costOfOwn, noticed }] : []
}

const noted = (from: number, to: number, means: string): Token['noticed'][number] => ({
  from,
  to,
  level: 'note',
  code: 'own-word',
  readAs: `${means}, one of your words`,
  fixes: [],
})

/** A name of the athlete's that stands at the place, read by what it means. */
function nameHere({ setting: { ownWords }, text, at, before }: Place, read: (words: string) => Token[]): Edge[] {
  const found = ownWords && ownNameAt(ownWords, text, at)
  if (!found) return []
  const { means } = found.word
  return edgeOf(read(before?.is === 'at' ? means.replace(/^\s*@/, '') : means), found.to, [noted(at, found.to, means)])
}

/** A reading whose questions were all answered before, read by the answers. */
function answered(edge: Edge, { setting: { ownWords }, line, at }: Place, read: (words: string) => Token[]): Edge | null {
  const asks = edge.noticed.filter(({ level }) => level === 'ask').sort((a, b) => a.from - b.from)
  if (!ownWords || ownWords.amounts.size === 0 || asks.length === 0) return null
  let words = ''
  let from = at
  const notes: Token['noticed'] = []
  for (const ask of asks) {
    const answer = answerTo(ownWords, line.slice(ask.from, ask.to))
    if (answer === null || ask.from < from) return null
    words += line.slice(from, ask.from) + answer
    from = ask.to
    notes.push(noted(ask.from, ask.to, answer))
  }
  const tokens = read(words + line.slice(from, edge.to))
  return tokens.some(token => token.noticed.some(({ level }) => level === 'ask')) ? null : (edgeOf(tokens, edge.to, notes)[0] ?? null)
}

/**
 * The readings at a place with what the athlete has said that words mean.
 *
 * @param read words as tokens, without own words, so that no meaning goes round in a circle
 */
export function withOwnWords(edges: Edge[], place: Place, read: (words: string) => Token[]): Edge[] {
  if (!place.setting.ownWords) return edges
  return [...nameHere(place, read), ...edges.map(edge => answered(edge, place, read) ?? edge)]
}
