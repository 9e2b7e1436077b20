import { eq } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import { beforeAll, describe, expect, inject, it } from 'vitest'
import { digestOf } from '../../core/wrist/program/digest'
import { asOwner } from '../../server/db/client'
import { transfer } from '../../server/db/schema'
import { storeRecording } from '../../server/services/recording'
import type { Person } from './client'
import { database, newPerson, newSession, until } from './client'

let ilse: Person
beforeAll(async () => {
  ilse = await newPerson('Ilse')
})

describe('the plan', () => {
  it('puts a session on a day, lists it, and takes it off', async () => {
    const session = await newSession(ilse, 'title Quay ladder\nsport run\n\n10:00\n')
    const made = await ilse.ask<{ id: string; title: string }>('POST', '/plan', { session, day: '2026-03-31' })
    expect([made.status, made.body.title]).toEqual([201, 'Quay ladder'])
    const list = () => ilse.ask<{ id: string; day: string }[]>('GET', '/plan?from=2026-03-30&to=2026-04-05')
    expect((await list()).body).toMatchObject([{ id: made.body.id, day: '2026-03-31', title: 'Quay ladder', seconds: 600 }])
    expect((await ilse.ask<unknown[]>('GET', '/plan?from=2026-04-01&to=2026-04-05')).body).toEqual([])
    await ilse.ask('DELETE', `/sessions/${session}`)
    expect((await list()).body).toEqual([])
    await ilse.ask('POST', `/sessions/${session}/restore`)
    expect((await ilse.ask('DELETE', `/plan/${made.body.id}`)).status).toBe(200)
    expect((await ilse.ask('DELETE', `/plan/${made.body.id}`)).status).toBe(404)
  })

  it.each([['2026-02-30'], ['31.3.2026'], ['']])('does not take "%s" for a day', async day => {
    const session = await newSession(ilse, '10:00')
    expect((await ilse.ask('POST', '/plan', { session, day })).status).toBe(400)
  })
})

describe('a sending that its server left', () => {
  it('is said to have stopped, and can be resumed', async () => {
    const session = await newSession(ilse, 'title Left\nsport run\n\n10:00\n')
    const begun = await ilse.ask<{ id: string }>('POST', `/watches/${ilse.watch}/transfers`, { session })
    await until(
      () => ilse.ask<{ state: string }>('GET', `/transfers/${begun.body.id}`),
      answer => answer.body.state === 'done',
    )
    await asOwner(database, ilse.owner, tx =>
      tx
        .update(transfer)
        .set({ state: 'sending', updatedAt: new Date(Date.now() - 120_000) })
        .where(eq(transfer.id, begun.body.id)),
    )
    expect((await ilse.ask('GET', `/transfers/${begun.body.id}`)).body).toMatchObject({
      state: 'stopped',
      problem: 'The server stopped while sending.',
    })
    expect((await ilse.ask<{ transfers: unknown[] }>('GET', `/watches/${ilse.watch}/state`)).body.transfers).toHaveLength(1)
    await ilse.ask('POST', `/transfers/${begun.body.id}/resume`)
    await until(
      () => ilse.ask<{ state: string }>('GET', `/transfers/${begun.body.id}`),
      answer => answer.body.state === 'done',
    )
    expect((await ilse.ask<{ state: string }>('POST', `/transfers/${begun.body.id}/resume`)).body.state).toBe('done')
  })
})

describe('recordings in the database', () => {
  const recording = {
    format: 'agonis.recording',
    version: 1,
    sport: 'run',
    startedAt: '2026-03-30T06:00:00.000Z',
    timeZone: 'Europe/Oslo',
    samples: { t: [1, 2.5, 4], metres: [3, null, 12], heartRate: [100, 101, null] },
    marks: [
      { t: 0, kind: 'step', path: '1', round: [] },
      { t: 2, kind: 'lap' },
    ],
  }
  const store = (value: unknown) => asOwner(database, ilse.owner, tx => storeRecording(tx, value, {}))

  it('come back as they went, and are kept once however often they come', async () => {
    const id = await store(recording)
    expect(await store(recording)).toBe(id)
    const { body } = await ilse.ask<{ recording: unknown; score: unknown; title: string }>('GET', `/recordings/${id}`)
    expect(digestOf(body.recording)).toBe(digestOf(recording))
    expect([body.score, body.title]).toEqual([null, 'Without a plan'])
  })

  it('are refused whole when they are not sound', async () => {
    const before = (await ilse.ask<{ total: number }>('GET', '/recordings')).body.total
    await expect(store({ ...recording, samples: { t: [2, 1], metres: [1, 2] } })).rejects.toMatchObject({
      status: 422,
      where: 'recording.samples',
    })
    await expect(store({ ...recording, extra: 1 })).rejects.toMatchObject({ status: 422, where: 'recording/' })
    expect((await ilse.ask<{ total: number }>('GET', '/recordings')).body.total).toBe(before)
  })
})

describe("the stand-in watches' own door", () => {
  const ask = (path: string, key?: string, method = 'GET', body?: string) =>
    fetch(`${inject('standinUrl')}${path}`, { method, ...(key ? { headers: { 'x-standin-key': key } } : {}), ...(body ? { body } : {}) })

  it('opens only with the key, and only for a watch of a known make', async () => {
    const key = inject('standinKey')
    expect((await ask('/some.all-sport/glass')).status).toBe(403)
    expect((await ask('/some.all-sport/glass', 'x'.repeat(key.length))).status).toBe(403)
    expect((await ask('/some.wooden/glass', key)).status).toBe(404)
    expect((await ask('/..%2f..%2fetc.basic/glass', key)).status).toBe(404)
    expect(await (await ask(`/door-${randomUUID().slice(0, 8)}.basic/glass`, key)).json()).toMatchObject({
      profile: 'basic',
      slots: [],
      face: null,
    })
  })

  it('answers nonsense without falling', async () => {
    const key = inject('standinKey')
    expect((await ask('/some.basic/button', key, 'POST', 'not json')).status).toBe(500)
    await expect(ask('/some.basic/radio', key, 'POST', 'not json')).rejects.toThrow()
    expect((await ask('/some.basic/glass', key)).status).toBe(200)
  })
})
