import type { Missing } from '../words/missing'
import type { Standpoint } from '../athlete/standpoint'
import { speedOfPace } from '../athlete/athlete'
import { resolveEffort } from '../athlete/named-effort'
import type { ResolvedTarget } from '../athlete/resolve'
import type { Band, PlaceOfSession, Sport, Step } from '../session/document'
import { defaultBike, speedAtPower } from '../athlete/cycling'
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

/** Speed of a power: on the bike by the forces on it, on foot in proportion to critical power and speed. */
function speedOfPower(watts: number, standpoint: Standpoint, sport: Sport): number | null {
  if (sport === 'ride') {
    const bike = standpoint.athlete.ride?.bike ?? defaultBike
    return speedAtPower(watts, (standpoint.athlete.massKg ?? 75) + bike.massKg, bike)
  }
  const { criticalPower, criticalSpeed } = standpoint.athlete.run ?? {}
  return criticalPower === undefined || criticalSpeed === undefined ? null : (criticalSpeed * watts) / criticalPower
}

function ofTarget(
  target: ResolvedTarget,
  standpoint: Standpoint,
  sport: Sport,
  place: PlaceOfSession['kind'] | undefined,
): SpeedReading | null {
  if (target.of !== 'pace' && target.of !== 'power') return null
  if (target.of === 'power' && place === 'trainer') return { speed: unknown, missing: { code: 'trainer-distance' } }
  const toSpeed = (value: number | undefined) => {
    if (value === undefined) return null
    return target.of === 'pace' ? value : speedOfPower(value, standpoint, sport)
  }
  const ends = [target, target.to ?? target]
  const low = ends.map(end => toSpeed(end.easiest))
  const high = ends.map(end => toSpeed(end.hardest))
  const middle = (end: Band) => {
    const [easiest, hardest] = [toSpeed(end.easiest), toSpeed(end.hardest)]
    return easiest !== null && hardest !== null ? meanOfPaces(easiest, hardest) : (easiest ?? hardest)
  }
  const both = ([first, last]: (number | null)[]) =>
    typeof first === 'number' && typeof last === 'number' ? meanOfPaces(first, last) : null
  const likely = both([target.said, target.to ?? target.said].map(middle))
  if (likely === null) return { speed: unknown, missing: { code: 'critical-power-and-speed' } }
  return { speed: { low: both(low), likely, high: both(high) } }
}

/** Around a pace nobody set: a tenth to either side. */
const loosely = (speed: number): Interval => ({ low: speed * 0.9, likely: speed, high: speed * 1.1 })

function easySpeed(standpoint: Standpoint, sport: Sport): number | undefined {
  const own = speedOfPace(standpoint.athlete.easyPace, sport)
  if (own !== undefined) return own
  const effort = resolveEffort(standpoint, sport, 'easy')
  if (!effort.ok) return undefined
  const value = (effort.easiest! + effort.hardest!) / 2
  return effort.of === 'pace' ? value : (speedOfPower(value, standpoint, sport) ?? undefined)
}

/**
 * The speed of a step: from its target where that tells one, else the athlete's easy, recovery or walking pace by role
 * and manner, each within a tenth; work without a target anywhere from easy to fast. A rest stands still.
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
  const told = target && ofTarget(target, standpoint, sport, place)
  if (told) return told
  const walking = step.manner === 'walk' ? speedOfPace(standpoint.athlete.walkPace, sport) : undefined
  if (walking !== undefined) return { speed: loosely(walking) }
  const easy = easySpeed(standpoint, sport)
  if (step.role === 'recovery' || step.role === 'transition') {
    const recovery = speedOfPace(standpoint.athlete.recoveryPace, sport) ?? easy
    return recovery === undefined ? { speed: unknown, missing: { code: 'easy-pace', sport } } : { speed: loosely(recovery) }
  }
  if (step.role === 'work' && !target && step.manner !== 'jog') {
    if (easy === undefined) return { speed: unknown, missing: { code: 'target-or-easy-pace', sport } }
    return { speed: { low: easy * 0.9, likely: easy * 1.1, high: easy * 1.35 }, isGuessed: true }
  }
  return easy === undefined ? { speed: unknown, missing: { code: 'easy-pace', sport } } : { speed: loosely(easy) }
}

/** Metres in a time and seconds over a distance; ends swap where faster means less. */
export const metresIn = (seconds: Interval, speed: Interval): Interval => ({
  low: seconds.low === null || speed.low === null ? null : seconds.low * speed.low,
  likely: seconds.likely === null || speed.likely === null ? null : seconds.likely * speed.likely,
  high: seconds.high === null || speed.high === null ? null : seconds.high * speed.high,
})

/** Seconds over metres at a speed in m/s; the faster end gives the lower, and a speed of nothing gives null. */
export function secondsOver(metres: number, speed: Interval): Interval {
  const over = (value: number | null) => (value === null || value <= 0 ? null : metres / value)
  return { low: over(speed.high), likely: over(speed.likely), high: over(speed.low) }
}
