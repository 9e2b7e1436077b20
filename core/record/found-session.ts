import type { Item, Session, Sport, Step } from '../session/document'
import type { FoundIntervals } from './find-intervals'
import { singlePace } from './single-pace'

/** Less than that before or behind is no part of a session, in seconds. */
const worthAStep = 120

/** A session of repeats that were found in a recording, to be kept: warm-up, the repeats at their mean, cool-down. */
export function sessionOfFound(found: FoundIntervals, sport: Sport): Session {
  const timed = (role: Step['role'], seconds: number): Item => ({ kind: 'step', role, end: { on: 'time', seconds } })
  const watts = Math.round(found.mean)
  const work: Step = {
    kind: 'step',
    role: 'work',
    end: found.metres === null ? { on: 'time', seconds: found.seconds } : { on: 'distance', value: found.metres, unit: 'm' },
    target: found.of === 'power' ? { of: 'power', unit: 'W', easiest: watts, hardest: watts } : singlePace(found.mean, sport),
  }
  return {
    format: 'agonis.session',
    version: 1,
    sport,
    items: [
      ...(found.warmUpSeconds >= worthAStep ? [timed('warm-up', found.warmUpSeconds)] : []),
      {
        kind: 'block',
        repeat: { times: found.count },
        lastRecovery: 'drop',
        items: [work, timed(sport === 'swim' ? 'rest' : 'recovery', found.recoverySeconds)],
      },
      ...(found.coolDownSeconds >= worthAStep ? [timed('cool-down', found.coolDownSeconds)] : []),
    ],
  }
}
