import type { Sport, ZoneMeasure } from '../session/document'
import { sayCriticalSpeed } from './numbers'

/**
 * What would have to be known for a number to be told, as a code with its fields. It travels as data; the sentence is made
 * where it is shown.
 */
export type Missing =
  | { code: 'heart-max' | 'heart-threshold' | 'heart-reserve'; sport: Sport }
  | { code: 'critical-power' | 'critical-speed' | 'reserve'; sport: Sport }
  | { code: 'critical-power-and-speed' }
  | { code: 'race' | 'goal' | 'easy-pace' | 'target-or-easy-pace'; sport: Sport }
  | { code: 'own-zones'; of: ZoneMeasure; sport: Sport }
  | { code: 'zone'; zone: number; zones: number }
  | { code: 'bounded-zones' | 'percent-offset' | 'smaller-offset' | 'step-distance' | 'step-times' | 'trainer-distance' | 'ride-distance' }

/** What is missing, in words that go behind "needs". */
export function sayMissing(missing: Missing): string {
  switch (missing.code) {
    case 'heart-max':
      return 'maximum heart rate'
    case 'heart-threshold':
      return 'threshold heart rate'
    case 'heart-reserve':
      return 'maximum and resting heart rate'
    case 'critical-power':
      return missing.sport === 'ride' ? 'critical power on the bike' : `critical power in the ${missing.sport}`
    case 'critical-speed':
      return sayCriticalSpeed(missing.sport)
    case 'reserve':
      return missing.sport === 'ride'
        ? "W' on the bike"
        : missing.sport === 'run'
          ? "D' of the run"
          : "a D' for the swim, which this application does not reckon with"
    case 'critical-power-and-speed':
      return 'critical power and critical speed'
    case 'race':
      return `a ${missing.sport} race or time trial`
    case 'goal':
      return `a goal race for the ${missing.sport}`
    case 'easy-pace':
      return `an easy pace for the ${missing.sport}`
    case 'target-or-easy-pace':
      return `a target, or an easy pace for the ${missing.sport}`
    case 'own-zones':
      return `own ${missing.of} zones for the ${missing.sport}`
    case 'zone':
      return `a zone ${missing.zone}: there are ${missing.zones}`
    case 'bounded-zones':
      return 'fewer zones: all of them together bound nothing'
    case 'percent-offset':
      return 'an offset in percent: a power has no seconds'
    case 'smaller-offset':
      return 'an offset smaller than the pace itself'
    case 'step-distance':
      return "the step's own distance"
    case 'step-times':
      return 'how long each step takes'
    case 'trainer-distance':
      return 'a place where one moves: a trainer covers no distance'
    case 'ride-distance':
      return '%CP or W: a running distance means nothing on the bike'
  }
}

/** Whether two things missing are the same one. */
export const isSameMissing = (one: Missing, other: Missing): boolean => sayMissing(one) === sayMissing(other)
