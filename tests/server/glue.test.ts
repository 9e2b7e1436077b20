import { randomUUID } from 'node:crypto'
import { eq } from 'drizzle-orm'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Athlete } from '../../core/athlete/athlete'
import { daysFrom } from '../../core/quantity/day'
import { reckon } from '../../core/reckon/reckon'
import { printSession } from '../../core/script/print'
import { ilse } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import { digestOf } from '../../core/wrist/program/digest'
import { asOwner } from '../../server/db/client'
import { program, revision, session, transfer } from '../../server/db/schema'
import { currentStandpoint, saveAthlete } from '../../server/services/athlete'
import { importFile } from '../../server/services/exchange'
import { fitSession } from '../../server/services/fit'
import { listPlan, movePlanned, planSession } from '../../server/services/plan'
import { editPlan } from '../../server/services/plan-edit'
import { dryRun, push } from '../../server/services/push'
import { keepProgram } from '../../server/services/program'
import { listRecordings } from '../../server/services/log-list'
import { loadRecording, storeRecording } from '../../server/services/recording'
import { copySession, loadSession, saveSession } from '../../server/services/session'
import { archiveSession, listSessions, tagSession } from '../../server/services/shelf'
import { startTransfer } from '../../server/services/transfer'
import { fillWeek } from '../../server/services/week'
import type { Person } from './client'
import { database, newPerson } from './client'

/** What joins the rooms, asked of the sources themselves: no build stands between a change and these. */
let ann: Person
const inAnns = <T>(work: Parameters<typeof asOwner<T>>[2]) => asOwner(database, ann.owner, work)
const save = (script: string, source?: string) => inAnns(tx => saveSession(tx, randomUUID(), 0, script, { source: source ?? null }))
const today = async () => (await inAnns(currentStandpoint)).day
let saved = 0
const setAthlete = async (athlete: Athlete) => (saved = (await inAnns(tx => saveAthlete(tx, saved, athlete))).number)

beforeAll(async () => {
  ann = await newPerson('Ann of the glue')
  await setAthlete(ilse)
})

describe('a session', () => {
  it('is copied with its tags and the words it was pasted from, in its family when it is a variant', async () => {
    const { id } = await save('title Original\nsport run\n\n6 x 800', 'six times eight hundred')
    await inAnns(tx => tagSession(tx, id, ['track']))
    const copy = await inAnns(tx => copySession(tx, id, randomUUID(), { asVariant: true }))
    expect(await inAnns(tx => loadSession(tx, copy.id))).toMatchObject({
      tags: ['track'],
      source: 'six times eight hundred',
      title: 'Original 2',
    })
    const { rows } = await inAnns(tx => listSessions(tx, { search: 'Original', sort: 'title', limit: 10, offset: 0 }))
    expect(rows.map(row => row.variants)).toEqual([1, 1])
  })
  it('names the standpoint that each of its revisions was read under', async () => {
    const { id } = await save('sport run\n\n5 km')
    const [row] = await inAnns(tx => tx.select().from(revision).where(eq(revision.sessionId, id)))
    expect([row!.athleteRevision, row!.readOn]).toEqual([saved, await today()])
  })
  it('is told as long on the Shelf as at the Desk, also when marks have grown old since', async () => {
    const near = await today()
    const withMark = (date: string): Athlete => ({
      ...ilse,
      efforts: [
        { sport: 'run', metres: 10_000, seconds: 2400, date },
        { sport: 'run', metres: 5000, seconds: 1500, date: near },
      ],
    })
    await setAthlete(withMark(daysFrom(near, -10)))
    const { id } = await save('title Twenty\nsport run\n\n20 km @ 10k effort')
    const seconds = async () =>
      (await inAnns(tx => listSessions(tx, { search: 'Twenty', sort: 'longest', limit: 10, offset: 0 }))).rows[0]!.seconds
    const atDesk = async () => inAnns(async tx => reckon((await loadSession(tx, id)).document, await currentStandpoint(tx)).seconds.likely)
    const before = await seconds()
    expect(before).toBe(await atDesk())
    await setAthlete(withMark(daysFrom(near, -121)))
    expect(await seconds()).toBe(await atDesk())
    expect(await seconds()).toBeGreaterThan(before!)
    await inAnns(tx => planSession(tx, id, near))
    expect((await inAnns(tx => listPlan(tx, near, near)))[0]!.seconds).toBe(await atDesk())
    await setAthlete(ilse)
  })
  it('is dated by the athlete\u2019s own day where the date has no year', async () => {
    const { document } = await save('31 March: 10 km')
    expect(document.day! >= (await today())).toBe(true)
    expect(document.day).toMatch(/-03-31$/)
  })
  it('is taken in by the athlete\u2019s units, from a file of several too', async () => {
    await setAthlete({ ...ilse, units: { run: 'mi', ride: 'mi', swim: 'yd' } })
    const two = new TextEncoder().encode('title One of two\nsport run\n\n10:00 @ 6:52\n---\ntitle Two of two\nsport run\n\n20:00 @ 7:00\n')
    const { results } = await importFile(inAnns, ann.owner, 'two.txt', two)
    for await (const { problem } of results) expect(problem).toBeUndefined()
    const { rows } = await inAnns(tx => listSessions(tx, { search: '"of two"', sort: 'title', limit: 10, offset: 0 }))
    const scripts = await Promise.all(rows.map(row => inAnns(async tx => printSession((await loadSession(tx, row.id)).document))))
    expect(scripts.map(script => script.split('\n').at(-2))).toEqual(['10:00 @ 6:52 /mi', '20:00 @ 7:00 /mi'])
    await setAthlete(ilse)
  })
  it('is put away and found only where that is asked for', async () => {
    const { id } = await save('title Hidden away\nsport run\n\n5 km')
    await inAnns(tx => archiveSession(tx, id, true))
    const found = async (search: string) => (await inAnns(tx => listSessions(tx, { search, sort: 'title', limit: 10, offset: 0 }))).total
    expect([await found('"Hidden away"'), await found('archived "Hidden away"')]).toEqual([0, 1])
  })
})

