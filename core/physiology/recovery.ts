/**
 * What was spent above critical and comes back: two parts that fade by exponentials of their own.
 *
 * @source own constants after Ferguson et al., J Appl Physiol 108 (2010); Skiba et al., MSSE 44 (2012); Caen et al.,
 *   MSSE 51 (2019) and 53 (2021); held against the published share recovered after exhaustion within 10 points
 */
export interface Missing {
  fast: number
  slow: number
}

/** Share of what is spent and time constant in seconds of each part. */
const parts = { fast: { share: 0.3, seconds: 45 }, slow: { share: 0.7, seconds: 280 } } as const
/** Both are slower the more is missing, and the harder the recovery is. */
const slowerBy = { missing: 0.8, intensity: 0.6, from: 0.3 }

export const nothingMissing: Missing = { fast: 0, slow: 0 }
export const sumOf = ({ fast, slow }: Missing): number => fast + slow

/** What is missing after so much more of it is spent. */
export const spent = ({ fast, slow }: Missing, amount: number): Missing => ({
  fast: fast + parts.fast.share * amount,
  slow: slow + parts.slow.share * amount,
})

/**
 * What is still missing after some seconds at one easy intensity.
 *
 * @param intensity share of critical, 0 or more
 * @param seconds short, since the pace of recovery is taken from the beginning: 15 or less
 */
export function recovered(missing: Missing, intensity: number, seconds: number): Missing {
  const slower = (1 + slowerBy.missing * Math.min(1, sumOf(missing))) * (1 + slowerBy.intensity * Math.max(0, intensity - slowerBy.from))
  return {
    fast: missing.fast * Math.exp(-seconds / (parts.fast.seconds * slower)),
    slow: missing.slow * Math.exp(-seconds / (parts.slow.seconds * slower)),
  }
}
