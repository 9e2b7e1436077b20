import type { Standpoint } from '../athlete/standpoint'
import { wholeHeart } from '../athlete/heart'
import { ceilingBpm } from '../athlete/ceiling'
import type { Session, Sport } from '../session/document'
import { itemAt, sportAt } from '../session/item-path'
import type { Heart } from '../physiology/heart'
import { heartAfter, heartAt } from '../physiology/heart'
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

/** How far an ordinary day may be off, in bpm. */
const dayRange = 10
const sliceSeconds = 10

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
    const reading = ceiling && ceilingBpm(ceiling, standpoint, sport === 'multi' ? 'run' : sport)
    return reading && 'bpm' in reading ? [reading.bpm] : []
  })
  return known.length === 0 ? null : Math.min(...known)
}

/**
 * Heart rate through a session, never under rest nor over the maximum of the sport. An own simplification; within 10 bpm on an
 * ordinary day.
 *
 * @returns null without a maximum and a resting heart rate in one of its sports
 * @source as in `core/physiology/heart.ts`
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
    const heart = wholeHeart(standpoint, sport)
    if (!heart) return null
    hearts.set(sport, heart)
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
