import type { ResolvedMeasure } from '../../athlete/resolve'
import { settlingSeconds } from '../../nudge/settling'
import type { ProgramTarget } from '../program/program'
import type { SensorSample, Side } from './holding'
import { sideOf, slide, smoothedValue } from './holding'

/** Seconds that a value is taken over to say whether a step was held: longer than a watch smooths before it nudges. */
export const heldOver: Readonly<Record<ResolvedMeasure, number>> = { 'pace': 20, 'power': 10, 'heart-rate': 0, 'cadence': 0, 'rpe': 0 }
/** Settled seconds below which nothing is called held or not. */
const leastSettled = 10

/** What the samples of one step come to, as they come: the time in its band and its mean. Seconds are moving time. */
export interface Judging {
  /** Samples of the window; in a pool the last touch of the wall alone. */
  window: SensorSample[]
  moved: number
  /** Settled seconds that wait for a value: they count to the side of the next one. */
  waiting: number
  inside: number
  hard: number
  easy: number
  /** Sum and sum of squares of the values judged, each for its seconds. */
  sum: number
  squares: number
  /** Metres, or value times seconds, of the step and of its settled part, with the seconds of signal they took. */
  whole: Amount
  settled: Amount
  /** Seconds by which a touch may have come before the sample that told it; 0 where nothing is counted by touches. */
  grain: number
}

export interface Amount {
  amount: number
  seconds: number
}

/** The step that is judged. */
export interface JudgedStep {
  target: ProgramTarget
  /** Metres of a length where it is swum in a pool, else null. */
  poolLength: number | null
  /** What the watch smooths over, in seconds. */
  smoothingSeconds: number
}

export const nothingJudged: Judging = {
  window: [],
  moved: 0,
  waiting: 0,
  inside: 0,
  hard: 0,
  easy: 0,
  sum: 0,
  squares: 0,
  whole: { amount: 0, seconds: 0 },
  settled: { amount: 0, seconds: 0 },
  grain: 0,
}

/** Seconds that a value of this step is judged over: the longest of its measure's own, the step's and the watch's. */
export const windowSeconds = ({ target, smoothingSeconds }: Omit<JudgedStep, 'poolLength'>): number =>
  Math.max(heldOver[target.of], target.over ?? 0, smoothingSeconds)

const plus = ({ amount, seconds }: Amount, more: number, during: number): Amount => ({ amount: amount + more, seconds: seconds + during })

function credited(judging: Judging, side: Side, value: number): Judging {
  const seconds = judging.waiting
  return {
    ...judging,
    waiting: 0,
    sum: judging.sum + value * seconds,
    squares: judging.squares + value * value * seconds,
    inside: judging.inside + (side === 'inside' ? seconds : 0),
    hard: judging.hard + (side === 'too-hard' ? seconds : 0),
    easy: judging.easy + (side === 'too-easy' ? seconds : 0),
  }
}

/** A pause: what was before says nothing about what comes behind it. */
export const afterPause = (judging: Judging): Judging => ({ ...judging, window: [], waiting: 0 })

/** The step begins at a wall or a line: what its first length, or its first second, is measured from. */
export const begunAt = (sample: SensorSample): Judging => ({ ...nothingJudged, window: [sample] })

const columns = { 'power': 'power', 'heart-rate': 'heartRate', 'cadence': 'cadence' } as const

/** Where a speed over a way lies that was timed to a grain only: inside where any time within the grain would be. */
export function sideWithin({ amount, seconds }: Amount, early: number, late: number, target: ProgramTarget, share: number): Side {
  const [slowest, fastest] = [
    sideOf(amount / (seconds + late), target, share),
    sideOf(amount / Math.max(0.1, seconds - early), target, share),
  ]
  return slowest === 'too-hard' || fastest === 'too-easy' ? (slowest === 'too-hard' ? slowest : fastest) : 'inside'
}

/**
 * A length of the pool at its second touch: all its seconds have the speed of the whole length. A touch is told by the sample
 * behind it, so that its time is known to that grain.
 */
function touched(judging: Judging, sample: SensorSample, step: JudgedStep, share: number, grain: number): Judging {
  const [last] = judging.window
  if (!last || sample.metres === null || last.metres === null) return { ...judging, window: [sample] }
  const length = { amount: sample.metres - last.metres, seconds: sample.t - last.t }
  const whole = plus(judging.whole, length.amount, length.seconds)
  const side = sideWithin(length, grain, grain, step.target, share)
  return { ...credited(judging, side, length.amount / length.seconds), window: [sample], whole, settled: whole, grain }
}

