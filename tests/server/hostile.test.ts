import { randomUUID } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { beforeAll, describe, expect, inject, it } from 'vitest'
import { usualShape } from '../../core/plan/shape'
import type { Person } from './client'
import { newPerson, newSession } from './client'

/** Every route, each with everything that is wrong: none of it is a fault of the server, and all of it is said with where. */

const folder = fileURLToPath(new URL('../../server/api', import.meta.url))

/** The routes there are, as `GET /sessions/:id`, told by their files. */
const routes = readdirSync(folder, { recursive: true, encoding: 'utf8' }).flatMap(file => {
  const found = /^(.*?)(?:\/?index)?\.(get|put|post|delete)\.ts$/.exec(file)
  return found ? [`${found[2]!.toUpperCase()} /${found[1]!.replaceAll(/\[(\w+)\]/g, ':$1')}`] : []
})

let person: Person
let at: Record<'session' | 'recording' | 'plan' | 'watch' | 'toy' | 'feed', string>

interface Asked {
  /** Which row the address names. */
  id?: keyof typeof at
  slot?: number
  credential?: string
  query?: Record<string, unknown>
  body?: Record<string, unknown>
}
const hex = 'a'.repeat(64)
const athlete = { format: 'agonis.athlete', version: 1, name: 'Ilse', timeZone: 'Europe/Oslo', run: { criticalSpeed: 3.7 } }
const session = {
  format: 'agonis.session',
  version: 1,
  sport: 'run',
  items: [{ kind: 'step', role: 'work', end: { on: 'time', seconds: 60 } }],
}
const recording = {
  format: 'agonis.recording',
  version: 1,
  sport: 'run',
  startedAt: '2026-03-30T06:00:00Z',
  timeZone: 'Europe/Oslo',
  samples: { t: [1, 2], metres: [3, 6], lat: [60, 60], heartRate: [120, null] },
  marks: [{ t: 0, kind: 'step', path: '1', round: [1] }],
  felt: { rpe: 3, note: 'well' },
}
const faults = { link: 'radio', delay: 0, jitter: 0, loss: 0, double: 0, late: 0, cutAfter: null }

