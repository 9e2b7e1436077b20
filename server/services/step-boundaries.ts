import { eq } from 'drizzle-orm'
import type { StepBoundary } from '../../core/record/boundaries'
import { score } from '../../core/record/score'
import type { LoggedRecording } from '../../shared/log'
import type { OwnerTransaction } from '../db/client'
import { recording } from '../db/recordings'
import { currentAthlete } from './athlete'
import { Problem } from './problem'
import { loadRecording } from './recording'

/** Keeps where the athlete says that steps began, beside what was found, and judges anew; an empty list is what was found. */
export async function setBoundaries(tx: OwnerTransaction, id: string, boundaries: StepBoundary[]): Promise<LoggedRecording> {
  const { program, recording: done } = await loadRecording(tx, id)
  if (!program) throw new Problem(422, 'This recording has no steps.', 'params.id', 'Say first which session it was.')
  const judged = score(program, done, (await currentAthlete(tx)).athlete, boundaries)
  await tx
    .update(recording)
    .set({ boundaries: boundaries.length > 0 ? boundaries : null, score: judged, seconds: judged.totals.seconds, cord: null, learnt: null })
    .where(eq(recording.id, id))
  return loadRecording(tx, id)
}
