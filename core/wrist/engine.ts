import type { Mark, MarkKind } from '../record/recording'
import type { Cursor } from './cursor'
import { blocksAt, cursorBehind, firstCursor, nextCursor, roundOf, stepAt, withHolding } from './cursor'
import type { Reading } from './holding'
import { settlingSeconds, sideOf, slide, smoothedValue } from './holding'
import type { Program, ProgramEnd, ProgramStep } from './program'

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

const undoSeconds = 5
const ceilingAfterSeconds = 5
const ceilingRepeatSeconds = 10
const countdownSeconds = 5
const halfwayFromSeconds = 60

interface Run { program: Program, state: EngineState, cues: Cue[], marks: Mark[] }

const stepOf = (run: Run): ProgramStep => stepAt(run.program, run.state.cursor!)

function mark(run: Run, kind: MarkKind, where: Cursor | null = run.state.cursor): void {
  const place = where ? { path: stepAt(run.program, where).path, round: roundOf(run.program, where) } : {}
  run.marks.push({ t: run.state.t, kind, ...place })
}

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

interface Stretch { seconds: number, metres: number, work: number }

/** Seconds from now until the end is reached within a stretch of even progress, or null. */
function secondsUntil(end: ProgramEnd, run: Run, stretch: Stretch, isLast: boolean): number | null {
  const { state } = run
  const step = state.step!
  const along = (left: number, gain: number) => left <= 0 ? 0 : gain > 0 && left <= gain + 1e-9 ? Math.min(1, left / gain) * stretch.seconds : null
  switch (end.on) {
    case 'time': return along(end.seconds - (state.moving - step.startMoving), stretch.seconds)
    case 'distance': return along(end.metres - (state.metres - step.startMetres), stretch.metres)
    case 'energy': return along(end.joules - (state.work - step.startWork), stretch.work)
    case 'press': return null
    case 'heart-rate': {
      if (state.heartRate === null) return null
      const reached = end.below !== undefined ? state.heartRate < end.below : state.heartRate > end.above!
      return reached ? stretch.seconds : null
    }
    case 'send-off': {
      const touch = step.touchedAt === null ? along(end.metres - (state.metres - step.startMetres), stretch.metres) : Math.max(0, step.touchedAt - state.t)
      if (touch === null) return null
      if (isLast) return touch
      const clock = step.startT + end.seconds - state.t
      return Math.max(touch, clock) <= stretch.seconds + 1e-9 ? Math.max(touch, clock, 0) : null
    }
    case 'first': {
      const found = end.of.map(part => secondsUntil(part, run, stretch, isLast)).filter(value => value !== null)
      return found.length === 0 ? null : Math.min(...found)
    }
  }
}

function noteTouch(run: Run, stretch: Stretch): void {
  const { state } = run
  const end = stepOf(run).end
  if (end.on !== 'send-off' || state.step!.touchedAt !== null) return
  const left = end.metres - (state.metres - state.step!.startMetres)
  if (left > stretch.metres || stretch.metres <= 0) return
  const at = state.t + Math.max(0, left / stretch.metres) * stretch.seconds
  run.state = { ...state, step: { ...state.step!, touchedAt: at } }
}

/** The outermost block until a distance or time that is used up within the stretch. */
function blockUntil(run: Run, stretch: Stretch): { depth: number, seconds: number } | null {
  const { state, program } = run
  const isRest = stepOf(run).role === 'rest'
  let found: { depth: number, seconds: number } | null = null
  blocksAt(program, state.cursor!).forEach((block, depth) => {
    const frame = state.cursor!.blocks[depth]!
    let seconds: number | null = null
    if ('metres' in block.repeat) {
      const left = block.repeat.metres - (state.way - frame.startWay)
      if (!isRest && stretch.metres > 0 && left <= stretch.metres + 1e-9) seconds = Math.max(0, left / stretch.metres) * stretch.seconds
    }
    else if ('seconds' in block.repeat) {
      const left = block.repeat.seconds - (state.moving - frame.startMoving)
      if (left <= stretch.seconds + 1e-9) seconds = Math.max(0, left)
    }
    if (seconds !== null && (found === null || seconds < found.seconds)) found = { depth, seconds }
  })
  return found
}

