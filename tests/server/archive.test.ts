import { randomUUID } from 'node:crypto'
import { deflateRawSync } from 'node:zlib'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { beforeAll, describe, expect, inject, it } from 'vitest'
import type { DemoRecording } from '../../demo/log'
import { demoLog } from '../../demo/log'
import { ilse as athlete } from '../../demo/athlete'
import { demoScripts } from '../../demo/sessions'
import type { Session } from '../../core/session/document'
import { asOwner } from '../../server/db/client'
import { saveSession } from '../../server/services/session'
import { keepProgram } from '../../server/services/program'
import { storeRecording } from '../../server/services/recording'
import type { EraseAsked, KeptSession, Listed, ShelfRow } from '../../shared/api'
import type { LoggedRecording, LogRow } from '../../shared/log'
import type { Person } from './client'
import { database, importFile, newPerson, newSession } from './client'

const archiveOf = async (person: Person) => {
  const response = await fetch(`${inject('address')}/api/export`, { headers: { authorization: `Bearer ${person.token}` } })
  expect([response.status, response.headers.get('content-type')]).toEqual([200, 'application/zip'])
  return new Uint8Array(await response.arrayBuffer())
}
const namesIn = (archive: Uint8Array) => Object.keys(unzipSync(archive)).sort()

let ilse: Person
let archive: Uint8Array

beforeAll(async () => {
  ilse = await newPerson('Ilse with everything')
  await ilse.ask('PUT', '/me', { base: 0, document: athlete })
  await ilse.ask('PUT', '/me', { base: 1, document: { ...athlete, massKg: 59 } })
  const kept = new Map<string, { id: string; document: Session }>()
  const done = ['Kick and pull', 'Easy and strides', 'Cadence ladder']
  const isDone = (script: string) => done.some(title => script.includes(`title ${title}\n`))
  for (const script of [...demoScripts.filter(isDone), ...demoScripts.filter(script => !isDone(script)).slice(0, 5)]) {
    const saved = await asOwner(database, ilse.owner, tx => saveSession(tx, randomUUID(), 0, script))
    kept.set(saved.title, saved)
  }
  const [first, second] = [...kept.values()].slice(3)
  await ilse.ask('PUT', `/sessions/${first!.id}`, {
    base: 1,
    script: 'title Said otherwise\nsport run\n\n12:00\n',
    source: '12 min, said the club',
  })
  await ilse.ask('PUT', `/sessions/${first!.id}/tags`, { tags: ['quay'] })
  await ilse.ask('PUT', `/sessions/${second!.id}/archive`, { archived: true })
  await ilse.ask('POST', `/sessions/${first!.id}/copy`, { variant: true, title: 'Shorter', script: '6:00' })
  await ilse.ask('POST', '/plan', { session: first!.id, day: '2026-03-31' })
  await ilse.ask('POST', '/plan', { session: second!.id, day: '2026-03-31' })
  await ilse.ask('POST', '/plan/edits', { do: 'put', day: '2026-04-02', kind: 'work', name: 'Gym', minutes: 40, effort: 4 })
  const removed = await newSession(ilse, 'title Gone\nsport run\n\n1:00\n')
  await ilse.ask('DELETE', `/sessions/${removed}`)
  const documents = new Map([...kept].map(([title, { document }]) => [title, document]))
  const log = demoLog(athlete, documents, '2026-04-01')
  for (const _ of done) {
    const { title, program, recording } = log.next().value as DemoRecording
    await asOwner(database, ilse.owner, async tx => {
      const from = { sessionId: kept.get(title)!.id, revision: 1 }
      if (program) await keepProgram(tx, program, { ...from, changedThere: title === done[0] })
      return storeRecording(tx, recording, { ...from, program })
    })
  }
  archive = await archiveOf(ilse)
})

