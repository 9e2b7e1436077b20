import { beforeEach, describe, expect, it } from 'vitest'
import { asOwner } from '../../server/db/client'
import { recording } from '../../server/db/recordings'
import { arrival } from '../../server/db/schema'
import type { LoggedRecording } from '../../shared/log'
import type { Person } from './client'
import { database, newSession, until } from './client'
import { hand, newWearer, send, short, stateOf } from './wearer'

let ilse: Person
beforeEach(async () => {
  ilse = await newWearer()
})

describe('a recording on its way', () => {
  it('comes home as it was changed with the buttons of the watch, and is judged by that', async () => {
    const session = await newSession(ilse, short('Made longer'))
    const { slot } = await send(ilse, session)
    const button = (name: string, hold = false) => ilse.ask('POST', `/standin/${ilse.watch}/button`, { button: name, hold })
    await ilse.ask('PUT', `/standin/${ilse.watch}/wearer`, { speed: 600, seed: 7, pressesItself: true, behaviour: {} })
    await ilse.ask('POST', `/standin/${ilse.watch}/choose`, { slot })
    await button('bottom', true)
    await button('bottom')
    await button('top')
    await button('bottom', true)
    expect((await stateOf(ilse)).rows.find(row => row.slot === slot)).toMatchObject({ status: 'edited', by: 'hand' })
    await button('top')
    await until(
      () => stateOf(ilse),
      state => state.recordings === 1,
    )
    const { body } = await ilse.ask<{ recordings: string[] }>('POST', `/watches/${ilse.watch}/collect`)
    const logged = (await ilse.ask<LoggedRecording>('GET', `/recordings/${body.recordings[0]}`)).body
    expect(logged).toMatchObject({ changedThere: true, sessionId: session, score: { basis: 'program' } })
    expect(logged.program!.items.find(item => item.kind === 'block')).toMatchObject({ repeat: { times: 4 } })
    expect(logged.score!.totals.planned).toBe(logged.score!.totals.done)
  })

  it('comes home over a link that is cut again and again, once, and dated right', async () => {
    const { slot } = await send(ilse, await newSession(ilse, short('Carried')))
    await hand(ilse, { do: 'clock', off: 7_200_000 })
    await ilse.ask('PUT', `/standin/${ilse.watch}/wearer`, { speed: 600, seed: 7, pressesItself: true, behaviour: {} })
    await ilse.ask('POST', `/standin/${ilse.watch}/choose`, { slot })
    await ilse.ask('POST', `/standin/${ilse.watch}/button`, { button: 'top' })
    await until(
      () => stateOf(ilse),
      state => state.recordings === 1,
    )
    let home: string[] = []
    let cuts = 0
    for (; home.length === 0 && cuts < 30; cuts++) {
      await ilse.ask('PUT', `/standin/${ilse.watch}/link-faults`, { link: 'radio', delay: 0, loss: 0, cutAfter: 5000 })
      home = (await ilse.ask<{ recordings?: string[] }>('POST', `/watches/${ilse.watch}/collect`)).body.recordings ?? []
    }
    expect(cuts).toBeGreaterThan(1)
    expect(home).toHaveLength(1)
    await ilse.ask('PUT', `/standin/${ilse.watch}/link-faults`, { link: 'radio', delay: 0, loss: 0, cutAfter: null })
    expect((await stateOf(ilse)).recordings).toBe(0)
    await asOwner(database, ilse.owner, async tx => {
      expect(await tx.select().from(arrival)).toEqual([])
      const [row] = await tx.select().from(recording)
      expect(Math.abs(row!.startedAt.getTime() - Date.now())).toBeLessThan(120_000)
      expect(row!.clockAhead).toBeGreaterThan(7000)
    })
  }, 60_000)
})
