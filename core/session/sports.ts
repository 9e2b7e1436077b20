import type { PaceUnit } from '../quantity/units'
import type { PlaceKind, Sport, ZoneMeasure } from './document'

/** What differs from sport to sport. A new sport is one entry here, and the tests that fail until every room knows it. */
export interface SportFacts {
  /** As a heading. */
  title: string
  /** The units an athlete may choose for distances; the first where they have chosen none. */
  units: readonly ('km' | 'mi' | 'm' | 'yd')[]
  /** The pace that a speed is said in: metres of one pace, and its unit by the athlete's unit of distance. */
  paceMetres: number
  paceUnits: Readonly<Record<string, Exclude<PaceUnit, 's/step'>>>
  /** Whether a speed is read as a pace or as a rate on the glass. */
  speedIsPace: boolean
  /** Which critical intensities an athlete can have here; the first is what efforts go by. */
  critical: readonly ('speed' | 'power')[]
  /** What zones can count, and what `Z4` counts where the athlete says nothing. */
  zoneMeasures: readonly ZoneMeasure[]
  defaultMeasure: ZoneMeasure
  cadenceUnit: 'rpm' | 'spm'
  /** Where it is done. */
  places: readonly PlaceKind[]
  /** The customary exponent of race times (Riegel 1981). */
  raceExponent: number
  /** Room of the band school `even`, in seconds of a pace to each side. */
  evenSeconds: number
  /** Whether hills change what a speed costs on foot. */
  isOnFoot: boolean
  /** The track type in GPX. */
  gpxType: string
  /** Words that tell the sport of a text that names none, each by itself. */
  signs: readonly RegExp[]
}

const pacesByKilometre = { km: 's/km', mi: 's/mi', m: 's/km', yd: 's/mi' } as const

export const sports: Readonly<Record<Sport, SportFacts>> = {
  swim: {
    title: 'Swim',
    units: ['m', 'yd'],
    paceMetres: 100,
    paceUnits: { m: 's/100m', yd: 's/100yd', km: 's/100m', mi: 's/100m' },
    speedIsPace: true,
    critical: ['speed'],
    zoneMeasures: ['pace', 'heart-rate'],
    defaultMeasure: 'pace',
    cadenceUnit: 'spm',
    places: ['pool', 'open-water'],
    raceExponent: 1.03,
    evenSeconds: 3,
    isOnFoot: false,
    gpxType: 'swimming',
    signs: [
      /\bpool\b|\bfree(?:style)?\b|\b(?:back|breast)stroke\b|\bfly\b|\bopen[\s-]water\b/i,
      /\b(?:kick|pull buoy|paddles|medley|IM|CSS|swim|catch-up|fins|send[\s-]?off|lengths)\b/i,
      /\d:[0-5]\d\s*\/\s*100\s*(?:m|yd)\b/i,
      /\d(?:\s*(?:m|yd))?\s+(?:(?!s\b|sec|min|hard|off)[a-z-]+\s+){0,2}on\s+(?:the\s+)?\d+[:'"\d]/i,
    ],
  },
  ride: {
    title: 'Ride',
    units: ['km', 'mi'],
    paceMetres: 1000,
    paceUnits: pacesByKilometre,
    speedIsPace: false,
    critical: ['power'],
    zoneMeasures: ['power', 'heart-rate'],
    defaultMeasure: 'power',
    cadenceUnit: 'rpm',
    places: ['outdoors', 'trainer', 'road', 'trail'],
    raceExponent: 1.05,
    evenSeconds: 5,
    isOnFoot: false,
    gpxType: 'cycling',
    signs: [
      /\bFTP\b/i,
      /\brpm\b|\btrainer\b|(?<![:\d])\d+\s*[Ww]\b(?!\s*\d|\/)|\bwatts?\b/i,
      /\b(?:ride|bike|cycle|spin|spinning|turbo|cadence\s+\d{2}(?!\d))\b/i,
    ],
  },
  run: {
    title: 'Run',
    units: ['km', 'mi'],
    paceMetres: 1000,
    paceUnits: pacesByKilometre,
    speedIsPace: true,
    critical: ['speed', 'power'],
    zoneMeasures: ['heart-rate', 'pace', 'power'],
    defaultMeasure: 'heart-rate',
    cadenceUnit: 'spm',
    places: ['road', 'trail', 'track', 'treadmill'],
    raceExponent: 1.06,
    evenSeconds: 5,
    isOnFoot: true,
    gpxType: 'running',
    signs: [],
  },
}

/** The sports in the order they are shown. */
export const sportNames: readonly Sport[] = ['run', 'ride', 'swim']

/** Whether an athlete can have a critical speed, or a critical power, in a sport. */
export const hasCritical = (sport: Sport, of: 'speed' | 'power'): boolean => sports[sport].critical.includes(of)
