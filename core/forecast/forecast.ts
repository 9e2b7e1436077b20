import type { Athlete } from '../athlete/athlete'
import { itemAt, sportAt } from '../edit/item-path'
import { toMetres } from '../quantity/distance'
import { reckon } from '../reckon/reckon'
import type { Session } from '../session/document'
import { ceilingAt, heartThrough } from './heart-response'
import type { HeartCourse } from './heart-response'
import { courseOf } from './intensity'
import type { Stretch } from './intensity'
import type { Load } from './load'
import { loadOf } from './load'
import type { NudgeForecast, Nudging, SimulationOptions } from './nudges'
import { finish, forecastingNudges, heldSteps } from './nudges'
import type { QuietProposal, SchoolBand } from './quiet'
import { compareSchools, mainStep, quietBands } from './quiet'
import type { ReserveCourse } from './reserve'
import { reserveMissing, reserveRate, reserveThrough } from './reserve'
import type { Verdict } from './verdict'
import { verdictOn } from './verdict'

export interface TollStep {
  path: string
  round: number[]
  endsAt: number
  reserve: number | null
  bpm: number | null
}

const near = <Point extends { t: number }>(points: readonly Point[], t: number, from: number) => {
  let index = from
  while (index + 1 < points.length && points[index + 1]!.t <= t + 1e-6) index++
  return index
}

function stepsOf(stretches: readonly Stretch[], reserve: ReserveCourse | null, heart: HeartCourse | null): TollStep[] {
  let [t, atReserve, atHeart] = [0, 0, 0]
  return stretches.map(({ path, round, seconds }) => {
    t += seconds
    if (reserve) atReserve = near(reserve.points, t, atReserve)
    if (heart) atHeart = near(heart.points, t, atHeart)
    return {
      path,
      round,
      endsAt: t,
      reserve: reserve ? reserve.points[atReserve]!.share : null,
      bpm: heart ? heart.points[atHeart]!.bpm : null,
    }
  })
}

/** What a session will do to the athlete who carries it out. */
export interface Toll {
  load: Load
  /** What is left, and the heart rate, at the end of each step. */
  steps: TollStep[]
  heart: HeartCourse | null
  reserve: ReserveCourse | null
  verdict: Verdict | null
  /** The numbers of the athlete without which something above is not known. */
  missing: string[]
  /** What is rough about it, in words. */
  said: string[]
}

/**
 * Load, heart rate, reserve and verdict of a session for an athlete.
 *
 * @param on the day it is judged, ISO date
 */
export function tollOf(session: Session, athlete: Athlete, on?: string): Toll {
  const { flat } = reckon(session, { athlete, on })
  const course = courseOf(session, flat, athlete)
  const load = loadOf(course, athlete)
  if (!course.ok) return { load, steps: [], heart: null, reserve: null, verdict: null, missing: [course.missing], said: [] }
  const { stretches, guessed } = course
  const missing: string[] = []
  const heart = heartThrough(stretches, athlete, path => ceilingAt(session, path, athlete))
  if (!heart && stretches.length > 0) missing.push('maximum and resting heart rate')
  const hardest = stretches.reduce((most, stretch) => Math.max(most, stretch.from, stretch.to), 0)
  const sport = stretches.find(stretch => Math.max(stretch.from, stretch.to) === hardest)?.sport
  const rate = sport ? reserveRate(athlete, sport) : null
  if (sport && rate === null && hardest > 1) missing.push(reserveMissing(athlete, sport))
  const reserve = rate === null || stretches.length === 0 ? null : reserveThrough(stretches, rate)
  const verdict = reserve && rate !== null ? verdictOn(session, athlete, stretches, reserve, rate, heart, on) : null
  const said = [
    ...(guessed ? ['Work without a target is reckoned as moderate.'] : []),
    ...(flat.some(entry => entry.target?.unit === 'of 10') ? ['What an effort out of 10 comes to is a rough custom.'] : []),
    ...(stretches.some(stretch => stretch.sport === 'ride') ? ['Way and speed on the bike are for still air: wind is left out.'] : []),
  ]
  return { load, steps: stepsOf(stretches, reserve, heart), heart, reserve, verdict, missing, said }
}

/** How often a watch will nudge, what would be quiet, and how the schools compare. */
export interface NudgePicture {
  forecast: NudgeForecast
  quiet: QuietProposal
  schools: SchoolBand[]
  schoolsAt: string | null
}

/** `on`: the day it is judged, ISO date. */
export interface PictureOptions extends SimulationOptions {
  on?: string
}

/** The whole picture of nudges for a session; yields the share done, as `forecastingNudges` does. */
export function* picturingNudges(
  session: Session,
  athlete: Athlete,
  nudging: Nudging,
  options: PictureOptions = {},
): Generator<number, NudgePicture> {
  const reckoning = reckon(session, { athlete, smoothingSeconds: nudging.smoothingSeconds, on: options.on })
  const held = heldSteps(session, reckoning, athlete, nudging)
  const forecast = yield* forecastingNudges(held, nudging, options)
  const main = mainStep(session, held)
  const item = main && itemAt(session, main.entry.path)
  const sport = main ? sportAt(session, main.entry.path) : 'multi'
  const stepMetres = item?.kind === 'step' && (item.end.on === 'distance' || item.end.on === 'send-off') ? toMetres(item.end) : undefined
  const schools =
    main && item?.kind === 'step' && item.target && sport !== 'multi'
      ? compareSchools(item.target, main.entry.target!, main.held.seconds, athlete, sport, nudging, { stepMetres, on: options.on })
      : []
  yield 1
  return { forecast, quiet: quietBands(session, reckoning, held, nudging), schools, schoolsAt: main?.entry.path ?? null }
}

/** `picturingNudges` to its end. */
export const nudgePicture = (session: Session, athlete: Athlete, nudging: Nudging, options: PictureOptions = {}): NudgePicture =>
  finish(picturingNudges(session, athlete, nudging, options))
