import { execFileSync, spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { until } from './client'

const root = fileURLToPath(new URL('../..', import.meta.url))
let folder: string

interface Running {
  process: ChildProcess
  address: string
  children: number[]
  seconds: number
}

async function start(): Promise<Running> {
  const begun = performance.now()
  const child = spawn(process.execPath, ['scripts/start.mjs', '--no-demo'], {
    cwd: root,
    env: { ...process.env, AGONIS_DATA: folder, PORT: '0', DATABASE_URL: '' },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  child.stdout.on('data', (part: Buffer) => (said += part.toString()))
  child.stderr.on('data', (part: Buffer) => (said += part.toString()))
  const address = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', () => {
      const found = /Agonis is at (\S+)/.exec(said)?.[1]
      if (found) resolve(found)
    })
    child.once('exit', () => reject(new Error(said)))
  })
  const children = execFileSync('ps', ['-o', 'pid=', '--ppid', String(child.pid)])
    .toString()
    .trim()
    .split(/\s+/)
    .map(Number)
  return { process: child, address, children, seconds: (performance.now() - begun) / 1000 }
}

function isAlive(pid: number): boolean {
  try {
    return !readFileSync(`/proc/${pid}/stat`, 'utf8').includes(') Z ')
  } catch {
    return false
  }
}

const ask = (running: Running, method: string, path: string, body?: unknown) =>
  fetch(`${running.address}/api${path}`, {
    method,
    headers: { authorization: `Bearer ${readFileSync(join(folder, 'home-token'), 'utf8')}` },
    ...(body ? { body: JSON.stringify(body) } : {}),
  })

async function end(running: Running, signal: 'SIGINT' | 'SIGKILL'): Promise<void> {
  const gone = new Promise(resolve => running.process.once('exit', resolve))
  running.process.kill(signal)
  await gone
}

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'agonis-start-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('npm start', () => {
  const id = randomUUID()

  it('serves, and leaves no process behind on Ctrl+C', async () => {
    const running = await start()
    expect(running.children.length).toBeGreaterThanOrEqual(3)
    expect((await ask(running, 'PUT', `/sessions/${id}`, { base: 0, script: 'title Kept\nsport run\n\n10:00\n' })).status).toBe(200)
    await end(running, 'SIGINT')
    expect(running.children.filter(isAlive)).toEqual([])
  })

  it('starts again within ten seconds with its data, and recovers from a kill -9', async () => {
    const running = await start()
    expect(running.seconds).toBeLessThan(10)
    expect((await ask(running, 'GET', `/sessions/${id}`)).status).toBe(200)
    await end(running, 'SIGKILL')
    const recovered = await start()
    expect((await ask(recovered, 'GET', `/sessions/${id}`)).status).toBe(200)
    await until(
      () => Promise.resolve(running.children.filter(isAlive)),
      left => left.length === 0,
    )
    await end(recovered, 'SIGINT')
  })

  it('refuses to bind beyond this machine, and says why', () => {
    expect(() =>
      execFileSync(process.execPath, ['scripts/start.mjs'], {
        cwd: root,
        env: { ...process.env, AGONIS_DATA: folder, HOST: '0.0.0.0' },
        stdio: 'pipe',
      }),
    ).toThrow(/needs TLS and accounts/)
  })
})