/** One good request of each route. */
const good: Record<string, () => Asked> = {
  'GET /entrance': () => ({}),
  'POST /entrance/join': () => ({ body: { key: 'x', name: 'Ilse', passphrase: 'low tide at the quay' } }),
  'POST /entrance/passkey-options': () => ({}),
  'POST /entrance/passkey': () => ({ body: { response: { id: 'x' } } }),
  'POST /entrance/sign-in': () => ({ body: { name: 'Ilse', passphrase: 'low tide at the quay' } }),
  'POST /entrance/sign-out': () => ({}),
  'GET /devices': () => ({}),
  'DELETE /devices/:id': () => ({ id: 'session' }),
  'PUT /devices/sign-in': () => ({ body: { name: 'Ilse', passphrase: 'low tide at the quay' } }),
  'POST /invitations': () => ({ body: { lets: 'enter' } }),
  'POST /passkeys/options': () => ({}),
  'POST /passkeys': () => ({ body: { name: 'x', response: { id: 'x' } } }),
  'DELETE /passkeys/:credential': () => ({ credential: 'x' }),
  'POST /erase': () => ({ body: { key: 'no key' } }),
  'GET /export': () => ({}),
  'POST /import': () => ({ query: { name: 'x.json' }, body: session }),
  'GET /me': () => ({}),
  'PUT /me': () => ({ body: { base: 0, document: athlete } }),
  'GET /me/history': () => ({}),
  'GET /me/steadiness': () => ({}),
  'DELETE /plan/:id': () => ({ id: 'plan' }),
  'PUT /plan/:id': () => ({ id: 'plan', body: { day: '2026-03-31' } }),
  'GET /plan/': () => ({ query: { from: '2026-03-30', to: '2026-04-05' } }),
  'POST /plan/': () => ({ body: { session: at.session, day: '2026-03-31' } }),
  'POST /plan/week': () => ({ body: { week: '2026-03-30', text: 'Mon: 10:00' } }),
  'GET /plan/span': () => ({ query: { from: '2026-03-30', to: '2026-04-05' } }),
  'POST /plan/edits': () => ({ body: { do: 'put', day: '2036-03-31', kind: 'note', name: 'shoes' } }),
  'GET /plan/feeds': () => ({}),
  'POST /plan/feeds': () => ({ body: { name: 'phone' } }),
  'DELETE /plan/feeds/:id': () => ({ id: 'feed' }),
  'GET /plan/calendar': () => ({ query: { weekdays: '1080', weekend: '540' } }),
  'POST /plan/calendar': () => ({
    body: { as: 'note', events: [{ uid: 'a', day: '2036-03-31', start: 600, minutes: 60, title: 'Club', isCancelled: false }] },
  }),
  'GET /plan/shape': () => ({}),
  'POST /plan/shape': () => ({ body: { from: '2036-03-31', shape: usualShape } }),
  'GET /plan/text': () => ({ query: { from: '2026-03-30', to: '2026-04-05' } }),
  'POST /plan/undo': () => ({ body: { number: 1 } }),
  'POST /plan/dismissals': () => ({ body: { key: 'monotony' } }),
  'GET /today': () => ({}),
  'POST /demo': () => ({}),
  'POST /demo/move': () => ({}),
  'POST /recordings/:id/next': () => ({ id: 'recording', body: { kind: 'repeat', day: '2036-03-31' } }),
  'PUT /recordings/:id/plan': () => ({ id: 'recording', body: { session: at.session } }),
  'PUT /recordings/:id/felt': () => ({ id: 'recording', body: { rpe: 3, note: 'well', pain: false } }),
  'GET /recordings/:id': () => ({ id: 'recording' }),
  'DELETE /recordings/:id': () => ({ id: 'recording' }),
  'POST /recordings/:id/restore': () => ({ id: 'recording' }),
  'GET /recordings': () => ({ query: { limit: 10, offset: 0 } }),
  'GET /recordings/narrowings': () => ({ query: { sport: 'run' } }),
  'GET /trends': () => ({ query: { sport: 'run' } }),
  'GET /trends/family': () => ({ query: { id: at.session } }),
  'POST /trends/marks': () => ({ body: { key: 'mark run repeats x', answer: 'later' } }),
  'POST /recordings/taken': () => ({ body: { recording } }),
  'PUT /recordings/:id/original': () => ({ id: 'recording', query: { name: 'a.gpx' }, body: session }),
  'GET /recordings/:id/original': () => ({ id: 'recording' }),
  'PUT /recordings/:id/facts': () => ({ id: 'recording', body: { title: 'Along the quay' } }),
  'POST /recordings/:id/instead': () => ({ id: 'recording' }),
  'PUT /recordings/:id/boundaries': () => ({ id: 'recording', body: { boundaries: [{ path: '1', round: [], startsAt: 1 }] } }),
  'POST /recordings': () => ({ body: { recording, session: at.session } }),
  'DELETE /sessions/:id': () => ({ id: 'session' }),
  'GET /sessions/:id': () => ({ id: 'session' }),
  'PUT /sessions/:id': () => ({ id: 'session', body: { base: 1, script: '10:00', source: '10 min', tab: 'a', change: 1 } }),
  'PUT /sessions/:id/archive': () => ({ id: 'session', body: { archived: false } }),
  'POST /sessions/:id/copy': () => ({ id: 'session', body: { variant: true, title: 'Copy', script: '10:00' } }),
  'PUT /sessions/:id/dismissed': () => ({ id: 'session', body: { dismissed: ['x'] } }),
  'GET /sessions/:id/export': () => ({ id: 'session', query: { as: 'json' } }),
  'GET /sessions/:id/family': () => ({ id: 'session' }),
  'POST /sessions/:id/restore': () => ({ id: 'session' }),
  'GET /sessions/:id/revisions': () => ({ id: 'session', query: { before: 10 } }),
  'PUT /sessions/:id/tags': () => ({ id: 'session', body: { tags: ['x'] } }),
  'GET /sessions': () => ({ query: { search: 'run', sort: 'newest', limit: 10, offset: 0 } }),
  'POST /sessions': () => ({ body: { document: session } }),
  'POST /standin/:id/button': () => ({ id: 'toy', body: { button: 'top', hold: false } }),
  'POST /standin/:id/choose': () => ({ id: 'toy', body: { slot: 1 } }),
  'POST /standin/:id/hand': () => ({ id: 'toy', body: { do: 'clock', off: 0 } }),
  'PUT /standin/:id/link-faults': () => ({ id: 'toy', body: faults }),
  'PUT /standin/:id/wearer': () => ({ id: 'toy', body: { speed: 1, seed: 1, pressesItself: true, behaviour: { bias: 0 } } }),
  'GET /tags': () => ({}),
  'POST /transfers/:id/cancel': () => ({ id: 'session' }),
  'GET /transfers/:id': () => ({ id: 'session' }),
  'POST /transfers/:id/resume': () => ({ id: 'session' }),
  'GET /watches/:id/ahead': () => ({ id: 'watch' }),
  'GET /watches/:id/routine': () => ({ id: 'watch' }),
  'POST /watches/:id/routine': () => ({ id: 'watch' }),
  'PUT /watches/:id/routine': () => ({ id: 'watch', body: { hour: 330 } }),
  'POST /watches/:id/collect': () => ({ id: 'watch' }),
  'GET /watches/:id/fit': () => ({ id: 'watch', query: { session: at.session } }),
  'PUT /watches/:id/fit': () => ({ id: 'watch', body: { session: at.session, here: { x: 'y' } } }),
  'DELETE /watches/:id': () => ({ id: 'session' }),
  'PUT /watches/:id': () => ({ id: 'watch', body: { name: 'Quay', link: 'radio', standing: { x: 'y' } } }),
  'POST /watches/:id/pair': () => ({ id: 'toy', body: { code: '000000' } }),
  'GET /watches/:id/push': () => ({ id: 'watch' }),
  'POST /watches/:id/push': () => ({ id: 'watch', body: { digest: hex } }),
  'DELETE /watches/:id/slots/:slot': () => ({ id: 'watch', slot: 3, query: { expects: 0, handMade: false } }),
  'GET /watches/:id/slots/:slot': () => ({ id: 'watch', slot: 3 }),
  'GET /watches/:id/state': () => ({ id: 'watch' }),
  'GET /watches/:id/transfers': () => ({ id: 'watch' }),
  'POST /watches/:id/transfers': () => ({ id: 'watch', body: { session: at.session, over: false, digest: hex } }),
  'GET /watches': () => ({}),
  'POST /watches': () => ({ body: { name: 'Toy', profile: 'basic' } }),
}
/** A stream has no end to wait for; its own test is beside this one. */
const streams = ['GET /standin/:id/events', 'GET /changes']

