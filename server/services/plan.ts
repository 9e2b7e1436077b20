import { and, eq, gte, isNull, lte } from 'drizzle-orm'
import type { PlanRow } from '../../shared/api'
import type { OwnerTransaction } from '../db/client'
import { planEntry, session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { refreshFigures } from './figures'
import { notFound } from './problem'
import { loadSession } from './session'

/** What is planned between two days, both included. */
export async function listPlan(tx: OwnerTransaction, from: string, to: string): Promise<PlanRow[]> {
  const planned = await tx
    .selectDistinct({ id: planEntry.sessionId })
    .from(planEntry)
    .where(and(gte(planEntry.day, from), lte(planEntry.day, to)))
  await refreshFigures(
    tx,
    await currentStandpoint(tx),
    planned.map(entry => entry.id),
  )
  return tx
    .select({
      id: planEntry.id,
      day: planEntry.day,
      sessionId: session.id,
      title: session.title,
      sport: session.sport,
      seconds: session.seconds,
      cord: session.cord,
    })
    .from(planEntry)
    .innerJoin(session, eq(session.id, planEntry.sessionId))
    .where(and(gte(planEntry.day, from), lte(planEntry.day, to), isNull(session.removedAt)))
    .orderBy(planEntry.day, planEntry.createdAt)
}

/** Puts a session on a day. */
export async function planSession(tx: OwnerTransaction, sessionId: string, day: string): Promise<PlanRow> {
  const kept = await loadSession(tx, sessionId)
  const [entry] = await tx.insert(planEntry).values({ sessionId, day }).returning({ id: planEntry.id })
  await refreshFigures(tx, await currentStandpoint(tx), [sessionId])
  const [figures] = await tx.select({ seconds: session.seconds, cord: session.cord }).from(session).where(eq(session.id, sessionId))
  return { id: entry!.id, day, sessionId, title: kept.title, sport: kept.document.sport, ...figures! }
}

export async function unplan(tx: OwnerTransaction, id: string): Promise<void> {
  const removed = await tx.delete(planEntry).where(eq(planEntry.id, id)).returning({ id: planEntry.id })
  if (removed.length === 0) throw notFound('plan entry', 'params.id')
}