/** All that a person has, as the routes show it, without ids and times of saving. */
async function shownOf(person: Person) {
  const get = async <T>(path: string) => (await person.ask<T>('GET', path)).body
  const shelf = async (search: string) => (await get<Listed<ShelfRow>>(`/sessions?sort=title&limit=200&search=${search}`)).rows
  const sessions = [...(await shelf('')), ...(await shelf('archived'))]
  const wordings = []
  for (const { id } of sessions) {
    const { script, document, source, tags, isArchived } = await get<KeptSession>(`/sessions/${id}`)
    const revisions = (await get<{ number: number; script: string; createdAt: string }[]>(`/sessions/${id}/revisions`)).map(one => [
      one.number,
      one.script,
      one.createdAt,
    ])
    const family = (await get<{ title: string }[]>(`/sessions/${id}/family`)).map(one => one.title)
    wordings.push({ script, document, source, tags, isArchived, revisions, family })
  }
  const recordings = []
  for (const { id } of (await get<Listed<LogRow>>('/recordings')).rows) {
    const { title, recording, score, session, program, changedThere } = await get<LoggedRecording>(`/recordings/${id}`)
    recordings.push({ title, recording, score, session, program, changedThere })
  }
  const plan = (
    await get<{ day: string; title: string; kind: string; minutes: number | null }[]>('/plan?from=2026-01-01&to=2026-12-31')
  ).map(({ day, title, kind, minutes }) => [day, title, kind, minutes])
  return {
    sessions: sessions.map(({ title, seconds, steps, tags }) => ({ title, seconds, steps, tags })),
    wordings,
    recordings,
    plan,
    history: await get('/me/history'),
  }
}

describe('an archive of everything', () => {
  it('gives a fresh account all there was, the same, and is written again the same', async () => {
    const other = await newPerson('Ilse on another machine')
    const { status, body } = await importFile(other, 'agonis.zip', archive)
    expect([status, body.files.filter(file => file.problem)]).toEqual([200, []])
    expect(await shownOf(other)).toEqual(await shownOf(ilse))
    expect(namesIn(await archiveOf(other)).filter(name => /\.(?:txt)$|^recordings|^programs/.test(name)).length).toBe(
      namesIn(archive).filter(name => /\.(?:txt)$|^recordings|^programs/.test(name)).length,
    )
  })

  it('changes nothing where everything is there already', async () => {
    const before = await shownOf(ilse)
    const { body } = await importFile(ilse, 'agonis.zip', archive)
    expect(body.files.filter(file => file.problem)).toEqual([])
    expect(await shownOf(ilse)).toEqual(before)
  })

  it('brings back what was removed since, and keeps another wording beside its own', async () => {
    const other = await newPerson('Ilse who went on')
    await importFile(other, 'agonis.zip', archive)
    const own = await archiveOf(other)
    const { rows } = (await other.ask<Listed<ShelfRow>>('GET', '/sessions?sort=title&limit=200')).body
    const [gone, changed] = rows as [ShelfRow, ShelfRow]
    await other.ask('DELETE', `/sessions/${gone.id}`)
    const { number } = (await other.ask<KeptSession>('GET', `/sessions/${changed.id}`)).body
    await other.ask('PUT', `/sessions/${changed.id}`, { base: number, script: 'title Went on\nsport run\n\n1:00\n' })
    await importFile(other, 'agonis.zip', own)
    const after = (await other.ask<Listed<ShelfRow>>('GET', '/sessions?sort=title&limit=200')).body.rows.map(row => row.title)
    expect(after.sort()).toEqual([...rows.map(row => row.title), 'Went on'].sort())
  })

  it('keeps its good files where others are damaged, and says which and why', async () => {
    const files = unzipSync(archive)
    const [recording] = Object.keys(files).filter(name => name.startsWith('recordings/'))
    const [wordings] = Object.keys(files).filter(name => name.startsWith('wordings/'))
    files[recording!] = strToU8('{"format":"agonis.recording"')
    files[wordings!] = strToU8(
      '[{"number":1,"base":0,"script":"x \\u0000","source":null,"document":{},"readOn":null,"savedAt":"2026-01-01"}]',
    )
    const other = await newPerson('Ilse with a bad disk')
    const { body } = await importFile(other, 'agonis.zip', zipSync(files))
    const refused = body.files.filter(file => file.problem)
    expect(refused.map(file => file.problem!.slice(0, 22)).sort()).toEqual(["Not JSON: Expected ','", 'The text holds a sign '].sort())
    expect((await shownOf(other)).sessions.length).toBe((await shownOf(ilse)).sessions.length - 1)
  })

  it('of a later version is refused', async () => {
    const files = unzipSync(archive)
    files['agonis.json'] = strToU8(new TextDecoder().decode(files['agonis.json']).replace('"version": 1', '"version": 2'))
    const { body } = await importFile(await newPerson('Ilse of yesterday'), 'agonis.zip', zipSync(files))
    expect(body.problem).toMatch(/later version/)
  })
})

