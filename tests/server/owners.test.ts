import { randomUUID } from 'node:crypto'
import type { SQL } from 'drizzle-orm'
import { sql } from 'drizzle-orm'
import { beforeAll, describe, expect, it } from 'vitest'
import { asOwner } from '../../server/db/client'
import { recording } from '../../server/db/recordings'
import { account, session } from '../../server/db/schema'
import { eraseAccount } from '../../server/services/account'
import { storeRecording } from '../../server/services/recording'
import type { Person } from './client'
import { database, newPerson, ownerDatabase, newSession, until } from './client'

let ilse: Person
let other: Person
let ids: { session: string; recording: string; transfer: string; plan: string; watch: string; feed: string }

beforeAll(async () => {
  ;[ilse, other] = [await newPerson('Ilse'), await newPerson('Other')]
  const kept = await newSession(ilse, 'title Mine\nsport run\n\n10:00\n')
  const { body: begun } = await ilse.ask<{ id: string }>('POST', `/watches/${ilse.watch}/transfers`, { session: kept })
  await until(
    () => ilse.ask<{ state: string }>('GET', `/transfers/${begun.id}`),
    answer => answer.body.state === 'done',
  )
  const plan = await ilse.ask<{ id: string }>('POST', '/plan', { session: kept, day: '2026-03-31' })
  const stored = await asOwner(database, ilse.owner, tx =>
    storeRecording(
      tx,
      {
        format: 'agonis.recording',
        version: 1,
        sport: 'run',
        startedAt: '2026-03-30T06:00:00Z',
        samples: { t: [1, 2], metres: [3, 6] },
        marks: [{ t: 0, kind: 'step', path: '1', round: [] }],
      },
      {},
    ),
  )
  const { feed } = (await ilse.ask<{ feed: { id: string } }>('POST', '/plan/feeds', { name: 'phone' })).body
  ids = { session: kept, recording: stored, transfer: begun.id, plan: plan.body.id, watch: ilse.watch, feed: feed.id }
})

