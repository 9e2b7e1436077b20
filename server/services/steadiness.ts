import { and, desc, isNotNull, isNull } from 'drizzle-orm'
import type { DoneProgram, LearntSteadiness } from '../../core/record/steadiness'
import { learnSteadiness } from '../../core/record/steadiness'
import type { OwnerTransaction } from '../db/client'
import { recording } from '../db/recordings'
import { loadRecording } from './recording'

/** The latest recordings are how one holds a target now. */
const latest = 20

/** How steadily targets were held in the latest recordings that were carried out from a program. */
export async function steadinessFromRecordings(tx: OwnerTransaction): Promise<LearntSteadiness[]> {
  const rows = await tx
    .select({ id: recording.id })
    .from(recording)
    .where(and(isNotNull(recording.score), isNull(recording.removedAt)))
    .orderBy(desc(recording.startedAt))
    .limit(latest)
  const done: DoneProgram[] = []
  for (const { id } of rows) {
    const { recording: taken, program, score } = await loadRecording(tx, id)
    if (program && score) done.push({ recording: taken, program, score })
  }
  return learnSteadiness(done)
}
