import ICAL from 'ical.js'
import { dayInZone, daysFrom, isCalendarDay, isTimeZone, minutesInZone, momentAt } from '../quantity/day'

/** One event of a calendar file on one day of the athlete's. */
export interface ReadEvent {
  /** The same for the same event, however often the file comes; of one that recurs, with the day it stands for. */
  uid: string
  day: string
  /** Minutes after midnight by the athlete's clock; null for a whole day. */
  start: number | null
  /** How long it takes, in minutes; null for a whole day, or where nothing says it. */
  minutes: number | null
  title: string
  isCancelled: boolean
}

/** Why an event of the file is not among those read. */
export type LeftOutWhy = 'no-day' | 'before' | 'after' | 'too-many' | 'rule' | 'unknown-zone'
export type ReadCalendar =
  { ok: true; name: string; events: ReadEvent[]; leftOut: { title: string; why: LeftOutWhy }[] } | { ok: false; problem: string }

export interface ReadCalendarOptions {
  /** Days that are wanted, both included. */
  from: string
  to: string
  timeZone: string
}

/** Bytes of a file that are looked at. */
export const calendarBytes = 4 * 1024 * 1024
/** Events of one file that are taken in. */
export const calendarEvents = 3000
const mostOfOne = 400
/** Occurrences looked at before the first that is wanted, over the whole file. */
const mostSteps = 60_000
const longestTitle = 500

const twoDigits = (value: number) => String(value).padStart(2, '0')
const dayOf = (time: ICAL.Time) => `${String(time.year).padStart(4, '0')}-${twoDigits(time.month)}-${twoDigits(time.day)}`

/** Where a time falls by the athlete's clock; null where it names a zone that nobody knows. */
function placed(time: ICAL.Time, tzid: string | null, timeZone: string): { day: string; start: number | null } | null {
  if (!isCalendarDay(dayOf(time))) return null
  if (time.isDate) return { day: dayOf(time), start: null }
  const zone = time.zone as ICAL.Timezone | null
  const shown = time.hour * 60 + time.minute
  const inZone = (moment: Date) => ({ day: dayInZone(moment, timeZone), start: minutesInZone(moment, timeZone) })
  if (zone && zone !== ICAL.Timezone.localTimezone) return inZone(new Date(time.toUnixTime() * 1000))
  if (tzid === null) return { day: dayOf(time), start: shown }
  return isTimeZone(tzid) ? inZone(momentAt(dayOf(time), shown, tzid)) : null
}

const tzidOf = (component: ICAL.Component): string | null => {
  const value = component.getFirstProperty('dtstart')?.getParameter('tzid')
  return typeof value === 'string' ? value : null
}

interface Reading extends ReadCalendarOptions {
  events: ReadEvent[]
  leftOut: { title: string; why: LeftOutWhy }[]
  steps: number
}

function lengthOf(event: ICAL.Event): number | null {
  if (event.startDate.isDate) return null
  const minutes = Math.round(event.duration.toSeconds() / 60)
  return minutes > 0 && minutes <= 2880 ? minutes : null
}

/** Reads one event, with all its occurrences that are wanted. */
function readEvent(event: ICAL.Event, reading: Reading): void {
  const title = (event.summary ?? '').trim().slice(0, longestTitle) || 'Without a name'
  const leave = (why: LeftOutWhy) => void reading.leftOut.push({ title, why })
  const { startDate, component } = event
  if (!startDate) return leave('no-day')
  const status = component.getFirstPropertyValue('status')
  const common = { title, minutes: lengthOf(event), isCancelled: typeof status === 'string' && status.toUpperCase() === 'CANCELLED' }
  const take = (time: ICAL.Time, uid: string): LeftOutWhy | null => {
    const place = placed(time, tzidOf(component), reading.timeZone)
    if (!place) return isCalendarDay(dayOf(time)) ? 'unknown-zone' : 'no-day'
    if (place.day < reading.from) return 'before'
    if (place.day > reading.to) return 'after'
    if (reading.events.length >= calendarEvents) return 'too-many'
    reading.events.push({ uid, ...place, ...common })
    return null
  }
  if (!event.isRecurring()) {
    const of = event.recurrenceId ? ` ${dayOf(event.recurrenceId)}` : ''
    const why = take(startDate, `${event.uid ?? title}${of}`)
    return why === null ? undefined : leave(why)
  }
  let taken = 0
  for (const occurrences = event.iterator(); ;) {
    const time = occurrences.next() as ICAL.Time | undefined
    if (!time || dayOf(time) > daysFrom(reading.to, 1)) break
    if (++reading.steps > mostSteps || taken >= mostOfOne) return leave('too-many')
    const { item, startDate: at, recurrenceId } = event.getOccurrenceDetails(time)
    if (item !== event) continue
    const why = take(at, `${event.uid ?? title} ${dayOf(recurrenceId)}`)
    if (why === null) taken++
    else if (why !== 'before' && why !== 'after') return leave(why)
  }
  if (taken === 0) leave('before')
}

function componentsIn(text: string): { component: ICAL.Component; name: string }[] {
  const parsed = ICAL.parse(text) as unknown[]
  const calendars = (Array.isArray(parsed[0]) ? parsed : [parsed]) as unknown[][]
  return calendars.map(one => {
    const component = new ICAL.Component(one as never)
    const name = component.getFirstPropertyValue('x-wr-calname') ?? component.getFirstPropertyValue('name')
    return { component, name: typeof name === 'string' ? name : '' }
  })
}

/**
 * Reads a calendar file: each event on its day and at its time by the athlete's own clock, those that recur day by day.
 *
 * What could go on without an end has bounds, but a rule that never comes true may keep its library busy for ever: whoever reads a
 * stranger's file does so where it can be ended.
 *
 * @returns the events between the two days, and each one left out with the reason; a problem where the text is no calendar
 * @source RFC 5545
 */
export function readIcs(text: string, options: ReadCalendarOptions): ReadCalendar {
  if (text.length > calendarBytes) return { ok: false, problem: `The file is larger than ${calendarBytes / 1024 / 1024} MB, the limit.` }
  const reading: Reading = { ...options, events: [], leftOut: [], steps: 0 }
  let name = ''
  try {
    const calendars = componentsIn(text)
    if (!calendars.every(({ component }) => component.name === 'vcalendar')) return { ok: false, problem: 'The file is no calendar.' }
    for (const { component, name: own } of calendars) {
      name ||= own
      const parts = component.getAllSubcomponents('vevent')
      const exceptions = parts.filter(part => part.getFirstProperty('recurrence-id'))
      for (const part of parts) {
        const isException = exceptions.includes(part)
        const uid = part.getFirstPropertyValue('uid')
        const event = new ICAL.Event(part, {
          strictExceptions: true,
          exceptions: isException ? [] : exceptions.filter(other => other.getFirstPropertyValue('uid') === uid),
        } as never)
        try {
          readEvent(event, reading)
        } catch {
          reading.leftOut.push({
            title: String(part.getFirstPropertyValue('summary') ?? 'Without a name').slice(0, longestTitle),
            why: 'rule',
          })
        }
      }
    }
  } catch (error) {
    return { ok: false, problem: `The file is no calendar: ${(error as Error).message.slice(0, 200)}.` }
  }
  return { ok: true, name, events: reading.events, leftOut: reading.leftOut }
}
