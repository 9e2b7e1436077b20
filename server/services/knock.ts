import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import type { Database } from '../db/client'
import { Problem } from './problem'

const windowSeconds = 900

const nameOf = (who: string) => createHash('sha256').update(who).digest('base64url')

/**
 * Counts a try to come in, over all copies of the server, and refuses the one too many.
 *
 * @param who whom the try is counted for, such as the name that is tried or the address it comes from
 * @param atMost tries in a quarter of an hour
 */
export async function knock(database: Pick<Database, 'execute'>, who: string, atMost: number): Promise<void> {
  const [row] = await database.execute<{ count: number }>(sql`select count_knock(${nameOf(who)}, ${windowSeconds}) as count`)
  if (row!.count > atMost)
    throw new Problem(429, 'That was tried too often.', 'request', 'Wait a quarter of an hour, or use a passkey or another device.')
}

/** Forgets the tries of somebody who came in. */
export async function forgetKnocks(database: Pick<Database, 'execute'>, who: string): Promise<void> {
  await database.execute(sql`select forget_knocks(${nameOf(who)})`)
}
