import type { Ends } from '../quantity/band'
import type { ResolvedTarget } from './resolve'

/** Parts of a unit that a watch holds: speeds to a ten-thousandth, efforts to a tenth, all else whole. */
export const partsOf = (unit: string): number => (unit === 'm/s' ? 1e4 : unit === 'of 10' ? 10 : 1)
/** What is off by no more than this part of a part is only the way a number is kept. */
const sameWithin = 1e-6

/** The ends of a band rounded outward to parts of its unit. */
export function outward({ easiest, hardest }: Ends, parts: number): Ends {
  return {
    ...(easiest === undefined ? {} : { easiest: Math.floor(easiest * parts + sameWithin) / parts }),
    ...(hardest === undefined ? {} : { hardest: Math.ceil(hardest * parts - sameWithin) / parts }),
  }
}

/** A target in the numbers that a watch holds and every screen shows, its band rounded outward once. */
export function roundTarget({ of, unit, to, over, ...band }: Omit<ResolvedTarget, 'said'>): Omit<ResolvedTarget, 'said'> {
  const parts = partsOf(unit)
  return { of, unit, ...outward(band, parts), ...(to ? { to: outward(to, parts) } : {}), ...(over === undefined ? {} : { over }) }
}
