import { slugOf } from '../../core/quantity/slug'
import { randomUUID } from 'node:crypto'
import { and, eq, isNull } from 'drizzle-orm'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { printSession } from '../../core/script/print'
import { readScript } from '../../core/script/reader/read-script'
import type { Session } from '../../core/session/document'
import { limits } from '../../core/session/limits'
import type { ImportedFile } from '../../shared/api'
import type { OwnerTransaction } from '../db/client'
import { revision, session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { Problem } from './problem'
import { importSession, loadSession, saveSession } from './session'

/** A name for a file that every system takes. */
export const fileNameOf = (title: string) => slugOf(title, 60) || 'session'

/** Every session on the shelf in one archive, each as its script and as its document. */
export async function exportAll(tx: OwnerTransaction): Promise<Uint8Array> {
  const rows = await tx
    .select({ id: session.id, title: session.title, script: revision.script, document: revision.document })
    .from(session)
    .innerJoin(revision, and(eq(revision.sessionId, session.id), eq(revision.number, session.head)))
    .where(isNull(session.removedAt))
  const files: Record<string, Uint8Array> = {}
  for (const row of rows) {
    const name = `${fileNameOf(row.title)}-${row.id.slice(0, 8)}`
    files[`sessions/${name}.txt`] = strToU8(row.script)
    files[`sessions/${name}.json`] = strToU8(`${JSON.stringify(JSON.parse(row.document), null, 2)}\n`)
  }
  return zipSync(files, { level: 6, mtime: new Date('1990-01-01T00:00:00Z') })
}

/** One session as a file: its script, or its document. */
export async function exportOne(tx: OwnerTransaction, id: string, form: 'script' | 'json'): Promise<{ name: string; text: string }> {
  const kept = await loadSession(tx, id)
  const name = fileNameOf(kept.title)
  return form === 'script'
    ? { name: `${name}.txt`, text: printSession(kept.document) }
    : { name: `${name}.json`, text: `${JSON.stringify(kept.document, null, 2)}\n` }
}

const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b
const filesAtMost = 20_000

/** The files in an archive; of a script and a document of the same name only the document, which holds more. */
function filesIn(bytes: Uint8Array): [string, Uint8Array][] {
  let unpacked = 0
  try {
    const files = unzipSync(bytes, {
      filter: file => {
        unpacked += file.originalSize
        if (unpacked > 4 * limits.uploadBytes)
          throw new Problem(413, 'The archive unpacks to more than 200 MB.', 'body.base64', 'Take it in in several parts.')
        return /\.(?:json|txt)$/i.test(file.name)
      },
    })
    const names = new Set(Object.keys(files))
    const entries = Object.entries(files).filter(([name]) => !(/\.txt$/i.test(name) && names.has(name.replace(/\.txt$/i, '.json'))))
    if (entries.length > filesAtMost)
      throw new Problem(
        413,
        `The archive holds ${entries.length} files; the limit is ${filesAtMost}.`,
        'body.base64',
        'Take it in in several parts.',
      )
    return entries
  } catch (error) {
    if (error instanceof Problem) throw error
    throw new Problem(422, 'The archive cannot be unpacked.', 'body.base64', 'It may have been cut off on its way; send it again.')
  }
}

async function importDocument(tx: OwnerTransaction, value: unknown): Promise<string[]> {
  const documents =
    typeof value === 'object' && value !== null && 'sessions' in value && Array.isArray(value.sessions)
      ? (value.sessions as unknown[])
      : [value]
  const titles: string[] = []
  for (const document of documents) titles.push((await importSession(tx, randomUUID(), document)).title)
  return titles
}

async function importText(tx: OwnerTransaction, text: string): Promise<string[]> {
  const { sessions } = readScript(text, await currentStandpoint(tx))
  if (sessions.length <= 1) return [(await saveSession(tx, randomUUID(), 0, text)).title]
  const titles: string[] = []
  for (const document of sessions)
    titles.push((await saveSession(tx, randomUUID(), 0, printSession(document as Session), { source: text })).title)
  return titles
}

/** Takes in a script, a document or an archive of either. Each file stands for itself: one that does not fit keeps no other out. */
export async function importFile(tx: OwnerTransaction, name: string, bytes: Uint8Array): Promise<ImportedFile[]> {
  const files: [string, Uint8Array][] = isZip(bytes) ? filesIn(bytes) : [[name, bytes]]
  const results: ImportedFile[] = []
  for (const [file, content] of files) {
    try {
      const text = new TextDecoder('utf-8', { fatal: true }).decode(content)
      const titles = await tx.transaction(inner =>
        /^\s*[{[]/.test(text) ? importDocument(inner, JSON.parse(text)) : importText(inner, text),
      )
      results.push({ file, titles })
    } catch (error) {
      const problem =
        error instanceof Problem
          ? error.problem
          : error instanceof SyntaxError
            ? `Not JSON: ${error.message}`
            : error instanceof TypeError
              ? 'Not text in UTF-8.'
              : null
      if (problem === null) throw error
      results.push({ file, titles: [], problem })
    }
  }
  return results
}
