import { and, inArray, isNull, sql } from 'drizzle-orm'
import { ilse } from '../demo/athlete'
import { demoWatches } from '../demo/log'
import { dayInZone } from '../core/quantity/day'
import { profileNamed } from '../core/wrist/program/profile'
import type { Database } from '../server/db/client'
import { asOwner, becomeOwner, openDatabase } from '../server/db/client'
import { watch } from '../server/db/schema'
import { accountOfToken, createAccount } from '../server/services/account'
import { pairStandin } from './pair-standin'
import { fillDemo, fillDemoWatch } from '../server/services/demo-fill'

/**
 * Makes the home account on the first start, with a bare pair of watches or the demo data: all of it in one transaction, or nothing.
 *
 * @param day the day that the demo is laid out around; null for none
 */
function makeHome(database: Database, token: string, day: string | null): Promise<string> {
  return database.transaction(async tx => {
    const owner = await createAccount(tx, 'home', token)
    await becomeOwner(tx, owner)
    await tx
      .insert(watch)
      .values(
        demoWatches.map(({ name, profile, address, link }) => ({
          name,
          address: address.replace('.', `-${owner.slice(0, 8)}.`),
          profile: profileNamed(profile)!,
          link,
        })),
      )
    if (day) await fillDemo(tx, day)
    return owner
  })
}

/** Pairs the stand-in watches that are not paired yet, also those that a start which was killed left so. */
async function pairOwn(database: Database, owner: string): Promise<void> {
  const own = demoWatches.map(({ address }) => address.replace('.', `-${owner.slice(0, 8)}.`))
  const unpaired = await asOwner(database, owner, tx =>
    tx
      .select({ id: watch.id })
      .from(watch)
      .where(and(isNull(watch.key), inArray(watch.address, own))),
  )
  for (const { id } of unpaired) await pairStandin(database, owner, id)
}

async function prepare(database: Database, token: string, day: string | null): Promise<void> {
  await database.execute(sql`select pg_advisory_lock(4711)`)
  const known = await accountOfToken(database, token)
  const owner = known ?? (await makeHome(database, token, day))
  await pairOwn(database, owner)
  if (!known && day) await fillDemoWatch(database, owner, day)
}

const { DATABASE_URL: url, AGONIS_HOME_TOKEN: token, AGONIS_DEMO: isDemo, AGONIS_DEMO_DAY: pinned } = process.env
if (!url || !token) throw new Error('DATABASE_URL and AGONIS_HOME_TOKEN are needed')
const today = dayInZone(new Date(), ilse.timeZone!)
await prepare(openDatabase(url), token, isDemo === '1' ? (pinned ?? today) : null)
process.exit(0)
