import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { createApp, createRouter, toNodeListener } from 'h3'
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest'
import devices from '../../server/api/devices/index.get'
import endDevice from '../../server/api/devices/[id].delete'
import setSignIn from '../../server/api/devices/sign-in.put'
import join from '../../server/api/entrance/join.post'
import signIn from '../../server/api/entrance/sign-in.post'
import signOut from '../../server/api/entrance/sign-out.post'
import invitations from '../../server/api/invitations/index.post'
import type { SignInState } from '../../shared/api'
import type { Person } from './client'
import { newPerson } from './client'

/** Signing in over the home network, asked of the sources themselves. */
let address: string
let server: ReturnType<typeof createServer>
let ilse: Person
const passphrase = 'low tide at the quay'
let count = 0
const newName = () => `Ilse ${++count} ${Date.now()}`

beforeAll(async () => {
  Object.assign(process.env, { DATABASE_URL: inject('databaseUrl'), AGONIS_SEAL: 'a seal of more than thirty-two letters' })
  const router = createRouter()
  router.get('/api/devices', devices)
  router.delete('/api/devices/:id', endDevice)
  router.put('/api/devices/sign-in', setSignIn)
  router.post('/api/entrance/join', join)
  router.post('/api/entrance/sign-in', signIn)
  router.post('/api/entrance/sign-out', signOut)
  router.post('/api/invitations', invitations)
  server = createServer(toNodeListener(createApp().use(router)))
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  ilse = await newPerson('Ilse who signs in')
})
afterAll(() => server.close())
beforeEach(() => {
  process.env.AGONIS_ENTRANCE = 'home'
})

