import { fileURLToPath } from 'node:url'
import { drizzle } from 'drizzle-orm/postgres-js'
import { migrate } from 'drizzle-orm/postgres-js/migrator'
import postgres from 'postgres'
import { refreshFacets } from '../server/services/facets'
import { openDatabase } from '../server/db/client'

const lockKey = 4_711_2026

/** Brings a database to the newest schema; an advisory lock lets only one process do it at a time. */
export async function migrateDatabase(url: string): Promise<void> {
  const connection = postgres(url, { max: 1, onnotice: () => {} })
  try {
    await connection`select pg_advisory_lock(${lockKey})`
    await migrate(drizzle(connection), { migrationsFolder: fileURLToPath(new URL('../server/db/migrations', import.meta.url)) })
    await connection`select pg_advisory_unlock(${lockKey})`
  } finally {
    await connection.end()
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set')
  await migrateDatabase(url)
  await refreshFacets(openDatabase(url))
  process.exit(0)
}
