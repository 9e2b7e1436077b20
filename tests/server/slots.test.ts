import { beforeAll, describe, expect, it } from 'vitest'
import type { Person } from './client'
import { newSession, until } from './client'
import { newWearer } from './wearer'

interface Transfer {
  id: string
  state: string
  arrived: number
  size: number
  slot: number
  problem: string | null
}
interface Row {
  slot: number
  status: string
  holds: string | null
  generation: number
  stale: string[]
}
interface State {
  rows: Row[]
  transfers: Transfer[]
}
interface Logged {
  recording: { marks: { kind: string; path?: string }[] }
  score: { basis: string; confidence: number; totals: { done: number; planned: number } }
  sessionId: string
}

let ilse: Person
beforeAll(async () => {
  ilse = await newWearer()
})

const script =
  'title Short ladder\nsport run\n\nwarm-up 1:00\n3 times, drop last recovery\n  0:30 @ 4:20-4:50 /km\n  recovery 0:20\ncool-down 0:30\n'
const linkFaults = (delay: number, loss: number, cutAfter: number | null) =>
  ilse.ask('PUT', `/standin/${ilse.watch}/link-faults`, { link: 'radio', delay, loss, cutAfter })
const begin = async (session: string) => (await ilse.ask<Transfer>('POST', `/watches/${ilse.watch}/transfers`, { session })).body
const ended = (id: string) =>
  until(
    async () => (await ilse.ask<Transfer>('GET', `/transfers/${id}`)).body,
    transfer => transfer.state !== 'sending',
  )
const rowOf = async (slot: number) =>
  (await ilse.ask<State>('GET', `/watches/${ilse.watch}/state`)).body.rows.find(row => row.slot === slot)!

describe('sending to a watch in another process', () => {
  it('ends in a receipt, reads back equal step by step, and clears without touching the shelf', async () => {
    const session = await newSession(ilse, script)
    const done = await ended((await begin(session)).id)
    expect([done.state, done.arrived]).toEqual(['done', done.size])
    expect(await rowOf(done.slot)).toMatchObject({ status: 'equal', holds: 'Short ladder', stale: [] })
    const compared = await ilse.ask<{ equal: boolean; rows: { equal: boolean }[] }>('GET', `/watches/${ilse.watch}/slots/${done.slot}`)
    expect(compared.body.equal).toBe(true)
    expect(compared.body.rows).toHaveLength(5)
    await ilse.ask('PUT', `/sessions/${session}`, { base: 1, script: script.replace('3 times', '4 times') })
    expect(await rowOf(done.slot)).toMatchObject({ status: 'stale', stale: ['session'] })
    const { generation } = await rowOf(done.slot)
    expect((await ilse.ask('DELETE', `/watches/${ilse.watch}/slots/${done.slot}?expects=${generation - 1}`)).status).toBe(409)
    expect((await ilse.ask('DELETE', `/watches/${ilse.watch}/slots/${done.slot}?expects=${generation}`)).status).toBe(200)
    expect((await rowOf(done.slot)).status).toBe('empty')
    expect((await ilse.ask('GET', `/sessions/${session}`)).status).toBe(200)
  })

  it('stops when the link is cut, wherever that is, says so, and goes on from there', async () => {
    const statuses = new Set<string>()
    for (const cutAfter of [3000, 4200, 5400, 6600, 7800, 9000, 10_200]) {
      const session = await newSession(ilse, script.replace('Short', `Cut ${cutAfter}`))
      await linkFaults(0, 0, cutAfter)
      const begun = await ilse.ask<Transfer>('POST', `/watches/${ilse.watch}/transfers`, { session })
      const stopped = begun.status === 201 ? await ended(begun.body.id) : null
      await linkFaults(0, 0, null)
      if (stopped?.state !== 'stopped') continue
      expect(stopped.problem).toBe('The watch does not answer.')
      const { body } = await ilse.ask<State>('GET', `/watches/${ilse.watch}/state`)
      expect(body.transfers.map(transfer => transfer.id)).toContain(stopped.id)
      statuses.add(body.rows.find(row => row.slot === stopped.slot)!.status)
      await ilse.ask('POST', `/transfers/${stopped.id}/resume`)
      expect((await ended(stopped.id)).state).toBe('done')
      expect((await rowOf(stopped.slot)).status).toBe('equal')
    }
    expect(statuses).toContain('empty')
    expect([...statuses].filter(standing => !['empty', 'extra'].includes(standing))).toEqual([])
  })

  it('gets through a link that loses a fifth of all messages', async () => {
    const session = await newSession(ilse, script.replace('Short', 'Lossy'))
    await linkFaults(0, 0.2, null)
    let transfer = await begin(session)
    for (let tries = 0; transfer.state !== 'done' && tries < 20; tries++) {
      if (transfer.id === undefined) transfer = await begin(session)
      else if (transfer.state === 'stopped') await ilse.ask('POST', `/transfers/${transfer.id}/resume`)
      if (transfer.id !== undefined) transfer = await ended(transfer.id)
    }
    await linkFaults(0, 0, null)
    expect(transfer.state).toBe('done')
    expect((await rowOf(transfer.slot)).status).toBe('equal')
  })

  it('says a watch out of reach is out of reach', async () => {
    await linkFaults(0, 1, null)
    const answer = await ilse.ask('GET', `/watches/${ilse.watch}/state`)
    await linkFaults(0, 0, null)
    expect(answer).toMatchObject({ status: 502, body: { where: 'link' } })
  })

  it('refuses what does not fit, with every loss, and sends nothing', async () => {
    const session = await newSession(ilse, 'sport run\n\n10:00 ?{10m}\nqwerty 12\n')
    const answer = await ilse.ask<{ losses: { kind: string }[] }>('POST', `/watches/${ilse.watch}/transfers`, { session })
    expect(answer.status).toBe(422)
    expect(answer.body.losses.map(loss => loss.kind)).toEqual(['doubt', 'unread'])
  })
})

