import type { ProgramEnd, ProgramStep } from '../wrist/program/program'
import { firstWhere } from '../quantity/search'
import type { PlannedStep } from './planned-steps'
import type { ShapeSignal } from './shape-signal'
import { meanOf } from './shape-signal'

/** One stretch of a recording, in elapsed seconds, as one planned step; `index` null where it is none of the plan's. */
export interface ShapeStretch {
  index: number | null
  from: number
  to: number
}

/** Values within this many seconds of each other are as good as one: what wanders does so slowly. */
const together = 15
/** How far values wander around their mean, as a share of the reference. */
const wander = 0.05
/** How far a mean may be from what was planned before it tells against the step. */
const allowed = 0.07
const mostOff = 14
/** A recovery is slower than that, as a share of the reference. */
const easiest = 0.88
/** What it costs to say that a planned step was left out, and that a stretch is none of the plan's. */
const leftOut = { work: 24, other: 13, optional: 1 }
const unplanned = 26
/** What it costs to have begun later in the plan, or to have ended earlier. */
const edge = 10
/** A round more of a repeat until a distance or time tells a little against itself. */
const oneMore = 4
/** Steps that end by hand are rarely longer, in seconds. */
const longestOpen = 2700
const mostGrid = 420
const turnsPerStep = 5
/** States whose cost is this far above the best are given up. */
const beam = 160

interface Expected {
  /** Seconds that it should take, or metres; null where nobody knows. */
  seconds: number | null
  metres: number | null
  /** Level as a share of the signal's reference; null where nothing is said. */
  level: number | null
  isWork: boolean
  isRamp: boolean
  /** A recovery without a target: slower than what is between. */
  isEasy: boolean
  /** Swum and waited by turns: its values never agree. */
  isSendOff: boolean
  /** A round more of a repeat until a distance or time: it may be there or not. */
  isOptional: boolean
}

function lengthsOf(end: ProgramEnd): { seconds: number | null; metres: number | null } {
  switch (end.on) {
    case 'time':
      return { seconds: end.seconds, metres: null }
    case 'distance':
      return { seconds: null, metres: end.metres }
    case 'send-off':
      return { seconds: end.seconds, metres: end.metres }
    case 'first':
    case 'press':
    case 'heart-rate':
    case 'energy':
      return { seconds: null, metres: null }
  }
}

function levelOf({ target, role, end }: ProgramStep, { of, reference }: ShapeSignal): number | null {
  if (end.on === 'send-off') return of === 'speed' ? end.metres / end.seconds / reference : null
  if (role === 'rest') return of === 'heart-rate' ? null : 0
  const isOf = target && target.of === (of === 'speed' ? 'pace' : of)
  if (!target || !isOf) return null
  const ends = [target.easiest, target.hardest].filter((value): value is number => typeof value === 'number')
  return ends.length === 0 ? null : ends.reduce((sum, value) => sum + value, 0) / ends.length / reference
}

const expectedOf = (entry: PlannedStep, signal: ShapeSignal): Expected => ({
  ...lengthsOf(entry.step.end),
  level: levelOf(entry.step, signal),
  isWork: entry.step.role === 'work',
  isRamp: Boolean(entry.step.target?.to),
  isEasy: entry.step.role === 'recovery' && !entry.step.target,
  isSendOff: entry.step.end.on === 'send-off',
  isOptional: entry.isOptional === true,
})

/** How badly values between two seconds agree with each other, or with a line where the target changes; what is noise is none of it. */
function unrest({ sum, squares, bySecond, known, noise }: ShapeSignal, from: number, to: number, isRamp = false): number {
  const count = known[to]! - known[from]!
  if (count < 2) return 0
  const total = sum[to]! - sum[from]!
  let spread = squares[to]! - squares[from]! - (total * total) / count - (noise[to]! - noise[from]!)
  if (isRamp && count > 20) {
    const middle = (from + to - 1) / 2
    const along = bySecond[to]! - bySecond[from]! - middle * total
    spread -= (along * along) / ((count * (count * count - 1)) / 12)
  }
  return Math.max(0, spread) / (2 * wander * wander * together)
}

/** A length that is off counts little at first, and never more than a step left out and one that is none of the plan's. */
function offLength(length: number, wanted: number, exact: number): number {
  const off = Math.abs(length - wanted)
  return Math.min((off / exact) ** 2 / 2, 9 + 14 * Math.abs(Math.log(Math.max(length, 0.5) / wanted)))
}

