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
 * a tenth of a kilometre or mile above, a hundredth of a mile from a quarter of one on.
 *
 * @param metres zero or more
 * @param unit the athlete's unit for the sport
 * @example sayDistance(12345, 'km') // "12.3 km"
 */
export function sayDistance(metres: number, unit: DistanceUnit): string {
  if (unit === 'm' || unit === 'yd') return `${Math.round(metres / metresPer[unit])} ${unit}`
  if (unit === 'mi' && metres < 2000 && metres >= metresPer.mi / 4) return `${(metres / metresPer.mi).toFixed(2)} mi`
  if (metres < 2000) return `${Math.round(metres)} m`
  return `${(metres / metresPer[unit]).toFixed(1)} ${unit}`
}

/** A length is round in a unit where it is this near to a whole number of such parts. */
const roundIn = [
  { unit: 'km', parts: 10, from: 2000 },
  { unit: 'm', parts: 1 / 5, from: 0 },
  { unit: 'mi', parts: 100, from: 0 },
  { unit: 'yd', parts: 1 / 25, from: 0 },
  { unit: 'm', parts: 1, from: 0 },
  { unit: 'yd', parts: 1, from: 0 },
] as const
const sameWithin = 0.005

/**
 * A distance as it was said, told from metres alone: in the unit in which it is round, so that a mile stays a mile.
 *
 * @example distanceAsSaid(1609.344) // { value: 1, unit: 'mi' }
 */
export function distanceAsSaid(metres: number): { value: number; unit: DistanceUnit } {
  for (const { unit, parts, from } of roundIn) {
    const value = metres / metresPer[unit]
    const whole = Math.round(value * parts) / parts
    if (whole > 0 && metres >= from && Math.abs(whole - value) * metresPer[unit] < sameWithin)
      return { value: Math.round(whole * 100) / 100, unit }
  }
  return { value: Math.round(metres * 10) / 10, unit: 'm' }
}
