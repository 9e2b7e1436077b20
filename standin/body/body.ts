import type { Athlete } from '../../core/athlete/athlete'
import { slopeOf } from '../../core/athlete/grade'
import { defaultSteadiness } from '../../core/nudge/steadiness'
import { heartAfter } from '../../core/forecast/heart-response'
import type { Missing } from '../../core/forecast/recovery'
import { nothingMissing, sumOf } from '../../core/forecast/recovery'
import { reserveAfter } from '../../core/forecast/reserve'
import { toMetres } from '../../core/quantity/distance'
import type { Random } from '../../core/quantity/random'
import type { PlaceOfSession, Sport } from '../../core/session/document'
import type { Cue } from '../../core/wrist/engine/engine'
import type { SensorSample } from '../../core/wrist/engine/holding'
import { bandAt } from '../../core/wrist/engine/holding'
import type { ProgramStep } from '../../core/wrist/program/program'
import type { Ability } from './ability'
import { abilityOf, intendedShare, shareAt, speedAt } from './ability'
import type { Behaviour } from './behaviour'
import { heightAt, isSilent, slopeAt } from './behaviour'

/**
 * The simulated body: it moves toward what the wrist leads it to with the steadiness of a person, tires when its reserve is
 * spent, and its heart follows.
 */
export interface Body {
  t: number
  metres: number
  speed: number
  heartRate: number
  /** Autoregressive noise of speed or power, as a share. */
  noise: number
  /** Seconds of work, for the drift of the heart. */
  worked: number
  /** What is missing of the reserve above critical. */
  missing: Missing
  /** The reserve has run out and is not yet won back enough to go hard again. */
  isSpent: boolean
  /** Seconds in the present step, and the share it went at before, which goes on while a change is unnoticed. */
  step: {
    path: string | null
    seconds: number
    unnoticedUntil: number
    before: number
    meant: number
    /** What the body has strayed by in this step so far, share times seconds: who looks at the lap's mean takes it back. */
    strayed: number
    /** Share by which it goes harder or easier than it set out to, led by its heart. */
    trim: number
  }
  /** What its position is off by, in metres. */
  drift: number
}

/** A body at rest on the start line. */
export const restedBody = (athlete: Athlete): Body => ({
  t: 0,
  metres: 0,
  speed: 0,
  heartRate: (athlete.heart?.rest ?? 52) + 12,
  noise: 0,
  worked: 0,
  missing: nothingMissing,
  isSpent: false,
  drift: 0,
  step: { path: null, seconds: 0, unnoticedUntil: 0, before: 0, meant: 0, strayed: 0, trim: 0 },
})

/** Where the body is and what it is led through. */
export interface Led {
  athlete: Athlete
  sport: Sport
  /** Null stands still. */
  step: ProgramStep | null
  /** How far that step has come, from 0 to 1. */
  along: number
  place?: PlaceOfSession
}

const fastStartSeconds = 20
/** Share of critical that an emptied body can still hold. */
const emptied = 0.96
/** Share of the reserve after which it goes hard again. */
const wonBack = 0.15

function takeNotice(body: Body, step: ProgramStep | null, random: Random, behaviour: Behaviour): Body['step'] {
  const path = step?.path ?? null
  if (path === body.step.path) return body.step
  const isMissed = behaviour.missesCue !== undefined && random.next() < behaviour.missesCue
  const unnoticedUntil = isMissed ? 5 + 10 * random.next() : 0
  return { path, seconds: 0, unnoticedUntil, before: body.step.meant, meant: body.step.meant, strayed: 0, trim: 0 }
}

/** A nudge is heeded: most of what strayed is taken back. */
export const heed = (body: Body, cues: readonly Cue[]): Body =>
  cues.some(cue => cue.kind === 'nudge') ? { ...body, noise: body.noise * 0.4 } : body

/** Seconds into a step from which on its mean is looked at, and seconds in which what it strayed is taken back. */
const lapMean = { from: 15, within: 25 }
/** How fast the body heeds a heart that is off what it is led to, in shares of critical a second and share of the reserve. */
const heartLed = { rate: 0.006, most: 0.35 }

/** How much harder or easier a body goes that is led by its heart: slowly, until the heart is where it is to be. */
function trimOf({ step, heartRate }: Body, led: Led, ability: Ability, seconds: number): number {
  const target = led.step?.target
  if (target?.of !== 'heart-rate') return 0
  const { easiest, hardest } = bandAt(target, led.along)
  const middle = easiest !== undefined && hardest !== undefined ? (easiest + hardest) / 2 : (easiest ?? hardest! * 0.95)
  const off = (middle - heartRate) / (ability.heart.max - ability.heart.rest)
  const isClose = Math.abs(off) < 0.12 || step.trim !== 0
  return isClose ? Math.max(-heartLed.most, Math.min(heartLed.most, step.trim + off * heartLed.rate * seconds)) : 0
}

