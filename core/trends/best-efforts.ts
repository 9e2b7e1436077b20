import type { Recording } from '../record/recording'
import type { SessionSport } from '../session/document'

/** The quickest that a length was covered in, or the most power held for a time, within one recording. */
export interface BestEffort {
  /** Metres that were covered; null for power. */
  metres: number | null
  seconds: number
  /** m/s, or W. */
  value: number
  startsAt: number
}

/** Lengths in metres and times in seconds that bests are kept for. */
export const bestLengths: Readonly<Record<Exclude<SessionSport, 'multi' | 'ride'>, readonly number[]>> = {
  run: [400, 1000, 1609.344, 3000, 5000, 10_000, 21_097.5, 42_195],
  swim: [100, 200, 400, 800, 1500, 1900, 3800],
}
export const bestTimes: readonly number[] = [60, 180, 300, 720, 1200, 3600]

/** Faster than that it was no effort of one's own, in m/s. */
const fastest = { run: 11, swim: 2.6 } as const

/**
 * The quickest over a length, between samples in a straight line. The quickest stretch begins or ends at a sample: each is tried as
 * the one and as the other.
 */
function bestOver(t: readonly number[], way: readonly number[], metres: number, most: number): BestEffort | null {
  let best: BestEffort | null = null
  const crossed = (index: number, at: number) => {
    const [low, high] = [way[index - 1]!, way[index]!]
    return t[index - 1]! + ((t[index]! - t[index - 1]!) * (at - low)) / (high - low)
  }
  const take = (from: number, to: number) => {
    const seconds = to - from
    if (seconds > 0 && metres / seconds <= most && (best === null || seconds < best.seconds))
      best = { metres, seconds, value: metres / seconds, startsAt: from }
  }
  let [behind, ahead] = [0, 0]
  for (let index = 0; index < way.length; index++) {
    const [begin, end] = [way[index]! - metres, way[index]! + metres]
    while (behind < index && way[behind]! <= begin) behind++
    if (behind > 0 && begin >= way[0]!) take(crossed(behind, begin), t[index]!)
    while (ahead < way.length && way[ahead]! < end) ahead++
    if (ahead < way.length && ahead > 0) take(t[index]!, crossed(ahead, end))
  }
  return best
}

/** A longer silence breaks a stretch of power. */
const longestGap = 5

function bestPower(t: readonly number[], power: readonly (number | null)[], seconds: number): BestEffort | null {
  let best: BestEffort | null = null
  let [from, sum] = [0, 0]
  const lasting = (index: number) => (index === 0 ? 0 : t[index]! - t[index - 1]!)
  const worth = (index: number) => (power[index] ?? 0) * lasting(index)
  for (let to = 1; to < t.length; to++) {
    if (lasting(to) > longestGap) {
      ;[from, sum] = [to, 0]
      continue
    }
    sum += worth(to)
    while (t[to]! - t[from + 1]! >= seconds) sum -= worth(++from)
    const held = t[to]! - t[from]!
    if (held < seconds) continue
    const value = sum / held
    if (value > 0 && (best === null || value > best.value)) best = { metres: null, seconds, value, startsAt: t[from]! }
  }
  return best
}

/**
 * The best of one recording over the usual lengths, on foot and in the water, or times, on the bike; time that one stood counts.
 *
 * @returns those that it was long enough for
 */
export function bestEfforts({ sport, samples }: Pick<Recording, 'sport' | 'samples'>): BestEffort[] {
  const { t, metres, power } = samples
  if (sport === 'multi') return []
  if (sport === 'ride') return power ? bestTimes.flatMap(seconds => bestPower(t, power, seconds) ?? []) : []
  let before = 0
  const way = metres.map(value => (before = Math.max(before, value ?? before)))
  return bestLengths[sport].flatMap(length => bestOver(t, way, length, fastest[sport]) ?? [])
}
