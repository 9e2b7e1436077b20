import { wholeHeart } from '../athlete/heart'
import type { Standpoint } from '../athlete/standpoint'
import { heartAfter, heartAt } from '../physiology/heart'
import { trimAfter } from '../physiology/heart-led'
import type { Reckoning } from '../reckon/reckon'
import type { Session } from '../session/document'
import { courseOf } from './intensity'

const most = 6 * 3600

export const keyOf = (path: string, round: readonly number[]): string => `${path} ${round.join('.')}`

/**
 * What the heart does in the steps that are led by it, with its lag and its drift, in bpm and second by second: for each of
 * them by its path and round. Empty without the numbers of a heart.
 */
export function heartCourses(session: Session, { flat }: Reckoning, standpoint: Standpoint): Map<string, Float64Array> {
  const courses = new Map<string, Float64Array>()
  if (!flat.some(({ target }) => target?.unit === 'bpm')) return courses
  let bpm: number | null = null
  let worked = 0
  for (const { path, round, sport, seconds, from, to, bpm: aimed } of courseOf(session, flat, standpoint).segments) {
    const heart = wholeHeart(standpoint, sport)
    if (!heart) return courses
    bpm = Math.min(bpm ?? heartAt(0, heart), heart.max)
    const course = aimed === undefined ? null : new Float64Array(Math.min(most, Math.max(0, Math.round(seconds))))
    let trim = 0
    for (let second = 0; second < Math.min(most, seconds); second++) {
      const meant = from + ((to - from) * second) / seconds
      if (aimed !== undefined) trim = trimAfter(trim, bpm, aimed, heart, 1)
      const share = Math.max(0, meant + trim)
      bpm = heartAfter(bpm, heart, share, worked, 1)
      if (meant > 0) worked++
      if (course && second < course.length) course[second] = bpm
    }
    if (course) courses.set(keyOf(path, round), course)
  }
  return courses
}
