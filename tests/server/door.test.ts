import { createServer, request } from 'node:http'
import type { AddressInfo } from 'node:net'
import { createApp, createRouter, eventHandler, toNodeListener } from 'h3'
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest'
import { asOwner } from '../../server/db/client'
import { device } from '../../server/db/schema'
import door from '../../server/middleware/door'
import enter from '../../server/routes/enter.get'
import { invite } from '../../server/services/invitation'
import { route } from '../../server/services/route'
import type { Person } from './client'
import { database, newPerson } from './client'

/** The door, asked of the sources themselves: no build stands between a change and these. */
let home: Person
let address: string
let server: ReturnType<typeof createServer>

beforeAll(async () => {
  home = await newPerson('Ilse at home')
  Object.assign(process.env, {
    DATABASE_URL: inject('databaseUrl'),
    AGONIS_HOME_TOKEN: home.token,
    AGONIS_SEAL: 'a seal of more than thirty-two letters',
  })
  const router = createRouter()
  router.get('/enter', enter)
  router.get('/api/who', route({ handle: ({ owner, device }) => Promise.resolve({ owner, device }) }))
  router.get(
    '/**',
    eventHandler(() => 'inside'),
  )
  const app = createApp()
  app.use(door)
  app.use(router)
  server = createServer(toNodeListener(app))
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => server.close())
beforeEach(() => {
  process.env.AGONIS_ENTRANCE = 'open'
})

const raw = (headers: Record<string, string>, path = '/desk') => fetch(`${address}${path}`, { headers, redirect: 'manual' })
const cookieFrom = (answer: Response) => answer.headers.get('set-cookie')?.split(';')[0] ?? ''
const who = async (cookie: string) => {
  const answer = await raw({ cookie }, '/api/who')
  return answer.status === 200 ? ((await answer.json()) as { owner: string; device: string | null }) : answer.status
}

describe('the door', () => {
  it('turns away another host', async () => {
    const status = await new Promise(resolve =>
      request(address, { headers: { host: 'evil.example' } }, answer => resolve(answer.statusCode)).end(),
    )
    expect(status).toBe(403)
  })

  it('turns away another origin, and lets its own in', async () => {
    expect((await raw({ origin: 'http://evil.example' })).status).toBe(403)
    expect((await raw({ origin: address.replace('http', 'https') })).status).toBe(403)
    expect((await raw({ origin: address })).status).toBe(200)
  })

  it('lets a page only be looked at, and no answer about the athlete be kept anywhere', async () => {
    for (const method of ['POST', 'PUT', 'DELETE', 'PATCH']) {
      const answer = await fetch(`${address}/desk`, { method })
      expect([method, answer.status, answer.headers.get('allow')]).toEqual([method, 405, 'GET, HEAD'])
    }
    expect((await raw({}, '/api/who')).headers.get('cache-control')).toBe('no-store')
  })

  it('says the same to whatever is asked: no framing, no guessing of types, no referrer', async () => {
    for (const path of ['/desk', '/api/who', '/enter?key=x', '/icon.png']) {
      const { headers } = await raw({}, path)
      expect([path, headers.get('x-frame-options'), headers.get('x-content-type-options'), headers.get('referrer-policy')]).toEqual([
        path,
        'DENY',
        'nosniff',
        'no-referrer',
      ])
    }
  })

  it('gives each request an id, or keeps that of a proxy, and no words for one', async () => {
    expect((await raw({})).headers.get('x-request-id')).toMatch(/^[\w-]{36}$/)
    expect((await raw({ 'x-request-id': 'from-a-proxy-1' })).headers.get('x-request-id')).toBe('from-a-proxy-1')
    expect((await raw({ 'x-request-id': 'words of somebody' })).headers.get('x-request-id')).not.toContain('words')
  })
})

describe('an open door', () => {
  it('lets in whoever asks for a page, once, and nobody by a route or a file', async () => {
    const first = await raw({})
    expect(first.headers.get('set-cookie')).toMatch(/HttpOnly/i)
    expect(first.headers.get('set-cookie')).toMatch(/SameSite=Strict/i)
    expect(cookieFrom(first)).not.toContain(home.token)
    expect(await who(cookieFrom(first))).toEqual({ owner: home.owner, device: null })
    expect((await raw({ cookie: cookieFrom(first) })).headers.get('set-cookie')).toBeNull()
    for (const path of ['/api/who', '/icon.png', '/_nuxt/entry.js']) expect((await raw({}, path)).headers.get('set-cookie')).toBeNull()
  })

  it('names its cookie by its port, so that another application of this machine has another', async () => {
    expect(cookieFrom(await raw({}))).toMatch(new RegExp(`^agonis_${new URL(address).port}=`))
  })

  it('leads a cookie of before, or of another installation, on by a page', async () => {
    const name = `agonis_${new URL(address).port}`
    for (const cookie of [`${name}=Fe26.2**stale`, `${name}=`, `${name}=${'x'.repeat(500)}`]) {
      expect(await who(cookie)).toBe(401)
      const page = await raw({ cookie }, '/sign-in?to=/log')
      expect([page.status, page.headers.get('location')]).toEqual([302, '/log'])
      expect(await who(cookieFrom(page))).toMatchObject({ owner: home.owner })
    }
  })

  it('leads nowhere else than into the application', async () => {
    for (const to of ['//evil.example', '/\\evil.example', 'https://evil.example', '/sign-in?to=/x'])
      expect((await raw({}, `/sign-in?to=${encodeURIComponent(to)}`)).headers.get('location')).toBe('/')
  })

  it('leads to signing in, and not round and round, where its own key is not in the database', async () => {
    process.env.AGONIS_HOME_TOKEN = 'of another folder'
    expect((await raw({})).headers.get('location')).toBe('/sign-in?to=%2Fdesk')
    expect((await raw({}, '/sign-in?to=/desk')).status).toBe(200)
    process.env.AGONIS_HOME_TOKEN = home.token
  })
})

describe('a locked door', () => {
  beforeEach(() => {
    process.env.AGONIS_ENTRANCE = 'locked'
  })
  const keyFor = (minutes: number) => asOwner(database, home.owner, tx => invite(tx, 'enter', minutes))

  it('leads a page to signing in, and keeps a route closed', async () => {
    const page = await raw({}, '/log?x=1')
    expect([page.status, page.headers.get('location'), page.headers.get('set-cookie')]).toEqual([302, '/sign-in?to=%2Flog%3Fx%3D1', null])
    expect((await raw({}, '/sign-in')).status).toBe(200)
    expect(await who('')).toBe(401)
  })

  it('opens once by its key, for a device that can be ended', async () => {
    const key = await keyFor(30)
    const entered = await raw({ 'user-agent': 'Mozilla/5.0 (X11; Linux x86_64)' }, `/enter?key=${key}`)
    expect([entered.status, entered.headers.get('location')]).toEqual([302, '/'])
    const cookie = cookieFrom(entered)
    expect(await who(cookie)).toMatchObject({ owner: home.owner, device: expect.any(String) })
    expect((await raw({ cookie })).status).toBe(200)
    expect((await raw({}, `/enter?key=${key}`)).headers.get('location')).toBe('/sign-in?why=used')
    const devices = await asOwner(database, home.owner, tx => tx.select({ name: device.name }).from(device))
    expect(devices).toEqual([{ name: 'Browser on Linux' }])
    await asOwner(database, home.owner, tx => tx.delete(device))
    expect(await who(cookie)).toBe(401)
  })

  it('stays closed to a key that is too old, or none', async () => {
    for (const key of [await keyFor(-1), '', 'x', 'x'.repeat(300), '%00'])
      expect((await raw({}, `/enter?key=${key}`)).headers.get('location')).toBe('/sign-in?why=used')
  })
})
