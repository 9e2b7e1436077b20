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

/** Steps that a number is rounded to, the finest first, where its range is about three of them. */
const steps = { seconds: [1, 2, 5, 10, 15, 30, 60, 300], whole: [1, 2, 5, 10, 20, 50, 100], tenths: [0.1, 0.2, 0.5, 1, 2, 5, 10] } as const

/** The coarsest step that still tells a range apart; the finest where there is none. */
const stepFor = (kind: keyof typeof steps, around: number | undefined): number =>
  steps[kind].findLast(step => around !== undefined && step <= around / 3) ?? steps[kind][0]!

/** A value and its range in whole steps, the range at least one. */
function inSteps(kind: keyof typeof steps, value: number, around: number | undefined): { value: number; around: number | null } {
  const step = stepFor(kind, around)
  const rounded = (what: number) => Number((Math.round(what / step) * step).toFixed(1))
  return { value: rounded(value), around: around === undefined ? null : Math.max(step, rounded(around)) }
}

/** A derived number in the athlete's units, with the digits that its range leaves it, and half that range after a plus-minus. */
export function sayNumber(
  { value, unit, sport, uncertainty }: Pick<DerivedNumber, 'value' | 'unit' | 'sport' | 'uncertainty'>,
  athlete: Athlete,
): SaidNumber {
  const said = (
    of: { value: number; around: number | null },
    unitWords: string,
    say: (value: number) => string,
    sayAround = say,
  ): SaidNumber => ({ value: say(of.value), unit: unitWords, around: of.around === null ? '' : `± ${sayAround(of.around)}` })
  switch (unit) {
    case 's':
      return said(inSteps('seconds', value, uncertainty), '', formatTime)
    case 'm/s': {
      const pace = paceUnitOf(athlete, sport)
      const spread = uncertainty === undefined ? undefined : pace.metres / (value - Math.min(uncertainty, value / 2)) - pace.metres / value
      return said(inSteps('seconds', pace.metres / value, spread), pace.words, formatTime, seconds => `${seconds} s`)
    }
    case 'J':
      return said(inSteps('tenths', value / 1000, uncertainty === undefined ? undefined : uncertainty / 1000), 'kJ', kilo =>
        kilo.toFixed(1),
      )
    case '1':
      return { value: value.toFixed(2), unit: '', around: '' }
    case 'ml/kg/min':
    case 'W':
    case 'bpm':
    case 'm':
      return said(inSteps('whole', value, uncertainty), unit, String)
  }
}
