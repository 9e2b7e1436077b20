import type { Field } from './fields'
import { fieldGroups } from './fields'

/** Which fields of Me answer a number that is missing, by the words in which it is said. */
const answers: readonly (readonly [RegExp, readonly string[]])[] = [
  [/maximum and resting heart rate/, ['heart-max', 'heart-rest']],
  [/maximum heart rate/, ['heart-max']],
  [/threshold heart rate/, ['heart-threshold']],
  [/critical power and critical speed/, ['run-power', 'run-critical']],
  [/critical swim speed/, ['swim-critical']],
  [/D' of the run/, ['run-reserve']],
  [/W' on the bike/, ['ride-reserve']],
  [/critical power on the bike/, ['ride-power']],
  [/critical power/, ['run-power']],
  [/critical speed/, ['run-critical']],
  [/easy pace for the swim/, ['swim-easy']],
  [/easy pace for the run/, ['run-easy']],
]

const fields = new Map(fieldGroups.flatMap(group => group.fields).map(field => [field.key, field]))

/** The fields to ask for in place; none where Me has no single number that would answer. */
export function fieldsFor(missing: string): Field[] {
  const keys = answers.find(([words]) => words.test(missing))?.[1] ?? []
  return keys.flatMap(key => fields.get(key) ?? [])
}

/** The sport whose race or time trial would answer; null where none would. */
export const raceFor = (missing: string) => (/a (run|swim) race or time trial/.exec(missing)?.[1] as 'run' | 'swim' | undefined) ?? null
