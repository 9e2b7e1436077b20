import type { HeldStep, Nudging } from '../nudge/nudging'
import { nudgesIn } from '../nudge/nudging'
import type { Standpoint } from '../athlete/standpoint'
import { outward, partsOf } from '../athlete/round-target'
import { positionMetres, steadinessOf } from '../athlete/steadiness'
import type { SteadinessMeasure } from '../nudge/steadiness'
import { smoothedSd, wanderingMeasure } from '../nudge/steadiness'
import { itemAt, sportAt } from '../session/item-path'
import type { Ends } from '../quantity/band'
import { meantBy } from '../nudge/meant'
import { normalsFrom } from '../quantity/normal'
import type { ReckonedStep, ReckonedTarget, Reckoning } from '../reckon/reckon'
import type { PlaceOfSession, Session, Sport } from '../session/document'
import { placeAt, poolMetres } from '../session/place'
import { settlingSeconds } from '../nudge/settling'
import { heartCourses, keyOf } from './heart-courses'

const measureOf = ({ of }: ReckonedTarget): SteadinessMeasure | null =>
  of in wanderingMeasure ? wanderingMeasure[of as keyof typeof wanderingMeasure] : null

/** Nobody is led for longer in one step. */
const mostSeconds = 6 * 3600

/** Where a step is held, and by whom. */
export interface HoldingContext {
  standpoint: Standpoint
  sport: Sport
  place?: PlaceOfSession | undefined
  nudging: Nudging
  /** The target's own smoothing in seconds, where it is longer than the watch's. */
  over?: number | undefined
}

const bandOf = ({ easiest, hardest }: Pick<ReckonedTarget, 'easiest' | 'hardest'>): Ends => ({
  ...(easiest === null ? {} : { easiest }),
  ...(hardest === null ? {} : { hardest }),
})

/**
 * The step as it is to be held; null without a target that a watch can judge.
 *
 * @param course what the value comes to without wandering, in the target's unit, second by second
 */
export function heldStep(target: ReckonedTarget, seconds: number, context: HoldingContext, course?: Float64Array): HeldStep | null {
  const { standpoint, sport, place, nudging, over = 0 } = context
  const measure = measureOf(target)
  if (!measure || !(seconds > 0)) return null
  const band = outward(bandOf(target), partsOf(target.unit))
  const meant = meantBy(band, target.of as 'pace')
  const length = measure === 'speed' ? poolMetres(sport, place) : null
  return {
    seconds: Math.min(seconds, mostSeconds),
    settling: settlingSeconds[target.of as 'pace'],
    smoothing: Math.max(1, Math.round(Math.max(nudging.smoothingSeconds, over))),
    steadiness: steadinessOf(standpoint.athlete, sport, measure, place?.kind),
    answers: measure === 'speed' || measure === 'power',
    positionSeconds: measure === 'speed' ? positionMetres(standpoint.athlete, sport, place?.kind) / meant : 0,
    lengthSeconds: length === null ? 0 : length / meant,
    low: (band.easiest ?? -Infinity) / meant,
    high: (band.hardest ?? Infinity) / meant,
    ...(course ? { course: course.map(value => value / meant) } : {}),
  }
}

export interface NudgeCount {
  expected: number
  low: number
  high: number
}
export interface StepNudges extends NudgeCount {
  path: string
  round: number[]
}
export interface NudgeForecast {
  perStep: StepNudges[]
  total: NudgeCount
  runs: number
}

/** The mean and the fifth and ninety-fifth of a hundred. */
function countOf(counts: Uint16Array | Uint32Array): NudgeCount {
  const sorted = Uint32Array.from(counts).sort()
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!
  let sum = 0
  for (const count of sorted) sum += count
  return { expected: Math.round((sum / sorted.length) * 100) / 100, low: at(0.05), high: at(0.95) }
}

export interface Held {
  entry: ReckonedStep
  held: HeldStep
}

/** The steps of a session that a watch would judge, in their order. */
export function heldSteps(session: Session, reckoning: Reckoning, standpoint: Standpoint, nudging: Nudging): Held[] {
  const hearts = heartCourses(session, reckoning, standpoint)
  return reckoning.flat.flatMap(entry => {
    const sport = sportAt(session, entry.path)
    const item = entry.target && itemAt(session, entry.path)
    if (!entry.target || item?.kind !== 'step' || sport === 'multi') return []
    const seconds = entry.swimSeconds?.likely ?? entry.seconds.likely ?? 0
    const context = { standpoint, sport, place: placeAt(session, entry.path), nudging, over: item.target?.over }
    const held = heldStep(entry.target, seconds, context, hearts.get(keyOf(entry.path, entry.round)))
    return held ? [{ entry, held }] : []
  })
}

export interface SimulationOptions {
  runs?: number
  seed?: number
}

/** Carried out seconds between two yields: a few hundredths of a second of work. */
const breathAfter = 400_000

/**
 * How often a watch will nudge, step by step and in all, by carrying the session out many times with the athlete's steadiness.
 *
 * Yields the share done every few hundredths of a second, so that whoever drives it can show progress or stop.
 *
 * @param options.runs 1 to 100 000, 1000 when not said
 * @returns expected to a hundredth, low and high the 5th and 95th of a hundred runs
 * @source first-order autoregressive noise with a slow drift, by Monte Carlo; agrees with `shareOutside`
 */
export function* forecastingNudges(
  held: readonly Held[],
  nudging: Nudging,
  { runs = 1000, seed = 1 }: SimulationOptions = {},
): Generator<number, NudgeForecast> {
  const normal = normalsFrom(seed)
  const totals = new Uint32Array(runs)
  const perStep: StepNudges[] = []
  const counts = new Uint16Array(runs)
  let passed = 0
  for (const [index, { entry, held: step }] of held.entries()) {
    const window = new Float64Array(step.smoothing)
    for (let run = 0; run < runs; run++) {
      counts[run] = nudgesIn(step, nudging, normal, window)
      totals[run]! += counts[run]!
      passed += step.seconds
      if (passed < breathAfter) continue
      passed = 0
      yield (index + run / runs) / held.length
    }
    perStep.push({ path: entry.path, round: entry.round, ...countOf(counts) })
  }
  return { perStep, total: countOf(totals), runs }
}

/** Drives a forecast to its end without a pause. */
export function finish<T>(forecasting: Generator<unknown, T>): T {
  for (;;) {
    const { done, value } = forecasting.next()
    if (done) return value
  }
}

/** The share of the standard normal beyond x to one side; Abramowitz & Stegun 26.2.17, to 7.5e-8. */
function normalTail(x: number): number {
  if (x < 0) return 1 - normalTail(-x)
  const t = 1 / (1 + 0.2316419 * x)
  const sum = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return (Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI)) * sum
}

/**
 * Share of the time that the smoothed value is outside the band, in closed form, without drift and with a full window.
 *
 * @returns 0 to 1
 * @source normal tail of the moving average of an AR(1) process
 */
export function shareOutside({ low, high, smoothing, steadiness: { sd, tau } }: HeldStep): number {
  const spread = smoothedSd(sd, tau, smoothing)
  return normalTail((1 - low) / spread) + normalTail((high - 1) / spread)
}
