import { blocksAt, closeRound, cursorAt, cursorBehind, firstCursor, nextCursor, roundOf, withJudged } from './cursor'
import type { Cursor } from './cursor'
import type { StepPosition, Program, ProgramEnd } from '../program/program'
import { announce, countSample, judge, lapsBetween, promptsBetween, remember, watchCeiling, watchSignals } from './engine-cues'
import { blockUntil, noteTouch, secondsUntil } from './engine-ends'
import type { ElapsedSlice } from './engine-ends'
import type { Button, EngineEvent, EngineSettings, EngineState, Outcome, Run } from './engine-state'
import { isPool, mark, stepOf, usualSettings } from './engine-state'
import type { SensorSample } from './holding'
import { afterPause, begunAt, heldOf, nothingJudged, sideOfMean } from './judging'

export { initialState, usualSettings } from './engine-state'
export { progressOf } from './engine-ends'
export type { Button, Cue, EngineEvent, EngineSettings, EngineState, Outcome, Signal } from './engine-state'

const undoSeconds = 5

function begin(run: Run, cursor: Cursor): void {
  const { state } = run
  const wall = isPool(run, cursor) ? [{ t: state.t, metres: state.sensorMetres ?? 0, heartRate: null, power: null, cadence: null }] : []
  state.cursor = cursor
  state.step = {
    startT: state.t,
    startMoving: state.moving,
    startMetres: state.metres,
    startWork: state.work,
    judging: wall[0] ? begunAt(wall[0]) : nothingJudged,
    window: wall,
    outSince: null,
    lastNudge: null,
    touchedAt: null,
    saidCountdown: false,
    saidHalfway: false,
  }
  mark(run, 'step')
  const { path } = stepOf(run)
  run.cues.push({ kind: 'step', t: state.t, path, round: roundOf(run.program, cursor) })
}

function finish(run: Run): void {
  mark(run, 'stop', null)
  run.cues.push({ kind: 'finished', t: run.state.t })
  Object.assign(run.state, { phase: 'finished', cursor: null, step: null, undo: null })
}

const clocksOf = (state: EngineState) => ({ moving: state.moving, distance: state.distance })

/** The cursor with the step that ends counted in its rounds, by its mean, where it is work with a target. */
function withMean(run: Run): Cursor {
  const { cursor, step } = run.state
  const { role, target } = stepOf(run)
  const side = target && role === 'work' ? sideOfMean(step!.judging, target) : null
  return side === null ? cursor! : withJudged(cursor!, step!.judging.moved, side === 'inside')
}

/** Goes on to the next step, or behind a block that is used up. */
function moveOn(run: Run, behindDepth?: number): void {
  const { state, program } = run
  const cursor = withMean(run)
  const { path, target } = stepOf(run)
  const held = target && target.of !== 'rpe' ? heldOf(state.step!.judging) : null
  state.ended = { path, round: roundOf(program, state.cursor!), held }
  const next =
    behindDepth === undefined ? nextCursor(program, cursor, clocksOf(state)) : cursorBehind(program, cursor, behindDepth, clocksOf(state))
  if (behindDepth === undefined) sayMissedOut(run, cursor, next)
  if (next) begin(run, next)
  else finish(run)
}

/** Says when the round that ends now is one miss too many and its block ends with it. */
function sayMissedOut(run: Run, cursor: Cursor, next: Cursor | null): void {
  const { program, state } = run
  blocksAt(program, cursor).forEach((block, depth) => {
    const frame = cursor.blocks[depth]!
    const isOver =
      next?.blocks[depth]?.index !== frame.index ||
      next.blocks.slice(0, depth).some((outer, index) => outer.round !== cursor.blocks[index]!.round)
    const { stops, missed } = closeRound(frame, block)
    if (isOver && stops && 'times' in block.repeat && frame.round < block.repeat.times)
      run.cues.push({ kind: 'missed', t: state.t, rounds: missed })
  })
}

/** Lets clocks and metres go on by a part of the stretch. */
function pass(run: Run, slice: ElapsedSlice, seconds: number): ElapsedSlice {
  const share = slice.seconds === 0 ? 1 : seconds / slice.seconds
  const isRest = stepOf(run).role === 'rest'
  promptsBetween(run, run.state.moving, run.state.moving + seconds)
  lapsBetween(run, slice.metres * share, seconds)
  const { state } = run
  state.t += seconds
  state.moving += seconds
  state.metres += slice.metres * share
  state.work += slice.work * share
  if (!isRest) state.distance += slice.metres * share
  return { seconds: slice.seconds - seconds, metres: slice.metres * (1 - share), work: slice.work * (1 - share) }
}

const isLastStep = (run: Run) => nextCursor(run.program, run.state.cursor!, clocksOf(run.state)) === null

