import type { DateForms } from '../words/date'
import { hasCritical, sportNames, sports } from '../session/sports'
import type { Role, Sport } from '../session/document'

/** The athlete document as `docs/formats/athlete.schema.json` states it. Speeds in m/s, paces in seconds per kilometre. */

export type BandSchoolKind = 'quiet' | 'lean-fast' | 'even' | 'percent'
export interface BandSchool {
  kind: BandSchoolKind
  easier?: number
  harder?: number
  unit?: string
}
/** How the wrist makes itself heard, and what it says. */
export interface CueSchool {
  voice?: boolean
  tone?: boolean
  tap?: boolean
  countdown?: boolean
  halfway?: boolean
  autoLapMetres?: number
}
/** A second programme that goes beside every session: seconds between drinks and meals, and of running and walking by turns. */
export interface BesideSchool {
  drinkSeconds?: number
  eatSeconds?: number
  runSeconds?: number
  walkSeconds?: number
}
export interface HeartNumbers {
  max?: number
  rest?: number
  threshold?: number
  aerobicThreshold?: number
}
export interface Bike {
  massKg: number
  cda: number
  crr: number
}
export interface Effort {
  sport: Sport
  metres?: number
  seconds: number
  watts?: number
  date: string
  /** The athlete says that it does not hold: not all out, or measured wrong. */
  leftOut?: true
}
export interface Goal {
  name: string
  sport: Sport
  metres: number
  seconds: number
  date: string
}
/** Words of the athlete or their coach, and what they mean when they are read. */
export interface OwnWord {
  said: string
  means: string
}
export type PaceBySport = number | Partial<Record<Sport, number>>

export interface Athlete {
  format: 'agonis.athlete'
  version: 1
  name: string
  timeZone?: string
  weekStart?: number
  /** How days and times are said. */
  shown?: Partial<DateForms>
  birthDate?: string
  sex?: 'female' | 'male'
  massKg?: number
  units?: { run: 'mi' | 'km'; ride: 'mi' | 'km'; swim: 'm' | 'yd' }
  heart?: HeartNumbers & { bySport?: Partial<Record<Sport, HeartNumbers>> }
  run?: { criticalPower?: number; wPrime?: number; criticalSpeed?: number; dPrime?: number }
  ride?: { criticalPower?: number; wPrime?: number; bike?: Bike }
  swim?: { criticalSpeed?: number }
  efforts?: Effort[]
  goals?: Goal[]
  usual?: { warmUpSeconds: number; coolDownSeconds: number; otherOpenSeconds: number }
  easyPace?: PaceBySport
  recoveryPace?: PaceBySport
  walkPace?: PaceBySport
  zones?: Partial<Record<Sport, Partial<Record<'heart-rate' | 'power' | 'pace', number[]>>>>
  preferredMeasure?: Partial<Record<Sport, 'pace' | 'heart-rate' | 'power'>>
  schools?: {
    band?: BandSchool
    racePrediction?: 'power-law' | 'oxygen'
    naming?: 'telling' | 'weekday' | 'slot'
    pushing?: 'week' | 'today' | 'hand'
    cues?: CueSchool
    beside?: BesideSchool
  }
  steadiness?: Record<string, unknown>
  /** What answered questions taught the reader. */
  words?: OwnWord[]
}

/** The day of the athlete's youngest effort, ISO date; null without one. */
export const youngestDayOf = ({ efforts = [] }: Athlete): string | null =>
  efforts.reduce<string | null>((youngest, { date }) => (youngest === null || date > youngest ? date : youngest), null)

/** The athlete of whom nothing is known: nothing can be resolved but what was said in absolute numbers. */
export const unknownAthlete: Athlete = { format: 'agonis.athlete', version: 1, name: 'unknown' }

export const usualOf = (athlete: Athlete) => athlete.usual ?? { warmUpSeconds: 900, coolDownSeconds: 600, otherOpenSeconds: 180 }

/** How long an open step usually takes the athlete, in seconds, by its role. */
export function usualSecondsOf(athlete: Athlete, role: Role): number {
  const usual = usualOf(athlete)
  return role === 'warm-up' ? usual.warmUpSeconds : role === 'cool-down' ? usual.coolDownSeconds : usual.otherOpenSeconds
}

export type Units = NonNullable<Athlete['units']>

/** The units of somebody who has chosen none. */
export const usualUnits = Object.fromEntries(sportNames.map(sport => [sport, sports[sport].units[0]])) as unknown as Units

/** The unit that each sport's distances are said in; the sport's first where the athlete has chosen none. */
export const unitsOf = (athlete: Athlete): Units => athlete.units ?? usualUnits

/** Critical speed in m/s as the athlete has set it; undefined where they have not, or the sport knows none. */
export const criticalSpeedOf = (athlete: Athlete, sport: Sport): number | undefined =>
  hasCritical(sport, 'speed') ? (athlete[sport] as { criticalSpeed?: number } | undefined)?.criticalSpeed : undefined

/** Critical power in W as the athlete has set it; undefined where they have not, or the sport knows none. */
export const criticalPowerOf = (athlete: Athlete, sport: Sport): number | undefined =>
  hasCritical(sport, 'power') ? (athlete[sport] as { criticalPower?: number } | undefined)?.criticalPower : undefined

/** Heart numbers for a sport: the sport's own where they are given, else the common ones. */
export function heartOf(athlete: Athlete, sport: Sport): HeartNumbers {
  const { bySport, ...common } = athlete.heart ?? {}
  return { ...common, ...bySport?.[sport] }
}

/** A pace kept for a sport as a speed in m/s; a single number is the run's. */
export function speedOfPace(pace: PaceBySport | undefined, sport: Sport): number | undefined {
  const seconds = typeof pace === 'number' ? (sport === 'run' ? pace : undefined) : pace?.[sport]
  return seconds === undefined ? undefined : 1000 / seconds
}

/** The athlete without their words and how days are said: what a session is reckoned and carried out by. */
export function numbersOf(athlete: Athlete): Athlete {
  const { words: _words, shown: _shown, ...numbers } = athlete
  return numbers
}
