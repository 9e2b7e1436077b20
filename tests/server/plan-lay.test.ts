import { beforeEach, describe, expect, it } from 'vitest'
import type { LaidWeek } from '../../core/plan/shape'
import { usualShape } from '../../core/plan/shape'
import { daysFrom, weekOf } from '../../core/quantity/day'
import type { KeptAthlete, KeptSession } from '../../shared/api'
import type { LaidSession, PlanSpan } from '../../shared/plan'
import { ilse as demoAthlete } from '../../demo/athlete'
import type { Person } from './client'
import { newPerson, newSession } from './client'

let ilse: Person
let week: string
const day = (offset: number) => daysFrom(week, offset)
const spanOf = async () => (await ilse.ask<PlanSpan>('GET', `/plan/span?from=${week}&to=${day(40)}`)).body
const edit = (ask: object) => ilse.ask('POST', '/plan/edits', ask)
const sessionOf = async (id: string) => (await ilse.ask<KeptSession>('GET', `/sessions/${id}`)).body

beforeEach(async () => {
  ilse = await newPerson('Ilse')
  const { number } = (await ilse.ask<KeptAthlete>('GET', '/me')).body
  expect((await ilse.ask('PUT', '/me', { base: number, document: demoAthlete })).status).toBe(200)
  const { today } = (await ilse.ask<PlanSpan>('GET', '/plan/span?from=2026-01-01&to=2026-01-02')).body
  week = daysFrom(weekOf(today, 1), 7)
})

describe('next week a step harder or easier', () => {
  it('is a variant of each session beside it, made once, and taken back as one', async () => {
    const eights = await newSession(ilse, 'sport run\n\n6 times\n  800 m @ 5k effort\n  recovery 1:30\n')
    for (const offset of [1, 3]) await edit({ do: 'put', day: day(offset), kind: 'session', session: eights })
    await edit({ do: 'put', day: day(2), kind: 'note', name: 'shoes' })
    expect((await edit({ do: 'copy', from: week, days: 7, to: day(7), way: 'harder' })).status).toBe(200)
    const after = await spanOf()
    expect(after.undo!.said).toMatch(/3 things copied .*, a little harder/)
    const copies = after.entries.filter(row => row.day >= day(7))
    expect(copies.map(row => row.day)).toEqual([day(8), day(9), day(10)])
    const [one, , other] = copies
    expect([one!.sessionId, one!.sessionId === eights]).toEqual([other!.sessionId, false])
    const before = after.entries.find(row => row.sessionId === eights)!
    expect(one!.burden!.effort!).toBeGreaterThan(before.burden!.effort!)
    const family = (await ilse.ask<{ id: string }[] | { rows: { id: string }[] }>('GET', `/sessions/${eights}/family`)).body
    expect(JSON.stringify(family)).toContain(one!.sessionId!)
    await ilse.ask('POST', '/plan/undo', { number: after.undo!.number })
    await edit({ do: 'copy', from: week, days: 7, to: day(14), way: 'harder' })
    expect((await spanOf()).entries.find(row => row.day === day(15))!.sessionId).toBe(one!.sessionId)
    expect((await sessionOf(eights)).number).toBe(1)
  })

  it('goes easier too, and leaves as it is what nothing is known of', async () => {
    const known = await newSession(ilse, 'sport ride\n\n4 times\n  6:00 @ 210 W\n  recovery 3:00\n')
    const open = await newSession(ilse, 'sport run\n\nuntil I press\n')
    await edit({ do: 'put', day: day(1), kind: 'session', session: known })
    await edit({ do: 'put', day: day(2), kind: 'session', session: open })
    await edit({ do: 'copy', from: week, days: 7, to: day(7), way: 'easier' })
    const { entries } = await spanOf()
    const [harder, same] = entries.filter(row => row.day >= day(7))
    expect(harder!.burden!.effort!).toBeLessThan(entries[0]!.burden!.effort!)
    expect(same!.sessionId).toBe(open)
  })
})

