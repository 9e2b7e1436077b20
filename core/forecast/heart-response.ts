import type { Standpoint } from '../athlete/standpoint'
import { heartOf } from '../athlete/athlete'
import { ceilingBpm } from '../athlete/ceiling'
import type { Session, Sport } from '../session/document'
import { itemAt, sportAt } from '../session/item-path'
import { reserveAtCritical } from '../athlete/critical-share'
import type { IntensitySegment } from './intensity'

export interface HeartPoint {
  t: number
  bpm: number
}
export interface HeartCourse {
  points: HeartPoint[]
  /** Where it is highest, with the range of an ordinary day. */
  highest: { bpm: number; low: number; high: number; t: number; path: string; round: number[] }
  /** The first step in which a ceiling is likely crossed. */
  crossed: { t: number; path: string; round: number[]; above: number } | null
}

const tau = { up: 30, down: 50 }
/** Above this share of critical the heart drifts, by more of its value the harder it is, and settles after an hour or so. */
const drift = { from: 0.6, full: 0.7, least: 0.05, most: 0.08, seconds: 1500 }
/** The share of critical at which the heart is at its maximum. */
const shareAtMaximum = 1.12
const standing = 12
/** How far an ordinary day may be off, in bpm. */
const dayRange = 10
const sliceSeconds = 10

/** The numbers of a heart, in bpm. */
export interface Heart {
  rest: number
  max: number
  threshold?: number | undefined
}

/**
 * The heart rate that an intensity comes to after a while, without drift.
 *
 * @param share of critical, 0 or more; at 1 threshold heart rate, or 88 % of the reserve where that is not known
 * @returns bpm, within rest and maximum
 */
export function heartAt(share: number, { rest, max, threshold }: Heart): number {
  if (share <= 0) return Math.min(max, rest + standing)
  const known = threshold !== undefined && threshold > rest && threshold < max
  const atCritical = known ? (threshold - rest) / (max - rest) : reserveAtCritical
  const of = share <= 1 ? atCritical * share : atCritical + ((1 - atCritical) * (share - 1)) / (shareAtMaximum - 1)
  return rest + (max - rest) * Math.min(1, of)
}

/** How much of its value the heart rate has drifted up, after so many seconds of work. */
function drifted(share: number, worked: number): number {
  const begun = Math.min(1, Math.max(0, (share - drift.from) / (drift.full - drift.from)))
  const most = drift.least + (drift.most - drift.least) * Math.min(1, Math.max(0, (share - drift.from) / (1 - drift.from)))
  return begun * most * (1 - Math.exp(-worked / drift.seconds))
}

/** The lowest ceiling that holds at a path, in bpm; null where none does or its number is missing. */
export function ceilingAt(session: Session, path: string, standpoint: Standpoint): number | null {
  const parts = path.split('.')
  const items = parts.map((_, index) => itemAt(session, parts.slice(0, index + 1).join('.')))
  const ceilings = [
    session.ceiling,
    ...items.map(item => (item && (item.kind === 'step' || item.kind === 'block') ? item.ceiling : undefined)),
  ]
  const sport = sportAt(session, path)
  const known = ceilings.flatMap(ceiling => {
    const reading = ceiling && ceilingBpm(ceiling, standpoint.athlete, sport === 'multi' ? 'run' : sport)
    return reading && 'bpm' in reading ? [reading.bpm] : []
  })
  return known.length === 0 ? null : Math.min(...known)
}

/**
 * Heart rate some seconds on at one share of critical: first order toward where that intensity comes to, 30 s up and 50 s down,
 * with a drift of up to 5-8 % after an hour or more above about 60 % of critical.
 *
 * @param worked seconds of work so far
 * @param aimed where the step aims at a heart rate: that one, in bpm
 */
export function heartAfter(bpm: number, heart: Heart, share: number, worked: number, seconds: number, aimed?: number): number {
  const aim = aimed ?? Math.min(heart.max, heartAt(share, heart) * (1 + drifted(share, worked)))
  const within = Math.min(heart.max, Math.max(heart.rest, aim))
  return bpm + (within - bpm) * (1 - Math.exp(-seconds / (within > bpm ? tau.up : tau.down)))
}

/**
 * Heart rate through a session, never under rest nor over the maximum of the sport. An own simplification; within 10 bpm on an
 * ordinary day.
 *
 * @returns null without a maximum and a resting heart rate in one of its sports
 * @source on-kinetics as in Bunc et al. (1988); drift: Coyle & Gonzalez-Alonso, Exerc Sport Sci Rev 29 (2001)
 */
export function heartThrough(
  segments: readonly IntensitySegment[],
  standpoint: Standpoint,
  ceilingOf: (path: string) => number | null = () => null,
): HeartCourse | null {
  const first = segments[0]
  if (!first) return null
  const hearts = new Map<Sport, Heart>()
  for (const { sport } of segments) {
    const { rest, max, threshold } = heartOf(standpoint.athlete, sport)
    if (rest === undefined || max === undefined || max <= rest) return null
    hearts.set(sport, { rest, max, threshold })
  }
  let t = 0
  let worked = 0
  let bpm = heartAt(0, hearts.get(first.sport)!)
  const points: HeartPoint[] = [{ t, bpm }]
  let highest: HeartCourse['highest'] = { bpm, low: bpm, high: bpm, t, path: first.path, round: first.round }
  let crossed: HeartCourse['crossed'] = null
  for (const { path, round, sport, seconds, from, to, bpm: aimed } of segments) {
    const heart = hearts.get(sport)!
    bpm = Math.min(bpm, heart.max)
    const ceiling = ceilingOf(path)
    const slices = Math.max(1, Math.min(720, Math.ceil(seconds / sliceSeconds)))
    const length = seconds / slices
    for (let slice = 0; slice < slices; slice++) {
      const share = from + ((to - from) * (slice + 0.5)) / slices
      bpm = heartAfter(bpm, heart, share, worked, length, aimed)
      t += length
      if (share > 0) worked += length
      points.push({ t, bpm })
      if (bpm > highest.bpm)
        highest = { bpm, low: Math.max(heart.rest, bpm - dayRange), high: Math.min(heart.max, bpm + dayRange), t, path, round }
      if (crossed === null && ceiling !== null && bpm > ceiling) crossed = { t, path, round, above: ceiling }
    }
  }
  return { points, highest, crossed }
}
