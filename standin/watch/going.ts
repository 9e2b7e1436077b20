import type { Athlete } from '../../core/athlete/athlete'
import { unitsOf } from '../../core/athlete/athlete'
import type { Random } from '../../core/quantity/random'
import { addMarks, addReading, emptyRecorder, finishRecording } from '../../core/record/recorder'
import type { Recorder } from '../../core/record/recorder'
import type { Recording } from '../../core/record/recording'
import type { StepPosition, Program } from '../../core/wrist/program/program'
import { digestOf } from '../../core/wrist/program/digest'
import type { EngineEvent, EngineSettings, EngineState } from '../../core/wrist/engine/engine'
import { advance, initialState } from '../../core/wrist/engine/engine'
import { settingsOf } from '../../core/wrist/engine/settings'
import type { SpeakerState, Utterance } from '../../core/wrist/engine/speaker'
import { sayCue, silentSpeaker, speak } from '../../core/wrist/engine/speaker'
import type { Body } from '../body/body'
import { heed, live, restedBody } from '../body/body'
import type { Behaviour } from '../body/behaviour'
import type { OwnPress } from '../body/rehearse'
import { ledBy, noPress, ownPresses } from '../body/rehearse'

/** The body that wears the watch: whose abilities, which seed, how many times real time, and how it goes about it. */
export interface Wearer {
  athlete: Athlete
  seed: number
  speed: number
  pressesItself: boolean
  behaviour: Behaviour
}

/** A program being carried out, as plain data that survives a power cut. */
export interface Going {
  slot: number
  program: Program
  startedAt: string
  state: EngineState
  recorder: Recorder
  body: Body
  wearer: Wearer
  settings: EngineSettings
  press: OwnPress
  speaker: SpeakerState
  said: Utterance | null
}

function take(going: Going, event: EngineEvent): Going {
  const outcome = advance(going.program, going.state, event, going.settings)
  addMarks(going.recorder, outcome.marks)
  const units = unitsOf(going.wearer.athlete)
  const spoken = speak(going.speaker, outcome.cues, outcome.state.t, cue => sayCue(cue, going.program, units))
  return {
    ...going,
    state: outcome.state,
    body: heed(going.body, outcome.cues),
    speaker: spoken.state,
    said: spoken.utterance ?? going.said,
  }
}

export function begin(slot: number, program: Program, wearer: Wearer, startedAt: string, from?: StepPosition): Going {
  const going: Going = {
    slot,
    program,
    startedAt,
    state: initialState,
    recorder: emptyRecorder(),
    body: restedBody(wearer.athlete),
    wearer,
    settings: settingsOf(wearer.athlete, program.sport),
    press: noPress,
    speaker: silentSpeaker,
    said: null,
  }
  return take(going, { kind: 'start', t: 0, ...(from ? { from } : {}) })
}

export const isOver = (going: Going) => going.state.phase === 'finished'

/** A button or a jump, now. */
export const pushNow = (
  going: Going,
  event: { kind: Exclude<EngineEvent['kind'], 'start' | 'reading' | 'jump'> } | { kind: 'jump'; to: StepPosition },
): Going => take(going, { ...event, t: going.state.t })

/** One second of the body's life, and what the engine makes of it. */
export function second(before: Going, random: Random): Going {
  const { program, wearer } = before
  const lived = live(before.body, ledBy(program, before.state, wearer.athlete), 1, random, wearer.behaviour)
  addReading(before.recorder, lived.reading)
  let going = take({ ...before, body: lived.body }, { kind: 'reading', ...lived.reading })
  if (!wearer.pressesItself || isOver(going)) return going
  const own = ownPresses(program, going.state, going.press, wearer.athlete, random, wearer.behaviour)
  going = { ...going, press: own.press }
  for (let count = 0; count < own.count && !isOver(going); count++) going = pushNow(going, { kind: 'press' })
  return going
}

/** The recording of what was carried out, or null when not a second of it was. */
export function recordingOf({ recorder, program, startedAt, wearer }: Going): Recording | null {
  if (recorder.samples.t.length === 0) return null
  return finishRecording(recorder, { sport: program.sport, startedAt, timeZone: wearer.athlete.timeZone, program: digestOf(program) })
}
