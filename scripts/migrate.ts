import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { drizzle } from 'drizzle-orm/postgres-js'
import { migrate } from 'drizzle-orm/postgres-js/migrator'
import postgres from 'postgres'
import { refreshFacets } from '../server/services/facets'
import { openDatabase } from '../server/db/client'
import { prepareQueues } from '../server/queue/queues'
import { letIn, RoleProblem } from './plain-role.mjs'

const migrations = new URL('../server/db/migrations/', import.meta.url)
export const journal = JSON.parse(readFileSync(new URL('meta/_journal.json', migrations), 'utf8')) as { entries: { when: number }[] }

const lockKey = 4_711_2026

/** Brings a database to the newest schema; an advisory lock lets only one process do it at a time. */
export async function migrateDatabase(url: string): Promise<void> {
  const connection = postgres(url, { max: 1, onnotice: () => {} })
  try {
    await connection`select pg_advisory_lock(${lockKey})`
    await migrate(drizzle(connection), { migrationsFolder: fileURLToPath(migrations) })
    await connection`select pg_advisory_unlock(${lockKey})`
  } finally {
    await connection.end()
  }
}

/** Brings a database to this version, as its owner, and lets the plain role in that the server enters by. */
export async function prepareDatabase(ownerUrl: string, plainUrl: string): Promise<void> {
  await migrateDatabase(ownerUrl)
  const database = openDatabase(ownerUrl)
  await refreshFacets(database)
  await database.$client.end()
  await prepareQueues(ownerUrl)
  await letIn(ownerUrl, plainUrl)
}

/** Refuses a database of another version, where nobody is known who may bring it to this one. */
async function checkVersion(plainUrl: string): Promise<void> {
  const connection = postgres(plainUrl, { max: 1, onnotice: () => {} })
  const [{ count }] = (await connection`select count(*)::int as count from drizzle.__drizzle_migrations`) as unknown as [{ count: number }]
  await connection.end()
  if (count !== journal.entries.length)
    throw new RoleProblem('The database is of another version of Agonis: name its owner in DATABASE_OWNER_URL, who may migrate it.')
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { DATABASE_URL: plainUrl, DATABASE_OWNER_URL: ownerUrl } = process.env
  if (!plainUrl) throw new Error('DATABASE_URL is not set')
  try {
    await (ownerUrl ? prepareDatabase(ownerUrl, plainUrl) : checkVersion(plainUrl))
    process.exit(0)
  } catch (error) {
    console.error((error as Error).message)
    if (process.env.AGONIS_TRACE) console.error(error)
    process.exit(1)
  }
}
