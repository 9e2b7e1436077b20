import { and, eq, inArray } from 'drizzle-orm'
import { weekText } from '../../core/exchange/week-text'
import type { Session } from '../../core/session/document'
import type { OwnerTransaction } from '../db/client'
import { revision, session } from '../db/schema'
import { listPlan } from './plan'

/** The newest wordings of sessions, by their ids. */
export async function documentsOf(tx: OwnerTransaction, ids: readonly string[]): Promise<Map<string, Session>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select({ id: session.id, document: revision.document })
    .from(session)
    .innerJoin(revision, and(eq(revision.sessionId, session.id), eq(revision.number, session.head)))
    .where(inArray(session.id, [...ids]))
  return new Map(rows.map(({ id, document }) => [id, JSON.parse(document) as Session]))
}

/** What is planned between two days as a text to pass on, which is read back as a message. */
export async function textOfDays(tx: OwnerTransaction, from: string, to: string): Promise<string> {
  const rows = await listPlan(tx, from, to)
  const documents = await documentsOf(
    tx,
    rows.flatMap(({ sessionId }) => (sessionId === null ? [] : [sessionId])),
  )
  return weekText(rows.map(row => ({ ...row, session: row.sessionId === null ? null : (documents.get(row.sessionId) ?? null) })))
}