/**
 * One more sample of a step, the same for the watch that leads and for the score afterwards.
 *
 * Pace, power, heart rate and cadence are judged by their mean over the window, which fills from the end of settling and is
 * asked once it is half full; in a pool by whole lengths. A sample without signal counts for nothing and empties the window.
 *
 * @param seconds of moving time since the sample before, more than zero
 * @param share how far the step has come, 0 to 1, for a target that changes
 * @source own rule: the mean first, then the share of the settled time inside the band
 */
export function judgeSample(judging: Judging, sample: SensorSample, seconds: number, step: JudgedStep, share: number): Judging {
  const { target, poolLength } = step
  if (target.of === 'rpe') return judging
  const moved = judging.moved + seconds
  const isSettled = moved > settlingSeconds[target.of] + 1e-9
  const settledNow = isSettled ? Math.min(seconds, moved - settlingSeconds[target.of]) : 0
  if (poolLength !== null && target.of === 'pace') {
    const next = { ...judging, moved, waiting: judging.waiting + settledNow }
    const isTouch = sample.metres !== null && sample.metres > (judging.window[0]?.metres ?? -1)
    return isTouch ? touched(next, sample, step, share, seconds) : next
  }
  const last = judging.window.at(-1)
  const gained = gainOf(target.of, last, sample, seconds)
  if (gained === null) return { ...judging, moved, window: target.of === 'pace' && sample.metres === null ? [] : [sample], waiting: 0 }
  const window = isSettled ? slide(judging.window, sample, windowSeconds(step)) : [sample]
  const during = target.of === 'pace' ? sample.t - last!.t : seconds
  const next = {
    ...judging,
    moved,
    window,
    whole: plus(judging.whole, gained, during),
    settled: isSettled ? plus(judging.settled, gained, during) : judging.settled,
    waiting: judging.waiting + settledNow,
  }
  const filled = sample.t - window[0]!.t + (target.of === 'pace' ? 0 : seconds)
  if (!isSettled || filled < windowSeconds(step) / 2 - 1e-9) return next
  const value = smoothedValue(target.of, window)
  return value === null ? next : credited(next, sideOf(value, target, share), value)
}

/** What a sample adds to the mean: metres of a pace, else value times seconds; null without signal. */
function gainOf(of: ResolvedMeasure, last: SensorSample | undefined, sample: SensorSample, seconds: number): number | null {
  if (of === 'pace') return last === undefined || last.metres === null || sample.metres === null ? null : sample.metres - last.metres
  const value = of === 'rpe' ? null : sample[columns[of]]
  return value === null ? null : value * seconds
}

const judgedSeconds = ({ inside, hard, easy }: Judging) => inside + hard + easy

/** The share of the settled time inside the band, 0 to 1; null where less than ten settled seconds could be judged. */
export function heldOf(judging: Judging): number | null {
  const seconds = judgedSeconds(judging)
  return seconds < leastSettled - 1e-6 ? null : Math.round((judging.inside / seconds) * 1000) / 1000
}

/**
 * The mean that a step is judged by, in the target's unit: of its settled time; of all of it where that is shorter than ten
 * seconds, but not of a heart rate, which only lags then. Null without signal.
 */
export function meanOf({ whole, settled }: Judging, of: ResolvedMeasure): number | null {
  if (settled.seconds >= leastSettled - 1e-6) return settled.amount / settled.seconds
  return of === 'heart-rate' || whole.seconds <= 0 ? null : whole.amount / whole.seconds
}

/** On which side of its band a step's mean lies; null where there is none. One that changes is judged by the middle of its change. */
export function sideOfMean(judging: Judging, target: ProgramTarget): Side | null {
  const mean = meanOf(judging, target.of)
  if (mean === null) return null
  return judging.grain > 0 ? sideWithin(judging.whole, judging.grain, 0, target, 0.5) : sideOf(mean, target, 0.5)
}

/** Standard deviation of the values judged as a share of their mean; 0 where there are none. */
export function spreadOf(judging: Judging): number {
  const seconds = judgedSeconds(judging)
  const mean = judging.sum / seconds
  return seconds <= 0 || mean <= 0 ? 0 : Math.sqrt(Math.max(0, judging.squares / seconds - mean * mean)) / mean
}
