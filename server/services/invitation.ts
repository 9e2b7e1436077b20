import { sql } from 'drizzle-orm'
import type { Database, OwnerTransaction } from '../db/client'
import { device, invitation } from '../db/schema'
import { digestOfToken, newToken } from './account'

/** A key that lets in once and only for a while: its owner, or somebody new. */
export async function invite(tx: OwnerTransaction, lets: 'enter' | 'join', minutes: number): Promise<string> {
  const key = newToken()
  await tx.insert(invitation).values({ keyDigest: digestOfToken(key), lets, until: sql`now() + make_interval(mins => ${minutes})` })
  return key
}

/** Whom a key lets in, which is used up by it; null where it never was one, was used, or is too old. */
export async function redeem(database: Pick<Database, 'execute'>, key: string): Promise<{ owner: string; lets: 'enter' | 'join' } | null> {
  const [found] = await database.execute<{ owner: string; lets: 'enter' | 'join' }>(
    sql`select owner, lets from redeem_invitation(${digestOfToken(key)})`,
  )
  return found ? { owner: found.owner, lets: found.lets } : null
}

const nameAtMost = 80

/** Signs a device in: from now on its token lets it in, until it is ended. */
export async function addDevice(tx: OwnerTransaction, name: string): Promise<string> {
  const token = newToken()
  await tx.insert(device).values({ name: name.slice(0, nameAtMost) || 'A browser', tokenDigest: digestOfToken(token) })
  return token
}

/**
 * What a browser calls itself, in words for a list.
 *
 * @example deviceName('Mozilla/5.0 (X11; Linux x86_64) … Chrome/156.0.0.0 Safari/537.36') // 'Browser on Linux'
 */
export function deviceName(userAgent: string): string {
  const on = [
    [/Android/, 'an Android phone'],
    [/iPhone/, 'a phone'],
    [/iPad/, 'a tablet'],
    [/Windows/, 'Windows'],
    [/Macintosh|Mac OS/, 'a Mac'],
    [/Linux|X11/, 'Linux'],
  ] as const
  const found = on.find(([pattern]) => pattern.test(userAgent))
  return found ? `Browser on ${found[1]}` : 'A browser'
}
