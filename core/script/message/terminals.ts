import type { Scanner, Setting } from '../token/scanner'
import { sees, take } from '../token/scanner'
import {
  betweenClocks,
  bracketedClock,
  cappedAt,
  capAt,
  clockAt,
  clockRange,
  gradeAt,
  overAt,
  ownTimeAt,
  poolAt,
  sendOffAt,
  swimAt,
  targetAt,
  timesAt,
  tempoAt,
} from './beside'
import { changeAt, countAt, everyAt, progressAt, roundsAt, spanAt, untilAt } from './counts'
import { effortAt } from './efforts'
import { bareAt, lengthAt, letteredAt, listAt, outOfBoundsAt, pairAt, runWalkAt, unitAlone } from './lengths'
import type { Entry } from './lexicon'
import { fuelAt, fuelByDistance } from './fuel'
import { targetListAt } from './target-list'
import { choices, fillers, manners, talk, untils } from './kept-words'
import { atThePool, everywhere, places } from './lexicon'
import type { Meaning, Token } from './token'

/** A place of a line at which words are read. */
export interface Place {
  setting: Setting
  line: string
  /** The line folded, as long as the line itself. */
  text: string
  at: number
  before: Meaning | null
  isOnTreadmill: boolean
  isBracketed: boolean
  /** It is where the line's first word begins. */
  isFirst: boolean
}

/** One reading of the words at a place: what they mean, how far they go, what they cost. */
export interface Edge {
  meaning: Meaning
  /** What it means further, where the words stand for several tokens. */
  after?: readonly Meaning[]
  to: number
  cost: number
  noticed: Token['noticed']
}

interface Terminal {
  read: (scanner: Scanner, place: Place) => Meaning | null
  cost: number | ((place: Place) => number)
  when?: (place: Place) => boolean
}

/** A word for how hard is due here. */
const isAfterAt = ({ before }: Place) => before?.is === 'at' || before?.is === 'alternating'
const isSwim = ({ setting }: Place) => setting.sport === 'swim'
const fault = (pattern: RegExp, make: (said: string) => Meaning) => (scanner: Scanner) => {
  const match = take(scanner, pattern)
  return match && make(match[0])
}

/** What is read by more than its spelling, each with its price; a word that is sure costs less than one that may be another. */
const terminals: readonly Terminal[] = [
  { read: countAt, cost: 0.5 },
  { read: untilAt, cost: 0.4 },
  { read: roundsAt, cost: 0.5 },
  { read: sendOffAt, cost: place => (isSwim(place) ? 0.4 : 0.9) },
  { read: (scanner, place) => gradeAt(scanner, place.isOnTreadmill), cost: 0.6 },
  { read: capAt, cost: 0.4 },
  { read: cappedAt, cost: 0.4 },
  { read: (scanner, place) => effortAt(scanner, isAfterAt(place)), cost: place => (isAfterAt(place) ? 0.2 : 0.7) },
  { read: targetListAt, cost: 0.1, when: isAfterAt },
  { read: (scanner, place) => targetAt(scanner, isAfterAt(place)), cost: 0.5 },
  { read: scanner => clockAt(scanner, false), cost: 0.6, when: isAfterAt },
  { read: clockRange, cost: 0.5, when: ({ before }) => before?.is === 'length' },
  { read: bracketedClock, cost: 0.9, when: place => place.isBracketed },
  { read: ownTimeAt, cost: 0.4 },
  { read: overAt, cost: 0.2, when: ({ before }) => before?.is === 'target' && before.target.to !== undefined },
  { read: betweenClocks, cost: 0.3, when: ({ setting }) => setting.sport !== 'ride' },
  { read: timesAt, cost: 0.4, when: ({ setting }) => setting.sport !== 'ride' },
  { read: fuelAt, cost: 0.2 },
  { read: fuelByDistance, cost: 0.2 },
  { read: fault(/-(?=\d)/y, () => ({ is: 'fault', fault: { code: 'not-positive' } })), cost: 0, when: place => place.isFirst },
  { read: spanAt, cost: 0.6 },
  { read: changeAt, cost: 0.4 },
  { read: progressAt, cost: 0.2 },
  { read: everyAt, cost: 0.6, when: ({ before }) => before?.is !== 'length' },
  { read: runWalkAt, cost: 0.3 },
  { read: letteredAt, cost: 0, when: isSwim },
  { read: pairAt, cost: 0.6 },
  { read: listAt, cost: 0.8 },
  { read: lengthAt, cost: 1 },
  { read: unitAlone, cost: 0.5, when: ({ before }) => before?.is === 'portion' },
  { read: bareAt, cost: 2 },
  { read: outOfBoundsAt, cost: 2 },
  { read: poolAt, cost: 0.3 },
  { read: tempoAt, cost: 0 },
  { read: swimAt, cost: 0.9, when: isSwim },
  { read: fault(choices, () => ({ is: 'fault', fault: { code: 'choice' } })), cost: 2 },
  { read: fault(untils, () => ({ is: 'fault', fault: { code: 'until-what' } })), cost: 2 },
  { read: fault(/\d+(?:[.,:]\d+)*\S*/y, said => ({ is: 'fault', fault: { code: 'number', words: said } })), cost: 12 },
]

/** Words kept as they are said: about the step, or about nothing in it. */
const kept: readonly (readonly [pattern: RegExp, is: 'note' | 'unknown', cost: number])[] = [
  [manners, 'note', 1],
  [talk, 'unknown', 1],
  [/\p{L}[\p{L}\d'\u2019-]*/uy, 'unknown', 3],
]

/** Everything that can be read at one place of the line, each with what it costs; a question costs one more. */
export function edgesAt(place: Place): Edge[] {
  const { line, text, setting, at } = place
  const edges: Edge[] = []
  const scanner: Scanner = { raw: line, text, setting, strict: false, at, noticed: [] }
  const tryOne = (read: (scanner: Scanner) => Meaning | null, cost: number) => {
    scanner.at = at
    const meaning = read(scanner)
    const { noticed } = scanner
    if (noticed.length > 0) scanner.noticed = []
    if (!meaning || scanner.at <= at) return
    const asks = noticed.filter(one => one.level === 'ask').length
    edges.push({ meaning, to: scanner.at, cost: cost + asks, noticed: noticed.length > 0 ? noticed : [] })
  }
  const add = (meaning: Meaning, to: number, cost: number) => edges.push({ meaning, to, cost, noticed: [] })
  const entries = (table: readonly Entry[]) => {
    for (const [pattern, meaning, cost] of table) {
      pattern.lastIndex = at
      const match = pattern.exec(text)
      if (match && match[0].length > 0) add(meaning, at + match[0].length, cost)
    }
  }
  for (const { read, cost, when } of terminals) {
    if (when === undefined || when(place)) tryOne(scanner => read(scanner, place), typeof cost === 'number' ? cost : cost(place))
  }
  if (isSwim(place)) entries(atThePool)
  entries(everywhere)
  entries(places)
  for (const [pattern, is, cost] of kept) {
    tryOne(scanner => {
      const match = take(scanner, pattern)
      return match && { is, words: line.slice(scanner.at - match[0].trimEnd().length, scanner.at).trim() }
    }, cost)
  }
  tryOne(scanner => ((take(scanner, /finish(?:ing)?\s+w\/?(?=\s*\d)/iy) ?? take(scanner, fillers)) ? { is: 'filler' } : null), 1.2)
  if (edges.length === 0) tryOne(scanner => (sees(scanner, /\S/y) && take(scanner, /\S/y) ? { is: 'filler' } : null), 2)
  return edges
}