/** A zip of one file whose header says of itself what is wanted. */
function lyingZip(name: string, packed: Uint8Array, says: { size: number; crc: number }): Buffer {
  const head = (signature: number, rest: number) => {
    const bytes = Buffer.alloc(rest)
    bytes.writeUInt32LE(signature, 0)
    return bytes
  }
  const local = head(0x04034b50, 30)
  local.writeUInt16LE(20, 4)
  local.writeUInt16LE(8, 8)
  local.writeUInt32LE(says.crc, 14)
  local.writeUInt32LE(packed.length, 18)
  local.writeUInt32LE(says.size, 22)
  local.writeUInt16LE(name.length, 26)
  const central = head(0x02014b50, 46)
  local.copy(central, 6, 4, 30)
  const end = head(0x06054b50, 22)
  end.writeUInt16LE(1, 8)
  end.writeUInt16LE(1, 10)
  end.writeUInt32LE(46 + name.length, 12)
  end.writeUInt32LE(30 + name.length + packed.length, 16)
  return Buffer.concat([local, Buffer.from(name), packed, central, Buffer.from(name), end])
}

describe('a hostile archive', () => {
  let person: Person
  beforeAll(async () => {
    person = await newPerson('Ilse and the bombs')
  })
  const problemsOf = async (bytes: Uint8Array) => {
    const { status, body } = await importFile(person, 'x.zip', bytes)
    return { status, problem: body.problem ?? body.files.map(file => file.problem).join() }
  }

  it('is held to what it really unpacks to, whatever it says of itself', async () => {
    const much = deflateRawSync(Buffer.alloc(190_000_000))
    expect(much.length).toBeLessThan(200_000)
    for (const size of [10, 190_000_000])
      expect(await problemsOf(lyingZip('x.txt', much, { size, crc: 0 }))).toEqual({
        status: 200,
        problem: expect.stringMatching(/Unpacks to more than|damaged/),
      })
  })

  it('whose content was changed on its way is not taken for whole', async () => {
    expect(await problemsOf(lyingZip('x.txt', deflateRawSync('10:00'), { size: 5, crc: 1 }))).toEqual({
      status: 200,
      problem: 'Cannot be unpacked: it is damaged.',
    })
  })

  it('of thousands of files is taken in file by file, and said line by line', async () => {
    const files = Object.fromEntries(
      Array.from({ length: 3000 }, (_, index) => [`${index}.txt`, strToU8(`title Of ${index}\nsport run\n\n1:00\n`)]),
    )
    files['bad.json'] = strToU8('{')
    const other = await newPerson('Ilse of the thousands')
    const response = await fetch(`${inject('address')}/api/import?name=many.zip`, {
      method: 'POST',
      headers: { authorization: `Bearer ${other.token}`, accept: 'application/x-ndjson' },
      body: zipSync(files),
    })
    const lines = (await response.text())
      .trim()
      .split('\n')
      .map(line => JSON.parse(line) as { count?: number; titles?: string[]; problem?: string })
    expect([lines[0], lines.length]).toEqual([{ count: 3001 }, 3002])
    expect(lines.filter(line => line.problem).map(line => line.problem!.slice(0, 8))).toEqual(['Not JSON'])
    expect((await other.ask<{ total: number }>('GET', '/sessions?limit=1')).body.total).toBe(3000)
  })

  it('that goes out of its folder, or is cut off, does no harm', async () => {
    expect((await problemsOf(lyingZip('../../x.txt', deflateRawSync('1:00'), { size: 4, crc: 0 }))).status).toBe(422)
    for (const length of [4, 30, archive.length - 10]) expect((await problemsOf(archive.slice(0, length))).status).toBe(422)
    expect((await problemsOf(zipSync({ 'x.exe': strToU8('x') }))).status).toBe(422)
  })
})

describe('erasing everything', () => {
  it('is asked twice, is for good, and leaves others alone', async () => {
    const gone = await newPerson('Ilse who leaves')
    await importFile(gone, 'agonis.zip', archive)
    const before = await shownOf(ilse)
    const asked = (await gone.ask<EraseAsked>('POST', '/erase', {})).body
    expect(asked.holds.sessions).toBe(9)
    expect((await gone.ask('POST', '/erase', { key: 'guessed' })).status).toBe(409)
    await newSession(gone, '5:00')
    expect((await gone.ask('POST', '/erase', { key: asked.key })).status).toBe(409)
    const { key } = (await gone.ask<EraseAsked>('POST', '/erase', {})).body
    expect((await ilse.ask('POST', '/erase', { key })).status).toBe(409)
    expect((await gone.ask('POST', '/erase', { key })).body).toEqual({ erased: true })
    expect((await gone.ask('GET', '/me')).status).toBe(401)
    expect(await shownOf(ilse)).toEqual(before)
  })
})
