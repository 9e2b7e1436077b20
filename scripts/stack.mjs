/** Everything that runs: database, stand-in watches, server. Used by start, the tests and the screenshots. */
import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ended, freePort, startCluster } from './cluster.mjs'
import { certificateFor, namesOf } from './authority.mjs'
import { addressesOf } from './plain-role.mjs'
import { startTrustPage } from './trust-page.mjs'
import { untilAnswers } from './until-answers.mjs'

export const root = fileURLToPath(new URL('..', import.meta.url))

/** A secret kept in the data folder, made on first use. */
export function keptSecret(folder, name) {
  const file = join(folder, name)
  mkdirSync(folder, { recursive: true })
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 })
  return readFileSync(file, 'utf8')
}

function run(script, env) {
  const result = spawnSync(process.execPath, ['--import', 'tsx', script], {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'inherit', 'inherit'],
  })
  if (result.status !== 0) throw new Error(`${script} failed.`)
}

function child(args, env, quiet) {
  return spawn(process.execPath, args, {
    cwd: root,
    detached: true,
    env: { ...process.env, ...env, AGONIS_PARENT: String(process.pid) },
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
  })
}

/**
 * Starts a program again whenever it dies by itself, and says so.
 *
 * @returns ends it for good
 */
function keptRunning(first, start, what) {
  let current = first
  let isEnding = false
  const watchOver = () =>
    current.once('exit', () => {
      if (isEnding) return
      console.error(`${what} stopped; it is started again.`)
      current = start()
      watchOver()
    })
  watchOver()
  return () => {
    isEnding = true
    return ended(current)
  }
}

/** Brings the database to this version, and gives the account at home another token where that is asked or was begun. */
async function prepareDatabase({ folder, cluster, databaseUrl, databaseOwnerUrl, newToken }) {
  const { plainUrl, ownerUrl } = await addressesOf(databaseUrl, databaseOwnerUrl ?? cluster?.url)
  run('scripts/migrate.ts', { DATABASE_URL: plainUrl, DATABASE_OWNER_URL: ownerUrl ?? '' })
  const homeToken = () => keptSecret(folder, 'home-token')
  if (homeToken() && (newToken || existsSync(join(folder, 'home-token.next'))))
    run('scripts/change-token.ts', { DATABASE_URL: plainUrl, AGONIS_DATA: folder })
  return { plainUrl, ownerUrl, homeToken: homeToken() }
}

/** Starts the stand-in watches, again whenever they die. */
async function startStandin(folder, saying) {
  const standinKey = keptSecret(folder, 'standin-key')
  const port = await freePort()
  const standinUrl = `http://127.0.0.1:${port}`
  const start = () =>
    child(
      ['--import', './scripts/with-parent.mjs', '--import', 'tsx', 'standin/watch/main.ts'],
      { STANDIN_PORT: String(port), STANDIN_FOLDER: join(folder, 'standin'), STANDIN_KEY: standinKey },
      true,
    )
  const standin = start()
  const stop = keptRunning(standin, start, 'The stand-in watch')
  await untilAnswers(`${standinUrl}/`, standin, 'The stand-in watch', saying)
  return { standin, standinUrl, standinKey, stop }
}

/**
 * Starts one copy of the server; several run on one database.
 *
 * @param home over the home network: `{ bind, reachedAt, names, authority, cert, key }`; null on this machine alone
 */
