import { cursorBehind, firstCursor, nextCursor, roundOf, withHolding } from './cursor'
import type { Cursor } from './cursor'
import { announce, judge, promptsBetween, remember, watchCeiling } from './engine-cues'
import { blockUntil, noteTouch, secondsUntil } from './engine-ends'
import type { Stretch } from './engine-ends'
import type { Button, EngineEvent, EngineState, Outcome, Run } from './engine-state'
import { mark, stepOf } from './engine-state'
import type { Reading } from './holding'
import type { Program, ProgramEnd } from './program'

export { initialState } from './engine-state'
export { progressOf } from './engine-ends'
export type { Button, Cue, EngineEvent, EngineState, Outcome } from './engine-state'

const undoSeconds = 5

function begin(run: Run, cursor: Cursor): void {
  const { state } = run
  run.state = {
    ...state, cursor,
    step: {
      startT: state.t, startMoving: state.moving, startMetres: state.metres, startWork: state.work,
      held: 0, judged: 0, window: [], outSince: null, lastNudge: null, crossedSince: null, lastCeiling: null,
      touchedAt: null, saidCountdown: false, saidHalfway: false,
    },
  }
  mark(run, 'step')
  const { path } = stepOf(run)
  run.cues.push({ kind: 'step', t: state.t, path, round: roundOf(run.program, cursor) })
}

function finish(run: Run): void {
  mark(run, 'stop', null)
  run.cues.push({ kind: 'finished', t: run.state.t })
  run.state = { ...run.state, phase: 'finished', cursor: null, step: null, undo: null }
}

const clocksOf = (state: EngineState) => ({ moving: state.moving, way: state.way })

/** Goes on to the next step, or behind a block that is used up. */
function moveOn(run: Run, behindDepth?: number): void {
  const { state, program } = run
  const cursor = withHolding(state.cursor!, state.step!.held, state.step!.judged)
  const next = behindDepth === undefined
    ? nextCursor(program, cursor, clocksOf(state))
    : cursorBehind(program, cursor, behindDepth, clocksOf(state))
  if (next) begin(run, next)
  else finish(run)
}

/** Lets clocks and metres go on by a part of the stretch. */
function pass(run: Run, stretch: Stretch, seconds: number): Stretch {
  const share = stretch.seconds === 0 ? 1 : seconds / stretch.seconds
  const isRest = stepOf(run).role === 'rest'
  promptsBetween(run, run.state.moving, run.state.moving + seconds)
  const { state } = run
  run.state = {
    ...state,
    t: state.t + seconds, moving: state.moving + seconds,
    metres: state.metres + stretch.metres * share, work: state.work + stretch.work * share,
    way: state.way + (isRest ? 0 : stretch.metres * share),
  }
  return { seconds: stretch.seconds - seconds, metres: stretch.metres * (1 - share), work: stretch.work * (1 - share) }
}

const isLastStep = (run: Run) => nextCursor(run.program, run.state.cursor!, clocksOf(run.state)) === null

function read(run: Run, reading: Reading): void {
  const before = run.state
  const seconds = reading.t - before.t
  if (!(seconds > 0)) return
  const gained = reading.metres === null ? 0 : Math.max(0, reading.metres - (before.sensorMetres ?? 0))
  const sensorMetres = reading.metres ?? before.sensorMetres
  run.state = { ...before, sensorMetres, heartRate: reading.heartRate ?? before.heartRate, reading }
  if (before.phase !== 'running') {
    run.state = { ...run.state, t: reading.t }
    return
  }
  if (reading.heartRate === null) run.state = { ...run.state, heartRate: null }
  let stretch: Stretch = { seconds, metres: gained, work: (reading.power ?? 0) * seconds }
  for (;;) {
    noteTouch(run, stretch)
    const own = secondsUntil(stepOf(run).end, run, stretch, isLastStep(run))
    const block = blockUntil(run, stretch)
    const blockFirst = block !== null && (own === null || block.seconds < own - 1e-9)
    const until = blockFirst ? block.seconds : own
    if (until === null) break
    stretch = pass(run, stretch, Math.min(until, stretch.seconds))
    moveOn(run, blockFirst ? block.depth : undefined)
    if (run.state.phase === 'finished') return
    if (stretch.seconds <= 1e-9) return
  }
  const passed = stretch.seconds
  pass(run, stretch, stretch.seconds)
  run.state = { ...run.state, t: reading.t }
  remember(run, reading)
  judge(run, passed)
  watchCeiling(run)
  announce(run)
}

const holdsPress = (end: ProgramEnd): boolean => end.on === 'press' || (end.on === 'first' && end.of.some(holdsPress))

function endByHand(run: Run, kind: 'press' | 'skip'): void {
  const { state } = run
  const undo = { until: state.t + undoSeconds, cursor: state.cursor!, step: state.step! }
  mark(run, kind)
  moveOn(run)
  if (run.state.phase === 'running') run.state = { ...run.state, undo }
}

function push(run: Run, button: Button): void {
  const { state } = run
  if (button === 'stop') {
    if (state.phase === 'running' || state.phase === 'paused') finish(run)
    return
  }
  if (button === 'pause' && state.phase === 'running') {
    mark(run, 'pause')
    run.state = { ...state, phase: 'paused', step: { ...state.step!, window: [], outSince: null } }
    return
  }
  if (button === 'resume' && state.phase === 'paused') {
    mark(run, 'resume')
    run.state = { ...state, phase: 'running' }
    return
  }
  if (state.phase !== 'running') return
  if (button === 'skip') endByHand(run, 'skip')
  if (button === 'press' && holdsPress(stepOf(run).end)) endByHand(run, 'press')
  if (button === 'back' && state.undo && state.t <= state.undo.until) {
    run.state = { ...state, cursor: state.undo.cursor, step: state.undo.step, undo: null }
    mark(run, 'back')
  }
}

/**
 * The engine that carries a program out: one pure function of state and event.
 *
 * Laws, held by the tests: without `back`, the step marks name every flat step once and in order; a step that ends by time
 * or distance ends at that instant and not at the next reading; the same events bring the same outcome.
 *
 * Traps: metres covered while paused never count, but the clock of a send-off goes on; several steps can end within one
 * reading; `back` goes on with the undone step as if it had not ended.
 *
 * @param event its `t` is elapsed seconds since the start, never smaller than the state's
 */
export function advance(program: Program, state: EngineState, event: EngineEvent): Outcome {
  const run: Run = { program, state, cues: [], marks: [] }
  if (event.kind === 'start') {
    const cursor = state.phase === 'ready' ? firstCursor(program) : null
    if (cursor) {
      run.state = { ...state, phase: 'running', t: event.t }
      begin(run, cursor)
    }
  }
  else if (event.kind === 'reading') {
    read(run, event)
  }
  else {
    if (event.t > state.t && state.phase === 'running') read(run, { ...(state.reading ?? { heartRate: null, power: null, cadence: null }), metres: null, t: event.t })
    push(run, event.kind)
  }
  return { state: run.state, cues: run.cues, marks: run.marks }
}
