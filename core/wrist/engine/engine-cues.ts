import { endKinds } from '../../session/ends'
import type { Run, Signal } from './engine-state'
import { isCeilingCalled, isPool, mark, stepOf } from './engine-state'
import { progressOf } from './engine-ends'
import type { SensorSample, Side } from './holding'
import { sideOf, slide, smoothedValue } from './holding'
import { judgeSample, sideWithin } from './judging'
import { settlingSeconds } from '../../nudge/settling'
import type { ResolvedMeasure } from '../../athlete/resolve'
import type { ProgramEnd, ProgramStep, ProgramTarget } from '../program/program'
import { poolLengthOf } from '../program/program'

const ceilingAfterSeconds = 5
const ceilingRepeatSeconds = 10
const countdownSeconds = 5
const halfwayFromSeconds = 60
const halfwayFromMetres = 400
/** Silence that a sensor may keep before it is said: a strap slips for a moment, a bridge is crossed. */
const silenceSeconds: Readonly<Record<Signal, number>> = { 'heart-rate': 10, 'position': 5, 'power': 5 }

/** Says the prompts that fall between two moments of moving time, in seconds; what both programmes say at once is said once. */
export function promptsBetween(run: Run, from: number, to: number): void {
  const {
    program: { prompts: own = [] },
    settings: { prompts: beside = [] },
  } = run
  if (own.length + beside.length === 0) return
  const said = new Set<string>()
  for (const prompt of [...own, ...beside]) {
    const first = Math.max(0, Math.ceil((from - prompt.from) / prompt.every - 1e-9))
    for (let count = first; prompt.from + count * prompt.every <= to; count++) {
      const at = prompt.from + count * prompt.every
      if (at <= from && !(at === 0 && from === 0)) continue
      if (prompt.count !== undefined && count >= prompt.count) break
      const t = run.state.t + (at - from)
      if (said.has(`${t} ${prompt.say}`)) continue
      said.add(`${t} ${prompt.say}`)
      run.cues.push({ kind: 'prompt', t, say: prompt.say })
      run.marks.push({ t, kind: 'prompt' })
    }
  }
}

/** Marks every whole lap of the distance that is passed within a stretch of even progress, at its instant. */
export function lapsBetween(run: Run, metres: number, seconds: number): void {
  const {
    state,
    settings: { autoLapMetres },
  } = run
  if (!autoLapMetres || metres <= 0) return
  for (let lap = Math.floor(state.metres / autoLapMetres + 1e-9) + 1; lap * autoLapMetres <= state.metres + metres; lap++) {
    const t = state.t + ((lap * autoLapMetres - state.metres) / metres) * seconds
    run.cues.push({ kind: 'lap', t, metres: autoLapMetres, seconds: t - state.lapT })
    run.marks.push({ t, kind: 'lap' })
    state.lapT = t
  }
}

const needsOf = (end: ProgramEnd): Signal[] => {
  const { needs } = endKinds[end.on]
  if (needs) return [needs]
  return end.on === 'first' ? end.of.flatMap(needsOf) : []
}

const measuredBy: Partial<Record<ResolvedMeasure, Signal>> = { 'pace': 'position', 'heart-rate': 'heart-rate', 'power': 'power' }

const isNeeded = (signal: Signal, { end, target, ceiling }: ProgramStep): boolean =>
  needsOf(end).includes(signal) ||
  (ceiling !== undefined && signal === 'heart-rate') ||
  (target !== undefined && measuredBy[target.of] === signal)

const columnOf = { 'heart-rate': 'heartRate', 'position': 'metres', 'power': 'power' } as const
const signals: readonly Signal[] = ['heart-rate', 'position', 'power']

/** Says when a sensor that the step needs falls silent for a while, and when it is back. */
export function watchSignals(run: Run): void {
  const { state } = run
  const { reading } = state
  if (!reading) return
  for (const signal of signals) {
    const known = state.silent[signal]
    if (reading[columnOf[signal]] !== null) {
      if (!known) continue
      if (known.isSaid) run.cues.push({ kind: 'signal', t: state.t, of: signal, isBack: true })
      const { [signal]: _, ...silent } = state.silent
      state.silent = silent
    } else if (!known) {
      state.silent = { ...state.silent, [signal]: { since: state.t, isSaid: false } }
    } else if (!known.isSaid && state.t - known.since >= silenceSeconds[signal] && isNeeded(signal, stepOf(run))) {
      run.cues.push({ kind: 'signal', t: state.t, of: signal, isBack: false })
      state.silent = { ...state.silent, [signal]: { since: known.since, isSaid: true } }
    }
  }
}

/** Whether a swim is over and only the clock is waited for. */
const hasTouched = ({ state }: Run, seconds: number): boolean =>
  state.step!.touchedAt !== null && state.t - seconds >= state.step!.touchedAt - 1e-9

/** Counts the sample that has come for what the step is judged by. */
export function countSample(run: Run, seconds: number): void {
  const { state, program } = run
  const step = stepOf(run)
  const { target } = step
  if (!target || seconds <= 0 || hasTouched(run, seconds)) return
  const judged = { target, poolLength: poolLengthOf(step, program), smoothingSeconds: program.smoothingSeconds }
  state.step!.judging = judgeSample(state.step!.judging, state.reading!, seconds, judged, progressOf(step.end, state) ?? 0)
}

