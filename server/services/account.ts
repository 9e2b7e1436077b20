import { createHash, randomBytes } from 'node:crypto'
import { eq } from 'drizzle-orm'
import type { Database } from '../db/client'
import { account } from '../db/schema'

const digestOfToken = (token: string) => createHash('sha256').update(token).digest('hex')
export const newToken = () => randomBytes(32).toString('base64url')

/** The account a token names, or null. */
export async function accountOfToken(database: Database, token: string): Promise<string | null> {
  const [found] = await database
    .select({ id: account.id })
    .from(account)
    .where(eq(account.tokenDigest, digestOfToken(token)))
  return found?.id ?? null
}

export async function createAccount(database: Pick<Database, 'insert'>, name: string, token: string): Promise<string> {
  const [made] = await database
    .insert(account)
    .values({ name, tokenDigest: digestOfToken(token) })
    .returning({ id: account.id })
  return made!.id
}
