import type { Athlete } from '../../core/athlete/athlete'
import type { Standpoint } from '../../core/athlete/standpoint'
import { standpointOf } from '../../core/athlete/standpoint'

const known = new WeakMap<Athlete, Standpoint>()

/** An athlete's standpoint on no day, the same one each time for the same athlete. */
export function seenBy(athlete: Athlete): Standpoint {
  const standpoint = known.get(athlete) ?? standpointOf(athlete, null)
  known.set(athlete, standpoint)
  return standpoint
}
