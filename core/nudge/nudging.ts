import type { Normals } from '../quantity/normal'
import type { Steadiness } from './steadiness'
import { positionError } from './steadiness'
import type { Wander, Wandering } from './wander'
import { heedNudge, wanderAnywhere, wanderingOf, wanderOn } from './wander'

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
  /** Whether who is led can answer at once, by the mean of the step and to a nudge: a heart cannot. */
  answers: boolean
  /** Seconds that the error of a position is at the speed meant; 0 where the distance is measured otherwise. */
  positionSeconds: number
  /** Seconds of a length of the pool at the speed meant; 0 elsewhere. */
  lengthSeconds: number
  /** What the value comes to without wandering, second by second, as a share of what is meant; 1 throughout where not given. */
  course?: Float64Array
}

/** The clock of a watch's nudges within one step. */
class NudgeClock {
  nudges = 0
  private outFor = 0
  private sinceNudge = Infinity

  constructor(private readonly nudging: Nudging) {}

  /** One more second on a side of the band; whether it nudges. */
  goesOn(isInside: boolean): boolean {
    if (isInside) {
      this.outFor = 0
      this.sinceNudge = Infinity
      return false
    }
    this.outFor++
    this.sinceNudge++
    if (this.outFor < this.nudging.alertAfterSeconds || this.sinceNudge < this.nudging.alertRepeatSeconds) return false
    this.nudges++
    this.sinceNudge = 0
    return true
  }
}

/**
 * Nudges in one carrying out of a step, second by second, as the engine counts them: the smoothed value outside for long
 * enough, again after a pause while it stays out. In a pool the value is that of the last whole length, to the second that a
 * touch is told in.
 *
 * @param window as long as `step.smoothing`, written over
 * @param withDrift false leaves the slow drift out
 */
export function nudgesIn(step: HeldStep, nudging: Nudging, normal: Normals, window: Float64Array, withDrift = true): number {
  const wandering = wanderingOf(step.steadiness, withDrift)
  const wander = wanderAnywhere(wandering, normal)
  const clock = new NudgeClock(nudging)
  if (step.lengthSeconds > 0) judgeLengths(step, wandering, wander, normal, clock)
  else judgeSeconds(step, wandering, wander, normal, window, clock)
  return clock.nudges
}

function judgeSeconds(
  { seconds, settling, smoothing, low, high, answers, positionSeconds, course }: HeldStep,
  by: Wandering,
  wander: Wander,
  normal: Normals,
  window: Float64Array,
  clock: NudgeClock,
): void {
  const keeps = Math.exp(-1 / positionError.tau)
  const error = positionSeconds * Math.sqrt(1 - keeps * keeps)
  let position = positionSeconds === 0 ? 0 : positionSeconds * normal()
  let [sum, slot] = [0, 0]
  const last = Math.round(seconds)
  window.fill(0)
  for (let second = 1; second <= last; second++) {
    let value = (course === undefined ? 1 : course[second - 1]!) * (1 + wanderOn(wander, by, normal, answers))
    if (positionSeconds !== 0) {
      const before = position
      position = position * keeps + error * normal()
      value += position - before
    }
    sum += value - window[slot]!
    window[slot] = value
    slot = slot + 1 === smoothing ? 0 : slot + 1
    if (second <= settling) continue
    const count = second < smoothing ? second : smoothing
    if (clock.goesOn(sum >= low * count && sum <= high * count) && answers) heedNudge(wander)
  }
}

function judgeLengths(
  { seconds, settling, low, high, answers, lengthSeconds }: HeldStep,
  by: Wandering,
  wander: Wander,
  normal: Normals,
  clock: NudgeClock,
): void {
  let [swum, touches, touchedAt] = [0, 0, 0]
  let isInside = true
  const last = Math.round(seconds)
  for (let second = 1; second <= last; second++) {
    swum += 1 + wanderOn(wander, by, normal, answers)
    if (swum >= (touches + 1) * lengthSeconds - 1e-9) {
      const took = second - touchedAt
      isInside = lengthSeconds / (took + 1) <= high && lengthSeconds / Math.max(0.1, took - 1) >= low
      touches++
      touchedAt = second
    }
    if (second <= settling || touches === 0) continue
    if (clock.goesOn(isInside) && answers) heedNudge(wander)
  }
}
