import { randomUUID } from 'node:crypto'
import { and, eq, isNull } from 'drizzle-orm'
import type { Standpoint } from '../../core/athlete/standpoint'
import type { PlanChange } from '../../core/plan/change'
import type { ProgressWay } from '../../core/plan/progress'
import { progressed } from '../../core/plan/progress'
import { printSession } from '../../core/script/print'
import { titleOf } from '../../core/script/title'
import type { Session } from '../../core/session/document'
import type { OwnerTransaction } from '../db/client'
import { session } from '../db/schema'
import { shelvedAs } from './facets'
import { copySession, loadSession } from './session'

/** Keeps a session made from another as a variant of its family; one with the same rows that is there already is taken. */
export async function keepVariant(tx: OwnerTransaction, id: string, made: Session): Promise<string> {
  const { document } = await loadSession(tx, id)
  const { content } = shelvedAs(made, titleOf(made))
  const [same] = await tx
    .select({ id: session.id })
    .from(session)
    .where(and(eq(session.content, content), isNull(session.removedAt), isNull(session.archivedAt)))
    .limit(1)
  if (same) return same.id
  const own = document.title === undefined ? { title: titleOf(made) } : {}
  return (await copySession(tx, id, randomUUID(), { asVariant: true, script: printSession(made), ...own })).id
}

/**
 * A session a little harder or easier, as a variant.
 *
 * @returns its id; the session's own where nothing makes it a little harder or easier
 */
async function variantOf(tx: OwnerTransaction, standpoint: Standpoint, id: string, way: ProgressWay): Promise<string> {
  const made = progressed((await loadSession(tx, id)).document, standpoint, way)
  return made ? keepVariant(tx, id, made.session) : id
}

/** What is put on days, with each session a little harder or easier than it was. */
export async function withProgress(
  tx: OwnerTransaction,
  standpoint: Standpoint,
  changes: readonly PlanChange[],
  way: ProgressWay,
): Promise<PlanChange[]> {
  const variants = new Map<string, string>()
  const made: PlanChange[] = []
  for (const change of changes) {
    const { after } = change
    if (!after?.session) {
      made.push(change)
      continue
    }
    const variant = variants.get(after.session) ?? (await variantOf(tx, standpoint, after.session, way))
    variants.set(after.session, variant)
    made.push({ ...change, after: { ...after, session: variant, filled: false } })
  }
  return made
}
