import { abilityOf, criticalPowerFor } from '../../core/athlete/ability'
import type { Ability } from '../../core/athlete/ability'
import type { Athlete } from '../../core/athlete/athlete'
import { youngestDayOf } from '../../core/athlete/athlete'
import { shareOfCritical } from '../../core/athlete/critical-share'
import { loadedBike, powerAtSpeed, speedAtPower } from '../../core/athlete/cycling'
import { flatSpeedOf, speedOnGrade } from '../../core/athlete/grade'
import { wholeHeart } from '../../core/athlete/heart'
import type { Standpoint } from '../../core/athlete/standpoint'
import { standpointOf } from '../../core/athlete/standpoint'
import { usualShare } from '../../core/athlete/usual-share'
import type { Heart } from '../../core/physiology/heart'
import { meantBy } from '../../core/nudge/meant'
import { bandAlong } from '../../core/quantity/band'
import type { Sport } from '../../core/session/document'
import { sportNames } from '../../core/session/sports'
import type { ProgramStep } from '../../core/wrist/program/program'

/** Of whoever is not known: m/s on foot and in the water, W on the bike, bpm. */
const customary = { run: 3.6, ride: 210, swim: 0.9, heart: { rest: 52, max: 180 } } as const

/** Whom the body is of: the athlete as their marks say, with customary numbers where nothing tells theirs. */
function completed(athlete: Athlete): Standpoint {
  const day = youngestDayOf(athlete)
  const known = standpointOf(athlete, day)
  const lacks = (sport: Sport) => abilityOf(known, sport) === null
  return standpointOf(
    {
      ...athlete,
      ...(lacks('run') ? { run: { ...athlete.run, criticalSpeed: customary.run } } : {}),
      ...(lacks('ride') ? { ride: { ...athlete.ride, criticalPower: customary.ride } } : {}),
      ...(lacks('swim') ? { swim: { criticalSpeed: customary.swim } } : {}),
      ...(sportNames.every(sport => wholeHeart(known, sport)) ? {} : { heart: { ...customary.heart } }),
    },
    day,
  )
}

const standpoints = new WeakMap<Athlete, Standpoint>()

/** The standpoint of the body itself, worked out once for each athlete. */
export function bodyOf(athlete: Athlete): Standpoint {
  const known = standpoints.get(athlete)
  if (known) return known
  const made = completed(athlete)
  standpoints.set(athlete, made)
  return made
}

/** What a body can do in a sport. */
export interface BodyAbility {
  standpoint: Standpoint
  ability: Ability
  heart: Heart
  /** Power at critical in W, where this sport has a power. */
  criticalPower: number | undefined
}

export function bodyAbility(athlete: Athlete, sport: Sport): BodyAbility {
  const standpoint = bodyOf(athlete)
  return {
    standpoint,
    ability: abilityOf(standpoint, sport)!,
    heart: wholeHeart(standpoint, sport)!,
    criticalPower: criticalPowerFor(standpoint, sport),
  }
}

/** The speed that a share of critical comes to on a slope. */
export function speedAt(share: number, { ability, standpoint }: BodyAbility, slope: number): number {
  const intensity = share * ability.critical
  if (ability.sport === 'swim') return intensity
  if (ability.sport === 'run') return speedOnGrade(intensity, slope)
  const { totalKg, bike } = loadedBike(standpoint.athlete)
  return speedAtPower(intensity, totalKg, bike, slope)
}

/** The share of critical that a speed on a slope asks for. */
export function shareAt(speed: number, { ability, standpoint }: BodyAbility, slope: number): number {
  if (ability.sport === 'swim') return speed / ability.critical
  if (ability.sport === 'run') return flatSpeedOf(speed, slope) / ability.critical
  const { totalKg, bike } = loadedBike(standpoint.athlete)
  return Math.max(0, powerAtSpeed(speed, totalKg, bike, slope)) / ability.critical
}

/** The share of critical that the body means to go at, given what the wrist leads it to. */
export function intendedShare(step: ProgramStep | null, along: number, body: BodyAbility, slope: number): number {
  if (!step || step.role === 'rest') return 0
  const { target } = step
  if (!target || target.of === 'cadence') return usualShare(step, body.standpoint, body.ability.sport)
  const value = meantBy(bandAlong(target, along), target.of)
  if (target.of === 'pace') return shareAt(value, body, slope)
  return (
    shareOfCritical(value, target.unit, step, body.standpoint, body.ability.sport) ?? usualShare(step, body.standpoint, body.ability.sport)
  )
}
