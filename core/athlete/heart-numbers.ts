import { sportNames } from '../session/sports'
import { ageOn, atReserve, estimatedMaximum, heartFor } from './heart'
import type { DerivedNumber } from './derived-number'
import { methodWords, sayNumberInput, sayNumberWeakness } from '../words/numbers'
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
      ...methodWords.heartOfAge,
      inputs: [sayNumberInput({ code: 'age', value: age })],
      uncertainty: 10,
      weakness: sayNumberWeakness('crowd-estimate'),
      field: 'heart.max',
    }
  }
  for (const sport of sportNames) {
    const { max, rest, threshold, isMaximumEstimated } = heartFor(standpoint, sport)
    const rough = isMaximumEstimated ? { weakness: sayNumberWeakness('crowd-estimate') } : {}
    const easy = { name: 'easy heart rate, at most', sport, unit: 'bpm' as const }
    const inputs = (values: Partial<Record<'maximum' | 'at rest' | 'threshold', number>>) =>
      Object.entries(values).map(([code, value]) => sayNumberInput({ code: code as keyof typeof values, value }))
    if (max !== undefined && rest !== undefined && max > rest)
      yield {
        ...easy,
        value: atReserve(rest, max, easyHeart.reserve),
        ...methodWords.heartReserve,
        ...rough,
        inputs: inputs({ 'maximum': max, 'at rest': rest }),
      }
    if (max !== undefined)
      yield { ...easy, value: max * easyHeart.maximum, ...methodWords.heartMaximum, ...rough, inputs: inputs({ maximum: max }) }
    if (threshold !== undefined)
      yield { ...easy, value: threshold * easyHeart.threshold, ...methodWords.heartThreshold, inputs: inputs({ threshold }) }
  }
}
