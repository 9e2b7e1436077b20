import type { Mark, MarkKind } from './marks'
import type { Prompt } from '../../session/document'
import type { Cursor } from './cursor'
import type { StepPosition, Program, ProgramStep } from '../program/program'
import { roundOf, stepAt } from './cursor'
import type { SensorSample } from './holding'
import type { Judging } from './judging'
import { poolLengthOf } from '../program/program'

/** The step being carried out. Times are elapsed seconds `t`; `moving` leaves pauses out. */
export interface ActiveStep {
  startT: number
  startMoving: number
  startMetres: number
  startWork: number
  judging: Judging
  /** What the watch smooths over before it nudges. */
  window: SensorSample[]
  outSince: number | null
  lastNudge: number | null
  /** The touch of a send-off, when the swim came in before the clock. */
  touchedAt: number | null
  saidCountdown: boolean
  saidHalfway: boolean
}

export interface EngineState {
  phase: 'ready' | 'running' | 'paused' | 'finished'
  t: number
  moving: number
  /** Metres that count: without those covered in pauses. */
  metres: number
  /** Metres without those of rest steps: what a repeat until a distance counts. */
  distance: number
  /** Joules since the start, from the power. */
  work: number
  /** When the last lap by distance ended. */
  lapT: number
  /** Last cumulative metres of the sensor, null before any. */
  sensorMetres: number | null
  heartRate: number | null
  cursor: Cursor | null
  step: ActiveStep | null
  /** The step that ended last, and what was held of it. */
  ended: { path: string; round: number[]; held: number | null } | null
  undo: { until: number; cursor: Cursor; step: ActiveStep } | null
  /** Since when the heart has been above the ceiling, and when that was last said. */
  crossing: { since: number; said: number | null } | null
  /** Since when a sensor that is needed has been silent, and whether that was said. */
  silent: Partial<Record<Signal, { since: number; isSaid: boolean }>>
  reading: SensorSample | null
}

/** What the wrist may lose on the way: in a tunnel, or when a strap slips. */
export type Signal = 'heart-rate' | 'position' | 'power'

export type Button = 'press' | 'skip' | 'back' | 'pause' | 'resume' | 'stop'
export type EngineEvent =
  | { kind: 'start'; t: number; from?: StepPosition }
  | { kind: 'jump'; t: number; to: StepPosition }
  | ({ kind: 'reading' } & SensorSample)
  | { kind: Button; t: number }

export type Cue =
  | { kind: 'step'; t: number; path: string; round: number[] }
  | { kind: 'countdown' | 'halfway' | 'finished'; t: number }
  | { kind: 'nudge'; t: number; side: 'too-easy' | 'too-hard' }
  | { kind: 'ceiling'; t: number; above: number }
  | { kind: 'prompt'; t: number; say: string }
  | { kind: 'lap'; t: number; metres: number; seconds: number }
  | { kind: 'signal'; t: number; of: Signal; isBack: boolean }
  /** A block ended early: so many rounds in a row had a mean outside the band. */
  | { kind: 'missed'; t: number; rounds: number }

/** What the wearer has set, beside the program: cues, laps by distance, and a second programme of prompts. */
export interface EngineSettings {
  countdown: boolean
  halfway: boolean
  autoLapMetres?: number
  prompts?: readonly Prompt[]
}

export const usualSettings: EngineSettings = { countdown: true, halfway: true }

/** What one event brings: the next state, what to say and what to write down. */
export interface Outcome {
  state: EngineState
  cues: Cue[]
  marks: Mark[]
}

export const initialState: EngineState = {
  phase: 'ready',
  t: 0,
  moving: 0,
  metres: 0,
  distance: 0,
  work: 0,
  lapT: 0,
  sensorMetres: null,
  heartRate: null,
  cursor: null,
  step: null,
  ended: null,
  undo: null,
  crossing: null,
  silent: {},
  reading: null,
}

/** One event being worked through: the state as it changes, and what comes of it. */
export interface Run {
  program: Program
  settings: EngineSettings
  state: EngineState
  cues: Cue[]
  marks: Mark[]
}

export const stepOf = (run: Run): ProgramStep => stepAt(run.program, run.state.cursor!)

/** Writes down what happened at this instant, with the step it happened in. */
export function mark(run: Run, kind: MarkKind, where: Cursor | null = run.state.cursor): void {
  const place = where ? { path: stepAt(run.program, where).path, round: roundOf(run.program, where) } : {}
  run.marks.push({ t: run.state.t, kind, ...place })
}

/** Whether a step is swum in a pool. */
export const isPool = ({ program }: Run, cursor: Cursor): boolean => poolLengthOf(stepAt(program, cursor), program) !== null

/** Whether the heart is above its ceiling and that has been said: the target gives way then. */
export const isCeilingCalled = ({ crossing }: EngineState): boolean => (crossing?.said ?? null) !== null

/** What each signal is called. */
export const signalWords: Readonly<Record<Signal, string>> = { 'heart-rate': 'heart rate', 'position': 'position', 'power': 'power' }
