import { describe, expect, it } from 'vitest'
import { seedsOr } from '../../../tests/support/seeds'
import { randomFrom } from '../../quantity/random'
import type { Recording } from '../../record/recording'
import { alignByMarks } from '../../record/align'
import { addMarks, addReading, emptyRecorder, finishRecording } from '../../record/recorder'
import { readScript } from '../../script/reader/read-script'
import { walk } from '../../session/walk'
import { roundOf, stepAt } from './cursor'
import type { Button, Cue, EngineEvent, EngineState } from './engine'
import { advance, initialState } from './engine'
import { fit } from '../fit/fit'
import { profileNamed } from '../program/profile'
import type { Program } from '../program/program'
import { nobody } from '../../athlete/standpoint'

const text = `sport run
ceiling 170 bpm
prompt drink from 0:40 every 0:40

warm-up until press
2 times, drop last recovery
  3 times, drop last recovery
    0:12 @ 3.0-3.6 m/s
    recovery 30 m
  rest 0:08
2 times
  60 m or 0:30
  recovery 0:11 or until press
1:10
cool-down until press`
const session = readScript(text, nobody).sessions[0]!
const program: Program = fit(session, profileNamed('all-sport')!, nobody).program
const flat = [...walk(session)].map(entry => `${entry.path}@${entry.round.join('.')}`)
const seeds = seedsOr(2000)

interface Seen {
  t: number
  step: string
}
interface Run {
  recording: Recording
  cues: { cue: Cue; heardAt: number }[]
  seen: Seen[]
  state: EngineState
  boundaries: Map<string, { from: number; to: number; byHand: boolean; moving: number; paused: boolean }>
}

/** One reading a second, with hands that push anything and sensors that fall silent, as the seed has it. */
function run(seed: number, hands: { push: number; silence: number }): Run {
  const random = randomFrom(seed)
  const recorder = emptyRecorder()
  const cues: Run['cues'] = []
  const seen: Seen[] = []
  const boundaries: Run['boundaries'] = new Map()
  let state = initialState
  let current = ''
  const now = (next: EngineState) => (next.cursor ? `${stepAt(program, next.cursor).path}@${roundOf(program, next.cursor).join('.')}` : '')
  const take = (event: EngineEvent, isHand: boolean) => {
    const outcome = advance(program, state, event)
    addMarks(recorder, outcome.marks)
    for (const cue of outcome.cues) cues.push({ cue, heardAt: event.t })
    for (const mark of outcome.marks.filter(entry => entry.kind === 'step' || entry.kind === 'stop')) {
      const open = boundaries.get(current)
      if (open) Object.assign(open, { to: mark.t, byHand: isHand })
      current = mark.kind === 'stop' ? '' : `${mark.path}@${mark.round!.join('.')}`
      boundaries.set(current, { from: mark.t, to: NaN, byHand: false, moving: 0, paused: false })
    }
    state = outcome.state
    if (state.phase === 'paused') Object.assign(boundaries.get(current) ?? {}, { paused: true })
  }
  take({ kind: 'start', t: 0 }, false)
  let metres = 0
  let silentUntil = { heart: 0, position: 0 }
  const buttons: Button[] = ['press', 'press', 'skip', 'pause', 'resume', 'resume']
  for (let t = 1; t <= 3000 && state.phase !== 'finished'; t++) {
    const at = t - 1 + random.next()
    const pushed =
      random.next() < hands.push
        ? buttons[Math.floor(random.next() * buttons.length)]!
        : t % 60 === 0
          ? 'press'
          : state.phase === 'paused' && t % 7 === 0
            ? 'resume'
            : null
    if (pushed) take({ kind: pushed, t: Math.max(at, state.t) }, true)
    if ((state.phase as string) === 'finished') break
    if (random.next() < hands.silence)
      silentUntil =
        random.next() < 0.5 ? { ...silentUntil, heart: t + 20 * random.next() } : { ...silentUntil, position: t + 12 * random.next() }
    metres += 2 + 2 * random.next()
    const reading = {
      t,
      metres: t < silentUntil.position ? null : metres,
      heartRate: t < silentUntil.heart ? null : 150 + 30 * random.next(),
      power: null,
      cadence: null,
    }
    addReading(recorder, reading)
    take({ kind: 'reading', ...reading }, false)
    if (state.cursor) seen.push({ t, step: now(state) })
  }
  return { recording: finishRecording(recorder, { sport: 'run', startedAt: '2026-03-31T06:00:00Z' }), cues, seen, state, boundaries }
}