describe('carrying out and bringing home', () => {
  it('comes home once, with its marks, scored against the program it was carried out from', async () => {
    const session = await newSession(ilse, script.replace('Short', 'Carried'))
    const { slot } = await ended((await begin(session)).id)
    await ilse.ask('PUT', `/standin/${ilse.watch}/wearer`, { speed: 600, seed: 7, pressesItself: true, behaviour: {} })
    await ilse.ask('POST', `/standin/${ilse.watch}/choose`, { slot })
    await ilse.ask('POST', `/standin/${ilse.watch}/button`, { button: 'top' })
    const refused = await ilse.ask<{ problem: string }>(
      'DELETE',
      `/watches/${ilse.watch}/slots/${slot}?expects=${(await rowOf(slot)).generation}`,
    )
    expect(refused.status).toBe(409)
    const home = await until(
      async () => (await ilse.ask<{ recordings: string[] }>('POST', `/watches/${ilse.watch}/collect`)).body.recordings,
      found => found.length > 0,
    )
    expect(home).toHaveLength(1)
    expect((await ilse.ask<{ recordings: string[] }>('POST', `/watches/${ilse.watch}/collect`)).body.recordings).toEqual([])
    const { body } = await ilse.ask<Logged>('GET', `/recordings/${home[0]}`)
    expect(body.sessionId).toBe(session)
    expect(body.score).toMatchObject({ basis: 'program', confidence: 1, totals: { done: 7, planned: 7 } })
    expect(body.recording.marks.filter(mark => mark.kind === 'step').map(mark => mark.path)).toEqual([
      '1',
      '2.1',
      '2.2',
      '2.1',
      '2.2',
      '2.1',
      '3',
    ])
    await ilse.ask('PUT', `/recordings/${home[0]}/felt`, { rpe: 6, note: 'fine' })
    expect((await ilse.ask<{ rows: { rpe: number }[] }>('GET', '/recordings')).body.rows[0]!.rpe).toBe(6)
  })
})

describe("the athlete's numbers", () => {
  it('are dated revisions, and a stale save is refused with both sides', async () => {
    const { body } = await ilse.ask<{ number: number; athlete: Record<string, unknown> }>('GET', '/me')
    const next = await ilse.ask<{ number: number }>('PUT', '/me', { base: body.number, document: { ...body.athlete, massKg: 62 } })
    expect(next.body.number).toBe(body.number + 1)
    expect((await ilse.ask('PUT', '/me', { base: body.number, document: body.athlete })).status).toBe(409)
    const bad = await ilse.ask<{ where: string }>('PUT', '/me', { base: next.body.number, document: { ...body.athlete, massKg: -3 } })
    expect([bad.status, bad.body.where]).toEqual([422, 'body.document/massKg'])
  })
})
