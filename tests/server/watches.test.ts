import { eq, sql } from 'drizzle-orm'
import { beforeEach, describe, expect, it } from 'vitest'
import { pairStandin } from '../../scripts/pair-standin'
import { asOwner } from '../../server/db/client'
import { holding, transfer, watch } from '../../server/db/schema'
import { atWatch } from '../../server/services/lease'
import { listSlots } from '../../core/wrist/link/transfer'
import type { FitPreview, KeptWatch, SlotComparison, TransferState } from '../../shared/api'
import type { Person } from './client'
import { database, newPerson, newSession, until } from './client'
import { ended, hand, newWearer, problemOf, send, short, stateOf, statuses } from './wearer'

let ilse: Person
beforeEach(async () => {
  ilse = await newWearer()
})

describe('pairing', () => {
  it('takes a new watch in, which says nothing until it is paired by the code on its glass', async () => {
    const added = (await ilse.ask<KeptWatch>('POST', '/watches', { name: 'Boathouse bar', profile: 'bike-bar' })).body
    expect(added).toMatchObject({ isPaired: false, link: 'radio', profile: { name: 'bike-bar' } })
    const before = await ilse.ask('GET', `/watches/${added.id}/state`)
    expect([before.status, before.body.why]).toEqual([409, 'unpaired'])
    expect((await ilse.ask('POST', `/watches/${added.id}/pair`, { code: '12345' })).status).toBe(400)
    expect(problemOf(await ilse.ask('POST', `/watches/${added.id}/pair`, { code: '123456' }))).toContain('shows no code')
    const { body } = await ilse.ask<{ code: string }>('POST', `/standin/${added.id}/button`, { button: 'middle', hold: true })
    const wrong = await ilse.ask('POST', `/watches/${added.id}/pair`, { code: body.code === '000000' ? '000001' : '000000' })
    expect([wrong.status, wrong.body.where]).toEqual([422, 'body.code'])
    expect((await ilse.ask<KeptWatch>('POST', `/watches/${added.id}/pair`, { code: body.code })).body.isPaired).toBe(true)
    expect((await stateOf(ilse, added.id)).rows).toHaveLength(20)
    expect((await ilse.ask('POST', '/watches', { name: 'Boathouse bar', profile: 'bike-bar' })).status).toBe(409)
    expect((await ilse.ask('POST', '/watches', { name: 'Oar', profile: 'oar' })).status).toBe(422)
  })

  it('goes on with a key that the watch took although the end of pairing never came back', async () => {
    await asOwner(database, ilse.owner, async tx => {
      const [row] = await tx.select().from(watch).where(eq(watch.id, ilse.watch))
      await tx
        .update(watch)
        .set({ key: 'ab'.repeat(32), pendingKey: row!.key })
        .where(eq(watch.id, ilse.watch))
    })
    expect((await stateOf(ilse)).rows.length).toBeGreaterThan(0)
    await asOwner(database, ilse.owner, tx =>
      tx
        .update(watch)
        .set({ key: null, pendingKey: sql`key` })
        .where(eq(watch.id, ilse.watch)),
    )
    expect((await ilse.ask<KeptWatch[]>('GET', '/watches')).body[0]!.isPaired).toBe(true)
    expect((await stateOf(ilse)).rows.length).toBeGreaterThan(0)
  })

  it('says that a watch knows this account no more, after a reset or in other hands', async () => {
    await send(ilse, await newSession(ilse, short('Mine')))
    const other = await newPerson('The boathouse')
    const taken = (await other.ask<KeptWatch>('POST', '/watches', { name: 'From the drawer', address: ilse.address })).body
    await pairStandin(database, other.owner, taken.id)
    expect(statuses(await stateOf(other, taken.id))).toEqual([])
    const refused = await ilse.ask('GET', `/watches/${ilse.watch}/state`)
    expect([refused.status, refused.body.why]).toEqual([409, 'unpaired'])
    await pairStandin(database, ilse.owner, ilse.watch)
    expect(statuses(await stateOf(ilse))).toEqual(['missing -'])
    await hand(ilse, { do: 'reset' })
    expect((await ilse.ask('GET', `/watches/${ilse.watch}/state`)).body.why).toBe('unpaired')
  })

  it('forgets a watch here and lets it hold what it holds', async () => {
    expect((await ilse.ask('DELETE', `/watches/${ilse.watch}`)).status).toBe(200)
    expect((await ilse.ask<KeptWatch[]>('GET', '/watches')).body).toEqual([])
  })
})

