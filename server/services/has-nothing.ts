import { isNull } from 'drizzle-orm'
import type { OwnerTransaction } from '../db/client'
import { planEntry } from '../db/plan'
import { recording } from '../db/recordings'
import { session } from '../db/schema'

/** Whether an athlete has nothing yet: no session, nothing done, nothing planned. */
export async function hasNothing(tx: OwnerTransaction): Promise<boolean> {
  const sessions = await tx.select({ id: session.id }).from(session).where(isNull(session.removedAt)).limit(1)
  if (sessions.length > 0) return false
  const done = await tx.select({ id: recording.id }).from(recording).where(isNull(recording.removedAt)).limit(1)
  if (done.length > 0) return false
  return (await tx.select({ id: planEntry.id }).from(planEntry).limit(1)).length === 0
}
