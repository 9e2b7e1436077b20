/** npm run restore -- FILE: brings everything back to what a backup holds, all of it or nothing. */
import { createHash, randomBytes } from 'node:crypto'
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import postgres from 'postgres'
import { clientTool, connectionOf, databaseOf, folder, runTool } from './database-tools.mjs'
import { journal, prepareDatabase } from './migrate'
import { plainUrlOf } from './plain-role.mjs'
import { keptSecret } from './stack.mjs'

/** Why a file cannot be brought back; nothing was touched then. */
export class Refused extends Error {}

type Connection = ReturnType<typeof postgres>

const open = (url: string, name: string): Connection => {
  const other = new URL(url)
  other.pathname = `/${name}`
  return postgres(other.href, { max: 1, onnotice: () => {} })
}

/** What every backup of ours lists, whatever its version. */
const ownTables = ['TABLE public account', 'TABLE public session', 'TABLE public revision', 'TABLE DATA drizzle __drizzle_migrations']

/** Refuses what is no archive of ours before anything is touched. */
function checkArchive(file: string): void {
  let list: string
  try {
    list = runTool(clientTool('pg_restore'), ['--list', file], {})
  } catch {
    throw new Refused(`${file} is no backup that PostgreSQL can read: cut off, or of another kind.`)
  }
  if (!ownTables.every(table => list.includes(table))) throw new Refused(`${file} is a database, but none of Agonis.`)
}

/** A backup of a later version would lose what this one does not know. */
async function checkVersion(scratch: Connection): Promise<void> {
  const rows = await scratch<{ when: string }[]>`select created_at as when from drizzle.__drizzle_migrations`
  const newest = Math.max(...journal.entries.map(entry => entry.when))
  if (rows.some(row => Number(row.when) > newest)) throw new Refused('The backup is of a later version of Agonis: update first.')
}

/** The account of the one at home is entered with this folder's key from now on: a backup holds no secret. */
async function takeOver(scratch: Connection, token: string): Promise<void> {
  const digest = createHash('sha256').update(token).digest('hex')
  const [home] = await scratch<{ id: string }[]>`
    select id from account order by token_digest = ${digest} desc, name = 'home' desc, created_at limit 1`
  if (!home) throw new Refused('The backup has no account in it.')
  await scratch`update account set token_digest = ${digest} where id = ${home.id}`
}

/** What was there before stays beside what comes in its place, until the next restore. */
export const beforeName = (name: string): string => `${name}_before_restore`

async function swap(server: Connection, name: string, scratch: string): Promise<void> {
  const before = beforeName(name)
  const free = (database: string) =>
    server`select pg_terminate_backend(pid) from pg_stat_activity where datname = ${database} and pid <> pg_backend_pid()`
  await free(before)
  await server`drop database if exists ${server(before)}`
  await server.unsafe(`alter database "${name}" with allow_connections false`)
  try {
    await free(name)
    await server`alter database ${server(name)} rename to ${server(before)}`
    try {
      await server`alter database ${server(scratch)} rename to ${server(name)}`
    } catch (error) {
      await server`alter database ${server(before)} rename to ${server(name)}`
      throw error
    }
  } finally {
    const [{ kept }] = (await server`select count(*)::int as kept from pg_database where datname = ${before}`) as unknown as [
      { kept: number },
    ]
    await server.unsafe(`alter database "${kept > 0 ? before : name}" with allow_connections true`)
  }
}

/**
 * Restores a backup of this or any earlier version into the database at `url`, the owner's address: first beside it, brought to this
 * version there, and only then in its place.
 *
 * @param token the key that the account at home is entered with here
 * @throws Refused where the file is none of ours, not whole, or of a later version
 */
export async function restore(file: string, url: string, token: string): Promise<void> {
  checkArchive(file)
  const name = new URL(url).pathname.slice(1)
  const scratch = `${name}_${randomBytes(6).toString('hex')}`
  const server = open(url, 'postgres')
  const scratchUrl = Object.assign(new URL(url), { pathname: `/${scratch}` }).href
  try {
    await server`do $$ begin create role agonis_app nologin; exception when duplicate_object then null; end $$`
    await server`grant agonis_app to current_user`
    await server`create database ${server(scratch)}`
    try {
      runTool(clientTool('pg_restore'), ['--exit-on-error', '--no-owner', '--dbname', scratch, file], connectionOf(scratchUrl))
    } catch (error) {
      throw new Refused(`${file} is not whole: ${(error as Error).message}`)
    }
    const inScratch = open(url, scratch)
    try {
      await checkVersion(inScratch)
      await takeOver(inScratch, token)
    } finally {
      await inScratch.end()
    }
    await prepareDatabase(scratchUrl, plainUrlOf(scratchUrl))
    await swap(server, name, scratch)
  } finally {
    await server`select pg_terminate_backend(pid) from pg_stat_activity where datname = ${scratch}`.catch(() => {})
    await server`drop database if exists ${server(scratch)}`.catch(() => {})
    await server.end()
  }
}

const usage = `npm run restore -- FILE

Brings everything back to what FILE holds, written by npm run backup of this version or an earlier one: in the application that
runs, or in the database that DATABASE_URL names. All of it or nothing. What was there before is kept in a database of its own,
named like it with _before_restore, until the next restore. Watches are paired anew on another machine.`

async function run(file: string | undefined): Promise<number> {
  if (file === '--help' || file === '-h') {
    console.log(usage)
    return 0
  }
  if (!file || !existsSync(file)) {
    console.error(file ? `${file} is not there.` : usage)
    return 1
  }
  const database = await databaseOf({ canStart: true })
  try {
    await restore(file, database.url, keptSecret(folder, 'home-token'))
    console.log(
      `Everything is as it was in ${file}. What was there before is kept in ${beforeName(new URL(database.url).pathname.slice(1))}.`,
    )
    return 0
  } catch (error) {
    console.error(`${(error as Error).message} Nothing was touched.`)
    return 1
  } finally {
    await database.close()
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) process.exit(await run(process.argv[2]))
