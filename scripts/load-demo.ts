import { randomUUID } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { ilse } from '../demo/athlete'
import { demoLog, demoPlan, demoWatches } from '../demo/log'
import { demoScripts } from '../demo/sessions'
import type { Session } from '../core/session/document'
import { profileNamed } from '../core/wrist/program/profile'
import type { Database } from '../server/db/client'
import { asOwner, openDatabase } from '../server/db/client'
import { watch } from '../server/db/schema'
import { accountOfToken, createAccount } from '../server/services/account'
import { saveAthlete } from '../server/services/athlete'
import { planSession } from '../server/services/plan'
import { storeRecording } from '../server/services/recording'
import { saveSession } from '../server/services/session'
import { pairStandin } from './pair-standin'

/** Makes the home account on the first start, and gives it the demo data or a bare pair of watches. */
async function prepare(database: Database, token: string, demo: boolean): Promise<void> {
  await database.execute(sql`select pg_advisory_lock(4711)`)
  if (await accountOfToken(database, token)) return
  const owner = await createAccount(database, 'home', token)
  const suffix = owner.slice(0, 8)
  const watches: string[] = []
  await asOwner(database, owner, async tx => {
    for (const { name, profile, address, link } of demoWatches) {
      const [made] = await tx
        .insert(watch)
        .values({ name, address: address.replace('.', `-${suffix}.`), profile: profileNamed(profile)!, link })
        .returning({ id: watch.id })
      watches.push(made!.id)
    }
    if (!demo) return
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
  })
  for (const id of watches) await pairStandin(database, owner, id)
}

const { DATABASE_URL: url, AGONIS_HOME_TOKEN: token } = process.env
if (!url || !token) throw new Error('DATABASE_URL and AGONIS_HOME_TOKEN are needed')
await prepare(openDatabase(url), token, process.env.AGONIS_DEMO === '1')
process.exit(0)