const deep = (open: string, close: string, depth = 50_000) => open.repeat(depth) + close.repeat(depth)
/** Raw JSON that is put in the place of each value. */
const values = [
  '"\\u0000"',
  '"\\ud800"',
  '"a\\u0000b"',
  '""',
  '"9999-99-99"',
  '"2026-02-30"',
  '"../../x"',
  '"\' or 1=1 --"',
  JSON.stringify('1:00 '.repeat(2000)),
  '-1',
  '2147483648',
  '9223372036854775808',
  '1e300',
  '9'.repeat(310),
  '0.1',
  'null',
  'true',
  '[]',
  '{}',
  '{"__proto__": {"x": 1}}',
  deep('[', ']'),
  deep('{"a":', '}', 20_000).replace('}', '1}'),
]
const raw = ['', '{', 'null', '[]', '"x"', '0', '\u0000', '\ud800', deep('[', ']'), deep('{"a":', '', 50_000), `{"x":${'9'.repeat(310)}}`]

const token = '\u0001the place\u0001'
/** The body written as JSON again and again, each time with another of its values replaced. */
function* poisoned(body: unknown): Generator<string> {
  const placed = JSON.stringify(token)
  function* places(value: unknown, rebuild: (inner: unknown) => unknown): Generator<string> {
    yield JSON.stringify(rebuild(token))
    if (typeof value !== 'object' || value === null) return
    for (const [key, inner] of Object.entries(value))
      yield* places(inner, put =>
        rebuild(Array.isArray(value) ? value.map((one, index) => (String(index) === key ? put : one)) : { ...value, [key]: put }),
      )
  }
  for (const written of places(body, inner => inner)) for (const poison of values) yield written.replace(placed, () => poison)
}

const inAddress = ['%00', '%ED%A0%80', '%E0%A4%A', '..%2f..', '9'.repeat(310), "'--", 'null', 'x'.repeat(3000)]

const hasFallen: string[] = []
async function ask(route: string, address: string, body?: string): Promise<void> {
  const [method] = route.split(' ')
  const response = await fetch(`${inject('address')}/api${address}`, {
    method,
    headers: { authorization: `Bearer ${person.token}` },
    ...(body === undefined || method === 'GET' ? {} : { body }),
  })
  const words = await response.text()
  const about = `${route} ${address.slice(0, 80)} ${body?.slice(0, 200)}: ${response.status}`
  if (response.status >= 500) hasFallen.push(`${about} ${words.slice(0, 200)}`)
  else if (response.status >= 400) {
    const { problem, where } = JSON.parse(words) as { problem?: string; where?: string }
    if (!problem || !where) hasFallen.push(`${about} says nothing: ${words.slice(0, 200)}`)
  }
}

