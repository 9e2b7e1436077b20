import { randomUUID } from 'node:crypto'
import { beforeAll, describe, expect, inject, it } from 'vitest'
import type { Person } from './client'
import { newPerson, newSession } from './client'

interface Kept {
  id: string
  number: number
  script: string
  document: { items: unknown[]; source?: string }
  title: string
}
interface Told {
  problem: string
  where: string
  hint: string
  theirs?: Kept
}

let ilse: Person
beforeAll(async () => {
  ilse = await newPerson('Ilse')
})

const line = '16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy, 12 min easy'

describe('keeping sessions', () => {
  it('keeps the words as typed and the document they read as', async () => {
    const id = await newSession(ilse, line)
    const { body } = await ilse.ask<Kept>('GET', `/sessions/${id}`)
    expect(body.script).toBe(line)
    expect(body.document.source).toBe(line)
    expect(body.document.items).toHaveLength(3)
    expect(body.title).toBe('2 x 4 x 1:30 @ 102-106 %CP')
  })

  it('makes every save a revision on top of the one it names', async () => {
    const id = await newSession(ilse, 'title One\nsport run\n\n10:00\n')
    const second = await ilse.ask<Kept>('PUT', `/sessions/${id}`, { base: 1, script: 'title Two\nsport run\n\n12:00\n' })
    expect(second.body.number).toBe(2)
    const { body } = await ilse.ask<{ number: number; script: string }[]>('GET', `/sessions/${id}/revisions`)
    expect(body.map(revision => revision.number)).toEqual([2, 1])
    expect(body[1]!.script).toContain('title One')
  })

  it('answers a stale base with both sides, and changes nothing', async () => {
    const id = await newSession(ilse, 'sport run\n\n10:00\n')
    await ilse.ask('PUT', `/sessions/${id}`, { base: 1, script: 'sport run\n\n11:00\n' })
    const late = await ilse.ask<Told>('PUT', `/sessions/${id}`, { base: 1, script: 'sport run\n\n12:00\n' })
    expect(late.status).toBe(409)
    expect(late.body.theirs!.script).toContain('11:00')
    expect((await ilse.ask<Kept>('GET', `/sessions/${id}`)).body.script).toContain('11:00')
  })

  it('lets only one of many simultaneous saves on the same base through', async () => {
    const id = await newSession(ilse, 'sport run\n\n10:00\n')
    const saves = await Promise.all(
      Array.from({ length: 6 }, (_, index) => ilse.ask('PUT', `/sessions/${id}`, { base: 1, script: `sport run\n\n${11 + index}:00\n` })),
    )
    expect(saves.map(save => save.status).sort()).toEqual([200, 409, 409, 409, 409, 409])
  })

  it('copies under a new title, removes, and brings back', async () => {
    const id = await newSession(ilse, 'title Quay ladder\nsport run\n\n10:00\n')
    const copy = await ilse.ask<Kept>('POST', `/sessions/${id}/copy`)
    expect([copy.status, copy.body.title]).toEqual([201, 'Quay ladder 2'])
    expect((await ilse.ask('DELETE', `/sessions/${id}`)).status).toBe(200)
    expect((await ilse.ask('GET', `/sessions/${id}`)).status).toBe(404)
    expect((await ilse.ask('DELETE', `/sessions/${id}`)).status).toBe(404)
    expect((await ilse.ask<Kept>('POST', `/sessions/${id}/restore`)).body.title).toBe('Quay ladder')
    const { body } = await ilse.ask<{ rows: { title: string }[]; total: number }>('GET', '/sessions?search=quay%20l')
    expect(body.rows.map(row => row.title).sort()).toEqual(['Quay ladder', 'Quay ladder 2'])
  })

  it('finds a title with a percent sign literally', async () => {
    await newSession(ilse, 'title 100 % effort\nsport run\n\n10:00\n')
    const { body } = await ilse.ask<{ total: number }>('GET', `/sessions?search=${encodeURIComponent('"0 % e"')}`)
    expect(body.total).toBe(1)
    expect((await ilse.ask<{ total: number }>('GET', `/sessions?search=${encodeURIComponent('1%%t')}`)).body.total).toBe(0)
  })
})

