import type { Athlete } from '../athlete/athlete'
import { usualSpread } from '../athlete/steadiness'
import { wanderingMeasure } from '../nudge/steadiness'
import { settlingSeconds } from '../nudge/settling'
import type { SensorSample } from '../wrist/engine/holding'
import type { Judging } from '../wrist/engine/judging'
import {
  afterPause,
  begunAt,
  heldOf,
  judgeSample,
  meanOf,
  nothingJudged,
  sideOfMean,
  spreadOf,
  windowSeconds,
} from '../wrist/engine/judging'
import type { Program, ProgramEnd, ProgramStep, ProgramTarget } from '../wrist/program/program'
import { placeOf, poolLengthOf } from '../wrist/program/program'
import type { RecordedStep } from './align'
import { movingSeconds } from './align'
import type { Recording } from './recording'

export type StepReason = 'too-hard' | 'too-easy' | 'uneven' | 'no-signal' | 'ceiling'

export interface Means {
  speed: number | null
  heartRate: number | null
  power: number | null
  cadence: number | null
}

export const round1 = (value: number) => Math.round(value * 10) / 10
const mean = (values: number[]) => (values.length === 0 ? null : round1(values.reduce((sum, value) => sum + value, 0) / values.length))

function readingAt(recording: Recording, index: number): SensorSample {
  const { t, metres, heartRate, power, cadence } = recording.samples
  return {
    t: t[index]!,
    metres: metres[index] ?? null,
    heartRate: heartRate?.[index] ?? null,
    power: power?.[index] ?? null,
    cadence: cadence?.[index] ?? null,
  }
}

/** How far through the step, 0 to 1, for targets that change. */
function shareAt(end: ProgramEnd, moved: number, sample: SensorSample, startMetres: number | null): number {
  if (end.on === 'time') return Math.min(1, moved / end.seconds)
  if ((end.on === 'distance' || end.on === 'send-off') && sample.metres !== null && startMetres !== null)
    return Math.min(1, Math.max(0, (sample.metres - startMetres) / end.metres))
  return 0
}

/** Seconds of pauses between two moments. */
const pausedBetween = ({ pauses }: RecordedStep, from: number, to: number) =>
  pauses.reduce((sum, pause) => sum + Math.max(0, Math.min(to, pause.to) - Math.max(from, pause.from)), 0)

/** The samples of a step judged one by one, as the watch that led did; a swim is over at the touch, what waits for the clock is rest. */
export function judge(recording: Recording, step: ProgramStep, recordedStep: RecordedStep, program: Program): Judging {
  const { target, end } = step
  const { first, last } = recordedStep
  if (!target || first === null || last === null) return nothingJudged
  const poolLength = poolLengthOf(step, program)
  const judged = { target, poolLength, smoothingSeconds: program.smoothingSeconds }
  const start = first > 0 ? readingAt(recording, first - 1) : null
  const startMetres = start?.metres ?? (first === 0 ? 0 : null)
  let judging = poolLength === null ? nothingJudged : begunAt({ ...readingAt(recording, first), t: recordedStep.from, metres: startMetres })
  const swum = end.on === 'send-off' ? end.metres : Infinity
  let before = recordedStep.from
  for (let index = first; index <= last; index++) {
    const sample = readingAt(recording, index)
    const paused = pausedBetween(recordedStep, before, sample.t)
    const seconds = sample.t - before - paused
    before = sample.t
    if (paused > 0) judging = afterPause(judging)
    if (recordedStep.pauses.some(pause => sample.t > pause.from && sample.t < pause.to)) continue
    if (seconds > 0) judging = judgeSample(judging, sample, seconds, judged, shareAt(end, judging.moved + seconds, sample, startMetres))
    const isThere = sample.metres !== null && startMetres !== null && sample.metres - startMetres >= swum - 1e-6
    if (isThere) break
  }
  return judging
}

/** A spread of more than this many times the athlete's own is no chance, and in a short step so many errors of a spread more. */
const clearlyUneven = 1.5
const byChance = 4

/** Whether a step's values wander clearly more than this athlete's do around what is meant. */
function isUneven(judging: Judging, step: ProgramStep, program: Program, athlete: Athlete): boolean {
  const { target, sport } = step
  if (!target || target.of === 'rpe') return false
  const where = { sport, measure: wanderingMeasure[target.of], place: placeOf(step, program)?.kind }
  const seconds = Math.max(1, Math.round(windowSeconds({ target, smoothingSeconds: program.smoothingSeconds })))
  const windows = Math.max(1, (judging.inside + judging.hard + judging.easy) / seconds)
  const clearly = Math.max(clearlyUneven, 1 + byChance / Math.sqrt(2 * windows))
  return spreadOf(judging) > clearly * usualSpread(athlete, where, seconds, meanOf(judging, target.of) ?? 0)
}

/** Why a step went wrong, by its mean; inside the band it is never too hard or too easy. */
export function reasonOf(
  judging: Judging,
  step: ProgramStep,
  recordedStep: RecordedStep,
  program: Program,
  athlete: Athlete,
): StepReason | undefined {
  if (recordedStep.ceilings > 0) return 'ceiling'
  const { target } = step
  if (!target || target.of === 'rpe') return undefined
  const side = sideOfMean(judging, target)
  if (side === null) return movingSeconds(recordedStep) > settlingSeconds[target.of] + 10 ? 'no-signal' : undefined
  if (side !== 'inside') return side
  const held = heldOf(judging)
  return held !== null && held < 0.5 && isUneven(judging, step, program, athlete) ? 'uneven' : undefined
}

/** Means over the moving time of a step; that of its target is the one it is judged by. */
export function meansOf(recording: Recording, recordedStep: RecordedStep, target: ProgramTarget | undefined, judging: Judging): Means {
  const moving = movingSeconds(recordedStep)
  const { metres, pauses } = recordedStep
  const values = (column: (number | null)[] | undefined) => {
    const found: number[] = []
    for (let index = recordedStep.first ?? 0; index <= (recordedStep.last ?? -1); index++) {
      const value = column?.[index]
      const t = recording.samples.t[index]!
      if (value !== null && value !== undefined && !pauses.some(pause => t > pause.from && t < pause.to)) found.push(value)
    }
    return found
  }
  const { heartRate, power, cadence } = recording.samples
  const judged = target ? meanOf(judging, target.of) : null
  const own = (of: ProgramTarget['of'], otherwise: number | null, digits: (value: number) => number) =>
    target?.of === of && judged !== null ? digits(judged) : otherwise
  const round3 = (value: number) => Math.round(value * 1000) / 1000
  return {
    speed: own('pace', metres === null || moving <= 0 ? null : round3(metres / moving), round3),
    heartRate: own('heart-rate', mean(values(heartRate)), round1),
    power: own('power', mean(values(power)), round1),
    cadence: own('cadence', mean(values(cadence)), round1),
  }
}
