import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import * as plan from './plan'
import * as recordings from './recordings'
import * as schema from './schema'

export type Database = ReturnType<typeof openDatabase>
/** A transaction in which only one owner's rows exist. */
export type OwnerTransaction = Parameters<Parameters<Database['transaction']>[0]>[0]

/** Runs work in a transaction that sees one owner's rows only; rolled back when it throws. */
export type Transaction = <T>(work: (tx: OwnerTransaction) => Promise<T>) => Promise<T>

/** Opens a pool on the database at `url`, which is that of the plain role wherever rows of one owner are asked for. */
export function openDatabase(url: string) {
  return drizzle(postgres(url, { max: 10, onnotice: () => {} }), { schema: { ...schema, ...plan, ...recordings } })
}

/** From here on only the owner's rows are in sight of a transaction. */
export const becomeOwner = (tx: OwnerTransaction, owner: string) => tx.execute(sql`select set_config('agonis.owner', ${owner}, true)`)

/** Runs work with one owner's rows in sight; rolled back when it throws. */
export function asOwner<T>(database: Database, owner: string, work: (tx: OwnerTransaction) => Promise<T>): Promise<T> {
  return database.transaction(async tx => {
    await becomeOwner(tx, owner)
    return work(tx)
  })
}

let shared: Database | undefined

/** Where the server enters the database, by its plain role. */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set')
  return url
}

/** The server's own pool, from `DATABASE_URL`. */
export function sharedDatabase(): Database {
  shared ??= openDatabase(databaseUrl())
  return shared
}
