import { timingSafeEqual } from 'node:crypto'
import { createServer } from 'node:http'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { join } from 'node:path'
import { profileNamed } from '../../core/wrist/program/profile'
import type { Knob } from '../../core/wrist/engine/buttons'
import type { LinkKind, LinkFaults } from '../../shared/api'
import type { HandAct } from './hand'
import { openStore } from './store'
import type { Watch, Wearer } from './watch'
import { startWatch } from './watch'

/**
 * The stand-in watches as a process of their own. Programs and recordings pass only as messages of the wrist protocol,
 * over `/<address>/cable` and `/<address>/radio`; the rest is the glass and the buttons that a hand would use, and the faults a test sets.
 */

const port = Number(process.env.STANDIN_PORT)
const folder = process.env.STANDIN_FOLDER
const key = process.env.STANDIN_KEY ?? ''
if (!port || !folder || key.length < 16) throw new Error('STANDIN_PORT, STANDIN_FOLDER and STANDIN_KEY are needed')

const nobody: Wearer = {
  athlete: { format: 'agonis.athlete', version: 1, name: 'nobody' },
  seed: 1,
  speed: 1,
  pressesItself: false,
  behaviour: { bias: 0 },
}
const watches = new Map<string, Watch>()

function watchAt(address: string): Watch | null {
  const known = watches.get(address)
  if (known) return known
  const match = /^([a-z0-9-]+)\.([a-z-]+)$/.exec(address)
  const profile = match && profileNamed(match[2]!)
  if (!profile) return null
  const made = startWatch(address, profile.name, profile.slots, openStore(join(folder!, address)), nobody)
  watches.set(address, made)
  return made
}

async function bodyOf(request: IncomingMessage): Promise<string> {
  const parts: Buffer[] = []
  for await (const part of request) parts.push(part as Buffer)
  return Buffer.concat(parts).toString('utf8')
}

function answer(response: ServerResponse, status: number, value: unknown) {
  response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(value))
}

function stream(watch: Watch, request: IncomingMessage, response: ServerResponse) {
  response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' })
  const send = () => response.write(`data: ${JSON.stringify(watch.glass())}\n\n`)
  const stop = watch.onChange(send)
  send()
  request.on('close', stop)
}

const isKey = (given: unknown) =>
  typeof given === 'string' && given.length === key.length && timingSafeEqual(Buffer.from(given), Buffer.from(key))

async function handle(request: IncomingMessage, response: ServerResponse) {
  if (!isKey(request.headers['x-standin-key'])) return answer(response, 403, { problem: 'not for you' })
  const [, address, what] = (request.url ?? '').split('/')
  const watch = watchAt(decodeURIComponent(address ?? ''))
  if (!watch) return answer(response, 404, { problem: 'no such watch' })
  const name = `${request.method} ${what}`
  if (name === 'GET glass') return answer(response, 200, watch.glass())
  if (name === 'GET events') return stream(watch, request, response)
  const body = await bodyOf(request)
  switch (name) {
    case 'POST cable':
    case 'POST radio': {
      const reply = await watch.message(what as LinkKind, body)
      if (reply === null) return void response.destroy()
      return void response.writeHead(200, { 'content-type': 'application/json' }).end(reply)
    }
    case 'PUT link-faults': {
      const { link, ...faults } = JSON.parse(body) as LinkFaults & { link: LinkKind }
      watch.setLink(link, faults)
      return answer(response, 200, watch.glass())
    }
    case 'PUT wearer':
      watch.wear(JSON.parse(body) as Wearer)
      return answer(response, 200, watch.glass())
    case 'POST button': {
      const { button, hold } = JSON.parse(body) as { button: Knob; hold: boolean }
      watch.push(button, hold)
      return answer(response, 200, watch.glass())
    }
    case 'POST choose':
      return answer(response, watch.choose((JSON.parse(body) as { slot: number }).slot) ? 200 : 409, watch.glass())
    case 'POST hand':
      return answer(response, watch.hand(JSON.parse(body) as HandAct) ? 200 : 409, watch.glass())
    default:
      return answer(response, 404, { problem: 'no such thing' })
  }
}

const server = createServer((request, response) => {
  handle(request, response).catch((error: Error) => {
    console.error('stand-in watch:', error.name)
    if (!response.headersSent) answer(response, 500, { problem: 'the watch failed' })
    else response.destroy()
  })
})
server.listen(port, '127.0.0.1', () => console.log(`stand-in watches on 127.0.0.1:${port}`))

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    for (const watch of watches.values()) watch.stop()
    process.exit(0)
  })
}
