import { bodyAbility, bodyOf, intendedShare, shareAt, speedAt } from './ability'
import type { BodyAbility } from './ability'
import type { Behaviour } from './behaviour'
import { heightAt, isSilent, slopeAt } from './behaviour'
import type { Athlete } from '../../core/athlete/athlete'
import { slopeOf } from '../../core/athlete/grade'
import { wholeHeart } from '../../core/athlete/heart'
import { positionMetres, steadinessOf } from '../../core/athlete/steadiness'
import type { SteadinessMeasure } from '../../core/nudge/steadiness'
import { positionError } from '../../core/nudge/steadiness'
import type { Wander } from '../../core/nudge/wander'
import { beginStep, heedNudge, steady, wanderingOf, wanderOn } from '../../core/nudge/wander'
import { heartAfter, heartAt } from '../../core/physiology/heart'
import { trimAfter } from '../../core/physiology/heart-led'
import type { Wear } from '../../core/physiology/wear'
import { mostHeld, unworn, wornAfter } from '../../core/physiology/wear'
import { meantBy } from '../../core/nudge/meant'
import { bandAlong } from '../../core/quantity/band'
import type { Random } from '../../core/quantity/random'
import type { PlaceOfSession, Sport } from '../../core/session/document'
import { poolMetres } from '../../core/session/place'
import type { Cue } from '../../core/wrist/engine/engine'
import type { SensorSample } from '../../core/wrist/engine/holding'
import type { ProgramStep } from '../../core/wrist/program/program'

/**
 * The simulated body: it moves toward what the wrist leads it to with the steadiness of a person, tires by the share used of
 * what the athlete has shown, and its heart follows.
 */
