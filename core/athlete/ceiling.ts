import type { Ceiling, Sport } from '../session/document'
import { heartFor } from './heart'
import type { Standpoint } from './standpoint'

/**
 * A ceiling in beats per minute, by the heart of the sport it holds in: a leg's ceiling goes by the leg's sport.
 *
 * @returns bpm, or which heart rate of the athlete is missing
 * @example ceilingBpm({ of: 'heart-rate', above: 90, unit: '%HRmax' }, withMaximum180, 'run') // { bpm: 162 }
 */
export function ceilingBpm(
  { above, unit }: Ceiling,
  standpoint: Standpoint,
  sport: Sport,
): { bpm: number } | { missing: 'max' | 'threshold' } {
  if (unit === undefined || unit === 'bpm') return { bpm: above }
  const base = unit === '%HRmax' ? 'max' : 'threshold'
  const heart = heartFor(standpoint, sport)[base]
  return heart === undefined ? { missing: base } : { bpm: Math.floor((heart * above) / 100) }
}
