/** Where a clock takes its time from, in milliseconds. */
export interface TimeSources {
  /** Goes on evenly, but on some phones not while they sleep. */
  steady: () => number
  /** The time of day, which may be set while a run is going. */
  day: () => number
}

const differsBy = 2000

/**
 * Elapsed seconds of a run: even while the page is awake, whatever becomes of the time of day, and with the time that a phone has slept.
 *
 * Trap: a time of day that has jumped is a sleep only when the page was hidden meanwhile; else somebody has set the clock.
 */
export function runClock(from: number, { steady, day }: TimeSources) {
  let seconds = from
  let last = { steady: steady(), day: day() }
  let wasHidden = false
  return {
    hidden: () => (wasHidden = true),
    now(): number {
      const here = { steady: steady(), day: day() }
      const [even, ofDay] = [Math.max(0, here.steady - last.steady), here.day - last.day]
      const isSleep = wasHidden && ofDay - even > differsBy
      seconds += (isSleep ? ofDay : even) / 1000
      last = here
      wasHidden = false
      return seconds
    },
  }
}