const isSame = (a: readonly string[], b: readonly string[]) => a.length === b.length && a.every((name, index) => name === b[index])

describe(`carried out with ${seeds} seeds of presses, pauses, skips and silent sensors`, () => {
  it('every flat step comes once and in order, cues come in time, and the marks reproduce the run', () => {
    for (let seed = 1; seed <= seeds; seed++) {
      const { recording, cues, seen, state, boundaries } = run(seed, { push: seed % 2 ? 0.08 : 0.02, silence: seed % 3 ? 0.01 : 0.04 })
      const fail = (what: string): never => {
        throw new Error(`seed ${seed}: ${what}`)
      }
      if (state.phase !== 'finished') fail('did not finish')
      const names = recording.marks.filter(mark => mark.kind === 'step').map(mark => `${mark.path}@${mark.round!.join('.')}`)
      if (!isSame(names, flat)) fail(`steps ${names.join(' ')}`)
      const stretches = alignByMarks(recording)
      for (const { t, step } of seen) {
        const slice = stretches.findLast(entry => entry.from <= t + 0.0005)!
        if (Math.abs(slice.from - t) < 0.001) continue
        if (`${slice.path}@${slice.round.join('.')}` !== step) fail(`at ${t} s the marks say ${slice.path}, the run was in ${step}`)
      }
      for (const { cue, heardAt } of cues) {
        if (heardAt - cue.t > 1 || cue.t > heardAt + 1e-9) fail(`${cue.kind} of ${cue.t} s came at ${heardAt} s`)
      }
      const minute = boundaries.get('4@')!
      if (!minute.byHand && !minute.paused) {
        const within = (kind: Cue['kind']) =>
          cues.filter(({ cue }) => cue.kind === kind && cue.t > minute.from && cue.t <= minute.to).map(({ heardAt }) => heardAt)
        const [countdown, half] = [within('countdown'), within('halfway')]
        if (countdown.length !== 1 || countdown[0]! < minute.to - 5 || countdown[0]! > minute.to - 4 + 1e-9)
          fail(`countdown at ${countdown.join()} of a step that ends at ${minute.to}`)
        if (half.length !== 1 || half[0]! < minute.from + 35 - 1e-9 || half[0]! > minute.from + 36 + 1e-9)
          fail(`half-way at ${half.join()} of a step from ${minute.from}`)
      }
    }
  }, 900_000)
})

/** Frozen to its leaves, so that whoever changes it is caught in the act. */
function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value)
    Object.values(value).forEach(frozen)
  }
  return value
}

describe('the engine', () => {
  it('changes no state it was given, and brings the same for the same', () => {
    const random = randomFrom(5)
    const buttons: Button[] = ['press', 'skip', 'back', 'pause', 'resume']
    let state = frozen(advance(frozen(program), initialState, { kind: 'start', t: 0 }).state)
    for (let t = 1; t < 600 && state.phase !== 'finished'; t++) {
      const event: EngineEvent =
        random.next() < 0.15
          ? { kind: buttons[Math.floor(random.next() * buttons.length)]!, t }
          : {
              kind: 'reading',
              t,
              metres: random.next() < 0.1 ? null : t * 3,
              heartRate: random.next() < 0.1 ? null : 160 + 20 * random.next(),
              power: null,
              cadence: null,
            }
      const outcome = advance(program, state, frozen(event))
      expect(advance(program, state, event)).toEqual(outcome)
      state = frozen(outcome.state)
    }
    expect(state.cursor === null || stepAt(program, state.cursor).path !== '1').toBe(true)
  })
})
