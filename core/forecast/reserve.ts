import type { Ability } from '../athlete/ability'
import type { IntensitySegment } from './intensity'
import type { Missing } from '../physiology/recovery'
import { nothingMissing, recovered, spent, sumOf } from '../physiology/recovery'

/** Critical over reserve, in 1/s: how fast W' or D' goes for each share above critical. Null where it is not known. */
export const reserveRate = (ability: Pick<Ability, 'critical' | 'reserve'> | null): number | null =>
  ability?.reserve ? ability.critical / ability.reserve : null

/** So near to critical nothing comes back. */
const easyBelow = 0.95

/**
 * What is missing of W' or D' after some seconds at one share of critical: spent in proportion above it, won back below.
 *
 * @param seconds 15 or less
 * @param rate critical over reserve in 1/s, more than zero
 */
export const reserveAfter = (missing: Missing, share: number, seconds: number, rate: number): Missing =>
  share >= 1 ? spent(missing, (share - 1) * rate * seconds) : share >= easyBelow ? missing : recovered(missing, share, seconds)

const sliceSeconds = 15
const mostSlices = 240

/**
 * The least that is left of W' or D' through a session, as a share of full; below zero where more is asked than there is.
 *
 * @returns null where it is not known in a sport that goes above critical
 */
export function leastReserve(
  segments: readonly IntensitySegment[],
  rateIn: (sport: IntensitySegment['sport']) => number | null,
): number | null {
  let missing = nothingMissing
  let least = 1
  for (const { sport, seconds, from, to } of segments) {
    const rate = rateIn(sport)
    if (rate === null && Math.max(from, to) > 1) return null
    const slices = Math.min(mostSlices, Math.max(1, Math.ceil(seconds / sliceSeconds)))
    for (let slice = 0; slice < slices; slice++) {
      missing = reserveAfter(missing, from + ((to - from) * (slice + 0.5)) / slices, seconds / slices, rate ?? 0)
      least = Math.min(least, 1 - sumOf(missing))
    }
  }
  return least
}
