/** A number with its range; null where nothing can be said. */
export interface Interval {
  low: number | null
  likely: number | null
  high: number | null
}

export const exactly = (value: number): Interval => ({ low: value, likely: value, high: value })
export const unknown: Interval = { low: null, likely: null, high: null }
export const zero: Interval = exactly(0)

const plus = (a: number | null, b: number | null) => (a === null || b === null ? null : a + b)

/** The sum of two ranges, end by end; a null in either end makes that end null. */
export function add(a: Interval, b: Interval): Interval {
  return { low: plus(a.low, b.low), likely: plus(a.likely, b.likely), high: plus(a.high, b.high) }
}

/** Every end through a function that keeps order; the unit is the function's. An end not known stays null. */
export function mapInterval(interval: Interval, by: (value: number) => number): Interval {
  const through = (value: number | null) => (value === null ? null : by(value))
  return { low: through(interval.low), likely: through(interval.likely), high: through(interval.high) }
}

/** Rounds every end to a number of decimals, so that no sum of floats shows. */
export function roundInterval({ low, likely, high }: Interval, decimals = 1): Interval {
  const factor = 10 ** decimals
  return {
    low: low === null ? null : Math.round(low * factor) / factor,
    likely: likely === null ? null : Math.round(likely * factor) / factor,
    high: high === null ? null : Math.round(high * factor) / factor,
  }
}
