import { dayInZone } from '../quantity/day'
import type { Athlete } from './athlete'
import { unknownAthlete } from './athlete'
import { isOld } from './age'

/**
 * From where numbers are seen: whose, as of which revision of them, on which day and in which zone. Made once where the
 * athlete is known and handed on whole, so that no two screens reckon the same session by different numbers.
 */
export interface Standpoint {
  readonly athlete: Athlete
  /** The revision of the athlete, from 1; 0 where it was never saved. */
  readonly revision: number
  /** ISO date; null where nothing is dated and nothing is old. */
  readonly day: string | null
  /** IANA time zone. */
  readonly zone: string
}

/**
 * The standpoint of an athlete on a day.
 *
 * @param day ISO date, or null where nothing is to be dated or old
 * @param revision of the athlete, from 1; 0 where it was never saved
 */
export const standpointOf = (athlete: Athlete, day: string | null, revision = 0): Standpoint => ({
  athlete,
  revision,
  day,
  zone: athlete.timeZone ?? 'UTC',
})

/**
 * The standpoint at a moment: today is the day it is where the athlete lives, wherever the machine that asks stands.
 *
 * @example standpointAt(ilse, 3, new Date('2026-03-31T22:30:00Z')).day // '2026-04-01' in Europe/Oslo
 */
export const standpointAt = (athlete: Athlete, revision: number, moment: Date): Standpoint & { readonly day: string } => {
  const zone = athlete.timeZone ?? 'UTC'
  return { athlete, revision, day: dayInZone(moment, zone), zone }
}

/** Where no athlete is known: only what was said in absolute numbers is told, and nothing is dated. */
export const nobody: Standpoint = standpointOf(unknownAthlete, null)

/** The same standpoint with another wording of the athlete, as when ways of giving a band room are compared. */
export const withAthlete = (standpoint: Standpoint, athlete: Athlete): Standpoint => ({ ...standpoint, athlete })

/**
 * Names the numbers that a session is reckoned by: the athlete's revision, and which of their marks and goals count on the day.
 * While the name stays the same, so does every time and distance.
 *
 * @example numbersKey(standpointOf(ilse, '2026-03-31', 3)) // '3 11111111 1'
 */
export function numbersKey({ athlete, revision, day }: Standpoint): string {
  const counts = (dates: readonly { date: string }[], isCounted: (date: string, on: string) => boolean) =>
    dates.map(({ date }) => (day === null || isCounted(date, day) ? 1 : 0)).join('')
  const isYoung = (date: string, on: string) => date <= on && !isOld(date, on)
  return `${revision} ${counts(athlete.efforts ?? [], isYoung)} ${counts(athlete.goals ?? [], (date, on) => date >= on)}`
}