function costOf(signal: ShapeSignal, wanted: Expected, from: number, to: number): number {
  let cost = wanted.isSendOff ? 0 : unrest(signal, from, to, wanted.isRamp)
  const mean = meanOf(signal, from, to)
  const weight = Math.min(to - from, 180) / together
  if (wanted.level !== null && mean !== null && !wanted.isRamp)
    cost += weight * Math.min(((mean - wanted.level) / allowed) ** 2 / 2, mostOff)
  if (wanted.isEasy && mean !== null && mean > easiest) cost += weight * Math.min((mean - easiest) / allowed, 2)
  if (wanted.seconds !== null) {
    /** Who comes late to a send-off leaves at once, and the step is as long as it was swum. */
    const isLate = wanted.isSendOff && to - from > wanted.seconds
    cost += offLength(to - from, wanted.seconds, (isLate ? 6 : 1.5) + (isLate ? 0.08 : 0.004) * wanted.seconds)
  }
  if (wanted.metres !== null) {
    const way = signal.metres[to]! - signal.metres[from]!
    cost += Number.isNaN(way) ? 4 : offLength(way, wanted.metres, Math.max(2.5, 0.006 * wanted.metres))
  }
  return cost
}

const half = 12
const leastChange = 0.05
/** Two changes are not nearer than that, in seconds. */
const apart = 5

/** Seconds at which the signal changes most, the strongest ones. */
function turns(signal: ShapeSignal, atMost: number): number[] {
  const { seconds } = signal
  const change = new Float64Array(seconds + 1)
  for (let second = half; second <= seconds - half; second++) {
    const [before, behind] = [meanOf(signal, second - half, second), meanOf(signal, second, second + half)]
    change[second] = before === null || behind === null ? 0 : Math.abs(behind - before)
  }
  const isPeak = (second: number) => {
    if (change[second]! < leastChange) return false
    for (let other = second - apart; other <= second + apart; other++)
      if (change[other]! > change[second]! || (change[other] === change[second] && other < second)) return false
    return true
  }
  const peaks: number[] = []
  for (let second = half; second <= seconds - half; second++) if (isPeak(second)) peaks.push(second)
  return peaks.sort((one, other) => change[other]! - change[one]!).slice(0, atMost)
}

/** Seconds at which a step may begin: where the signal turns, where a lap was pressed, and some of all. */
function placesIn(signal: ShapeSignal, laps: readonly number[], steps: number): number[] {
  const { seconds } = signal
  const every = Math.max(8, Math.ceil(seconds / mostGrid))
  const places = new Set<number>([
    0,
    seconds,
    ...laps.map(Math.round),
    ...signal.walls,
    ...turns(signal, Math.max(60, turnsPerStep * steps)),
  ])
  for (let second = 0; second < seconds; second += every) places.add(second)
  return [...places].filter(place => place >= 0 && place <= seconds).sort((one, other) => one - other)
}

/** First of the places that is not before a second. */
const firstFrom = (places: readonly number[], second: number): number => firstWhere(0, places.length, at => places[at]! >= second)

/** When a step that begins at a second would be over at the earliest and latest, by its length. */
function windowOf(signal: ShapeSignal, { seconds, metres }: Expected, from: number): [number, number] {
  if (seconds !== null) return [from + Math.max(3, 0.4 * seconds), from + 1.5 * seconds + 20]
  if (metres === null) return [from + 5, from + longestOpen]
  const start = signal.metres[from]!
  if (Number.isNaN(start)) return [from + 5, from + longestOpen]
  const at = (way: number) => firstWhere(from, signal.seconds, second => !(signal.metres[second]! < start + way))
  return [Math.max(from + 3, at(0.4 * metres) - 5), at(1.3 * metres) + 20]
}

interface Table {
  cost: Float64Array
  /** Where it came from: a place, and whether by a step, by leaving one out, or by a stretch of no step's. */
  back: Int32Array
  how: Uint8Array
}
const ways = { none: 0, step: 1, skip: 2, extra: 3 } as const

const emptyTable = (count: number): Table => ({
  cost: new Float64Array(count).fill(Infinity),
  back: new Int32Array(count),
  how: new Uint8Array(count),
})

function relax(table: Table, at: number, cost: number, back: number, how: number): void {
  if (cost >= table.cost[at]!) return
  table.cost[at] = cost
  table.back[at] = back
  table.how[at] = how
}

