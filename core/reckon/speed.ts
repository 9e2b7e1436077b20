import type { Missing } from '../words/missing'
import type { Standpoint } from '../athlete/standpoint'
import { speedOfPace } from '../athlete/athlete'
import { resolveEffort } from '../athlete/named-effort'
import type { ResolvedTarget } from '../athlete/resolve'
import type { PlaceOfSession, Sport, Step } from '../session/document'
import { bandAlong } from '../quantity/band'
import { loadedBike, powerAtSpeed, speedAtPower } from '../athlete/cycling'
import { criticalOf, shareOfCritical } from '../athlete/critical-share'
import { slopeOf, speedOnGrade } from '../athlete/grade'
import { endKinds } from '../session/ends'
import { sports } from '../session/sports'
import type { Interval } from './interval'
import { unknown, zero } from './interval'

/** How fast a step is moved through, in m/s, or why that cannot be told. */
export interface SpeedReading {
  speed: Interval
  missing?: Missing
  /** The speed is no more than custom. */
  isGuessed?: true
}

const meanOfPaces = (a: number, b: number) => 2 / (1 / a + 1 / b)

/** Speed of a power: on the bike by the forces on it, on foot in proportion to critical power and speed and by the grade. */
function speedOfPower(watts: number, standpoint: Standpoint, sport: Sport, slope: number): number | null {
  if (sport === 'ride') {
    const { totalKg, bike } = loadedBike(standpoint.athlete)
    return speedAtPower(watts, totalKg, bike, slope)
  }
  const { power, speed } = criticalOf(standpoint, sport)
  return power === undefined || speed === undefined ? null : speedOnGrade((speed * watts) / power, slope)
}

/** The speed on a slope that asks as much as one on the flat. */
function onSlope(flatSpeed: number, standpoint: Standpoint, sport: Sport, slope: number): number {
  if (slope === 0) return flatSpeed
  if (sport !== 'ride') return sports[sport].isOnFoot ? speedOnGrade(flatSpeed, slope) : flatSpeed
  const { totalKg, bike } = loadedBike(standpoint.athlete)
  return speedAtPower(powerAtSpeed(flatSpeed, totalKg, bike), totalKg, bike, slope)
}

/** Parts that a change over a step is reckoned in. */
const rampParts = 16

/**
 * The mean speed over a target that changes, as a watch leads it: evenly in its own unit, along the time or along the distance
 * of the step; where neither tells how far one is, it stays as it begins.
 */
function meanSpeed(at: (along: number) => number | null, on: Step['end']['on']): number | null {
  if (!endKinds[on].isLinear) return at(0)
  const speeds = Array.from({ length: rampParts }, (_, part) => at((part + 0.5) / rampParts))
  if (speeds.some(speed => speed === null || speed <= 0)) return null
  const sum = speeds.reduce<number>((total, speed) => total + (on === 'time' ? speed! : 1 / speed!), 0)
  return on === 'time' ? sum / rampParts : rampParts / sum
}

function ofTarget(
  target: ResolvedTarget,
  { end, grade }: Step,
  standpoint: Standpoint,
  sport: Sport,
  place: PlaceOfSession['kind'] | undefined,
): SpeedReading | null {
  if (target.of !== 'pace' && target.of !== 'power') return null
  if (target.of === 'power' && place === 'trainer') return { speed: unknown, missing: { code: 'trainer-distance' } }
  const slope = slopeOf(grade)
  const toSpeed = (value: number | undefined) => {
    if (value === undefined) return null
    return target.of === 'pace' ? value : speedOfPower(value, standpoint, sport, slope)
  }
  const middle = ({ easiest, hardest }: { easiest?: number; hardest?: number }) => {
    const [slow, fast] = [toSpeed(easiest), toSpeed(hardest)]
    return slow !== null && fast !== null ? meanOfPaces(slow, fast) : (slow ?? fast)
  }
  const over = (pick: (band: { easiest?: number; hardest?: number }) => number | null, from: ResolvedTarget['said']) =>
    from.to ? meanSpeed(along => pick(bandAlong(from, along)), end.on) : pick(from)
  const likely = over(middle, target.said)
  if (likely === null) return { speed: unknown, missing: { code: 'critical-power-and-speed' } }
  return { speed: { low: over(band => toSpeed(band.easiest), target), likely, high: over(band => toSpeed(band.hardest), target) } }
}

