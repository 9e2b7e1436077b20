import { and, desc, eq, isNull, or, sql } from 'drizzle-orm'
import { learnFrom, learntVersion } from '../../core/trends/learn'
import type { OwnerTransaction } from '../db/client'
import { recording } from '../db/recordings'
import { loadRecording } from './recording'

/** As many recordings are read at a time, so that nobody waits for all of them. */
const readAtOnce = 60

const unread = and(
  isNull(recording.removedAt),
  or(isNull(recording.learnt), sql`(${recording.learnt}->>'version')::int < ${learntVersion}`),
)

/**
 * Reads what recordings tell for good, the newest first, some at a time.
 *
 * @returns how many are left to be read
 */
export async function learn(tx: OwnerTransaction): Promise<number> {
  const rows = await tx.select({ id: recording.id }).from(recording).where(unread).orderBy(desc(recording.startedAt)).limit(readAtOnce)
  for (const { id } of rows) {
    const logged = await loadRecording(tx, id)
    await tx
      .update(recording)
      .set({ learnt: learnFrom(logged.recording, logged.program, logged.score) })
      .where(eq(recording.id, id))
  }
  if (rows.length < readAtOnce) return 0
  const [left] = await tx
    .select({ count: sql<number>`count(*)::int` })
    .from(recording)
    .where(unread)
  return left!.count
}
