import { formOfName, readRecordingText } from '../../core/exchange/recording-file'
import type { ImportedFile } from '../../shared/api'
import { hereAlready } from '../../shared/api'
import type { OwnerTransaction } from '../db/client'
import { FileFault } from './archive/unpack'
import { refuseUnsound } from './sound-input'
import { keepOriginal, takeRecording } from './taken-recording'

/** A recording as a file held it, with what is to be said of it. */
interface InFile {
  recording: unknown
  said: string[]
}

/** Recordings in a form of others, each with what is to be said of it; null where the name tells none. */
export function recordingsIn(name: string, text: string): InFile[] | null {
  const form = formOfName(name)
  if (form === null || form === 'json') return null
  const taken = readRecordingText(form, text)
  if (!taken.ok)
    throw new FileFault(
      `${taken.problem[0]!.toUpperCase()}${taken.problem.slice(1)}${taken.line === undefined ? '' : `, line ${taken.line}`}.`,
    )
  return [taken, ...taken.others].map(({ recording, left, notes }) => ({
    recording,
    said: [...notes, ...(left.length > 0 ? [`left out: ${left.join(', ')}`] : [])],
  }))
}

/** Keeps the recordings of a file, each with the file itself beside it. */
export async function importRecordings(
  tx: OwnerTransaction,
  file: string,
  content: Uint8Array,
  recordings: readonly InFile[],
): Promise<ImportedFile> {
  const titles: string[] = []
  const notes: string[] = []
  for (const { recording, said } of recordings) {
    refuseUnsound(recording, 'recording')
    const taken = await takeRecording(tx, recording)
    await keepOriginal(tx, taken.id, file, content)
    titles.push(taken.title)
    if (taken.isKnown && !taken.copyOf) notes.push(hereAlready)
    else notes.push(...(taken.copyOf ? [`put aside: another device's copy of ${taken.copyOf.title}`] : []), ...said)
  }
  return { file, titles, ...(notes.length > 0 ? { note: [...new Set(notes)].join('; ') } : {}) }
}

export const isRecording = (value: unknown) =>
  typeof value === 'object' && value !== null && (value as { format?: unknown }).format === 'agonis.recording'
