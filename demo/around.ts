import type { Athlete } from '../core/athlete/athlete'
import { daysBetween, daysFrom, weekOf } from '../core/quantity/day'
import { ilse } from './athlete'

/** The week that the athlete's own dates were written down for: its first day. */
const writtenFor = '2026-03-30'

/** Weeks of training before the week of today, and from it on to the race. */
export const weeksDone = 9
const weeksAhead = 5

/** The first day of the week that the demo is laid out around. */
export const weekAround = (day: string): string => weekOf(day, ilse.weekStart ?? 1)

/** The first day of the race: two days at the end of the fifth week, the one of today counted. */
export const raceDay = (day: string): string => daysFrom(weekAround(day), (weeksAhead - 1) * 7 + 5)

/**
 * The athlete with her marks and her goal where they are when a day is today: they keep their distance from its week.
 *
 * @example athleteAround('2026-04-01').efforts![0]!.date // 2026-03-07, as written
 */
export function athleteAround(day: string): Athlete {
  const shift = daysBetween(writtenFor, weekAround(day))
  return {
    ...ilse,
    efforts: ilse.efforts!.map(effort => ({ ...effort, date: daysFrom(effort.date, shift) })),
    goals: ilse.goals!.map(goal => ({ ...goal, date: raceDay(day) })),
  }
}
