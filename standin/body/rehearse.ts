import type { Athlete } from '../../core/athlete/athlete'
import { usualSecondsOf } from '../../core/athlete/athlete'
import type { Random } from '../../core/quantity/random'
import { randomFrom } from '../../core/quantity/random'
import { addMarks, addReading, emptyRecorder, finishRecording } from '../../core/record/recorder'
import type { Recording } from '../../core/record/recording'
import type { Sport } from '../../core/session/document'
import { limits } from '../../core/session/limits'
import { digestOf } from '../../core/wrist/program/digest'
import type { Button, EngineEvent, EngineSettings, EngineState } from '../../core/wrist/engine/engine'
import { advance, initialState, progressOf, usualSettings } from '../../core/wrist/engine/engine'
import type { StepPosition, Program, ProgramEnd, ProgramStep } from '../../core/wrist/program/program'
import { stepAt } from '../../core/wrist/engine/cursor'
import { placeOf } from '../../core/wrist/program/program'
import { heed, live, restedBody } from './body'
import type { Led } from './body'
import type { Behaviour } from './behaviour'
import { carefulManner } from './behaviour'

/** A button pushed at a time, in elapsed seconds; a jump says where to. */
export type Press = { t: number; button: Button } | ({ t: number; button: 'jump' } & StepPosition)

export interface Rehearsal {
  seed: number
  startedAt: string
  timeZone?: string
  presses?: readonly Press[]
  /** Where to begin; at the first step unless said. */
  from?: StepPosition
  behaviour?: Partial<Behaviour>
  settings?: EngineSettings
}

/** The step the engine is in, or null. */
export const currentStep = (program: Program, state: EngineState): ProgramStep | null =>
  state.cursor ? stepAt(program, state.cursor) : null

/** What the body is led through now: nothing while paused, nor at the wall until the clock of the next start. */
export function ledBy(program: Program, state: EngineState, athlete: Athlete): Led {
  const step = currentStep(program, state)
  const sport: Sport = step?.sport ?? (program.sport === 'multi' ? 'run' : program.sport)
  return {
    athlete,
    sport,
    step: state.phase === 'running' && state.step?.touchedAt == null ? step : null,
    along: step ? (progressOf(step.end, state) ?? 0) : 0,
    place: placeOf(step, program),
  }
}

const endsByPress = (end: ProgramEnd): boolean => end.on === 'press' || (end.on === 'first' && end.of.some(endsByPress))

/** When the body presses by itself: at the athlete's usual length of an open step, a few seconds around. */
export function pressMoment(step: ProgramStep, athlete: Athlete, random: Random): number | null {
  if (!endsByPress(step.end)) return null
  return Math.max(5, Math.round(usualSecondsOf(athlete, step.role) * (1 + 0.1 * random.normal())))
}

/** When the next press of the body itself falls, in the step that began at `of`. */
export interface OwnPress {
  of: number
  at: number | null
}

export const noPress: OwnPress = { of: -1, at: null }

/** The body's own press, once it is due: none, one, or by mistake two. */
export function ownPresses(
  program: Program,
  state: EngineState,
  press: OwnPress,
  athlete: Athlete,
  random: Random,
  behaviour: Behaviour,
): { press: OwnPress; count: 0 | 1 | 2 } {
  const active = state.step
  if (!active || state.phase !== 'running') return { press, count: 0 }
  const next = press.of === active.startT ? press : { of: active.startT, at: pressMoment(currentStep(program, state)!, athlete, random) }
  const isDue = next.at !== null && state.moving - active.startMoving >= next.at
  return { press: next, count: isDue ? (behaviour.pressesTwice !== undefined && random.next() < behaviour.pressesTwice ? 2 : 1) : 0 }
}

const asEvent = (press: Press, t: number): EngineEvent =>
  press.button === 'jump' ? { kind: 'jump', t, to: { path: press.path, round: press.round } } : { kind: press.button, t }

/**
 * Carries a program out with the simulated body at one sample a second, from start to finish.
 *
 * Law: the same program, athlete and rehearsal bring the same recording.
 */
export function rehearse(
  program: Program,
  athlete: Athlete,
  { seed, startedAt, timeZone, presses = [], from, behaviour: given = {}, settings = usualSettings }: Rehearsal,
): Recording {
  const random = randomFrom(seed)
  const recorder = emptyRecorder()
  const behaviour: Behaviour = { ...carefulManner, ...given }
  const queue = [...presses].sort((a, b) => a.t - b.t)
  let body = restedBody(athlete)
  let state = initialState
  let press = noPress
  const take = (event: EngineEvent) => {
    const outcome = advance(program, state, event, settings)
    state = outcome.state
    addMarks(recorder, outcome.marks)
    body = heed(body, outcome.cues)
  }
  const isOver = () => state.phase === 'finished'
  take({ kind: 'start', t: 0, ...(from ? { from } : {}) })
  for (let second = 1; !isOver() && second <= limits.seconds; second++) {
    while (queue.length > 0 && queue[0]!.t < second && !isOver()) {
      const pushed = queue.shift()!
      take(asEvent(pushed, Math.max(pushed.t, state.t)))
    }
    if (isOver()) break
    const lived = live(body, ledBy(program, state, athlete), 1, random, behaviour)
    body = lived.body
    addReading(recorder, lived.reading)
    take({ kind: 'reading', ...lived.reading })
    const own = ownPresses(program, state, press, athlete, random, behaviour)
    press = own.press
    for (let count = 0; count < own.count && !isOver(); count++) take({ kind: 'press', t: state.t })
  }
  for (let second = 0; second < (behaviour.forgetsStop ?? 0); second++) {
    const lived = live(
      body,
      { athlete, sport: program.sport === 'multi' ? 'run' : program.sport, step: null, along: 0 },
      1,
      random,
      behaviour,
    )
    body = lived.body
    addReading(recorder, lived.reading)
  }
  return finishRecording(recorder, { sport: program.sport, startedAt, timeZone, program: digestOf(program) })
}
