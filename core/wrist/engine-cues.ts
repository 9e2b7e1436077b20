import type { Run, Signal } from './engine-state'
import { isPool, mark, stepOf } from './engine-state'
import { progressOf } from './engine-ends'
import type { Reading } from './holding'
import { settlingSeconds, sideOf, slide, smoothedValue } from './holding'
import type { ProgramEnd } from './program'

const ceilingAfterSeconds = 5
const ceilingRepeatSeconds = 10
const countdownSeconds = 5
const halfwayFromSeconds = 60
const halfwayFromMetres = 400
/** Silence that a sensor may keep before it is said: a strap slips for a moment, a bridge is crossed. */
const silenceSeconds: Readonly<Record<Signal, number>> = { 'heart-rate': 10, 'position': 5, 'power': 5 }

/** Says the prompts that fall between two moments of moving time; what both programmes say at once is said once. */
export function promptsBetween(run: Run, from: number, to: number): void {
  const said = new Set<string>()
  for (const prompt of [...run.program.prompts ?? [], ...run.settings.prompts ?? []]) {
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
  const { state, settings: { autoLapMetres } } = run
  if (!autoLapMetres || metres <= 0) return
  for (let lap = Math.floor(state.metres / autoLapMetres + 1e-9) + 1; lap * autoLapMetres <= state.metres + metres; lap++) {
    const t = state.t + (lap * autoLapMetres - state.metres) / metres * seconds
    run.cues.push({ kind: 'lap', t, metres: autoLapMetres, seconds: t - state.lapT })
    run.marks.push({ t, kind: 'lap' })
    run.state = { ...run.state, lapT: t }
  }
}

const needsOf = (end: ProgramEnd): Signal[] => {
  if (end.on === 'distance' || end.on === 'send-off') return ['position']
  if (end.on === 'heart-rate') return ['heart-rate']
  if (end.on === 'energy') return ['power']
  return end.on === 'first' ? end.of.flatMap(needsOf) : []
}

/** Says when a sensor that the step needs falls silent for a while, and when it is back. */
export function watchSignals(run: Run): void {
  const { state } = run
  const { reading } = state
  if (!reading) return
  const step = stepOf(run)
  const silence: Record<Signal, boolean> = { 'heart-rate': reading.heartRate === null, 'position': reading.metres === null, 'power': reading.power === null }
  const measures = { 'pace': 'position', 'heart-rate': 'heart-rate', 'power': 'power' } as const
  const of = step.target?.of
  const needed = new Set<Signal>([
    ...needsOf(step.end), ...(step.ceiling === undefined ? [] : ['heart-rate' as const]), ...(of === 'pace' || of === 'heart-rate' || of === 'power' ? [measures[of]] : []),
  ])
  for (const signal of Object.keys(silence) as Signal[]) {
    const since = run.state.silent[signal]
    if (!silence[signal]) {
      if (!since) continue
      if (since.isSaid) run.cues.push({ kind: 'signal', t: state.t, of: signal, isBack: true })
      const { [signal]: _, ...silent } = run.state.silent
      run.state = { ...run.state, silent }
      continue
    }
    const known = since ?? { since: state.t, isSaid: false }
    const isSaid = known.isSaid || (needed.has(signal) && state.t - known.since >= silenceSeconds[signal])
    if (isSaid && !known.isSaid) run.cues.push({ kind: 'signal', t: state.t, of: signal, isBack: false })
    if (known !== since || isSaid !== known.isSaid) run.state = { ...run.state, silent: { ...run.state.silent, [signal]: { since: known.since, isSaid } } }
  }
}

/** Judges the smoothed value of the last seconds, and nudges when it has been outside for long enough. */
export function judge(run: Run, seconds: number): void {
  const { state, program } = run
  const target = stepOf(run).target
  const step = state.step!
  if (!target || seconds <= 0) return
  const value = smoothedValue(target.of, step.window)
  if (value === null) {
    if (step.outSince !== null) run.state = { ...state, step: { ...step, outSince: null } }
    return
  }
  if (state.moving - step.startMoving <= settlingSeconds[target.of]) return
  const side = sideOf(value, target, progressOf(stepOf(run).end, state) ?? 0)
  const inside = side === 'inside'
  const outSince = inside ? null : step.outSince ?? state.t - seconds
  let { lastNudge } = step
  const isCrossed = state.crossing?.said !== null && state.crossing !== null
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

/** Calls the ceiling after five seconds above it and every ten; it outranks the nudge, and goes on over a change of step. */
export function watchCeiling(run: Run): void {
  const { state } = run
  const { ceiling } = stepOf(run)
  if (ceiling === undefined || state.heartRate === null || state.heartRate <= ceiling) {
    if (state.crossing !== null) run.state = { ...state, crossing: null }
    return
  }
  const since = state.crossing?.since ?? state.t
  let said = state.crossing?.said ?? null
  if (state.t - since >= ceilingAfterSeconds && (said === null || state.t - said >= ceilingRepeatSeconds)) {
    said = state.t
    mark(run, 'ceiling')
    run.cues.push({ kind: 'ceiling', t: state.t, above: ceiling })
  }
  run.state = { ...run.state, crossing: { since, said } }
}

/** How much of the step is left, as seconds at the present speed, and whether it is half done; null where nobody can tell. */
function leftOf(run: Run): { seconds: number, isHalf: boolean, isLong: boolean } | null {
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
  return { seconds: (end.metres - gone) / Math.max(0.1, recent ?? gone / took), isHalf: gone >= end.metres / 2, isLong: end.metres >= halfwayFromMetres }
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
  if (countdown || halfway) {
    run.state = { ...state, step: { ...step, saidCountdown: step.saidCountdown || countdown, saidHalfway: step.saidHalfway || halfway } }
  }
}

/** Moves the smoothing window on. In a pool it holds the last two touches of the wall, so that a value is that of a whole length. */
export function remember(run: Run, reading: Reading): void {
  const { state, program } = run
  const step = state.step!
  if (isPool(run, state.cursor!)) {
    const touches = reading.metres === null || reading.metres === step.window.at(-1)?.metres ? step.window : [...step.window, reading].slice(-2)
    run.state = { ...state, step: { ...step, window: touches } }
    return
  }
  const length = Math.max(program.smoothingSeconds, stepOf(run).target?.over ?? 0)
  run.state = { ...state, step: { ...step, window: slide(step.window, reading, length) } }
}
