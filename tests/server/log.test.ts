import { beforeEach, describe, expect, it } from 'vitest'
import { recordingGpx } from '../../core/exchange/write-gpx'
import type { Recording } from '../../core/record/recording'
import { standpointOf } from '../../core/athlete/standpoint'
import { readScript } from '../../core/script/reader/read-script'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { ilse as demoAthlete } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import type { FoundRecordings, LoggedRecording, LogNarrowings, TakenIn } from '../../shared/log'
import type { Person } from './client'
import { newPerson, newSession } from './client'

const script = 'title Five threes\nsport run\n\nwarm-up 10:00\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n'
const standpoint = standpointOf(demoAthlete, null)
const { program } = fit(readScript(script, standpoint).sessions[0]!, profileNamed('all-sport')!, standpoint)

/** An hour on the road, a sample every ten seconds. */
const hour = (startedAt: string, over: Partial<Recording> = {}, every = 10): Recording => {
  const t = Array.from({ length: 3600 / every }, (_, index) => index * every)
  const metres = t.map(at => at * 3)
  const [lat, lon] = [metres.map(way => 60 + way / 111_195), t.map(() => 5)]
  return { format: 'agonis.recording', version: 1, sport: 'run', startedAt, samples: { t, metres, lat, lon }, marks: [], ...over }
}

let ilse: Person
const take = async (recording: Recording) => (await ilse.ask<TakenIn>('POST', '/recordings/taken', { recording })).body
const loaded = async (id: string) => (await ilse.ask<LoggedRecording>('GET', `/recordings/${id}`)).body
const found = async (query = '') => (await ilse.ask<FoundRecordings>('GET', `/recordings?${query}`)).body
const titles = async (query = '') => (await found(query)).rows.map(({ title }) => title)

beforeEach(async () => {
  ilse = await newPerson('Ilse')
})

describe('a recording out of a file', () => {
  it('is known when it comes again, and its file is given back byte for byte', async () => {
    const recording = hour('2026-03-31T06:00:00.000Z')
    const first = await take(recording)
    expect(first).toMatchObject({ isKnown: false, copyOf: null, title: 'Without a plan' })
    const { text } = recordingGpx(recording)!
    await ilse.send('PUT', `/recordings/${first.id}/original?name=${encodeURIComponent('Früh – 1.gpx')}`, text)
    expect(await take(recording)).toMatchObject({ id: first.id, isKnown: true })
    expect((await loaded(first.id)).original).toBe('Früh – 1.gpx')
    const back = await ilse.send('GET', `/recordings/${first.id}/original`)
    expect(await back.text()).toBe(text)
    expect(decodeURIComponent(back.headers.get('content-disposition')!)).toContain('Früh – 1.gpx')
    expect((await found()).total).toBe(1)
  })

  it("of another device and the same hour is put aside, is known when it comes again, and can take the other's place", async () => {
    const mine = await take(hour('2026-03-31T06:00:00.000Z'))
    const other = hour('2026-03-31T06:00:20.000Z', {}, 5)
    const copy = await take(other)
    expect(copy.copyOf).toEqual({ id: mine.id, title: 'Without a plan' })
    expect((await found()).total).toBe(1)
    expect((await loaded(mine.id)).copies.map(({ id }) => id)).toEqual([copy.id])
    expect(await take(other)).toMatchObject({ id: copy.id, isKnown: true, copyOf: { id: mine.id } })
    expect((await ilse.ask('POST', `/recordings/${copy.id}/instead`)).status).toBe(200)
    expect((await found()).rows.map(({ id }) => id)).toEqual([copy.id])
    expect((await loaded(copy.id)).copies.map(({ id }) => id)).toEqual([mine.id])
    expect((await ilse.ask('POST', `/recordings/${copy.id}/instead`)).status).toBe(404)
  })

  it('of another sport, another hour, or only in part of the same, is one of its own', async () => {
    await take(hour('2026-03-31T06:00:00.000Z'))
    for (const other of [
      hour('2026-03-31T06:00:00.000Z', { sport: 'ride' }),
      hour('2026-03-31T06:30:00.000Z'),
      hour('2026-04-01T06:00:00.000Z'),
    ])
      expect((await take(other)).copyOf).toBeNull()
    expect((await found()).total).toBe(4)
  })

  it('gives way to what a program led, whichever came first', async () => {
    const led: Recording = rehearse(program, demoAthlete, { seed: 4, startedAt: '2026-03-31T06:00:00.000Z' })
    const { program: _, ...rest } = led
    const copy = await take({ ...rest, marks: [] })
    await ilse.ask('POST', '/recordings', { recording: led, program })
    expect(await titles()).toEqual(['Five threes'])
    const [kept] = (await found()).rows
    expect((await loaded(kept!.id)).copies.map(({ id }) => id)).toEqual([copy.id])
  })

  it('has its time, sport and title put right, but not where a watch led it', async () => {
    const { id } = await take(hour('1999-08-22T00:00:00.000Z'))
    const right = { startedAt: '2026-03-30T06:10:00.000Z', sport: 'ride', title: 'Round the island' }
    expect((await ilse.ask<LoggedRecording>('PUT', `/recordings/${id}/facts`, right)).body).toMatchObject({
      title: 'Round the island',
      recording: { startedAt: right.startedAt, sport: 'ride' },
    })
    expect((await ilse.ask('PUT', `/recordings/${id}/facts`, { startedAt: 'yesterday' })).status).toBe(400)
    const led: Recording = rehearse(program, demoAthlete, { seed: 5, startedAt: '2026-03-29T06:00:00.000Z' })
    const own = (await ilse.ask<{ id: string }>('POST', '/recordings', { recording: led, program })).body.id
    expect((await ilse.ask('PUT', `/recordings/${own}/facts`, { sport: 'ride' })).status).toBe(409)
    expect((await ilse.ask('PUT', `/recordings/${own}/facts`, { title: 'Tuesday' })).status).toBe(200)
  })
})

