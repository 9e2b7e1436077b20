import type { Missing } from '../words/missing'
import { sayReckonRemark } from '../words/reckoning'
import type { Standpoint } from '../athlete/standpoint'
import { wholeHeart } from '../athlete/heart'
import type { Interval } from '../reckon/interval'
import { mapInterval, roundInterval, unknown } from '../reckon/interval'
import type { Reckoning } from '../reckon/reckon'
import type { Session } from '../session/document'
import { heartThrough } from './heart-response'
import type { HeartPoint } from './heart-response'
import { courseOf } from './intensity'
import type { Course } from './intensity'
import type { UsedForecast } from './level'
import { usedOf } from './level'

export interface Load {
  sessionEffort: Interval
  heartRateImpulse: Interval
}

/**
 * The weight of a minute at a share of heart-rate reserve.
 *
 * @param share clipped to 0..1
 * @param sex unknown: the mean of both
 * @source Banister (1991); Morton, Fitz-Clarke & Banister, J Appl Physiol 69 (1990)
 * @example impulseWeight(0.8, 'male') // 2.38
 */
export function impulseWeight(share: number, sex?: 'female' | 'male'): number {
  const x = Math.min(1, Math.max(0, share))
  const man = x * 0.64 * Math.exp(1.92 * x)
  const woman = x * 0.86 * Math.exp(1.67 * x)
  return sex === 'male' ? man : sex === 'female' ? woman : (man + woman) / 2
}

/**
 * Heart-rate impulse of a course of heart rates: minutes weighted by how hard they were.
 *
 * @param shift bpm added to every point, for the range of the forecast
 * @returns arbitrary units, zero or more
 */
export function heartRateImpulse(points: readonly HeartPoint[], rest: number, max: number, sex?: 'female' | 'male', shift = 0): number {
  let sum = 0
  for (let index = 1; index < points.length; index++) {
    const minutes = (points[index]!.t - points[index - 1]!.t) / 60
    sum += minutes * impulseWeight(((points[index]!.bpm + points[index - 1]!.bpm) / 2 + shift - rest) / (max - rest), sex)
  }
  return sum
}

const heartRange = 5

/**
 * What a session is likely to weigh, by two schools; neither is truth.
 *
 * Session effort is the forecast effort (0 to 10) times minutes; the impulse is reckoned from the forecast heart rate, within
 * 5 bpm.
 *
 * @source session effort: Foster et al., J Strength Cond Res 15 (2001); the forecast of the effort is our own, from the share used
 */
export function loadOf({ segments }: Course, used: UsedForecast | null, standpoint: Standpoint): Load {
  if (segments.length === 0) return { sessionEffort: unknown, heartRateImpulse: unknown }
  const minutes = segments.reduce((sum, { seconds }) => sum + seconds, 0) / 60
  const sessionEffort = used ? mapInterval(used.effort, effort => effort * minutes) : unknown
  const course = heartThrough(segments, standpoint)
  const heart = wholeHeart(standpoint, segments[0]!.sport)
  if (!course || !heart) return { sessionEffort, heartRateImpulse: unknown }
  const impulse = (shift: number) => heartRateImpulse(course.points, heart.rest, heart.max, standpoint.athlete.sex, shift)
  return { sessionEffort, heartRateImpulse: { low: impulse(-heartRange), likely: impulse(0), high: impulse(heartRange) } }
}

/** A reckoning as the command line gives it: with the load of the session in whole numbers, and each remark in words too. */
export interface LoadedReckoning extends Omit<Reckoning, 'remarks'> {
  load: Load
  remarks: { path?: string; code: string; message: string; missing?: Missing }[]
}

/** A reckoning with the load of the session beside it. */
export function withLoad(session: Session, reckoning: Reckoning, standpoint: Standpoint): LoadedReckoning {
  const { remarks, ...rest } = reckoning
  const course = courseOf(session, reckoning.flat, standpoint)
  const { sessionEffort, heartRateImpulse } = loadOf(course, usedOf(course, standpoint), standpoint)
  return {
    ...rest,
    load: { sessionEffort: roundInterval(sessionEffort, 0), heartRateImpulse: roundInterval(heartRateImpulse, 0) },
    remarks: remarks.map(remark => ({
      ...('path' in remark ? { path: remark.path } : {}),
      code: remark.code,
      message: sayReckonRemark(remark),
      ...('missing' in remark ? { missing: remark.missing } : {}),
    })),
  }
}
