import type { Athlete } from '../athlete/athlete'
import { heldOf } from '../wrist/engine/judging'
import { digestOf } from '../wrist/program/digest'
import type { Program, ProgramEnd, ProgramItem } from '../wrist/program/program'
import { timesOf } from '../wrist/program/program'
import type { RecordedStep } from './align'
import { alignByMarks, movingSeconds } from './align'
import { alignUnmarked } from './align-unmarked'
import type { StepBoundary } from './boundaries'
import { withBoundaries } from './boundaries'
import type { Means, StepReason } from './judge-step'
import { judge, meansOf, reasonOf, round1 } from './judge-step'
import type { PlannedStep } from './planned-steps'
import { plannedSteps } from './planned-steps'
import type { Recording } from './recording'

export type StepStatus = 'done' | 'cut-short' | 'ran-over' | 'skipped' | 'merged' | 'moved' | 'extra' | 'unknown'

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

export interface StepPlace {
  path: string
  round: number[]
}

export interface Score {
  basis: 'program' | 'laps' | 'shape' | 'none'
  confidence: number
  /** The step it began with, where that was not the first. */
  beganAt?: StepPlace
  /** The step in which it was ended early. */
  endedAt?: StepPlace
  steps: ScoredStep[]
  totals: { seconds: number; metres: number | null; held: number | null; done: number; planned: number }
}

/** How many rounds the blocks around a step have, outermost first; null where nobody can tell. */
export function roundsAround(items: readonly ProgramItem[], path: string): (number | null)[] {
  const block = items.find(item => item.kind === 'block' && path.startsWith(`${item.path}.`))
  return block?.kind === 'block' ? [timesOf(block), ...roundsAround(block.items, path)] : []
}

/** Below this confidence no step is called skipped. */
const surelySkipped = 0.6

const key = (path: string, round: readonly number[]) => `${path}@${round.join('.')}`

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

const nothing: Pick<ScoredStep, 'seconds' | 'metres' | 'held' | 'mean' | 'startsAt' | 'endsAt'> = {
  seconds: null,
  metres: null,
  held: null,
  mean: { speed: null, heartRate: null, power: null, cadence: null },
  startsAt: null,
  endsAt: null,
}

/** Longer than its own end by that much, where nothing but the recording's shape tells it: it ran over. */
const ranOver = (end: ProgramEnd, moving: number, metres: number | null): boolean => {
  if (end.on === 'time') return moving > 1.1 * end.seconds + 6
  return end.on === 'distance' && metres !== null && metres > 1.1 * end.metres + 20
}

function scoreStretch(
  recording: Recording,
  planned: PlannedStep,
  recordedStep: RecordedStep,
  program: Program,
  athlete: Athlete,
): ScoredStep {
  const { step } = planned
  const moving = movingSeconds(recordedStep)
  const { metres } = recordedStep
  const judging = judge(recording, step, recordedStep, program)
  const isReached = recordedStep.endedBy === 'end' || reached(step.end, moving, metres)
  const status: StepStatus = isReached ? 'done' : moving < 3 ? 'skipped' : 'cut-short'
  const reason = reasonOf(judging, step, recordedStep, program, athlete)
  return {
    path: planned.path,
    round: planned.round,
    status,
    ...(reason ? { reason } : {}),
    seconds: round1(moving),
    metres: metres === null ? null : round1(metres),
    held: step.target && step.target.of !== 'rpe' ? heldOf(judging) : null,
    mean: meansOf(recording, recordedStep, step.target, judging),
    startsAt: recordedStep.from,
    endsAt: recordedStep.to,
  }
}