const addressOf = (route: string, id: string, slot: string, query: Record<string, string>) => {
  const path = route.split(' ')[1]!.replace(':id', id).replace(':slot', slot).replace(':credential', slot)
  const words = Object.entries(query).map(([name, value]) => `${name}=${value}`)
  return words.length > 0 ? `${path}?${words.join('&')}` : path
}

beforeAll(async () => {
  person = await newPerson('Ilse among the hostile')
  const made = async (path: string, body: unknown) => (await person.ask<{ id: string }>('POST', path, body)).body.id
  const kept = await newSession(person, 'sport run\n\n10:00\n')
  at = {
    session: kept,
    recording: await made('/recordings', { recording }),
    plan: await made('/plan', { session: kept, day: '2026-03-31' }),
    watch: person.watch,
    feed: (await person.ask<{ feed: { id: string } }>('POST', '/plan/feeds', { name: 'phone' })).body.feed.id,
    toy: await made('/watches', { name: 'Toy', profile: 'basic' }),
  }
})

describe('a hostile request', () => {
  it('is tried on every route there is', () => {
    expect([...Object.keys(good), ...streams].map(route => route.replace(/\/$/, '')).sort()).toEqual(
      routes.map(route => route.replace(/\/$/, '')).sort(),
    )
  })

  it.each(Object.keys(good))('%s: whatever is wrong with it, it is no fault of the server, and says where', async route => {
    hasFallen.length = 0
    const asked = good[route]!()
    const [id, slot] = [asked.id ? at[asked.id] : '', String(asked.slot ?? asked.credential ?? '')]
    const query = Object.fromEntries(Object.entries(asked.query ?? {}).map(([name, value]) => [name, encodeURIComponent(String(value))]))
    const address = addressOf(route, id, slot, query)
    if (asked.body) for (const body of [...poisoned(asked.body), ...raw]) await ask(route, address, body)
    for (const bad of inAddress) {
      if (asked.id) await ask(route, addressOf(route, bad, slot, query))
      if (slot !== '') await ask(route, addressOf(route, id, bad, query))
      for (const name of Object.keys(query)) await ask(route, addressOf(route, id, slot, { ...query, [name]: bad }))
      await ask(route, addressOf(route, id, slot, { ...query, [bad]: '1' }))
    }
    expect(hasFallen.slice(0, 8)).toEqual([])
  })

  it('at an address that is no route, or in another manner, is answered too', async () => {
    hasFallen.length = 0
    for (const bad of [...inAddress, '', 'sessions/', 'sessions//x', '.well-known/x']) {
      for (const method of ['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS']) await ask(`${method} x`, `/${bad}`, '{')
      await ask('PATCH x', `/sessions/${randomUUID()}`, '{}')
    }
    expect(hasFallen).toEqual([])
  })

  it('for a page or a file is answered too', async () => {
    for (const bad of [...inAddress, '_nuxt/..%2f..%2fetc', 'desk?x=%00', '_nuxt/%00.js']) {
      const response = await fetch(`${inject('address')}/${bad}`, { redirect: 'manual' })
      expect([bad.slice(0, 40), response.status < 500]).toEqual([bad.slice(0, 40), true])
    }
  })

  it('gets the same headers as any other, whatever is answered', async () => {
    const page = await (await fetch(`${inject('address')}/desk`)).text()
    const script = /"(\/_nuxt\/[\w-]+\.js)"/.exec(page)![1]!
    const said = async (path: string, headers = {}) => {
      const response = await fetch(`${inject('address')}${path}`, { headers, redirect: 'manual' })
      const names = [
        'x-frame-options',
        'x-content-type-options',
        'referrer-policy',
        'cross-origin-resource-policy',
        'cross-origin-opener-policy',
      ]
      return [path, ...names.map(name => response.headers.get(name))]
    }
    for (const [path, headers] of [
      ['/desk'],
      ['/sign-in'],
      [script],
      ['/icon-192.png'],
      ['/api/me'],
      ['/api/nothing'],
      ['/desk', { origin: 'http://evil.example' }],
    ] as const)
      expect(await said(path, headers)).toEqual([path, 'DENY', 'nosniff', 'no-referrer', 'same-origin', 'same-origin'])
    expect((await fetch(`${inject('address')}/api/entrance`)).headers.get('content-security-policy')).toContain("default-src 'none'")
  })

  it('leaves the server as it was', async () => {
    expect((await person.ask('GET', '/me')).status).toBe(200)
    const other = await newPerson('Ilse after the hostile')
    expect((await other.ask<{ total: number }>('GET', '/sessions')).body.total).toBe(0)
  })
})
