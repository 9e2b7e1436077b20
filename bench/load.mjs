/**
 * npm run bench:load: two copies of the server on one database, and many athletes who type, send to a watch, and read their log at the
 * same time. Says how long an answer takes beside that of a trivial route in the same run, how many requests failed, and whether
 * memory stays flat.
 *
 * `ATHLETES` (200), `SECONDS` (60) and `SAVES_APART` (seconds between two saves of one who types, 2) may be given.
 */
import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { readFileSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import postgres from 'postgres'
import { startStack } from '../scripts/stack.mjs'

const { ATHLETES = '200', SECONDS = '60', SAVES_APART = '2' } = process.env
const athletes = Number(ATHLETES)
const milliseconds = Number(SECONDS) * 1000
const savesApart = Number(SAVES_APART) * 1000

const times = new Map()
const failed = []
let count = 0
async function ask(name, address, token, method, path, body) {
  const begun = performance.now()
  const response = await fetch(`${address}/api${path}`, {
    method,
    headers: { authorization: `Bearer ${token}` },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  const answer = await response.json()
  count++
  if (!times.has(name)) times.set(name, [])
  times.get(name).push(performance.now() - begun)
  if (!response.ok) failed.push(`${name} ${response.status} ${JSON.stringify(answer).slice(0, 200)}`)
  return answer
}

const rows = [
  '20:00 easy',
  '6 times',
  '  800 m @ 5k effort',
  '  recovery 1:30',
  '10:00 easy',
  '4 times',
  '  0:20 strides',
  '  recovery 1:00',
]
const recording = {
  format: 'agonis.recording',
  version: 1,
  sport: 'run',
  startedAt: '2026-03-30T06:00:00Z',
  samples: { t: Array.from({ length: 2400 }, (_, at) => at + 1), metres: Array.from({ length: 2400 }, (_, at) => at * 3) },
  marks: [],
}

/** One athlete: a row every few saves, the log now and then, a sending once. */
async function live(address, token, index, end) {
  const id = randomUUID()
  let [base, text, change] = [0, 'sport run\n\n', 0]
  await pause(savesApart * Math.random())
  for (let turn = 0; Date.now() < end; turn++) {
    const begun = Date.now()
    text += turn % 4 === 3 ? `${rows[Math.floor(turn / 4) % rows.length]}\n` : ''
    const kept = await ask('save', address, token, 'PUT', `/sessions/${id}`, {
      base,
      script: `${text}# ${turn}\n`,
      tab: 'one',
      change: ++change,
    })
    base = kept.number ?? base
    if (turn % 5 === 2) await ask('log', address, token, 'GET', '/recordings?limit=20')
    if (turn % 10 === 7) await ask('shelf', address, token, 'GET', '/sessions?limit=50')
    if (turn % 20 === 11) await ask('trivial', address, token, 'GET', '/entrance')
    if (turn === 15)
      await ask('record', address, token, 'POST', '/recordings', { recording: { ...recording, felt: { note: String(index) } } })
    if (turn === 20) {
      const [watch] = await ask('watches', address, token, 'GET', '/watches')
      if (watch) await ask('collect', address, token, 'GET', `/watches/${watch.id}/transfers`)
    }
    await pause(Math.max(0, savesApart - (Date.now() - begun)))
  }
}

const residentOf = pid => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024
const share = (list, part) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * part))]
const round = value => value.toFixed(1).padStart(8)

const folder = mkdtempSync(join(tmpdir(), 'agonis-load-'))
const stack = await startStack({ folder, demo: false, quiet: true })
try {
  const copies = [stack, await stack.another()]
  const owner = postgres(stack.ownerUrl, { max: 1 })
  const tokens = Array.from({ length: athletes }, () => randomBytes(32).toString('base64url'))
  for (const token of tokens) {
    const digest = createHash('sha256').update(token).digest('hex')
    const [{ id }] = await owner`select open_account('of a load', ${digest}) as id`
    await owner`insert into watch (owner_id, name, address, profile)
      select ${id}, 'Quay watch', 'load-' || ${id} || '.all-sport', profile from watch limit 1`
  }
  await owner.end()
  const end = Date.now() + milliseconds
  const resident = []
  const watching = setInterval(() => resident.push(copies.map(copy => residentOf(copy.server.pid))), Math.max(1000, milliseconds / 60))
  await Promise.all(tokens.map((token, index) => live(copies[index % 2].address, token, index, end)))
  clearInterval(watching)
  const trivial = share(times.get('trivial') ?? [1], 0.99)
  console.log(
    `${count} requests of ${athletes} athletes in ${SECONDS} s, ${(count / Number(SECONDS)).toFixed(0)} a second; ${failed.length} failed`,
  )
  console.log('             count      p50      p99   p99 / trivial p99')
  for (const [name, list] of times) {
    const [middle, slow] = [share(list, 0.5), share(list, 0.99)]
    console.log(`${name.padEnd(10)}${String(list.length).padStart(8)} ${round(middle)} ${round(slow)} ${round(slow / trivial)}`)
  }
  const third = Math.floor(resident.length / 3)
  for (const copy of [0, 1]) {
    const of = part => Math.max(...part.map(one => one[copy]))
    console.log(
      `copy ${copy + 1}: ${round(of(resident.slice(0, third)))} MB in the first third, ${round(of(resident.slice(-third)))} MB in the last`,
    )
  }
  for (const one of failed.slice(0, 5)) console.log(one)
  process.exitCode = failed.length > 0 ? 1 : 0
} finally {
  await stack.stop()
  rmSync(folder, { recursive: true, force: true })
}
