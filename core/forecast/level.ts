import type { Ability } from '../athlete/ability'
import { abilityOf, uncertaintyAt } from '../athlete/ability'
import type { Standpoint } from '../athlete/standpoint'
import type { Interval } from '../reckon/interval'
import type { Sport } from '../session/document'
import type { Course, IntensitySegment } from './intensity'
import type { UsedCourse } from './share-used'
import { shareUsed } from './share-used'

/** How hard a session is as a whole, by the share used of what the athlete has shown. */
export type Level = 'easy' | 'steady' | 'hard' | 'race' | 'beyond'

/** Up to which share used each level goes; beyond has no bound. */
export const levelBounds: readonly (readonly [level: Level, below: number])[] = [
  ['easy', 0.25],
  ['steady', 0.42],
  ['hard', 0.85],
  ['race', 1.1],
]

/**
 * The level of a share used.
 *
 * @example levelOf(1) // 'race'
 */
export const levelOf = (used: number): Level => levelBounds.find(([, below]) => used < below)?.[0] ?? 'beyond'

/**
 * Effort of a session as a whole, 0 to 10, from the share used.
 *
 * @source own: 10 x used^0.65, so that a race of any length is 9 to 10 and an easy hour of running about 3
 * @example effortOfUsed(1) // 10
 */
export const effortOfUsed = (used: number): number => Math.min(10, 10 * Math.max(0, used) ** 0.65)

/** The share used with its range, and what it means. */
export interface UsedForecast {
  course: UsedCourse
  used: Interval
  level: Level
  effort: Interval
  /** The levels of the low and the high end of the range. */
  between: [Level, Level | null]
}

/** No further from the marks than that counts, as a logarithm of time: an easy hour is far from every race, and still easy. */
const furthest = 0.7

/** How far the intensities of a course may be off as the marks tell them, each by what it takes of the whole. */
function spreadOf(segments: readonly IntensitySegment[], abilityIn: (sport: Sport) => Ability | null): number {
  let [sum, cost] = [0, 0]
  for (const { sport, seconds, from, to } of segments) {
    const ability = abilityIn(sport)!
    const lasts = ability.secondsAt(((from + to) / 2) * ability.critical)
    if (!Number.isFinite(lasts)) continue
    const [first, last] = [ability.marks[0]?.seconds ?? lasts, ability.marks.at(-1)?.seconds ?? lasts]
    const near = Math.min(last * Math.exp(furthest), Math.max(first * Math.exp(-furthest), lasts))
    sum += (seconds / lasts) * uncertaintyAt(ability, near)
    cost += seconds / lasts
  }
  return cost > 0 ? sum / cost : Math.max(0, ...segments.map(({ sport }) => abilityIn(sport)!.uncertainty))
}

/** The share used of a course; null where the ability in one of its sports is not known. */
export function usedOf(course: Course, standpoint: Standpoint): UsedForecast | null {
  const { segments, leftOut } = course
  if (segments.length === 0) return null
  const abilityIn = (sport: Sport) => abilityOf(standpoint, sport)
  const likely = shareUsed(segments, abilityIn)
  if (!likely) return null
  const spread = spreadOf(segments, abilityIn)
  const most = (faster: number) => shareUsed(segments, abilityIn, faster)!.most.used
  const isWhole = leftOut.length === 0
  const used = { low: most(1 + spread), likely: likely.most.used, high: isWhole ? most(1 - spread) : null }
  return {
    course: likely,
    used,
    level: levelOf(used.likely),
    effort: { low: effortOfUsed(used.low), likely: effortOfUsed(used.likely), high: used.high === null ? null : effortOfUsed(used.high) },
    between: [levelOf(used.low), used.high === null ? null : levelOf(used.high)],
  }
}
