import { beforeEach, describe, expect, it } from 'vitest'
import type { PushPlan, TransferState } from '../../shared/api'
import type { Person } from './client'
import { newSession } from './client'
import { ended, hand, inDays, newWearer, short, stateOf, statuses, today } from './wearer'

let ilse: Person
beforeEach(async () => {
  ilse = await newWearer()
})

describe("pushing by the athlete's schools", () => {
  const plan = async () => (await ilse.ask<PushPlan>('GET', `/watches/${ilse.watch}/push`)).body
  const push = (digest: string) => ilse.ask<{ transfers: TransferState[] }>('POST', `/watches/${ilse.watch}/push`, { digest })

  it('shows what it would do, does exactly that, and then has nothing to do', async () => {
    for (const [title, days] of [
      ['Quay ladder', 0],
      ['Sound hundreds', 3],
      ['Too far', 9],
    ] as const) {
      await ilse.ask('POST', '/plan', { session: await newSession(ilse, short(title)), day: inDays(days) })
    }
    await hand(ilse, { do: 'make' })
    const dry = await plan()
    expect(dry.acts.map(act => [act.do, 'name' in act && act.name])).toEqual([
      ['send', 'Quay ladder'],
      ['send', 'Sound hundreds'],
    ])
    expect(statuses(await stateOf(ilse))).toEqual(['extra Own quarter hour'])
    for (const { id } of (await push(dry.digest)).body.transfers) expect((await ended(ilse, id)).state).toBe('done')
    expect((await plan()).acts.map(act => act.do)).toEqual(['keep', 'keep'])
    expect(statuses(await stateOf(ilse)).sort()).toEqual(['equal Quay ladder', 'equal Sound hundreds', 'extra Own quarter hour'])
  })

  it('does nothing when something has changed since the look, and says what there would be to do now', async () => {
    await ilse.ask('POST', '/plan', { session: await newSession(ilse, short('Quay ladder')), day: today() })
    const dry = await plan()
    await ilse.ask('POST', '/plan', { session: await newSession(ilse, short('Sound hundreds')), day: today() })
    const refused = await ilse.ask<{ plan: PushPlan }>('POST', `/watches/${ilse.watch}/push`, { digest: dry.digest })
    expect(refused.status).toBe(409)
    expect(refused.body.plan.acts).toHaveLength(2)
    expect(statuses(await stateOf(ilse))).toEqual([])
  })

  it('names by weekday and keeps to one slot where the athlete wants that', async () => {
    const { body } = await ilse.ask<{ number: number; athlete: object }>('GET', '/me')
    await ilse.ask('POST', '/plan', { session: await newSession(ilse, short('Quay ladder')), day: today() })
    await ilse.ask('PUT', '/me', { base: body.number, document: { ...body.athlete, schools: { naming: 'weekday', pushing: 'today' } } })
    const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' }).format(new Date())
    expect((await plan()).acts).toMatchObject([{ do: 'send', name: weekday }])
    await ilse.ask('PUT', '/me', { base: body.number + 1, document: { ...body.athlete, schools: { naming: 'slot', pushing: 'week' } } })
    expect((await plan()).acts).toMatchObject([{ do: 'send', name: 'Next session' }])
  })
})
