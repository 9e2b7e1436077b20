import { sql } from 'drizzle-orm'
import { beforeEach, describe, expect, it } from 'vitest'
import { daysFrom } from '../../core/quantity/day'
import { asOwner } from '../../server/db/client'
import { demoDay } from '../../server/db/plan'
import { storeRecording } from '../../server/services/recording'
import type { KeptAthlete } from '../../shared/api'
import type { PlanSpan, TodayPicture } from '../../shared/plan'
import type { Person } from './client'
import { database, newPerson, newSession } from './client'

let ilse: Person
let today: string
const day = (offset: number) => daysFrom(today, offset)
const todayOf = async (person = ilse) => (await person.ask<TodayPicture>('GET', '/today')).body
const put = (offset: number, more: object) => ilse.ask('POST', '/plan/edits', { do: 'put', day: day(offset), ...more })
const recordingOn = (offset: number, rpe?: number) =>
  asOwner(database, ilse.owner, tx =>
    storeRecording(
      tx,
      {
        format: 'agonis.recording',
        version: 1,
        sport: 'run',
        startedAt: `${day(offset)}T09:00:00Z`,
        samples: { t: [1, 2, 1800], metres: [3, 6, 5000] },
        marks: [],
        ...(rpe === undefined ? {} : { felt: { rpe } }),
      },
      {},
    ),
  )

beforeEach(async () => {
  ilse = await newPerson('Ilse')
  today = (await todayOf()).today
})

describe('today', () => {
  it('is empty where nothing was ever there, and no more once something is on the shelf', async () => {
    expect(await todayOf()).toMatchObject({ isEmpty: true, sessions: [], decisions: [], last: null, undo: null })
    await newSession(ilse, 'title One\nsport run\n\n10:00\n')
    expect((await todayOf()).isEmpty).toBe(false)
  })

  it('has the rows of what is on, whether it is done, and what comes next', async () => {
    const one = await newSession(ilse, 'title One\nsport run\n\nwarm-up 10:00\n4 times\n  1:00\n  recovery 1:00\n')
    await put(0, { kind: 'session', session: one })
    await put(0, { kind: 'note', name: 'shoes' })
    await put(2, { kind: 'session', session: one })
    await put(9, { kind: 'race', name: 'Quay ten', sport: 'run' })
    const { sessions, others, next, races } = await todayOf()
    expect(sessions.map(({ entry, rows, seconds, isDone }) => [entry.title, rows.length, seconds.likely, isDone])).toEqual([
      ['One', 4, 1080, false],
    ])
    expect(others.map(({ title }) => title)).toEqual(['shoes'])
    expect(next.map(row => row.day)).toEqual([day(2)])
    expect(races).toEqual([{ name: 'Quay ten', day: day(9) }])
  })

  it('asks about a doubt on a coming day, and about what was done without a plan', async () => {
    const doubtful = await newSession(ilse, 'title Evening\nsport run\n\n5m @ 5k effort\n')
    await put(3, { kind: 'session', session: doubtful })
    const done = await recordingOn(-1, 5)
    const { decisions, last } = await todayOf()
    expect(decisions).toEqual([
      { code: 'doubt', sessionId: doubtful, title: 'Evening', day: day(3) },
      { code: 'no-plan', recordingId: done, title: 'Without a plan', day: day(-1) },
    ])
    expect(last).toMatchObject({ id: done, rpe: 5, burden: { load: 150, effort: 5 } })
    await ilse.ask('PUT', `/recordings/${done}/felt`, { rpe: 7 })
    expect((await todayOf()).last).toMatchObject({ rpe: 7, burden: { load: 210 } })
  })

  it('says that marks have grown old, in a sport that is done', async () => {
    const document = {
      format: 'agonis.athlete',
      version: 1,
      name: 'Ilse',
      timeZone: 'UTC',
      efforts: [{ sport: 'run', metres: 5000, seconds: 1400, date: day(-200) }],
    }
    await ilse.ask('PUT', '/me', { base: 0, document })
    expect((await todayOf()).decisions).toEqual([])
    await recordingOn(-9)
    expect((await todayOf()).decisions).toEqual([{ code: 'old-marks', sport: 'run', day: day(-200) }])
  })

  it('puts a recording on the day of the zone it was done in', async () => {
    await ilse.ask('PUT', '/me', {
      base: 0,
      document: { format: 'agonis.athlete', version: 1, name: 'Ilse', timeZone: 'Pacific/Kiritimati' },
    })
    await recordingOn(-3)
    await asOwner(database, ilse.owner, tx => tx.execute(sql`update recording set started_at = ${`${day(-3)}T12:00:00Z`}::timestamptz`))
    const span = (await ilse.ask<PlanSpan>('GET', `/plan/span?from=${day(-9)}&to=${day(1)}`)).body
    expect(span.done.map(row => row.day)).toEqual([day(-2)])
  })
})

describe('the demo for whoever has nothing yet', () => {
  it('is there as a whole, around today, once, and never beside what is somebody’s own', async () => {
    const other = await newPerson('Somebody new')
    const asked = () => other.ask<{ day: string }>('POST', '/demo')
    expect((await asked()).status).toBe(200)
    const picture = (await other.ask<TodayPicture>('GET', '/today')).body
    expect([picture.isEmpty, picture.sessions.length > 0, picture.last !== null]).toEqual([false, true, true])
    expect((await asked()).status).toBe(409)
    const own = await newPerson('Somebody else')
    await newSession(own, 'sport run\n\n10:00\n')
    expect((await own.ask('POST', '/demo')).status).toBe(409)
    expect((await own.ask<{ total: number }>('GET', '/recordings')).body.total).toBe(0)
  }, 60_000)
})

describe('a demo that was laid out some weeks ago', () => {
  it('is said to be, and moved as a whole to today', async () => {
    const one = await newSession(ilse, 'title One\nsport run\n\n10:00\n')
    await put(0, { kind: 'session', session: one })
    await recordingOn(-2)
    const efforts = [{ sport: 'run', metres: 5000, seconds: 1400, date: day(-30) }]
    await ilse.ask('PUT', '/me', { base: 0, document: { format: 'agonis.athlete', version: 1, name: 'Ilse', efforts } })
    await asOwner(database, ilse.owner, tx => tx.insert(demoDay).values({ day: day(-21) }))
    expect((await todayOf()).decisions).toContainEqual({ code: 'demo', weeks: 3 })
    expect((await ilse.ask('POST', '/demo/move')).body).toEqual({ weeks: 3 })
    const span = (await ilse.ask<PlanSpan>('GET', `/plan/span?from=${day(-40)}&to=${day(40)}`)).body
    expect(span.entries.map(row => row.day)).toEqual([day(21)])
    expect(span.done.map(row => row.day)).toEqual([day(19)])
    expect((await ilse.ask<KeptAthlete>('GET', '/me')).body.athlete.efforts![0]!.date).toBe(day(-9))
    expect((await todayOf()).decisions.some(({ code }) => code === 'demo')).toBe(false)
    expect((await (await newPerson('Tor')).ask('POST', '/demo/move')).status).toBe(404)
  })
})
