import type { Athlete } from '../athlete/athlete'
import { itemAt, sportAt } from '../edit/item-path'
import { toMetres } from '../quantity/distance'
import { reckon } from '../reckon/reckon'
import type { Session } from '../session/document'
import { ceilingAt, heartThrough } from './heart-response'
import type { HeartCourse } from './heart-response'
import { courseOf } from './intensity'
import type { Load } from './load'
import { loadOf } from './load'
import type { NudgeForecast, Nudging } from './nudges'
import { forecastNudges, heldSteps } from './nudges'
import type { QuietProposal, SchoolBand } from './quiet'
import { compareSchools, mainStep, quietBands } from './quiet'
import type { ReserveCourse } from './reserve'
import { reserveMissing, reserveRate, reserveThrough } from './reserve'
import type { Verdict } from './verdict'
import { verdictOn } from './verdict'

/** What a session will do to the athlete who carries it out. */
export interface Toll {
  load: Load
  heart: HeartCourse | null
  reserve: ReserveCourse | null
  verdict: Verdict | null
  /** The numbers of the athlete without which something above is not known. */
  missing: string[]
  /** Some work has no target: how hard it is was guessed. */
  guessed: boolean
}

/** Load, heart rate, reserve and verdict of a session for an athlete. */
export function tollOf(session: Session, athlete: Athlete): Toll {
  const { flat } = reckon(session, { athlete, load: false })
  const course = courseOf(session, flat, athlete)
  const load = loadOf(course, athlete)
  if (!course.ok) return { load, heart: null, reserve: null, verdict: null, missing: [course.missing], guessed: false }
  const { stretches, guessed } = course
  const missing: string[] = []
  const heart = heartThrough(stretches, athlete, path => ceilingAt(session, path, athlete))
  if (!heart && stretches.length > 0) missing.push('maximum and resting heart rate')
  const hardest = stretches.reduce((most, stretch) => Math.max(most, stretch.from, stretch.to), 0)
  const sport = stretches.find(stretch => Math.max(stretch.from, stretch.to) === hardest)?.sport
  const rate = sport ? reserveRate(athlete, sport) : null
  if (sport && rate === null && hardest > 1) missing.push(reserveMissing(athlete, sport))
  const reserve = rate === null || stretches.length === 0 ? null : reserveThrough(stretches, rate)
  const verdict = reserve && rate !== null ? verdictOn(session, athlete, stretches, reserve, rate, heart) : null
  return { load, heart, reserve, verdict, missing, guessed }
}

/** How often a watch will nudge, what would be quiet, and how the schools compare. */
export interface NudgePicture { forecast: NudgeForecast, quiet: QuietProposal, schools: SchoolBand[], schoolsAt: string | null }

export interface NudgeOptions { runs?: number, seed?: number, isCancelled?: () => boolean, onProgress?: (share: number) => void }

/** The whole picture of nudges for a session; null when it was cancelled. */
export function nudgePicture(session: Session, athlete: Athlete, nudging: Nudging, options: NudgeOptions = {}): NudgePicture | null {
  const reckoning = reckon(session, { athlete, smoothingSeconds: nudging.smoothingSeconds, load: false })
  const held = heldSteps(session, reckoning, athlete, nudging)
  const forecast = forecastNudges(held, nudging, options)
  if (!forecast) return null
  const main = mainStep(session, held)
  const item = main && itemAt(session, main.entry.path)
  const sport = main ? sportAt(session, main.entry.path) : 'multi'
  const stepMetres = item?.kind === 'step' && (item.end.on === 'distance' || item.end.on === 'send-off') ? toMetres(item.end) : undefined
  const schools = main && item?.kind === 'step' && item.target && sport !== 'multi'
    ? compareSchools(item.target, main.entry.target!, main.held.seconds, athlete, sport, nudging, stepMetres)
    : []
  return { forecast, quiet: quietBands(session, reckoning, held, nudging), schools, schoolsAt: main?.entry.path ?? null }
}
