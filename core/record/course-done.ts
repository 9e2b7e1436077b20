import type { Standpoint } from '../athlete/standpoint'
import { abilityOf } from '../athlete/ability'
import { flatSpeedOf } from '../athlete/grade'
import type { IntensitySegment } from '../forecast/intensity'
import type { UsedForecast } from '../forecast/level'
import { usedOf } from '../forecast/level'
import { metresAt, sampleAt } from './align'
import { shapeSignal } from './shape-signal'
import type { Recording } from './recording'
import { meanBetween, movingBetween, pausesOf } from './splits'

/** Seconds of a stretch whose intensity is taken as one. */
const stretch = 15
/** Slopes are told over no fewer metres than that. */
const slopeOver = 30

/** Samples of a swim that is counted at the walls: in most of them nothing was covered. */
const stillInLengths = 0.6
function isByLengths({ samples: { metres } }: Recording): boolean {
  const known = metres.filter(value => value !== null)
  const still = known.filter((value, index) => index > 0 && value === known[index - 1]).length
  return still > stillInLengths * known.length
}

/**
 * The share used by what was done: each fifteen seconds at its mean power on the bike, at its mean speed on foot, hills by their
 * cost, and in the water. Pauses are rest.
 *
 * @returns null where the sport is more than one, or its numbers are not known
 */
export function usedDone(recording: Recording, standpoint: Standpoint): UsedForecast | null {
  const { sport, samples } = recording
  if (sport === 'multi') return null
  const ability = abilityOf(standpoint, sport)
  if (!ability) return null
  const { t, power, altitude } = samples
  const pauses = pausesOf(recording)
  const swum = sport === 'swim' && isByLengths(recording) ? shapeSignal(recording, false, true)?.metres : undefined
  const wayAt = (time: number) => (swum ? (swum[Math.min(swum.length - 1, Math.round(time))] ?? null) : metresAt(recording, time))
  const end = t.at(-1) ?? 0
  /** Told over a little more than the stretch, so that an unsteady instrument makes no hills. */
  const slopeAround = (from: number, to: number): number => {
    const [before, after] = [Math.max(0, from - stretch), Math.min(end, to + stretch)]
    const [low, high] = [altitude?.[sampleAt(t, before)] ?? null, altitude?.[sampleAt(t, after)] ?? null]
    const way = (metresAt(recording, after) ?? 0) - (metresAt(recording, before) ?? 0)
    return low === null || high === null || way < slopeOver ? 0 : (high - low) / way
  }
  const intensityOf = (from: number, to: number, seconds: number): number | null => {
    const [first, last] = [sampleAt(t, from), sampleAt(t, to)]
    if (sport === 'ride') return meanBetween(power, first, last)
    const [start, finish] = [wayAt(from), wayAt(to)]
    if (start === null || finish === null) return null
    return flatSpeedOf((finish - start) / seconds, sport === 'run' ? slopeAround(from, to) : 0)
  }
  const segments: IntensitySegment[] = []
  for (let from = 0; from < end; from += stretch) {
    const to = Math.min(end, from + stretch)
    const moving = movingBetween(pauses, from, to)
    const value = moving > 0 ? intensityOf(from, to, to - from) : 0
    const share = value === null ? 0 : Math.max(0, value) / ability.critical
    segments.push({ path: '', round: [], role: 'work', sport, seconds: to - from, from: share, to: share })
  }
  const isKnown = segments.some(({ from }) => from > 0)
  return isKnown ? usedOf({ segments, leftOut: [], missing: [] }, standpoint) : null
}
