import type { OwnWord } from '../../athlete/athlete'
import { fold } from './fold'

/** An athlete's own words, ready to be found in a line. */
export interface OwnWords {
  /** Two settings with the same words have the same key. */
  readonly key: string
  /** Words that are no amounts, the longest first: they stand for their meaning wherever they stand whole. */
  readonly names: readonly { readonly pattern: RegExp; readonly word: OwnWord }[]
  /** Answers to what an amount is, by the amount: they are asked for where a reading is in doubt. */
  readonly amounts: ReadonlyMap<string, string>
  /** The same by what stands behind the number, with what is meant by it. */
  readonly units: ReadonlyMap<string, string>
}

const amount = /^(\d+(?:[.,]\d+)?)\s*(\D.*)$/
const folded = (words: string) => fold(words).trim().replace(/\s+/g, ' ').toLowerCase()
const escaped = (words: string) => words.replace(/[.*+?^${}()|[\]\\/-]/g, String.raw`\$&`)

/** Number and unit of words such as `5m`; null for others. */
function amountOf(words: string): { number: string; unit: string } | null {
  const match = amount.exec(folded(words))
  return match && { number: match[1]!, unit: match[2]! }
}

/** `5m` and `5 min` teach a unit: the number is the same on both sides, and none stands beside it. */
function unitOf({ said, means }: OwnWord): OwnWord | null {
  const [from, to] = [amountOf(said), amountOf(means)]
  return from && to && from.number === to.number && !/\d/.test(from.unit + to.unit) ? { said: from.unit, means: to.unit } : null
}

/** A single letter is a sign, and means what it does in its own case alone. */
const patternFor = (said: string) =>
  new RegExp(
    String.raw`(?<![\p{L}\p{N}_])${escaped(said.trim()).replace(/\s+/g, String.raw`\s+`)}(?![\p{L}\p{N}_])`,
    said.trim().length === 1 ? 'uy' : 'iuy',
  )

const known = new WeakMap<readonly OwnWord[], OwnWords>()

/** The words of an athlete, sorted by how they are looked for; undefined where there are none. */
export function ownWordsOf(words: readonly OwnWord[] | undefined): OwnWords | undefined {
  if (!words || words.length === 0) return undefined
  const before = known.get(words)
  if (before) return before
  const isAmount = ({ said }: OwnWord) => /^\d/.test(said.trim())
  const names = words
    .filter(word => !isAmount(word) && word.said.trim() !== '')
    .sort((a, b) => b.said.length - a.said.length)
    .map(word => ({ pattern: patternFor(fold(word.said)), word }))
  const amounts = new Map<string, string>()
  const units = new Map<string, string>()
  for (const word of words.filter(isAmount)) {
    amounts.set(folded(word.said), word.means)
    const unit = unitOf(word)
    if (unit) units.set(unit.said, unit.means)
  }
  const own = { key: JSON.stringify(words), names, amounts, units }
  known.set(words, own)
  return own
}

/** The own word that begins at a place of a folded line, and what it means. */
export function ownNameAt(own: OwnWords, text: string, at: number): { to: number; word: OwnWord } | null {
  for (const { pattern, word } of own.names) {
    pattern.lastIndex = at
    const match = pattern.exec(text)
    if (match) return { to: at + match[0].length, word }
  }
  return null
}

/** Whether a line says one of the athlete's names as more than a part of its talk. */
export function saysOwnName(own: OwnWords | undefined, line: string): boolean {
  if (!own || own.names.length === 0) return false
  const text = fold(line)
  for (let at = 0; at < text.length; at++) {
    const found = ownNameAt(own, text, at)
    if (found) return (text.slice(0, at) + text.slice(found.to)).split(/[^\p{L}]+/u).filter(Boolean).length < 4
  }
  return false
}

/**
 * What the athlete answered before where a reading of these words was in doubt; null where they never did.
 *
 * @example answerTo(ownWordsOf([{ said: '5m', means: '5 min' }])!, '8m') // '8 min'
 */
export function answerTo(own: OwnWords, said: string): string | null {
  const exact = own.amounts.get(folded(said))
  if (exact !== undefined) return exact
  const parts = amountOf(said)
  const unit = parts && own.units.get(parts.unit)
  return parts && unit !== undefined ? `${parts.number} ${unit}` : null
}

const clock = /^(?:(\d+):)?(\d+):([0-5]\d)$/
const timeUnits = [
  [1, 's'],
  [60, 'min'],
  [3600, 'h'],
] as const

/** `5m` answered by `5:00` is five minutes: said by its unit, the answer holds for other numbers too. */
function spokenAs(said: string, answer: string): string {
  const means = answer.replace(/^\s*@/, '').trim()
  const [parts, match] = [amountOf(said), clock.exec(means)]
  if (!parts || !match) return means
  const seconds = Number(match[1] ?? 0) * 3600 + Number(match[2]) * 60 + Number(match[3])
  const unit = timeUnits.find(([factor]) => Number(parts.number.replace(',', '.')) * factor === seconds)
  return unit ? `${parts.number} ${unit[1]}` : means
}

/** At most so many characters are kept as one word, on either side. */
export const ownWordLength = 80

/** What an answer would teach: the words asked about, and what they were said to mean. Null where they are no words for once more. */
export function lessonOf(said: string, answer: string): OwnWord | null {
  const means = spokenAs(said, answer)
  const isWord = (words: string) => words !== '' && words.length <= ownWordLength && !words.includes('\n')
  return isWord(said.trim()) && isWord(means) && folded(said) !== folded(means) ? { said: said.trim(), means } : null
}

/** The words without one of them, and without other spellings of it. */
export const withoutOwnWord = (words: readonly OwnWord[] | undefined, said: string): OwnWord[] =>
  (words ?? []).filter(word => folded(word.said) !== folded(said))

/** The words with one more; what was said of the same words before is forgotten. */
export const withOwnWord = (words: readonly OwnWord[] | undefined, word: OwnWord): OwnWord[] => [...withoutOwnWord(words, word.said), word]
