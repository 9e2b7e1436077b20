import ical, { ICalAlarmType } from 'ical-generator'
import type { PlanKind } from '../plan/entry'
import type { CalendarTimes } from '../plan/times'
import { usualStart } from '../plan/times'
import { momentAt } from '../quantity/day'

/** One thing of the plan as a calendar shows it. */
export interface CalendarEntry {
  id: string
  day: string
  kind: PlanKind
  title: string
  /** What is to be done, in words; empty where there is nothing to say. */
  words: string
  /** How long it is likely to take; null where that is not known. */
  seconds: number | null
  /** When it, or what it shows, was changed last. */
  changedAt: Date
}

/** How a calendar shows it: on whole days, or when the athlete usually trains. */
export interface CalendarWays {
  name: string
  timeZone: string
  times: CalendarTimes | null
  /** Minutes before the beginning that it rings; null for never. A whole day begins at midnight. */
  alarm: number | null
}

/** What ends the id of each entry of ours in a calendar, so that it is known again. */
export const ourIds = '@plan.agonis'
/** A length for the calendar where none is known, in seconds. */
const usualSeconds = 3600
const countsFrom = Date.UTC(2020, 0, 1)

/** Grows with each change, also of what was taken off and put back (RFC 5545, 3.8.7.4). */
const sequenceOf = (changedAt: Date): number => Math.max(0, Math.floor((changedAt.getTime() - countsFrom) / 1000))
const isTimed = ({ kind }: CalendarEntry) => kind === 'session' || kind === 'work'

/** When each timed entry begins and ends: several of a day one after the other, rounded to five minutes. */
function spansOf(entries: readonly CalendarEntry[], times: CalendarTimes, timeZone: string): Map<string, { start: Date; end: Date }> {
  const free = new Map<string, number>()
  const spans = new Map<string, { start: Date; end: Date }>()
  for (const entry of entries.filter(isTimed)) {
    const start = free.get(entry.day) ?? usualStart(times, entry.day)
    const end = start + Math.max(5, Math.ceil((entry.seconds ?? usualSeconds) / 300) * 5)
    free.set(entry.day, end)
    const from = momentAt(entry.day, start, timeZone)
    spans.set(entry.id, { start: from, end: new Date(from.getTime() + (end - start) * 60_000) })
  }
  return spans
}

/**
 * The plan as a calendar file: one event for each thing, which keeps its id however often it is moved. Timed events are written in
 * UTC, so that every calendar shows them rightly; days are floating, as the plan's are.
 *
 * @param entries in the order of their days and of each day
 * @source RFC 5545; RFC 7986 for the name and how often to look again
 */
export function planIcs(entries: readonly CalendarEntry[], { name, timeZone, times, alarm }: CalendarWays): string {
  const calendar = ical({ prodId: '//Agonis//plan//EN', name, ttl: 3600 })
  const spans = times ? spansOf(entries, times, timeZone) : new Map<string, never>()
  for (const entry of entries) {
    const { id, day, title, words, changedAt } = entry
    const span = spans.get(id)
    const event = calendar.createEvent({
      id: `${id}${ourIds}`,
      start: span?.start ?? new Date(`${day}T00:00:00Z`),
      ...(span ? { end: span.end } : { allDay: true }),
      stamp: changedAt,
      lastModified: changedAt,
      sequence: sequenceOf(changedAt),
      summary: title,
      ...(words === '' ? {} : { description: words }),
    })
    if (alarm === null || !isTimed(entry)) continue
    event.createAlarm({ type: ICalAlarmType.display, description: title, triggerBefore: alarm * 60 })
  }
  return calendar
    .toString()
    .split('\r\n')
    .filter(line => !/^X-(?!WR-CALNAME|PUBLISHED-TTL)/.test(line))
    .join('\r\n')
}
