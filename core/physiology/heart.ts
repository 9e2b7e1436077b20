/** The numbers of a heart, in bpm. */
export interface Heart {
  rest: number
  max: number
  threshold?: number | undefined
}

/** The share of heart-rate reserve that goes with critical intensity; custom, between the thresholds of the schools. */
export const reserveAtCritical = 0.88
/** The share of critical at which the heart is at its maximum. */
const shareAtMaximum = 1.12
/** Beats above rest of somebody who stands. */
const standing = 12
const tau = { up: 30, down: 50 }
/** Above this share of critical the heart drifts, by more of its value the harder it is, and settles after an hour or so. */
const drift = { from: 0.6, full: 0.7, least: 0.05, most: 0.08, seconds: 1500 }

/** The share of the reserve at critical: of the threshold where that is known, else the customary one. */
const atCriticalOf = ({ rest, max, threshold }: Heart) =>
  threshold !== undefined && threshold > rest && threshold < max ? (threshold - rest) / (max - rest) : reserveAtCritical

/**
 * The heart rate that an intensity comes to after a while, without drift.
 *
 * @param share of critical, 0 or more; at 1 threshold heart rate, or 88 % of the reserve where that is not known
 * @returns bpm, within rest and maximum
 * @source own simplification: linear below critical, the maximum at 1.12
 */
export function heartAt(share: number, heart: Heart): number {
  const { rest, max } = heart
  if (share <= 0) return Math.min(max, rest + standing)
  const atCritical = atCriticalOf(heart)
  const of = share <= 1 ? atCritical * share : atCritical + ((1 - atCritical) * (share - 1)) / (shareAtMaximum - 1)
  return rest + (max - rest) * Math.min(1, of)
}

/**
 * The share of critical that goes with a heart rate: the inverse of `heartAt` between rest and maximum.
 *
 * @param bpm any; what is below rest counts as rest, what is above the maximum as that
 * @returns 0 to 1.12
 */
export function shareAtHeart(bpm: number, heart: Heart): number {
  const { rest, max } = heart
  const of = Math.min(1, Math.max(0, (bpm - rest) / (max - rest)))
  const atCritical = atCriticalOf(heart)
  return of <= atCritical ? of / atCritical : 1 + ((of - atCritical) / (1 - atCritical)) * (shareAtMaximum - 1)
}

/** How much of its value the heart rate has drifted up, after so many seconds of work. */
function drifted(share: number, worked: number): number {
  const begun = Math.min(1, Math.max(0, (share - drift.from) / (drift.full - drift.from)))
  const most = drift.least + (drift.most - drift.least) * Math.min(1, Math.max(0, (share - drift.from) / (1 - drift.from)))
  return begun * most * (1 - Math.exp(-worked / drift.seconds))
}

/**
 * Heart rate some seconds on at one share of critical: first order toward where that intensity comes to, 30 s up and 50 s down,
 * with a drift of up to 5-8 % after an hour or more above about 60 % of critical.
 *
 * @param worked seconds of work so far
 * @param aimed where the step aims at a heart rate: that one, in bpm
 * @source on-kinetics as in Bunc et al. (1988); drift: Coyle & Gonzalez-Alonso, Exerc Sport Sci Rev 29 (2001)
 */
export function heartAfter(bpm: number, heart: Heart, share: number, worked: number, seconds: number, aimed?: number): number {
  const aim = aimed ?? Math.min(heart.max, heartAt(share, heart) * (1 + drifted(share, worked)))
  const within = Math.min(heart.max, Math.max(heart.rest, aim))
  return bpm + (within - bpm) * (1 - Math.exp(-seconds / (within > bpm ? tau.up : tau.down)))
}
