import { sql } from 'drizzle-orm'
import { beforeAll, describe, expect, it } from 'vitest'
import { asOwner } from '../../server/db/client'
import { Problem } from '../../server/services/problem'
import { saveSession } from '../../server/services/session'
import type { Person } from './client'
import { database, newPerson, newSession } from './client'

interface Kept {
  number: number
  script: string
}

let ilse: Person
beforeAll(async () => {
  ilse = await newPerson('Ilse of the keys')
})

const rows = (minutes: number) => `sport run\n\n${minutes}:00\n`
/** A save as the route makes it: with its status, and the other side where it is refused. */
async function save(id: string, base: number, minutes: number, by: { tab: string; change: number } | null) {
  try {
    const body = await asOwner(database, ilse.owner, tx => saveSession(tx, id, base, rows(minutes), { by: by ?? undefined }))
    return { status: 200, body: { ...body, theirs: undefined as Kept | undefined } }
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    const { theirs } = error.details as { theirs: Kept }
    return { status: error.status, body: { ...theirs, theirs: theirs as Kept | undefined } }
  }
}
const numbersOf = async (id: string) =>
  (await ilse.ask<{ number: number }[]>('GET', `/sessions/${id}/revisions`)).body.map(({ number }) => number)

describe('saves of one tab', () => {
  it('within a minute are one revision, written over; its number still goes on, so that no other tab overwrites it', async () => {
    const id = await newSession(ilse, rows(10))
    await save(id, 1, 11, { tab: 'a', change: 1 })
    await save(id, 2, 12, { tab: 'a', change: 2 })
    await save(id, 3, 13, { tab: 'a', change: 3 })
    expect(await numbersOf(id)).toEqual([4, 1])
    expect((await save(id, 2, 20, { tab: 'b', change: 1 })).status).toBe(409)
    expect((await ilse.ask<Kept>('GET', `/sessions/${id}`)).body.script).toBe(rows(13))
  })

  it('of another tab, or without a name, are revisions of their own', async () => {
    const id = await newSession(ilse, rows(10))
    await save(id, 1, 11, { tab: 'a', change: 1 })
    await save(id, 2, 12, { tab: 'b', change: 1 })
    await save(id, 3, 13, null)
    await save(id, 4, 14, { tab: 'a', change: 2 })
    expect(await numbersOf(id)).toEqual([5, 4, 3, 2, 1])
  })

  it('after a minute begin another one, however steadily they came', async () => {
    const id = await newSession(ilse, rows(10))
    await save(id, 1, 11, { tab: 'a', change: 1 })
    await asOwner(database, ilse.owner, tx =>
      tx.execute(sql`update revision set created_at = now() - interval '61 s' where session_id = ${id}`),
    )
    await save(id, 2, 12, { tab: 'a', change: 2 })
    await save(id, 3, 13, { tab: 'a', change: 3 })
    expect(await numbersOf(id)).toEqual([4, 2, 1])
  })

  it('that a program was made of are kept', async () => {
    const id = await newSession(ilse, rows(10))
    await save(id, 1, 11, { tab: 'a', change: 1 })
    await asOwner(database, ilse.owner, tx =>
      tx.execute(sql`insert into program (owner_id, digest, name, document, session_id, revision)
        values (${ilse.owner}, ${`digest of ${id}`}, 'Quay', '{}', ${id}, 2)`),
    )
    await save(id, 2, 12, { tab: 'a', change: 2 })
    expect(await numbersOf(id)).toEqual([3, 2, 1])
  })

  it('that are older than what the server holds of that tab are no other side', async () => {
    const id = await newSession(ilse, rows(10))
    await save(id, 1, 11, { tab: 'a', change: 100 })
    await save(id, 2, 12, { tab: 'a', change: 200 })
    const late = await save(id, 1, 11, { tab: 'a', change: 100 })
    expect([late.status, late.body.script, late.body.number]).toEqual([200, rows(12), 3])
  })

  it('go on from an answer that was never heard, unless somebody else has saved meanwhile', async () => {
    const id = await newSession(ilse, rows(10))
    await save(id, 1, 11, { tab: 'a', change: 100 })
    const unheard = await save(id, 1, 12, { tab: 'a', change: 200 })
    expect([unheard.status, unheard.body.script, unheard.body.number]).toEqual([200, rows(12), 3])
    await save(id, 3, 20, { tab: 'b', change: 1 })
    const between = await save(id, 1, 13, { tab: 'a', change: 300 })
    expect([between.status, between.body.theirs!.script]).toEqual([409, rows(20)])
  })
})
