import type { Steadiness, SteadinessMeasure } from '../nudge/steadiness'
import { isByPosition, positionError, smoothedSd, usualSteadiness } from '../nudge/steadiness'
import type { PlaceKind, Sport } from '../session/document'
import type { Athlete } from './athlete'

/** The steadiness that an athlete's own recordings have told; null where there is none or it is not sound. */
function ownSteadiness(athlete: Athlete, sport: Sport, measure: SteadinessMeasure): Steadiness | null {
  const own = (athlete.steadiness?.[sport] as Partial<Record<SteadinessMeasure, Partial<Steadiness>>> | undefined)?.[measure]
  const isSound = own?.sd !== undefined && own.tau !== undefined && own.sd > 0 && own.sd < 0.5 && own.tau > 0 && own.tau <= 600
  return isSound ? { sd: own.sd!, tau: own.tau! } : null
}

export const hasOwnSteadiness = (athlete: Athlete, sport: Sport, measure: SteadinessMeasure): boolean =>
  ownSteadiness(athlete, sport, measure) !== null

/** The athlete's own steadiness in a sport and measure where recordings have told it, else the usual one of the place. */
export const steadinessOf = (athlete: Athlete, sport: Sport, measure: SteadinessMeasure, place?: PlaceKind): Steadiness =>
  ownSteadiness(athlete, sport, measure) ?? usualSteadiness(sport, measure, place)

/**
 * By how many metres a position spoils a speed beside the steadiness: what was learnt from recordings holds the error of the
 * position already.
 */
export const positionMetres = (athlete: Athlete, sport: Sport, place: PlaceKind | undefined): number =>
  isByPosition(sport, place) && !hasOwnSteadiness(athlete, sport, 'speed') ? positionError.metres : 0

/**
 * How far a value over a window spreads around its mean by this athlete's steadiness alone, the error of a position included.
 *
 * @param seconds of the window, a whole number from 1
 * @param speed in m/s, that a position's error is a share of; 0 where no speed is measured
 * @returns standard deviation as a share of the value
 */
export function usualSpread(
  athlete: Athlete,
  { sport, measure, place }: { sport: Sport; measure: SteadinessMeasure; place?: PlaceKind | undefined },
  seconds: number,
  speed: number,
): number {
  const { sd, tau } = steadinessOf(athlete, sport, measure, place)
  const own = smoothedSd(sd, tau, seconds)
  if (measure !== 'speed' || !(speed > 0)) return own
  const metres = positionMetres(athlete, sport, place) * Math.sqrt(2 * (1 - Math.exp(-seconds / positionError.tau)))
  return Math.hypot(own, metres / (seconds * speed))
}
