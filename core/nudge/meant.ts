import type { Ends } from '../quantity/band'

/** By how much one stays clear of the only end of a band, by what is measured: enough not to stray over it all the time. */
const clearOfEnd = { 'pace': 0.05, 'power': 0.1, 'heart-rate': 0.04, 'cadence': 0.05, 'rpe': 0.1 } as const

/** What somebody goes for who is given a band: its middle, or clear of its only end. */
export function meantBy({ easiest, hardest }: Ends, of: keyof typeof clearOfEnd): number {
  if (easiest !== undefined && hardest !== undefined) return (easiest + hardest) / 2
  return easiest === undefined ? hardest! * (1 - clearOfEnd[of]) : easiest * (1 + clearOfEnd[of])
}
