import type { Athlete } from '../../core/athlete/athlete'
import { heartOf, speedOfPace } from '../../core/athlete/athlete'
import { flatSpeedOf, speedOnGrade } from '../../core/athlete/grade'
import { reserveAtCritical } from '../../core/athlete/critical-share'
import { defaultBike, powerAtSpeed, speedAtPower } from '../../core/athlete/cycling'
import type { Sport } from '../../core/session/document'
import { bandAt } from '../../core/wrist/engine/holding'
import type { ProgramStep } from '../../core/wrist/program/program'

/** What a body can do in a sport, from the athlete's numbers, with customary ones where they are not known. */
export interface Ability {
  sport: Sport
  criticalSpeed: number
  criticalPower: number
  easySpeed: number
  recoverySpeed: number
  heart: { rest: number; max: number; threshold?: number }
  massKg: number
  /** Critical over reserve, in 1/s. */
  reserveRate: number
}

const customaryReserveRate = 0.012

/** Critical over reserve as the athlete has set them, in 1/s. */
function ownRate({ run, ride }: Athlete, sport: Sport): number | undefined {
  const of = (critical: number | undefined, reserve: number | undefined) => (critical && reserve ? critical / reserve : undefined)
  if (sport === 'ride') return of(ride?.criticalPower, ride?.wPrime)
  return sport === 'run' ? (of(run?.criticalSpeed, run?.dPrime) ?? of(run?.criticalPower, run?.wPrime)) : undefined
}

export function abilityOf(athlete: Athlete, sport: Sport): Ability {
  const criticalSpeed = sport === 'ride' ? 9 : (athlete[sport]?.criticalSpeed ?? (sport === 'run' ? 3.6 : 0.9))
  const criticalPower = sport === 'swim' ? 200 : (athlete[sport]?.criticalPower ?? 210)
  const heart = heartOf(athlete, sport)
  const easySpeed = speedOfPace(athlete.easyPace, sport) ?? criticalSpeed * 0.78
  return {
    sport,
    criticalSpeed,
    criticalPower,
    easySpeed,
    recoverySpeed: speedOfPace(athlete.recoveryPace, sport) ?? easySpeed * 0.9,
    heart: { rest: heart.rest ?? 52, max: heart.max ?? 180, ...(heart.threshold === undefined ? {} : { threshold: heart.threshold }) },
    massKg: athlete.massKg ?? 70,
    reserveRate: ownRate(athlete, sport) ?? customaryReserveRate,
  }
}

const totalKg = (ability: Ability) => ability.massKg + defaultBike.massKg

/** The speed that a share of critical comes to on a slope. */
export function speedAt(share: number, ability: Ability, slope: number): number {
  if (ability.sport === 'ride') return speedAtPower(share * ability.criticalPower, totalKg(ability), defaultBike, slope)
  const flat = share * ability.criticalSpeed
  return ability.sport === 'run' ? speedOnGrade(flat, slope) : flat
}

/** The share of critical that a speed on a slope asks for. */
export function shareAt(speed: number, ability: Ability, slope: number): number {
  if (ability.sport === 'ride') return Math.max(0, powerAtSpeed(speed, totalKg(ability), defaultBike, slope)) / ability.criticalPower
  return (ability.sport === 'run' ? flatSpeedOf(speed, slope) : speed) / ability.criticalSpeed
}

/** The share of critical that the body means to go at, given what the wrist leads it to. */
export function intendedShare(step: ProgramStep | null, along: number, ability: Ability, slope: number): number {
  if (!step || step.role === 'rest') return 0
  const { target } = step
  if (target && (target.of === 'pace' || target.of === 'power' || target.of === 'heart-rate')) {
    const band = bandAt(target, along)
    const value =
      band.easiest !== undefined && band.hardest !== undefined ? (band.easiest + band.hardest) / 2 : (band.easiest ?? band.hardest! * 0.95)
    if (target.of === 'pace') return shareAt(value, ability, slope)
    if (target.of === 'power') return value / ability.criticalPower
    return Math.max(0.3, (value - ability.heart.rest) / (ability.heart.max - ability.heart.rest) / reserveAtCritical)
  }
  if (step.role === 'recovery' || step.role === 'transition')
    return step.manner === 'walk' ? 0.35 : ability.recoverySpeed / ability.criticalSpeed
  return step.role === 'work' && step.manner === 'stride' ? 1.2 : ability.easySpeed / ability.criticalSpeed
}