/** Stretches of no step's, from any place of a table to a later one of the same. */
function withUnplanned(table: Table, signal: ShapeSignal, places: readonly number[], longest: number): void {
  const best = table.cost.reduce((least, cost) => Math.min(least, cost), Infinity)
  const before = table.cost.slice()
  for (let a = 0; a < places.length; a++) {
    const begun = before[a]!
    if (begun > best + beam) continue
    const end = firstFrom(places, places[a]! + longest)
    for (let b = firstFrom(places, places[a]! + 10); b < Math.min(end, places.length); b++)
      relax(table, b, begun + unplanned + unrest(signal, places[a]!, places[b]!), a, ways.extra)
  }
}

/**
 * The planned steps laid along a recording by its shape: of all ways to cut it into steps in their order, some left out and some
 * stretches of no step's, the one that costs least.
 *
 * A stretch costs by how little its values agree with each other, by how far their mean is from what was planned, and by how far its
 * length is from the step's; lengths that are off count less and less, since steps are cut short and run over.
 *
 * @param laps seconds at which a lap was pressed: boundaries may stand exactly there
 * @returns stretches in their order, without a gap, from the first second to the last
 * @source dynamic programming over segmentations (Bellman, Comm. ACM 4, 1961); the costs are our own
 */
export function alignByShape(signal: ShapeSignal, planned: readonly PlannedStep[], laps: readonly number[]): ShapeStretch[] {
  const places = placesIn(signal, laps, planned.length)
  const expected = planned.map(entry => expectedOf(entry, signal))
  const tables: Table[] = [emptyTable(places.length)]
  tables[0]!.cost[0] = 0
  withUnplanned(tables[0]!, signal, places, signal.seconds)
  for (const [index, wanted] of expected.entries()) {
    const before = tables[index]!
    const table = emptyTable(places.length)
    relax(table, 0, edge, 0, ways.skip)
    const best = before.cost.reduce((least, cost) => Math.min(least, cost), Infinity)
    for (let a = 0; a < places.length; a++) {
      const begun = before.cost[a]!
      if (begun > best + beam) continue
      relax(table, a, begun + (wanted.isOptional ? leftOut.optional : wanted.isWork ? leftOut.work : leftOut.other), a, ways.skip)
      const from = places[a]!
      const [earliest, latest] = windowOf(signal, wanted, from)
      for (let b = Math.max(a + 1, firstFrom(places, earliest)); b < places.length && places[b]! <= latest; b++)
        relax(table, b, begun + (wanted.isOptional ? oneMore : 0) + costOf(signal, wanted, from, places[b]!), a, ways.step)
    }
    withUnplanned(table, signal, places, 900)
    tables.push(table)
  }
  return refined(signal, expected, tracedBack(tables, places))
}

function tracedBack(tables: readonly Table[], places: readonly number[]): ShapeStretch[] {
  const stretches: ShapeStretch[] = []
  const last = places.length - 1
  const ends = tables.map(({ cost }, index) => cost[last]! + (index < tables.length - 1 ? edge : 0))
  let [index, at] = [ends.indexOf(Math.min(...ends)), last]
  while (index > 0 || at > 0) {
    const table = tables[index]!
    const [how, back] = [table.how[at]!, table.back[at]!]
    if (how === ways.none) break
    if (how === ways.extra) stretches.push({ index: null, from: places[back]!, to: places[at]! })
    if (how === ways.step) stretches.push({ index: index - 1, from: places[back]!, to: places[at]! })
    if (how !== ways.extra) index--
    at = back
  }
  return stretches.reverse()
}

const refineBy = 15
const sweeps = 4

/** Moves each boundary by seconds to where its two stretches cost least. */
function refined(signal: ShapeSignal, expected: readonly Expected[], stretches: readonly ShapeStretch[]): ShapeStretch[] {
  const result = stretches.map(stretch => ({ ...stretch }))
  const cost = ({ index }: ShapeStretch, from: number, to: number) =>
    index === null ? unplanned + unrest(signal, from, to) : costOf(signal, expected[index]!, from, to)
  for (let sweep = 0; sweep < sweeps; sweep++)
    for (let index = 0; index + 1 < result.length; index++) {
      const [one, other] = [result[index]!, result[index + 1]!]
      let best = { second: one.to, cost: Infinity }
      const consider = (second: number) => {
        if (second <= one.from || second >= other.to) return
        const sum = cost(one, one.from, second) + cost(other, second, other.to)
        if (sum < best.cost) best = { second, cost: sum }
      }
      for (let second = one.to - refineBy; second <= one.to + refineBy; second++) consider(second)
      const wanted = one.index === null ? null : expected[one.index]!.seconds
      const next = other.index === null ? null : expected[other.index]!.seconds
      if (wanted !== null) consider(one.from + Math.round(wanted))
      if (next !== null) consider(other.to - Math.round(next))
      one.to = other.from = best.second
    }
  return result
}
