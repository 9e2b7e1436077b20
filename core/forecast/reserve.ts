import type { Missing } from '../words/missing'
import type { Athlete } from '../athlete/athlete'
import type { Sport } from '../session/document'
import type { IntensitySegment } from './intensity'

/** What is left of the reserve above critical at a moment, as a share: 1 is full, 0 empty, below it beyond reach. */
export interface ReservePoint {
  t: number
  share: number
}

export interface ReserveCourse {
  points: ReservePoint[]
  /** The lowest moment: at the end of which step. */
  least: { share: number; t: number; path: string; round: number[] }
  /** The step in which it first runs out. */
  empty: { t: number; path: string; round: number[] } | null
}

/** Critical over reserve, in 1/s: how fast the reserve goes for each share above critical. Null where one is unknown. */
export function reserveRate(athlete: Athlete, sport: Sport): number | null {
  const of = (critical: number | undefined, reserve: number | undefined) =>
    critical === undefined || reserve === undefined || !(reserve > 0) ? null : critical / reserve
  if (sport === 'ride') return of(athlete.ride?.criticalPower, athlete.ride?.wPrime)
  if (sport === 'swim') return null
  return of(athlete.run?.criticalSpeed, athlete.run?.dPrime) ?? of(athlete.run?.criticalPower, athlete.run?.wPrime)
}

/** The number that the balance of a sport still needs. */
export const reserveMissing = (athlete: Athlete, sport: Sport): Missing => {
  if (sport === 'ride' && athlete.ride?.criticalPower === undefined) return { code: 'critical-power', sport }
  const knowsCritical = athlete.run?.criticalSpeed !== undefined || athlete.run?.criticalPower !== undefined
  return { code: sport === 'run' && !knowsCritical ? 'critical-speed' : 'reserve', sport }
}

const sliceSeconds = 10

/** The balance after some seconds at one share of critical: spent in proportion above it, won back toward full below. */
export function balanceAfter(balance: number, share: number, seconds: number, rate: number): number {
  if (share >= 1) return balance - (share - 1) * rate * seconds
  return 1 - (1 - balance) * Math.exp(-(1 - share) * rate * seconds)
}

/**
 * The reserve above critical (W' or D') through a session, from full.
 *
 * @param rate critical over reserve in 1/s, more than zero
 * @returns may go below zero: beyond reach, by as much as it says
 * @source differential form, Skiba et al., Eur J Appl Physiol 115 (2015); Skiba & Clarke, IJSPP (2021)
 */
export function reserveThrough(segments: readonly IntensitySegment[], rate: number): ReserveCourse {
  const points: ReservePoint[] = [{ t: 0, share: 1 }]
  let least: ReserveCourse['least'] = { share: 1, t: 0, path: segments[0]?.path ?? '', round: segments[0]?.round ?? [] }
  let empty: ReserveCourse['empty'] = null
  let t = 0
  let balance = 1
  for (const { path, round, seconds, from, to } of segments) {
    const slices = Math.max(1, from === to ? Math.min(12, Math.ceil(seconds / 60)) : Math.ceil(seconds / sliceSeconds))
    for (let slice = 0; slice < slices; slice++) {
      const share = from + ((to - from) * (slice + 0.5)) / slices
      const before = balance
      balance = balanceAfter(balance, share, seconds / slices, rate)
      if (empty === null && balance < 0) empty = { t: t + ((seconds / slices) * before) / (before - balance), path, round }
      t += seconds / slices
      points.push({ t, share: balance })
      if (balance < least.share) least = { share: balance, t, path, round }
    }
  }
  return { points, least, empty }
}
