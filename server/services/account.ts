import { createHash, randomBytes } from 'node:crypto'
import { sql } from 'drizzle-orm'
import type { Database, OwnerTransaction } from '../db/client'

type Asking = Pick<Database, 'execute'>

/** What is kept of a token or a key: who reads the database cannot enter by it. */
export const digestOfToken = (token: string) => createHash('sha256').update(token).digest('hex')
export const newToken = () => randomBytes(32).toString('base64url')

/** Whom a token lets in, and the device that it was given to; null for the account's own token. */
export interface Entrance {
  owner: string
  device: string | null
}

/** Whom a token names; null where it names nobody. */
export async function entranceOfToken(database: Asking, token: string): Promise<Entrance | null> {
  const [found] = await database.execute<{ owner: string; device: string | null }>(
    sql`select owner, device from entrance_of_token(${digestOfToken(token)})`,
  )
  return found ? { owner: found.owner, device: found.device } : null
}

/** The account a token names, or null. */
export const accountOfToken = async (database: Asking, token: string): Promise<string | null> =>
  (await entranceOfToken(database, token))?.owner ?? null

export async function createAccount(database: Asking, name: string, token: string): Promise<string> {
  const [made] = await database.execute<{ id: string }>(sql`select open_account(${name}, ${digestOfToken(token)}) as id`)
  return made!.id
}

/** From here on another token names the account, and the one before names nobody. */
export async function changeToken(tx: OwnerTransaction, token: string): Promise<void> {
  await tx.execute(sql`select change_token(${digestOfToken(token)})`)
}

/** Erases the account with everything that it owns. */
export async function eraseAccount(tx: OwnerTransaction): Promise<void> {
  await tx.execute(sql`select erase_account()`)
}
