/** Everything that runs: database, stand-in watches, server. Used by start, the tests and the screenshots. */
import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ended, freePort, startCluster } from './cluster.mjs'
import { addressesOf } from './plain-role.mjs'
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

/**
 * Starts the whole of it.
 *
 * @param folder where its data lies
 * @param demo loads the demo data where there is none yet
 * @param isReloading serves the sources, again at every change, instead of what is built
 * @param databaseUrl a database of one's own instead of a private cluster: the plain role's address, or the owner's
 * @param entrance how one comes in: `open`, `locked` or `home`
 * @param newToken gives the account at home another token first, and ends all devices
 * @param databaseOwnerUrl its owner's address, for migrations alone
 */
export async function startStack({
  folder,
  demo,
  port = 0,
  databaseUrl,
  databaseOwnerUrl,
  entrance = 'open',
  newToken = false,
  quiet = false,
  isReloading = false,
}) {
  const running = []
  const saying = quiet ? { say: () => {} } : {}
  const stop = async () => {
    for (const end of running.splice(0).reverse()) await end()
  }
  try {
    const cluster = databaseUrl || databaseOwnerUrl ? null : await startCluster(folder)
    if (cluster) running.push(cluster.stop)
    const { plainUrl, ownerUrl } = await addressesOf(databaseUrl, databaseOwnerUrl ?? cluster?.url)
    run('scripts/migrate.ts', { DATABASE_URL: plainUrl, DATABASE_OWNER_URL: ownerUrl ?? '' })
    if (newToken || existsSync(join(folder, 'home-token.next'))) {
      keptSecret(folder, 'home-token')
      run('scripts/change-token.ts', { DATABASE_URL: plainUrl, AGONIS_DATA: folder })
    }
    const homeToken = keptSecret(folder, 'home-token')
    const seal = keptSecret(folder, 'seal')
    const standinKey = keptSecret(folder, 'standin-key')
    const standinPort = await freePort()
    const standinUrl = `http://127.0.0.1:${standinPort}`
    const startStandin = () =>
      child(
        ['--import', './scripts/with-parent.mjs', '--import', 'tsx', 'standin/watch/main.ts'],
        { STANDIN_PORT: String(standinPort), STANDIN_FOLDER: join(folder, 'standin'), STANDIN_KEY: standinKey },
        true,
      )
    const standin = startStandin()
    running.push(keptRunning(standin, startStandin, 'The stand-in watch'))
    await untilAnswers(`${standinUrl}/`, standin, 'The stand-in watch', saying)
    const shared = {
      DATABASE_URL: plainUrl,
      DATABASE_OWNER_URL: '',
      STANDIN_URL: standinUrl,
      STANDIN_KEY: standinKey,
      AGONIS_HOME_TOKEN: homeToken,
    }
    run('scripts/load-demo.ts', { ...shared, AGONIS_DEMO: demo ? '1' : '' })
    const serverPort = await freePort(port)
    if (port && serverPort !== port) console.log(`Port ${port} is taken by another program.`)
    const own = isReloading
      ? ['node_modules/nuxt/bin/nuxt.mjs', 'dev', '--no-fork', '--host', '127.0.0.1', '--port', String(serverPort)]
      : ['.output/server/index.mjs']
    const server = child(
      ['--import', './scripts/with-parent.mjs', ...own],
      {
        ...shared,
        HOST: '127.0.0.1',
        PORT: String(serverPort),
        NITRO_HOST: '127.0.0.1',
        NITRO_PORT: String(serverPort),
        AGONIS_SEAL: seal,
        AGONIS_ENTRANCE: entrance,
        NODE_ENV: isReloading ? 'development' : 'production',
      },
      quiet,
    )
    running.push(() => ended(server))
    const address = `http://127.0.0.1:${serverPort}`
    await untilAnswers(`${address}/api/me`, server, 'The server', saying)
    return { address, databaseUrl: plainUrl, ownerUrl, homeToken, standinUrl, standinKey, server, standin, cluster, stop }
  } catch (error) {
    await stop()
    throw error
  }
}
