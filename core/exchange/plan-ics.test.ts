import ICAL from 'ical.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planKinds } from '../plan/entry'
import { daysFrom } from '../quantity/day'
import type { CalendarEntry } from './plan-ics'
import { ourIds, planIcs } from './plan-ics'
import { readIcs } from './read-ics'

const changedAt = new Date('2026-11-28T10:00:00Z')
const entry = (id: string, day: string, more: Partial<CalendarEntry> = {}): CalendarEntry => ({
  id,
  day,
  kind: 'session',
  title: `Session ${id}`,
  words: '',
  seconds: 3600,
  changedAt,
  ...more,
})
const ways = { name: 'Training', timeZone: 'Europe/Oslo', times: { weekdays: 1080, weekend: 540 }, alarm: null }
const wholeDays = { ...ways, times: null }
const window = { from: '2026-01-01', to: '2027-12-31', timeZone: 'Europe/Oslo' }
const back = (text: string, timeZone = 'Europe/Oslo') => {
  const read = readIcs(text, { ...window, timeZone })
  if (!read.ok) throw new Error(read.problem)
  return read
}
const file = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR'].join('\r\n')
const event = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:a', 'SUMMARY:Club', ...lines, 'END:VEVENT']

describe('the plan as a calendar file', () => {
  it('stands at the usual times over the turn of the clocks, two of a day one after the other', () => {
    const read = back(
      planIcs([entry('a', '2026-10-24'), entry('b', '2026-10-25'), entry('c', '2026-10-26'), entry('d', '2026-10-26')], ways),
    )
    expect(read.events.map(({ day, start, minutes }) => [day, start, minutes])).toEqual([
      ['2026-10-24', 540, 60],
      ['2026-10-25', 540, 60],
      ['2026-10-26', 1080, 60],
      ['2026-10-26', 1140, 60],
    ])
  })

  it('keeps an id and counts on when something is moved', () => {
    const parts = (text: string) => {
      const part = new ICAL.Component(ICAL.parse(text) as never).getFirstSubcomponent('vevent')!
      return [part.getFirstPropertyValue('uid'), Number(part.getFirstPropertyValue('sequence'))] as const
    }
    const [id, count] = parts(planIcs([entry('a', '2026-12-01')], ways))
    const [movedId, movedCount] = parts(planIcs([entry('a', '2026-12-02', { changedAt: new Date('2026-11-28T10:00:05Z') })], ways))
    expect([id, movedId]).toEqual([`a${ourIds}`, `a${ourIds}`])
    expect(movedCount).toBeGreaterThan(count)
  })

  it('rings before what is carried out, and says nothing of its maker’s or of anybody else’s programs', () => {
    const text = planIcs([entry('a', '2026-12-01'), entry('b', '2026-12-02', { kind: 'note' })], { ...ways, alarm: 30 })
    expect(text.match(/TRIGGER:-PT30M/g)).toHaveLength(1)
    expect(planIcs([entry('a', '2026-12-01')], { ...wholeDays, alarm: 360 })).toContain('TRIGGER:-PT6H')
    expect(text).not.toMatch(/MICROSOFT|APPLE/)
  })

  const anyEntry = fc.record({
    offset: fc.nat(700),
    kind: fc.constantFrom(...planKinds),
    title: fc.string({ minLength: 1, unit: 'grapheme', maxLength: 120 }).map(words => `x${words.replace(/\s+/g, ' ')}x`),
    words: fc.string({ unit: 'grapheme', maxLength: 300 }),
    seconds: fc.option(fc.integer({ min: 60, max: 100_000 })),
  })
  it('is read back whole: every title on its day, whatever is written in it', () =>
    fc.assert(
      fc.property(fc.array(anyEntry, { maxLength: 12 }), fc.constantFrom(ways, wholeDays), (rows, way) => {
        const entries = rows
          .map(({ offset, ...row }, index) => entry(`e${index}`, daysFrom('2026-01-05', offset), row))
          .sort((one, other) => one.day.localeCompare(other.day))
        const read = back(planIcs(entries, way))
        expect(read.events.map(({ uid, day, title }) => [uid, day, title])).toEqual(
          entries.map(({ id, day, title }) => [`${id}${ourIds}`, day, title.trim()]),
        )
      }),
    ))
})

describe('a calendar file of somebody else', () => {
  it('is read in its own zones, by the athlete’s clock', () => {
    const read = back(
      file(
        ...event('DTSTART:20261203T170000Z', 'DTEND:20261203T183000Z'),
        ...event('DTSTART;TZID=America/New_York:20261203T200000'),
        ...event('DTSTART:20261203T060000'),
        ...event('DTSTART;VALUE=DATE:20261203'),
      ),
    )
    expect(read.events.map(({ day, start, minutes }) => [day, start, minutes])).toEqual([
      ['2026-12-03', 1080, 90],
      ['2026-12-04', 120, null],
      ['2026-12-03', 360, null],
      ['2026-12-03', null, null],
    ])
  })

  it('is read by the zone that it brings with it', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Harbour',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:+0300',
      'TZOFFSETTO:+0300',
      'END:STANDARD',
      'END:VTIMEZONE',
    ]
    expect(back(file(...zone, ...event('DTSTART;TZID=Harbour:20261203T200000'))).events[0]!.start).toBe(18 * 60)
  })

  it('gives what recurs day by day, but for what was called off or moved', () => {
    const series = event('DTSTART:20261201T170000Z', 'RRULE:FREQ=WEEKLY;COUNT=4', 'EXDATE:20261208T170000Z')
    const moved = event('RECURRENCE-ID:20261215T170000Z', 'DTSTART:20261216T170000Z')
    const read = back(file(...series, ...moved))
    expect(read.events.map(({ day }) => day).sort()).toEqual(['2026-12-01', '2026-12-16', '2026-12-22'])
    expect(new Set(read.events.map(({ uid }) => uid)).size).toBe(3)
  })

  it.each([
    ['no-day', event()],
    ['before', event('DTSTART:20011203T170000Z')],
    ['after', event('DTSTART:21011203T170000Z')],
    ['too-many', event('DTSTART:20261203T170000Z', 'RRULE:FREQ=SECONDLY')],
    ['unknown-zone', event('DTSTART;TZID=Atlantis/Deep:20261203T170000')],
  ])('says what it leaves out: %s', (why, lines) => {
    expect(back(file(...lines)).leftOut).toEqual([{ title: 'Club', why }])
  })

  it.each(['', 'hello', 'BEGIN:VCALENDAR', file('BEGIN:VEVENT'), 'BEGIN:VCARD\r\nEND:VCARD', file('x'.repeat(5_000_000))])(
    'refuses what is none, with words (%#)',
    text => expect(readIcs(text, window)).toMatchObject({ ok: false }),
  )

  it('is not thrown off by events within events, nor by a day that does not exist', () => {
    const deep = file(...Array.from({ length: 20_000 }, () => 'BEGIN:VEVENT'), ...Array.from({ length: 20_000 }, () => 'END:VEVENT'))
    expect(back(deep).leftOut).toHaveLength(1)
    const read = readIcs(file(...event('DTSTART:20260229T100000Z')), window)
    expect(read.ok && read.events.every(({ day }) => day !== '2026-02-29')).toBe(true)
  })
})
