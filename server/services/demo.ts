import { eq, isNotNull, sql } from 'drizzle-orm'
import { daysBetween, daysFrom, weekOf } from '../../core/quantity/day'
import type { OwnerTransaction } from '../db/client'
import { demoDay, planEdit, planEntry } from '../db/plan'
import { recording } from '../db/recordings'
import { holding } from '../db/schema'
import { currentAthlete, currentStandpoint, saveAthlete } from './athlete'
import { notFound } from './problem'

/** Moves the demo to today by whole weeks: its plan, what was done, the athlete's marks and goals. Nothing else is touched. */
export async function moveDemo(tx: OwnerTransaction): Promise<{ weeks: number }> {
  const [row] = await tx.select({ day: demoDay.day }).from(demoDay)
  if (!row) throw notFound('demo data', 'request')
  const { day: today } = await currentStandpoint(tx)
  const { athlete, number } = await currentAthlete(tx)
  const weekStart = athlete.weekStart ?? 1
  const days = daysBetween(weekOf(row.day, weekStart), weekOf(today, weekStart))
  if (days === 0) return { weeks: 0 }
  await tx.update(planEntry).set({ day: sql`${planEntry.day} + ${days}::int` })
  /** What was edited is no more where it was: it cannot be taken back over the move. */
  await tx.delete(planEdit)
  await tx.update(recording).set({ startedAt: sql`${recording.startedAt} + make_interval(days => ${days}::int)` })
  await tx
    .update(holding)
    .set({ day: sql`${holding.day} + ${days}::int` })
    .where(isNotNull(holding.day))
  await saveAthlete(tx, number, {
    ...athlete,
    ...(athlete.efforts ? { efforts: athlete.efforts.map(effort => ({ ...effort, date: daysFrom(effort.date, days) })) } : {}),
    ...(athlete.goals ? { goals: athlete.goals.map(goal => ({ ...goal, date: daysFrom(goal.date, days) })) } : {}),
  })
  await tx.update(demoDay).set({ day: today }).where(eq(demoDay.day, row.day))
  return { weeks: days / 7 }
}
