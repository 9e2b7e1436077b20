import { randomUUID } from 'node:crypto'
import { and, inArray, isNull, sql } from 'drizzle-orm'
import { ilse } from '../demo/athlete'
import { demoLog, demoPlan, demoWatches } from '../demo/log'
import { demoScripts } from '../demo/sessions'
import type { Session } from '../core/session/document'
import { profileNamed } from '../core/wrist/program/profile'
import type { Database, OwnerTransaction } from '../server/db/client'
import { asOwner, becomeOwner, openDatabase } from '../server/db/client'
import { watch } from '../server/db/schema'
import { accountOfToken, createAccount } from '../server/services/account'
import { saveAthlete } from '../server/services/athlete'
import { planSession } from '../server/services/plan'
import { storeRecording } from '../server/services/recording'
import { saveSession } from '../server/services/session'
import { pairStandin } from './pair-standin'

/** Makes the home account on the first start, with the demo data or a bare pair of watches: all of it in one transaction, or nothing. */
function makeHome(database: Database, token: string, demo: boolean): Promise<string> {
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
    if (demo) await fill(tx)
    return owner
  })
}

async function fill(tx: OwnerTransaction): Promise<void> {
  await saveAthlete(tx, 0, ilse)
  const kept = new Map<string, { id: string; document: Session }>()
  for (const script of demoScripts) {
    const saved = await saveSession(tx, randomUUID(), 0, script)
    kept.set(saved.title, saved)
  }
  for (const { day, title } of demoPlan) await planSession(tx, kept.get(title)!.id, day)
  const documents = new Map([...kept].map(([title, { document }]) => [title, document]))
  for (const { title, program, recording } of demoLog(ilse, documents)) {
    const sessionId = kept.get(title)!.id
    await storeRecording(tx, recording, { sessionId, program, revision: 1 })
  }
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

async function prepare(database: Database, token: string, demo: boolean): Promise<void> {
  await database.execute(sql`select pg_advisory_lock(4711)`)
  await pairOwn(database, (await accountOfToken(database, token)) ?? (await makeHome(database, token, demo)))
}

const { DATABASE_URL: url, AGONIS_HOME_TOKEN: token } = process.env
if (!url || !token) throw new Error('DATABASE_URL and AGONIS_HOME_TOKEN are needed')
await prepare(openDatabase(url), token, process.env.AGONIS_DEMO === '1')
process.exit(0)
