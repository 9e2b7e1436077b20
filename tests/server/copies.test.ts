import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Change, KeptWatch, TransferState, WatchState } from '../../shared/api'
import type { Stack } from '../support/stack'
import { throwAwayStack } from '../support/stack'
import { until } from './client'

/** Two copies of the server on one database: what one is asked, either does, once. */
let stack: Stack & { folder: string }
let copies: string[]
let watch: KeptWatch

const askOf = async <T>(address: string, method: string, path: string, body?: unknown): Promise<{ status: number; body: T }> => {
  const response = await fetch(`${address}/api${path}`, {
    method,
    headers: { authorization: `Bearer ${stack.homeToken}` },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  return { status: response.status, body: (await response.json()) as T }
}

beforeAll(async () => {
  stack = await throwAwayStack(false)
  copies = [stack.address, (await stack.another()).address]
  const watches = (await askOf<KeptWatch[]>(stack.address, 'GET', '/watches')).body
  watch = watches.find(one => one.profile.name === 'all-sport' && one.isPaired)!
})
afterAll(() => stack?.stop())

const sessions = async (count: number) => {
  const ids = Array.from({ length: count }, () => randomUUID())
  for (const [index, id] of ids.entries())
    await askOf(stack.address, 'PUT', `/sessions/${id}`, {
      base: 0,
      script: `title At once ${index}\nsport run\n\n4 times\n  1:00\n  recovery 0:30\n`,
    })
  return ids
}
const stateAt = async (address: string, id: string) => (await askOf<TransferState>(address, 'GET', `/transfers/${id}`)).body

/** Begins to send sessions at once, by one copy and the other in turn. */
async function sendAtOnce(ids: readonly string[]): Promise<TransferState[]> {
  const begun = await Promise.all(
    ids.map((session, index) => askOf<TransferState>(copies[index % 2]!, 'POST', `/watches/${watch.id}/transfers`, { session })),
  )
  expect(begun.map(one => one.status)).toEqual(ids.map(() => 201))
  return begun.map(one => one.body)
}

async function untilAllAreThere(begun: readonly TransferState[], address: string): Promise<void> {
  for (const { id } of begun)
    await until(
      () => stateAt(address, id),
      one => one.state === 'done',
      60_000,
    )
  const { rows } = (await askOf<WatchState>(address, 'GET', `/watches/${watch.id}/state`)).body
  const held = rows.filter(row => row.should && begun.some(one => one.sessionId === row.should!.sessionId))
  expect(held.map(row => row.status)).toEqual(begun.map(() => 'equal'))
  expect(new Set(held.map(row => row.should!.sessionId)).size).toBe(begun.length)
}

const clearAll = async () => {
  const { rows } = (await askOf<WatchState>(stack.address, 'GET', `/watches/${watch.id}/state`)).body
  for (const row of rows.filter(one => one.status !== 'empty'))
    await askOf(stack.address, 'DELETE', `/watches/${watch.id}/slots/${row.slot}?expects=${row.generation}`)
}

describe('two copies on one database', () => {
  it('tell the browsers of both what changes on either', async () => {
    const leaving = new AbortController()
    const response = await fetch(`${copies[1]}/api/changes`, {
      headers: { authorization: `Bearer ${stack.homeToken}` },
      signal: leaving.signal,
    })
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
    let heard = ''
    const [id] = await sessions(1)
    while (!heard.includes(id!)) heard += (await reader.read()).value ?? ''
    leaving.abort()
    const changes = [...heard.matchAll(/^data: (\{.*\})$/gm)].map(found => JSON.parse(found[1]!) as Change)
    expect(changes).toContainEqual({ what: 'session', id })
  })

  it('bring sixteen sendings of one moment to one watch, each once', async () => {
    const begun = await sendAtOnce(await sessions(16))
    await untilAllAreThere(begun, copies[0]!)
    await clearAll()
  })

  it('go on where a third has died in the middle of it', async () => {
    const third = await stack.another()
    const { body: slow } = await askOf(stack.address, 'PUT', `/standin/${watch.id}/link-faults`, {
      link: 'radio',
      delay: 60,
      loss: 0,
      cutAfter: null,
    })
    expect(slow).toBeTruthy()
    const ids = await sessions(4)
    const begun = await Promise.all(
      ids.map(session => askOf<TransferState>(third.address, 'POST', `/watches/${watch.id}/transfers`, { session })),
    )
    third.server.kill('SIGKILL')
    await askOf(stack.address, 'PUT', `/standin/${watch.id}/link-faults`, { link: 'radio', delay: 0, loss: 0, cutAfter: null })
    await untilAllAreThere(
      begun.map(one => one.body),
      copies[1]!,
    )
  }, 150_000)
})