describe('the plan', () => {
  it('answers the seconds of what is put on a day, as the list does', async () => {
    const { id } = await save('sport run\n\n50:00 @ easy effort')
    const put = await inAnns(tx => planSession(tx, id, '2031-05-05'))
    expect(put.seconds).toBe(3000)
    expect(await inAnns(tx => listPlan(tx, '2031-05-05', '2031-05-05'))).toEqual([put])
  })
  it('is moved to another day, and only there', async () => {
    const { id } = await save('sport run\n\n5 km')
    const put = await inAnns(tx => planSession(tx, id, '2031-06-02'))
    await inAnns(tx => movePlanned(tx, put.id, '2031-06-04'))
    expect((await inAnns(tx => listPlan(tx, '2031-06-01', '2031-06-07'))).map(row => row.day)).toEqual(['2031-06-04'])
  })
  it('is moved by one of two who saw it on the same day; the other is told', async () => {
    const { id } = await save('sport run\n\n5 km')
    const put = await inAnns(tx => planSession(tx, id, '2031-06-09'))
    const move = (day: string) => inAnns(tx => editPlan(tx, { do: 'move', id: put.id, day, was: { day: '2031-06-09' } }))
    await move('2031-06-10')
    await expect(move('2031-06-11')).rejects.toMatchObject({ status: 409, details: { now: '2031-06-10' } })
  })
  it('loses what a corrected message no longer says', async () => {
    await inAnns(tx => fillWeek(tx, '2031-08-04', 'Tue: 6 x 800\nSat: ride 90 min Z2'))
    const { gone } = await inAnns(tx => fillWeek(tx, '2031-08-04', 'Tue: 6 x 800'))
    expect(gone).toHaveLength(1)
    expect((await inAnns(tx => listPlan(tx, '2031-08-04', '2031-08-10'))).map(row => row.day)).toEqual(['2031-08-05'])
  })
  it('is filled from a message, each session with the message as its source', async () => {
    const text = 'Tue: 6 x 800\nThu: rest\nSat: ride 90 min Z2'
    const { rows } = await inAnns(tx => fillWeek(tx, '2031-07-07', text))
    expect(rows.map(row => [row.day, row.kind])).toEqual([
      ['2031-07-08', 'session'],
      ['2031-07-10', 'rest'],
      ['2031-07-12', 'session'],
    ])
    expect((await inAnns(tx => loadSession(tx, rows[0]!.sessionId!))).source).toBe(text)
  })
})

