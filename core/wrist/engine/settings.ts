import type { Athlete } from '../../athlete/athlete'
import type { Prompt, SessionSport } from '../../session/document'
import type { EngineSettings } from './engine-state'

/**
 * A programme of running and walking by turns, to go beside a session.
 *
 * @param runSeconds how long to run before the first walk and between walks
 * @example runWalk(540, 60) // walk at 9:00, run again at 10:00, and so on every ten minutes
 */
export function runWalk(runSeconds: number, walkSeconds: number): Prompt[] {
  const every = runSeconds + walkSeconds
  return [
    { say: 'walk', from: runSeconds, every },
    { say: 'run', from: every, every },
  ]
}

/** How the wrist makes itself heard: everything, but for what the athlete has turned off. */
export const cuesOf = ({ schools }: Athlete) => ({ voice: true, tone: true, tap: true, countdown: true, halfway: true, ...schools?.cues })

/** What the athlete has set for every session, as the engine takes it. Running and walking by turns is for runs alone. */
export function settingsOf(athlete: Athlete, sport: SessionSport): EngineSettings {
  const { countdown, halfway, autoLapMetres } = cuesOf(athlete)
  const { beside = {} } = athlete.schools ?? {}
  const each = (say: string, seconds: number | undefined): Prompt[] =>
    seconds === undefined ? [] : [{ say, from: seconds, every: seconds }]
  const prompts = [
    ...each('drink', beside.drinkSeconds),
    ...each('eat', beside.eatSeconds),
    ...(sport === 'run' && beside.runSeconds !== undefined && beside.walkSeconds !== undefined
      ? runWalk(beside.runSeconds, beside.walkSeconds)
      : []),
  ]
  return { countdown, halfway, ...(autoLapMetres === undefined ? {} : { autoLapMetres }), ...(prompts.length > 0 ? { prompts } : {}) }
}