/** The speed that goes with a heart rate or an effort out of ten, by the share of critical that it stands for. */
function ofIntensity(target: ResolvedTarget, step: Step, standpoint: Standpoint, sport: Sport): SpeedReading | null {
  if (target.of !== 'heart-rate' && target.of !== 'rpe') return null
  const { easiest, hardest } = target.said
  const value = easiest !== undefined && hardest !== undefined ? (easiest + hardest) / 2 : (easiest ?? hardest!)
  const share = shareOfCritical(value, target.unit, step, standpoint, sport)
  const { power, speed: critical } = criticalOf(standpoint, sport)
  const slope = slopeOf(step.grade)
  if (share === null || share <= 0) return null
  if (sport === 'ride') {
    const speed = power === undefined ? null : speedOfPower(share * power, standpoint, sport, slope)
    return speed === null ? null : { speed: loosely(speed) }
  }
  return critical === undefined ? null : { speed: loosely(onSlope(share * critical, standpoint, sport, slope)) }
}

/** Around a pace nobody set: a tenth to either side. */
const loosely = (speed: number): Interval => ({ low: speed * 0.9, likely: speed, high: speed * 1.1 })

function easySpeed(standpoint: Standpoint, sport: Sport): number | undefined {
  const own = speedOfPace(standpoint.athlete.easyPace, sport)
  if (own !== undefined) return own
  const effort = resolveEffort(standpoint, sport, 'easy')
  if (!effort.ok) return undefined
  const value = (effort.easiest! + effort.hardest!) / 2
  return effort.of === 'pace' ? value : (speedOfPower(value, standpoint, sport, 0) ?? undefined)
}

/**
 * The speed of a step: from its target where that tells one, else the athlete's easy, recovery or walking pace by role
 * and manner, each within a tenth; work without a target anywhere from easy to fast. Heart rates and efforts out of ten come
 * by the share of critical they stand for, powers and efforts by the grade of the step. A rest stands still.
 */
export function speedOfStep(
  step: Step,
  target: ResolvedTarget | undefined,
  standpoint: Standpoint,
  sport: Sport,
  place?: PlaceOfSession['kind'],
): SpeedReading {
  if (step.role === 'rest') return { speed: zero }
  if (place === 'trainer') return { speed: unknown, missing: { code: 'trainer-distance' } }
  const told = target && (ofTarget(target, step, standpoint, sport, place) ?? ofIntensity(target, step, standpoint, sport))
  if (told) return told
  const slope = slopeOf(step.grade)
  const there = (flatSpeed: number) => loosely(onSlope(flatSpeed, standpoint, sport, slope))
  const walking = step.manner === 'walk' ? speedOfPace(standpoint.athlete.walkPace, sport) : undefined
  if (walking !== undefined) return { speed: there(walking) }
  const easy = easySpeed(standpoint, sport)
  if (step.role === 'recovery' || step.role === 'transition') {
    const recovery = speedOfPace(standpoint.athlete.recoveryPace, sport) ?? easy
    return recovery === undefined ? { speed: unknown, missing: { code: 'easy-pace', sport } } : { speed: there(recovery) }
  }
  if (step.role === 'work' && !target && step.manner !== 'jog') {
    if (easy === undefined) return { speed: unknown, missing: { code: 'target-or-easy-pace', sport } }
    const speed = onSlope(easy, standpoint, sport, slope)
    return { speed: { low: speed * 0.9, likely: speed * 1.1, high: speed * 1.35 }, isGuessed: true }
  }
  return easy === undefined ? { speed: unknown, missing: { code: 'easy-pace', sport } } : { speed: there(easy) }
}

/** Metres in a time and seconds over a distance; ends swap where faster means less. */
export const metresIn = (seconds: Interval, speed: Interval): Interval => ({
  low: seconds.low === null || speed.low === null ? null : seconds.low * speed.low,
  likely: seconds.likely === null || speed.likely === null ? null : seconds.likely * speed.likely,
  high: seconds.high === null || speed.high === null ? null : seconds.high * speed.high,
})

/** Slower than that in m/s nobody moves. */
const stillBelow = 1e-6

/** Seconds over metres at a speed in m/s; the faster end gives the lower, and a speed of nothing gives null. */
export function secondsOver(metres: number, speed: Interval): Interval {
  const over = (value: number | null) => (value === null || value < stillBelow ? null : metres / value)
  return { low: over(speed.high), likely: over(speed.likely), high: over(speed.low) }
}
