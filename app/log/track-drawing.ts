import type { Recording } from '~~/core/record/recording'
import type { ScoredStep } from '~~/core/record/score'

/** A track as lines in a box, north up, with its true proportions. */
export interface TrackDrawing {
  width: number
  height: number
  /** The whole way, and the parts of it that were work. */
  whole: string
  work: string[]
  start: { x: number; y: number }
  /** Pixels of a length that is easily told, and its metres. */
  scale: { pixels: number; metres: number }
}

const pointsAtMost = 1500
const box = { width: 560, height: 320, room: 14 }
const metresPerDegree = 111_195

/**
 * Draws a track without a map below it: longitudes shortened by the cosine of the latitude.
 *
 * @returns null where there are no positions, or no way between them
 */
export function drawTrack({ samples }: Recording, work: readonly Pick<ScoredStep, 'startsAt' | 'endsAt'>[]): TrackDrawing | null {
  const { t, lat, lon } = samples
  if (!lat || !lon) return null
  const known = t.flatMap((time, index) => {
    const [north, east] = [lat[index] ?? null, lon[index] ?? null]
    return north === null || east === null ? [] : [{ t: time, north, east }]
  })
  const every = Math.max(1, Math.ceil(known.length / pointsAtMost))
  const points = known.filter((_, index) => index % every === 0 || index === known.length - 1)
  if (points.length < 2) return null
  const middle = points.reduce((sum, { north }) => sum + north, 0) / points.length
  const shrink = Math.cos((middle * Math.PI) / 180)
  const [xs, ys] = [points.map(({ east }) => east * shrink), points.map(({ north }) => -north)]
  const least = (values: number[]) => values.reduce((low, value) => Math.min(low, value), Infinity)
  const most = (values: number[]) => values.reduce((high, value) => Math.max(high, value), -Infinity)
  const [left, top] = [least(xs), least(ys)]
  const [wide, high] = [most(xs) - left, most(ys) - top]
  if (Math.max(wide, high) * metresPerDegree < 20) return null
  const per = Math.min((box.width - 2 * box.room) / (wide || 1e-9), (box.height - 2 * box.room) / (high || 1e-9))
  const placed = points.map(({ t: time }, index) => ({
    t: time,
    x: Math.round(((xs[index]! - left) * per + box.room) * 10) / 10,
    y: Math.round(((ys[index]! - top) * per + box.room) * 10) / 10,
  }))
  const path = (part: typeof placed) => part.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('')
  const easy = [10_000, 5000, 2000, 1000, 500, 200, 100, 50, 20, 10]
  const metres = easy.find(length => (length / metresPerDegree) * per <= box.width / 3) ?? 10
  return {
    width: Math.ceil(wide * per + 2 * box.room),
    height: Math.ceil(high * per + 2 * box.room),
    whole: path(placed),
    work: work.flatMap(({ startsAt, endsAt }) => {
      const part = placed.filter(point => startsAt !== null && endsAt !== null && point.t >= startsAt && point.t <= endsAt)
      return part.length > 1 ? [path(part)] : []
    }),
    start: placed[0]!,
    scale: { pixels: (metres / metresPerDegree) * per, metres },
  }
}
