import { median } from '../quantity/mean'
import type { Recording } from './recording'
import type { ShapeSignal } from './shape-signal'
import { meanOf, shapeSignal } from './shape-signal'

/** Repeats that were found in a recording without a plan. */
export interface FoundIntervals {
  count: number
  /** What they have in common: a length in metres, or in seconds. */
  metres: number | null
  seconds: number
  /** Between two of them, in the middle. */
  recoverySeconds: number
  /** In m/s, or W. */
  mean: number
  of: 'speed' | 'power'
  /** Before the first and behind the last. */
  warmUpSeconds: number
  coolDownSeconds: number
}

const smoothing = 5
const shortest = 15
const fewest = 3
/** Hard stretches are at least that much harder than what lies between. */
const contrast = 1.12
/** How much the members of one set may differ. */
const alike = 0.14

const spread = (values: readonly number[]) => {
  const middle = median(values)
  return Math.sqrt(values.reduce((sum, value) => sum + (value / middle - 1) ** 2, 0) / values.length)
}

/**
 * The share that parts values into two kinds with the least spread within each.
 *
 * @source N. Otsu, A threshold selection method from gray-level histograms, IEEE Trans SMC 9 (1979)
 */
function threshold(values: readonly number[]): number {
  const bins = 60
  const most = Math.max(
    ...values.slice(0, 1),
    values.reduce((high, value) => Math.max(high, value), 0),
  )
  const counts = new Array<number>(bins).fill(0)
  for (const value of values) counts[Math.min(bins - 1, Math.floor((value / most) * bins))]!++
  const total = values.length
  const sum = counts.reduce((all, count, bin) => all + bin * count, 0)
  let [below, sumBelow, best, at] = [0, 0, -1, bins / 2]
  for (let bin = 0; bin < bins; bin++) {
    below += counts[bin]!
    sumBelow += bin * counts[bin]!
    if (below === 0 || below === total) continue
    const between = below * (total - below) * (sumBelow / below - (sum - sumBelow) / (total - below)) ** 2
    if (between > best) [best, at] = [between, bin + 1]
  }
  return (at / bins) * most
}

interface Stretch {
  from: number
  to: number
}

/** Stretches above a share, those shorter than is worth a word left out; where the edge lies, the signal is half way. */
function stretchesOver(signal: ShapeSignal, level: number): Stretch[] {
  const at = (second: number) => meanOf(signal, Math.max(0, second - smoothing), Math.min(signal.seconds, second + smoothing)) ?? 0
  const stretches: Stretch[] = []
  let from: number | null = null
  for (let second = 0; second <= signal.seconds; second++) {
    const isHard = second < signal.seconds && at(second) >= level
    if (isHard) from ??= second
    else if (from !== null) {
      if (second - from >= shortest) stretches.push({ from, to: second })
      from = null
    }
  }
  return stretches
}

/** Members of a set may be cut in two by a moment's slack, and are one again. */
const joined = (stretches: readonly Stretch[]): Stretch[] =>
  stretches.reduce<Stretch[]>((all, stretch) => {
    const last = all.at(-1)
    if (last && stretch.from - last.to < 8) last.to = stretch.to
    else all.push({ ...stretch })
    return all
  }, [])

/** Lengths that are run, ridden or swum, in metres: what was meant is the nearest. */
const usualLengths = [50, 100, 150, 200, 250, 300, 400, 500, 600, 800, 1000, 1200, 1500, 1600, 2000, 3000, 4000, 5000, 8000, 10_000]
const nearest = (values: readonly number[], value: number) =>
  values.reduce((best, one) => (Math.abs(one / value - 1) < Math.abs(best / value - 1) ? one : best))

/**
 * Looks for repeats in a recording that no plan led: hard stretches that are alike in length or time, with easier ones between.
 *
 * @param isPool counted in lengths
 * @returns null where there are not at least three of them
 */
export function findIntervals(recording: Recording, isPool = false): FoundIntervals | null {
  if (recording.sport === 'multi') return null
  const signal = shapeSignal(recording, recording.sport === 'ride', isPool)
  if (!signal || signal.of === 'heart-rate') return null
  const values = Array.from({ length: signal.seconds }, (_, second) => meanOf(signal, second, second + 1)).filter(value => value !== null)
  const level = threshold(values)
  const all = joined(stretchesOver(signal, level))
  const seconds = (stretch: Stretch) => stretch.to - stretch.from
  const metres = (stretch: Stretch) => signal.metres[stretch.to]! - signal.metres[stretch.from]!
  if (all.length < fewest) return null
  const typical = median(all.map(seconds))
  const set = all.filter(stretch => Math.abs(seconds(stretch) / typical - 1) <= alike)
  if (set.length < fewest || set.length < 0.7 * all.length) return null
  const [first, last] = [set[0]!, set.at(-1)!]
  const rests = set.slice(1).map((stretch, index) => ({ from: set[index]!.to, to: stretch.from }))
  const hard = set.reduce((sum, stretch) => sum + (meanOf(signal, stretch.from, stretch.to) ?? 0), 0) / set.length
  const easy = rests.reduce((sum, rest) => sum + (meanOf(signal, rest.from, rest.to) ?? 0), 0) / rests.length
  if (hard < contrast * easy || spread(rests.map(seconds)) > 0.35) return null
  const lengths = set.map(metres)
  const isByLength = recording.sport !== 'ride' && lengths.every(Number.isFinite) && spread(lengths) < spread(set.map(seconds)) * 1.2
  const usual = nearest(usualLengths, median(lengths))
  const isUsual = Math.abs(usual / median(lengths) - 1) < 0.06
  return {
    count: set.length,
    metres: isByLength && isUsual ? usual : null,
    seconds: Math.round(typical / 5) * 5,
    recoverySeconds: Math.max(5, Math.round(median(rests.map(seconds)) / 5) * 5),
    mean: hard * signal.reference,
    of: signal.of,
    warmUpSeconds: Math.round(first.from / 30) * 30,
    coolDownSeconds: Math.round((signal.seconds - last.to) / 30) * 30,
  }
}
