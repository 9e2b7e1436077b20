import { randomUUID } from 'node:crypto'
import { eq } from 'drizzle-orm'
import { athleteAround, raceDay, weeksDone } from '../../demo/around'
import { demoLog, demoWatches, doneBefore, plannedAround } from '../../demo/log'
import { demoDoubtful, demoScripts } from '../../demo/sessions'
import { daysFrom } from '../../core/quantity/day'
import type { Session } from '../../core/session/document'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { demoDay } from '../db/plan'
import { session, watch } from '../db/schema'
import { currentAthlete, saveAthlete } from './athlete'
import { planSession } from './plan'
import { storeRecording } from './recording'
import { saveSession } from './session'
import { spanOf } from './span'
import { atStandin } from './standin'
import { tend } from './tend'
import { startTransfer } from './transfer'

/** Sends a session to a watch and waits until it is there. */
async function send(database: Database, owner: string, watchId: string, sessionId: string, day: string): Promise<number> {
  const { slot } = await startTransfer(database, owner, { watchId, sessionId, day })
  while ((await tend(database, owner, watchId)) === 'more');
  return slot
}

/** On the demo's watch: today's session, and the last one that was carried out, whose recording has not come home. */
export async function fillDemoWatch(database: Database, owner: string, day: string): Promise<void> {
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

/** Puts the demo data into an account that has nothing yet, laid out around a day. */
export async function fillDemo(tx: OwnerTransaction, day: string): Promise<void> {
  const athlete = athleteAround(day)
  await saveAthlete(tx, (await currentAthlete(tx)).number, athlete)
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
