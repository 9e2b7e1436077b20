import { metresPer } from '~~/core/quantity/distance'
import type { Athlete } from '~~/core/athlete/athlete'
import { unitsOf } from '~~/core/athlete/athlete'
import type { DerivedNumber } from '~~/core/athlete/numbers'
import { formatTime } from '~~/core/quantity/time'
import type { Sport } from '~~/core/session/document'

/** The length that the athlete reads a pace over in a sport. */
export function paceUnitOf(athlete: Athlete, sport: Sport | 'all'): { metres: number; words: string } {
  const units = unitsOf(athlete)
  if (sport === 'swim') return { metres: units.swim === 'yd' ? 100 * metresPer.yd : 100, words: units.swim === 'yd' ? '/100yd' : '/100m' }
  const miles = units[sport === 'ride' ? 'ride' : 'run'] === 'mi'
  return { metres: miles ? metresPer.mi : 1000, words: miles ? '/mi' : '/km' }
}

export interface SaidNumber {
  value: string
  unit: string
  around: string
}

/** A derived number in the athlete's units, with the digits it deserves and half its width after a plus-minus. */
export function sayNumber(
  { value, unit, sport, uncertainty }: Pick<DerivedNumber, 'value' | 'unit' | 'sport' | 'uncertainty'>,
  athlete: Athlete,
): SaidNumber {
  const around = (words: string | null) => (uncertainty === undefined || words === null ? '' : `± ${words}`)
  switch (unit) {
    case 's':
      return { value: formatTime(Math.round(value)), unit: '', around: around(formatTime(Math.round(uncertainty ?? 0))) }
    case 'm/s': {
      const pace = paceUnitOf(athlete, sport)
      const spread = uncertainty === undefined ? 0 : pace.metres / (value - Math.min(uncertainty, value / 2)) - pace.metres / value
      return {
        value: formatTime(Math.round(pace.metres / value)),
        unit: pace.words,
        around: around(`${Math.max(1, Math.round(spread))} s`),
      }
    }
    case 'J':
      return { value: (value / 1000).toFixed(1), unit: 'kJ', around: around(((uncertainty ?? 0) / 1000).toFixed(1)) }
    case '1':
      return { value: value.toFixed(2), unit: '', around: '' }
    case 'ml/kg/min':
      return { value: String(Math.round(value)), unit, around: around(String(Math.max(1, Math.round(uncertainty ?? 0)))) }
    case 'W':
    case 'bpm':
    case 'm':
      return { value: String(Math.round(value)), unit, around: around(String(Math.max(1, Math.round(uncertainty ?? 0)))) }
  }
}
