import { beforeEach, describe, expect, it } from 'vitest'
import { daysFrom, weekOf } from '../../core/quantity/day'
import type { KeptSession } from '../../shared/api'
import type { FilledWeek, PlanSpan } from '../../shared/plan'
import type { Person } from './client'
import { newPerson } from './client'

let ilse: Person
let week: string
const day = (offset: number) => daysFrom(week, offset)
const fill = async (text: string) => (await ilse.ask<FilledWeek>('POST', '/plan/week', { week, text })).body
const spanOf = async () => (await ilse.ask<PlanSpan>('GET', `/plan/span?from=${week}&to=${day(13)}`)).body
const rowsOf = async () => (await spanOf()).entries.map(row => `${(Date.parse(row.day) - Date.parse(week)) / 86_400_000} ${row.title}`)
const counts = ({ added, changed, moved, gone, same }: FilledWeek) => [added, changed, moved, gone, same].map(titles => titles.length)

beforeEach(async () => {
  ilse = await newPerson('Ilse')
  const { today } = (await ilse.ask<PlanSpan>('GET', '/plan/span?from=2026-01-01&to=2026-01-02')).body
  week = daysFrom(weekOf(today, 1), 7)
})

const first = 'Tue: 6 x 800 / 90 s jog\nThu: 40 min easy\nSat: ride 90 min Z2'

describe('a message that fills days', () => {
  it('changes nothing when it is pasted again', async () => {
    expect(counts(await fill(first))).toEqual([3, 0, 0, 0, 0])
    const before = (await spanOf()).entries
    expect(counts(await fill(first))).toEqual([0, 0, 0, 0, 3])
    expect((await spanOf()).entries.map(({ id, day: on }) => [id, on])).toEqual(before.map(({ id, day: on }) => [id, on]))
  })

  it('corrected, makes a new wording of what it changes, moves what it moves, takes off what it drops and says so', async () => {
    await fill(first)
    const [tuesday] = (await spanOf()).entries
    const told = await fill('Tue: 8 x 800 / 90 s jog\nFri: 40 min easy\nSun: swim 10 x 100 on 2:00')
    expect(counts(told)).toEqual([1, 1, 1, 1, 0])
    const after = await spanOf()
    expect(after.entries.map(row => row.day)).toEqual([day(1), day(4), day(6)])
    expect(after.entries[0]!.id).toBe(tuesday!.id)
    const session = (await ilse.ask<KeptSession>('GET', `/sessions/${tuesday!.sessionId}`)).body
    expect([session.script.includes('8 times'), session.number]).toEqual([true, 2])
    expect((await ilse.ask('POST', '/plan/undo', { number: after.undo!.number })).status).toBe(200)
    expect((await spanOf()).entries.map(row => row.day)).toEqual([day(1), day(3), day(5)])
  })

  it('leaves what the athlete put there alone, and a session that stands on another day too as it is', async () => {
    await fill(first)
    const [tuesday] = (await spanOf()).entries
    await ilse.ask('POST', '/plan/edits', { do: 'put', day: day(2), kind: 'note', name: 'own' })
    await ilse.ask('POST', '/plan/edits', { do: 'put', day: day(9), kind: 'session', session: tuesday!.sessionId })
    await fill('Tue: 5 x 800 / 90 s jog\nThu: 40 min easy\nSat: ride 90 min Z2')
    const { entries } = await spanOf()
    expect(entries.find(row => row.day === day(9))!.sessionId).toBe(tuesday!.sessionId)
    expect(entries.find(row => row.day === day(1))!.sessionId).not.toBe(tuesday!.sessionId)
    expect(await rowsOf()).toContain('2 own')
    expect((await ilse.ask<KeptSession>('GET', `/sessions/${tuesday!.sessionId}`)).body.script).toContain('6 times')
  })

  it('puts a rest on the days that the message says are without a session, and takes it off when it does not say so any more', async () => {
    await fill('Mon: rest\nTue: 6 x 800 / 90 s jog\nWed off')
    const kinds = async () => (await spanOf()).entries.map(row => [row.day, row.kind])
    const first = [
      [day(0), 'rest'],
      [day(1), 'session'],
      [day(2), 'rest'],
    ]
    expect(await kinds()).toEqual(first)
    await fill('Mon: rest\nTue: 6 x 800 / 90 s jog\nWed off')
    expect(await kinds()).toEqual(first)
    await fill('Mon: rest\nTue: 6 x 800 / 90 s jog\nWed: 30 min easy')
    expect(await kinds()).toEqual([first[0], first[1], [day(2), 'session']])
    await ilse.ask('POST', '/plan/undo', { number: (await spanOf()).undo!.number })
    expect(await kinds()).toEqual(first)
  })

  it('puts a session without a day on the shelf, and refuses what is no session', async () => {
    const told = await fill('6 x 800 / 90 s jog')
    expect([told.added.length, told.rows[0]!.day]).toEqual([1, ''])
    expect(await rowsOf()).toEqual([])
    expect((await ilse.ask('POST', '/plan/week', { week, text: 'Hello there' })).status).toBe(422)
    expect((await ilse.ask('POST', '/plan/week', { week: '2026-02-30', text: first })).status).toBe(400)
  })
})
