import type { SensorSample } from '../wrist/engine/holding'
import type { PlaceKind } from '../session/document'
import type { Revolutions, SensorMessage } from './gatt'
import { cadenceBetween } from './gatt'
import type { Fix, PositionState } from './position'
import { follow } from './position'

/** What all sensors together have said so far. */
export interface SensorState {
  heart: { bpm: number; t: number } | null
  power: { watts: number; t: number } | null
  cadence: { value: number; t: number } | null
  crank: Revolutions | null
  position: PositionState | null
  fix: Fix | null
  /** Way and speed from a sensor on the foot or of the belt. */
  belt: { metres: number; speed: number; t: number } | null
}

export const silentSensors: SensorState = { heart: null, power: null, cadence: null, crank: null, position: null, fix: null, belt: null }

/** Seconds that a value is still taken for the present one. */
const freshFor = { heart: 6, power: 4, cadence: 5, position: 5, belt: 5 } as const

export const hearFix = (state: SensorState, fix: Fix): SensorState => ({ ...state, position: follow(state.position, fix), fix })

function hearBelt(state: SensorState, speed: number, t: number): SensorState {
  const before = state.belt
  const seconds = before ? Math.min(freshFor.belt, Math.max(0, t - before.t)) : 0
  return { ...state, belt: { metres: (before?.metres ?? 0) + (before ? ((before.speed + speed) / 2) * seconds : 0), speed, t } }
}

function hearCrank(state: SensorState, crank: Revolutions | null, t: number): SensorState {
  if (!crank) return state
  const value = state.crank ? cadenceBetween(state.crank, crank) : null
  return { ...state, crank, cadence: value === null ? state.cadence : { value, t } }
}

/** Takes in what a sensor says at `t` seconds. */
export function hearSensor(state: SensorState, message: SensorMessage, t: number): SensorState {
  switch (message.kind) {
    case 'heart-rate':
      return message.hasContact === false || message.bpm === 0 ? { ...state, heart: null } : { ...state, heart: { bpm: message.bpm, t } }
    case 'cycling-power':
      return hearCrank({ ...state, power: { watts: message.watts, t } }, message.crank, t)
    case 'cycling-cadence':
      return hearCrank(state, message.crank, t)
    case 'running-speed':
      return { ...hearBelt(state, message.speed, t), cadence: { value: message.cadence, t } }
    case 'treadmill':
      return message.speed === null ? state : hearBelt(state, message.speed, t)
  }
}

/**
 * The reading of one moment. Outdoors way is that of the position, indoors that of belt or foot; a value that is not fresh is null.
 */
export function readingOf(state: SensorState, t: number, place: PlaceKind | undefined): SensorSample {
  const isFresh = (entry: { t: number } | null, seconds: number) => entry !== null && t - entry.t <= seconds
  const isIndoors = place === 'treadmill' || place === 'trainer'
  const byPosition = !isIndoors && isFresh(state.position, freshFor.position) ? state.position : null
  const byBelt = isFresh(state.belt, freshFor.belt) ? state.belt : null
  const way = byPosition ?? (isIndoors || state.position === null ? byBelt : null)
  return {
    t,
    metres: way?.metres ?? null,
    heartRate: isFresh(state.heart, freshFor.heart) ? state.heart!.bpm : null,
    power: isFresh(state.power, freshFor.power) ? state.power!.watts : null,
    cadence: isFresh(state.cadence, freshFor.cadence) ? state.cadence!.value : null,
    ...(byPosition && state.fix ? { lat: state.fix.lat, lon: state.fix.lon, altitude: state.fix.altitude ?? null } : {}),
  }
}
