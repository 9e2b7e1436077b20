import { and, asc, eq, gte, isNull, lte, sql } from 'drizzle-orm'
import type { Standpoint } from '../../core/athlete/standpoint'
import { burdenDone } from '../../core/plan/burden'
import { daysFrom } from '../../core/quantity/day'
import type { Samples } from '../../core/record/recording'
import type { Score } from '../../core/record/score'
import type { SessionSport } from '../../core/session/document'
import type { DoneRow, PlanSpan } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { planDismissal } from '../db/plan'
import { recording } from '../db/recordings'
import { currentStandpoint } from './athlete'
import { dayDone } from './day-done'
import { listPlan } from './plan'
import { lastEdit } from './plan-edit'
import { drawCords } from './recording'
import { unzip } from './packed'

/** Started within some days, in whatever zone: more than is asked for, so that the index finds it. */
const near = (from: string, to: string) =>
  and(
    isNull(recording.removedAt),
    gte(recording.startedAt, new Date(`${daysFrom(from, -1)}T00:00:00Z`)),
    lte(recording.startedAt, new Date(`${daysFrom(to, 2)}T00:00:00Z`)),
  )

/** Weighs what was done and never was weighed, or was felt anew since. */
async function weigh(tx: OwnerTransaction, standpoint: Standpoint, from: string, to: string): Promise<void> {
  const unweighed = await tx
    .select({ id: recording.id, sport: recording.sport, samples: recording.samples, seconds: recording.seconds, felt: recording.felt })
    .from(recording)
    .where(and(near(from, to), isNull(recording.burden)))
  for (const { id, sport, samples, seconds, felt } of unweighed) {
    const columns = JSON.parse((await unzip(samples)).toString('utf8')) as Samples
    const done = { sport: sport as SessionSport, samples: columns, ...(felt ? { felt } : {}) }
    await tx
      .update(recording)
      .set({ burden: burdenDone(done, seconds, standpoint) })
      .where(eq(recording.id, id))
  }
}

/** What was done between two days, both included, each on its day in the zone it was done in. */
export async function listDone(tx: OwnerTransaction, standpoint: Standpoint, from: string, to: string): Promise<DoneRow[]> {
  await drawCords(tx)
  await weigh(tx, standpoint, from, to)
  const zone = standpoint.athlete.timeZone ?? 'UTC'
  const rows = await tx
    .select({
      id: recording.id,
      day: dayDone(zone),
      startedAt: recording.startedAt,
      title: recording.title,
      sport: recording.sport,
      sessionId: recording.sessionId,
      seconds: recording.seconds,
      metres: recording.metres,
      totals: sql<Score['totals'] | null>`${recording.score}->'totals'`,
      felt: recording.felt,
      cord: recording.cord,
      burden: recording.burden,
    })
    .from(recording)
    .where(near(from, to))
    .orderBy(asc(recording.startedAt))
  return rows
    .filter(({ day }) => day >= from && day <= to)
    .map(({ totals, felt, startedAt, ...row }) => ({
      ...row,
      startedAt: startedAt.toISOString(),
      held: totals?.held ?? null,
      rpe: felt?.rpe ?? null,
    }))
}

/** All that is planned and was done between two days, both included. */
export async function spanOf(tx: OwnerTransaction, from: string, to: string): Promise<PlanSpan> {
  const standpoint = await currentStandpoint(tx)
  return {
    today: standpoint.day,
    entries: await listPlan(tx, from, to),
    done: await listDone(tx, standpoint, from, to),
    dismissed: (await tx.select({ key: planDismissal.key }).from(planDismissal)).map(({ key }) => key),
    undo: await lastEdit(tx),
  }
}
