/** PostgreSQL's own tools on the running cluster. The password goes by the environment, never by the command line. */
import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const folder = process.env.AGONIS_DATA ?? fileURLToPath(new URL('../.data', import.meta.url))

/** Where the running database is: `DATABASE_URL`, or the private cluster that npm start wrote down. */
export async function connectionOf() {
  const file = join(folder, 'running.json')
  const url = process.env.DATABASE_URL ?? (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')).databaseUrl : undefined)
  if (!url) {
    console.error('The application is not running: start it with npm start first, or set DATABASE_URL.')
    process.exit(1)
  }
  const { hostname, port, username, password, pathname } = new URL(url)
  return {
    PGHOST: hostname,
    PGPORT: port,
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: pathname.slice(1),
  }
}

/** The newest of an installed tool. */
export function clientTool(name) {
  const base = '/usr/lib/postgresql'
  const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : []
  return versions.map(version => join(base, version, 'bin', name)).find(existsSync) ?? name
}

export function runTool(tool, args, connection) {
  try {
    execFileSync(tool, args, { env: { ...process.env, ...connection }, stdio: ['ignore', 'inherit', 'inherit'] })
  } catch (error) {
    console.error(`${tool} failed${error.status ? ` with ${error.status}` : ''}.`)
    process.exit(1)
  }
}
