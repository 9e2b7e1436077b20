import { execFileSync, spawn, spawnSync } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import postgres from 'postgres'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { demoWatches } from '../../demo/log'
import { demoDoubtful, demoScripts } from '../../demo/sessions'
import { plainUrlOf } from '../../scripts/plain-role.mjs'
import { prepareDatabase } from '../../scripts/migrate'
import { until } from './client'

const demoSessions = [...demoScripts, demoDoubtful]
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

/** The programs that a start has started, by their numbers. */
const commandsOf = (running: Running): [number, string][] =>
  execFileSync('ps', ['-o', 'pid=,args=', '--ppid', String(running.process.pid)])
    .toString()
    .trim()
    .split('\n')
    .map(line => [Number(line.trim().split(' ')[0]), line])

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
  chmodSync(folder, 0o711)
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

  it('says where it runs already when it is started once more in the same folder', async () => {
    const running = await start()
    const again = spawnSync(process.execPath, ['scripts/start.mjs'], {
      cwd: root,
      env: { ...process.env, AGONIS_DATA: folder, PORT: '0', DATABASE_URL: '' },
      encoding: 'utf8',
      timeout: 30_000,
    })
    expect([again.status, again.stdout]).toEqual([0, `Agonis runs in this folder already: it is at ${running.address}\n`])
    expect((await ask(running, 'GET', `/sessions/${id}`)).status).toBe(200)
    await end(running, 'SIGINT')
  })

  it('starts the stand-in again when it dies', async () => {
    const running = await start()
    const standins = () => commandsOf(running).filter(([, command]) => command.includes('standin/watch/main.ts'))
    const [[first]] = standins() as [[number, string]]
    process.kill(first, 'SIGKILL')
    const [[second]] = (await until(
      () => Promise.resolve(standins()),
      found => found.length === 1 && found[0]![0] !== first,
    )) as [[number, string]]
    expect(second).not.toBe(first)
    await end(running, 'SIGINT')
    expect(isAlive(second)).toBe(false)
  })

  it('ends no process of anybody else that a stale file names', async () => {
    const stranger = spawn('sleep', ['120'], { argv0: 'postgres' })
    writeFileSync(join(folder, 'cluster', 'postmaster.pid'), `${stranger.pid}\n${join(folder, 'cluster')}\n`)
    const running = await start()
    expect(stranger.exitCode).toBeNull()
    expect(stranger.signalCode).toBeNull()
    expect((await ask(running, 'GET', `/sessions/${id}`)).status).toBe(200)
    await end(running, 'SIGINT')
    stranger.kill()
  })

  it('makes the account and the demo in one, and mends what a start that was stopped left', async () => {
    const url = Object.assign(new URL(inject('ownerUrl')), { pathname: '/half_loaded' }).href
    const server = postgres(inject('ownerUrl'), { max: 1, onnotice: () => {} })
    await server`create database half_loaded`
    await prepareDatabase(url, plainUrlOf(url))
    const half = postgres(url, { max: 1, onnotice: () => {} })
    await half`create function stop() returns trigger language plpgsql as 'begin raise exception ''stopped''; end'`
    await half`create trigger stop before insert on recording execute function stop()`
    const load = (standinUrl: string) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'scripts/load-demo.ts'], {
        cwd: root,
        env: {
          ...process.env,
          DATABASE_URL: plainUrlOf(url),
          AGONIS_HOME_TOKEN: 'token',
          AGONIS_DEMO: '1',
          STANDIN_URL: standinUrl,
          STANDIN_KEY: inject('standinKey'),
        },
      }).status
    const count = async () => [
      Number((await half`select count(*) from account`)[0]!.count),
      Number((await half`select count(*) from session`)[0]!.count),
      Number((await half`select count(*) from watch where key is null`)[0]!.count),
    ]
    expect(load(inject('standinUrl'))).not.toBe(0)
    expect(await count()).toEqual([0, 0, 0])
    await half`drop trigger stop on recording`
    expect(load('http://127.0.0.1:9')).not.toBe(0)
    expect(await count()).toEqual([1, demoSessions.length, demoWatches.length])
    expect(load(inject('standinUrl'))).toBe(0)
    expect(await count()).toEqual([1, demoSessions.length, 0])
    await half.end()
    await server`drop database half_loaded with (force)`
    await server.end()
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
