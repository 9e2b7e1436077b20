import type { Athlete } from '../core/athlete/athlete'
import { unknownAthlete, youngestDayOf } from '../core/athlete/athlete'
import type { Standpoint } from '../core/athlete/standpoint'
import { standpointOf, withAthlete } from '../core/athlete/standpoint'
import type { Values } from './usage'
import { dateOf, WrongUse } from './usage'

/** Today is `--on`; without it the day of the athlete's youngest effort, and without one nothing is dated or old. */
export const seenFrom = (athlete: Athlete, values: Values): Standpoint =>
  standpointOf(athlete, dateOf(values, 'on') ?? youngestDayOf(athlete))

/** The standpoint of `--athlete`, else of nobody. */
export async function standpointIn(values: Values): Promise<Standpoint> {
  if (values.athlete === undefined) return seenFrom(unknownAthlete, values)
  const { readAthlete } = await import('./documents')
  return seenFrom(readAthlete(values.athlete), values)
}

/** The standpoint with the way of giving a band room that `--school` names. */
export function withSchool(standpoint: Standpoint, school: string | undefined): Standpoint {
  if (school === undefined) return standpoint
  const kinds = ['quiet', 'lean-fast', 'even', 'percent'] as const
  const kind = kinds.find(candidate => candidate === school)
  if (!kind) throw new WrongUse(`--school is one of ${kinds.join(', ')}`)
  return withAthlete(standpoint, { ...standpoint.athlete, schools: { ...standpoint.athlete.schools, band: { kind } } })
}
