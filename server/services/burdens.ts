import { and, eq, inArray, ne } from 'drizzle-orm'
import type { Standpoint } from '../../core/athlete/standpoint'
import { numbersKey } from '../../core/athlete/standpoint'
import { burdenOf } from '../../core/plan/burden'
import type { Session } from '../../core/session/document'
import type { OwnerTransaction } from '../db/client'
import { revision, session } from '../db/schema'

/** Goes up when the same numbers give another burden than before. */
const rules = 1

/** Reckons what sessions weigh, those that were never reckoned or by other numbers than today's. */
export async function refreshBurdens(tx: OwnerTransaction, standpoint: Standpoint, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return
  const by = `${rules} ${numbersKey(standpoint)}`
  const stale = await tx
    .select({ id: session.id, head: session.head, document: revision.document })
    .from(session)
    .innerJoin(revision, and(eq(revision.sessionId, session.id), eq(revision.number, session.head)))
    .where(and(ne(session.burdenBy, by), inArray(session.id, [...ids])))
    .orderBy(session.id)
    .for('update', { of: session })
  for (const { id, document } of stale)
    await tx
      .update(session)
      .set({ burden: burdenOf(JSON.parse(document) as Session, standpoint), burdenBy: by })
      .where(eq(session.id, id))
}
