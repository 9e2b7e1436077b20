import { and, count, eq, gte, inArray, isNull, max, min } from 'drizzle-orm'
import type { SessionStanding } from '../../shared/api'
import type { OwnerTransaction } from '../db/client'
import { recording } from '../db/recordings'
import { planEntry } from '../db/plan'
import { holding, watch } from '../db/schema'

/** Where sessions stand beside the shelf: the next day they are planned on, the watches that hold them, and how often they were done. */
export async function standingOf(tx: OwnerTransaction, ids: string[], today: string): Promise<Map<string, SessionStanding>> {
  if (ids.length === 0) return new Map()
  const planned = await tx
    .select({ id: planEntry.sessionId, day: min(planEntry.day) })
    .from(planEntry)
    .where(and(inArray(planEntry.sessionId, ids), gte(planEntry.day, today)))
    .groupBy(planEntry.sessionId)
  const held = await tx
    .selectDistinct({ id: holding.sessionId, name: watch.name })
    .from(holding)
    .innerJoin(watch, eq(watch.id, holding.watchId))
    .where(inArray(holding.sessionId, ids))
  const done = await tx
    .select({ id: recording.sessionId, times: count(), last: max(recording.startedAt) })
    .from(recording)
    .where(and(inArray(recording.sessionId, ids), isNull(recording.removedAt)))
    .groupBy(recording.sessionId)
  return new Map(
    ids.map(id => [
      id,
      {
        plannedOn: planned.find(row => row.id === id)?.day ?? null,
        watches: held.filter(row => row.id === id).map(row => row.name),
        timesDone: done.find(row => row.id === id)?.times ?? 0,
        lastDone: done.find(row => row.id === id)?.last?.toISOString() ?? null,
      },
    ]),
  )
}