describe("somebody else's id", () => {
  const routes: [string, string, (of: typeof ids) => string, unknown?][] = [
    ['session, read', 'GET', of => `/sessions/${of.session}`],
    ['session, save', 'PUT', of => `/sessions/${of.session}`, { base: 1, script: '5:00' }],
    ['session, remove', 'DELETE', of => `/sessions/${of.session}`],
    ['session, restore', 'POST', of => `/sessions/${of.session}/restore`],
    ['session, copy', 'POST', of => `/sessions/${of.session}/copy`],
    ['session, revisions', 'GET', of => `/sessions/${of.session}/revisions`],
    ['session, tags', 'PUT', of => `/sessions/${of.session}/tags`, { tags: ['x'] }],
    ['session, archive', 'PUT', of => `/sessions/${of.session}/archive`, { archived: true }],
    ['session, dismissed', 'PUT', of => `/sessions/${of.session}/dismissed`, { dismissed: ['x'] }],
    ['session, family', 'GET', of => `/sessions/${of.session}/family`],
    ['session, export', 'GET', of => `/sessions/${of.session}/export`],
    ['plan, move', 'PUT', of => `/plan/${of.plan}`, { day: '2026-04-01' }],
    ['calendar address, end', 'DELETE', of => `/plan/feeds/${of.feed}`],
    ['watch, what is done by itself', 'GET', of => `/watches/${of.watch}/routine`],
    ['watch, its hour', 'PUT', of => `/watches/${of.watch}/routine`, { hour: 330 }],
    ['watch, push now', 'POST', of => `/watches/${of.watch}/routine`],
    ['watch, ahead', 'GET', of => `/watches/${of.watch}/ahead`],
    ['recording', 'GET', of => `/recordings/${of.recording}`],
    ['recording, remove', 'DELETE', of => `/recordings/${of.recording}`],
    ['recording, restore', 'POST', of => `/recordings/${of.recording}/restore`],
    ['recording, its plan', 'PUT', of => `/recordings/${of.recording}/plan`, { session: null }],
    ['recording, next', 'POST', of => `/recordings/${of.recording}/next`, { kind: 'repeat', day: '2036-03-31' }],
    ['recording, its file', 'GET', of => `/recordings/${of.recording}/original`],
    ['recording, what it was', 'PUT', of => `/recordings/${of.recording}/facts`, { title: 'Mine' }],
    ['recording, a copy instead', 'POST', of => `/recordings/${of.recording}/instead`],
    ['recording, its steps', 'PUT', of => `/recordings/${of.recording}/boundaries`, { boundaries: [] }],
    ['recording, felt', 'PUT', of => `/recordings/${of.recording}/felt`, { rpe: 5 }],
    ['transfer', 'GET', of => `/transfers/${of.transfer}`],
    ['transfer, resume', 'POST', of => `/transfers/${of.transfer}/resume`],
    ['plan, remove', 'DELETE', of => `/plan/${of.plan}`],
    ['plan, add their session', 'POST', () => '/plan', 'theirs'],
    ['watch, state', 'GET', of => `/watches/${of.watch}/state`],
    ['watch, fit', 'GET', of => `/watches/${of.watch}/fit?session=${of.session}`],
    ['watch, send', 'POST', of => `/watches/${of.watch}/transfers`, 'send'],
    ['watch, slot', 'GET', of => `/watches/${of.watch}/slots/1`],
    ['watch, clear', 'DELETE', of => `/watches/${of.watch}/slots/1?expects=1`],
    ['watch, collect', 'POST', of => `/watches/${of.watch}/collect`],
    ['stand-in, events', 'GET', of => `/standin/${of.watch}/events`],
    ['stand-in, button', 'POST', of => `/standin/${of.watch}/button`, { button: 'top' }],
    ['stand-in, choose', 'POST', of => `/standin/${of.watch}/choose`, { slot: 1 }],
    ['stand-in, wearer', 'PUT', of => `/standin/${of.watch}/wearer`, { speed: 1, seed: 1, pressesItself: true }],
    ['stand-in, link', 'PUT', of => `/standin/${of.watch}/link-faults`, { link: 'radio', delay: 0, loss: 0, cutAfter: null }],
    ['stand-in, hand', 'POST', of => `/standin/${of.watch}/hand`, { do: 'reset' }],
    ['transfer, cancel', 'POST', of => `/transfers/${of.transfer}/cancel`],
    ['watch, change', 'PUT', of => `/watches/${of.watch}`, { name: 'Mine now' }],
    ['watch, forget', 'DELETE', of => `/watches/${of.watch}`],
    ['watch, pair', 'POST', of => `/watches/${of.watch}/pair`, { code: '123456' }],
    ['watch, choose instead', 'PUT', of => `/watches/${of.watch}/fit`, 'choose'],
    ['watch, let go', 'DELETE', of => `/watches/${of.watch}/slots/1`],
    ['watch, dry run', 'GET', of => `/watches/${of.watch}/push`],
    ['watch, push', 'POST', of => `/watches/${of.watch}/push`, { digest: 'a'.repeat(64) }],
    ['watch, sendings', 'GET', of => `/watches/${of.watch}/transfers`],
  ]

  it.each(routes)('%s: is not found and not changed', async (_, method, path, body) => {
    const sent =
      body === 'theirs'
        ? { session: ids.session, day: '2026-03-31' }
        : body === 'send'
          ? { session: ids.session }
          : body === 'choose'
            ? { session: ids.session, here: {} }
            : body
    const answer = await other.ask(method, path(ids), sent)
    expect(answer.status).toBe(404)
    const kept = await ilse.ask<{ number: number; title: string }>('GET', `/sessions/${ids.session}`)
    expect([kept.body.number, kept.body.title]).toEqual([1, 'Mine'])
  })

  it('is free for a session of one’s own, beside which theirs stays as it is', async () => {
    const third = await newPerson('Third')
    const own = await third.ask<{ title: string }>('PUT', `/sessions/${ids.session}`, { base: 0, script: 'title Own\n5:00' })
    expect(own.body.title).toBe('Own')
    expect((await ilse.ask<{ title: string }>('GET', `/sessions/${ids.session}`)).body.title).toBe('Mine')
    await third.ask('DELETE', `/sessions/${ids.session}`)
    expect((await ilse.ask('GET', `/sessions/${ids.session}`)).status).toBe(200)
  })

  it("shows in nobody else's lists", async () => {
    for (const path of ['/sessions', '/recordings']) expect((await other.ask<{ total: number }>('GET', path)).body.total).toBe(0)
    expect((await other.ask<unknown[]>('GET', '/plan?from=2026-01-01&to=2026-12-31')).body).toEqual([])
    expect((await other.ask<{ id: string }[]>('GET', '/watches')).body.map(watch => watch.id)).toEqual([other.watch])
  })
})