/** @param isSensed false at a button, where nothing was measured */
function read(run: Run, reading: SensorSample, isSensed = true): void {
  const { state } = run
  const seconds = reading.t - state.t
  if (!(seconds > 0)) return
  const gained = reading.metres === null ? 0 : Math.max(0, reading.metres - (state.sensorMetres ?? 0))
  state.sensorMetres = reading.metres ?? state.sensorMetres
  state.reading = reading
  if (state.phase !== 'running') {
    state.heartRate = reading.heartRate ?? state.heartRate
    state.t = reading.t
    return
  }
  state.heartRate = reading.heartRate
  let slice: ElapsedSlice = { seconds, metres: gained, work: (reading.power ?? 0) * seconds }
  for (;;) {
    noteTouch(run, slice)
    const own = secondsUntil(stepOf(run).end, run, slice, () => isLastStep(run))
    const block = blockUntil(run, slice)
    const blockFirst = block !== null && (own === null || block.seconds < own - 1e-9)
    const until = blockFirst ? block.seconds : own
    if (until === null) break
    const during = Math.min(until, slice.seconds)
    slice = pass(run, slice, during)
    if (slice.seconds <= 1e-9) {
      state.t = reading.t
      if (isSensed) countSample(run, during)
    }
    moveOn(run, blockFirst ? block.depth : undefined)
    if ((state.phase as string) === 'finished') return
    if (slice.seconds <= 1e-9) break
  }
  const passed = slice.seconds
  pass(run, slice, slice.seconds)
  state.t = reading.t
  remember(run, reading)
  if (isSensed) {
    countSample(run, passed)
    judge(run, passed)
  }
  watchSignals(run)
  watchCeiling(run)
  announce(run)
}

const holdsPress = (end: ProgramEnd): boolean => end.on === 'press' || (end.on === 'first' && end.of.some(holdsPress))

function endByHand(run: Run, kind: 'press' | 'skip'): void {
  const { state } = run
  const undo = { until: state.t + undoSeconds, cursor: state.cursor!, step: state.step! }
  mark(run, kind)
  moveOn(run)
  if (state.phase === 'running') state.undo = undo
}

function push(run: Run, button: Button): void {
  const { state } = run
  if (button === 'stop') {
    if (state.phase === 'running' || state.phase === 'paused') finish(run)
    return
  }
  if (button === 'pause' && state.phase === 'running') {
    mark(run, 'pause')
    state.phase = 'paused'
    Object.assign(state.step!, { window: [], outSince: null, judging: afterPause(state.step!.judging) })
    return
  }
  if (button === 'resume' && state.phase === 'paused') {
    mark(run, 'resume')
    state.phase = 'running'
    return
  }
  if (state.phase !== 'running') return
  if (button === 'skip') endByHand(run, 'skip')
  if (button === 'press' && holdsPress(stepOf(run).end)) endByHand(run, 'press')
  if (button === 'back' && state.undo && state.t <= state.undo.until) {
    Object.assign(state, { cursor: state.undo.cursor, step: state.undo.step, undo: null })
    mark(run, 'back')
  }
}

function jump(run: Run, to: StepPosition): void {
  const cursor = cursorAt(run.program, to, run.state.cursor, clocksOf(run.state))
  if (!cursor) return
  mark(run, 'jump', cursor)
  run.state.undo = null
  begin(run, cursor)
}

/**
 * The engine that carries a program out: one pure function of state and event.
 *
 * Laws, held by the tests: without `back`, the step marks name every flat step once and in order; a step that ends by time
 * or distance ends at that instant and not at the next reading; the same events bring the same outcome.
 *
 * Traps: the state given is never changed; the one worked on is a copy that this call owns, and only its own step, never the list
 * or the objects in it, is changed in place. Metres covered while paused never count, but the clock of a
 * send-off goes on; several steps can end
 * within one reading; `back` goes on with the undone step as if it had not ended.
 *
 * @param event its `t` is elapsed seconds since the start, never smaller than the state's
 * @param settings the same for the whole of a run
 */
export function advance(program: Program, state: EngineState, event: EngineEvent, settings: EngineSettings = usualSettings): Outcome {
  const run: Run = { program, settings, state: { ...state, step: state.step && { ...state.step } }, cues: [], marks: [] }
  if (event.kind === 'start') {
    const from = event.from && cursorAt(program, event.from, null, { moving: 0, distance: 0 })
    const cursor = state.phase === 'ready' ? (from ?? firstCursor(program)) : null
    if (cursor) {
      Object.assign(run.state, { phase: 'running', t: event.t })
      begin(run, cursor)
    }
  } else if (event.kind === 'reading') {
    read(run, event)
  } else {
    if (event.t > state.t && state.phase === 'running')
      read(run, { ...(state.reading ?? { heartRate: null, power: null, cadence: null }), metres: null, t: event.t }, false)
    if (event.kind !== 'jump') push(run, event.kind)
    else if (run.state.phase === 'running' || run.state.phase === 'paused') jump(run, event.to)
  }
  return { state: run.state, cues: run.cues, marks: run.marks }
}
