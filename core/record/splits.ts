import { firstWhere } from '../quantity/search'
import { metresAt, sampleAt } from './align'
import type { Column, Recording } from './recording'

/** A stretch of equal way, as it was gone. */
export interface Split {
  /** Metres at its end. */
  at: number
  metres: number
  /** Moving seconds. */
  seconds: number
  /** Metres a second. */
  speed: number
  heartRate: number | null
  power: number | null
  /** Metres climbed; null without altitude. */
  climbed: number | null
}

/** Stretches between two moments in which the device was halted. */
export function pausesOf({ marks, samples }: Recording): { from: number; to: number }[] {
  const pauses: { from: number; to: number }[] = []
  let from: number | null = null
  for (const { kind, t } of marks) {
    if (kind === 'pause') from ??= t
    if (kind === 'resume' && from !== null) {
      pauses.push({ from, to: t })
      from = null
    }
  }
  return from === null ? pauses : [...pauses, { from, to: samples.t.at(-1) ?? from }]
}

/** Seconds between two moments without the pauses in them. */
export const movingBetween = (pauses: readonly { from: number; to: number }[], from: number, to: number): number =>
  pauses.reduce((sum, pause) => sum - Math.max(0, Math.min(to, pause.to) - Math.max(from, pause.from)), to - from)

/** The mean of what a column says between two samples, the first not counted; null where it says nothing. */
export function meanBetween(column: Column | undefined, first: number, last: number): number | null {
  let [sum, count] = [0, 0]
  for (let index = first + 1; index <= last; index++) {
    const value = column?.[index] ?? null
    if (value !== null) [sum, count] = [sum + value, count + 1]
  }
  return count === 0 ? null : sum / count
}

/** Metres that a height must change by before it counts: less is the instrument. */
const realClimb = 3

/**
 * Metres climbed between two samples, changes under 3 m left out.
 *
 * @source hysteresis: a height counts once it lies 3 m from the one counted last
 */
export function climbedBetween(altitude: Column | undefined, first: number, last: number): number | null {
  let [climbed, from]: [number, number | null] = [0, null]
  for (let index = first; index <= last; index++) {
    const height = altitude?.[index] ?? null
    if (height === null) continue
    if (from === null || height < from - realClimb) from = height
    else if (height >= from + realClimb) {
      climbed += height - from
      from = height
    }
  }
  return from === null ? null : climbed
}

/** The way at each sample with gaps filled by what was known before, so that it can be searched. */
const filled = (metres: Column): number[] => {
  let before = 0
  return metres.map(value => (before = Math.max(before, value ?? before)))
}

const mostSplits = 2000

/**
 * The recording in stretches of equal way; the last one is what is left, where that is a tenth of one or more.
 *
 * @param every metres of a stretch, above 0
 */
export function splitsOf(recording: Recording, every: number): Split[] {
  const { t, metres, heartRate, power, altitude } = recording.samples
  const way = filled(metres)
  const whole = way.at(-1) ?? 0
  const pauses = pausesOf(recording)
  const splits: Split[] = []
  const timeAt = (at: number) => {
    const after = firstWhere(0, way.length, index => way[index]! >= at)
    if (after === 0) return { index: 0, t: t[0]! }
    const [low, high] = [way[after - 1]!, way[after]!]
    return { index: after, t: t[after - 1]! + ((t[after]! - t[after - 1]!) * (at - low)) / (high - low) }
  }
  let from = { index: 0, t: t[0] ?? 0 }
  for (let begin = 0; begin < whole && splits.length < mostSplits; begin += every) {
    const at = Math.min(whole, begin + every)
    const length = at - begin
    if (length < every / 10) break
    const to = timeAt(at)
    const seconds = movingBetween(pauses, from.t, to.t)
    splits.push({
      at,
      metres: length,
      seconds,
      speed: seconds > 0 ? length / seconds : 0,
      heartRate: meanBetween(heartRate, from.index, to.index),
      power: meanBetween(power, from.index, to.index),
      climbed: climbedBetween(altitude, from.index, to.index),
    })
    from = to
  }
  return splits
}

/** The recording between the laps that were pressed or that the device made; none where there are none. */
export function lapsOf(recording: Recording): Split[] {
  const { t, heartRate, power, altitude } = recording.samples
  const presses = recording.marks.filter(({ kind }) => kind === 'lap').map(mark => mark.t)
  if (presses.length === 0) return []
  const end = t.at(-1) ?? 0
  const ends = [...presses.filter(press => press > 0 && press < end), end]
  const pauses = pausesOf(recording)
  return ends.map((to, lap): Split => {
    const from = lap === 0 ? 0 : ends[lap - 1]!
    const [first, last] = [sampleAt(t, from), sampleAt(t, to)]
    const [low, high] = [metresAt(recording, from) ?? 0, metresAt(recording, to) ?? 0]
    const seconds = movingBetween(pauses, from, to)
    return {
      at: high,
      metres: high - low,
      seconds,
      speed: seconds > 0 ? (high - low) / seconds : 0,
      heartRate: meanBetween(heartRate, first, last),
      power: meanBetween(power, first, last),
      climbed: climbedBetween(altitude, first, last),
    }
  })
}

/** How much slower (above 0) or faster the second half of equal stretches was, as a share of the first; null under four of them. */
export function fadeOf(splits: readonly Pick<Split, 'speed'>[]): number | null {
  if (splits.length < 4) return null
  const half = Math.floor(splits.length / 2)
  const mean = (part: readonly Pick<Split, 'speed'>[]) => part.reduce((sum, { speed }) => sum + speed, 0) / part.length
  const first = mean(splits.slice(0, half))
  return first > 0 ? 1 - mean(splits.slice(-half)) / first : null
}
