import type { Mark, MarkKind } from '../record/recording'
import type { Cursor } from './cursor'
import { roundOf, stepAt } from './cursor'
import type { Reading } from './holding'
import type { Program, ProgramStep } from './program'

/** The step being carried out. Times are elapsed seconds `t`; `moving` leaves pauses out. */
export interface ActiveStep {
  startT: number
  startMoving: number
  startMetres: number
  startWork: number
  held: number
  judged: number
  window: Reading[]
  outSince: number | null
  lastNudge: number | null
  crossedSince: number | null
  lastCeiling: number | null
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
  way: number
  /** Joules since the start, from the power. */
  work: number
  /** Last cumulative metres of the sensor, null before any. */
  sensorMetres: number | null
  heartRate: number | null
  cursor: Cursor | null
  step: ActiveStep | null
  undo: { until: number, cursor: Cursor, step: ActiveStep } | null
  reading: Reading | null
}

export type Button = 'press' | 'skip' | 'back' | 'pause' | 'resume' | 'stop'
export type EngineEvent
  = | { kind: 'start', t: number }
    | ({ kind: 'reading' } & Reading)
    | { kind: Button, t: number }

export type Cue
  = | { kind: 'step', t: number, path: string, round: number[] }
    | { kind: 'countdown' | 'halfway' | 'finished', t: number }
    | { kind: 'nudge', t: number, side: 'too-easy' | 'too-hard' }
    | { kind: 'ceiling', t: number, above: number }
    | { kind: 'prompt', t: number, say: string }

/** What one event brings: the next state, what to say and what to write down. */
export interface Outcome { state: EngineState, cues: Cue[], marks: Mark[] }

export const initialState: EngineState = {
  phase: 'ready', t: 0, moving: 0, metres: 0, way: 0, work: 0, sensorMetres: null, heartRate: null,
  cursor: null, step: null, undo: null, reading: null,
}

/** One event being worked through: the state as it changes, and what comes of it. */
export interface Run { program: Program, state: EngineState, cues: Cue[], marks: Mark[] }

export const stepOf = (run: Run): ProgramStep => stepAt(run.program, run.state.cursor!)

/** Writes down what happened at this instant, with the step it happened in. */
export function mark(run: Run, kind: MarkKind, where: Cursor | null = run.state.cursor): void {
  const place = where ? { path: stepAt(run.program, where).path, round: roundOf(run.program, where) } : {}
  run.marks.push({ t: run.state.t, kind, ...place })
}
