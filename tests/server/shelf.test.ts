import { randomUUID } from 'node:crypto'
import { eq, sql } from 'drizzle-orm'
import { unzipSync } from 'fflate'
import { inject, beforeAll, describe, expect, it } from 'vitest'
import { asOwner } from '../../server/db/client'
import { recording } from '../../server/db/recordings'
import { session } from '../../server/db/schema'
import { facetsVersion, refreshFacets } from '../../server/services/facets'
import { storeRecording } from '../../server/services/recording'
import type { KeptSession, Listed, ShelfRow } from '../../shared/api'
import type { FilledWeek } from '../../shared/plan'
import type { Person } from './client'
import { database, importFile, ownerDatabase, newPerson, newSession } from './client'

let ilse: Person
const find = async (search: string, more = '') =>
  (await ilse.ask<Listed<ShelfRow>>('GET', `/sessions?search=${encodeURIComponent(search)}${more}`)).body
const titles = async (search: string, more = '') => (await find(search, more)).rows.map(row => row.title)

beforeAll(async () => {
  ilse = await newPerson('shelf')
  await newSession(ilse, 'title Short ones\n\n12 x 300 / 100 jog')
  await newSession(ilse, 'title Boathouse hour\nsport ride\n\n50:00 @ zone 3 power  # in the dark')
  await newSession(ilse, 'title Long gravel\nsport ride\n\n3:00:00 @ zone 3 power')
  await newSession(ilse, 'title Clocked\nsport swim\n\n8 x 100 on 1:50')
  await newSession(ilse, 'title Twelve again\nsport run\n\n12 times, drop last recovery\n  300 m\n  recovery 100 m jog\n')
})

describe('the shelf found by what is in it', () => {
  it.each([
    ['12x300', ['Twelve again', 'Short ones']],
    ['ride under 1 h with zone 3', ['Boathouse hour']],
    ['swim on send-offs', ['Clocked']],
    ['ride', ['Long gravel', 'Boathouse hour']],
    ['dark', ['Boathouse hour']],
    ['CLOCK', ['Clocked']],
    ['duplicates', ['Twelve again', 'Short ones']],
    ['100%', []],
    ['nowhere', []],
  ])('%s', async (search, wanted) => expect(await titles(search)).toEqual(wanted))

  it('pictures each by its cord, reckoned by today\u2019s numbers as its time is', async () => {
    const [twelve] = (await find('Twelve again')).rows
    expect(twelve!.cord!.parts.map(({ kind }) => kind).join(' ')).toMatch(/^(knot bare ){11}knot$/)
    expect(twelve!.cord!.brackets).toEqual([{ from: 0, to: 22, words: '12', depth: 0 }])
    await ownerDatabase.update(session).set({ cord: null, reckonedBy: 'by earlier rules' }).where(eq(session.id, twelve!.id))
    expect((await find('Twelve again')).rows[0]!.cord).toEqual(twelve!.cord)
  })

  it('tells how often each was done, without what was removed', async () => {
    const id = await newSession(ilse, 'title Done and not\nsport run\n\n33:00')
    const standing = async () => (await find('Done and not')).rows[0]!
    const startedAt = '2026-03-30T06:00:00Z'
    const done = await asOwner(database, ilse.owner, async tx => {
      const samples = { t: [1, 2], metres: [3, 6] }
      const kept = await storeRecording(tx, { format: 'agonis.recording', version: 1, sport: 'run', startedAt, samples, marks: [] }, {})
      await tx.update(recording).set({ sessionId: id }).where(eq(recording.id, kept))
      return kept
    })
    expect(await standing()).toMatchObject({ timesDone: 1, lastDone: '2026-03-30T06:00:00.000Z' })
    await ilse.ask('DELETE', `/recordings/${done}`)
    expect(await standing()).toMatchObject({ timesDone: 0, lastDone: null })
    await ilse.ask('DELETE', `/sessions/${id}`)
  })

  it('tells where each stands: the next day it is planned on, and that nothing holds it or did it', async () => {
    const id = await newSession(ilse, 'title Standing about\nsport run\n\n33:00')
    const standing = async () => (await find('Standing about')).rows[0]!
    expect(await standing()).toMatchObject({ plannedOn: null, watches: [], timesDone: 0, lastDone: null })
    for (const day of ['2199-03-04', '2199-02-03', '2001-01-01']) await ilse.ask('POST', '/plan', { session: id, day })
    expect(await standing()).toMatchObject({ plannedOn: '2199-02-03', watches: [], timesDone: 0 })
    await ilse.ask('DELETE', `/sessions/${id}`)
  })

  it('sorts, and tells variants and the same content', async () => {
    expect(await titles('', '&sort=title')).toEqual(['Boathouse hour', 'Clocked', 'Long gravel', 'Short ones', 'Twelve again'])
    expect((await titles('', '&sort=longest'))[0]).toBe('Long gravel')
    expect((await find('12x300')).rows.map(row => row.duplicates)).toEqual([1, 1])
    expect((await ilse.ask('GET', '/sessions?sort=best')).status).toBe(400)
  })

  it('follows a session when its words change', async () => {
    const id = await newSession(ilse, 'title Changing\n\n5 x 1 km')
    expect(await titles('5 x 1 km')).toEqual(['Changing'])
    await ilse.ask('PUT', `/sessions/${id}`, { base: 1, script: 'title Changing\n\n4 x 2 km' })
    expect(await titles('5 x 1 km')).toEqual([])
    expect(await titles('4 x 2 km')).toEqual(['Changing'])
    await ilse.ask('DELETE', `/sessions/${id}`)
  })

  it('makes its words anew where older rules made them', async () => {
    await ownerDatabase.update(session).set({ facets: [], words: '', facetsVersion: 0 }).where(eq(session.ownerId, ilse.owner))
    expect(await titles('12x300')).toEqual([])
    await refreshFacets(ownerDatabase)
    expect(await titles('12x300')).toHaveLength(2)
    const [stale] = await ownerDatabase.execute<{ count: number }>(
      sql`select count(*)::int as count from session where facets_version < ${facetsVersion}`,
    )
    expect(stale!.count).toBe(0)
  })
})

