const dayMilliseconds = 86_400_000
const time = (day: string) => Date.parse(`${day}T00:00:00Z`)

/** Whether a session's day is a date, and not only the name of a day. */
export const isDate = (day: string | undefined): day is string => day !== undefined && /^\d/.test(day)

/**
 * Whether a text is a day of the calendar, written as ISO 8601 has it, between the years 1900 and 2199.
 *
 * @example isCalendarDay('2026-02-29') // false: 2026 is no leap year
 */
export const isCalendarDay = (text: string): boolean =>
  /^(?:19|20|21)\d{2}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(time(text)) && new Date(time(text)).toISOString().slice(0, 10) === text

/** Whether a name is that of a time zone which this machine knows. */
export function isTimeZone(name: string): boolean {
  try {
    Intl.DateTimeFormat('en', { timeZone: name })
    return true
  } catch {
    return false
  }
}

/** The day that is so many days from another, both ISO dates. */
export const daysFrom = (day: string, days: number): string => new Date(time(day) + days * dayMilliseconds).toISOString().slice(0, 10)

/**
 * How many days one day is after another, both ISO dates; below zero where it is before.
 *
 * @example daysBetween('2026-03-28', '2026-03-30') // 2, also over a turn of the clocks
 */
export const daysBetween = (from: string, to: string): number => (time(to) - time(from)) / dayMilliseconds

/** Which day of the week it is: 0 is Sunday. */
export const weekdayOf = (day: string): number => new Date(time(day)).getUTCDay()

/**
 * The first day of the week that a day is in.
 *
 * @param weekStart 1 is Monday, 7 Sunday
 * @example weekOf('2026-04-01', 1) // 2026-03-30
 */
export const weekOf = (day: string, weekStart: number): string => daysFrom(day, -((weekdayOf(day) - (weekStart % 7) + 7) % 7))

/** The seven days of a week from its first on. */
export const daysOfWeek = (first: string): string[] => Array.from({ length: 7 }, (_, offset) => daysFrom(first, offset))

/** The day at a moment in a time zone, wherever the asking machine stands. */
export function dayInZone(moment: Date, timeZone: string): string {
  return new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(moment)
}

const clocks = new Map<string, Intl.DateTimeFormat>()

/** Milliseconds that a zone's clock is ahead of UTC at a moment. */
function aheadAt(moment: number, timeZone: string): number {
  let clock = clocks.get(timeZone)
  if (!clock) {
    const whole = { year: 'numeric', month: 'numeric', day: 'numeric', hour: 'numeric', minute: 'numeric', second: 'numeric' } as const
    clock = new Intl.DateTimeFormat('en-US', { timeZone, hourCycle: 'h23', ...whole })
    clocks.set(timeZone, clock)
  }
  const shown = Object.fromEntries(clock.formatToParts(moment).map(({ type, value }) => [type, Number(value)]))
  const wall = Date.UTC(shown.year!, shown.month! - 1, shown.day, shown.hour, shown.minute, shown.second)
  return wall - Math.floor(moment / 1000) * 1000
}

/**
 * The moment at which a zone's clocks show a time of a day. A time that the clocks pass twice is the first of the two; one that
 * they leave out is as much later as they were put on.
 *
 * @param minutes after midnight, 0 to 1440; 1440 is midnight at the end of the day
 * @example momentAt('2026-03-29', 150, 'Europe/Oslo') // 01:30 UTC, which is 03:30 there: half past two was left out
 */
export function momentAt(day: string, minutes: number, timeZone: string): Date {
  const wall = time(day) + minutes * 60_000
  const [before, after] = [wall - aheadAt(wall - dayMilliseconds, timeZone), wall - aheadAt(wall + dayMilliseconds, timeZone)]
  const isShown = (moment: number) => moment + aheadAt(moment, timeZone) === wall
  return new Date(isShown(before) || !isShown(after) ? before : after)
}

/** Minutes after midnight that a zone's clocks show at a moment. */
export function minutesInZone(moment: Date, timeZone: string): number {
  const shown = new Date(moment.getTime() + aheadAt(moment.getTime(), timeZone))
  return shown.getUTCHours() * 60 + shown.getUTCMinutes()
}
