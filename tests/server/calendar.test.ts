import { beforeEach, describe, expect, inject, it } from 'vitest'
import type { ReadEvent } from '../../core/exchange/read-ics'
import { readIcs } from '../../core/exchange/read-ics'
import { daysFrom, weekOf } from '../../core/quantity/day'
import type { CalendarFeed, PlanSpan, TakenCalendar } from '../../shared/plan'
import type { Person } from './client'
import { newPerson, newSession } from './client'

let ilse: Person
let today: string
let week: string
let kept: string
const day = (offset: number) => daysFrom(week, offset)
const edit = (ask: object) => ilse.ask('POST', '/plan/edits', ask)
const entries = async () => (await ilse.ask<PlanSpan>('GET', `/plan/span?from=${daysFrom(today, -30)}&to=${day(30)}`)).body.entries
const times = { weekdays: 1050, weekend: 540 }

async function newFeed(ways: object = {}) {
  const { status, body } = await ilse.ask<{ feed: CalendarFeed; address: string }>('POST', '/plan/feeds', { name: 'phone', ...ways })
  expect(status).toBe(201)
  return body
}
const fetched = (address: string, headers: Record<string, string> = {}) =>
  fetch(address.replace(/^https?:\/\/[^/]+/, inject('address')), { headers })
async function eventsAt(address: string) {
  const read = readIcs(await (await fetched(address)).text(), { from: day(-60), to: day(60), timeZone: 'Europe/Oslo' })
  if (!read.ok) throw new Error(read.problem)
  return read.events
}

beforeEach(async () => {
  ilse = await newPerson('Ilse')
  today = (await ilse.ask<PlanSpan>('GET', '/plan/span?from=2026-01-01&to=2026-01-02')).body.today
  week = daysFrom(weekOf(today, 1), 7)
  kept = await newSession(ilse, 'title Six eights\nsport run\n\n6 times\n  800 m @ 3:50 /km\n  recovery 1:30\n')
})

describe('an address for another calendar', () => {
  it('shows what is planned at the usual times, and what was moved under the same id', async () => {
    await edit({ do: 'put', day: day(1), kind: 'session', session: kept })
    await edit({ do: 'put', day: day(5), kind: 'work', name: 'Strength', minutes: 45 })
    await edit({ do: 'put', day: day(6), kind: 'rest' })
    const { address } = await newFeed({ times, alarm: 30 })
    const before = await eventsAt(address)
    expect(before.map(event => [event.title, event.day, event.start])).toEqual([
      ['Six eights', day(1), 1050],
      ['Strength', day(5), 540],
      ['Rest', day(6), null],
    ])
    const [entry] = await entries()
    const first = await fetched(address)
    const words = await first.text()
    const tag = first.headers.get('etag')!
    expect(words).toContain('800 m @ 3:50')
    expect((await fetched(address, { 'if-none-match': tag })).status).toBe(304)
    await edit({ do: 'move', id: entry!.id, day: day(3), was: { day: day(1) } })
    expect((await fetched(address, { 'if-none-match': tag })).status).toBe(200)
    const after = await eventsAt(address)
    expect(after[0]).toMatchObject({ uid: before[0]!.uid, day: day(3) })
    const sequenceOf = (text: string) => Number(/UID:[^]*?SEQUENCE:(\d+)/.exec(text)![1])
    expect(sequenceOf(await (await fetched(address)).text())).toBeGreaterThanOrEqual(sequenceOf(words))
  })

  it('is told once, read by nobody who guesses, and by nobody once it is ended', async () => {
    const { feed, address } = await newFeed()
    const listed = (await ilse.ask<CalendarFeed[]>('GET', '/plan/feeds')).body
    expect([listed.length, listed[0]!.readAt, JSON.stringify(listed).includes(address.split('/').at(-1)!)]).toEqual([1, null, false])
    expect((await fetched(address)).headers.get('content-type')).toMatch(/^text\/calendar/)
    expect((await ilse.ask<CalendarFeed[]>('GET', '/plan/feeds')).body[0]!.readAt).not.toBeNull()
    const guessed = address.replace(/.{5}\.ics$/, 'AAAAA.ics')
    for (const wrong of [guessed, address.replace('.ics', ''), address.replace(/[^/]+$/, `${'a'.repeat(300)}.ics`)])
      expect((await fetched(wrong)).status).toBe(404)
    expect((await ilse.ask('DELETE', `/plan/feeds/${feed.id}`)).status).toBe(200)
    expect((await fetched(address)).status).toBe(404)
    expect((await ilse.ask('DELETE', `/plan/feeds/${feed.id}`)).status).toBe(404)
  })

  it('keeps a sequence that grows over taking off and undoing', async () => {
    await edit({ do: 'put', day: day(1), kind: 'note', name: 'shoes' })
    const { address } = await newFeed()
    const before = await (await fetched(address)).text()
    const [entry] = await entries()
    await edit({ do: 'off', ids: [entry!.id] })
    const { undo } = (await ilse.ask<PlanSpan>('GET', `/plan/span?from=${today}&to=${today}`)).body
    expect((await eventsAt(address)).length).toBe(0)
    await ilse.ask('POST', '/plan/undo', { number: undo!.number })
    const after = await (await fetched(address)).text()
    const part = (text: string, name: string) => new RegExp(`${name}:(.*)`).exec(text)![1]!
    expect(part(after, 'UID')).toBe(part(before, 'UID'))
    expect(Number(part(after, 'SEQUENCE'))).toBeGreaterThanOrEqual(Number(part(before, 'SEQUENCE')))
  })

  it('holds three thousand planned sessions', async () => {
    const on = Array.from({ length: 300 }, (_, index) => ({ day: day(index % 150), session: kept }))
    for (let times = 0; times < 10; times++) expect((await edit({ do: 'lay', on })).status).toBe(200)
    const { address } = await newFeed({ times })
    const begun = Date.now()
    const text = await (await fetched(address)).text()
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(3000)
    expect(Date.now() - begun).toBeLessThan(20_000)
    expect((await entries()).length).toBeGreaterThan(500)
  }, 60_000)
})

