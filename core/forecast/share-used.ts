import type { Ability } from '../athlete/ability'
import type { Sport } from '../session/document'
import type { IntensitySegment } from './intensity'
import { unworn, wornAfter, wornBy } from '../physiology/wear'

/** How much of what the athlete has shown is used up at a moment: 1 is a race. */
export interface UsedPoint {
  t: number
  used: number
}

export interface UsedCourse {
  points: UsedPoint[]
  /** The most that is used, and where. */
  most: { used: number; t: number; path: string; round: number[] }
}

export type AbilityIn = (sport: Sport) => Ability | null

const sliceSeconds = 15
/** At most so many slices of one step, and points of a whole course. */
const most = { slices: 240, points: 4000 }
/**
 * The share used through a session: each second costs what it is of the time that its intensity can be held; a part of that
 * comes back in easier stretches, the rest stays for the session. All sports wear one athlete.
 *
 * @param faster the curves of an athlete so much faster, as for the range of the answer; 1 as they are
 * @returns null where the ability in a sport is not known
 * @source own model, as in `core/physiology/wear.ts`
 */
export function shareUsed(segments: readonly IntensitySegment[], abilityIn: AbilityIn, faster = 1): UsedCourse | null {
  const points: UsedPoint[] = [{ t: 0, used: 0 }]
  let highest: UsedCourse['most'] = { used: 0, t: 0, path: segments[0]?.path ?? '', round: segments[0]?.round ?? [] }
  let t = 0
  let wear = unworn
  for (const { path, round, sport, seconds, from, to } of segments) {
    const ability = abilityIn(sport)
    if (!ability) return null
    const slices = Math.min(most.slices, Math.max(1, Math.ceil(seconds / sliceSeconds)))
    const length = seconds / slices
    const isEven = from === to
    const every = Math.max(1, Math.ceil((slices * segments.length) / most.points))
    let lasts = 0
    for (let slice = 0; slice < slices; slice++) {
      const intensity = (from + ((to - from) * (slice + 0.5)) / slices) / faster
      if (slice === 0 || !isEven) lasts = ability.secondsAt(intensity * ability.critical)
      wear = wornAfter(wear, intensity, length, lasts)
      t += length
      const used = wornBy(wear)
      if (slice % every === 0 || slice === slices - 1) points.push({ t, used })
      if (used > highest.used) highest = { used, t, path, round }
    }
  }
  return { points, most: highest }
}
