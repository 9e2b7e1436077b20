import { eq } from 'drizzle-orm'
import { score } from '../../core/record/score'
import { fit } from '../../core/wrist/fit/fit'
import { digestOf } from '../../core/wrist/program/digest'
import { profileNamed } from '../../core/wrist/program/profile'
import type { LoggedRecording } from '../../shared/log'
import type { OwnerTransaction } from '../db/client'
import { recording } from '../db/recordings'
import { currentStandpoint } from './athlete'
import { Problem } from './problem'
import { keepProgram } from './program'
import { loadRecording } from './recording'
import { loadSession } from './session'

/** What leads a recording of another device: everything that a session can say. */
const ableToAll = profileNamed('all-sport')!

/**
 * Says which session a recording without our marks was: it is set beside it, its steps found at its laps or by its shape.
 *
 * @param sessionId null for none: it is without a plan again
 */
export async function setPlanOf(tx: OwnerTransaction, id: string, sessionId: string | null): Promise<LoggedRecording> {
  const { recording: done } = await loadRecording(tx, id)
  if (done.marks.some(({ kind }) => kind === 'step'))
    throw new Problem(409, 'A watch led this one: it is beside what it was carried out from.', 'params.id', 'Nothing was changed.')
  if (sessionId === null) {
    const without = {
      title: 'Without a plan',
      boundaries: null,
      sessionId: null,
      programDigest: null,
      score: null,
      cord: null,
      burden: null,
      learnt: null,
    }
    await tx.update(recording).set(without).where(eq(recording.id, id))
    return loadRecording(tx, id)
  }
  const { document, number } = await loadSession(tx, sessionId)
  if (document.sport !== done.sport && document.sport !== 'multi')
    throw new Problem(422, `This was a ${done.sport}, and the session is a ${document.sport}.`, 'body.session', 'Choose another session.')
  const standpoint = await currentStandpoint(tx)
  const { program } = fit(document, ableToAll, standpoint)
  await keepProgram(tx, program, { sessionId, revision: number })
  const judged = score(program, done, standpoint.athlete)
  await tx
    .update(recording)
    .set({
      title: program.name,
      sessionId,
      boundaries: null,
      programDigest: digestOf(program),
      score: judged,
      seconds: judged.totals.seconds,
      cord: null,
      burden: null,
      learnt: null,
    })
    .where(eq(recording.id, id))
  return loadRecording(tx, id)
}
