import type { Missing } from '~~/core/words/missing'
import type { Field } from './fields'
import { fieldGroups } from './fields'

/** Which fields of Me answer what is missing. */
function keysFor(missing: Missing): readonly string[] {
  switch (missing.code) {
    case 'heart-reserve':
      return ['heart-max', 'heart-rest']
    case 'heart-max':
      return ['heart-max']
    case 'heart-threshold':
      return ['heart-threshold']
    case 'critical-power-and-speed':
      return ['run-power', 'run-critical']
    case 'critical-speed':
      return [missing.sport === 'swim' ? 'swim-critical' : 'run-critical']
    case 'critical-power':
      return [missing.sport === 'ride' ? 'ride-power' : 'run-power']
    case 'reserve':
      return missing.sport === 'swim' ? [] : [`${missing.sport}-reserve`]
    case 'easy-pace':
    case 'target-or-easy-pace':
      return missing.sport === 'ride' ? [] : [`${missing.sport}-easy`]
    default:
      return []
  }
}

const fields = new Map(fieldGroups.flatMap(group => group.fields).map(field => [field.key, field]))

/** The fields to ask for in place; none where Me has no single number that would answer. */
export const fieldsFor = (missing: Missing): Field[] => keysFor(missing).flatMap(key => fields.get(key) ?? [])

/** The sport whose race or time trial would answer; null where none would. */
export const raceFor = (missing: Missing): 'run' | 'swim' | null =>
  missing.code === 'race' && missing.sport !== 'ride' ? missing.sport : null
