import type { Normals } from '../quantity/normal'
import type { Steadiness } from './steadiness'

/** How a watch judges: over how many seconds it smooths, after how many it nudges, and how soon again. */
export interface Nudging {
  smoothingSeconds: number
  alertAfterSeconds: number
  alertRepeatSeconds: number
}

/** Where no watch is named. */
export const usualNudging: Nudging = { smoothingSeconds: 3, alertAfterSeconds: 5, alertRepeatSeconds: 10 }

/** One step to be held: a band as shares of what is meant, and how the value wanders around it. */
export interface HeldStep {
  seconds: number
  /** Seconds after the start that are not judged. */
  settling: number
  smoothing: number
  low: number
  high: number
  steadiness: Steadiness
}

/** Slow drift beside the quick noise: as a share of its spread, how long it lasts, and how often it is moved on. Own estimate. */
const drift = { share: 0.2, tau: 240, every: 10 }

/**
 * Nudges in one carrying out of a step, second by second, as the engine counts them: the smoothed value outside for long
 * enough, again after a pause while it stays out.
 *
 * @param window as long as `step.smoothing`, written over
 */
export function nudgesIn(step: HeldStep, nudging: Nudging, normal: Normals, window: Float64Array, withDrift = true): number {
  const {
    low,
    high,
    settling,
    smoothing,
    steadiness: { sd, tau },
  } = step
  const seconds = Math.round(step.seconds)
  const phi = Math.exp(-1 / tau)
  const fresh = sd * Math.sqrt(1 - phi * phi)
  const slowPhi = Math.exp(-drift.every / drift.tau)
  const slowFresh = withDrift ? sd * drift.share * Math.sqrt(1 - slowPhi * slowPhi) : 0
  const { alertAfterSeconds, alertRepeatSeconds } = nudging
  let noise = sd * normal()
  let slow = withDrift ? sd * drift.share * normal() : 0
  let untilDrift = drift.every
  let sum = 0
  let slot = 0
  let outFor = 0
  let sinceNudge = Infinity
  let nudges = 0
  window.fill(0)
  for (let second = 1; second <= seconds; second++) {
    const value = 1 + noise + slow
    sum += value - window[slot]!
    window[slot] = value
    slot = slot + 1 === smoothing ? 0 : slot + 1
    noise = noise * phi + fresh * normal()
    if (--untilDrift === 0) {
      slow = slow * slowPhi + slowFresh * (withDrift ? normal() : 0)
      untilDrift = drift.every
    }
    if (second <= settling) continue
    const count = second < smoothing ? second : smoothing
    if (sum >= low * count && sum <= high * count) {
      outFor = 0
      sinceNudge = Infinity
      continue
    }
    outFor++
    sinceNudge++
    if (outFor >= alertAfterSeconds && sinceNudge >= alertRepeatSeconds) {
      nudges++
      sinceNudge = 0
    }
  }
  return nudges
}
