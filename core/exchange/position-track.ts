import type { Column } from '../record/recording'

/** Mean radius of the earth in metres. */
const earthRadius = 6_371_008.8
const radians = (degrees: number) => (degrees * Math.PI) / 180

/**
 * The way between two positions in metres, along a great circle.
 *
 * @source haversine formula, R. W. Sinnott, 1984
 */
export function metresBetween(from: { lat: number; lon: number }, to: { lat: number; lon: number }): number {
  const height =
    Math.sin(radians(to.lat - from.lat) / 2) ** 2 +
    Math.cos(radians(from.lat)) * Math.cos(radians(to.lat)) * Math.sin(radians(to.lon - from.lon) / 2) ** 2
  return 2 * earthRadius * Math.asin(Math.min(1, Math.sqrt(height)))
}

/** The way covered at each position, from zero at the first; null where there is none. */
export function wayAlong(lat: Column, lon: Column): Column {
  let way = 0
  let before: { lat: number; lon: number } | null = null
  return lat.map((north, index) => {
    const east = lon[index] ?? null
    if (north === null || east === null) return null
    const here = { lat: north, lon: east }
    if (before) way += metresBetween(before, here)
    before = here
    return Math.round(way * 100) / 100
  })
}
