import type { Burden, Domains } from './burden'

/** One thing that weighs on a day, planned or done. */
export interface Weight {
  day: string
  /** The id of what it is: an entry of the plan, or a recording. */
  id: string
  title: string
  /** A sport, or `work`. */
  sport: string
  metres: number | null
  burden: Burden | null
}

export interface SportSum {
  sport: string
  count: number
  seconds: number
  metres: number
}

/** What some days come to. */
export interface Sums {
  bySport: SportSum[]
  seconds: number
  /** Session effort and heart-rate impulse; null where nothing tells them. */
  load: number | null
  impulse: number | null
  domains: Domains | null
  /** How many of them have no load, because nothing tells it. */
  untold: number
}

const plus = (sum: number | null, value: number | null | undefined) => (value === null || value === undefined ? sum : (sum ?? 0) + value)

/** Time, distance, load and domains of what weighs; sports in the order of their time. */
export function sumsOf(weights: readonly Weight[]): Sums {
  const bySport = new Map<string, SportSum>()
  const sums: Omit<Sums, 'bySport'> = { seconds: 0, load: null, impulse: null, domains: null, untold: 0 }
  for (const { sport, metres, burden } of weights) {
    const of = bySport.get(sport) ?? { sport, count: 0, seconds: 0, metres: 0 }
    const seconds = burden?.seconds ?? 0
    bySport.set(sport, { ...of, count: of.count + 1, seconds: of.seconds + seconds, metres: of.metres + (metres ?? 0) })
    sums.seconds += seconds
    sums.load = plus(sums.load, burden?.load)
    sums.impulse = plus(sums.impulse, burden?.impulse)
    if (burden?.load === null || !burden) sums.untold++
    if (burden?.domains) {
      const { easy, between, hard } = burden.domains
      const before = sums.domains ?? { easy: 0, between: 0, hard: 0 }
      sums.domains = { easy: before.easy + easy, between: before.between + between, hard: before.hard + hard }
    }
  }
  return { ...sums, bySport: [...bySport.values()].sort((one, other) => other.seconds - one.seconds) }
}

/** Shares of the time in the three domains, 0 to 1; null where no time is told. */
export function sharesOf(domains: Domains | null): Domains | null {
  if (!domains) return null
  const whole = domains.easy + domains.between + domains.hard
  return whole > 0 ? { easy: domains.easy / whole, between: domains.between / whole, hard: domains.hard / whole } : null
}

/**
 * How alike the days of a week are, and what that makes of its load.
 *
 * @param loads of seven days, days of rest as 0
 * @returns mean over sample standard deviation, and the sum times that; null where the days do not differ, or are not seven
 * @source Foster, Med Sci Sports Exerc 30 (1998)
 * @example monotonyOf([300, 0, 300, 0, 300, 0, 300]) // { monotony: 1.07, strain: 1283 }
 */
export function monotonyOf(loads: readonly number[]): { monotony: number; strain: number } | null {
  if (loads.length !== 7) return null
  const sum = loads.reduce((total, load) => total + load, 0)
  const mean = sum / 7
  const spread = Math.sqrt(loads.reduce((total, load) => total + (load - mean) ** 2, 0) / 6)
  return spread > 0 ? { monotony: mean / spread, strain: (sum * mean) / spread } : null
}
