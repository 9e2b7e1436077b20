import { randomUUID } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { asOwner, openDatabase } from '../../server/db/client'
import { session } from '../../server/db/schema'
import { loggable, nameOfQuery } from '../../server/log/loggable'
import { problemOfFault } from '../../server/services/fault'
import type { Person } from './client'
import { newPerson, newSession, ownerDatabase } from './client'

let ilse: Person
beforeAll(async () => {
  ilse = await newPerson('Ilse with a full disk')
  const isHers = `new.owner_id = '${ilse.owner}' and new.title like 'No room%'`
  await ownerDatabase.execute(
    sql.raw(`create function a_full_disk() returns trigger language plpgsql as $$ begin
      if ${isHers} then raise exception using errcode = '53100'; end if;
      return new;
    end $$`),
  )
  await ownerDatabase.execute(
    sql`create trigger a_full_disk before insert or update on session for each row execute function a_full_disk()`,
  )
})
afterAll(async () => {
  await ownerDatabase.execute(sql`drop trigger a_full_disk on session`)
  await ownerDatabase.execute(sql`drop function a_full_disk()`)
})

const failing = (work: Promise<unknown>) =>
  work.then(
    () => null,
    (error: unknown) => error,
  )

describe('a fault of the database', () => {
  it('that is full is named, and nothing is changed', async () => {
    const id = await newSession(ilse, 'title Before\nsport run\n\n10:00\n')
    const answer = await ilse.ask<{ problem: string; hint: string }>('PUT', `/sessions/${id}`, {
      base: 1,
      script: 'title No room\nsport run\n\n9:00\n',
    })
    expect([answer.status, answer.body.problem]).toEqual([503, 'The disk of the database is full.'])
    expect((await ilse.ask<{ title: string }>('GET', `/sessions/${id}`)).body.title).toBe('Before')
  })

  it('that is away is named', async () => {
    const away = openDatabase(Object.assign(new URL(inject('databaseUrl')), { port: '9' }).href)
    const error = await failing(away.execute(sql`select 1`))
    expect(problemOfFault(error)).toMatchObject({ status: 503, problem: 'The database does not answer.', where: 'database' })
    await away.$client.end()
  })

  it.each([
    ['40001', 503],
    ['22003', 422],
    ['22P05', 422],
    ['42601', undefined],
  ])('with the code %s is answered with %s', (code, status) => {
    expect(problemOfFault(Object.assign(new Error('x'), { code, severity: 'ERROR' }))?.status).toBe(status)
  })
})

describe('what a log may know', () => {
  it('of a failed query is its name and codes, and no word of anybody', async () => {
    const title = 'the words of the athlete'
    const row = { id: randomUUID(), title, sport: 'run', head: 1, steps: 0, open: 0, ownerId: randomUUID() }
    const error = await failing(asOwner(ownerDatabase, ilse.owner, tx => tx.insert(session).values(row)))
    expect(JSON.stringify(error, Object.getOwnPropertyNames(error))).toContain(title)
    const logged = loggable(error)
    expect(logged).toMatchObject({ code: '23503', table_name: 'session', queryName: 'insert session' })
    expect(JSON.stringify(logged)).not.toContain('words')
  })

  it('of another fault is where it was, and not what it said', () => {
    const logged = loggable(new Error('could not read "the words of the athlete"'))
    expect(logged).toMatchObject({ error: ['Error'], where: expect.arrayContaining([expect.stringContaining('faults.test.ts')]) })
    expect(JSON.stringify(logged)).not.toContain('words')
  })

  it.each([
    ['insert into "session" ("id") values ($1)', 'insert session'],
    ['select "id" from "watch" where "id" = $1', 'select watch'],
    ['update "watch" set "name" = $1', 'update watch'],
    ['with x as (select 1) select * from x', 'with x'],
    ['nonsense', undefined],
  ])('names %j %s', (query, name) => expect(nameOfQuery(query)).toBe(name))
})
