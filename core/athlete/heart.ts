import type { Sport } from '../session/document'
import type { Heart } from '../physiology/heart'
import type { Athlete, HeartNumbers } from './athlete'
import { heartOf } from './athlete'
import type { Standpoint } from './standpoint'

/**
 * Maximum heart rate where nobody has measured it.
 *
 * @param age years, 10 to 100
 * @returns bpm, an estimate within about 10 bpm
 * @source Tanaka, Monahan & Seals, JACC 37 (2001): 208 - 0.7 age
 * @example estimatedMaximum(40) // 180
 */
export const estimatedMaximum = (age: number): number => 208 - 0.7 * age

/** Whole years on a day; null without a birth date. */
export function ageOn(athlete: Athlete, on: string): number | null {
  if (athlete.birthDate === undefined) return null
  const [year, month, day] = athlete.birthDate.split('-').map(Number) as [number, number, number]
  const [onYear, onMonth, onDay] = on.slice(0, 10).split('-').map(Number) as [number, number, number]
  const years = onYear - year - (onMonth < month || (onMonth === month && onDay < day) ? 1 : 0)
  return years >= 0 && years <= 130 ? years : null
}

/** Heart numbers for a sport as they count; the maximum may be no more than the estimate of an age. */
export interface HeartReading extends HeartNumbers {
  isMaximumEstimated?: true
}

/** The age from which the estimate of a maximum is made. */
const adultAge = 10

/**
 * The heart numbers that count in a sport: the athlete's own, and where they have set no maximum the estimate for their age,
 * unless it contradicts the others.
 */
export function heartFor({ athlete, day }: Standpoint, sport: Sport): HeartReading {
  const own = heartOf(athlete, sport)
  const age = own.max !== undefined || day === null ? null : ageOn(athlete, day)
  if (age === null || age < adultAge) return own
  const max = Math.round(estimatedMaximum(age))
  return max > Math.max(own.rest ?? 0, own.threshold ?? 0) ? { ...own, max, isMaximumEstimated: true } : own
}

/** The heart of an athlete in a sport; null without a maximum and a resting heart rate under it. */
export function wholeHeart(standpoint: Standpoint, sport: Sport): Heart | null {
  const { rest, max, threshold } = heartFor(standpoint, sport)
  return rest === undefined || max === undefined || max <= rest ? null : { rest, max, threshold }
}

/**
 * Heart rate at a share of the reserve.
 *
 * @param share 0 to 1
 * @source Karvonen, Kentala & Mustala (1957)
 * @example atReserve(50, 182, 0.5) // 116
 */
export const atReserve = (rest: number, max: number, share: number): number => rest + (max - rest) * share

/**
 * Threshold heart rate from half an hour alone, as hard as can be kept up: the mean of its last 20 minutes.
 * A field custom, within about 5 bpm of a laboratory's; the first ten minutes are left out because the heart lags.
 *
 * @param meanOfLastTwenty bpm
 * @returns bpm, or null out of 90-220
 */
export const thresholdOfHalfHour = (meanOfLastTwenty: number): number | null =>
  meanOfLastTwenty >= 90 && meanOfLastTwenty <= 220 ? Math.round(meanOfLastTwenty) : null
