/** npm start: installs what is missing, starts everything on loopback, prints the address, ends all of it on Ctrl+C. */
import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureBuild, ensureCommandLine, ensurePackages } from './prepare.mjs'

const [major, minor] = process.versions.node.split('.').map(Number)
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Node ${process.versions.node} is too old; 20.19 or newer is needed.`)
  process.exit(1)
}

const has = flag => process.argv.includes(flag)
const entrance = has('--home') ? 'home' : has('--locked') ? 'locked' : 'open'
const isLoopback = address => ['127.0.0.1', 'localhost', '::1'].includes(address)
const host = process.env.HOST ?? (entrance === 'home' ? '0.0.0.0' : '127.0.0.1')
if (entrance !== 'home' && !isLoopback(host)) {
  console.error(`Agonis serves this machine only. Binding to ${host} needs TLS and accounts: npm start -- --home has both.`)
  process.exit(1)
}

const folder = process.env.AGONIS_DATA ?? join(fileURLToPath(new URL('..', import.meta.url)), '.data')
let stack = null
let ending = false
async function end(code) {
  if (ending) return
  ending = true
  await stack?.stop()
  rmSync(join(folder, 'running.json'), { force: true })
  process.exit(code)
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0))

/** Where the application of this folder runs already; null where it does not, also where a start that was killed left its note. */
function runningHere() {
  const file = join(folder, 'running.json')
  if (!existsSync(file)) return null
  const { address, pid } = JSON.parse(readFileSync(file, 'utf8'))
  const command = `/proc/${pid}/cmdline`
  return existsSync(command) && readFileSync(command, 'utf8').includes('start.mjs') ? address : null
}

/** Made by a program of its own, since the database's client is TypeScript of the server. */
function oneTimeAddress() {
  const script = fileURLToPath(new URL('one-time-key.ts', import.meta.url))
  return execFileSync(process.execPath, ['--import', 'tsx', script], { env: { ...process.env, AGONIS_DATA: folder } })
    .toString()
    .trim()
}

const elsewhere = runningHere()
if (elsewhere) {
  console.log(`Agonis runs in this folder already: it is at ${elsewhere}`)
  process.exit(0)
}

try {
  ensurePackages()
  ensureBuild()
  await ensureCommandLine()
  const { startStack } = await import('./stack.mjs')
  const databaseUrl = process.env.DATABASE_URL || undefined
  const databaseOwnerUrl = process.env.DATABASE_OWNER_URL || undefined
  const demo = databaseUrl || databaseOwnerUrl ? has('--demo') : !has('--no-demo')
  const newToken = has('--new-token')
  const hostName = process.argv.find(word => word.startsWith('--name='))?.slice('--name='.length)
  const port = Number(process.env.PORT ?? 4170)
  stack = await startStack({
    folder,
    demo,
    databaseUrl,
    databaseOwnerUrl,
    port,
    entrance,
    newToken,
    hostName,
    bind: isLoopback(host) ? '127.0.0.1' : host,
    quiet: true,
  })
  if (ending) await stack.stop()
  writeFileSync(
    join(folder, 'running.json'),
    JSON.stringify({ databaseUrl: stack.ownerUrl, plainUrl: stack.databaseUrl, address: stack.address, pid: process.pid }),
    { mode: 0o600 },
  )
  console.log(`Agonis is at ${stack.address}   (Ctrl+C ends it)`)
  if (entrance === 'locked') console.log(`It is locked. This opens it once, within half an hour: ${oneTimeAddress()}\nAnother: npm run key`)
  if (stack.home) {
    console.log(`It serves the home network. Each phone trusts it first: ${stack.home.trustAt}`)
    console.log(`SHA-256 of its certificate: ${stack.home.fingerprint}`)
    console.log(`The first time, this lets you in, once, within half an hour: ${oneTimeAddress()}`)
    console.log('Then set a passphrase under Me. Another such address: npm run key')
  }
  const gone = what => () => {
    if (!ending) console.error(`${what} stopped, and everything with it. Start again with npm start: what was kept is there.`)
    void end(1)
  }
  stack.server.once('exit', gone('The server'))
  stack.cluster?.child.once('exit', gone('The database'))
} catch (error) {
  console.error(`Agonis did not start: ${error.message}`)
  if (process.env.AGONIS_TRACE) console.error(error)
  await end(1)
}