describe('bad input is told what and where, with a 4xx, and nothing changes', () => {
  const nested = (depth: number): string =>
    Array.from({ length: depth }, (_, level) => `${'  '.repeat(level)}2 times`).join('\n') + `\n${'  '.repeat(depth)}1:00\n`
  const document = (items: unknown[], more: object = {}) => ({
    document: { format: 'agonis.session', version: 1, sport: 'run', items, ...more },
  })
  const step = (end: object) => ({ kind: 'step', role: 'work', end })

  it.each([
    ['a script over 1 MB', 'x'.repeat(1024 * 1024 + 1), 413, '1 MB'],
    ['one that unrolls to 10 000 steps', 'sport run\n\n100 times\n  100 times\n    1:00\n', 422, '10000 steps'],
    ['a session nested 30 deep', `sport run\n\n${nested(30)}`, 422, '30 deep'],
    ['a session of more than 48 h', 'sport run\n\n100 times\n  30:00\n  30:00\n', 422, '48 h'],
    ['a title of 121 characters', `title ${'a'.repeat(121)}\nsport run\n\n1:00\n`, 422, '121 characters'],
    ['two sessions in one', 'sport run\n\n1:00\n---\nsport run\n\n2:00\n', 422, '2 sessions'],
  ])('%s', async (_, script, status, words) => {
    const id = randomUUID()
    const answer = await ilse.ask<Told>('PUT', `/sessions/${id}`, { base: 0, script })
    expect(answer.status).toBe(status)
    expect(answer.body.problem).toContain(words)
    expect(answer.body.where).toMatch(/^body\.script/)
    expect(answer.body.hint).not.toBe('')
    expect((await ilse.ask('GET', `/sessions/${id}`)).status).toBe(404)
  })

  it.each([
    ['a step of 400 hours', document([step({ on: 'time', seconds: 400 * 3600 })]), 'body.document/items/0/end/seconds'],
    ['a negative time', document([step({ on: 'time', seconds: -5 })]), 'body.document/items/0/end/seconds'],
    ['a distance of zero', document([step({ on: 'distance', value: 0, unit: 'm' })]), 'body.document/items/0/end/value'],
    ['an unknown field', document([{ ...step({ on: 'press' }), colour: 'red' }]), 'body.document/items/0'],
    ['an unknown end', document([step({ on: 'bell' })]), 'body.document/items/0/end'],
    ['the wrong version', { document: { format: 'agonis.session', version: 2, sport: 'run', items: [] } }, 'body.document/version'],
    ['a leg in a run', document([{ kind: 'leg', sport: 'run', items: [step({ on: 'press' })] }]), 'body.document item 1'],
    [
      'a repeat that never ends',
      document([{ kind: 'block', repeat: { distance: { value: 5, unit: 'km' } }, items: [{ ...step({ on: 'press' }), role: 'rest' }] }]),
      'body.document item 1',
    ],
    [
      'a band the wrong way round',
      document([{ ...step({ on: 'press' }), target: { of: 'power', unit: 'W', easiest: 200, hardest: 100 } }]),
      'body.document item 1',
    ],
  ])('%s', async (_, body, where) => {
    const before = (await ilse.ask<{ total: number }>('GET', '/sessions')).body.total
    const answer = await ilse.ask<Told>('POST', '/sessions', body)
    expect(answer.status).toBe(422)
    expect(answer.body.where).toBe(where)
    expect((await ilse.ask<{ total: number }>('GET', '/sessions')).body.total).toBe(before)
  })

  it.each([
    ['broken JSON', 'PUT', `/sessions/${randomUUID()}`, '{"base":0,', 400],
    ['an unknown field in the body', 'PUT', `/sessions/${randomUUID()}`, { base: 0, script: '', extra: 1 }, 400],
    ['a missing field', 'PUT', `/sessions/${randomUUID()}`, { base: 0 }, 400],
    ['a base that is no number', 'PUT', `/sessions/${randomUUID()}`, { base: '0', script: '' }, 400],
    ['an unknown id', 'GET', `/sessions/${randomUUID()}`, undefined, 404],
    ['an id that is none', 'GET', '/sessions/42', undefined, 404],
    ['a base on a session that is not there', 'PUT', `/sessions/${randomUUID()}`, { base: 3, script: '10:00' }, 404],
    ['an unknown address', 'GET', '/nothing', undefined, 404],
    ['a limit out of range', 'GET', '/sessions?limit=5000', undefined, 400],
    ['a body over the limit', 'PUT', `/sessions/${randomUUID()}`, `{"base":0,"script":"${'x'.repeat(4 * 1024 * 1024)}"}`, 413],
  ])('%s', async (_, method, path, body, status) => {
    const answer = await ilse.ask<Told>(method, path, body)
    expect(answer.status).toBe(status)
    expect(Object.keys(answer.body).sort()).toEqual(['hint', 'problem', 'where'])
    expect(JSON.stringify(answer.body)).not.toMatch(/at .*\.(?:m?js|ts)|node_modules/)
  })

  it('keeps a line nobody can read, with the rest', async () => {
    const id = await newSession(ilse, 'sport run\n\n400 h easy\n10:00\n')
    const { body } = await ilse.ask<Kept>('GET', `/sessions/${id}`)
    expect(body.document.items).toEqual([{ kind: 'unread', text: '400 h easy' }, expect.objectContaining({ kind: 'step' })])
  })
})

describe('the door', () => {
  it('turns other hosts and origins away, and strangers', async () => {
    const address = inject('address')
    const authorization = `Bearer ${ilse.token}`
    expect((await fetch(`${address}/api/me`, { headers: { authorization, origin: 'http://elsewhere.example' } })).status).toBe(403)
    expect((await fetch(`${address}/api/me`)).status).toBe(401)
    expect((await fetch(`${address}/api/me`, { headers: { authorization: 'Bearer wrong' } })).status).toBe(401)
    expect((await fetch(`${address}/api/me`, { headers: { authorization } })).status).toBe(200)
  })

  it('signs the home account in on its first page only, by a cookie no script can read', async () => {
    const response = await fetch(`${inject('address')}/desk`)
    const cookie = response.headers.get('set-cookie') ?? ''
    expect(cookie).toMatch(/HttpOnly/i)
    expect(cookie).toMatch(/SameSite=Strict/i)
    expect(response.headers.get('content-security-policy')).toContain("default-src 'self'")
  })
})
