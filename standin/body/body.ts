import type { Athlete } from '../../core/athlete/athlete'
import { heartOf, speedOfPace } from '../../core/athlete/athlete'
import { defaultSteadiness } from '../../core/athlete/steadiness'
import type { Random } from '../../core/quantity/random'
import { defaultBike, powerAtSpeed, speedAtPower } from '../../core/reckon/cycling'
import type { Sport } from '../../core/session/document'
import type { Reading } from '../../core/wrist/holding'
import { bandAt } from '../../core/wrist/holding'
import type { ProgramStep } from '../../core/wrist/program'

/** The simulated body: it moves toward the target with the steadiness of a person, and its heart follows. */
export interface Body {
  t: number
  metres: number
  speed: number
  heartRate: number
  /** Autoregressive noise of speed or power, as a share. */
  noise: number
  /** Seconds of work, for the drift of the heart. */
  worked: number
}

export interface Manner {
  /** Share by which work is taken too hard (above zero) or too easy. */
  bias: number
  /** Seconds at which a sensor goes silent, and for how long. */
  silentHeart?: { from: number, to: number }
}

interface Ability { criticalSpeed: number, criticalPower: number, easySpeed: number, recoverySpeed: number, restHeart: number, maxHeart: number, massKg: number }

function abilityOf(athlete: Athlete, sport: Sport): Ability {
  const criticalSpeed = sport === 'ride' ? 9 : athlete[sport]?.criticalSpeed ?? (sport === 'run' ? 3.6 : 0.9)
  const criticalPower = sport === 'swim' ? 200 : athlete[sport]?.criticalPower ?? 210
  const heart = heartOf(athlete, sport)
  const easySpeed = speedOfPace(athlete.easyPace, sport) ?? criticalSpeed * 0.78
  return {
    criticalSpeed, criticalPower, easySpeed,
    recoverySpeed: speedOfPace(athlete.recoveryPace, sport) ?? easySpeed * 0.9,
    restHeart: heart.rest ?? 52, maxHeart: heart.max ?? 180, massKg: athlete.massKg ?? 70,
  }
}

/** A body at rest on the start line. */
export const restedBody = (athlete: Athlete): Body =>
  ({ t: 0, metres: 0, speed: 0, heartRate: (athlete.heart?.rest ?? 52) + 12, noise: 0, worked: 0 })

/** The share of critical intensity that the body means to go at, given what the wrist leads it to. */
function intendedShare(step: ProgramStep | null, share: number, ability: Ability, sport: Sport): number {
  if (!step || step.role === 'rest') return 0
  const target = step.target
  if (target && (target.of === 'pace' || target.of === 'power' || target.of === 'heart-rate')) {
    const band = bandAt(target, share)
    const value = band.easiest !== undefined && band.hardest !== undefined
      ? (band.easiest + band.hardest) / 2
      : (band.easiest ?? band.hardest! * 0.95)
    if (target.of === 'pace') return sport === 'ride' ? ridePower(value, ability) / ability.criticalPower : value / ability.criticalSpeed
    if (target.of === 'power') return value / ability.criticalPower
    return Math.max(0.3, (value - ability.restHeart) / (ability.maxHeart - ability.restHeart) / 0.88)
  }
  if (step.role === 'recovery' || step.role === 'transition') return step.manner === 'walk' ? 0.35 : ability.recoverySpeed / ability.criticalSpeed
  return step.role === 'work' && step.manner === 'stride' ? 1.2 : ability.easySpeed / ability.criticalSpeed
}

const ridePower = (speed: number, ability: Ability) => powerAtSpeed(speed, ability.massKg + defaultBike.massKg, defaultBike)

/** Heart rate follows intensity with 30 s up and 50 s down, and drifts 0.3 bpm a minute after 20 min of work. */
function followHeart(body: Body, share: number, ability: Ability, seconds: number): number {
  const drift = Math.max(0, body.worked / 60 - 20) * 0.3
  const aim = Math.min(ability.maxHeart, ability.restHeart + (ability.maxHeart - ability.restHeart) * Math.min(1, 0.88 * share) + drift)
  const tau = aim > body.heartRate ? 30 : 50
  return body.heartRate + (aim - body.heartRate) * (1 - Math.exp(-seconds / tau))
}

/**
 * One second or less of living: the body moves on, and its sensors say what they felt.
 *
 * @param step what the wrist leads through now; null stands still
 * @param share how far that step has come, from 0 to 1
 */
export function live(
  body: Body, athlete: Athlete, sport: Sport, step: ProgramStep | null, share: number, seconds: number, random: Random, manner: Manner,
): { body: Body, reading: Reading } {
  const ability = abilityOf(athlete, sport)
  const { sd, tau } = defaultSteadiness[sport === 'ride' ? 'power' : 'speed']
  const phi = Math.exp(-seconds / tau)
  const noise = body.noise * phi + random.normal() * sd * Math.sqrt(1 - phi * phi)
  const meant = intendedShare(step, share, ability, sport)
  const isWork = step?.role === 'work' && step.target !== undefined
  const actual = meant === 0 ? 0 : Math.max(0, meant * (1 + noise) * (1 + (isWork ? manner.bias : 0)))
  const watts = actual * ability.criticalPower
  const wanted = sport === 'ride' ? speedAtPower(watts, ability.massKg + defaultBike.massKg, defaultBike) : actual * ability.criticalSpeed
  const inertia = sport === 'ride' ? 8 : 1.5
  const speed = body.speed + (wanted - body.speed) * (1 - Math.exp(-seconds / inertia))
  const t = body.t + seconds
  const metres = body.metres + speed * seconds
  const heartRate = followHeart(body, meant === 0 ? 0 : actual, ability, seconds)
  const worked = body.worked + (meant > 0 ? seconds : 0)
  const silent = manner.silentHeart && t >= manner.silentHeart.from && t < manner.silentHeart.to
  const hasPower = sport === 'ride' || (sport === 'run' && athlete.run?.criticalPower !== undefined)
  return {
    body: { t, metres, speed, heartRate, noise, worked },
    reading: {
      t, metres, heartRate: silent ? null : heartRate + random.normal() * 0.6,
      power: hasPower ? watts : null,
      cadence: sport === 'swim' ? null : meant === 0 ? 0 : sport === 'ride' ? 86 + random.normal() * 2 : 172 + random.normal() * 2,
    },
  }
}
