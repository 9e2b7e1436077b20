import { heartFor, wholeHeart } from '../athlete/heart'
import type { Standpoint } from '../athlete/standpoint'
import { courseOf } from '../forecast/intensity'
import type { IntensitySegment } from '../forecast/intensity'
import type { Level } from '../forecast/level'
import { levelOf, usedOf } from '../forecast/level'
import { impulseWeight, loadOf } from '../forecast/load'
import type { Recording } from '../record/recording'
import { reckon } from '../reckon/reckon'
import type { Session, Sport } from '../session/document'

/** Seconds in each of three intensity domains: below the first threshold, between the two, above the second. */
export interface Domains {
  easy: number
  between: number
  hard: number
}

/** What one session weighs, planned or done; null is what cannot be told. */
export interface Burden {
  seconds: number
  /** 0 to 10: forecast, or as it was felt. */
  effort: number | null
  /** Session effort: effort times minutes. */
  load: number | null
  /** Heart-rate impulse. */
  impulse: number | null
  level: Level | null
  domains: Domains | null
}

/** Where the first threshold is customarily set, as a share of the second, for an athlete who has none of their own. */
export const usualFirstThreshold = 0.82

const noTime: Domains = { easy: 0, between: 0, hard: 0 }

/**
 * Seconds of a course in each of three intensity domains, by its share of critical.
 *
 * @source Seiler & Kjerland, Scand J Med Sci Sports 16 (2006); the first threshold at 82 % of the second is our own custom
 */
export function domainsOf(segments: readonly IntensitySegment[]): Domains {
  const sum = { ...noTime }
  for (const { seconds, from, to } of segments) {
    const share = (from + to) / 2
    sum[share < usualFirstThreshold ? 'easy' : share < 1 ? 'between' : 'hard'] += seconds
  }
  return sum
}

/** What a planned session is likely to weigh for an athlete. */
export function burdenOf(session: Session, standpoint: Standpoint): Burden | null {
  const reckoning = reckon(session, standpoint)
  const course = courseOf(session, reckoning.flat, standpoint)
  if (course.segments.length === 0) return null
  const used = usedOf(course, standpoint)
  const { sessionEffort, heartRateImpulse } = loadOf(course, used, standpoint)
  return {
    seconds: course.segments.reduce((sum, { seconds }) => sum + seconds, 0),
    effort: used?.effort.likely ?? null,
    load: sessionEffort.likely,
    impulse: heartRateImpulse.likely,
    level: used?.level ?? null,
    domains: domainsOf(course.segments),
  }
}

/** Longer than that between two samples is a pause or a dropout, in seconds. */
const longestGap = 30

/** The level whose forecast effort an effort as felt comes to. */
const levelOfEffort = (effort: number): Level => levelOf((effort / 10) ** (1 / 0.65))

/**
 * What a session that was done weighs: by how it felt, and by its heart rate.
 *
 * @param moving seconds of it, pauses left out
 * @returns load null where it was not said how it felt; impulse and domains null where there is no heart rate, or no numbers for it
 */
export function burdenDone(
  { sport, samples, felt }: Pick<Recording, 'sport' | 'samples' | 'felt'>,
  moving: number,
  standpoint: Standpoint,
): Burden {
  const { t, heartRate } = samples
  const of: Sport = sport === 'multi' ? 'run' : sport
  const heart = wholeHeart(standpoint, of)
  const { threshold, aerobicThreshold } = heartFor(standpoint, of)
  const second = threshold ?? null
  const first = aerobicThreshold ?? (second === null ? null : second * usualFirstThreshold)
  const domains = { ...noTime }
  let [impulse, heard] = [0, 0]
  for (let index = 1; index < t.length; index++) {
    const [bpm, seconds] = [heartRate?.[index] ?? null, t[index]! - t[index - 1]!]
    if (bpm === null || seconds > longestGap) continue
    heard += seconds
    if (heart) impulse += (seconds / 60) * impulseWeight((bpm - heart.rest) / (heart.max - heart.rest), standpoint.athlete.sex)
    if (first !== null && second !== null) domains[bpm < first ? 'easy' : bpm < second ? 'between' : 'hard'] += seconds
  }
  const effort = felt?.rpe ?? null
  const isHeard = heard > moving / 2
  return {
    seconds: moving,
    effort,
    load: effort === null ? null : (effort * moving) / 60,
    impulse: isHeard && heart ? impulse : null,
    level: effort === null ? null : levelOfEffort(effort),
    domains: isHeard && first !== null && second !== null ? domains : null,
  }
}

/** What other work weighs: its effort times its minutes, where both are said. */
export function burdenOfWork(minutes: number | null, effort: number | null): Burden | null {
  if (minutes === null) return null
  return {
    seconds: minutes * 60,
    effort,
    load: effort === null ? null : effort * minutes,
    impulse: null,
    level: effort === null ? null : levelOfEffort(effort),
    domains: null,
  }
}