describe('a calendar of somebody else', () => {
  const event = (uid: string, offset: number, title: string, more: Partial<ReadEvent> = {}): ReadEvent => ({
    uid,
    day: day(offset),
    start: 1080,
    minutes: 60,
    title,
    isCancelled: false,
    ...more,
  })
  const take = async (events: ReadEvent[], as = 'note') => {
    const { status, body } = await ilse.ask<TakenCalendar>('POST', '/plan/calendar', { as, events })
    expect(status).toBe(200)
    return body
  }
  const shown = async () => (await entries()).map(row => [row.day, row.kind, row.title])

  it('is taken in once, found on the shelf by its titles, and follows its calendar when it comes again', async () => {
    const first = [event('a', 1, 'SIX EIGHTS'), event('b', 2, 'Club evening'), event('c', 3, 'Dentist', { start: null, minutes: null })]
    expect(await take(first)).toMatchObject({ added: 3, sessions: 1 })
    expect(await shown()).toEqual([
      [day(1), 'session', 'Six eights'],
      [day(2), 'note', '18:00 Club evening'],
      [day(3), 'note', 'Dentist'],
    ])
    expect(await take(first)).toMatchObject({ added: 0, same: 3 })
    const later = [
      event('a', 4, 'Six eights'),
      event('b', 2, 'Club evening', { isCancelled: true }),
      event('c', 3, 'Dentist, late', { start: null, minutes: null }),
    ]
    expect(await take(later)).toMatchObject({ moved: 1, gone: 1, changed: 1, added: 0 })
    const { undo } = (await ilse.ask<PlanSpan>('GET', `/plan/span?from=${today}&to=${today}`)).body
    expect(undo!.said).toMatch(/3 things taken in from a calendar/)
    await ilse.ask('POST', '/plan/undo', { number: undo!.number })
    expect(await shown()).toHaveLength(3)
  })

  it('changes nothing that is over, and moves what came from here by its own id', async () => {
    await edit({ do: 'put', day: day(1), kind: 'session', session: kept })
    const { address } = await newFeed({ times })
    const [own] = await eventsAt(address)
    const told = await take([{ ...own!, day: day(2) }, event('old', -30, 'Long ago')], 'blocked')
    expect(told).toMatchObject({ moved: 1, over: 1, added: 0 })
    expect(await shown()).toEqual([[day(2), 'session', 'Six eights']])
  })
})
