import type { DateForms } from '../words/date'
import { sayClock } from '../words/date'
import type { Interval } from './interval'

/** Minutes after midnight, 0 to below 1440, and how many days later (or earlier, below zero). */
export interface ClockTime {
  minutes: number
  days: number
}

const clockOf = (minutes: number): ClockTime => {
  const days = Math.floor(minutes / 1440)
  return { minutes: minutes - days * 1440, days }
}

/**
 * When one is home who starts at a clock time.
 *
 * @param start minutes after midnight
 * @returns each end rounded up to the minute; null where the session's length is not known at that end
 * @example homeBy(390, exactly(3600)).likely // { minutes: 450, days: 0 }, 07:30
 */
export function homeBy(start: number, seconds: Interval): { low: ClockTime | null; likely: ClockTime | null; high: ClockTime | null } {
  const at = (value: number | null) => (value === null ? null : clockOf(start + Math.ceil(value / 60)))
  return { low: at(seconds.low), likely: at(seconds.likely), high: at(seconds.high) }
}

/**
 * When to start to be home by a clock time, by the likely length and by the longest.
 *
 * @param home minutes after midnight
 * @returns rounded down to the minute; days below zero: the day before
 */
export function startFor(home: number, seconds: Interval): { likely: ClockTime | null; safe: ClockTime | null } {
  const at = (value: number | null) => (value === null ? null : clockOf(home - Math.ceil(value / 60)))
  return { likely: at(seconds.likely), safe: at(seconds.high) }
}

/** Reads `06:30`, `6:30`, `6.30` or `630` as minutes after midnight; null when it is no clock time. */
export function parseClockTime(text: string): number | null {
  const match = /^\s*(\d{1,2})(?:[:.h]?(\d{2}))?\s*$/.exec(text)
  if (!match) return null
  const [hours, minutes] = [Number(match[1]), Number(match[2] ?? 0)]
  return hours < 24 && minutes < 60 ? hours * 60 + minutes : null
}

/** Says a clock time: `07:30`, or `7:30 am`. */
export const sayClockTime = ({ minutes, days }: ClockTime, clock?: DateForms['clock']): string =>
  `${sayClock(minutes, clock)}${days === 0 ? '' : days === 1 ? ' next day' : days === -1 ? ' the day before' : ` ${days} days later`}`
