import type { Missing } from './recovery'
import { nothingMissing, recovered, spent, sumOf } from './recovery'

/** What has been taken out of somebody, as shares of a race: what stays for the day, and what comes back in easier stretches. */
export interface Wear {
  stays: number
  missing: Missing
}

export const unworn: Wear = { stays: 0, missing: nothingMissing }

/** All that is used of what the athlete has shown: 1 is a race. */
export const wornBy = ({ stays, missing }: Wear): number => stays + sumOf(missing)

/** Of a second's cost a part comes back: none up to the first share of critical, the most of it from the second on. */
const comesBack = { from: 0.95, to: 1.07, most: 0.94 }

/** The part of a cost that comes back in easier stretches, by its intensity as a share of critical. */
export function returningPart(intensity: number): number {
  const along = (intensity - comesBack.from) / (comesBack.to - comesBack.from)
  return comesBack.most * Math.min(1, Math.max(0, along))
}

/**
 * What some seconds at one intensity take out: what they are of the time that it can be held; a part of that comes back in
 * easier stretches.
 *
 * @param intensity share of critical, 0 or more
 * @param seconds 15 or less
 * @param lasts the seconds that this intensity can be held, all out
 * @source own model: the curve of duration after the athlete's marks; recovery as in `recovery.ts`
 */
export function wornAfter({ stays, missing }: Wear, intensity: number, seconds: number, lasts: number): Wear {
  const cost = seconds / lasts
  const back = returningPart(intensity)
  return {
    missing: intensity < comesBack.from ? recovered(missing, intensity, seconds) : spent(missing, back * cost),
    stays: stays + (1 - back) * cost,
  }
}

/** The most that can still be held by what is used, as a share of critical: all anybody means up to a race, then less and less. */
const tires: readonly (readonly [used: number, share: number])[] = [
  [1, 1.4],
  [1.1, 1],
  [1.3, 0.75],
  [1.6, 0.5],
]

/**
 * The most that somebody can still hold who is worn so far, as a share of critical; infinite up to what they have shown.
 *
 * @source own, so that nobody goes on after a race as if there had been none
 */
export function mostHeld(wear: Wear): number {
  const used = wornBy(wear)
  if (used <= tires[0]![0]) return Infinity
  const behind = tires.findIndex(([at]) => used < at)
  if (behind < 0) return tires.at(-1)![1]
  const [[from, high], [to, low]] = [tires[behind - 1]!, tires[behind]!]
  return high + ((low - high) * (used - from)) / (to - from)
}
