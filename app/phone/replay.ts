import { addMarks, addReading, emptyRecorder, finishRecording } from '~~/core/record/recorder'
import type { Recorder } from '~~/core/record/recorder'
import type { Recording } from '~~/core/record/recording'
import { digestOf } from '~~/core/wrist/program/digest'
import type { Cue, EngineEvent, EngineSettings, EngineState } from '~~/core/wrist/engine/engine'
import { advance, initialState } from '~~/core/wrist/engine/engine'
import type { Program } from '~~/core/wrist/program/program'

/** What a run began with. */
export interface RunHead {
  program: Program
  session: string | null
  startedAt: string
  timeZone?: string
  settings: EngineSettings
  simulated: boolean
}

export interface Run {
  head: RunHead
  state: EngineState
  recorder: Recorder
}

export const newRun = (head: RunHead): Run => ({ head, state: initialState, recorder: emptyRecorder() })

/** Takes an event in; the recorder grows in place. */
export function takeEvent(run: Run, event: EngineEvent): { run: Run; cues: Cue[] } {
  if (event.kind === 'reading') addReading(run.recorder, event)
  const { state, cues, marks } = advance(run.head.program, run.state, event, run.head.settings)
  addMarks(run.recorder, marks)
  return { run: { ...run, state }, cues }
}

/**
 * The run that a journal tells of.
 *
 * Law: replayed, the events bring the very state and recording they brought the first time; the engine is a pure function.
 */
export const replay = (head: RunHead, events: readonly EngineEvent[]): Run =>
  events.reduce((run, event) => takeEvent(run, event).run, newRun(head))

/** The recording of a run, or null when not a second was recorded. */
export function recordingOfRun({ head, recorder }: Run): Recording | null {
  if (recorder.samples.t.length === 0) return null
  return finishRecording(recorder, {
    sport: head.program.sport,
    startedAt: head.startedAt,
    ...(head.timeZone ? { timeZone: head.timeZone } : {}),
    program: digestOf(head.program),
  })
}
