import { metresPer } from '../quantity/distance'
import type { Missing } from '../words/missing'
import type { EffortName, Sport } from '../session/document'
import type { Standpoint } from './standpoint'
import { isWithinOxygenModel, oxygenCapacity, secondsAtCapacity, speedAtCapacity } from './oxygen'
import { abilityOf, intensityOver } from './ability'
import { fitPowerLaw } from './power-law'
import type { PowerLaw } from './power-law'

export const raceMetres: Partial<Record<EffortName, number>> = {
  '1500m': 1500,
  'mile': metresPer.mi,
  '3k': 3000,
  '5k': 5000,
  '10k': 10000,
  'half-marathon': 21097.5,
  'marathon': 42195,
}

/** A speed in m/s or a power in W for a named effort, or the number that is missing. */
export type EffortReading = { ok: true; of: 'pace' | 'power'; easiest?: number; hardest?: number } | { ok: false; missing: Missing }

/** The marks over a distance that count, conflicts settled: what races are told from. */
export const raceEffortsOf = (standpoint: Standpoint, sport: 'run' | 'swim'): { metres: number; seconds: number; date: string }[] =>
  (abilityOf(standpoint, sport)?.marks ?? []).map(({ seconds, intensity, date }) => ({ seconds, metres: seconds * intensity, date }))

/** The power law through the marks over a distance that count; null without one. */
export const raceLawOf = (standpoint: Standpoint, sport: 'run' | 'swim'): PowerLaw | null =>
  fitPowerLaw(sport, raceEffortsOf(standpoint, sport))

/** The highest oxygen capacity that the athlete's marks speak of, of those within the model's 3.5 to 230 min; null without one. */
export function oxygenCapacityOf(standpoint: Standpoint): number | null {
  const capacities = raceEffortsOf(standpoint, 'run')
    .filter(({ seconds }) => isWithinOxygenModel(seconds))
    .map(effort => oxygenCapacity(effort.metres, effort.seconds))
    .filter(value => value !== null)
  return capacities.length === 0 ? null : Math.max(...capacities)
}

/** What is raced at: the speed over a distance and the speed kept up for a time, by the school the athlete has picked. */
interface RaceSpeeds {
  over: (metres: number) => number
  lasting: (seconds: number) => number
}

export function raceSpeedsOf(standpoint: Standpoint, sport: Sport): RaceSpeeds | null {
  const capacity = sport === 'run' && standpoint.athlete.schools?.racePrediction === 'oxygen' ? oxygenCapacityOf(standpoint) : null
  if (capacity !== null)
    return { over: metres => metres / secondsAtCapacity(capacity, metres), lasting: seconds => speedAtCapacity(capacity, seconds) }
  const ability = sport === 'ride' ? null : abilityOf(standpoint, sport)
  if (!ability || ability.marks.length === 0) return null
  return { over: metres => intensityOver(ability, metres), lasting: seconds => ability.intensityFor(seconds) }
}

function criticalOf(standpoint: Standpoint, sport: Sport): EffortReading {
  const ability = abilityOf(standpoint, sport)
  if (!ability) return { ok: false, missing: { code: sport === 'ride' ? 'critical-power' : 'critical-speed', sport } }
  return { ok: true, of: sport === 'ride' ? 'power' : 'pace', easiest: ability.critical, hardest: ability.critical }
}

function shareOfCritical(standpoint: Standpoint, sport: Sport, share: number): EffortReading {
  const critical = criticalOf(standpoint, sport)
  if (!critical.ok) return critical
  const value = critical.hardest! * share
  return { ok: true, of: critical.of, easiest: value * 0.96, hardest: value * 1.04 }
}

/**
 * What a named effort means for this athlete.
 *
 * Races come from the power law through the athlete's efforts, or from the oxygen model where the athlete picked it;
 * threshold is the pace held for 60 min on that curve (ride: critical power; swim: critical swim speed); steady and easy are
 * 88 % and 78 % of critical, each within 4 %:
 * custom, not law. `max` has no upper bound; `goal` is the next goal race's pace.
 *
 * @source Riegel (1981) or Daniels & Gilbert (1979) for the races; the shares are the custom of this application
 */
export function resolveEffort(standpoint: Standpoint, sport: Sport, name: EffortName): EffortReading {
  const point = (speed: number): EffortReading => ({ ok: true, of: 'pace', easiest: speed, hardest: speed })
  const race = raceSpeedsOf(standpoint, sport)
  const missingRace: EffortReading = { ok: false, missing: { code: 'race', sport } }
  switch (name) {
    case 'critical':
      return criticalOf(standpoint, sport)
    case 'steady':
      return shareOfCritical(standpoint, sport, 0.88)
    case 'easy':
      return shareOfCritical(standpoint, sport, 0.78)
    case 'threshold': {
      if (sport !== 'run') return criticalOf(standpoint, sport)
      return race ? point(race.lasting(3600)) : missingRace
    }
    case 'max': {
      const critical = criticalOf(standpoint, sport)
      return critical.ok ? { ok: true, of: critical.of, easiest: critical.hardest } : critical
    }
    case 'goal': {
      const goals = (standpoint.athlete.goals ?? []).filter(
        goal => goal.sport === sport && (standpoint.day === null || goal.date >= standpoint.day),
      )
      const next = goals.sort((a, b) => a.date.localeCompare(b.date))[0]
      return next ? point(next.metres / next.seconds) : { ok: false, missing: { code: 'goal', sport } }
    }
    default: {
      const metres = raceMetres[name]!
      if (sport === 'ride') return { ok: false, missing: { code: 'ride-distance' } }
      return race ? point(race.over(metres)) : missingRace
    }
  }
}
