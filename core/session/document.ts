import type { BandUnit, DistanceUnit } from '../quantity/units'

/** The session document as `docs/formats/session.schema.json` states it. What was said is stored; the rest is derived. */

export type Sport = 'run' | 'ride' | 'swim'
export type SessionSport = Sport | 'multi'
export const sessionSports = ['run', 'ride', 'swim', 'multi'] as const satisfies readonly SessionSport[]
export const isSessionSport = (text: string): text is SessionSport => (sessionSports as readonly string[]).includes(text)
export type Role = 'warm-up' | 'work' | 'recovery' | 'rest' | 'cool-down' | 'transition'
export type Manner = 'walk' | 'jog' | 'float' | 'stride'
export type PlainPlaceKind = 'road' | 'trail' | 'treadmill' | 'outdoors' | 'trainer' | 'open-water'
export type PlaceKind = PlainPlaceKind | 'track' | 'pool'
export type PlaceOfSession =
  { kind: PlainPlaceKind } | { kind: 'track'; lane?: number } | { kind: 'pool'; length: number; unit: 'm' | 'yd' }

export type DayName = 'mon' | 'tue' | 'wed' | 'thu' | 'fri' | 'sat' | 'sun'

export interface Distance {
  value: number
  unit: DistanceUnit
}

export type End =
  | { on: 'time'; seconds: number }
  | { on: 'distance'; value: number; unit: DistanceUnit }
  | { on: 'press' }
  | { on: 'heart-rate'; below: number; above?: undefined }
  | { on: 'heart-rate'; above: number; below?: undefined }
  | { on: 'energy'; kilocalories: number }
  | { on: 'send-off'; value: number; unit: DistanceUnit; seconds: number }
  | { on: 'first'; of: [End, End] }

export type BandMeasure = 'pace' | 'speed' | 'heart-rate' | 'power' | 'cadence' | 'rpe'
export type ZoneMeasure = 'heart-rate' | 'power' | 'pace'
export type EffortName =
  '1500m' | 'mile' | '3k' | '5k' | '10k' | 'half-marathon' | 'marathon' | 'threshold' | 'critical' | 'steady' | 'easy' | 'max' | 'goal'

export interface Give {
  easier?: number
  harder?: number
  unit: BandUnit | '%'
}
export interface Offset {
  value: number
  unit: 's/mi' | 's/km' | 's/100m' | '%'
}
export interface Band {
  easiest?: number
  hardest?: number
}

interface TargetManner {
  over?: number
  give?: Give
}
export interface BandTarget extends Band, TargetManner {
  of: BandMeasure
  unit: BandUnit
  to?: Band & { of?: BandMeasure; unit?: BandUnit }
}
export interface ZoneTarget extends TargetManner {
  of: ZoneMeasure
  zone: number | [number, number]
  scheme?: 3 | 5 | 'own'
  to?: { of?: ZoneMeasure; zone: number | [number, number]; scheme?: 3 | 5 | 'own' }
}
export interface EffortTarget extends TargetManner {
  of: 'effort'
  name: EffortName
  offset?: Offset
  to?: { of?: 'effort'; name: EffortName; offset?: Offset }
}
export type Target = BandTarget | ZoneTarget | EffortTarget

export type Stroke = 'free' | 'back' | 'breast' | 'fly' | 'medley' | 'choice'
export type SwimMode = 'swim' | 'kick' | 'pull' | 'drill'
export type SwimKit = 'fins' | 'paddles' | 'buoy' | 'snorkel' | 'board'
export interface Swim {
  stroke?: Stroke
  mode?: SwimMode
  drill?: string
  kit?: SwimKit[]
}

export interface Ceiling {
  of: 'heart-rate'
  above: number
  unit?: 'bpm' | '%HRmax' | '%LTHR'
}
export interface Prompt {
  say: string
  from: number
  every: number
  count?: number
}
export interface Doubt {
  said: string
  others?: string[]
}
export interface Grade {
  low: number
  high: number
}

export interface Step {
  kind: 'step'
  role: Role
  end: End
  target?: Target
  also?: Target
  manner?: Manner
  grade?: Grade
  swim?: Swim
  ceiling?: Ceiling
  note?: string
  off?: true
  doubt?: Doubt
}

export type Repeat =
  { times: number; stopAfterMissed?: number } | { distance: Distance; times?: undefined } | { seconds: number; times?: undefined }

export interface Block {
  kind: 'block'
  repeat: Repeat
  items: Item[]
  lastRecovery?: 'drop'
  ceiling?: Ceiling
  note?: string
  doubt?: Doubt
  off?: true
}

export interface Unread {
  kind: 'unread'
  text: string
}
export interface Leg {
  kind: 'leg'
  sport: Sport
  place?: PlaceOfSession
  items: Item[]
}
export type Item = Step | Block | Unread | Leg

export interface Session {
  format: 'agonis.session'
  version: 1
  title?: string
  sport: SessionSport
  place?: PlaceOfSession
  day?: string
  items: Item[]
  ceiling?: Ceiling
  prompts?: Prompt[]
  note?: string
  source?: string
}

export const isZoneTarget = (target: Target): target is ZoneTarget => 'zone' in target
export const isEffortTarget = (target: Target): target is EffortTarget => target.of === 'effort'
export const isBandTarget = (target: Target): target is BandTarget => 'unit' in target