async function startServer(env, { port, quiet, isReloading, saying, home }) {
  const found = await freePort(port)
  if (port && found !== port) console.log(`Port ${port} is taken by another program.`)
  const own = isReloading
    ? ['node_modules/nuxt/bin/nuxt.mjs', 'dev', '--no-fork', '--host', '127.0.0.1', '--port', String(found)]
    : ['.output/server/index.mjs']
  const host = home?.bind ?? '127.0.0.1'
  const place = { HOST: host, PORT: String(found), NITRO_HOST: host, NITRO_PORT: String(found) }
  const address = home ? `https://${home.reachedAt}:${found}` : `http://127.0.0.1:${found}`
  const asHome = home
    ? {
        NITRO_SSL_CERT: home.cert,
        NITRO_SSL_KEY: home.key,
        AGONIS_HOSTS: home.names.join(','),
        AGONIS_REACHED_AT: address,
        AGONIS_TRUST_AT: home.trustAt,
        AGONIS_FINGERPRINT: home.fingerprint,
      }
    : {}
  const server = child(
    ['--import', './scripts/with-parent.mjs', ...own],
    { ...place, ...asHome, NODE_ENV: isReloading ? 'development' : 'production', ...env },
    quiet,
  )
  const stop = () => ended(server)
  const near = home ? `https://localhost:${found}` : address
  try {
    await untilAnswers(`${near}/api/entrance`, server, 'The server', { ...saying, ca: home?.authority })
  } catch (error) {
    await stop()
    throw error
  }
  return { server, address, stop }
}

/** What the home network needs beside the server: a certificate, and the page where a phone comes to trust it. */
async function prepareHome({ folder, hostName, bind = '0.0.0.0', port = 0 }) {
  const { names, reachedAt } = namesOf(hostName, bind === '127.0.0.1')
  const { authority, cert, key, fingerprint } = await certificateFor(join(folder, 'home'), names)
  const trustPort = await freePort(port && port + 1)
  const trust = await startTrustPage({ host: bind, port: trustPort, address: `https://${reachedAt}:${port}`, authority, fingerprint })
  return { bind, names, reachedAt, authority, cert, key, fingerprint, trustAt: `http://${reachedAt}:${trust.port}`, stop: trust.stop }
}

/**
 * Starts the whole of it.
 *
 * @param folder where its data lies
 * @param demo loads the demo data where there is none yet
 * @param isReloading serves the sources, again at every change, instead of what is built
 * @param databaseUrl a database of one's own instead of a private cluster: the plain role's address, or the owner's
 * @param entrance how one comes in: `open`, `locked` or `home`
 * @param hostName a name that the server is reached by over the home network
 * @param bind the address to listen at there
 * @param newToken gives the account at home another token first, and ends all devices
 * @param databaseOwnerUrl its owner's address, for migrations alone
 */
export async function startStack(options) {
  const { folder, demo, port = 0, databaseUrl, databaseOwnerUrl, entrance = 'open', quiet = false, isReloading = false } = options
  const running = []
  const saying = quiet ? { say: () => {} } : {}
  const stop = async () => {
    for (const end of running.splice(0).reverse()) await end()
  }
  try {
    const cluster = databaseUrl || databaseOwnerUrl ? null : await startCluster(folder)
    if (cluster) running.push(cluster.stop)
    const { plainUrl, ownerUrl, homeToken } = await prepareDatabase({ ...options, cluster })
    const { standin, standinUrl, standinKey, stop: stopStandin } = await startStandin(folder, saying)
    running.push(stopStandin)
    const shared = {
      DATABASE_URL: plainUrl,
      DATABASE_OWNER_URL: '',
      STANDIN_URL: standinUrl,
      STANDIN_KEY: standinKey,
      AGONIS_HOME_TOKEN: homeToken,
    }
    run('scripts/load-demo.ts', { ...shared, AGONIS_DEMO: demo ? '1' : '' })
    const env = { ...shared, AGONIS_SEAL: process.env.AGONIS_SEAL || keptSecret(folder, 'seal'), AGONIS_ENTRANCE: entrance }
    const serverPort = entrance === 'home' ? await freePort(port) : port
    const home = entrance === 'home' ? await prepareHome({ ...options, port: serverPort }) : null
    if (home) running.push(home.stop)
    /** One more copy on the same database. */
    const another = async () => {
      const copy = await startServer(env, { port: 0, quiet, isReloading, saying, home })
      running.push(copy.stop)
      return copy
    }
    const { server, address, stop: stopServer } = await startServer(env, { port: serverPort, quiet, isReloading, saying, home })
    running.push(stopServer)
    return { address, databaseUrl: plainUrl, ownerUrl, homeToken, standinUrl, standinKey, server, standin, cluster, home, another, stop }
  } catch (error) {
    await stop()
    throw error
  }
}
