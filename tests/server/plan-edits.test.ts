import { beforeEach, describe, expect, it } from 'vitest'
import { daysFrom } from '../../core/quantity/day'
import type { PlanAsk, PlanSpan } from '../../shared/plan'
import type { Person } from './client'
import { newPerson, newSession } from './client'

let ilse: Person
let today: string
const day = (offset: number) => daysFrom(today, offset)
const spanOf = async (person = ilse, from = day(-7), to = day(21)) =>
  (await person.ask<PlanSpan>('GET', `/plan/span?from=${from}&to=${to}`)).body
const edit = (ask: PlanAsk, person = ilse) => person.ask<NonNullable<PlanSpan['undo']>>('POST', '/plan/edits', ask)
const undo = (number: number, person = ilse) => person.ask('POST', '/plan/undo', { number })
const standing = async () =>
  (await spanOf()).entries.map(({ day: on, title }) => `${Math.round((Date.parse(on) - Date.parse(today)) / 86_400_000)} ${title}`)

beforeEach(async () => {
  ilse = await newPerson('Ilse')
  today = new Date().toISOString().slice(0, 10)
  today = (await spanOf()).today
})

const hard = 'title Nines\nsport run\n\n15:00\n3 times\n  9:00 @ 4:30-4:40 /km\n  recovery 2:00 jog\n10:00\n'

describe('edits of the plan', () => {
  it('put, order, move, copy, swap, shift and take off, each said in words and taken back exactly', async () => {
    const nines = await newSession(ilse, hard)
    await edit({ do: 'put', day: day(1), kind: 'session', session: nines })
    await edit({ do: 'put', day: day(1), kind: 'work', name: 'Gym', minutes: 45, effort: 4 })
    await edit({ do: 'put', day: day(4), kind: 'race', name: 'Quay ten', sport: 'run' })
    await edit({ do: 'put', day: day(2), kind: 'blocked' })
    const first = (await spanOf()).entries
    expect(first.map(({ kind, at }) => `${kind} ${at}`)).toEqual(['session 0', 'work 1', 'blocked 0', 'race 0'])
    const gym = first[1]!.id
    const moved = (await edit({ do: 'move', id: gym, day: day(1), at: 0, was: { day: day(1) } })).body
    expect(moved.said).toMatch(/^Gym moved within /)
    expect(await standing()).toEqual(['1 Gym', '1 Nines', '2 ', '4 Quay ten'])
    const shifted = (await edit({ do: 'shift', from: day(1), by: 2 })).body
    expect(shifted.said).toContain('2 things')
    expect(await standing()).toEqual(['2 ', '3 Gym', '3 Nines', '4 Quay ten'])
    await edit({ do: 'swap', one: day(3), other: day(4) })
    await edit({ do: 'copy', from: day(3), days: 2, to: day(10) })
    await edit({ do: 'clear', from: day(3), days: 2 })
    expect(await standing()).toEqual(['2 ', '10 Quay ten', '11 Gym', '11 Nines'])
    for (let left = (await spanOf()).undo; left && left.number >= moved.number; left = (await spanOf()).undo)
      expect((await undo(left.number)).status).toBe(200)
    expect((await spanOf()).entries).toEqual(first)
  })

  it('of two tabs that move one session: the second is told where it is, and nothing is lost', async () => {
    const nines = await newSession(ilse, hard)
    await edit({ do: 'put', day: day(1), kind: 'session', session: nines })
    const [{ id }] = (await spanOf()).entries as unknown as [{ id: string }]
    const both = await Promise.all([2, 3].map(offset => edit({ do: 'move', id, day: day(offset), was: { day: day(1) } })))
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const refused = both.find(({ status }) => status === 409)!.body as unknown as { now: string; problem: string }
    expect(refused.problem).toBe('It has been moved meanwhile.')
    expect((await spanOf()).entries.map(entry => entry.day)).toEqual([refused.now])
  })

  it('of many at once give each day its places once', async () => {
    await Promise.all(Array.from({ length: 8 }, (_, index) => edit({ do: 'put', day: day(1), kind: 'note', name: `note ${index}` })))
    expect((await spanOf()).entries.map(({ at }) => at)).toEqual([0, 1, 2, 3, 4, 5, 6, 7])
  })

  it('are not taken back over what came later at the same place', async () => {
    await edit({ do: 'put', day: day(1), kind: 'note', name: 'one' })
    const [entry] = (await spanOf()).entries
    const put = (await spanOf()).undo!
    await edit({ do: 'change', id: entry!.id, name: 'other', minutes: null, effort: null })
    const refused = await undo(put.number)
    expect([refused.status, (refused.body as { hint: string }).hint]).toEqual([409, 'Take back what came later first.'])
    expect((await spanOf()).entries[0]!.title).toBe('other')
    expect((await undo(put.number + 1)).status).toBe(200)
    expect((await undo(put.number + 1)).status).toBe(404)
  })

  it('refuse what cannot be, say where, and change nothing', async () => {
    const nines = await newSession(ilse, hard)
    await edit({ do: 'put', day: day(1), kind: 'session', session: nines })
    const before = (await spanOf()).entries
    const [{ id }] = before as unknown as [{ id: string }]
    const nobody = '00000000-0000-4000-8000-000000000000'
    const bad: [unknown, number, string][] = [
      [{ do: 'move', id, day: day(-1), was: { day: day(1) } }, 422, 'body.day'],
      [{ do: 'move', id: nobody, day: day(2), was: { day: day(1) } }, 404, 'body.id'],
      [{ do: 'move', id, day: '2026-13-01', was: { day: day(1) } }, 400, 'body.day'],
      [{ do: 'move', id, day: '2027-02-29', was: { day: day(1) } }, 400, 'body.day'],
      [{ do: 'shift', from: day(1), by: -3 }, 422, 'body.day'],
      [{ do: 'shift', from: day(1), by: 400 }, 400, 'body.by'],
      [{ do: 'put', day: day(1), kind: 'session' }, 422, 'body'],
      [{ do: 'put', day: day(1), kind: 'session', session: nobody }, 404, 'params.id'],
      [{ do: 'put', day: day(1), kind: 'note' }, 422, 'body'],
      [{ do: 'put', day: day(1), kind: 'feast', name: 'x' }, 400, 'body.kind'],
      [{ do: 'put', day: day(1), kind: 'work', name: 'x', minutes: 5000 }, 400, 'body.minutes'],
      [{ do: 'off', ids: [] }, 400, 'body.ids'],
      [{ do: 'juggle' }, 400, 'body.do'],
      [{ do: 'swap', one: day(-1), other: day(2) }, 422, 'body.day'],
    ]
    for (const [ask, status, where] of bad) {
      const answer = await edit(ask as PlanAsk)
      expect([ask, answer.status, (answer.body as unknown as { where: string }).where]).toEqual([ask, status, where])
    }
    expect((await spanOf()).entries).toEqual(before)
    expect((await ilse.ask('GET', `/plan/span?from=${day(3)}&to=${day(1)}`)).status).toBe(400)
    expect((await ilse.ask('GET', `/plan/span?from=${day(0)}&to=${day(900)}`)).status).toBe(400)
  })

  it('are nobody else’s: what another person has is neither seen nor moved nor taken back', async () => {
    const other = await newPerson('Tor')
    const nines = await newSession(ilse, hard)
    await edit({ do: 'put', day: day(1), kind: 'session', session: nines })
    const { entries, undo: last } = await spanOf()
    const [{ id }] = entries as unknown as [{ id: string }]
    expect((await spanOf(other)).entries).toEqual([])
    expect((await edit({ do: 'move', id, day: day(2), was: { day: day(1) } }, other)).status).toBe(404)
    expect((await edit({ do: 'off', ids: [id] }, other)).status).toBe(404)
    expect((await edit({ do: 'put', day: day(1), kind: 'session', session: nines }, other)).status).toBe(404)
    expect((await undo(last!.number, other)).status).toBe(404)
    expect((await spanOf()).entries).toEqual(entries)
  })
})

