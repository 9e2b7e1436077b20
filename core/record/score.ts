import type { ResolvedMeasure } from '../athlete/resolve'
import type { SensorSample } from '../wrist/engine/holding'
import { sideOf, slide, smoothedValue } from '../wrist/engine/holding'
import { settlingSeconds } from '../nudge/settling'
import type { Program, ProgramEnd, ProgramItem, ProgramStep } from '../wrist/program/program'
import { roundItems, timesOf } from '../wrist/program/program'
import { digestOf } from '../wrist/program/digest'
import type { RecordedStep } from './align'
import { alignByMarks, movingSeconds } from './align'
import type { Recording } from './recording'

export type StepStatus = 'done' | 'cut-short' | 'ran-over' | 'skipped' | 'merged' | 'moved' | 'extra' | 'unknown'
export type StepReason = 'too-hard' | 'too-easy' | 'uneven' | 'no-signal' | 'ceiling'

export interface Means {
  speed: number | null
  heartRate: number | null
  power: number | null
  cadence: number | null
}

export interface ScoredStep {
  path: string
  round: number[]
  status: StepStatus
  reason?: StepReason
  /** Moving seconds and metres. */
  seconds: number | null
  metres: number | null
  /** Share of the step inside the band after settling; null when under 10 s can be judged. */
  held: number | null
  mean: Means
  /** Elapsed seconds at which the step began, for drawing it over the recording. */
  startsAt: number | null
  endsAt: number | null
}

export interface Score {
  basis: 'program' | 'laps' | 'shape' | 'none'
  confidence: number
  steps: ScoredStep[]
  totals: { seconds: number; metres: number | null; held: number | null; done: number; planned: number }
}

interface Planned {
  step: ProgramStep
  path: string
  round: number[]
}

/** The program's steps in order; of a repeat until a distance or time only its first round is sure. */
export function* plannedSteps(items: readonly ProgramItem[], round: number[] = []): Generator<Planned> {
  for (const item of items) {
    const own = round.length === 0 && item.unrolled ? item.unrolled.round : round
    if (item.kind === 'step') {
      yield { step: item, path: item.path, round: own }
      continue
    }
    const times = timesOf(item)
    for (let count = 1; count <= (times ?? 1); count++) yield* plannedSteps(roundItems(item, count === times), [...own, count])
  }
}

/** Below this confidence no step is called skipped. */
const surelySkipped = 0.6

const key = (path: string, round: readonly number[]) => `${path}@${round.join('.')}`

const round1 = (value: number) => Math.round(value * 10) / 10
const mean = (values: number[]) => (values.length === 0 ? null : round1(values.reduce((sum, value) => sum + value, 0) / values.length))

interface Judged {
  held: number | null
  hard: number
  easy: number
  seconds: number
}

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

/** Progress through the step at a time, for targets that change. */
function shareAt(end: ProgramEnd, recordedStep: RecordedStep, reading: SensorSample, startMetres: number | null): number {
  if (end.on === 'time') return Math.min(1, Math.max(0, (reading.t - recordedStep.from) / end.seconds))
  if (end.on === 'distance' && reading.metres !== null && startMetres !== null)
    return Math.min(1, Math.max(0, (reading.metres - startMetres) / end.metres))
  return 0
}

function judge(recording: Recording, step: ProgramStep, recordedStep: RecordedStep, smoothing: number): Judged {
  const result: Judged = { held: null, hard: 0, easy: 0, seconds: 0 }
  const target = step.target
  if (!target || target.of === 'rpe') return result
  const length = Math.max(smoothing, target.over ?? 0)
  const settle = settlingSeconds[target.of as ResolvedMeasure]
  let window: SensorSample[] = []
  let inside = 0
  let moved = 0
  let before = recordedStep.from
  const startMetres = recordedStep.first === null ? null : readingAt(recording, recordedStep.first).metres
  for (let index = recordedStep.first ?? 0; index <= (recordedStep.last ?? -1); index++) {
    const reading = readingAt(recording, index)
    const seconds = reading.t - before
    before = reading.t
    if (recordedStep.pauses.some(pause => reading.t > pause.from && reading.t <= pause.to)) {
      window = []
      continue
    }
    moved += seconds
    window = slide(window, reading, length)
    if (moved <= settle) continue
    const value = smoothedValue(target.of, window)
    if (value === null) continue
    const side = sideOf(value, target, shareAt(step.end, recordedStep, reading, startMetres))
    result.seconds += seconds
    if (side === 'inside') inside += seconds
    if (side === 'too-hard') result.hard += seconds
    if (side === 'too-easy') result.easy += seconds
  }
  if (result.seconds >= 10) result.held = Math.round((inside / result.seconds) * 1000) / 1000
  return result
}

function reasonOf(judged: Judged, step: ProgramStep, recordedStep: RecordedStep, moving: number): StepReason | undefined {
  if (recordedStep.ceilings > 0) return 'ceiling'
  if (!step.target || step.target.of === 'rpe') return undefined
  if (judged.seconds === 0) return moving > settlingSeconds[step.target.of] + 10 ? 'no-signal' : undefined
  if (judged.held === null || judged.held >= 0.5) return undefined
  const [hard, easy] = [judged.hard / judged.seconds, judged.easy / judged.seconds]
  if (hard > 0.2 && easy > 0.2) return 'uneven'
  return hard >= easy ? 'too-hard' : 'too-easy'
}

/** Whether a step that something else ended had come to its own end all the same; an open step is done whenever it is left. */
function reached(end: ProgramEnd, moving: number, metres: number | null): boolean {
  switch (end.on) {
    case 'time':
      return moving >= end.seconds - 1
    case 'distance':
    case 'send-off':
      return metres !== null && metres >= end.metres * 0.99 - 1
    case 'first':
      return end.of.some(part => reached(part, moving, metres))
    case 'press':
      return true
    case 'heart-rate':
    case 'energy':
      return false
  }
}

