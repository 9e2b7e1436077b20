import { randomUUID } from 'node:crypto'
import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import { ilse } from '../demo/athlete'
import { athleteAround, raceDay, weeksDone } from '../demo/around'
import { demoLog, demoWatches, doneBefore, plannedAround } from '../demo/log'
import { demoDoubtful, demoScripts } from '../demo/sessions'
import { dayInZone, daysFrom } from '../core/quantity/day'
import type { Session } from '../core/session/document'
import { profileNamed } from '../core/wrist/program/profile'
import type { Database, OwnerTransaction } from '../server/db/client'
import { asOwner, becomeOwner, openDatabase } from '../server/db/client'
import { demoDay } from '../server/db/plan'
import { session, watch } from '../server/db/schema'
import { accountOfToken, createAccount } from '../server/services/account'
import { saveAthlete } from '../server/services/athlete'
import { planSession } from '../server/services/plan'
import { storeRecording } from '../server/services/recording'
import { saveSession } from '../server/services/session'
import { spanOf } from '../server/services/span'
import { atStandin } from '../server/services/standin'
import { tend } from '../server/services/tend'
import { startTransfer } from '../server/services/transfer'
import { pairStandin } from './pair-standin'

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
    if (day) await fill(tx, day)
    return owner
  })
}

/** Sends a session to a watch and waits until it is there. */
async function send(database: Database, owner: string, watchId: string, sessionId: string, day: string): Promise<number> {
  const { slot } = await startTransfer(database, owner, { watchId, sessionId, day })
  while ((await tend(database, owner, watchId)) === 'more');
  return slot
}

/** On the watch: today's session, and the last one that was carried out, whose recording has not come home. */
async function fillWatch(database: Database, owner: string, day: string): Promise<void> {
  const last = doneBefore(day).at(-1)!
  const due = plannedAround(day).find(entry => entry.day === day)
  const { watchId, address, ids } = await asOwner(database, owner, async tx => {
    const [kept] = await tx.select({ id: watch.id, address: watch.address }).from(watch).where(eq(watch.name, demoWatches[0].name))
    const shelf = await tx.select({ id: session.id, title: session.title }).from(session)
    return { watchId: kept!.id, address: kept!.address, ids: new Map(shelf.map(row => [row.title, row.id])) }
  })
  const slot = await send(database, owner, watchId, ids.get(last.title)!, last.day)
  const act = { do: 'carry-out', slot, startedAt: `${last.day}T${last.at}:00.000Z`, athlete: athleteAround(day) }
  await atStandin(address, 'POST', 'hand', act)
  if (due) await send(database, owner, watchId, ids.get(due.title)!, day)
}

async function fill(tx: OwnerTransaction, day: string): Promise<void> {
  const athlete = athleteAround(day)
  await saveAthlete(tx, 0, athlete)
  const kept = new Map<string, { id: string; document: Session }>()
  for (const script of [...demoScripts, demoDoubtful]) {
    const saved = await saveSession(tx, randomUUID(), 0, script)
    kept.set(saved.title, saved)
  }
  for (const planned of plannedAround(day)) await planSession(tx, kept.get(planned.title)!.id, planned.day)
  const documents = new Map([...kept].map(([title, { document }]) => [title, document]))
  const done = [...demoLog(athlete, documents, day)]
  for (const { title, program, recording } of done.slice(0, -1))
    await storeRecording(tx, recording, { sessionId: kept.get(title)!.id, program, revision: 1 })
  await tx.insert(demoDay).values({ day })
  /** Weighed now, so that the first look at the weeks does not wait for it. */
  await spanOf(tx, daysFrom(day, -7 * (weeksDone + 1)), raceDay(day))
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
  if (!known && day) await fillWatch(database, owner, day)
}

const { DATABASE_URL: url, AGONIS_HOME_TOKEN: token, AGONIS_DEMO: isDemo, AGONIS_DEMO_DAY: pinned } = process.env
if (!url || !token) throw new Error('DATABASE_URL and AGONIS_HOME_TOKEN are needed')
const today = dayInZone(new Date(), ilse.timeZone!)
await prepare(openDatabase(url), token, isDemo === '1' ? (pinned ?? today) : null)
process.exit(0)
