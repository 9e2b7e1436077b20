/** How a value wanders around what is meant: first-order autoregressive noise of one-second values. */
export interface Steadiness {
  /** Standard deviation as a share of the intended value. */
  sd: number
  /** Correlation time in seconds. */
  tau: number
}

/** Used until the athlete's own recordings say better; by measure. Own estimates, editable. */
export const defaultSteadiness = {
  'speed': { sd: 0.03, tau: 6 },
  'power': { sd: 0.07, tau: 3 },
  'heart-rate': { sd: 0.008, tau: 20 },
  'cadence': { sd: 0.02, tau: 4 },
} as const satisfies Record<string, Steadiness>

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

export type SteadinessMeasure = keyof typeof defaultSteadiness