function promptsBetween(run: Run, from: number, to: number): void {
  for (const prompt of run.program.prompts ?? []) {
    const first = Math.max(0, Math.ceil((from - prompt.from) / prompt.every - 1e-9))
    for (let count = first; prompt.from + count * prompt.every <= to; count++) {
      const at = prompt.from + count * prompt.every
      if (at <= from && !(at === 0 && from === 0)) continue
      if (prompt.count !== undefined && count >= prompt.count) break
      const t = run.state.t + (at - from)
      run.cues.push({ kind: 'prompt', t, say: prompt.say })
      run.marks.push({ t, kind: 'prompt' })
    }
  }
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

/** How far the step has come, from 0 to 1, where its end can tell. */
export function progressOf(end: ProgramEnd, state: EngineState): number | null {
  const step = state.step
  if (!step) return null
  if (end.on === 'time') return Math.min(1, (state.moving - step.startMoving) / end.seconds)
  if (end.on === 'distance' || end.on === 'send-off') return Math.min(1, (state.metres - step.startMetres) / end.metres)
  return null
}

function judge(run: Run, seconds: number): void {
  const { state, program } = run
  const target = stepOf(run).target
  const step = state.step!
  if (!target || seconds <= 0) return
  const value = smoothedValue(target.of, step.window)
  if (value === null || state.moving - step.startMoving <= settlingSeconds[target.of]) return
  const side = sideOf(value, target, progressOf(stepOf(run).end, state) ?? 0)
  const inside = side === 'inside'
  const outSince = inside ? null : step.outSince ?? state.t - seconds
  let { lastNudge } = step
  const isCrossed = step.lastCeiling !== null && step.crossedSince !== null
  if (!inside && !isCrossed && state.t - outSince! >= program.alertAfterSeconds
    && (lastNudge === null || state.t - lastNudge >= program.alertRepeatSeconds)) {
    lastNudge = state.t
    mark(run, 'nudge')
    run.cues.push({ kind: 'nudge', t: state.t, side })
  }
  run.state = {
    ...state,
    step: { ...step, judged: step.judged + seconds, held: step.held + (inside ? seconds : 0), outSince, lastNudge: inside ? null : lastNudge },
  }
}

function watchCeiling(run: Run): void {
  const { state } = run
  const step = state.step!
  const { ceiling } = stepOf(run)
  if (ceiling === undefined || state.heartRate === null || state.heartRate <= ceiling) {
    if (step.crossedSince !== null) run.state = { ...state, step: { ...step, crossedSince: null, lastCeiling: null } }
    return
  }
  const crossedSince = step.crossedSince ?? state.t
  let { lastCeiling } = step
  if (state.t - crossedSince >= ceilingAfterSeconds && (lastCeiling === null || state.t - lastCeiling >= ceilingRepeatSeconds)) {
    lastCeiling = state.t
    mark(run, 'ceiling')
    run.cues.push({ kind: 'ceiling', t: state.t, above: ceiling })
  }
  run.state = { ...run.state, step: { ...step, crossedSince, lastCeiling } }
}

function announce(run: Run): void {
  const { state } = run
  const step = state.step!
  const { end } = stepOf(run)
  if (end.on !== 'time') return
  const left = end.seconds - (state.moving - step.startMoving)
  const countdown = !step.saidCountdown && left <= countdownSeconds && end.seconds > 2 * countdownSeconds
  const halfway = !step.saidHalfway && end.seconds >= halfwayFromSeconds && left <= end.seconds / 2
  if (countdown) run.cues.push({ kind: 'countdown', t: state.t })
  if (halfway) run.cues.push({ kind: 'halfway', t: state.t })
  if (countdown || halfway) {
    run.state = { ...state, step: { ...step, saidCountdown: step.saidCountdown || countdown, saidHalfway: step.saidHalfway || halfway } }
  }
}

function remember(run: Run, reading: Reading): void {
  const { state, program } = run
  const step = state.step!
  const length = Math.max(program.smoothingSeconds, stepOf(run).target?.over ?? 0)
  run.state = { ...state, step: { ...step, window: slide(step.window, reading, length) } }
}

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
