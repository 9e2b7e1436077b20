import { and, eq, lt } from 'drizzle-orm'
import { facetsOf } from '../../core/find/facets'
import { printItem } from '../../core/script/print'
import type { Session } from '../../core/session/document'
import { normalise } from '../../core/session/normalise'
import { digestOf } from '../../core/wrist/program/digest'
import type { Database } from '../db/client'
import { revision, session } from '../db/schema'

/** Raised whenever the rules below change: rows made by older ones are made anew at the next start. */
export const facetsVersion = 1

const wordsAtMost = 20_000

/** What the shelf is searched by, made from a document. */
export function shelvedAs(document: Session, title: string) {
  const { items } = normalise(document)
  const rows = items.map(item => printItem(item)).join('\n')
  return {
    facets: facetsOf(document),
    facetsVersion,
    content: digestOf({ sport: document.sport, rows }),
    words: [title, document.note ?? '', rows].join('\n').slice(0, wordsAtMost),
  }
}

/** Makes the shelf's words anew for every session that older rules made them of. */
export async function refreshFacets(database: Database): Promise<void> {
  const stale = await database
    .select({ id: session.id, title: session.title, document: revision.document })
    .from(session)
    .innerJoin(revision, and(eq(revision.sessionId, session.id), eq(revision.number, session.head)))
    .where(lt(session.facetsVersion, facetsVersion))
  for (const row of stale)
    await database
      .update(session)
      .set(shelvedAs(JSON.parse(row.document) as Session, row.title))
      .where(eq(session.id, row.id))
}
