import { metresPer } from '../quantity/distance'
import type { PlaceOfSession, Sport } from '../session/document'
import { lapMetres } from './lap'

export interface SplitUnit {
  name: string
  metres: number
}

/** The lengths that splits are told for in a sport and place: a pool's own length, a lane's own lap. */
export function splitUnits(sport: Sport, place?: PlaceOfSession): SplitUnit[] {
  if (sport === 'swim') {
    const yard = place?.kind === 'pool' && place.unit === 'yd'
    const hundred = yard ? { name: '100 yd', metres: 100 * metresPer.yd } : { name: '100 m', metres: 100 }
    return place?.kind === 'pool' ? [{ name: 'length', metres: place.length * metresPer[place.unit] }, hundred] : [hundred]
  }
  const common = [
    { name: '1 km', metres: 1000 },
    { name: '1 mi', metres: metresPer.mi },
  ]
  if (sport === 'ride') return common
  const lap = place?.kind === 'track' ? [{ name: 'lap', metres: lapMetres(place.lane ?? 1) }] : []
  return [{ name: '100 m', metres: 100 }, { name: '200 m', metres: 200 }, { name: '400 m', metres: 400 }, ...lap, ...common]
}

export interface Split {
  metres: number
  seconds: number
}

/**
 * The clock at each whole unit of a distance held at one speed, and at its end.
 *
 * @param metres more than zero; at most 10 000 splits are told
 * @param speed m/s, more than zero
 * @example splitsOf(1000, 4, 400) // 400 m in 100 s, 800 m in 200 s, 1000 m in 250 s
 */
export function splitsOf(metres: number, speed: number, unitMetres: number): Split[] {
  if (!(metres > 0) || !(speed > 0) || !(unitMetres > 0)) return []
  const whole = Math.min(10_000, Math.floor(metres / unitMetres + 1e-9))
  const splits = Array.from({ length: whole }, (_, index) => ({
    metres: (index + 1) * unitMetres,
    seconds: ((index + 1) * unitMetres) / speed,
  }))
  if (whole * unitMetres < metres - 1e-6) splits.push({ metres, seconds: metres / speed })
  return splits
}

/**
 * A distance in a pool as it can be swum: whole lengths, rounded up, as one comes back to the wall.
 *
 * @example poolLengths(110, 25) // { lengths: 5, metres: 125 }
 */
export function poolLengths(metres: number, lengthMetres: number): { lengths: number; metres: number } {
  const lengths = Math.max(1, Math.ceil(metres / lengthMetres - 1e-9))
  return { lengths, metres: lengths * lengthMetres }
}
