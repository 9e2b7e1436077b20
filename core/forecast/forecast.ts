import { metresOfEnd } from '../session/ends'
import type { Missing } from '../words/missing'
import type { Standpoint } from '../athlete/standpoint'
import { itemAt, sportAt } from '../session/item-path'
import { reckon } from '../reckon/reckon'
import type { Session } from '../session/document'
import { ceilingAt, heartThrough } from './heart-response'
import type { HeartCourse } from './heart-response'
import { courseOf } from './intensity'
import type { IntensitySegment } from './intensity'
import type { Load } from './load'
import { loadOf } from './load'
import type { NudgeForecast, SimulationOptions } from './nudges'
import type { Nudging } from '../nudge/nudging'
import { finish, forecastingNudges, heldSteps } from './nudges'
import type { QuietProposal, SchoolBand } from './quiet'
import { compareSchools, mainStep, quietBands } from './quiet'
import type { ReserveCourse } from './reserve'
import { reserveMissing, reserveRate, reserveThrough } from './reserve'
import type { Verdict } from './verdict'
import { verdictOn } from './verdict'

export interface ForecastStep {
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

function stepsOf(segments: readonly IntensitySegment[], reserve: ReserveCourse | null, heart: HeartCourse | null): ForecastStep[] {
  let [t, atReserve, atHeart] = [0, 0, 0]
  return segments.map(({ path, round, seconds }) => {
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
export interface SessionForecast {
  load: Load
  /** What is left, and the heart rate, at the end of each step. */
  steps: ForecastStep[]
  heart: HeartCourse | null
  reserve: ReserveCourse | null
  verdict: Verdict | null
  /** The numbers of the athlete without which something above is not known. */
  missing: Missing[]
  /** What is rough about it, in words. */
  notes: string[]
}

/**
 * Load, heart rate, reserve and verdict of a session for an athlete.
 */
export function forecastOf(session: Session, standpoint: Standpoint): SessionForecast {
  const { flat } = reckon(session, standpoint)
  const course = courseOf(session, flat, standpoint)
  const load = loadOf(course, standpoint)
  if (!course.ok) return { load, steps: [], heart: null, reserve: null, verdict: null, missing: [course.missing], notes: [] }
  const { segments, guessed } = course
  const missing: Missing[] = []
  const heart = heartThrough(segments, standpoint, path => ceilingAt(session, path, standpoint))
  if (!heart && segments.length > 0) missing.push({ code: 'heart-reserve', sport: segments[0]!.sport })
  const hardest = segments.reduce((most, segment) => Math.max(most, segment.from, segment.to), 0)
  const sport = segments.find(segment => Math.max(segment.from, segment.to) === hardest)?.sport
  const rate = sport ? reserveRate(standpoint.athlete, sport) : null
  if (sport && rate === null && hardest > 1) missing.push(reserveMissing(standpoint.athlete, sport))
  const reserve = rate === null || segments.length === 0 ? null : reserveThrough(segments, rate)
  const verdict = reserve && rate !== null ? verdictOn(session, standpoint, segments, reserve, rate, heart) : null
  const notes = [
    ...(guessed ? ['Work without a target is reckoned as moderate.'] : []),
    ...(flat.some(entry => entry.target?.unit === 'of 10') ? ['What an effort out of 10 comes to is a rough custom.'] : []),
    ...(segments.some(segment => segment.sport === 'ride') ? ['Way and speed on the bike are for still air: wind is left out.'] : []),
  ]
  return { load, steps: stepsOf(segments, reserve, heart), heart, reserve, verdict, missing, notes }
}

/** How often a watch will nudge, what would be quiet, and how the schools compare. */
export interface NudgePicture {
  forecast: NudgeForecast
  quiet: QuietProposal
  schools: SchoolBand[]
  schoolsAt: string | null
}

/** The whole picture of nudges for a session; yields the share done, as `forecastingNudges` does. */
export function* picturingNudges(
  session: Session,
  standpoint: Standpoint,
  nudging: Nudging,
  options: SimulationOptions = {},
): Generator<number, NudgePicture> {
  const reckoning = reckon(session, standpoint, { smoothingSeconds: nudging.smoothingSeconds })
  const held = heldSteps(session, reckoning, standpoint, nudging)
  const forecast = yield* forecastingNudges(held, nudging, options)
  const main = mainStep(session, held)
  const item = main && itemAt(session, main.entry.path)
  const sport = main ? sportAt(session, main.entry.path) : 'multi'
  const stepMetres = item?.kind === 'step' ? metresOfEnd(item.end) : undefined
  const schools =
    main && item?.kind === 'step' && item.target && sport !== 'multi'
      ? compareSchools(item.target, main.entry.target!, main.held.seconds, standpoint, sport, nudging, { stepMetres })
      : []
  yield 1
  return { forecast, quiet: quietBands(session, reckoning, held, nudging), schools, schoolsAt: main?.entry.path ?? null }
}

/** `picturingNudges` to its end. */
export const nudgePicture = (session: Session, standpoint: Standpoint, nudging: Nudging, options: SimulationOptions = {}): NudgePicture =>
  finish(picturingNudges(session, standpoint, nudging, options))
