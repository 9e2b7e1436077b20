import type { Steadiness, SteadinessMeasure } from '../nudge/steadiness'
import { defaultSteadiness } from '../nudge/steadiness'
import type { Sport } from '../session/document'
import type { Athlete } from './athlete'

/** The athlete's own steadiness in a sport and measure where recordings have told it, else the default. */
export function steadinessOf(athlete: Athlete, sport: Sport, measure: SteadinessMeasure): Steadiness {
  const own = (athlete.steadiness?.[sport] as Partial<Record<SteadinessMeasure, Partial<Steadiness>>> | undefined)?.[measure]
  const isSound = own?.sd !== undefined && own.tau !== undefined && own.sd > 0 && own.sd < 0.5 && own.tau > 0 && own.tau <= 600
  return isSound ? { sd: own.sd!, tau: own.tau! } : defaultSteadiness[measure]
}
