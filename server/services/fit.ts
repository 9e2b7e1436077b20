import { and, eq } from 'drizzle-orm'
import type { Athlete } from '../../core/athlete/athlete'
import type { Session } from '../../core/session/document'
import type { Fitting } from '../../core/wrist/fit/fit'
import { fit } from '../../core/wrist/fit/fit'
import { dayInZone } from '../../core/wrist/link/schools'
import type { OwnerTransaction } from '../db/client'
import { fitChoice, holding } from '../db/schema'
import type { KeptWatch } from '../../shared/api'
import { currentAthlete } from './athlete'
import { loadSession } from './session'
import { loadWatch } from './watch'

/** The athlete's own day, wherever the server stands. */
export const todayOf = (athlete: Athlete): string => dayInZone(new Date(), athlete.timeZone ?? 'UTC')

export interface FittedSession extends Fitting { kept: KeptWatch, revision: number, document: Session, title: string, here: Record<string, string> }

/** What a session becomes on a watch today, with the athlete's choices about what is lost: the look before sending. */
export async function fitSession(tx: OwnerTransaction, watchId: string, sessionId: string, name?: string): Promise<FittedSession> {
  const kept = await loadWatch(tx, watchId)
  const { document, title, number } = await loadSession(tx, sessionId)
  const { athlete } = await currentAthlete(tx)
  const [chosen] = await tx.select({ here: fitChoice.here }).from(fitChoice).where(and(eq(fitChoice.watchId, watchId), eq(fitChoice.sessionId, sessionId)))
  const others = await tx.select({ program: holding.program, sessionId: holding.sessionId }).from(holding).where(and(eq(holding.watchId, watchId), eq(holding.isLeaving, false)))
  const here = chosen?.here ?? {}
  const taken = name === undefined ? others.filter(other => other.sessionId !== sessionId).map(other => (JSON.parse(other.program) as { name: string }).name) : []
  const named = { ...document, title: name ?? document.title ?? title }
  return { kept, revision: number, document, title, here, ...fit(named, kept.profile, { athlete, on: todayOf(athlete), choices: { here, standing: kept.standing }, taken }) }
}

/** Keeps what the athlete chose instead of losses of this session on this watch; an empty choice takes the usual way again. */
export async function chooseInstead(tx: OwnerTransaction, watchId: string, sessionId: string, here: Record<string, string>): Promise<void> {
  await loadWatch(tx, watchId)
  await loadSession(tx, sessionId)
  await tx.insert(fitChoice).values({ watchId, sessionId, here }).onConflictDoUpdate({ target: [fitChoice.watchId, fitChoice.sessionId], set: { here } })
}
