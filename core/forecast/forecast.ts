import { metresOfEnd } from '../session/ends'
import type { Missing } from '../words/missing'
import { sayAbility, sayLeftOut, sayLevel } from '../words/forecast'
import { abilityOf } from '../athlete/ability'
import { heartFor } from '../athlete/heart'
import { futureMarks } from '../athlete/marks'
import type { Standpoint } from '../athlete/standpoint'
import { itemAt, sportAt } from '../session/item-path'
import { placeAt } from '../session/place'
import type { ReckonedStep } from '../reckon/reckon'
import { reckon } from '../reckon/reckon'
import type { Session } from '../session/document'
import { ceilingAt, heartThrough } from './heart-response'
import type { HeartCourse } from './heart-response'
import { courseOf } from './intensity'
import type { Course, IntensitySegment, LeftOut } from './intensity'
import type { UsedForecast } from './level'
import { usedOf } from './level'
import type { Load } from './load'
import { loadOf } from './load'
import type { NudgeForecast, SimulationOptions } from './nudges'
import type { Nudging } from '../nudge/nudging'
import { finish, forecastingNudges, heldSteps } from './nudges'
import type { QuietProposal, SchoolBand } from './quiet'
import { compareSchools, mainStep, quietBands } from './quiet'
import type { Proposal } from './proposals'
import { nameStep, proposalsFor } from './proposals'
import { leastReserve, reserveRate } from './reserve'
import type { UsedCourse } from './share-used'

export interface ForecastStep {
  path: string
  round: number[]
  endsAt: number
  /** The share used when it ends. */
  used: number | null
  bpm: number | null
}

const near = <Point extends { t: number }>(points: readonly Point[], t: number, from: number) => {
  let index = from
  while (index + 1 < points.length && points[index + 1]!.t <= t + 1e-6) index++
  return index
}

function stepsOf(segments: readonly IntensitySegment[], used: UsedCourse | null, heart: HeartCourse | null): ForecastStep[] {
  let [t, atUsed, atHeart] = [0, 0, 0]
  return segments.map(({ path, round, seconds }) => {
    t += seconds
    if (used) atUsed = near(used.points, t, atUsed)
    if (heart) atHeart = near(heart.points, t, atHeart)
    return { path, round, endsAt: t, used: used ? used.points[atUsed]!.used : null, bpm: heart ? heart.points[atHeart]!.bpm : null }
  })
}

/** What a session will do to the athlete who carries it out. */
export interface SessionForecast {
  load: Load
  /** What is used, and the heart rate, at the end of each step. */
  steps: ForecastStep[]
  heart: HeartCourse | null
  used: UsedForecast | null
  /** The least that is left of W' or D', as a share of full; null where it is not known. */
  reserveLeast: number | null
  /** How hard it is in a sentence; empty where it cannot be told. */
  message: string
  proposals: Proposal[]
  leftOut: LeftOut[]
  /** The numbers of the athlete without which something above is not known. */
  missing: Missing[]
  /** What is rough about it, in words. */
  notes: string[]
}

/** Why there is no share used: the sport of the session in which nothing tells what the athlete can do. */
function abilityMissing(segments: readonly IntensitySegment[], standpoint: Standpoint): Missing[] {
  const sport = segments.find(segment => abilityOf(standpoint, segment.sport) === null)?.sport
  return sport === undefined ? [] : [sport === 'ride' ? { code: 'critical-power', sport } : { code: 'race', sport }]
}

/** What stands beside the sentence, so that nobody takes it for more than it is. */
function notesOn({ segments, leftOut }: Course, flat: readonly ReckonedStep[], standpoint: Standpoint): string[] {
  const abilities = [...new Set(segments.map(({ sport }) => sport))].flatMap(sport => abilityOf(standpoint, sport) ?? [])
  const codes = [...new Set(leftOut.map(({ code }) => code))]
  return [
    ...codes.map(code => sayLeftOut(leftOut.filter(one => one.code === code).length, code)),
    ...abilities.flatMap(ability => sayAbility({ ...ability, future: futureMarks(standpoint, ability.sport) })),
    ...(abilities.some(({ sport }) => heartFor(standpoint, sport).isMaximumEstimated)
      ? ['Your maximum heart rate is an estimate from your age, within about 10 bpm.']
      : []),
    ...(flat.some(entry => entry.target?.unit === 'of 10') ? ['What an effort out of 10 comes to is a rough custom.'] : []),
    ...(segments.some(({ sport }) => sport === 'ride') ? ['Way and speed on the bike are for still air: wind is left out.'] : []),
  ]
}

