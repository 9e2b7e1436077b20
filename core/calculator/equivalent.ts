import type { Standpoint } from '../athlete/standpoint'
import { isWithinOxygenModel, oxygenCapacity, secondsAtCapacity } from '../athlete/oxygen'
import { fitPowerLaw, secondsFor } from '../athlete/power-law'
import { raceEffortsOf, raceLawOf } from '../athlete/named-effort'
import type { Sport } from '../session/document'

export interface EquivalentTime {
  metres: number
  /** By the power law, with the athlete's own exponent where two efforts or more tell one. */
  byPowerLaw: number
  /** By the oxygen model; running only, and only within the 3.5 to 230 min that it holds for. */
  byOxygen: number | null
}

/**
 * What one performance speaks of over other distances, by two schools.
 *
 * @param standpoint whose exponent is taken; the customary one of the sport without efforts
 * @returns seconds; empty for a performance of nothing
 * @source Riegel (1981); Daniels & Gilbert (1979)
 * @example equivalentTimes({ metres: 10000, seconds: 2820 }, [5000], 'run', unknown)[0].byPowerLaw // 1352
 */
export function equivalentTimes(
  known: { metres: number; seconds: number },
  distances: readonly number[],
  sport: Sport,
  standpoint: Standpoint,
): EquivalentTime[] {
  if (!(known.metres > 0) || !(known.seconds > 0)) return []
  const law = fitPowerLaw(sport, [known])!
  const hasOwn = sport !== 'ride' && raceEffortsOf(standpoint, sport).length > 1
  const { exponent } = (hasOwn && raceLawOf(standpoint, sport)) || law
  const capacity = sport === 'run' && isWithinOxygenModel(known.seconds) ? oxygenCapacity(known.metres, known.seconds) : null
  const byOxygen = (metres: number) => {
    const seconds = capacity === null ? null : secondsAtCapacity(capacity, metres)
    return seconds !== null && isWithinOxygenModel(seconds) ? seconds : null
  }
  return distances
    .filter(metres => metres > 0)
    .map(metres => ({ metres, byPowerLaw: secondsFor({ ...law, exponent }, metres), byOxygen: byOxygen(metres) }))
}
