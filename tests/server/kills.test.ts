import { randomUUID } from 'node:crypto'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { strToU8, zipSync } from 'fflate'
import { afterAll, describe, expect, it } from 'vitest'
import type { Random } from '../../core/quantity/random'
import { randomFrom } from '../../core/quantity/random'
import { startStack } from '../../scripts/stack.mjs'
import type { KeptSession, KeptWatch, Listed, ShelfRow, TransferState, WatchState } from '../../shared/api'
import type { LogRow } from '../../shared/log'
import type { Stack } from '../support/stack'
import { until } from './client'

/** Programs ended at once in the middle of everything: what was said to be kept is there when they run again, once, and as it was. */
const kills = Number(process.env.KILLS ?? 11)
const seed = Number(process.env.KILL_SEED ?? 1)
const folder = mkdtempSync(join(tmpdir(), 'agonis-kills-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

type Victim = 'server' | 'database' | 'all'
const victims: Victim[] = ['server', 'database', 'all']

function kill(stack: Stack, victim: Victim): void {
  const pids = [
    ...(victim !== 'database' ? [stack.server.pid!] : []),
    ...(victim !== 'server' ? [stack.cluster!.child.pid!] : []),
    ...(victim === 'all' ? [stack.standin.pid!] : []),
  ]
  execFileSync('kill', ['-9', ...pids.map(String)])
}

/** What the server has said is kept. */
interface Said {
  typing: { id: string; texts: string[] }
  recordings: Set<string>
  imported: string[]
  sendings: Set<string>
}

async function ask<T>(stack: Stack, method: string, path: string, body?: unknown): Promise<{ status: number; body: T }> {
  const response = await fetch(`${stack.address}/api${path}`, {
    method,
    headers: { authorization: `Bearer ${stack.homeToken}`, accept: 'application/x-ndjson, application/json' },
    ...(body === undefined ? {} : { body: body instanceof Uint8Array ? (body as BodyInit) : JSON.stringify(body) }),
  })
  return { status: response.status, body: (await response.json()) as T }
}

const word = (random: Random) => String.fromCharCode(97 + Math.floor(26 * random.next())).repeat(1 + Math.floor(4 * random.next()))

async function type(stack: Stack, said: Said, random: Random, isOver: () => boolean): Promise<void> {
  let [base, text] = [0, 'sport run\n\n10:00  # ']
  while (!isOver()) {
    text += `${word(random)} `
    const { status, body } = await ask<KeptSession>(stack, 'PUT', `/sessions/${said.typing.id}`, {
      base,
      script: text,
      tab: 'one',
      change: text.length,
    })
    if (status !== 200) return
    base = body.number
    said.typing.texts.push(text)
    await pause(20 + 60 * random.next())
  }
}

async function bringRecordings(stack: Stack, said: Said, random: Random, isOver: () => boolean): Promise<void> {
  while (!isOver()) {
    const seconds = 20 + Math.floor(2000 * random.next())
    const t = Array.from({ length: seconds }, (_, index) => index + 1)
    const startedAt = new Date(Date.UTC(2026, 2, 1) + Math.floor(1e9 * random.next())).toISOString()
    const recording = {
      format: 'agonis.recording',
      version: 1,
      sport: 'run',
      startedAt,
      samples: { t, metres: t.map(at => at * 3) },
      marks: [],
    }
    const { status, body } = await ask<{ id: string }>(stack, 'POST', '/recordings', { recording })
    if (status !== 201) return
    said.recordings.add(body.id)
    await pause(100 * random.next())
  }
}

async function importMany(stack: Stack, said: Said, random: Random, isOver: () => boolean): Promise<void> {
  while (!isOver()) {
    const titles = Array.from({ length: 12 }, () => `Imported ${randomUUID()}`)
    const archive = zipSync(
      Object.fromEntries(titles.map((title, index) => [`${index}.txt`, strToU8(`title ${title}\nsport run\n\n5:00\n`)])),
    )
    const response = await fetch(`${stack.address}/api/import?name=many.zip`, {
      method: 'POST',
      headers: { authorization: `Bearer ${stack.homeToken}`, accept: 'application/x-ndjson' },
      body: archive as BodyInit,
    })
    let rest = ''
    const decoder = new TextDecoder()
    for await (const part of response.body as unknown as AsyncIterable<Uint8Array>) {
      const lines = (rest + decoder.decode(part, { stream: true })).split('\n')
      rest = lines.pop()!
      for (const line of lines) said.imported.push(...((JSON.parse(line) as { titles?: string[] }).titles ?? []))
    }
    await pause(100 * random.next())
  }
}

async function send(stack: Stack, said: Said, watch: KeptWatch, isOver: () => boolean): Promise<void> {
  while (!isOver()) {
    const id = randomUUID()
    await ask(stack, 'PUT', `/sessions/${id}`, { base: 0, script: 'sport run\n\n4 times\n  1:00\n  recovery 0:30\n' })
    const { status, body } = await ask<TransferState>(stack, 'POST', `/watches/${watch.id}/transfers`, { session: id })
    if (status !== 201) return
    said.sendings.add(body.id)
    await pause(150)
  }
}

async function untilRuns(): Promise<Stack> {
  return startStack({ folder, demo: false, quiet: true })
}
const watchOf = async (stack: Stack) =>
  (await ask<KeptWatch[]>(stack, 'GET', '/watches')).body.find(one => one.profile.name === 'all-sport' && one.isPaired)!

/** Everything that was said to be kept is kept. */
async function expectAsSaid(stack: Stack, said: Said, watch: KeptWatch): Promise<void> {
  const last = said.typing.texts.at(-1)
  if (last !== undefined) {
    const { script } = (await ask<KeptSession>(stack, 'GET', `/sessions/${said.typing.id}`)).body
    expect(script.startsWith(last)).toBe(true)
  }
  const log = (await ask<Listed<LogRow>>(stack, 'GET', '/recordings?limit=200')).body.rows.map(row => row.id)
  for (const id of said.recordings) expect(log).toContain(id)
  for (const title of said.imported) {
    const found = (await ask<Listed<ShelfRow>>(stack, 'GET', `/sessions?search=${encodeURIComponent(`"${title}"`)}`)).body
    expect([title, found.total]).toEqual([title, 1])
  }
  for (const id of said.sendings) {
    await until(
      async () => {
        const { body } = await ask<TransferState>(stack, 'GET', `/transfers/${id}`)
        if (body.state === 'stopped') await ask(stack, 'POST', `/transfers/${id}/resume`)
        return body.state
      },
      state => state === 'done',
      100_000,
    )
  }
  const state = await until(
    () => ask<WatchState>(stack, 'GET', `/watches/${watch.id}/state`),
    ({ status }) => status === 200,
    60_000,
  )
  const { rows } = state.body
  expect(rows.filter(row => row.should && row.status !== 'equal')).toEqual([])
  for (const row of rows.filter(one => one.status !== 'empty'))
    await ask(stack, 'DELETE', `/watches/${watch.id}/slots/${row.slot}?expects=${row.generation}`)
  for (const id of log) await ask(stack, 'DELETE', `/recordings/${id}`)
}

describe('what was said to be kept is kept', () => {
  for (let run = 0; run < kills; run++) {
    const victim = victims[(seed + run) % victims.length]!
    it(`when ${victim === 'all' ? 'everything' : `the ${victim}`} is killed, seed ${seed + run}`, async () => {
      const random = randomFrom(seed + run)
      const stack = await untilRuns()
      const said: Said = { typing: { id: randomUUID(), texts: [] }, recordings: new Set(), imported: [], sendings: new Set() }
      const watch = await watchOf(stack)
      let isDead = false
      const isOver = () => isDead
      const doing = [
        type(stack, said, random, isOver),
        bringRecordings(stack, said, random, isOver),
        importMany(stack, said, random, isOver),
        send(stack, said, watch, isOver),
      ]
      await pause(500 + 1500 * random.next())
      kill(stack, victim)
      isDead = true
      await Promise.allSettled(doing)
      await stack.stop()
      expect(said.typing.texts.length).toBeGreaterThan(0)
      const again = await untilRuns()
      try {
        await expectAsSaid(again, said, watch)
      } finally {
        await again.stop()
      }
    }, 240_000)
  }
})