/** What is said where nothing tells which part of a recording was which step. */
function notAligned(planned: readonly PlannedStep[], { samples }: Recording): Score {
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

/** Each recorded step judged by its planned one, in the order they were done, then the planned ones between that were left out. */
function besidePlan(
  program: Program,
  recording: Recording,
  recordedSteps: readonly RecordedStep[],
  planned: readonly PlannedStep[],
  athlete: Athlete,
): ScoredStep[] {
  const left = new Map(planned.map(entry => [key(entry.path, entry.round), entry]))
  const byPath = new Map(planned.map(entry => [entry.path, entry]))
  const steps = recordedSteps.map((recordedStep): ScoredStep => {
    const { path, round } = recordedStep
    const template = left.get(key(path, round)) ?? byPath.get(path)
    left.delete(key(path, round))
    if (template) return scoreStretch(recording, { ...template, round }, recordedStep, program, athlete)
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

/** Where a run was begun by choice and where it ended early, by their positions in the plan. */
function edgesOf(recordedSteps: readonly RecordedStep[], planned: readonly PlannedStep[], steps: readonly ScoredStep[]) {
  const at = new Map(planned.map(({ path, round }, index) => [key(path, round), index]))
  const done = recordedSteps.map(({ path, round }) => at.get(key(path, round))).filter(index => index !== undefined)
  const [from, to] = done.length > 0 ? [Math.min(...done), Math.max(...done)] : [0, planned.length - 1]
  const last = recordedSteps.at(-1)!
  const isCut = steps[recordedSteps.length - 1]?.status === 'cut-short'
  const isEarly = last.endedBy === 'stop' && (isCut || to < planned.length - 1)
  const before = new Set(planned.slice(0, from).map(({ path, round }) => key(path, round)))
  const behind = new Set(isEarly ? planned.slice(to + 1).map(({ path, round }) => key(path, round)) : [])
  const place = ({ path, round }: { path: string; round: number[] }) => ({ path, round })
  return {
    ...(from > 0 ? { beganAt: place(planned[from]!) } : {}),
    ...(isEarly ? { endedAt: place(last) } : {}),
    isOutside: ({ path, round, status }: ScoredStep) =>
      status === 'skipped' && (before.has(key(path, round)) || behind.has(key(path, round))),
  }
}

function totalsOf(steps: readonly ScoredStep[], planned: number): Score['totals'] {
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
    planned,
  }
}

/**
 * What only lengths tell: steps that ran over, and those that went into the one before them.
 *
 * @param found how many of the steps, the first ones, are in the recording
 */
function tellLengths(steps: readonly ScoredStep[], found: number, planned: readonly PlannedStep[]): void {
  const endOf = new Map(planned.map(({ path, round, step }) => [key(path, round), step.end]))
  const order = planned.map(({ path, round }) => key(path, round))
  const byKey = new Map(steps.map(one => [key(one.path, one.round), one]))
  for (const one of steps.slice(0, found)) {
    const end = endOf.get(key(one.path, one.round))
    if (!end || one.seconds === null || !ranOver(end, one.seconds, one.metres)) continue
    one.status = 'ran-over'
    const next = byKey.get(order[order.indexOf(key(one.path, one.round)) + 1] ?? '')
    const nextEnd = next && endOf.get(key(next.path, next.round))
    const isMerged =
      next?.status === 'skipped' && nextEnd?.on === 'time' && end.on === 'time' && one.seconds > 0.8 * (end.seconds + nextEnd.seconds)
    if (isMerged) next.status = 'merged'
  }
}

/**
 * Sets a recording beside the program it was carried out from, step by step, by the marks of the engine that led.
 *
 * A step is judged by its mean against the band first (moving, settled: pace 10 s, power 5 s, heart rate 60 s); held is the
 * share of its settled time inside, by the very function the engine reckons it with. Confidence is 1 when the recording names
 * this very program, else nine tenths of the share of its steps that the program has; under 0.6 no step is called skipped.
 * Steps before a chosen start and behind an early end are none of the steps: the score says where it began and ended.
 * Without the engine's marks the steps are found at the laps or by the shape of the recording, with what confidence that gives; where
 * nothing was recorded that could tell, every step is unknown.
 *
 * @param athlete whose steadiness tells what is uneven
 * @param boundaries where the athlete says that steps began, beside what was found
 */
export function score(program: Program, recording: Recording, athlete: Athlete, boundaries: readonly StepBoundary[] = []): Score {
  const marked = alignByMarks(recording)
  const planned = [...plannedSteps(program.items)]
  const unmarked = marked.length === 0 ? alignUnmarked(program, recording) : null
  if (marked.length === 0 && !unmarked) return notAligned(planned, recording)
  const recordedSteps = withBoundaries(recording, unmarked?.steps ?? marked, boundaries)
  const all = besidePlan(program, recording, recordedSteps, planned, athlete)
  const placed = 1 - all.filter(step => step.status === 'extra').length / recordedSteps.length
  const confidence = unmarked?.confidence ?? (recording.program === digestOf(program) ? 1 : Math.round(placed * 90) / 100)
  const isSure = confidence >= surelySkipped
  const { isOutside, ...edges } = isSure ? edgesOf(recordedSteps, planned, all) : { isOutside: () => false }
  const steps = all.filter(step => !isOutside(step))
  if (!isSure) for (const step of steps) if (step.status === 'skipped') step.status = 'unknown'
  const isPlanned = all.filter(step => step.status !== 'extra').length
  if (unmarked) tellLengths(steps, recordedSteps.length, planned)
  return { basis: unmarked?.basis ?? 'program', confidence, ...edges, steps, totals: totalsOf(steps, isPlanned) }
}
