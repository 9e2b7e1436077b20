import type { ResolvedMeasure } from '../../athlete/resolve'
import { bandAlong } from '../../quantity/band'
import type { ProgramTarget } from '../program/program'

export type Side = 'inside' | 'too-easy' | 'too-hard'

/** Where a value, in the target's own unit, stands to the band; a missing side is open. */
export function sideOf(value: number, target: ProgramTarget, share = 0): Side {
  const band = bandAlong(target, share)
  if (band.easiest !== undefined && value < band.easiest) return 'too-easy'
  if (band.hardest !== undefined && value > band.hardest) return 'too-hard'
  return 'inside'
}

export interface SensorSample {
  t: number
  metres: number | null
  heartRate: number | null
  power: number | null
  cadence: number | null
  lat?: number | null
  lon?: number | null
  altitude?: number | null
}

/**
 * The smoothing window moved on to a new reading: the readings of the last `seconds`, and the one before them, so that
 * a speed has a way to be measured over.
 */
export function slide(window: readonly SensorSample[], reading: SensorSample, seconds: number): SensorSample[] {
  const next = [...window, reading]
  let drop = 0
  while (drop + 1 < next.length - 1 && next[drop + 1]!.t <= reading.t - seconds + 1e-9) drop++
  return drop === 0 ? next : next.slice(drop)
}

/** Mean of a column over a window, without the samples that have no signal; null where none has. */
function meanOf(window: readonly SensorSample[], column: 'power' | 'heartRate' | 'cadence'): number | null {
  let [sum, count] = [0, 0]
  for (const sample of window) {
    const value = sample[column]
    if (value === null) continue
    sum += value
    count++
  }
  return count === 0 ? null : sum / count
}

/**
 * The smoothed value that a target is judged by, from the readings of the smoothing window, oldest first.
 *
 * @returns m/s, W, bpm or rpm, as the measure has it; null when the window has no signal: a dropout is not judged
 */
export function smoothedValue(of: ResolvedMeasure, window: readonly SensorSample[]): number | null {
  switch (of) {
    case 'pace': {
      const first = window[0]
      const last = window.at(-1)
      if (!first || !last || first.metres === null || last.metres === null || last.t <= first.t) return null
      return (last.metres - first.metres) / (last.t - first.t)
    }
    case 'power':
      return meanOf(window, 'power')
    case 'heart-rate':
      return meanOf(window, 'heartRate')
    case 'cadence':
      return meanOf(window, 'cadence')
    case 'rpe':
      return null
  }
}
