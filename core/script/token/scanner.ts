import type { Sport } from '../../session/document'
import type { Fix, RemarkLevel } from '../remark'
import type { OwnWords } from './own-words'
import { fold } from './fold'

/** A remark whose column is still counted within the line being read, from 0. */
export interface Noticed {
  from: number
  to: number
  level: RemarkLevel
  code: string
  readAs: string
  fixes: Fix[]
}

/** What the reader knows beside the words themselves. */
export interface Setting {
  sport: Sport
  poolUnit: 'm' | 'yd'
  /** One length of the pool in its unit, where the text says it. */
  poolLength?: number
  paceUnit: 's/km' | 's/mi' | 's/100m' | 's/100yd'
  preferredMeasure: 'pace' | 'heart-rate' | 'power'
  /** What the athlete has said that words mean. */
  ownWords?: OwnWords | undefined
  /** Set where the pieces name several sports: what to go by in each. */
  bySport?: Record<Sport, Setting>
}

/** A place in one line. `text` is folded for matching, `raw` is as typed; both have the same length. */
export interface Scanner {
  readonly raw: string
  readonly text: string
  setting: Setting
  /** Only canonical words count: a first reading that decides whether the row is canonical. */
  readonly strict: boolean
  at: number
  noticed: Noticed[]
}

export function scan(raw: string, setting: Setting, at = 0, strict = false): Scanner {
  return { raw, text: strict ? raw : fold(raw), setting, strict, at, noticed: [] }
}

export function skipSpaces(scanner: Scanner): void {
  while (scanner.text[scanner.at] === ' ') scanner.at++
}

/** The next letter or sign, in lower case; empty at the end. It tells most readings off before they are tried. */
export function upcoming(scanner: Scanner): string {
  const { text } = scanner
  let at = scanner.at
  while (text[at] === ' ') at++
  return (text[at] ?? '').toLowerCase()
}

/** Takes the pattern (sticky) at the next word, or leaves the scanner where it is. */
export function take(scanner: Scanner, pattern: RegExp): RegExpExecArray | null {
  const before = scanner.at
  skipSpaces(scanner)
  pattern.lastIndex = scanner.at
  const match = pattern.exec(scanner.text)
  if (!match) {
    scanner.at = before
    return null
  }
  scanner.at += match[0].length
  return match
}

/** A word in one of its spellings, with the letters or digits that its spellings begin with. */
export type Form<T> = readonly [starts: string, pattern: RegExp, value: T]

/** The value of the first form that stands at the next word; only forms that can begin so are tried. */
export function firstOf<T>(scanner: Scanner, forms: readonly Form<T>[]): T | undefined {
  const next = upcoming(scanner)
  if (next === '') return undefined
  for (const [starts, pattern, value] of forms) {
    if (starts.includes(next) && take(scanner, pattern)) return value
  }
  return undefined
}

/** Whether the pattern (sticky) stands at the next word. */
export function sees(scanner: Scanner, pattern: RegExp): boolean {
  const before = scanner.at
  const found = take(scanner, pattern) !== null
  scanner.at = before
  return found
}

/** Runs a reading that may fail; a failure (null) leaves neither a moved place nor a remark behind. */
export function attempt<T>(scanner: Scanner, reading: (scanner: Scanner) => T | null): T | null {
  const at = scanner.at
  const count = scanner.noticed.length
  const result = reading(scanner)
  if (result === null) {
    scanner.at = at
    if (scanner.noticed.length > count) scanner.noticed.length = count
  }
  return result
}

export function notice(scanner: Scanner, from: number, level: RemarkLevel, code: string, readAs: string, fixes: Fix[] = []): void {
  let start = from
  while (scanner.text[start] === ' ') start++
  scanner.noticed.push({ from: start, to: scanner.at, level, code, readAs, fixes })
}

export const saidBetween = (scanner: Scanner, from: number) => scanner.raw.slice(from, scanner.at).trim()

/** Whether a letter can begin a number. */
export const isNumberStart = (letter: string) =>
  (letter >= '0' && letter <= '9') || letter === '\u00BD' || letter === '\u00BC' || letter === '\u00BE'
