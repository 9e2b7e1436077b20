import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sayClock, sayDay, sayDayOf, sayTimeOf, sayWeekday } from './date'

describe('days and times as the athlete wants them said', () => {
  it('says a day in the order of its parts', () => {
    expect(sayDay('2026-03-31', { weekday: 'short' })).toBe('Tue 31 Mar')
    expect(sayDay('2026-03-31', { weekday: 'long', year: true })).toBe('Tuesday 31 Mar 2026')
    expect(sayDay('2026-03-31', { year: true }, { dates: 'month-first', clock: '12' })).toBe('Mar 31, 2026')
    expect(sayDay('2026-03-01', { weekday: 'short' }, { dates: 'iso', clock: '24' })).toBe('Sun 2026-03-01')
  })

  it('says an instant by the clocks of its zone, also where summer time begins', () => {
    const instant = new Date('2026-03-29T00:30:00Z')
    expect(sayTimeOf(instant, 'Europe/Oslo')).toBe('01:30')
    expect(sayTimeOf(new Date('2026-03-29T01:30:00Z'), 'Europe/Oslo')).toBe('03:30')
    expect(sayTimeOf(instant, 'America/New_York', { dates: 'month-first', clock: '12' })).toBe('8:30 pm')
    expect(sayDayOf(instant, 'America/New_York', { weekday: 'short' })).toBe('Sat 28 Mar')
  })

  it('says midnight and noon of twelve hours as twelve', () => {
    expect([0, 719, 720, 1439].map(minutes => sayClock(minutes, '12'))).toEqual(['12:00 am', '11:59 am', '12:00 pm', '11:59 pm'])
  })

  it('names the weekday that the calendar has', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60_000 }), days => {
        const date = new Date(Date.UTC(1960, 0, 1) + days * 86_400_000)
        const name = date.toLocaleDateString('en-GB', { weekday: 'long', timeZone: 'UTC' })
        expect(sayDay(date.toISOString().slice(0, 10), { weekday: 'long' })).toMatch(new RegExp(`^${name} `))
        expect(sayWeekday(date.getUTCDay(), 'short')).toBe(name.slice(0, 3))
      }),
    )
  })
})
