import { digestOf } from '../../core/wrist/program/digest'
import { and, eq } from 'drizzle-orm'
import type { Fitting } from '../../core/wrist/fit/fit'
import { fit } from '../../core/wrist/fit/fit'
import type { OwnerTransaction } from '../db/client'
import { fitChoice, holding, program } from '../db/schema'
import type { FitPreview, KeptWatch } from '../../shared/api'
import { currentStandpoint } from './athlete'
import { loadSession } from './session'
import { loadWatch } from './watch'

export interface FittedSession extends Fitting {
  kept: KeptWatch
  revision: number
  /** Of the program. */
  digest: string
  here: Record<string, string>
}

/**
 * What sessions become on a watch today, with the athlete's choices about what is lost. All that does not depend on the session is
 * loaded once.
 */
export async function fitterFor(
  tx: OwnerTransaction,
  watchId: string,
): Promise<(sessionId: string, name?: string) => Promise<FittedSession>> {
  const kept = await loadWatch(tx, watchId)
  const standpoint = await currentStandpoint(tx)
  const choices = await tx
    .select({ sessionId: fitChoice.sessionId, here: fitChoice.here })
    .from(fitChoice)
    .where(eq(fitChoice.watchId, watchId))
  const hereOf = new Map(choices.map(choice => [choice.sessionId, choice.here]))
  const held = await tx
    .select({ name: program.name, sessionId: holding.sessionId })
    .from(holding)
    .innerJoin(program, and(eq(program.ownerId, holding.ownerId), eq(program.digest, holding.digest)))
    .where(and(eq(holding.watchId, watchId), eq(holding.isLeaving, false)))
  return async (sessionId, name) => {
    const { document, number } = await loadSession(tx, sessionId)
    const here = hereOf.get(sessionId) ?? {}
    const taken = name === undefined ? held.filter(other => other.sessionId !== sessionId).map(other => other.name) : []
    const fitting = fit(document, kept.profile, standpoint, { choices: { here, standing: kept.standing }, taken, name })
    return { kept, revision: number, here, digest: digestOf(fitting.program), ...fitting }
  }
}

/** What one session becomes on a watch today: the look before sending. */
export async function fitSession(tx: OwnerTransaction, watchId: string, sessionId: string, name?: string): Promise<FittedSession> {
  return (await fitterFor(tx, watchId))(sessionId, name)
}

/** The look before sending, as the screens show it. */
export async function previewFit(tx: OwnerTransaction, watchId: string, sessionId: string): Promise<FitPreview> {
  const { losses, fits, program: made, digest, here } = await fitSession(tx, watchId, sessionId)
  return { losses, fits, program: made, digest, here }
}

/** Keeps what the athlete chose instead of losses of this session on this watch; an empty choice takes the usual way again. */
export async function chooseInstead(tx: OwnerTransaction, watchId: string, sessionId: string, here: Record<string, string>): Promise<void> {
  await loadWatch(tx, watchId)
  await loadSession(tx, sessionId)
  await tx
    .insert(fitChoice)
    .values({ watchId, sessionId, here })
    .onConflictDoUpdate({ target: [fitChoice.ownerId, fitChoice.watchId, fitChoice.sessionId], set: { here } })
}