interface Given<T> {
  status: number
  body: T
  cookie: string
}
async function ask<T = { problem?: string; where?: string }>(
  method: string,
  path: string,
  { cookie = '', token = '', body }: { cookie?: string; token?: string; body?: unknown } = {},
): Promise<Given<T>> {
  const response = await fetch(`${address}/api${path}`, {
    method,
    headers: { cookie, ...(token ? { authorization: `Bearer ${token}` } : {}), 'user-agent': 'Mozilla/5.0 (Linux; Android 16)' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  return { status: response.status, body: (await response.json()) as T, cookie: response.headers.get('set-cookie')?.split(';')[0] ?? '' }
}
const stateOf = async (cookie: string) => (await ask<SignInState>('GET', '/devices', { cookie })).body
const setUp = async (name: string) => ask('PUT', '/devices/sign-in', { token: ilse.token, body: { name, passphrase } })

describe('a passphrase', () => {
  it('lets a device in, which is listed and can be ended', async () => {
    const name = newName()
    expect((await setUp(name)).status).toBe(200)
    const entered = await ask('POST', '/entrance/sign-in', { body: { name: `  ${name.toUpperCase()} `, passphrase } })
    expect(entered.status).toBe(200)
    const state = await stateOf(entered.cookie)
    expect(state.devices.filter(device => device.isThis)).toEqual([
      { id: expect.any(String), name: 'Browser on an Android phone', signedInAt: expect.any(String), isThis: true },
    ])
    const again = await ask('POST', '/entrance/sign-in', { body: { name, passphrase } })
    const [first] = state.devices.filter(device => device.isThis)
    expect((await ask('DELETE', `/devices/${first!.id}`, { cookie: again.cookie })).status).toBe(200)
    expect((await ask('GET', '/devices', { cookie: entered.cookie })).status).toBe(401)
    expect((await ask('GET', '/devices', { cookie: again.cookie })).status).toBe(200)
    await ask('POST', '/entrance/sign-out', { cookie: again.cookie })
    expect((await ask('GET', '/devices', { cookie: again.cookie })).status).toBe(401)
  })

  it('that is wrong, or of nobody, is refused in the same words', async () => {
    const name = newName()
    await setUp(name)
    const wrong = await ask('POST', '/entrance/sign-in', { body: { name, passphrase: 'high tide at the quay' } })
    const nobody = await ask('POST', '/entrance/sign-in', { body: { name: newName(), passphrase } })
    expect([wrong.status, nobody.status, wrong.body.problem]).toEqual([401, 401, nobody.body.problem])
    expect(wrong.cookie).toBe('')
  })

  it('cannot be guessed for long, not even by its right one then', async () => {
    const name = newName()
    await setUp(name)
    const tries = []
    for (let count = 0; count < 12; count++)
      tries.push((await ask('POST', '/entrance/sign-in', { body: { name, passphrase: `guess number ${count}` } })).status)
    expect(tries).toEqual([...Array.from({ length: 10 }, () => 401), 429, 429])
    expect((await ask('POST', '/entrance/sign-in', { body: { name, passphrase } })).status).toBe(429)
  })

  it('is kept as nobody can read it, and a name is of one athlete alone', async () => {
    const name = newName()
    await setUp(name)
    const other = await newPerson('Another')
    const taken = await ask('PUT', '/devices/sign-in', { token: other.token, body: { name, passphrase } })
    expect([taken.status, taken.body.where]).toEqual([409, 'body.name'])
  })

  it.each([
    ['', passphrase, 'body.name'],
    ['Ilse', 'short', 'body.passphrase'],
    ['Ilse', 'x'.repeat(300), 'body.passphrase'],
  ])('%j with %.12j is refused with where', async (name, words, where) => {
    const { status, body } = await ask('PUT', '/devices/sign-in', { token: ilse.token, body: { name, passphrase: words } })
    expect([status, body.where]).toEqual([400, where])
  })

  it('opens nothing where the server is open to its own machine', async () => {
    process.env.AGONIS_ENTRANCE = 'open'
    expect((await ask('POST', '/entrance/sign-in', { body: { name: 'Ilse', passphrase } })).status).toBe(409)
    expect((await ask('POST', '/invitations', { token: ilse.token, body: { lets: 'enter' } })).status).toBe(409)
  })
})

describe('an invitation', () => {
  const inviteTo = async (lets: string) => {
    const { body } = await ask<{ address: string }>('POST', '/invitations', { token: ilse.token, body: { lets } })
    const { pathname, hash, search } = new URL(body.address)
    expect([pathname, search]).toEqual(['/join', ''])
    const [word, key] = hash.slice(1).split('=')
    expect(word).toBe(lets)
    return key!
  }

  it('pairs one device of one\u2019s own, once', async () => {
    const key = await inviteTo('enter')
    const paired = await ask('POST', '/entrance/join', { body: { key } })
    expect(paired.body).toEqual({ did: 'entered' })
    expect((await stateOf(paired.cookie)).devices.some(device => device.isThis)).toBe(true)
    expect((await ask('POST', '/entrance/join', { body: { key } })).status).toBe(403)
  })

  it('gives somebody new an account of their own, and is not used up by a form that lacks something', async () => {
    const key = await inviteTo('join')
    expect((await ask('POST', '/entrance/join', { body: { key } })).status).toBe(422)
    const name = newName()
    const joined = await ask('POST', '/entrance/join', { body: { key, name, passphrase } })
    expect(joined.body).toEqual({ did: 'joined' })
    const state = await stateOf(joined.cookie)
    expect([state.signInName, state.devices.length]).toEqual([name.toLowerCase(), 1])
    expect((await ask('POST', '/entrance/sign-in', { body: { name, passphrase } })).status).toBe(200)
  })

  it("does not open somebody else's devices", async () => {
    const mine = await ask('POST', '/entrance/join', { body: { key: await inviteTo('enter') } })
    const own = (await stateOf(mine.cookie)).devices.find(device => device.isThis)!
    const other = await newPerson('Another still')
    expect((await ask('DELETE', `/devices/${own.id}`, { token: other.token })).status).toBe(404)
    expect((await ask<SignInState>('GET', '/devices', { token: other.token })).body.devices).toEqual([])
  })
})
