import { validateProgram } from '../../core/formats/validate'
import type { Recording } from '../../core/record/recording'
import { digestOf } from '../../core/wrist/program/digest'
import type { OwnerTransaction } from '../db/client'
import { Problem } from './problem'
import { storeRecording } from './recording'
import { loadSession } from './session'
import { putCopiesAside } from './taken-recording'

export interface Brought {
  recording?: unknown
  program?: unknown
  session?: string
}

/**
 * Takes in a recording that a phone has made, with the program it was carried out from. Brought twice, it is kept once; the digest
 * in the answer tells the phone which one it may let go.
 */
export async function takeIn(tx: OwnerTransaction, { recording, program, session }: Brought): Promise<{ id: string; digest: string }> {
  if (program === undefined) return { id: await storeRecording(tx, recording, {}), digest: digestOf(recording) }
  const validated = validateProgram(program)
  if (!validated.ok) {
    const { pointer, problem } = validated.problems[0]!
    throw new Problem(
      422,
      `The program does not fit its format: ${pointer} ${problem}.`,
      `body.program${pointer}`,
      'docs/formats/program.schema.json says what fits.',
    )
  }
  if ((recording as Partial<Recording> | null)?.program !== digestOf(program)) {
    throw new Problem(
      422,
      'The recording was not carried out from this program.',
      'body.recording.program',
      'It names the digest of its program.',
    )
  }
  const kept = session === undefined ? null : await loadSession(tx, session)
  const isOfRevision = kept !== null && digestOf(kept.document) === validated.value.from.session
  const id = await storeRecording(tx, recording, {
    program: validated.value,
    sessionId: session ?? null,
    revision: isOfRevision ? kept.number : null,
  })
  await putCopiesAside(tx, id)
  return { id, digest: digestOf(recording) }
}