describe('steps that the athlete puts elsewhere', () => {
  it('are judged anew, kept beside what was found, and found again when taken back', async () => {
    const led: Recording = rehearse(program, demoAthlete, { seed: 4, startedAt: '2026-03-31T06:00:00.000Z' })
    const { id } = (await ilse.ask<{ id: string }>('POST', '/recordings', { recording: led, program })).body
    const before = await loaded(id)
    const [warmUp, first] = before.score!.steps as [LoggedRecording['score'] & object]['0']['steps']
    const boundaries = [{ path: first!.path, round: first!.round, startsAt: first!.startsAt! + 30 }]
    const moved = (await ilse.ask<LoggedRecording>('PUT', `/recordings/${id}/boundaries`, { boundaries })).body
    expect(moved.score!.steps[0]!.seconds).toBeCloseTo(warmUp!.seconds! + 30, 0)
    expect(moved.score!.steps[1]!.seconds).toBeCloseTo(first!.seconds! - 30, 0)
    expect((await loaded(id)).boundaries).toEqual(boundaries)
    const back = (await ilse.ask<LoggedRecording>('PUT', `/recordings/${id}/boundaries`, { boundaries: [] })).body
    expect(back.score).toEqual(before.score)
  })
})

describe('finding in the log', () => {
  it('asks for words, sport, days, held, length, place and family, and says what it comes to', async () => {
    const session = await newSession(ilse, script)
    const led: Recording = rehearse(program, demoAthlete, { seed: 4, startedAt: '2026-03-31T06:00:00.000Z' })
    const own = (await ilse.ask<{ id: string }>('POST', '/recordings', { recording: led, program, session })).body.id
    const ride = await take(hour('2026-02-10T06:00:00.000Z', { sport: 'ride' }))
    await ilse.ask('PUT', `/recordings/${ride.id}/felt`, { rpe: 4, note: 'headwind at the quay', slept: 7.5 })
    await take(hour('2025-12-31T23:30:00.000Z', { timeZone: 'Asia/Tokyo' }))
    expect((await loaded(ride.id)).slept).toBe(7.5)
    const ids = async (query: string) => (await found(query)).rows.map(({ id }) => id)
    expect(await ids('words=quay%20headwind')).toEqual([ride.id])
    expect(await ids('words=threes')).toEqual([own])
    expect(await ids('words=%25')).toEqual([])
    expect(await ids('sport=ride')).toEqual([ride.id])
    expect(await ids('held=well')).toEqual([own])
    expect((await ids('held=unplanned')).length).toBe(2)
    expect((await found('from=2026-01-01&to=2026-01-01')).total).toBe(1)
    expect(await ids('metresFrom=10700&sport=ride')).toEqual([ride.id])
    expect((await found('metresTo=100')).total).toBe(0)
    expect((await ilse.ask('GET', '/recordings?place=moon')).status).toBe(400)
    const all = await found()
    const narrowed = async (query = '') => (await ilse.ask<LogNarrowings>('GET', `/recordings/narrowings?${query}`)).body
    const { months, families } = await narrowed('from=2026-02-01&to=2026-02-28')
    expect(months).toEqual([
      { month: '2026-03', count: 1 },
      { month: '2026-02', count: 1 },
      { month: '2026-01', count: 1 },
    ])
    expect(all.seconds).toBeCloseTo(
      all.rows.reduce((sum, { seconds }) => sum + seconds, 0),
      3,
    )
    expect((await found('limit=1')).rows.length).toBe(1)
    expect(families).toEqual([])
    const [family, ...others] = (await narrowed()).families
    expect(family).toMatchObject({ title: all.rows.find(({ id }) => id === own)!.title, count: 1 })
    expect(others).toEqual([])
    expect(await ids(`family=${family!.family}`)).toEqual([own])
    expect((await narrowed(`family=${family!.family}&sport=ride`)).families).toEqual([])
  })
})

it('goes into an archive with its file, its title and its sleep, and comes back', async () => {
  const recording = hour('2026-03-31T06:00:00.000Z')
  const { id } = await take(recording)
  await ilse.send('PUT', `/recordings/${id}/original?name=a.gpx`, 'the file as it was')
  await ilse.ask('PUT', `/recordings/${id}/facts`, { title: 'Round the island' })
  await ilse.ask('PUT', `/recordings/${id}/felt`, { slept: 6 })
  const archive = await (await ilse.send('GET', '/export')).arrayBuffer()
  const other = await newPerson('Other')
  await other.send('POST', '/import?name=all.zip', new Uint8Array(archive))
  const [row] = (await other.ask<FoundRecordings>('GET', '/recordings')).body.rows
  const back = (await other.ask<LoggedRecording>('GET', `/recordings/${row!.id}`)).body
  expect(back).toMatchObject({ title: 'Round the island', slept: 6, original: 'a.gpx', recording })
  expect(await (await other.send('GET', `/recordings/${row!.id}/original`)).text()).toBe('the file as it was')
})
