import type { Standpoint } from '../athlete/standpoint'
import { heartFor, wholeHeart } from '../athlete/heart'
import { heartAt } from '../physiology/heart'
import { criticalOf } from '../athlete/critical-share'
import { isPaceUnit, metresOfPaceUnit, metresPerSecondOf } from '../quantity/intensity'
import type { BandTarget, Sport, Target } from '../session/document'
import type { BandUnit } from '../quantity/units'
import { isBandTarget } from '../session/document'

/** A percentage of critical intensity in a unit that targets are said in; null where a number of the athlete is missing. */
function inUnit(percent: number, unit: BandUnit, standpoint: Standpoint, sport: Sport): number | null {
  const { speed, power } = criticalOf(standpoint, sport)
  const { threshold } = heartFor(standpoint, sport)
  const heart = wholeHeart(standpoint, sport)
  const bpm = heart && heartAt(percent / 100, heart)
  if (unit === 's/step') return null
  if (isPaceUnit(unit)) return speed === undefined ? null : metresOfPaceUnit[unit] / ((speed * percent) / 100)
  switch (unit) {
    case '%CP':
    case '%CS':
      return percent
    case 'W':
      return power === undefined ? null : (power * percent) / 100
    case 'km/h':
    case 'mi/h':
    case 'm/s':
      return speed === undefined ? null : (speed * percent) / 100 / metresPerSecondOf[unit]
    case 'bpm':
      return bpm
    case '%HRmax':
      return bpm === null ? null : (bpm / heart!.max) * 100
    case '%HRR':
      return bpm === null ? null : ((bpm - heart!.rest) / (heart!.max - heart!.rest)) * 100
    case '%LTHR':
      return bpm === null || threshold === undefined ? null : (bpm / threshold) * 100
    default:
      return null
  }
}

const roundTo = (unit: BandUnit) => (unit === 'km/h' || unit === 'mi/h' ? 10 : unit === 'm/s' ? 100 : 1)

/**
 * A target with one end of its band moved to a percentage of critical intensity, in its own unit and rounded to it. The
 * end stops at the other one.
 *
 * @param percent more than zero
 * @returns null where the band is not said in numbers, changes over the step, or a number of the athlete is missing
 * @example stretchTarget({ of: 'power', unit: '%CP', easiest: 95, hardest: 105 }, 'hardest', 110.2, athlete, 'ride') // 95-110 %CP
 */
export function stretchTarget(
  target: Target,
  end: 'easiest' | 'hardest',
  percent: number,
  standpoint: Standpoint,
  sport: Sport,
): BandTarget | null {
  if (!isBandTarget(target) || target.to || !(percent > 0)) return null
  const value = inUnit(percent, target.unit, standpoint, sport)
  if (value === null || !Number.isFinite(value)) return null
  const rounded = Math.round(value * roundTo(target.unit)) / roundTo(target.unit)
  if (rounded <= 0) return null
  const other = end === 'easiest' ? target.hardest : target.easiest
  const isHarder = (a: number, b: number) => (isPaceUnit(target.unit) ? a < b : a > b)
  const stopped = other !== undefined && (end === 'easiest' ? isHarder(rounded, other) : isHarder(other, rounded)) ? other : rounded
  const { give: _, ...rest } = target
  return { ...rest, [end]: stopped }
}
