import { daysBetween } from '../quantity/day'
import type { Level } from '../forecast/level'

/** So many hard days within three days before and behind leave no room for a harder one. */
export const fullWeek = 3
const reach = 3
const isHard = (level: Level | null | undefined) => level === 'hard' || level === 'race' || level === 'beyond'

/**
 * How many other days around a day are hard, by what is planned on them.
 *
 * @param planned with the level that each was forecast at
 */
export function hardDaysAround(day: string, planned: readonly { day: string; burden: { level: Level | null } | null }[]): number {
  const hard = planned.filter(one => one.day !== day && Math.abs(daysBetween(day, one.day)) <= reach && isHard(one.burden?.level))
  return new Set(hard.map(one => one.day)).size
}
