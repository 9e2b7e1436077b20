import { and, desc, gte, isNull, lte } from 'drizzle-orm'
import type { LaidWeek, PlanShape, ShelvedSession } from '../../core/plan/shape'
import { layOut, usualShape } from '../../core/plan/shape'
import { sharesOf } from '../../core/plan/sums'
import { daysFrom, weekOf } from '../../core/quantity/day'
import type { LaidSession } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { planEntry, planShape } from '../db/plan'
import { session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { refreshBurdens } from './burdens'
import { refreshFigures } from './figures'

/** Sessions of the shelf that are looked through, those changed last. */
const mostLooked = 500

/** The athlete's own shape, or one to begin with. */
export async function shapeOf(tx: OwnerTransaction): Promise<PlanShape> {
  const [row] = await tx.select({ shape: planShape.shape }).from(planShape)
  return row?.shape ?? usualShape
}

const onShelf = and(isNull(session.removedAt), isNull(session.archivedAt))

/** Weeks of a shape filled from the shelf, as a proposal: nothing is put on a day. The shape is kept for the next time. */
export async function layOutWeeks(
  tx: OwnerTransaction,
  shape: PlanShape,
  from: string,
): Promise<{ weeks: LaidWeek[]; sessions: Record<string, LaidSession> }> {
  await tx.insert(planShape).values({ shape }).onConflictDoUpdate({ target: planShape.ownerId, set: { shape } })
  const standpoint = await currentStandpoint(tx)
  const weekStart = standpoint.athlete.weekStart ?? 1
  const newest = await tx.select({ id: session.id }).from(session).where(onShelf).orderBy(desc(session.updatedAt)).limit(mostLooked)
  const ids = newest.map(({ id }) => id)
  await refreshFigures(tx, standpoint, ids)
  await refreshBurdens(tx, standpoint, ids)
  const rows = await tx
    .select({
      id: session.id,
      title: session.title,
      sport: session.sport,
      seconds: session.seconds,
      cord: session.cord,
      burden: session.burden,
    })
    .from(session)
    .where(onShelf)
    .orderBy(desc(session.updatedAt))
    .limit(mostLooked)
  const shelf = rows.flatMap(({ id, title, sport, seconds, burden }): ShelvedSession[] =>
    seconds === null || !burden?.level
      ? []
      : [{ id, title, sport, seconds, level: burden.level, hard: sharesOf(burden.domains)?.hard ?? 0 }],
  )
  const first = weekOf(from, weekStart)
  const standing = await tx
    .select({ day: planEntry.day })
    .from(planEntry)
    .where(and(gte(planEntry.day, first), lte(planEntry.day, daysFrom(first, 7 * shape.weeks))))
  const taken = new Set(standing.map(({ day }) => day))
  const weeks = layOut(shape, { from, weekStart, today: standpoint.day, shelf, taken })
  const used = new Set(weeks.flatMap(({ days }) => days.flatMap(({ fitting }) => fitting.map(({ id }) => id))))
  return {
    weeks,
    sessions: Object.fromEntries(
      rows.filter(({ id }) => used.has(id)).map(({ id, cord, burden }) => [id, { cord, load: burden?.load ?? null }]),
    ),
  }
}
