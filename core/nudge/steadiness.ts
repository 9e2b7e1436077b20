import type { PlaceKind, Sport } from '../session/document'

/** How a value wanders around what is meant: first-order autoregressive noise of one-second values. */
export interface Steadiness {
  /** Standard deviation as a share of the intended value. */
  sd: number
  /** Correlation time in seconds. */
  tau: number
}

export type SteadinessMeasure = 'speed' | 'power' | 'heart-rate' | 'cadence'

/** What wanders where a target is held, by what the target is of. */
export const wanderingMeasure = { 'pace': 'speed', 'power': 'power', 'heart-rate': 'heart-rate', 'cadence': 'cadence' } as const

/** By measure, where neither sport nor place says better. Own estimates, editable. */
const bySensor: Readonly<Record<SteadinessMeasure, Steadiness>> = {
  'speed': { sd: 0.02, tau: 6 },
  'power': { sd: 0.07, tau: 3 },
  'heart-rate': { sd: 0.008, tau: 20 },
  'cadence': { sd: 0.02, tau: 4 },
}
const onBelt: Steadiness = { sd: 0.012, tau: 6 }
const onTrainer: Steadiness = { sd: 0.035, tau: 3 }
const onFoot: Steadiness = { sd: 0.04, tau: 4 }
const inWater: Steadiness = { sd: 0.02, tau: 10 }

/** How a value wanders until the athlete's own recordings say better, by sport, sensor and place. */
export function usualSteadiness(sport: Sport, measure: SteadinessMeasure, place?: PlaceKind): Steadiness {
  if (measure === 'speed') return sport === 'swim' ? inWater : place === 'treadmill' ? onBelt : bySensor.speed
  if (measure !== 'power') return bySensor[measure]
  return sport === 'run' ? onFoot : place === 'trainer' ? onTrainer : bySensor.power
}

/** How far a position is off, in metres, and for how many seconds about. Own estimate for open sky. */
export const positionError = { metres: 0.4, tau: 30 } as const

/** Whether the distance comes from a position, with its error; not where a wheel, a belt or a wall counts it. */
export const isByPosition = (sport: Sport, place: PlaceKind | undefined): boolean =>
  sport === 'swim' ? place === 'open-water' : place !== 'treadmill' && place !== 'trainer' && place !== 'pool'

/**
 * Standard deviation of the moving average of first-order autoregressive noise.
 *
 * @param sd standard deviation of the one-second value, zero or more
 * @param tau correlation time in seconds, more than zero; phi = e^(-1/tau)
 * @param seconds length of the average, a whole number from 1
 * @returns sd of the average: sd/n * sqrt(n + 2 sum_{k=1}^{n-1} (n-k) phi^k)
 * @source variance of the mean of a stationary AR(1) process, e.g. Box, Jenkins & Reinsel
 * @example smoothedSd(1, 5, 1) // 1
 */
export function smoothedSd(sd: number, tau: number, seconds: number): number {
  const n = Math.max(1, Math.round(seconds))
  const phi = Math.exp(-1 / tau)
  let sum = n
  for (let lag = 1; lag < n; lag++) sum += 2 * (n - lag) * phi ** lag
  return (sd * Math.sqrt(sum)) / n
}