describe('tags, families and putting away', () => {
  it('keeps tags in lower case, each once, and finds by them', async () => {
    const id = await newSession(ilse, 'title Tagged\n\n10 km easy')
    expect(
      (await ilse.ask<{ tags: string[] }>('PUT', `/sessions/${id}/tags`, { tags: ['#Track', 'track', ' Long run '] })).body.tags,
    ).toEqual(['long-run', 'track'])
    expect(await titles('#track')).toEqual(['Tagged'])
    expect((await ilse.ask<{ tag: string; count: number }[]>('GET', '/tags')).body).toEqual([
      { tag: 'long-run', count: 1 },
      { tag: 'track', count: 1 },
    ])
    const copy = await ilse.ask<KeptSession>('POST', `/sessions/${id}/copy`, {})
    expect(copy.body.tags).toEqual(['long-run', 'track'])
    await ilse.ask('DELETE', `/sessions/${copy.body.id}`)
  })

  it('puts a session away and brings it back', async () => {
    const id = await newSession(ilse, 'title Away\n\n11 km easy')
    await ilse.ask('PUT', `/sessions/${id}/archive`, { archived: true })
    expect(await titles('away')).toEqual([])
    expect(await titles('archived away')).toEqual(['Away'])
    await ilse.ask('PUT', `/sessions/${id}/archive`, { archived: false })
    expect(await titles('away')).toEqual(['Away'])
  })

  it('keeps variants in one family, and a plain copy out of it', async () => {
    const id = await newSession(ilse, 'title Root\n\n9 x 400 m')
    const variant = await ilse.ask<KeptSession>('POST', `/sessions/${id}/copy`, {
      variant: true,
      title: 'Root, shorter',
      script: 'title Root\nsport run\n\n6 times\n  400 m\n',
    })
    expect(variant).toMatchObject({ status: 201, body: { title: 'Root, shorter' } })
    await ilse.ask('POST', `/sessions/${id}/copy`, {})
    expect((await ilse.ask<{ title: string }[]>('GET', `/sessions/${variant.body.id}/family`)).body.map(one => one.title)).toEqual([
      'Root',
      'Root, shorter',
    ])
    expect((await find('Root')).rows.map(row => [row.title, row.variants])).toEqual([
      ['Root 2', 0],
      ['Root, shorter', 1],
      ['Root', 1],
    ])
  })

  it('remembers what was dismissed and the words as pasted', async () => {
    const id = randomUUID()
    await ilse.ask('PUT', `/sessions/${id}`, { base: 0, script: 'sport run\n\n10:00\n', source: '10 min, said the club' })
    await ilse.ask('PUT', `/sessions/${id}/dismissed`, { dismissed: ['no-warm-up: 10:00'] })
    expect((await ilse.ask<KeptSession>('GET', `/sessions/${id}`)).body).toMatchObject({
      source: '10 min, said the club',
      dismissed: ['no-warm-up: 10:00'],
      document: { source: '10 min, said the club' },
    })
  })
})