/**
 * On which side of its band the smoothed value lies; null without one. A length of the pool is told to the grain of the samples
 * only, and is outside where no time within that grain would be inside.
 */
function sideNow(run: Run, target: ProgramTarget): Side | null {
  const { state } = run
  const { window, judging } = state.step!
  const value = smoothedValue(target.of, window)
  if (value === null) return null
  const share = progressOf(stepOf(run).end, state) ?? 0
  const [from, to] = [window[0]!, window.at(-1)!]
  if (target.of !== 'pace' || !isPool(run, state.cursor!)) return sideOf(value, target, share)
  return sideWithin({ amount: to.metres! - from.metres!, seconds: to.t - from.t }, judging.grain, judging.grain, target, share)
}

/** Judges the smoothed value of the last seconds, and nudges when it has been outside for long enough. */
export function judge(run: Run, seconds: number): void {
  const { state, program } = run
  const target = stepOf(run).target
  const step = state.step!
  if (!target || seconds <= 0 || hasTouched(run, seconds)) return
  const side = sideNow(run, target)
  if (side === null) {
    step.outSince = null
    return
  }
  if (state.moving - step.startMoving <= settlingSeconds[target.of]) return
  const inside = side === 'inside'
  step.outSince = inside ? null : (step.outSince ?? state.t - seconds)
  if (inside) {
    step.lastNudge = null
    return
  }
  if (isCeilingCalled(state) || state.t - step.outSince! < program.alertAfterSeconds) return
  if (step.lastNudge !== null && state.t - step.lastNudge < program.alertRepeatSeconds) return
  step.lastNudge = state.t
  mark(run, 'nudge')
  run.cues.push({ kind: 'nudge', t: state.t, side: side as Exclude<typeof side, 'inside'> })
}

/** Calls the ceiling after five seconds above it and every ten; it outranks the nudge, and goes on over a change of step. */
export function watchCeiling(run: Run): void {
  const { state } = run
  const { ceiling } = stepOf(run)
  if (ceiling === undefined || state.heartRate === null || state.heartRate <= ceiling) {
    state.crossing = null
    return
  }
  const since = state.crossing?.since ?? state.t
  let said = state.crossing?.said ?? null
  if (state.t - since >= ceilingAfterSeconds && (said === null || state.t - said >= ceilingRepeatSeconds)) {
    said = state.t
    mark(run, 'ceiling')
    run.cues.push({ kind: 'ceiling', t: state.t, above: ceiling })
  }
  if (state.crossing?.since !== since || state.crossing.said !== said) state.crossing = { since, said }
}

/** How much of the step is left, as seconds at the present speed, and whether it is half done; null where nobody can tell. */
function leftOf(run: Run): { seconds: number; isHalf: boolean; isLong: boolean } | null {
  const { state } = run
  const step = state.step!
  const { end } = stepOf(run)
  if (end.on === 'time') {
    const gone = state.moving - step.startMoving
    return { seconds: end.seconds - gone, isHalf: gone >= end.seconds / 2, isLong: end.seconds >= halfwayFromSeconds }
  }
  if (end.on !== 'distance') return null
  const gone = state.metres - step.startMetres
  const took = state.moving - step.startMoving
  if (gone <= 0 || took <= 0) return null
  const recent = smoothedValue('pace', step.window)
  return {
    seconds: (end.metres - gone) / Math.max(0.1, recent ?? gone / took),
    isHalf: gone >= end.metres / 2,
    isLong: end.metres >= halfwayFromMetres,
  }
}

/** Says half-way and the last five seconds, each once. */
export function announce(run: Run): void {
  const { state, settings } = run
  const step = state.step!
  const left = leftOf(run)
  if (!left) return
  const { end } = stepOf(run)
  const isTooShort = end.on === 'time' ? end.seconds <= 2 * countdownSeconds : state.moving - step.startMoving < countdownSeconds
  const countdown = settings.countdown && !step.saidCountdown && left.seconds <= countdownSeconds && left.seconds > 0 && !isTooShort
  const halfway = settings.halfway && !step.saidHalfway && left.isLong && left.isHalf
  if (countdown) run.cues.push({ kind: 'countdown', t: state.t })
  if (halfway) run.cues.push({ kind: 'halfway', t: state.t })
  step.saidCountdown ||= countdown
  step.saidHalfway ||= halfway
}

/** Moves the smoothing window on. In a pool it holds the last two touches of the wall, so that a value is that of a whole length. */
export function remember(run: Run, reading: SensorSample): void {
  const { state, program } = run
  const step = state.step!
  if (isPool(run, state.cursor!)) {
    const touches =
      reading.metres === null || reading.metres === step.window.at(-1)?.metres ? step.window : [...step.window, reading].slice(-2)
    step.window = touches
    return
  }
  const length = Math.max(program.smoothingSeconds, stepOf(run).target?.over ?? 0)
  step.window = slide(step.window, reading, length)
}
