import { sportNames } from '../session/sports'
import { heartOf } from './athlete'
import { ageOn, atReserve, estimatedMaximum } from './heart'
import type { DerivedNumber } from './derived-number'
import { ownCustom } from './derived-number'
import type { Standpoint } from './standpoint'

/** Where easy running ends by heart rate, as three schools have it. */
const easyHeart = { reserve: 0.7, maximum: 0.77, threshold: 0.85 }

/** Maximum heart rate from age, and where easy ends by three schools. */
export function* heartNumbers(standpoint: Standpoint): Generator<DerivedNumber> {
  const age = standpoint.day === null ? null : ageOn(standpoint.athlete, standpoint.day)
  if (age !== null && age >= 10) {
    yield {
      name: 'maximum heart rate',
      sport: 'all',
      value: estimatedMaximum(age),
      unit: 'bpm',
      method: '208 - 0.7 age',
      source: 'Tanaka et al., JACC 37 (2001)',
      inputs: [`age ${age}`],
      uncertainty: 10,
      changes: 'a maximum seen in a hard finish',
      weakness: 'an estimate for a crowd, not for you',
      field: 'heart.max',
    }
  }
  for (const sport of sportNames) {
    const { max, rest, threshold } = heartOf(standpoint.athlete, sport)
    const easy = {
      name: 'easy heart rate, at most',
      sport,
      unit: 'bpm' as const,
      changes: 'a new maximum, resting or threshold heart rate',
    }
    if (max !== undefined && rest !== undefined && max > rest)
      yield {
        ...easy,
        value: atReserve(rest, max, easyHeart.reserve),
        method: '70 % of heart-rate reserve',
        source: 'Karvonen et al. (1957); the share is custom',
        inputs: [`maximum ${max}`, `at rest ${rest}`],
      }
    if (max !== undefined)
      yield { ...easy, value: max * easyHeart.maximum, method: '77 % of maximum', source: ownCustom, inputs: [`maximum ${max}`] }
    if (threshold !== undefined)
      yield {
        ...easy,
        value: threshold * easyHeart.threshold,
        method: '85 % of threshold',
        source: ownCustom,
        inputs: [`threshold ${threshold}`],
      }
  }
}
