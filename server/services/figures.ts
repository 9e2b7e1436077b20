import { and, eq, inArray, ne } from 'drizzle-orm'
import type { Standpoint } from '../../core/athlete/standpoint'
import { numbersKey } from '../../core/athlete/standpoint'
import { cordOf } from '../../core/reckon/cord'
import { reckon } from '../../core/reckon/reckon'
import type { Session } from '../../core/session/document'
import { countFlatSteps } from '../../core/session/walk'
import type { OwnerTransaction } from '../db/client'
import { revision, session } from '../db/schema'

/** Goes up when the same numbers give other figures than before. */
const rules = 2

const keyOf = (standpoint: Standpoint) => `${rules} ${numbersKey(standpoint)}`

/** What the shelf shows of a session's size, and by which numbers it was reckoned. */
export function figuresOf(document: Session, standpoint: Standpoint) {
  const reckoning = reckon(document, standpoint)
  return {
    seconds: reckoning.seconds.likely,
    metres: reckoning.metres.likely,
    steps: countFlatSteps(document.items),
    open: reckoning.open,
    cord: cordOf(document, reckoning, standpoint),
    reckonedBy: keyOf(standpoint),
    /** What it weighs is reckoned anew where it stands on a day. */
    burdenBy: '',
  }
}

/** How many of the other stale ones are reckoned anew by the way, so that order and search by length come right too. */
const staleAtOnce = 150

async function reckonAnew(tx: OwnerTransaction, standpoint: Standpoint, ids: readonly string[] | null): Promise<boolean> {
  const stale = await tx
    .select({ id: session.id, document: revision.document })
    .from(session)
    .innerJoin(revision, and(eq(revision.sessionId, session.id), eq(revision.number, session.head)))
    .where(and(ne(session.reckonedBy, keyOf(standpoint)), ids === null ? undefined : inArray(session.id, [...ids])))
    .orderBy(session.id)
    .limit(ids === null ? staleAtOnce : ids.length)
    /** In order, and those not shown only where nobody else is at them: two that waited for each other's rows would both end. */
    .for('update', ids === null ? { of: session, skipLocked: true } : { of: session })
  for (const { id, document } of stale)
    await tx
      .update(session)
      .set(figuresOf(JSON.parse(document) as Session, standpoint))
      .where(eq(session.id, id))
  return stale.length > 0
}

/**
 * Reckons sessions anew whose figures were made by other numbers than today's: marks grow old, and the athlete saves new ones.
 *
 * @param standpoint from where they are seen now
 * @param ids the sessions that are shown now
 * @param withOthers some of those that are not shown too, where all of them are put in order by their figures
 * @returns whether any figures have changed
 */
export async function refreshFigures(
  tx: OwnerTransaction,
  standpoint: Standpoint,
  ids: readonly string[],
  withOthers = false,
): Promise<boolean> {
  const isShownAnew = ids.length > 0 && (await reckonAnew(tx, standpoint, ids))
  return (withOthers && (await reckonAnew(tx, standpoint, null))) || isShownAnew
}