describe('pushing', () => {
  it('looks seven days ahead and no further, and sends exactly what the look has shown', async () => {
    const person = await newPerson('Pia who pushes')
    const own = <T>(work: Parameters<typeof asOwner<T>>[2]) => asOwner(database, person.owner, work)
    const day = (await own(currentStandpoint)).day
    const ids = []
    for (const [name, ahead] of [
      ['First', 0],
      ['Last', 6],
      ['Too far', 7],
    ] as const) {
      const kept = await own(tx => saveSession(tx, randomUUID(), 0, `title ${name}\nsport run\n\n10:00`))
      await own(tx => planSession(tx, kept.id, daysFrom(day, ahead)))
      ids.push(kept.id)
    }
    const plan = await dryRun(database, person.owner, person.watch)
    expect(plan.acts.map(act => act.name).sort()).toEqual(['First', 'Last'])
    await expect(push(database, person.owner, person.watch, 'f'.repeat(64))).rejects.toMatchObject({ status: 409 })
    const begun = await push(database, person.owner, person.watch, plan.digest)
    expect(begun.map(transfer => transfer.title).sort()).toEqual(['First', 'Last'])
  })
})

describe('a program', () => {
  it('is kept once for all that refer to it, and names no title that was only derived', async () => {
    const { id, document } = await save('sport run\n\n4 times\n  1:00\n  recovery 0:30')
    const fitted = await inAnns(tx => fitSession(tx, ann.watch, id))
    expect(fitted.program.from.session).toBe(digestOf(document))
    await startTransfer(database, ann.owner, { watchId: ann.watch, sessionId: id })
    const recording = rehearse(fitted.program, ilse, { seed: 5, startedAt: '2026-03-31T06:00:00.000Z' })
    const home = await inAnns(tx => storeRecording(tx, recording, { program: fitted.program, sessionId: id }))
    const kept = await inAnns(tx =>
      tx
        .select()
        .from(program)
        .where(eq(program.digest, digestOf(fitted.program))),
    )
    expect(kept.map(row => [row.sessionId, row.revision])).toEqual([[id, 1]])
    await inAnns(tx => saveSession(tx, id, 1, 'sport run\n\n9 km'))
    const logged = await inAnns(tx => loadRecording(tx, home))
    expect(logged.session?.items).toEqual(document.items)
    expect(logged.program).toEqual(fitted.program)
  })
  it('goes to no slot that another one is on its way to', async () => {
    const person = await newPerson('Ann of two sendings')
    const own = <T>(work: Parameters<typeof asOwner<T>>[2]) => asOwner(database, person.owner, work)
    const [first, second] = await Promise.all(['7:00', '8:00'].map(words => own(tx => saveSession(tx, randomUUID(), 0, words))))
    const fitted = await own(tx => fitSession(tx, person.watch, first!.id))
    await own(async tx => {
      const digest = await keepProgram(tx, fitted.program, { sessionId: first!.id, revision: 1 })
      const values = { watchId: person.watch, sessionId: first!.id, revision: 1, slot: 1, expects: 0, digest }
      await tx.insert(transfer).values({ ...values, state: 'sending', size: 1 })
    })
    expect((await startTransfer(database, person.owner, { watchId: person.watch, sessionId: second!.id })).slot).toBe(2)
  })
  it('is not sent where another was looked at', async () => {
    const { id } = await save('sport run\n\n7:00')
    await expect(startTransfer(database, ann.owner, { watchId: ann.watch, sessionId: id, digest: 'a'.repeat(64) })).rejects.toMatchObject({
      status: 409,
    })
  })
})

describe('the log', () => {
  it('dates a recording right whose watch was wrong, and keeps it once', async () => {
    const { id } = await save('title Dated\nsport run\n\n5:00')
    const { program: made } = await inAnns(tx => fitSession(tx, ann.watch, id))
    const recording = rehearse(made, ilse, { seed: 6, startedAt: '2026-03-30T06:00:00.000Z' })
    const origin = { program: made, sessionId: id, clockAhead: 3600 }
    const first = await inAnns(tx => storeRecording(tx, recording, origin))
    expect(await inAnns(tx => storeRecording(tx, recording, origin))).toBe(first)
    const { rows } = await inAnns(tx => listRecordings(tx, {}, 50, 0))
    expect(rows.filter(row => row.title === 'Dated').map(row => row.startedAt)).toEqual(['2026-03-30T05:00:00.000Z'])
  })
  it('has its session gone with a word of it left', async () => {
    const { id } = await save('title Gone soon\nsport run\n\n5:00')
    await inAnns(tx => tx.delete(session).where(eq(session.id, id)))
    expect(await inAnns(tx => tx.select().from(revision).where(eq(revision.sessionId, id)))).toEqual([])
  })
})