describe('a span of days', () => {
  it('says what each planned session weighs, by the numbers of today, and anew when it is changed', async () => {
    await ilse.ask('PUT', '/me', {
      base: 0,
      document: {
        format: 'agonis.athlete',
        version: 1,
        name: 'Ilse',
        timeZone: 'UTC',
        heart: { max: 182, rest: 50, threshold: 167 },
        run: { criticalSpeed: 3.6 },
        easyPace: { run: 355 },
      },
    })
    const nines = await newSession(ilse, hard)
    await edit({ do: 'put', day: day(1), kind: 'session', session: nines })
    const weighed = (await spanOf()).entries[0]!.burden!
    expect(weighed.seconds).toBe(3480)
    expect(weighed.load).toBeGreaterThan(200)
    expect(weighed.domains!.between + weighed.domains!.hard).toBe(1620)
    await ilse.ask('PUT', `/sessions/${nines}`, { base: 1, script: 'title Nines\nsport run\n\n20:00 @ easy effort\n' })
    const easy = (await spanOf()).entries[0]!.burden!
    expect([easy.seconds, easy.level]).toEqual([1200, 'easy'])
  })

  it('remembers what was dismissed', async () => {
    await ilse.ask('POST', '/plan/dismissals', { key: 'monotony' })
    await ilse.ask('POST', '/plan/dismissals', { key: 'monotony' })
    expect((await spanOf()).dismissed).toEqual(['monotony'])
    expect((await ilse.ask('POST', '/plan/dismissals', { key: '' })).status).toBe(400)
  })
})
