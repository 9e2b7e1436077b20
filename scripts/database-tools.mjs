/** PostgreSQL's own tools on the database of the application. The password goes by the environment, never by the command line. */
import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Where the data lies. */
export const folder = process.env.AGONIS_DATA ?? fileURLToPath(new URL('../.data', import.meta.url))

/** A connection as PostgreSQL's tools take it from the environment. */
export function connectionOf(url) {
  const { hostname, port, username, password, pathname } = new URL(url)
  return {
    PGHOST: hostname,
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: pathname.slice(1),
  }
}

async function answers(url) {
  const { default: postgres } = await import('postgres')
  const connection = postgres(url, { max: 1, connect_timeout: 3, onnotice: () => {} })
  return connection`select 1`.then(
    () => connection.end().then(() => true),
    () => false,
  )
}

/**
 * The database of the application, by its owner's address: that of `DATABASE_OWNER_URL` or `DATABASE_URL`, else of the application
 * that runs, else of the folder's own cluster, which is started for as long as it is needed.
 *
 * @returns `{ url, connection, close }`
 */
export async function databaseOf({ canStart }) {
  const own = process.env.DATABASE_OWNER_URL || process.env.DATABASE_URL
  const file = join(folder, 'running.json')
  const running = !own && existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')).databaseUrl : undefined
  const url = own || (running && (await answers(running)) ? running : undefined)
  if (url) return { url, connection: connectionOf(url), close: async () => {} }
  if (!canStart) throw new Error('The application is not running: start it with npm start first, or set DATABASE_URL.')
  const { startCluster } = await import('./cluster.mjs')
  const cluster = await startCluster(folder)
  return { url: cluster.url, connection: connectionOf(cluster.url), close: cluster.stop }
}

/** The newest of an installed tool. */
export function clientTool(name) {
  const base = '/usr/lib/postgresql'
  const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : []
  return versions.map(version => join(base, version, 'bin', name)).find(existsSync) ?? name
}

/** Runs a tool; what it says on its way stays out of sight unless it fails. */
export function runTool(tool, args, connection) {
  try {
    return execFileSync(tool, args, {
      env: { ...process.env, ...connection },
      stdio: ['ignore', 'pipe', 'pipe'],
      maxBuffer: 1e8,
    }).toString()
  } catch (error) {
    const said = String(error.stderr ?? '')
      .trim()
      .split('\n')[0]
    throw new Error(`${tool.split('/').at(-1)} failed${said ? `: ${said}` : '.'}`, { cause: error })
  }
}
