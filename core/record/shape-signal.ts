import { heldOver } from '../wrist/engine/judging'
import type { Recording } from './recording'

/** What tells steps apart in a recording, one value for each second; sums over any stretch cost nothing. */
export interface ShapeSignal {
  /** Seconds in all. */
  seconds: number
  of: 'power' | 'speed' | 'heart-rate'
  /** Sums up to each second: of values as shares of the reference, their squares, them by their seconds, and how many there are. */
  sum: Float64Array
  squares: Float64Array
  bySecond: Float64Array
  known: Float64Array
  /** What values wander within some seconds alone, summed up to each second: no step is told by that. */
  noise: Float64Array
  /** Cumulative metres at each second; NaN where nobody knows. */
  metres: Float64Array
  /** Whole seconds at which a length ended, in a pool. */
  walls: number[]
  /** What the shares are of: m/s, W or bpm. */
  reference: number
}

/** A longer silence of every sensor is a pause, in seconds. */
export const longestSilence = 20

/** A column at each whole second, in a straight line between samples that are near each other; NaN elsewhere. */
function everySecond(t: readonly number[], column: readonly (number | null)[], seconds: number): Float64Array {
  const values = new Float64Array(seconds + 1).fill(NaN)
  let before = -1
  for (let index = 0; index < t.length; index++) {
    const value = column[index]
    if (value === null || value === undefined) continue
    const to = t[index]!
    const from = before < 0 ? to : t[before]!
    if (before >= 0 && to - from <= longestSilence) {
      const first = column[before]!
      for (let second = Math.ceil(from); second <= to; second++) values[second] = first + ((value - first) * (second - from)) / (to - from)
    } else if (Number.isInteger(to) || before < 0) values[Math.min(seconds, Math.round(to))] = value
    before = index
  }
  return values
}

/** A length that took so much longer than those beside it was begun with a wait at the wall. */
const waited = 1.25

/**
 * Metres at each second of a swim in a pool, which are counted at the walls: between them evenly, after what was waited at the wall. A
 * length takes as long as the shorter of the two beside it.
 */
function betweenWalls({ t, metres }: Recording['samples'], seconds: number): Float64Array {
  const walls: { t: number; metres: number }[] = [{ t: 0, metres: 0 }]
  for (const [index, value] of metres.entries())
    if (value !== null && value > walls.at(-1)!.metres) walls.push({ t: t[index]!, metres: value })
  const lasting = (index: number) => (index < 1 || index >= walls.length ? Infinity : walls[index]!.t - walls[index - 1]!.t)
  const values = new Float64Array(seconds + 1).fill(walls.at(-1)!.metres)
  for (let index = 1; index < walls.length; index++) {
    const [from, to] = [walls[index - 1]!, walls[index]!]
    const beside = Math.min(lasting(index - 1), lasting(index + 1))
    const swum = lasting(index) > waited * beside ? beside : lasting(index)
    for (let second = Math.ceil(from.t); second < Math.min(to.t, seconds + 1); second++)
      values[second] = from.metres + (to.metres - from.metres) * Math.max(0, 1 - (to.t - second) / swum)
  }
  return values
}

function wallsOf({ t, metres }: Recording['samples']): number[] {
  let reached = 0
  return metres.flatMap((value, index) => {
    if (value === null || value <= reached) return []
    reached = value
    return [Math.round(t[index]!)]
  })
}

const noiseHalf = 8

/** Speed at each second, over some seconds around it. */
function speedOf(metres: Float64Array): Float64Array {
  const half = 2
  return metres.map((_, second) => {
    const [from, to] = [Math.max(0, second - half), Math.min(metres.length - 1, second + half)]
    return (metres[to]! - metres[from]!) / (to - from)
  })
}

function referenceOf(values: Float64Array): number {
  const known = values.filter(value => value > 0).sort()
  return known.length === 0 ? NaN : known[Math.floor(known.length * 0.9)]!
}

/**
 * The signal of a recording that steps are told apart by: power where the plan goes by it, else speed, else heart rate.
 *
 * @returns null where none of them was recorded
 */
export function shapeSignal({ samples }: Recording, prefersPower: boolean, isPool: boolean): ShapeSignal | null {
  const seconds = Math.floor(samples.t.at(-1) ?? 0)
  if (seconds < 2 * heldOver.pace) return null
  const metres = isPool ? betweenWalls(samples, seconds) : everySecond(samples.t, samples.metres, seconds)
  const power = samples.power && everySecond(samples.t, samples.power, seconds)
  const heart = samples.heartRate && everySecond(samples.t, samples.heartRate, seconds)
  const speed = speedOf(metres)
  const candidates: [ShapeSignal['of'], Float64Array | undefined][] = [
    ...(prefersPower ? [['power', power] as [ShapeSignal['of'], Float64Array | undefined]] : []),
    ['speed', speed],
    ['power', power],
    ['heart-rate', heart],
  ]
  const found = candidates.find(([, values]) => values && values.reduce((count, value) => count + (value > 0 ? 1 : 0), 0) > seconds / 4)
  if (!found) return null
  const [of, values] = found as [ShapeSignal['of'], Float64Array]
  const reference = referenceOf(values)
  const shares = values.map(value => value / reference)
  const summed = (value: (second: number, share: number) => number) => {
    const sums = new Float64Array(seconds + 1)
    for (let second = 0; second < seconds; second++)
      sums[second + 1] = sums[second]! + (Number.isNaN(shares[second]!) ? 0 : value(second, shares[second]!))
    return sums
  }
  const known = summed(() => 1)
  const sum = summed((_, share) => share)
  const squares = summed((_, share) => share * share)
  const spreadAround = (second: number) => {
    const [from, to] = [Math.max(0, second - noiseHalf), Math.min(seconds, second + noiseHalf)]
    const count = known[to]! - known[from]!
    return count < 2 ? 0 : (squares[to]! - squares[from]! - (sum[to]! - sum[from]!) ** 2 / count) / count
  }
  /** Trap: where the signal turns the spread is no noise; half of what is usual around it is taken at most. */
  const spreads = Float64Array.from({ length: seconds }, (_, second) => spreadAround(second))
  const usual = Float64Array.from(spreads).sort()[Math.floor(seconds / 2)] ?? 0
  const noise = summed(second => Math.min(spreads[second]!, 1.5 * usual))
  return {
    seconds,
    of,
    sum,
    squares,
    bySecond: summed((second, share) => second * share),
    known,
    noise,
    metres,
    walls: isPool ? wallsOf(samples) : [],
    reference,
  }
}

/** The mean of the signal between two seconds, as a share of its reference; null where nothing is known. */
export const meanOf = ({ sum, known }: ShapeSignal, from: number, to: number): number | null => {
  const count = known[to]! - known[from]!
  return count < 1 ? null : (sum[to]! - sum[from]!) / count
}
