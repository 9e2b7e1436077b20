/** Two ends in one unit, the easier and the harder; a missing end is open. */
export interface Ends {
  easiest?: number
  hardest?: number
}

const between = (from: number, to: number, share: number) => from + (to - from) * share

/**
 * The band at a share of a step, for one that changes evenly over it. An end that is open at the beginning or at the last is
 * open all along; where nothing would be left, each end stays as it is.
 *
 * @param share 0 at its beginning, 1 at its end
 * @example bandAlong({ easiest: 100, hardest: 120, to: { easiest: 200, hardest: 220 } }, 0.5) // 150 to 170
 */
export function bandAlong({ to, ...from }: Ends & { to?: Ends }, share: number): Ends {
  if (!to) return from
  const along: Ends = {
    ...(from.easiest === undefined || to.easiest === undefined ? {} : { easiest: between(from.easiest, to.easiest, share) }),
    ...(from.hardest === undefined || to.hardest === undefined ? {} : { hardest: between(from.hardest, to.hardest, share) }),
  }
  return along.easiest === undefined && along.hardest === undefined ? { ...to, ...from } : along
}
