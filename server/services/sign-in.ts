import { getHeader, getRequestIP } from 'h3'
import type { H3Event } from 'h3'
import { sql } from 'drizzle-orm'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner, becomeOwner } from '../db/client'
import { account } from '../db/schema'
import { createAccount, newToken } from './account'
import { letInBy } from './entrance'
import { addDevice, deviceName, redeem } from './invitation'
import { forgetKnocks, knock } from './knock'
import { isPassphrase, sealPassphrase } from './passphrase'
import { databaseFaultOf } from '../log/loggable'
import { Problem } from './problem'

const triesOfName = 10
const triesOfAddress = 50

/** Names are told apart without regard to case and accents that look alike. */
const plainName = (name: string) => name.trim().normalize('NFKC').toLowerCase()

/** Makes the browser that asks a device of the owner whom a transaction sees, and lets it in. */
async function letInAsDevice(event: H3Event, tx: OwnerTransaction): Promise<void> {
  await letInBy(event, await addDevice(tx, deviceName(getHeader(event, 'user-agent') ?? '')))
}

/** Lets the browser that asks in, as a device of its own that can be ended. */
export const letDeviceIn = (event: H3Event, database: Database, owner: string): Promise<void> =>
  asOwner(database, owner, tx => letInAsDevice(event, tx))

/** Counts a try from where it comes; a guesser of many names is slowed down too. */
export const knockFromAddress = (event: H3Event, database: Database) =>
  knock(database, `address ${getRequestIP(event) ?? 'unknown'}`, triesOfAddress)

/** A passphrase that nobody has, so that a name that is not there takes as long to refuse as one that is. */
let nobodys: Promise<string> | undefined

/** Signs in by name and passphrase. Which of the two was wrong is not said. */
export async function signIn(event: H3Event, database: Database, name: string, passphrase: string): Promise<void> {
  const who = plainName(name)
  await knockFromAddress(event, database)
  await knock(database, `name ${who}`, triesOfName)
  const [found] = await database.execute<{ owner: string; passphrase: string }>(sql`select owner, passphrase from sign_in_of(${who})`)
  const kept = found?.passphrase ?? (await (nobodys ??= sealPassphrase(newToken())))
  if (!(await isPassphrase(passphrase, kept)) || !found)
    throw new Problem(
      401,
      'That is not the name and passphrase of anybody here.',
      'body',
      'Try again, or have a device that is signed in let this one in.',
    )
  await forgetKnocks(database, `name ${who}`)
  await letDeviceIn(event, database, found.owner)
}

/** By which name the athlete signs in; null where that is not set up yet. */
export async function signInName(tx: OwnerTransaction): Promise<string | null> {
  const [row] = await tx.select({ name: account.signInName }).from(account)
  return row?.name ?? null
}

/** Sets the name and the passphrase that the athlete signs in by. */
export async function setSignIn(tx: OwnerTransaction, name: string, passphrase: string): Promise<void> {
  try {
    await tx.execute(sql`select set_sign_in(${plainName(name)}, ${await sealPassphrase(passphrase)})`)
  } catch (error) {
    if (databaseFaultOf(error)?.code === '23505')
      throw new Problem(409, 'Somebody here signs in by this name.', 'body.name', 'Choose another one.')
    throw error
  }
}

/**
 * Lets somebody in by the key of an invitation: the owner's own device, or a new athlete with an account of their own.
 *
 * @param asked the name and passphrase of somebody new
 */
export async function joinBy(
  event: H3Event,
  database: Database,
  key: string,
  asked: { name?: string | undefined; passphrase?: string | undefined },
): Promise<'entered' | 'joined'> {
  await knockFromAddress(event, database)
  return database.transaction(async tx => {
    const invited = await redeem(tx, key)
    if (!invited) throw new Problem(403, 'That key has let somebody in already, or is too old.', 'body.key', 'Have another one made.')
    if (invited.lets === 'enter') {
      await letDeviceIn(event, database, invited.owner)
      return 'entered'
    }
    const { name, passphrase } = asked
    if (!name || !passphrase) throw new Problem(422, 'A new athlete needs a name and a passphrase.', 'body', 'Choose both.')
    const owner = await createAccount(tx, name, newToken())
    await becomeOwner(tx, owner)
    await setSignIn(tx, name, passphrase)
    await letInAsDevice(event, tx)
    return 'joined'
  })
}