/** Metres as the sensors tell them: a length at a time in a pool, with a wandering error where a position is taken. */
function measuredMetres(body: Body, { sport, place }: Led): number {
  if (sport === 'swim' && place?.kind === 'pool') {
    const length = toMetres({ value: place.length, unit: place.unit })
    return Math.floor(body.metres / length + 1e-9) * length
  }
  const isMeasured = place?.kind === 'treadmill' || place?.kind === 'trainer'
  return Math.max(0, body.metres + (isMeasured ? 0 : body.drift))
}

/**
 * One second or less of living: the body moves on, and its sensors say what they felt.
 *
 * @source reserve as in `core/forecast/reserve.ts`, heart as in `core/forecast/heart-response.ts`
 */
export function live(before: Body, led: Led, seconds: number, random: Random, behaviour: Behaviour): { body: Body; reading: SensorSample } {
  const { athlete, sport, step, along, place } = led
  const ability = abilityOf(athlete, sport)
  const { sd, tau } = defaultSteadiness[sport === 'ride' ? 'power' : 'speed']
  const phi = Math.exp(-seconds / tau)
  const noise = before.noise * phi + random.normal() * sd * Math.sqrt(1 - phi * phi)
  const isStill = place?.kind === 'trainer' || place?.kind === 'treadmill' || sport === 'swim'
  const slope = step?.grade ? slopeOf(step.grade) : isStill ? 0 : slopeAt(behaviour, before.metres)
  const noticed = takeNotice(before, step, random, behaviour)
  const isUnnoticed = step !== null && noticed.seconds < noticed.unnoticedUntil
  const meant = isUnnoticed ? noticed.before : intendedShare(step, along, ability, slope)
  const isWork = step?.role === 'work' && step.target !== undefined
  const tooHard =
    (isWork ? behaviour.bias : 0) + (step?.role === 'work' && noticed.seconds < fastStartSeconds ? (behaviour.startsFast ?? 0) : 0)
  const trim = trimOf({ ...before, step: noticed }, led, ability, seconds)
  const takenBack = isWork && noticed.seconds >= lapMean.from ? noticed.strayed / lapMean.within : 0
  const wander = noise - takenBack
  const wanted = meant === 0 ? 0 : Math.max(0, meant * (1 + wander) * (1 + tooHard) + trim)
  const actual = before.isSpent ? Math.min(wanted, emptied) : wanted
  const aim = speedAt(actual, ability, slope)
  const speed = before.speed + (aim - before.speed) * (1 - Math.exp(-seconds / (sport === 'ride' ? 8 : 1.5)))
  const done = sport === 'ride' ? actual : speed < 0.05 ? 0 : shareAt(speed, ability, slope)
  const strays = sport === 'swim' && meant > 0 ? speed / speedAt(meant, ability, slope) - 1 : wander
  const t = before.t + seconds
  const isAtWall = meant === 0 && sport === 'swim' && place?.kind === 'pool'
  const metres = isAtWall ? measuredMetres(before, led) : before.metres + speed * seconds
  const kept = Math.exp(-seconds / 30)
  const missing = reserveAfter(before.missing, done, seconds, ability.reserveRate)
  const reserve = 1 - sumOf(missing)
  const body: Body = {
    t,
    metres,
    speed,
    noise,
    missing,
    isSpent: reserve <= 0 || (before.isSpent && reserve < wonBack),
    heartRate: heartAfter(before.heartRate, ability.heart, meant === 0 ? 0 : actual, before.worked, seconds),
    worked: before.worked + (meant > 0 ? seconds : 0),
    step: { ...noticed, seconds: noticed.seconds + seconds, meant, strayed: noticed.strayed + strays * seconds, trim },
    drift: before.drift * kept + random.normal() * 0.4 * Math.sqrt(1 - kept * kept),
  }
  const watts = actual * ability.criticalPower * (1 + random.normal() * 0.01)
  const hasPower = sport === 'ride' || (sport === 'run' && athlete.run?.criticalPower !== undefined)
  const isOnFoot = sport === 'run'
  const told = measuredMetres(body, led)
  return {
    body,
    reading: {
      t,
      metres: isSilent(behaviour.silentPosition, t) ? null : told,
      heartRate: isSilent(behaviour.silentHeart, t) ? null : body.heartRate + random.normal() * 0.6,
      power: hasPower && !isSilent(behaviour.silentPower, t) ? watts : null,
      cadence: sport === 'swim' ? null : meant === 0 ? 0 : (isOnFoot ? 172 : 86) + random.normal() * 2,
      ...(behaviour.hills ? { altitude: heightAt(behaviour, metres) } : {}),
    },
  }
}
