import { dayInZone, weekdayOf } from '../quantity/day'

/** How an athlete wants days and times said: the order of day and month, or as ISO 8601 has it; and the clock's hours. */
export interface DateForms {
  dates: 'day-first' | 'month-first' | 'iso'
  clock: '24' | '12'
}

export const usualForms: DateForms = { dates: 'day-first', clock: '24' }

/** What of a day is said beside day and month. */
export interface DateParts {
  weekday?: 'short' | 'long'
  year?: boolean
}

const monthNames = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const dayNames = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']

/** The name of a day of the week, 0 is Sunday. */
export const sayWeekday = (weekday: number, length: 'short' | 'long' = 'long'): string =>
  length === 'long' ? dayNames[weekday]! : dayNames[weekday]!.slice(0, 3)

/**
 * A day of the calendar as the athlete wants it said.
 *
 * @param day ISO date
 * @example sayDay('2026-03-31', { weekday: 'short' }) // 'Tue 31 Mar'
 * @example sayDay('2026-03-31', { year: true }, { dates: 'month-first', clock: '12' }) // 'Mar 31, 2026'
 */
export function sayDay(day: string, { weekday, year }: DateParts = {}, { dates }: DateForms = usualForms): string {
  const [years, months, days] = day.split('-').map(Number) as [number, number, number]
  const name = weekday ? sayWeekday(weekdayOf(day), weekday) : ''
  const month = monthNames[months - 1]!
  const said = {
    'iso': day,
    'day-first': `${days} ${month}${year ? ` ${years}` : ''}`,
    'month-first': `${month} ${days}${year ? `, ${years}` : ''}`,
  }[dates]
  return name ? `${name} ${said}` : said
}

/** The month of a day: `Mar 2026`, or `2026-03`. */
export const sayMonth = (day: string, { dates }: DateForms = usualForms): string =>
  dates === 'iso' ? day.slice(0, 7) : `${monthNames[Number(day.slice(5, 7)) - 1]} ${day.slice(0, 4)}`

/** The day of an instant in a zone, as the athlete wants it said. */
export const sayDayOf = (instant: Date, timeZone: string, parts: DateParts = {}, forms: DateForms = usualForms): string =>
  sayDay(dayInZone(instant, timeZone), parts, forms)

/**
 * The time of day of an instant in a zone: `06:30`, or `6:30 am`.
 *
 * @param timeZone name of the IANA database
 */
export function sayTimeOf(instant: Date, timeZone: string, { clock }: DateForms = usualForms): string {
  const form = new Intl.DateTimeFormat('en-GB', { timeZone, hour: 'numeric', minute: 'numeric', hourCycle: 'h23' })
  const parts = form.formatToParts(instant)
  const part = (type: 'hour' | 'minute') => Number(parts.find(one => one.type === type)!.value)
  return sayClock(part('hour') * 60 + part('minute'), clock)
}

/**
 * A time of day.
 *
 * @param minutes since midnight, 0 to 1439
 * @example sayClock(810, '12') // '1:30 pm'
 */
export function sayClock(minutes: number, clock: DateForms['clock'] = '24'): string {
  const [hour, minute] = [Math.floor(minutes / 60), String(minutes % 60).padStart(2, '0')]
  return clock === '24' ? `${String(hour).padStart(2, '0')}:${minute}` : `${hour % 12 || 12}:${minute} ${hour < 12 ? 'am' : 'pm'}`
}