describe('weeks from a shape', () => {
  const lay = async (shape: object) => {
    const { status, body } = await ilse.ask<{ weeks: LaidWeek[]; sessions: Record<string, LaidSession> }>('POST', '/plan/shape', {
      from: week,
      shape,
    })
    expect(status).toBe(200)
    return body
  }

  it('are proposed from the shelf, put on their days at a word, and the shape is kept', async () => {
    await newSession(ilse, 'title Easy fifty\nsport run\n\n50:00 @ easy\n')
    await newSession(ilse, 'title Long one\nsport run\n\n1:40:00 @ easy\n')
    await newSession(ilse, 'title Threes\nsport run\n\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\n')
    await edit({ do: 'put', day: day(2), kind: 'rest' })
    const shape = { ...usualShape, hours: 7, weeks: 2 }
    const { weeks, sessions } = await lay(shape)
    const titles = weeks[0]!.days.map(({ fitting, isTaken }) => (isTaken ? 'taken' : (fitting[0]?.title ?? 'none')))
    expect(titles.slice(0, 3)).toEqual(['none', 'Threes', 'taken'])
    expect(titles[5]).toBe('Long one')
    expect((await spanOf()).entries).toHaveLength(1)
    const on = weeks.flatMap(({ days }) =>
      days.flatMap(({ day: iso, fitting }) => (fitting[0] ? [{ day: iso, session: fitting[0].id }] : [])),
    )
    expect(on.every(({ session }) => sessions[session]!.cord !== null)).toBe(true)
    expect((await edit({ do: 'lay', on })).status).toBe(200)
    const after = await spanOf()
    expect([after.entries.length, after.undo!.said.includes(`${on.length} things laid out`)]).toEqual([on.length + 1, true])
    expect((await ilse.ask('GET', '/plan/shape')).body).toEqual(shape)
    await ilse.ask('POST', '/plan/undo', { number: after.undo!.number })
    expect((await spanOf()).entries).toHaveLength(1)
  })

  it('are refused on days that are over, with sessions that are not there, and with shapes that are none', async () => {
    const kept = await newSession(ilse, 'sport run\n\n10:00\n')
    expect(
      (
        await edit({
          do: 'lay',
          on: [
            { day: day(1), session: kept },
            { day: '2026-01-05', session: kept },
          ],
        })
      ).status,
    ).toBe(422)
    expect((await edit({ do: 'lay', on: [{ day: day(1), session: '00000000-0000-4000-8000-000000000000' }] })).status).toBe(404)
    expect((await spanOf()).entries).toEqual([])
    for (const wrong of [{ weeks: 0 }, { weeks: 27 }, { hours: 61 }, { up: 0 }, { days: usualShape.days.slice(1) }])
      expect((await ilse.ask('POST', '/plan/shape', { from: week, shape: { ...usualShape, ...wrong } })).status).toBe(400)
  })
})

describe('a week as text', () => {
  it('is read back as the same days when it is pasted', async () => {
    const kept = await newSession(ilse, 'title Six eights\nsport run\nnote knee\n\n6 times\n  800 m @ 3:50 /km\n  recovery 1:30\n')
    await edit({ do: 'put', day: day(1), kind: 'session', session: kept })
    await edit({ do: 'put', day: day(3), kind: 'note', name: 'mine alone' })
    const { text } = (await ilse.ask<{ text: string }>('GET', `/plan/text?from=${week}&to=${day(6)}`)).body
    expect(text).toMatch(/800 m @ 3:50/)
    expect(text).not.toMatch(/knee|mine alone/)
    const other = await newPerson('Other')
    const told = (await other.ask<{ rows: { day: string; title: string }[] }>('POST', '/plan/week', { week, text })).body
    expect(told.rows.map(row => [row.day, row.title])).toEqual([[day(1), 'Six eights']])
  })
})