describe('row-level security itself', () => {
  it("hides and refuses other owners' rows below every query", async () => {
    await asOwner(database, other.owner, async tx => {
      expect(await tx.select().from(session)).toEqual([])
      expect(await tx.select().from(recording)).toEqual([])
      expect(await tx.update(session).set({ title: 'taken' }).returning({ id: session.id })).toEqual([])
    })
    const insert = asOwner(database, other.owner, tx =>
      tx.insert(session).values({ ownerId: ilse.owner, title: 'x', sport: 'run', head: 1, steps: 0, open: 0, id: randomUUID() }),
    )
    await expect(insert).rejects.toThrow()
  })

  it('binds whoever enters as the server does, also where they say to be somebody else', async () => {
    const counted = (words: SQL) =>
      database.transaction(async tx => {
        await tx.execute(sql`select set_config('agonis.owner', ${other.owner}, true)`)
        await tx.execute(words)
        return tx.execute<{ count: number }>(sql`select count(*)::int as count from session where owner_id = ${ilse.owner}`)
      })
    for (const words of [sql`reset role`, sql`reset session authorization`, sql`set role none`, sql`set role agonis_app`])
      expect(await counted(words)).toEqual([{ count: 0 }])
    for (const words of [sql`set row_security = off`, sql`set role agonis`]) await expect(counted(words)).rejects.toThrow()
    expect(
      await database
        .select({ id: account.id })
        .from(account)
        .catch(() => 'refused'),
    ).not.toContainEqual({ id: ilse.owner })
    await expect(database.select().from(account)).rejects.toThrow()
    const [role] = await database.execute(
      sql`select rolsuper, rolbypassrls, rolcreaterole, rolcreatedb from pg_roles where rolname = current_user`,
    )
    expect(role).toEqual({ rolsuper: false, rolbypassrls: false, rolcreaterole: false, rolcreatedb: false })
  })

  it('leaves no owner behind on a connection that somebody else is given next', async () => {
    await Promise.all(Array.from({ length: 20 }, () => asOwner(database, ilse.owner, tx => tx.select({ id: session.id }).from(session))))
    const left = await Promise.all(
      Array.from({ length: 20 }, () =>
        database.execute<{ owner: string | null }>(sql`select current_setting('agonis.owner', true) as owner`),
      ),
    )
    expect(left.filter(([row]) => row!.owner)).toEqual([])
  })

  it('covers every table that has an owner', async () => {
    const rows = await ownerDatabase.execute<{ name: string; secured: boolean }>(sql`
      select c.relname as name, c.relrowsecurity as secured
      from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'owner_id'
      where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace`)
    expect(rows.length).toBe(22)
    expect(rows.filter(row => !row.secured)).toEqual([])
  })

  it('keys every table of an owner by the owner first, so that it can be parted by owner', async () => {
    /** Asked before anybody is known: these have keys of their own. */
    const entrances = ['device', 'invitation', 'passkey', 'calendar_feed']
    const keys = await ownerDatabase.execute<{ name: string; primary: boolean; columns: string[] }>(sql`
      select t.relname as name, i.indisprimary as primary,
        array(select a.attname::text from unnest(i.indkey) with ordinality k (number, place)
          join pg_attribute a on a.attrelid = t.oid and a.attnum = k.number order by k.place) as columns
      from pg_index i join pg_class t on t.oid = i.indrelid join pg_attribute o on o.attrelid = t.oid and o.attname = 'owner_id'
      where i.indisunique and t.relnamespace = 'public'::regnamespace`)
    expect(keys.filter(key => key.primary).length).toBe(22)
    expect(keys.filter(key => key.primary && key.columns[0] !== 'owner_id')).toEqual([])
    expect(keys.filter(key => !entrances.includes(key.name) && !key.columns.includes('owner_id'))).toEqual([])
    const references = await ownerDatabase.execute<{ name: string; definition: string }>(sql`
      select conname as name, pg_get_constraintdef(oid) as definition from pg_constraint
      where contype = 'f' and connamespace = 'public'::regnamespace and confrelid <> 'account'::regclass`)
    expect(references.length).toBeGreaterThan(10)
    expect(references.filter(one => !one.definition.startsWith('FOREIGN KEY (owner_id, '))).toEqual([])
  })

  it('erases an account with everything it owns', async () => {
    const gone = await newPerson('Gone')
    await newSession(gone, '10:00')
    await asOwner(database, gone.owner, eraseAccount)
    const [left] = await ownerDatabase.execute<{ count: number }>(
      sql`select (select count(*) from session where owner_id = ${gone.owner})::int
        + (select count(*) from revision where owner_id = ${gone.owner})::int as count`,
    )
    expect(left!.count).toBe(0)
  })
})
