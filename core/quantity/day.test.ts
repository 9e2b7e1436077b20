import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayInZone, daysBetween, daysFrom, minutesInZone, momentAt, weekdayOf, weekOf } from './day'

const zones = [
  'Europe/Oslo',
  'America/New_York',
  'America/St_Johns',
  'Australia/Lord_Howe',
  'Pacific/Apia',
  'Africa/Casablanca',
  'Asia/Kathmandu',
  'UTC',
]
const first = '2000-01-01'
/** Forty years of days. */
const anyDay = fc.integer({ min: 0, max: 14_610 }).map(offset => daysFrom(first, offset))
const anyZone = fc.constantFrom(...zones)
const anyMinutes = fc.integer({ min: 0, max: 1439 })

describe('a time of a day in a zone', () => {
  it('is shown by the clocks there, but where they leave it out', () =>
    fc.assert(
      fc.property(anyDay, anyMinutes, anyZone, (day, minutes, zone) => {
        const moment = momentAt(day, minutes, zone)
        const shown = daysBetween(day, dayInZone(moment, zone)) * 1440 + minutesInZone(moment, zone)
        const isLeftOut = shown !== minutes
        expect(shown - minutes).toBeGreaterThanOrEqual(0)
        if (!isLeftOut) return
        const aMinuteBefore = new Date(moment.getTime() - (shown - minutes) * 60_000 - 60_000)
        expect(minutesInZone(aMinuteBefore, zone)).not.toBe(minutes)
      }),
      { numRuns: 2000 },
    ))

  it('comes in the order of the clock from day to day, over every turn of the clocks', () =>
    fc.assert(
      fc.property(anyDay, anyMinutes, anyZone, (day, minutes, zone) => {
        const hours = (momentAt(daysFrom(day, 1), minutes, zone).getTime() - momentAt(day, minutes, zone).getTime()) / 3_600_000
        const isDateLine = zone === 'Pacific/Apia' && day >= '2011-12-28' && day <= '2011-12-31'
        if (!isDateLine) expect(hours).toBeGreaterThanOrEqual(22)
        expect(hours).toBeLessThanOrEqual(26)
      }),
      { numRuns: 2000 },
    ))

  it.each([
    ['2026-03-29', 150, 'Europe/Oslo', '2026-03-29T01:30:00.000Z'],
    ['2026-10-25', 150, 'Europe/Oslo', '2026-10-25T00:30:00.000Z'],
    ['2026-07-01', 1080, 'Europe/Oslo', '2026-07-01T16:00:00.000Z'],
    ['2026-12-01', 1080, 'Europe/Oslo', '2026-12-01T17:00:00.000Z'],
    ['2026-03-08', 150, 'America/New_York', '2026-03-08T07:30:00.000Z'],
    ['2026-12-31', 1440, 'Asia/Kathmandu', '2026-12-31T18:15:00.000Z'],
  ])('%s, %i minutes past midnight in %s', (day, minutes, zone, moment) => expect(momentAt(day, minutes, zone).toISOString()).toBe(moment))
})

describe('a week', () => {
  it('begins on the day that the athlete says, and holds each of its days', () =>
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 1, max: 7 }), (day, weekStart) => {
        const from = weekOf(day, weekStart)
        expect(weekdayOf(from)).toBe(weekStart % 7)
        expect(daysBetween(from, day)).toBeGreaterThanOrEqual(0)
        expect(daysBetween(from, day)).toBeLessThan(7)
        expect(weekOf(daysFrom(from, 6), weekStart)).toBe(from)
      }),
    ))
})