describe('sessions out and in', () => {
  const bytesOf = async (path: string, person = ilse) =>
    new Uint8Array(
      await (await fetch(`${inject('address')}/api${path}`, { headers: { authorization: `Bearer ${person.token}` } })).arrayBuffer(),
    )
  const take = (person: Person, name: string, bytes: Uint8Array | string) => importFile(person, name, bytes)

  it('gives everything out, and another shelf takes it in again, the same', async () => {
    const archive = await bytesOf('/export')
    const other = await newPerson('other shelf')
    const { body } = await take(other, 'all.zip', archive)
    expect(body.files.filter(file => file.problem)).toEqual([])
    const before = (await ilse.ask<Listed<ShelfRow>>('GET', '/sessions?sort=title&limit=200')).body
    const after = (await other.ask<Listed<ShelfRow>>('GET', '/sessions?sort=title&limit=200')).body
    expect(after.rows.map(row => [row.title, row.seconds, row.steps])).toEqual(before.rows.map(row => [row.title, row.seconds, row.steps]))
    expect(Object.keys(unzipSync(archive)).filter(name => name.endsWith('.txt'))).toHaveLength(before.total)
  })

  it('gives one out as its script and as its document', async () => {
    const id = await newSession(ilse, 'title One\nsport run\n\n10:00\n')
    expect(new TextDecoder().decode(await bytesOf(`/sessions/${id}/export`))).toBe('title One\nsport run\n\n10:00\n')
    expect(JSON.parse(new TextDecoder().decode(await bytesOf(`/sessions/${id}/export?as=json`)))).toMatchObject({
      format: 'agonis.session',
      title: 'One',
    })
  })

  it('takes several sessions of one script in, and says which file does not fit and why', async () => {
    const other = await newPerson('taker')
    expect((await take(other, 'two.txt', 'title A\nsport run\n\n1:00\n---\ntitle B\nsport run\n\n2:00\n')).body.files).toEqual([
      { file: 'two.txt', titles: ['A', 'B'] },
    ])
    expect((await take(other, 'bad.json', '{"format":"agonis.session"')).body.files[0]!.problem).toMatch(/Not JSON/)
    expect(
      (await take(other, 'odd.json', '{"format":"agonis.session","version":1,"sport":"row","items":[]}')).body.files[0]!.problem,
    ).toMatch(/does not fit its format: \/sport/)
    expect((await take(other, 'bytes.txt', new Uint8Array([0xff, 0xfe, 0xff]))).body.files[0]!.problem).toMatch(/UTF-8/)
    expect((await take(other, 'cut.zip', (await bytesOf('/export')).slice(0, 200))).status).toBe(422)
    expect((await other.ask<Listed<ShelfRow>>('GET', '/sessions')).body.total).toBe(2)
  })
})

describe('a plain week', () => {
  const week = 'Hi!\nTue: 2 km easy, 6 x 800 / 90 s jog\nThu: rest\nSat: ride 90 min Z2'
  it('is filled from a message, all of it or nothing, and moved about', async () => {
    const other = await newPerson('weeks')
    const { status, body } = await other.ask<FilledWeek>('POST', '/plan/week', { week: '2026-03-30', text: week })
    expect([status, body.rows.map(row => row.day)]).toEqual([201, ['2026-03-31', '2026-04-02', '2026-04-04']])
    expect((await other.ask<KeptSession>('GET', `/sessions/${body.rows[0]!.sessionId}`)).body.source).toBe(week)
    expect((await other.ask('PUT', `/plan/${body.rows[0]!.id}`, { day: '2026-04-01' })).status).toBe(200)
    expect((await other.ask<{ day: string }[]>('GET', '/plan?from=2026-03-30&to=2026-04-05')).body.map(row => row.day)).toEqual([
      '2026-04-01',
      '2026-04-02',
      '2026-04-04',
    ])
    expect((await other.ask('PUT', `/plan/${body.rows[0]!.id}`, { day: '2026-02-30' })).status).toBe(400)
    expect((await other.ask('POST', '/plan/week', { week: '2026-03-30', text: 'Hello there' })).status).toBe(422)
    expect((await other.ask('POST', '/plan/week', { week: '2026-03-30', text: `Mon: 10 km\nTue: 999 x (999 x 1 min)` })).status).toBe(422)
    expect((await other.ask<Listed<ShelfRow>>('GET', '/sessions')).body.total).toBe(2)
  })
})
