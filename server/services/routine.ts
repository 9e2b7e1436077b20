import { eq, sql } from 'drizzle-orm'
import type { Standpoint } from '../../core/athlete/standpoint'
import { clearingActs, nextClearing, nextPush, pushAhead } from '../../core/wrist/link/routine'
import type { PushAct } from '../../core/wrist/link/schools'
import type { SlotState } from '../../core/wrist/link/protocol'
import type { PushAhead, PushRoutine, RefusedPush } from '../../shared/plan'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { pushRoutine } from '../db/plan'
import { holding, program, watch } from '../db/schema'
import { enqueue } from '../queue/boss'
import { currentStandpoint } from './athlete'
import { atWatch } from './lease'
import { Problem } from './problem'
import { askPush, doActs, dryRun } from './push'
import { lookAt, ofProgram } from './slots'
import { loadWatch } from './watch'

/** A watch that was out of reach is tried again after so many minutes, until it is near. */
const tryAgainMinutes = 10

const routineRow = (row: typeof pushRoutine.$inferSelect | undefined): PushRoutine => ({
  hour: row?.hour ?? null,
  pushAt: row?.pushAt?.toISOString() ?? null,
  clearAt: row?.clearAt?.toISOString() ?? null,
  triedAt: row?.triedAt?.toISOString() ?? null,
  refused: row?.refused ?? [],
})

async function loadRow(tx: OwnerTransaction, watchId: string) {
  const [row] = await tx.select().from(pushRoutine).where(eq(pushRoutine.watchId, watchId))
  return row
}

/** What is done by itself at a watch. */
export async function routineOf(tx: OwnerTransaction, watchId: string): Promise<PushRoutine> {
  await loadWatch(tx, watchId)
  return routineRow(await loadRow(tx, watchId))
}

/** When the athlete's ways let something be done by itself next. */
function timesFor({ athlete, zone }: Standpoint, hour: number | null, now: Date): { pushAt: Date | null; clearAt: Date | null } {
  const { naming = 'telling', pushing = 'week' } = athlete.schools ?? {}
  return {
    pushAt: hour === null || pushing === 'hand' ? null : nextPush(now, hour, zone),
    clearAt: naming === 'weekday' ? nextClearing(now, athlete.weekStart ?? 1, zone) : null,
  }
}

async function keepRow(tx: OwnerTransaction, watchId: string, values: Partial<typeof pushRoutine.$inferInsert>): Promise<void> {
  await tx
    .insert(pushRoutine)
    .values({ watchId, ...values })
    .onConflictDoUpdate({ target: [pushRoutine.ownerId, pushRoutine.watchId], set: values })
}

/** Sets the hour at which a watch is pushed by itself; null for by hand. */
export async function setHour(tx: OwnerTransaction, watchId: string, hour: number | null): Promise<PushRoutine> {
  await loadWatch(tx, watchId)
  await keepRow(tx, watchId, { hour, refused: [], ...timesFor(await currentStandpoint(tx), hour, new Date()) })
  return routineRow(await loadRow(tx, watchId))
}

/** Their zone, their week or their ways have changed: what is done by itself is done by the new ones. */
export async function rescheduleAll(tx: OwnerTransaction): Promise<void> {
  const standpoint = await currentStandpoint(tx)
  const watches = await tx
    .select({ id: watch.id, hour: pushRoutine.hour })
    .from(watch)
    .leftJoin(pushRoutine, eq(pushRoutine.watchId, watch.id))
  for (const { id, hour } of watches) await keepRow(tx, id, timesFor(standpoint, hour, new Date()))
}

/** Whose hour has come. */
export async function routinesDue(database: Pick<Database, 'execute'>): Promise<{ owner: string; watch: string }[]> {
  return [...(await database.execute<{ owner: string; watch: string }>(sql`select owner, watch from routines_due()`))]
}

