import type { Athlete } from '../core/athlete/athlete'
import { usualOf } from '../core/athlete/athlete'
import type { Random } from '../core/quantity/random'
import { randomFrom } from '../core/quantity/random'
import { addMarks, addReading, emptyRecorder, finishRecording } from '../core/record/recorder'
import type { Recording } from '../core/record/recording'
import type { Sport } from '../core/session/document'
import { limits } from '../core/session/limits'
import { digestOf } from '../core/wrist/digest'
import type { Button, EngineState } from '../core/wrist/engine'
import { advance, initialState, progressOf } from '../core/wrist/engine'
import { stepAt } from '../core/wrist/cursor'
import type { Program, ProgramEnd, ProgramStep } from '../core/wrist/program'
import type { Manner } from './body/body'
import { live, restedBody } from './body/body'

/** A button pushed at a time, in elapsed seconds. */
export interface Press { t: number, button: Button }

export interface Rehearsal {
  seed: number
  startedAt: string
  timeZone?: string
  presses?: readonly Press[]
  manner?: Partial<Manner>
}

/** The step the engine is in, or null. */
export const currentStep = (program: Program, state: EngineState): ProgramStep | null => state.cursor ? stepAt(program, state.cursor) : null

const endsByPress = (end: ProgramEnd): boolean => end.on === 'press' || (end.on === 'first' && end.of.some(endsByPress))

/** When the body presses by itself: at the athlete's usual length of an open step, a few seconds around. */
export function pressMoment(step: ProgramStep, athlete: Athlete, random: Random): number | null {
  if (!endsByPress(step.end)) return null
  const usual = usualOf(athlete)
  const seconds = step.role === 'warm-up' ? usual.warmUpSeconds : step.role === 'cool-down' ? usual.coolDownSeconds : usual.otherOpenSeconds
  return Math.max(5, Math.round(seconds * (1 + 0.1 * random.normal())))
}

/**
 * Carries a program out with the simulated body at one sample a second, from start to finish.
 *
 * Law: the same program, athlete and rehearsal bring the same recording.
 */
export function rehearse(program: Program, athlete: Athlete, { seed, startedAt, timeZone, presses = [], manner = {} }: Rehearsal): Recording {
  const random = randomFrom(seed)
  const recorder = emptyRecorder()
  const habits: Manner = { bias: 0, ...manner }
  const queue = [...presses].sort((a, b) => a.t - b.t)
  let body = restedBody(athlete)
  const begun = advance(program, initialState, { kind: 'start', t: 0 })
  let { state } = begun
  addMarks(recorder, begun.marks)
  let moment: { of: number, at: number | null } = { of: -1, at: null }
  for (let second = 1; state.phase !== 'finished' && second <= limits.seconds; second++) {
    while (queue.length > 0 && queue[0]!.t < second && (state.phase as string) !== 'finished') {
      const push = queue.shift()!
      const outcome = advance(program, state, { kind: push.button, t: Math.max(push.t, state.t) })
      state = outcome.state
      addMarks(recorder, outcome.marks)
    }
    if ((state.phase as string) === 'finished') break
    const step = currentStep(program, state)
    const sport: Sport = step?.sport ?? (program.sport === 'multi' ? 'run' : program.sport)
    const share = step ? progressOf(step.end, state) ?? 0 : 0
    const lived = live(body, athlete, sport, state.phase === 'running' ? step : null, share, 1, random, habits)
    body = lived.body
    addReading(recorder, lived.reading)
    const outcome = advance(program, state, { kind: 'reading', ...lived.reading })
    state = outcome.state
    addMarks(recorder, outcome.marks)
    const active = state.step
    if (!active || state.phase !== 'running') continue
    if (moment.of !== active.startT) moment = { of: active.startT, at: pressMoment(currentStep(program, state)!, athlete, random) }
    if (moment.at !== null && state.moving - active.startMoving >= moment.at) {
      const press = advance(program, state, { kind: 'press', t: state.t })
      state = press.state
      addMarks(recorder, press.marks)
    }
  }
  return finishRecording(recorder, { sport: program.sport, startedAt, timeZone, program: digestOf(program) })
}
