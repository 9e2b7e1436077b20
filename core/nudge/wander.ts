import type { Normals } from '../quantity/normal'
import type { Steadiness } from './steadiness'

/** Slow drift beside the quick noise: as a share of its spread, how long it lasts, and how often it is moved on. Own estimate. */
const drift = { share: 0.2, tau: 240, every: 10 }
/** Seconds into a step from which on its mean is looked at, and seconds in which what was strayed is taken back. */
const lapMean = { from: 15, within: 25 }
/** What is left of the quick noise after a nudge is heeded. */
const heeded = 0.4

/** How far somebody is off what they mean, as shares of it. */
export interface Wander {
  quick: number
  slow: number
  /** Seconds until the slow part is moved on. */
  untilSlow: number
  /** What was strayed in this step so far, share times seconds: who looks at the mean of the step takes it back. */
  strayed: number
  /** Seconds in this step. */
  seconds: number
}

/** The steps of a wander, one a second, for one steadiness. */
export interface Wandering {
  sd: number
  phi: number
  fresh: number
  slowPhi: number
  slowFresh: number
}

/**
 * The wander that a steadiness comes to.
 *
 * @param withDrift false leaves the slow part out
 * @source first-order autoregressive noise with a slow drift, `phi = e^(-dt/tau)`
 */
export function wanderingOf({ sd, tau }: Steadiness, withDrift = true): Wandering {
  const phi = Math.exp(-1 / tau)
  const slowPhi = Math.exp(-drift.every / drift.tau)
  const slow = withDrift ? sd * drift.share : 0
  return { sd, phi, fresh: sd * Math.sqrt(1 - phi * phi), slowPhi, slowFresh: slow * Math.sqrt(1 - slowPhi * slowPhi) }
}

export const steady: Wander = { quick: 0, slow: 0, untilSlow: drift.every, strayed: 0, seconds: 0 }

/** Somebody who has been going for a while, anywhere within their spread. */
export function wanderAnywhere({ sd, slowFresh }: Wandering, normal: Normals): Wander {
  return { ...steady, quick: sd * normal(), slow: slowFresh === 0 ? 0 : sd * drift.share * normal() }
}

/** A new step: what was strayed before is forgotten. */
export function beginStep(wander: Wander): void {
  wander.strayed = 0
  wander.seconds = 0
}

/**
 * One second on; changes the wander.
 *
 * @param answers whether the mean of the step is looked at, and what was strayed taken back
 * @returns how far off, as a share of what is meant
 */
export function wanderOn(wander: Wander, by: Wandering, normal: Normals, answers: boolean): number {
  wander.quick = wander.quick * by.phi + by.fresh * normal()
  if (--wander.untilSlow <= 0) {
    wander.slow = by.slowFresh === 0 ? 0 : wander.slow * by.slowPhi + by.slowFresh * normal()
    wander.untilSlow = drift.every
  }
  const takenBack = answers && wander.seconds >= lapMean.from ? wander.strayed / lapMean.within : 0
  const off = wander.quick + wander.slow - takenBack
  wander.strayed += off
  wander.seconds++
  return off
}

/** A nudge is heeded: most of what is off at the moment is taken back. */
export function heedNudge(wander: Wander): void {
  wander.quick *= heeded
}
