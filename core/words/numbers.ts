import type { Sport, ZoneMeasure } from '../session/document'

/** How a number is derived: its method, where that comes from, and what would change the number, in words. */
export interface MethodWords {
  method: string
  source: string
  changes: string
}

const riegel = 'Riegel, American Scientist 69 (1981)'
const daniels = 'Daniels & Gilbert, Oxygen Power (1979)'
/** The source of a share that is nobody's but ours. */
const ownCustom = 'custom of this application'
const aRace = 'a race or time trial'
const heartChanges = 'a new maximum, resting or threshold heart rate'
const trials = 'two all-out efforts of 2 to 15 min'

export const methodWords = {
  raceLaw: { method: 'power law', source: riegel, changes: aRace },
  raceLawHour: { method: 'power law, held for 60 min', source: riegel, changes: aRace },
  oxygen: { method: 'oxygen model', source: daniels, changes: aRace },
  oxygenHour: { method: 'oxygen model, held for 60 min', source: daniels, changes: aRace },
  criticalLine: { method: 'line of work on time', source: 'Monod & Scherrer (1965); Moritani et al. (1981)', changes: trials },
  criticalSwim: { method: 'line of work on time', source: 'Wakayoshi et al. (1992, 1993)', changes: '200 m and 400 m all out' },
  curve45: { method: 'held for 45 min on the curve of the marks', source: ownCustom, changes: trials },
  steadyShare: { method: '88 % of critical', source: ownCustom, changes: 'a new critical speed or power' },
  easyShare: { method: '78 % of critical', source: ownCustom, changes: 'a new critical speed or power' },
  heartOfAge: { method: '208 - 0.7 age', source: 'Tanaka et al., JACC 37 (2001)', changes: 'a maximum seen in a hard finish' },
  heartReserve: { method: '70 % of heart-rate reserve', source: 'Karvonen et al. (1957); the share is custom', changes: heartChanges },
  heartMaximum: { method: '77 % of maximum', source: ownCustom, changes: heartChanges },
  heartThreshold: { method: '85 % of threshold', source: ownCustom, changes: heartChanges },
} as const satisfies Record<string, MethodWords>

/** What else weakens a derived number. */
export type NumberWeakness = 'exponent-clamped' | 'exponent-customary' | 'one-race' | 'no-trials' | 'crowd-estimate' | 'hardly-known'

const weaknesses: Readonly<Record<NumberWeakness, string>> = {
  'exponent-clamped': 'held to 1.02-1.15: the efforts alone would say more or less',
  'exponent-customary': 'customary: one effort tells no exponent',
  'one-race': 'from one race, rough',
  'no-trials': 'no two marks of 2 to 20 min tell it',
  'hardly-known': 'hardly known: its range is wider than itself',
  'crowd-estimate': 'an estimate for a crowd, not for you',
}

export const sayNumberWeakness = (weakness: NumberWeakness): string => weaknesses[weakness]

/** What a number is derived from, as a code with its fields. */
export type NumberInput =
  | { code: 'effort'; metres?: number; watts?: number; seconds: number; date: string }
  | { code: 'age' | 'maximum' | 'at rest' | 'threshold'; value: number }
  | { code: 'critical-power'; watts: number }
  | { code: 'critical-speed'; metresPerSecond: number }
  | { code: 'own-zones' }

export function sayNumberInput(input: NumberInput): string {
  switch (input.code) {
    case 'effort': {
      const amount = input.metres !== undefined ? `${Math.round(input.metres)} m` : `${input.watts} W`
      return `${amount} in ${Math.round(input.seconds)} s, ${input.date}`
    }
    case 'critical-power':
      return `critical power ${Math.round(input.watts)} W`
    case 'critical-speed':
      return `critical speed ${Math.round(input.metresPerSecond * 1000) / 1000} m/s`
    case 'own-zones':
      return 'own zones'
    default:
      return `${input.code} ${input.value}`
  }
}

/** How the bounds of zones are told. */
export type ZoneMethod = 'own' | 'critical-shares' | 'heart-tenths' | 'two-thresholds' | 'threshold-and-share'

/** The method of zones as it stands behind their name. */
export function sayZoneMethod(method: ZoneMethod, of: ZoneMeasure): string {
  switch (method) {
    case 'own':
      return 'your own'
    case 'critical-shares':
      return `shares of critical ${of === 'power' ? 'power' : 'speed'}, custom`
    case 'heart-tenths':
      return 'tenths of the maximum, Edwards (1993)'
    case 'two-thresholds':
      return 'two thresholds, Seiler & Kjerland (2006)'
    case 'threshold-and-share':
      return 'two thresholds, the first reckoned as 82 % of the second'
  }
}

/** The bound of a zone as a derived number: its name, source and what would change it. */
export const zoneWords = (method: ZoneMethod, of: ZoneMeasure, zone: number): MethodWords & { name: string } => ({
  name: `${of.replace('-', ' ')} zone ${zone} begins`,
  method: sayZoneMethod(method, of),
  source: method === 'own' ? 'set by you' : of === 'heart-rate' ? 'Edwards (1993)' : ownCustom,
  changes: 'own zones, or the number they are shares of',
})

/** What critical intensity is called in a sport, where it is a speed. */
export const sayCriticalSpeed = (sport: Sport): string => (sport === 'swim' ? 'critical swim speed' : 'critical speed')
