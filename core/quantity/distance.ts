import type { DistanceUnit } from './units'

/** Metres in one of each unit, exact: international mile and yard of 1959. */
export const metresPer: Readonly<Record<DistanceUnit, number>> = { m: 1, km: 1000, mi: 1609.344, yd: 0.9144 }

/**
 * A distance in metres.
 *
 * @example toMetres({ value: 2, unit: 'mi' }) // 3218.688
 */
export function toMetres(distance: { value: number; unit: DistanceUnit }): number {
  return distance.value * metresPer[distance.unit]
}

/**
 * Says metres in the athlete's unit with the digits a plan deserves: whole metres below two kilometres,
 * a tenth of a kilometre or mile above.
 *
 * @param metres zero or more
 * @param unit the athlete's unit for the sport
 * @example sayDistance(12345, 'km') // "12.3 km"
 */
export function sayDistance(metres: number, unit: DistanceUnit): string {
  if (unit === 'm' || unit === 'yd') return `${Math.round(metres / metresPer[unit])} ${unit}`
  if (metres < 2000) return `${Math.round(metres)} m`
  return `${(metres / metresPer[unit]).toFixed(1)} ${unit}`
}
