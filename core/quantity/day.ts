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

/** The day at a moment in a time zone, wherever the asking machine stands. */
export function dayInZone(moment: Date, timeZone: string): string {
  return new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(moment)
}
