import type { Standpoint } from '../athlete/standpoint'
import { heartOf } from '../athlete/athlete'
import { ceilingBpm } from '../athlete/ceiling'
import type { Session } from '../session/document'
import { itemAt, sportAt } from '../session/item-path'
import { reserveAtCritical } from '../athlete/critical-share'
import type { IntensitySegment } from './intensity'

export interface HeartPoint {
  t: number
  bpm: number
}
export interface HeartCourse {
  points: HeartPoint[]
  highest: { bpm: number; t: number; path: string; round: number[] }
  /** The first step in which a ceiling is likely crossed. */
  crossed: { t: number; path: string; round: number[]; above: number } | null
}

const tau = { up: 30, down: 50 }
const drift = { fromMinutes: 20, bpmPerMinute: 0.3 }
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
    const reading = ceiling && ceilingBpm(ceiling, standpoint.athlete, sport === 'multi' ? 'run' : sport)
    return reading && 'bpm' in reading ? [reading.bpm] : []
  })
  return known.length === 0 ? null : Math.min(...known)
}

/**
 * Heart rate some seconds on at one share of critical: first order toward rest plus the share of reserve, 30 s up and 50 s down,
 * and 0.3 bpm more a minute after 20 min of work. Standing still it goes to 12 bpm above rest.
 *
 * @param worked seconds of work so far
 */
export function heartAfter(
  bpm: number,
  { rest, max }: { rest: number; max: number },
  share: number,
  worked: number,
  seconds: number,
): number {
  const drifted = Math.max(0, worked / 60 - drift.fromMinutes) * drift.bpmPerMinute
  const aim = share === 0 ? rest + 12 : Math.min(max, rest + (max - rest) * Math.min(1, reserveAtCritical * share) + drifted)
  return bpm + (aim - bpm) * (1 - Math.exp(-seconds / (aim > bpm ? tau.up : tau.down)))
}

/**
 * Heart rate through a session: first order toward rest plus the share of reserve, 30 s up and 50 s down, and 0.3 bpm more
 * a minute after 20 min of work. An own simplification; within 10 bpm on an ordinary day.
 *
 * @returns null without a maximum and a resting heart rate
 * @source on-kinetics as in Bunc et al. (1988); Bearden & Moffatt (2001)
 */
export function heartThrough(
  segments: readonly IntensitySegment[],
  standpoint: Standpoint,
  ceilingOf: (path: string) => number | null = () => null,
): HeartCourse | null {
  const first = segments[0]
  if (!first) return null
  const { rest, max } = heartOf(standpoint.athlete, first.sport)
  if (rest === undefined || max === undefined || max <= rest) return null
  let t = 0
  let worked = 0
  let bpm = rest + 12
  const points: HeartPoint[] = [{ t, bpm }]
  let highest: HeartCourse['highest'] = { bpm, t, path: first.path, round: first.round }
  let crossed: HeartCourse['crossed'] = null
  for (const { path, round, seconds, from, to } of segments) {
    const ceiling = ceilingOf(path)
    const slices = Math.max(1, Math.min(720, Math.ceil(seconds / sliceSeconds)))
    const length = seconds / slices
    for (let slice = 0; slice < slices; slice++) {
      const share = from + ((to - from) * (slice + 0.5)) / slices
      bpm = heartAfter(bpm, { rest, max }, share, worked, length)
      t += length
      if (share > 0) worked += length
      points.push({ t, bpm })
      if (bpm > highest.bpm) highest = { bpm, t, path, round }
      if (crossed === null && ceiling !== null && bpm > ceiling) crossed = { t, path, round, above: ceiling }
    }
  }
  return { points, highest, crossed }
}
