import { splitsOf } from '../reckon/splits'

export type Pacing = 'even' | 'negative' | 'progressive'

export interface PacedSplit {
  metres: number
  seconds: number
  elapsed: number
}

/**
 * The splits of a distance in a time, paced evenly, with a faster second half, or a little faster with every split.
 *
 * @param change how much faster, as a share of the mean speed: the second half over the first, or the last split over the
 *   first; 0 to 0.2, not looked at for even pacing
 * @returns the last split may be shorter; the elapsed time of the last is exactly `seconds`
 * @example pacedSplits(10000, 2820, 5000, 'negative', 0.02) // 23:44 and 23:16
 */
export function pacedSplits(metres: number, seconds: number, unitMetres: number, pacing: Pacing, change = 0): PacedSplit[] {
  if (!(metres > 0) || !(seconds > 0)) return []
  const share = Math.min(0.2, Math.max(0, change))
  const marks = splitsOf(metres, metres / seconds, unitMetres).map(split => split.metres)
  const speedAt = (at: number) => {
    if (pacing === 'even') return 1
    if (pacing === 'negative') return at < 0.5 ? 1 - share / 2 : 1 + share / 2
    return 1 - share / 2 + share * at
  }
  const slices = 400
  const weightOf = (from: number, to: number) => {
    let sum = 0
    for (let slice = 0; slice < slices; slice++) sum += 1 / speedAt((from + ((to - from) * (slice + 0.5)) / slices) / metres)
    return (sum / slices) * (to - from)
  }
  const weights = marks.map((mark, index) => weightOf(marks[index - 1] ?? 0, mark))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  let elapsed = 0
  return marks.map((mark, index) => {
    const own = (seconds * weights[index]!) / total
    elapsed = index === marks.length - 1 ? seconds : elapsed + own
    return { metres: mark - (marks[index - 1] ?? 0), seconds: own, elapsed }
  })
}