function meansOf(recording: Recording, recordedStep: RecordedStep, metres: number | null, moving: number): Means {
  const values = (column: (number | null)[] | undefined) => {
    const found: number[] = []
    for (let index = recordedStep.first ?? 0; index <= (recordedStep.last ?? -1); index++) {
      const value = column?.[index]
      if (value !== null && value !== undefined) found.push(value)
    }
    return found
  }
  const { heartRate, power, cadence } = recording.samples
  return {
    speed: metres === null || moving <= 0 ? null : Math.round((metres / moving) * 1000) / 1000,
    heartRate: mean(values(heartRate)),
    power: mean(values(power)),
    cadence: mean(values(cadence)),
  }
}

const nothing: Pick<ScoredStep, 'seconds' | 'metres' | 'held' | 'mean' | 'startsAt' | 'endsAt'> = {
  seconds: null,
  metres: null,
  held: null,
  mean: { speed: null, heartRate: null, power: null, cadence: null },
  startsAt: null,
  endsAt: null,
}

function scoreStretch(recording: Recording, planned: Planned, recordedStep: RecordedStep, smoothing: number): ScoredStep {
  const { step } = planned
  const moving = movingSeconds(recordedStep)
  const { metres } = recordedStep
  const judged = judge(recording, step, recordedStep, smoothing)
  const isReached = recordedStep.endedBy === 'end' || reached(step.end, moving, metres)
  const status: StepStatus = isReached ? 'done' : moving < 3 ? 'skipped' : 'cut-short'
  const reason = reasonOf(judged, step, recordedStep, moving)
  return {
    path: planned.path,
    round: planned.round,
    status,
    ...(reason ? { reason } : {}),
    seconds: round1(moving),
    metres: metres === null ? null : round1(metres),
    held: judged.held,
    mean: meansOf(recording, recordedStep, metres, moving),
    startsAt: recordedStep.from,
    endsAt: recordedStep.to,
  }
}

/** What is said where nothing tells which part of a recording was which step. */
function notAligned(planned: readonly Planned[], { samples }: Recording): Score {
  return {
    basis: 'none',
    confidence: 0,
    steps: planned.map(({ path, round }) => ({ path, round, status: 'unknown', ...nothing })),
    totals: {
      seconds: round1(samples.t.at(-1) ?? 0),
      metres: samples.metres.findLast(value => value !== null) ?? null,
      held: null,
      done: 0,
      planned: planned.length,
    },
  }
}

/** Each recorded step judged by its planned one, in the order they were done; then the planned ones that were left out. */
function besidePlan(
  program: Program,
  recording: Recording,
  recordedSteps: readonly RecordedStep[],
  planned: readonly Planned[],
): ScoredStep[] {
  const left = new Map(planned.map(entry => [key(entry.path, entry.round), entry]))
  const byPath = new Map(planned.map(entry => [entry.path, entry]))
  const steps = recordedSteps.map((recordedStep): ScoredStep => {
    const { path, round } = recordedStep
    const template = left.get(key(path, round)) ?? byPath.get(path)
    left.delete(key(path, round))
    if (template) return scoreStretch(recording, { ...template, round }, recordedStep, program.smoothingSeconds)
    return {
      path,
      round,
      status: 'extra',
      ...nothing,
      seconds: round1(movingSeconds(recordedStep)),
      metres: recordedStep.metres,
      startsAt: recordedStep.from,
      endsAt: recordedStep.to,
    }
  })
  return [...steps, ...[...left.values()].map(({ path, round }): ScoredStep => ({ path, round, status: 'skipped', ...nothing }))]
}

function totalsOf(steps: readonly ScoredStep[]): Score['totals'] {
  const judged = steps.filter(step => step.held !== null)
  const judgedSeconds = judged.reduce((sum, step) => sum + step.seconds!, 0)
  const heldSeconds = judged.reduce((total, step) => total + step.held! * step.seconds!, 0)
  const sum = (values: (number | null)[]) =>
    values.every(value => value === null) ? null : round1(values.reduce<number>((total, value) => total + (value ?? 0), 0))
  return {
    seconds: sum(steps.map(step => step.seconds)) ?? 0,
    metres: sum(steps.map(step => step.metres)),
    held: judgedSeconds > 0 ? Math.round((heldSeconds / judgedSeconds) * 1000) / 1000 : null,
    done: steps.filter(step => step.status === 'done').length,
    planned: steps.filter(step => step.status !== 'extra').length,
  }
}

/**
 * Sets a recording beside the program it was carried out from, step by step, by the marks of the engine that led.
 *
 * Held is the share of a step inside its band after settling (pace 10 s, power 5 s, heart rate 60 s), pauses and dropouts
 * left out. A reason is given where less than half was held. Confidence is 1 when the recording names this very program,
 * else nine tenths of the share of its steps that the program has; under 0.6 no step is called skipped. Without the
 * engine's marks nothing is claimed: every step is unknown.
 */
export function score(program: Program, recording: Recording): Score {
  const recordedSteps = alignByMarks(recording)
  const planned = [...plannedSteps(program.items)]
  if (recordedSteps.length === 0) return notAligned(planned, recording)
  const steps = besidePlan(program, recording, recordedSteps, planned)
  const placed = 1 - steps.filter(step => step.status === 'extra').length / recordedSteps.length
  const confidence = recording.program === digestOf(program) ? 1 : Math.round(placed * 90) / 100
  if (confidence < surelySkipped) for (const step of steps) if (step.status === 'skipped') step.status = 'unknown'
  return { basis: 'program', confidence, steps, totals: totalsOf(steps) }
}
