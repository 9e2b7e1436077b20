import { and, eq, gte, isNull, lte, max, or, sql } from 'drizzle-orm'
import type { PlanRow } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { planEntry } from '../db/plan'
import { session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { refreshBurdens } from './burdens'
import { refreshFigures } from './figures'
import { notFound } from './problem'
import { loadSession } from './session'

const columns = {
  id: planEntry.id,
  day: planEntry.day,
  at: planEntry.at,
  kind: planEntry.kind,
  sessionId: planEntry.sessionId,
  title: sql<string>`coalesce(${session.title}, ${planEntry.name}, '')`,
  sport: sql<string | null>`coalesce(${session.sport}, ${planEntry.sport})`,
  name: planEntry.name,
  minutes: planEntry.minutes,
  effort: planEntry.effort,
  filled: planEntry.filled,
  seconds: session.seconds,
  metres: session.metres,
  cord: session.cord,
  burden: session.burden,
}

/** What is planned between two days, both included, in the order of the days and of each day. */
export async function listPlan(tx: OwnerTransaction, from: string, to: string): Promise<PlanRow[]> {
  const isWithin = and(gte(planEntry.day, from), lte(planEntry.day, to))
  const planned = await tx.selectDistinct({ id: planEntry.sessionId }).from(planEntry).where(isWithin)
  const ids = planned.flatMap(({ id }) => (id === null ? [] : [id]))
  const standpoint = await currentStandpoint(tx)
  await refreshFigures(tx, standpoint, ids)
  await refreshBurdens(tx, standpoint, ids)
  return tx
    .select(columns)
    .from(planEntry)
    .leftJoin(session, eq(session.id, planEntry.sessionId))
    .where(and(isWithin, or(isNull(planEntry.sessionId), isNull(session.removedAt))))
    .orderBy(planEntry.day, planEntry.at, planEntry.createdAt)
}

/** The place behind all that stands on a day. */
export async function lastPlace(tx: OwnerTransaction, day: string): Promise<number> {
  const [row] = await tx
    .select({ at: max(planEntry.at) })
    .from(planEntry)
    .where(eq(planEntry.day, day))
  return (row?.at ?? -1) + 1
}

/** Puts a session on a day, behind what is there. */
export async function planSession(tx: OwnerTransaction, sessionId: string, day: string): Promise<PlanRow> {
  await loadSession(tx, sessionId)
  const [entry] = await tx
    .insert(planEntry)
    .values({ sessionId, day, at: await lastPlace(tx, day) })
    .returning({ id: planEntry.id })
  return (await listPlan(tx, day, day)).find(row => row.id === entry!.id)!
}

/** Moves what is planned to the end of another day. */
export async function movePlanned(tx: OwnerTransaction, id: string, day: string): Promise<void> {
  const moved = await tx
    .update(planEntry)
    .set({ day, at: await lastPlace(tx, day), changedAt: new Date() })
    .where(eq(planEntry.id, id))
    .returning({ id: planEntry.id })
  if (moved.length === 0) throw notFound('plan entry', 'params.id')
}

export async function unplan(tx: OwnerTransaction, id: string): Promise<void> {
  const removed = await tx.delete(planEntry).where(eq(planEntry.id, id)).returning({ id: planEntry.id })
  if (removed.length === 0) throw notFound('plan entry', 'params.id')
}
