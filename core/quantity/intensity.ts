import type { BandUnit, PaceUnit, SpeedUnit } from './units'
import { metresPer } from './distance'

/** Metres covered in the time that one pace unit counts; `s/step` depends on the step and is not here. */
export const metresOfPaceUnit: Readonly<Record<Exclude<PaceUnit, 's/step'>, number>> = {
  's/km': 1000,
  's/mi': metresPer.mi,
  's/100m': 100,
  's/100yd': 100 * metresPer.yd,
}

/** Metres per second in one of each speed unit. */
export const metresPerSecondOf: Readonly<Record<SpeedUnit, number>> = { 'm/s': 1, 'km/h': 1 / 3.6, 'mi/h': metresPer.mi / 3600 }

export function isPaceUnit(unit: BandUnit | '%'): unit is PaceUnit {
  return unit.startsWith('s/')
}

/**
 * Speed of a pace.
 *
 * @param seconds more than zero, in the pace unit
 * @param unit seconds per kilometre, mile, 100 m, 100 yd or the step's own distance
 * @param stepMetres the step's own distance, needed for `s/step`
 * @returns metres per second, or null when `s/step` has no distance
 * @example paceToSpeed(252, 's/km') // 3.968...
 */
export function paceToSpeed(seconds: number, unit: PaceUnit, stepMetres?: number): number | null {
  const metres = unit === 's/step' ? stepMetres : metresOfPaceUnit[unit]
  if (metres === undefined || !(seconds > 0) || !(metres > 0)) return null
  return metres / seconds
}

/**
 * Pace of a speed in the given unit.
 *
 * @param speed metres per second, more than zero
 * @returns seconds per unit
 * @throws RangeError when the speed is zero or less
 * @example speedToPace(4, 's/km') // 250
 */
export function speedToPace(speed: number, unit: Exclude<PaceUnit, 's/step'>): number {
  if (!(speed > 0) || !Number.isFinite(speed)) throw new RangeError(`no pace at ${speed} m/s`)
  return metresOfPaceUnit[unit] / speed
}
