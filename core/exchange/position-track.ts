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

/** Metres of a degree where it is longest. */
const mostPerDegree = radians(1) * earthRadius
/** Faster than this nobody goes who runs, rides or swims, in m/s. */
const fastest = 45
/** So many positions on end that lie apart from those before are a new place, not an error of one. */
const enoughToMove = 5

/**
 * Takes out the positions that a receiver without a view of the sky gives: zero north and zero east, in the sea, and single ones
 * that nobody could have come to in the time. A row of them that agree is a place one was carried to, and stays.
 *
 * @param t seconds, increasing
 * @param lat degrees, NaN where there is none
 * @returns how many were taken out; the columns are changed in place
 */
export function cleanPositions(t: readonly number[], lat: number[], lon: number[]): number {
  let [dropped, before] = [0, -1]
  let apart: number[] = []
  const drop = (index: number) => {
    lat[index] = Number.NaN
    lon[index] = Number.NaN
    dropped++
  }
  const isWithin = (from: number, to: number) => {
    const most = fastest * (t[to]! - t[from]!) + 30
    const degrees = Math.abs(lat[to]! - lat[from]!) + Math.abs(lon[to]! - lon[from]!)
    if (degrees * mostPerDegree <= most) return true
    return metresBetween({ lat: lat[from]!, lon: lon[from]! }, { lat: lat[to]!, lon: lon[to]! }) <= most
  }
  for (let index = 0; index < t.length; index++) {
    if (!Number.isFinite(lat[index]) || !Number.isFinite(lon[index])) continue
    if (lat[index] === 0 && lon[index] === 0) {
      drop(index)
      continue
    }
    if (before < 0 || isWithin(before, index)) {
      apart.forEach(drop)
      apart = []
      before = index
      continue
    }
    if (apart.length > 0 && !isWithin(apart.at(-1)!, index)) {
      apart.forEach(drop)
      apart = []
    }
    apart.push(index)
    if (apart.length === enoughToMove) {
      before = index
      apart = []
    }
  }
  apart.forEach(drop)
  return dropped
}
