import type { Sport } from '../session/document'
import { sports } from '../session/sports'

/** Time in seconds over a distance in metres as `seconds = a * metres ** exponent`. */
export interface PowerLaw {
  exponent: number
  atMetres: number
  atSeconds: number
  clamped: boolean
}

/**
 * The power law of race performance through an athlete's efforts: T2 = T1 (D2/D1)^b.
 *
 * @param efforts metres and seconds, each more than zero
 * @returns null with no effort; one effort takes the sport's customary exponent; with more, least squares on
 *   ln metres and ln seconds through their mean point, the exponent clamped to 1.02-1.15
 * @source Riegel, Runner's World (1977); American Scientist 69 (1981)
 * @example fitPowerLaw('run', [{ metres: 10000, seconds: 2820 }])!.exponent // 1.06
 */
export function fitPowerLaw(sport: Sport, efforts: readonly { metres: number; seconds: number }[]): PowerLaw | null {
  if (efforts.length === 0) return null
  const x = efforts.map(effort => Math.log(effort.metres))
  const y = efforts.map(effort => Math.log(effort.seconds))
  const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  const [meanX, meanY] = [mean(x), mean(y)]
  const spread = x.reduce((sum, value) => sum + (value - meanX) ** 2, 0)
  const through = { atMetres: Math.exp(meanX), atSeconds: Math.exp(meanY) }
  if (spread < 1e-9) return { exponent: sports[sport].raceExponent, clamped: false, ...through }
  const slope = x.reduce((sum, value, index) => sum + (value - meanX) * (y[index]! - meanY), 0) / spread
  const exponent = Math.min(1.15, Math.max(1.02, slope))
  return { exponent, clamped: exponent !== slope, ...through }
}

/** Seconds for a distance on the law, both more than zero. */
export function secondsFor(law: PowerLaw, metres: number): number {
  return law.atSeconds * (metres / law.atMetres) ** law.exponent
}

/** The distance in metres that the law gives for a time in seconds; the inverse of `secondsFor`. */
export function metresFor(law: PowerLaw, seconds: number): number {
  return law.atMetres * (seconds / law.atSeconds) ** (1 / law.exponent)
}