/** How much of the time of work is in steps that say no target. */
function untoldOf({ segments, leftOut }: Course): 'some' | 'most' | undefined {
  const untold = new Set(leftOut.filter(({ code }) => code === 'no-target').map(({ path }) => path))
  if (untold.size === 0) return undefined
  const seconds = (of: Course['segments']) => of.reduce((sum, segment) => sum + segment.seconds, 0)
  const work = segments.filter(({ role }) => role === 'work')
  return seconds(work.filter(({ path }) => untold.has(path))) * 2 > seconds(work) ? 'most' : 'some'
}

const heartCourse = ({ segments }: Course, session: Session, standpoint: Standpoint) =>
  heartThrough(segments, standpoint, path => ceilingAt(session, path, standpoint))

/**
 * What a session will do: the share used of what the athlete has shown, heart rate, load, and what would make it easier.
 */
export function forecastOf(session: Session, standpoint: Standpoint): SessionForecast {
  const { flat } = reckon(session, standpoint)
  const course = courseOf(session, flat, standpoint)
  const { segments, leftOut } = course
  const used = usedOf(course, standpoint)
  const heart = heartCourse(course, session, standpoint)
  const missing: Missing[] = [...course.missing, ...(used ? [] : abilityMissing(segments, standpoint))]
  if (!heart && segments.length > 0) missing.push({ code: 'heart-reserve', sport: segments[0]!.sport })
  const most = used?.course.most
  const name = most && most.path !== '' && segments.length > 1 ? nameStep(session, most.path, most.round, segments) : ''
  const ceiling = heart?.crossed
    ? ` Your ceiling of ${Math.round(heart.crossed.above)} bpm is likely crossed in ` +
      `${nameStep(session, heart.crossed.path, heart.crossed.round, segments)}.`
    : ''
  return {
    load: loadOf(course, used, standpoint),
    steps: stepsOf(segments, used?.course ?? null, heart),
    heart,
    used,
    reserveLeast: leastReserve(segments, sport => reserveRate(abilityOf(standpoint, sport))),
    message: used
      ? sayLevel({ level: used.level, used: used.used.likely!, between: used.between, most: name, untold: untoldOf(course) }) + ceiling
      : ceiling.trim(),
    proposals: used ? proposalsFor(session, standpoint, segments, used) : [],
    leftOut,
    missing,
    notes: notesOn(course, flat, standpoint),
  }
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
  const reckoning = reckon(session, standpoint, nudging)
  const held = heldSteps(session, reckoning, standpoint, nudging)
  const forecast = yield* forecastingNudges(held, nudging, options)
  const main = mainStep(session, held)
  const item = main && itemAt(session, main.entry.path)
  const sport = main ? sportAt(session, main.entry.path) : 'multi'
  yield 1
  const quiet = quietBands(session, held, forecast, standpoint, nudging)
  if (!main || item?.kind !== 'step' || !item.target || sport === 'multi') return { forecast, quiet, schools: [], schoolsAt: null }
  const { path } = main.entry
  const rounds = forecast.perStep.filter(one => one.path === path)
  const expected = rounds.reduce((sum, one) => sum + one.expected, 0) / rounds.length
  const context = { standpoint, sport, place: placeAt(session, path), nudging, over: item.target.over, stepMetres: metresOfEnd(item.end) }
  return { forecast, quiet, schools: compareSchools(item.target, main, expected, context), schoolsAt: path }
}

/** `picturingNudges` to its end. */
export const nudgePicture = (session: Session, standpoint: Standpoint, nudging: Nudging, options: SimulationOptions = {}): NudgePicture =>
  finish(picturingNudges(session, standpoint, nudging, options))