describe('what a watch should hold beside what it holds', () => {
  it('tells missing, stale, edited there, made there, and equal', async () => {
    const ids = await Promise.all(['Deleted', 'Revised', 'Edited', 'Equal'].map(title => newSession(ilse, short(title))))
    const slots: number[] = []
    for (const id of ids) slots.push((await send(ilse, id)).slot)
    await hand(ilse, { do: 'make' })
    await hand(ilse, { do: 'delete', slot: slots[0] })
    await ilse.ask('PUT', `/sessions/${ids[1]}`, { base: 1, script: short('Revised').replace('3 times', '4 times') })
    await hand(ilse, { do: 'edit', slot: slots[2] })
    const state = await stateOf(ilse)
    expect(statuses(state).sort()).toEqual(['edited Edited', 'equal Equal', 'extra Own quarter hour', 'missing -', 'stale Revised'])
    const compared = (await ilse.ask<SlotComparison>('GET', `/watches/${ilse.watch}/slots/${slots[2]}`)).body
    expect(compared.equal).toBe(false)
    expect(compared.rows.filter(row => !row.equal)).toMatchObject([{ should: 'warm-up 1:00', holds: 'warm-up 2:00' }])
    const edited = state.rows.find(row => row.status === 'edited')!
    const over = await ilse.ask('POST', `/watches/${ilse.watch}/transfers`, { session: ids[2] })
    expect([over.status, over.body.why]).toEqual([409, 'hand-made'])
    const refused = await ilse.ask('DELETE', `/watches/${ilse.watch}/slots/${edited.slot}?expects=${edited.generation}`)
    expect([refused.status, refused.body.why]).toEqual([409, 'hand-made'])
    expect(
      (await ilse.ask('DELETE', `/watches/${ilse.watch}/slots/${edited.slot}?expects=${edited.generation}&handMade=true`)).status,
    ).toBe(200)
    expect((await ilse.ask('DELETE', `/watches/${ilse.watch}/slots/${slots[0]}`)).status).toBe(200)
    expect(statuses(await stateOf(ilse))).not.toContain('missing -')
    for (const id of ids) expect((await ilse.ask('GET', `/sessions/${id}`)).status).toBe(200)
  })

  it('says that a copy is older than a session that has a row nobody can read by now', async () => {
    const id = await newSession(ilse, short('Half written'))
    const { slot } = await send(ilse, id)
    const row = async () => (await stateOf(ilse)).rows.find(one => one.slot === slot)!
    expect((await row()).status).toBe('equal')
    await ilse.ask('PUT', `/sessions/${id}`, { base: 1, script: `${short('Half written')}\n5 flurbs at dawn` })
    expect(await row()).toMatchObject({ status: 'stale', stale: ['session'] })
  })

  it("says that the athlete's numbers or the profile have made a copy stale", async () => {
    const { slot } = await send(ilse, await newSession(ilse, 'title By effort\nsport run\n\n10:00 @ 95-100 %CS'))
    const reasons = async () => (await stateOf(ilse)).rows.find(row => row.slot === slot)!.stale
    expect(await reasons()).toEqual([])
    const { body } = await ilse.ask<{ number: number; athlete: object }>('GET', '/me')
    await ilse.ask('PUT', '/me', { base: body.number, document: { ...body.athlete, run: { criticalSpeed: 3.7 } } })
    expect(await reasons()).toEqual(['athlete'])
  })

  it('sees a wrong clock, a reset, and recordings that wait', async () => {
    await hand(ilse, { do: 'clock', off: 3_600_000 })
    const { clockAhead } = await stateOf(ilse)
    expect(clockAhead).toBeGreaterThan(3590)
    await hand(ilse, { do: 'reset' })
    await pairStandin(database, ilse.owner, ilse.watch)
    expect((await stateOf(ilse)).wasReset).toBe(true)
    expect((await stateOf(ilse)).wasReset).toBe(false)
  })

  it('says a watch without power is out of reach, and goes on when it is back', async () => {
    await hand(ilse, { do: 'power', on: false })
    expect((await ilse.ask('GET', `/watches/${ilse.watch}/state`)).status).toBe(502)
    await hand(ilse, { do: 'power', on: true })
    expect((await ilse.ask('GET', `/watches/${ilse.watch}/state`)).status).toBe(200)
  }, 30_000)
})

describe('one server at a time', () => {
  it('lets nobody else speak with a watch while one does, and gives way when it has ended or stalls', async () => {
    let isInside = false
    const first = atWatch(database, ilse.owner, ilse.watch, async ({ exchange }) => {
      isInside = true
      await listSlots(exchange)
      await new Promise(resolve => setTimeout(resolve, 500))
      isInside = false
    })
    await until(
      async () => isInside,
      inside => inside,
    )
    await atWatch(database, ilse.owner, ilse.watch, async () => expect(isInside).toBe(false))
    await first
    const stalled = atWatch(database, ilse.owner, ilse.watch, async ({ exchange, whileHeld }) => {
      await asOwner(database, ilse.owner, tx =>
        tx
          .update(watch)
          .set({ leaseUntil: sql`now() - interval '1 second'` })
          .where(eq(watch.id, ilse.watch)),
      )
      await atWatch(database, ilse.owner, ilse.watch, turn => listSlots(turn.exchange))
      expect(await whileHeld(async () => true)).toBeNull()
      return listSlots(exchange)
    })
    await expect(stalled).rejects.toMatchObject({ status: 409 })
  })

  it('counts on above what the watch has heard, when the database is an older one', async () => {
    for (let turn = 0; turn < 5; turn++) await stateOf(ilse)
    await asOwner(database, ilse.owner, tx => tx.update(watch).set({ leaseNumber: 0 }).where(eq(watch.id, ilse.watch)))
    expect((await stateOf(ilse)).rows.length).toBeGreaterThan(0)
  })
})

