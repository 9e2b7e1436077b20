/** A place as the platform tells it. */
export interface Fix {
  /** Seconds. */
  t: number
  lat: number
  lon: number
  /** Radius in metres that the true place is likely within. */
  accuracy: number
  altitude?: number | null
}

interface Axis {
  at: number
  speed: number
  pp: number
  ps: number
  ss: number
}

/** What is believed of place, speed and way after the fixes so far. */
export interface PositionState {
  t: number
  origin: { lat: number; lon: number }
  north: Axis
  east: Axis
  metres: number
  /** Smoothed, in m/s. */
  speed: number
  /** Fixes in a row that were not believed. */
  doubted: number
}

const metresPerDegree = 111_195
/** How fast a body on foot or a bicycle changes its speed, in m/s². */
const liveliness = 0.5
const poorestAccuracy = 60
const gapSeconds = 12
/** Slower than this is standing: what moves then is the position's own wandering. */
const standing = 0.5
const beliefAtMost = 4
const doubtsAtMost = 4

const freshAxis = (at: number, accuracy: number): Axis => ({ at, speed: 0, pp: accuracy ** 2, ps: 0, ss: 9 })

/** The believed state of one axis some seconds on, its doubt grown by what a body may have done meanwhile. */
function ahead(axis: Axis, seconds: number): Axis {
  const q = liveliness ** 2
  return {
    at: axis.at + axis.speed * seconds,
    speed: axis.speed,
    pp: axis.pp + 2 * seconds * axis.ps + seconds ** 2 * axis.ss + (q * seconds ** 4) / 4,
    ps: axis.ps + seconds * axis.ss + (q * seconds ** 3) / 2,
    ss: axis.ss + q * seconds ** 2,
  }
}

function corrected(axis: Axis, measured: number, variance: number): Axis {
  const sum = axis.pp + variance
  const [gainAt, gainSpeed] = [axis.pp / sum, axis.ps / sum]
  const off = measured - axis.at
  return {
    at: axis.at + gainAt * off,
    speed: axis.speed + gainSpeed * off,
    pp: (1 - gainAt) * axis.pp,
    ps: (1 - gainAt) * axis.ps,
    ss: axis.ss - gainSpeed * axis.ps,
  }
}

const begin = (fix: Fix): PositionState => ({
  t: fix.t,
  origin: { lat: fix.lat, lon: fix.lon },
  north: freshAxis(0, fix.accuracy),
  east: freshAxis(0, fix.accuracy),
  metres: 0,
  speed: 0,
  doubted: 0,
})

/** The filter as it goes on from a place and a way known before, as after a restart: the way to the next fix is joined straight. */
export const resumeAt = (fix: Fix, metres: number): PositionState => ({ ...begin(fix), metres })

/** Metres north and east of where the filter began; good to a thousandth within some tens of kilometres. */
function planeOf(fix: Pick<Fix, 'lat' | 'lon'>, origin: PositionState['origin']): [number, number] {
  return [(fix.lat - origin.lat) * metresPerDegree, (fix.lon - origin.lon) * metresPerDegree * Math.cos((origin.lat * Math.PI) / 180)]
}

/**
 * Way and speed from a run of positions: a filter of constant speed weighs each fix by its accuracy, so that way is what a body has
 * moved and not what its position has wandered. A fix that a body cannot have reached is passed over, unless several agree; behind a
 * gap, as of a tunnel, the way is joined straight.
 *
 * @param before null for the first fix
 * @returns the state unchanged for a fix too poor, or not later than the last
 * @source Kalman, J Basic Eng 82 (1960); the discrete model of white acceleration
 */
export function follow(before: PositionState | null, fix: Fix): PositionState | null {
  if (!(fix.accuracy <= poorestAccuracy) || !Number.isFinite(fix.lat) || !Number.isFinite(fix.lon)) return before
  if (before === null) return begin(fix)
  const seconds = fix.t - before.t
  if (!(seconds > 0)) return before
  const accuracy = Math.max(2, fix.accuracy)
  const [north, east] = planeOf(fix, before.origin)
  if (seconds > gapSeconds) {
    const straight = Math.hypot(north - before.north.at, east - before.east.at)
    return {
      ...before,
      t: fix.t,
      north: freshAxis(north, accuracy),
      east: freshAxis(east, accuracy),
      doubted: 0,
      speed: 0,
      metres: before.metres + Math.max(0, straight - accuracy),
    }
  }
  const [towardNorth, towardEast] = [ahead(before.north, seconds), ahead(before.east, seconds)]
  const off = Math.hypot(north - towardNorth.at, east - towardEast.at)
  const doubt = Math.sqrt(Math.max(towardNorth.pp, towardEast.pp) + accuracy ** 2)
  if (off > beliefAtMost * doubt && before.doubted < doubtsAtMost) return { ...before, doubted: before.doubted + 1 }
  const isMoved = off > beliefAtMost * doubt
  const nextNorth = isMoved ? freshAxis(north, accuracy) : corrected(towardNorth, north, accuracy ** 2)
  const nextEast = isMoved ? freshAxis(east, accuracy) : corrected(towardEast, east, accuracy ** 2)
  const speed = Math.hypot(nextNorth.speed, nextEast.speed)
  return {
    ...before,
    t: fix.t,
    north: nextNorth,
    east: nextEast,
    doubted: 0,
    speed: speed < standing ? 0 : speed,
    metres: before.metres + (speed < standing ? 0 : speed * seconds),
  }
}
