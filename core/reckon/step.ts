import { metresOfEnd } from '../session/ends'
import type { Missing } from '../words/missing'
import type { Standpoint } from '../athlete/standpoint'
import { usualSecondsOf } from '../athlete/athlete'
import { metresOnFoot, slopeOf } from '../athlete/grade'
import type { ResolvedTarget } from '../athlete/resolve'
import { resolveTarget } from '../athlete/resolve'
import { outward } from '../athlete/round-target'
import type { Ends } from '../quantity/band'
import { toMetres } from '../quantity/distance'
import { pedalJoulesOf } from '../quantity/energy'
import type { Nudging } from '../nudge/nudging'
import type { End, PlaceOfSession, SessionSport, Sport, Step } from '../session/document'
import { remembered } from '../session/settled'
import type { Interval } from './interval'
import { exactly, roundInterval, unknown, zero } from './interval'
import type { SpeedReading } from './speed'
import { metresIn, secondsOver, speedOfStep } from './speed'

export interface ReckonedTarget {
  of: string
  easiest: number | null
  hardest: number | null
  unit: string
  to?: { easiest: number | null; hardest: number | null }
}

interface Measured {
  seconds: Interval
  metres: Interval
  swimSeconds?: Interval
  isOpen: boolean
}

/** The seconds a step's energy takes: the work of a ride over its power, the metres of its cost on foot. */
function energySeconds(
  kilocalories: number,
  slope: number,
  target: ResolvedTarget | undefined,
  speed: Interval,
  standpoint: Standpoint,
  sport: Sport,
): Interval {
  const aboutFifteen = (seconds: number): Interval => ({ low: seconds * 0.85, likely: seconds, high: seconds * 1.15 })
  if (sport === 'ride' && target?.of === 'power') {
    const watts = [target.said.easiest, target.said.hardest].filter(value => value !== undefined)
    const mean = watts.reduce((sum, value) => sum + value, 0) / watts.length
    return aboutFifteen(pedalJoulesOf(kilocalories) / mean)
  }
  const { massKg } = standpoint.athlete
  if (sport !== 'run' || massKg === undefined || !speed.likely) return unknown
  return aboutFifteen(metresOnFoot(kilocalories, massKg, slope) / speed.likely)
}

/** A send-off lasts until its clock, or until the touch where that comes later; with no speed known it is taken as made. */
function untilTheClock(swim: Interval, clock: number): Interval {
  if (swim.likely === null) return exactly(clock)
  return {
    low: Math.max(swim.low ?? 0, clock),
    likely: Math.max(swim.likely, clock),
    high: swim.high === null ? null : Math.max(swim.high, clock),
  }
}

const leastKnown = (a: number | null, b: number | null) => (a === null ? b : b === null ? a : Math.min(a, b))

/** The range of whichever comes first; nothing is known of its low end unless both are. */
function firstOf(a: Interval, b: Interval): Interval {
  const high = leastKnown(a.high, b.high)
  const likely = leastKnown(leastKnown(a.likely, b.likely), high)
  const low = a.low === null || b.low === null ? null : Math.min(a.low, b.low)
  return { low, likely, high }
}

function measure(
  end: End,
  step: Step,
  target: ResolvedTarget | undefined,
  speed: Interval,
  standpoint: Standpoint,
  sport: Sport,
  isLast: boolean,
): Measured {
  switch (end.on) {
    case 'time': {
      const seconds = exactly(end.seconds)
      return { seconds, metres: metresIn(seconds, speed), isOpen: false }
    }
    case 'distance': {
      const metres = toMetres(end)
      return {
        seconds: step.role === 'rest' ? unknown : secondsOver(metres, speed),
        metres: step.role === 'rest' ? zero : exactly(metres),
        isOpen: false,
      }
    }
    case 'press':
    case 'heart-rate': {
      const seconds: Interval = { low: 0, likely: usualSecondsOf(standpoint.athlete, step.role), high: null }
      return { seconds, metres: step.role === 'rest' ? zero : metresIn(seconds, speed), isOpen: true }
    }
    case 'energy': {
      const seconds = energySeconds(end.kilocalories, slopeOf(step.grade), target, speed, standpoint, sport)
      return { seconds, metres: metresIn(seconds, speed), isOpen: false }
    }
    case 'send-off': {
      const metres = toMetres(end)
      const swimSeconds = secondsOver(metres, speed)
      const seconds = isLast ? swimSeconds : untilTheClock(swimSeconds, end.seconds)
      return { seconds, metres: exactly(metres), swimSeconds, isOpen: false }
    }
    case 'first': {
      const [a, b] = end.of.map(part => measure(part, step, target, speed, standpoint, sport, isLast)) as [Measured, Measured]
      return { seconds: firstOf(a.seconds, b.seconds), metres: firstOf(a.metres, b.metres), isOpen: a.isOpen && b.isOpen }
    }
  }
}

/** Parts of a unit that a reckoned target is told in: finer than a watch holds it. */
const partsToldIn = (unit: string) => (unit === 'm/s' ? 1e4 : 1e3)

function reckonedTarget({ of, unit, to, ...band }: ResolvedTarget): ReckonedTarget {
  const ends = (said: Ends) => {
    const { easiest = null, hardest = null } = outward(said, partsToldIn(unit))
    return { easiest, hardest }
  }
  return { of, ...ends(band), unit, ...(to ? { to: ends(to) } : {}) }
}

/** A remark on one step, before it is known where the step stands. */
export type StepNote = { code: 'target-unresolved' | 'time-unknown' | 'distance-unknown'; missing: Missing } | { code: 'speed-guessed' }

/** What a step comes to by itself, wherever it stands. */
export interface MeasuredStep extends Measured {
  target?: ReckonedTarget
  /** What is not known of it. */
  noted: StepNote[]
}

/**
 * What one step comes to.
 *
 * @param nudging how the watch judges, for the room of a point
 * @param isLast the last send-off of a session ends at the touch
 */
export const measureStep = remembered(
  (
    step: Step,
    sport: SessionSport,
    place: PlaceOfSession['kind'] | undefined,
    standpoint: Standpoint,
    nudging: Nudging,
    isLast: boolean,
  ): MeasuredStep => {
    if (sport === 'multi') {
      const { seconds, isOpen } = measure(step.end, step, undefined, unknown, standpoint, 'run', isLast)
      return { seconds, metres: unknown, isOpen, noted: [] }
    }
    const noted: StepNote[] = []
    let target: ResolvedTarget | undefined
    if (step.target) {
      const resolution = resolveTarget(step.target, standpoint, {
        sport,
        stepMetres: metresOfEnd(step.end),
        nudging,
        place,
        slope: slopeOf(step.grade),
      })
      if (resolution.ok) target = resolution.target
      else noted.push({ code: 'target-unresolved', missing: resolution.missing })
    }
    const reading: SpeedReading =
      step.target && !target && step.role === 'work' ? { speed: unknown } : speedOfStep(step, target, standpoint, sport, place)
    const { swimSeconds, ...measured } = measure(step.end, step, target, reading.speed, standpoint, sport, isLast)
    if (reading.isGuessed) noted.push({ code: 'speed-guessed' })
    if (reading.missing) {
      if (measured.seconds.likely === null) noted.push({ code: 'time-unknown', missing: reading.missing })
      else if (measured.metres.likely === null) noted.push({ code: 'distance-unknown', missing: reading.missing })
    }
    return {
      ...(target ? { target: Object.freeze(reckonedTarget(target)) } : {}),
      ...measured,
      ...(swimSeconds ? { swimSeconds: roundInterval(swimSeconds) } : {}),
      noted,
    }
  },
)