describe('calling a sending off', () => {
  it('leaves the watch as it was, and says when it came too late', async () => {
    await ilse.ask('PUT', `/standin/${ilse.watch}/link-faults`, { link: 'radio', delay: 120, loss: 0, cutAfter: null })
    const session = await newSession(
      ilse,
      `title Long\nsport run\n\n${Array.from({ length: 60 }, (_, index) => `${index + 1}:00  # a row of its own`).join('\n')}`,
    )
    const { body: begun } = await ilse.ask<TransferState>('POST', `/watches/${ilse.watch}/transfers`, { session })
    const going = await until(
      async () => (await ilse.ask<TransferState>('GET', `/transfers/${begun.id}`)).body,
      transfer => transfer.arrived > 0,
    )
    expect(going.arrived).toBeLessThan(going.size / 2)
    await ilse.ask('POST', `/transfers/${begun.id}/cancel`)
    expect((await ended(ilse, begun.id)).state).toBe('cancelled')
    await ilse.ask('PUT', `/standin/${ilse.watch}/link-faults`, { link: 'radio', delay: 0, loss: 0, cutAfter: null })
    expect(statuses(await stateOf(ilse))).toEqual([])
    const done = await send(ilse, session)
    expect((await ilse.ask<TransferState>('POST', `/transfers/${done.id}/cancel`)).body.state).toBe('done')
  })
})

describe('a sending whose server stopped right behind the commit', () => {
  it('is found again by the next one of the same session, and leaves no second copy', async () => {
    const session = await newSession(ilse, short('Crashed'))
    const done = await send(ilse, session)
    await asOwner(database, ilse.owner, async tx => {
      await tx.delete(holding).where(eq(holding.watchId, ilse.watch))
      await tx.update(transfer).set({ state: 'stopped' }).where(eq(transfer.id, done.id))
    })
    expect(statuses(await stateOf(ilse))).toEqual(['extra Crashed'])
    expect((await send(ilse, session)).slot).toBe(done.slot)
    expect(statuses(await stateOf(ilse))).toEqual(['equal Crashed'])
  })
})

describe('fitting with choices', () => {
  const treadmill = 'title Belt\nsport run\nplace treadmill\n\n6:00 @ 5:10 /km\n6:00 @ 5:00 /km'

  it('keeps a choice for a row, a standing one, and refuses to send what was refused', async () => {
    const added = (await ilse.ask<KeptWatch>('POST', '/watches', { name: 'Belt watch', profile: 'basic' })).body
    await pairStandin(database, ilse.owner, added.id)
    const session = await newSession(ilse, treadmill)
    const ways = async () =>
      (await ilse.ask<FitPreview>('GET', `/watches/${added.id}/fit?session=${session}`)).body.losses.map(loss => loss.way)
    expect(await ways()).toEqual(['heart-rate', 'heart-rate'])
    await ilse.ask('PUT', `/watches/${added.id}`, { standing: { 'target pace run treadmill': 'none' } })
    expect(await ways()).toEqual(['none', 'none'])
    const chosen = await ilse.ask<FitPreview>('PUT', `/watches/${added.id}/fit`, { session, here: { '2 target': 'refuse' } })
    expect(chosen.body).toMatchObject({ fits: false, here: { '2 target': 'refuse' } })
    expect((await ilse.ask('POST', `/watches/${added.id}/transfers`, { session })).status).toBe(422)
  })

  it('takes an own profile, and says where one does not fit its format', async () => {
    const { profile } = (await ilse.ask<KeptWatch[]>('GET', '/watches')).body[0]!
    const own = await ilse.ask<KeptWatch>('PUT', `/watches/${ilse.watch}`, {
      profile: { ...profile, name: 'my own', maxNesting: 0 },
      link: 'cable',
      name: 'Quay watch',
    })
    expect(own.body).toMatchObject({ name: 'Quay watch', link: 'cable', profile: { name: 'my own', maxNesting: 0 } })
    const bad = await ilse.ask('PUT', `/watches/${ilse.watch}`, { profile: { ...profile, maxSteps: 0 } })
    expect([bad.status, bad.body.where]).toEqual([422, 'body.profile/maxSteps'])
    expect((await send(ilse, await newSession(ilse, short('Flat')))).state).toBe('done')
  })
})