/** What is worth telling: what stays undone for want of a slot on a later day is how it is meant to be. */
const refusedOf = (acts: readonly PushAct[], today: string): RefusedPush[] =>
  acts.flatMap((act): RefusedPush[] => {
    if (act.do === 'ask') return [act]
    return act.do === 'wait' && (act.why !== 'no slot is free' || act.day === today) ? [act] : []
  })

/**
 * Pushes or clears a watch whose hour has come. A watch out of reach is tried again until it is near; what could not be done is kept
 * for the athlete. Done twice, nothing is done the second time.
 */
export async function doRoutine(database: Database, owner: string, watchId: string): Promise<void> {
  const now = new Date()
  const row = await asOwner(database, owner, tx => loadRow(tx, watchId))
  const isDue = (moment: Date | null | undefined) => moment !== null && moment !== undefined && moment <= now
  if (!row || (!isDue(row.pushAt) && !isDue(row.clearAt))) return
  try {
    const run = await dryRun(database, owner, watchId)
    const acts = isDue(row.pushAt) ? run.acts : clearingActs(run.question)
    await doActs(database, owner, watchId, { ...run, acts })
    await asOwner(database, owner, async tx => {
      const times = timesFor(await currentStandpoint(tx), row.hour, now)
      const refused = isDue(row.pushAt) ? refusedOf(acts, run.today) : row.refused
      await tx
        .update(pushRoutine)
        .set({ ...times, triedAt: now, refused })
        .where(eq(pushRoutine.watchId, watchId))
    })
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    const again = new Date(now.getTime() + tryAgainMinutes * 60_000)
    await asOwner(database, owner, tx =>
      tx
        .update(pushRoutine)
        .set({
          triedAt: now,
          refused: [{ do: 'fault', problem: error.problem }],
          pushAt: isDue(row.pushAt) ? again : row.pushAt,
          clearAt: isDue(row.clearAt) ? again : row.clearAt,
        })
        .where(eq(pushRoutine.watchId, watchId)),
    )
  }
}

/** Does what is done at the athlete's hour at once, as a job. */
export async function routineNow(database: Database, owner: string, watchId: string): Promise<void> {
  await asOwner(database, owner, async tx => {
    await loadWatch(tx, watchId)
    await tx.update(pushRoutine).set({ pushAt: new Date() }).where(eq(pushRoutine.watchId, watchId))
  })
  await enqueue(database, 'routine', { owner, watch: watchId })
}

/** The slots of a watch as its last receipts have them, where it is out of reach. */
async function slotsByReceipt(tx: OwnerTransaction, watchId: string): Promise<SlotState[]> {
  const { profile } = await loadWatch(tx, watchId)
  const held = await tx
    .select({ slot: holding.slot, digest: holding.digest, name: program.name })
    .from(holding)
    .innerJoin(program, ofProgram)
    .where(eq(holding.watchId, watchId))
  return Array.from({ length: profile.slots }, (_, index): SlotState => {
    const row = held.find(({ slot }) => slot === index + 1)
    return { slot: index + 1, generation: 0, digest: row?.digest ?? null, name: row?.name ?? null, size: 0, by: row ? 'server' : null }
  })
}

const daysAhead = 7

/** What pushing will do on each of the coming days, by the athlete's ways. */
export async function aheadOf(database: Database, owner: string, watchId: string): Promise<PushAhead> {
  const kept = await asOwner(database, owner, tx => loadWatch(tx, watchId))
  const seen = await atWatch(database, owner, watchId, lookAt).catch((error: unknown) => {
    if (error instanceof Problem) return null
    throw error
  })
  return asOwner(database, owner, async tx => {
    const state = seen ?? { slots: await slotsByReceipt(tx, watchId), records: [], hello: { running: null } }
    const question = await askPush(tx, watchId, state, 2 * daysAhead)
    return {
      watchId,
      watch: kept.name,
      routine: await routineOf(tx, watchId),
      naming: question.naming,
      pushing: question.pushing,
      days: pushAhead(question, daysAhead),
      isSeen: seen !== null,
    }
  })
}
