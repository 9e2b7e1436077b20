import type { FitWeakness, TrialsMissing } from '../words/benchmarks'

/** An all-out effort: how long, and what it came to: metres, or joules. */
export interface Trial {
  seconds: number
  amount: number
}

/** Critical speed with D', or critical power with W'. */
export interface CriticalFit {
  /** m/s or W. */
  critical: number
  /** What can be spent above critical: metres or joules. */
  reserve: number
  /** Standard errors with n-2 degrees of freedom; null for two trials, which any line fits. */
  criticalError: number | null
  reserveError: number | null
  weaknesses: FitWeakness[]
}

export type CriticalReading = { ok: true; fit: CriticalFit } | { ok: false; missing: TrialsMissing }

const usable = { least: 120, most: 1200, usual: 900, apart: 300 }

/** Whether an effort is of a length from which critical power or speed can be told: 2 to 20 min. */
export const isCriticalTrial = (seconds: number) => seconds >= usable.least && seconds <= usable.most

/**
 * Critical power (speed) and the reserve above it, from two or more all-out efforts: the line of work (distance) on time.
 *
 * @param trials seconds and joules or metres; those outside 2-20 min are left out, over 15 min are taken and said
 * @param isAnyLength takes trials of any length, as 200 m and 400 m in a pool are
 * @returns what is missing with fewer than two lengths, or where the line gives no critical or no reserve above zero
 * @source Monod & Scherrer (1965); Moritani et al. (1981); Jones & Vanhatalo, Sports Med 47 (2017)
 * @example fitCritical([{ seconds: 180, amount: 60000 }, { seconds: 720, amount: 180000 }]) // 222.2 W and 20 kJ
 */
export function fitCritical(trials: readonly Trial[], isAnyLength = false): CriticalReading {
  const used = trials.filter(trial => (isAnyLength || isCriticalTrial(trial.seconds)) && trial.amount > 0)
  const n = used.length
  const meanT = used.reduce((sum, trial) => sum + trial.seconds, 0) / n
  const meanA = used.reduce((sum, trial) => sum + trial.amount, 0) / n
  const spread = used.reduce((sum, trial) => sum + (trial.seconds - meanT) ** 2, 0)
  if (n < 2 || spread < 1) return { ok: false, missing: 'two-lengths' }
  const critical = used.reduce((sum, trial) => sum + (trial.seconds - meanT) * (trial.amount - meanA), 0) / spread
  const reserve = meanA - critical * meanT
  if (!(critical > 0) || !(reserve > 0)) return { ok: false, missing: 'fitting-together' }
  const residual =
    n > 2 ? Math.sqrt(used.reduce((sum, trial) => sum + (trial.amount - reserve - critical * trial.seconds) ** 2, 0) / (n - 2)) : null
  const times = used.map(trial => trial.seconds)
  const weaknesses: FitWeakness[] = []
  if (n === 2) weaknesses.push('two-efforts')
  if (Math.max(...times) - Math.min(...times) < usable.apart) weaknesses.push('close-efforts')
  if (times.some(seconds => seconds > usable.usual)) weaknesses.push('long-effort')
  return {
    ok: true,
    fit: {
      critical,
      reserve,
      weaknesses,
      criticalError: residual === null ? null : residual / Math.sqrt(spread),
      reserveError: residual === null ? null : residual * Math.sqrt(1 / n + meanT ** 2 / spread),
    },
  }
}

/** Two-sided 95 % quantiles of Student's t by degrees of freedom, from 1; the normal's comes near behind them. */
const quantiles = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228]

/**
 * Half the width of the 95 % range of a fitted number.
 *
 * @param error standard error; null where there is none
 * @param trials how many it was fitted through, three or more
 * @example rangeOf(2, 3) // 25.4
 */
export const rangeOf = (error: number | null, trials: number): number | null =>
  error === null ? null : error * (quantiles[trials - 3] ?? 1.96 + 2.4 / (trials - 2))

/**
 * Critical power (speed) and its reserve from a 3-minute all-out test: what is left in the last half minute, and what was
 * spent above it.
 *
 * @param mean over the whole 180 s, in W or m/s
 * @param meanAtEnd over the last 30 s, more than zero and at most `mean`
 * @returns null where the numbers cannot be of an all-out test
 * @source Vanhatalo, Doust & Burnley, Med Sci Sports Exerc 39 (2007)
 * @example criticalOfAllOut(300, 240) // { critical: 240, reserve: 10800 }
 */
export function criticalOfAllOut(mean: number, meanAtEnd: number): { critical: number; reserve: number } | null {
  if (!(meanAtEnd > 0) || !(mean > meanAtEnd) || !Number.isFinite(mean)) return null
  return { critical: meanAtEnd, reserve: (mean - meanAtEnd) * 180 }
}

/**
 * Critical swim speed from two distances swum all out.
 *
 * @returns m/s, or null where the longer is not slower than the shorter
 * @source Wakayoshi et al. (1992; the pair of 200 and 400 m: 1993)
 * @example criticalSwimSpeed({ metres: 200, seconds: 212 }, { metres: 400, seconds: 436 }) // 0.893
 */
export function criticalSwimSpeed(short: { metres: number; seconds: number }, long: { metres: number; seconds: number }): number | null {
  const speed = (long.metres - short.metres) / (long.seconds - short.seconds)
  const isSound = long.metres > short.metres && long.seconds > short.seconds && speed > 0 && speed < short.metres / short.seconds
  return isSound ? speed : null
}
