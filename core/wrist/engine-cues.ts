import type { Run } from './engine-state'
import { mark, stepOf } from './engine-state'
import { progressOf } from './engine-ends'
import type { Reading } from './holding'
import { settlingSeconds, sideOf, slide, smoothedValue } from './holding'

const ceilingAfterSeconds = 5
const ceilingRepeatSeconds = 10
const countdownSeconds = 5
const halfwayFromSeconds = 60

/** Says the prompts that fall between two moments of moving time. */
export function promptsBetween(run: Run, from: number, to: number): void {
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

/** Judges the smoothed value of the last seconds, and nudges when it has been outside for long enough. */
export function judge(run: Run, seconds: number): void {
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

/** Calls the ceiling after five seconds above it and every ten; it outranks the nudge. */
export function watchCeiling(run: Run): void {
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

/** Says half-way and the last five seconds, each once. */
export function announce(run: Run): void {
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

/** Moves the smoothing window on. */
export function remember(run: Run, reading: Reading): void {
  const { state, program } = run
  const step = state.step!
  const length = Math.max(program.smoothingSeconds, stepOf(run).target?.over ?? 0)
  run.state = { ...state, step: { ...step, window: slide(step.window, reading, length) } }
}