export interface Body {
  t: number
  metres: number
  /** What it goes at in m/s, without its wandering. */
  speed: number
  heartRate: number
  /** Seconds of work, for the drift of the heart. */
  worked: number
  wear: Wear
  /** How far it is off what it means by speed or power, and how far its heart and its cadence are off by themselves. */
  wander: Wander
  heartWander: Wander
  cadenceWander: Wander
  /** Seconds in the present step, and the share it went at before, which goes on while a change is unnoticed. */
  step: {
    path: string | null
    seconds: number
    unnoticedUntil: number
    before: number
    meant: number
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
  heartRate: heartAt(0, wholeHeart(bodyOf(athlete), 'run')!),
  worked: 0,
  wear: unworn,
  wander: { ...steady },
  heartWander: { ...steady },
  cadenceWander: { ...steady },
  drift: 0,
  step: { path: null, seconds: 0, unnoticedUntil: 0, before: 0, meant: 0, trim: 0 },
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
/** Seconds in which most of a change of speed is made; a swimmer pushes off the wall. */
const gathersSpeed: Readonly<Record<Sport, number>> = { run: 1.5, ride: 8, swim: 0 }
/** What the legs or arms turn at by themselves, in rpm or spm. */
const usualCadence: Readonly<Record<Sport, number>> = { run: 172, ride: 86, swim: 32 }

function takeNotice(body: Body, step: ProgramStep | null, random: Random, behaviour: Behaviour): Body['step'] {
  const path = step?.path ?? null
  if (path === body.step.path) return body.step
  const isMissed = behaviour.missesCue !== undefined && random.next() < behaviour.missesCue
  const unnoticedUntil = isMissed ? 5 + 10 * random.next() : 0
  return { path, seconds: 0, unnoticedUntil, before: body.step.meant, meant: body.step.meant, trim: 0 }
}

/** A nudge is heeded by whoever can answer at once: a heart cannot. */
export function heed(body: Body, cues: readonly Cue[]): Body {
  if (!cues.some(cue => cue.kind === 'nudge')) return body
  const wander = { ...body.wander }
  heedNudge(wander)
  return { ...body, wander }
}

/** Metres as the sensors tell them: a length at a time in a pool, with a wandering error where a position is taken. */
function measuredMetres(body: Body, { sport, place }: Led): number {
  const length = poolMetres(sport, place)
  return length === null ? Math.max(0, body.metres + body.drift) : Math.floor(body.metres / length + 1e-9) * length
}

/** A wander one second on in a step, and how far it is off. */
function stray(before: Wander, led: Led, measure: SteadinessMeasure, random: Random, isNew: boolean, answers: boolean): [Wander, number] {
  const wander = { ...before }
  if (isNew) beginStep(wander)
  const steadiness = steadinessOf(led.athlete, led.sport, measure, led.place?.kind)
  return [wander, wanderOn(wander, wanderingOf(steadiness), random.normal, answers)]
}

interface Effort {
  notice: Body['step']
  /** Share of critical that is meant; 0 stands still. */
  meant: number
  /** Share that is gone at, tired and led by the heart, without the wandering. */
  held: number
  trim: number
}

/** What the body goes at: what it means, harder or easier by habit and heart, as far as it can. */
function effortOf(before: Body, led: Led, ability: BodyAbility, slope: number, random: Random, behaviour: Behaviour): Effort {
  const { step, along } = led
  const notice = takeNotice(before, step, random, behaviour)
  const isUnnoticed = step !== null && notice.seconds < notice.unnoticedUntil
  const meant = isUnnoticed ? notice.before : intendedShare(step, along, ability, slope)
  const isWork = step?.role === 'work'
  const tooHard =
    (isWork && step.target !== undefined ? behaviour.bias : 0) +
    (isWork && notice.seconds < fastStartSeconds ? (behaviour.startsFast ?? 0) : 0)
  const target = step?.target
  const trim =
    target?.of === 'heart-rate'
      ? trimAfter(notice.trim, before.heartRate, meantBy(bandAlong(target, along), target.of), ability.heart, 1)
      : 0
  const wanted = meant === 0 ? 0 : Math.max(0, meant * (1 + tooHard) + trim)
  return { notice, meant, held: Math.min(wanted, mostHeld(before.wear)), trim }
}

/**
 * One second or less of living: the body moves on, and its sensors say what they felt. What the step is led by wanders around
 * what is meant, power by itself and speed else; the speed behind it is gathered and lost over a few seconds.
 *
 * @source tiring, heart and wandering as in `core/physiology` and `core/nudge`
 */
export function live(before: Body, led: Led, seconds: number, random: Random, behaviour: Behaviour): { body: Body; reading: SensorSample } {
  const { athlete, sport, step, place } = led
  const ability = bodyAbility(athlete, sport)
  const isStill = place?.kind === 'trainer' || place?.kind === 'treadmill' || sport === 'swim'
  const slope = step?.grade ? slopeOf(step.grade) : isStill ? 0 : slopeAt(behaviour, before.metres)
  const { notice, meant, held, trim } = effortOf(before, led, ability, slope, random, behaviour)
  const isNew = notice.seconds === 0
  const of = step?.target?.of
  const isByPower = of === 'power' || (of !== 'pace' && sport === 'ride')
  const [wander, off] = stray(before.wander, led, isByPower ? 'power' : 'speed', random, isNew, of === 'pace' || of === 'power')
  const [heartWander, heartOff] = stray(before.heartWander, led, 'heart-rate', random, isNew, false)
  const [cadenceWander, cadenceOff] = stray(before.cadenceWander, led, 'cadence', random, isNew, false)
  const aim = speedAt(isByPower ? Math.max(0, held * (1 + off)) : held, ability, slope)
  const gathers = gathersSpeed[sport]
  const speed = gathers === 0 ? aim : before.speed + (aim - before.speed) * (1 - Math.exp(-seconds / gathers))
  const shown = isByPower ? speed : Math.max(0, speed * (1 + off))
  const done = isByPower ? Math.max(0, held * (1 + off)) : shown < 0.05 ? 0 : shareAt(shown, ability, slope)
  const t = before.t + seconds
  const isAtWall = meant === 0 && poolMetres(sport, place) !== null
  const metres = isAtWall ? measuredMetres(before, led) : before.metres + shown * seconds
  const keeps = Math.exp(-seconds / positionError.tau)
  const error = positionMetres(athlete, sport, place?.kind) * Math.sqrt(1 - keeps * keeps)
  const heartRate = heartAfter(before.heartRate, ability.heart, meant === 0 ? 0 : held, before.worked, seconds)
  const body: Body = {
    t,
    metres,
    speed,
    heartRate,
    worked: before.worked + (meant > 0 ? seconds : 0),
    wear: wornAfter(before.wear, done, seconds, ability.ability.secondsAt(done * ability.ability.critical)),
    wander,
    heartWander,
    cadenceWander,
    step: { ...notice, seconds: notice.seconds + seconds, meant, trim },
    drift: error === 0 ? 0 : before.drift * keeps + random.normal() * error,
  }
  const cadence = step?.target?.of === 'cadence' ? step.target : step?.also?.of === 'cadence' ? step.also : null
  const turns = cadence ? meantBy(bandAlong(cadence, led.along), 'cadence') : usualCadence[sport]
  const told = measuredMetres(body, led)
  return {
    body,
    reading: {
      t,
      metres: isSilent(behaviour.silentPosition, t) ? null : told,
      heartRate: isSilent(behaviour.silentHeart, t) ? null : Math.min(ability.heart.max, heartRate * (1 + heartOff)),
      power: ability.criticalPower === undefined || isSilent(behaviour.silentPower, t) ? null : done * ability.criticalPower,
      cadence: sport === 'swim' && !cadence ? null : meant === 0 ? 0 : turns * (1 + cadenceOff),
      ...(behaviour.hills ? { altitude: heightAt(behaviour, metres) } : {}),
    },
  }
}
