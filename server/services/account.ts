import { createHash, randomBytes } from 'node:crypto'
import { sql } from 'drizzle-orm'
import type { Database, OwnerTransaction } from '../db/client'

const digestOfToken = (token: string) => createHash('sha256').update(token).digest('hex')
export const newToken = () => randomBytes(32).toString('base64url')

/** The account a token names, or null. */
export async function accountOfToken(database: Pick<Database, 'execute'>, token: string): Promise<string | null> {
  const [found] = await database.execute<{ id: string | null }>(sql`select account_of_token(${digestOfToken(token)}) as id`)
  return found!.id
}

export async function createAccount(database: Pick<Database, 'execute'>, name: string, token: string): Promise<string> {
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
