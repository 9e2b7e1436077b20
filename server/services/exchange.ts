import { randomUUID } from 'node:crypto'
import { printSession } from '../../core/script/print'
import { readScript } from '../../core/script/reader/read-script'
import type { Session } from '../../core/session/document'
import { limits } from '../../core/session/limits'
import type { ImportedFile } from '../../shared/api'
import type { OwnerTransaction, Transaction } from '../db/client'
import { fileNameOf } from './archive/layout'
import type { Part } from './archive/take-in'
import { isOfEverything, partsOfEverything } from './archive/take-in'
import type { Archive } from './archive/unpack'
import { FileFault, openArchive } from './archive/unpack'
import { currentStandpoint } from './athlete'
import { problemOfFault } from './fault'
import { importRecordings, isRecording, recordingsIn } from './import-recordings'
import { Problem } from './problem'
import { importSession, loadSession, saveSession } from './session'
import { refuseUnsound } from './sound-input'

/** One session as a file: its script, or its document. */
export async function exportOne(tx: OwnerTransaction, id: string, form: 'script' | 'json'): Promise<{ name: string; text: string }> {
  const kept = await loadSession(tx, id)
  const name = fileNameOf(kept.title)
  return form === 'script'
    ? { name: `${name}.txt`, text: printSession(kept.document) }
    : { name: `${name}.json`, text: `${JSON.stringify(kept.document, null, 2)}\n` }
}

const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b

async function importDocument(tx: OwnerTransaction, value: unknown): Promise<string[]> {
  const { sessions } = (typeof value === 'object' && value !== null ? value : {}) as { sessions?: unknown }
  const titles: string[] = []
  for (const document of Array.isArray(sessions) ? (sessions as unknown[]) : [value])
    titles.push((await importSession(tx, randomUUID(), document)).title)
  return titles
}

async function importText(tx: OwnerTransaction, text: string): Promise<string[]> {
  if (Buffer.byteLength(text) > limits.textBytes)
    throw new Problem(413, 'The text is over 1 MB, the limit.', 'file', 'Part it into several.')
  refuseUnsound(text, 'file')
  const { sessions } = readScript(text, await currentStandpoint(tx))
  if (sessions.length <= 1) return [(await saveSession(tx, randomUUID(), 0, text)).title]
  const titles: string[] = []
  for (const document of sessions)
    titles.push((await saveSession(tx, randomUUID(), 0, printSession(document as Session), { source: text })).title)
  return titles
}

async function takeOne(transaction: Transaction, file: string, content: Uint8Array): Promise<ImportedFile> {
  const text = new TextDecoder('utf-8', { fatal: true }).decode(content)
  const recordings = recordingsIn(file, text)
  return transaction(async tx => {
    if (recordings) return importRecordings(tx, file, content, recordings)
    if (!/^\s*[{[]/.test(text)) return { file, titles: await importText(tx, text) }
    const value: unknown = JSON.parse(text)
    refuseUnsound(value, 'document')
    if (isRecording(value)) return importRecordings(tx, file, content, [{ recording: value, said: [] }])
    return { file, titles: await importDocument(tx, value) }
  })
}

/** What is said of a file that does not fit; a fault that is none of the file's goes on up. */
async function said({ file, take }: Part): Promise<ImportedFile> {
  try {
    return await take()
  } catch (error) {
    const problem = error instanceof Problem ? error : problemOfFault(error)
    if (problem && problem.status < 500) return { file, titles: [], problem: problem.problem }
    if (error instanceof FileFault) return { file, titles: [], problem: error.message }
    if (error instanceof SyntaxError) return { file, titles: [], problem: `Not JSON: ${error.message}` }
    if (error instanceof TypeError && (error as NodeJS.ErrnoException).code === 'ERR_ENCODING_INVALID_ENCODED_DATA')
      return { file, titles: [], problem: 'Not text in UTF-8.' }
    throw error
  }
}

const isTaken = /\.(?:json|txt|gpx|csv)$/i
/** Of a script and a document of the same name only the document, which holds more. */
const withoutTwins = (names: readonly string[], archive: Archive) =>
  names.filter(name => isTaken.test(name) && !(/\.txt$/i.test(name) && archive.has(name.replace(/\.txt$/i, '.json'))))

/** What a file comes to: itself, or what is in it. */
async function partsOf(transaction: Transaction, owner: string, name: string, bytes: Uint8Array): Promise<Part[]> {
  if (!isZip(bytes)) return [{ file: name, take: () => takeOne(transaction, name, bytes) }]
  const archive = await openArchive(bytes)
  if (isOfEverything(archive)) return partsOfEverything(transaction, owner, archive)
  const names = withoutTwins(archive.names, archive)
  if (names.length === 0)
    throw new Problem(
      422,
      'The archive holds no file that can be taken in.',
      'body',
      'Scripts, documents and recordings: .txt, .json, .gpx, .csv.',
    )
  return names.map(file => ({ file, take: async () => takeOne(transaction, file, await archive.read(file)) }))
}

/**
 * Takes in a script, a document, a recording, or an archive of such, of everything too. Each file stands for itself and is kept by
 * itself: one that does not fit keeps no other out.
 *
 * @returns how many files there are, then what became of each as it is taken in
 */
export async function importFile(
  transaction: Transaction,
  owner: string,
  name: string,
  bytes: Uint8Array,
): Promise<{ count: number; results: AsyncGenerator<ImportedFile> }> {
  const parts = await partsOf(transaction, owner, name, bytes)
  async function* results() {
    for (const part of parts) yield said(part)
  }
  return { count: parts.length, results: results() }
}
