import { asc, eq, inArray, isNull } from 'drizzle-orm'
import { strToU8, Zip, ZipDeflate } from 'fflate'
import type { OwnerTransaction, Transaction } from '../../db/client'
import { recording, recordingOriginal } from '../../db/recordings'
import { planEntry } from '../../db/plan'
import { athleteRevision, program, revision, session, watch } from '../../db/schema'
import { loadRecording } from '../recording'
import { originalOf } from '../taken-recording'
import type { ArchiveIndex, Wordings } from './layout'
import { athleteHistoryName, athleteName, indexName, originalFile, programFile, recordingFile, sessionFile, wordingsFile } from './layout'

/** The same content is the same bytes, whenever it is written. */
const madeAt = '1990-01-01T00:00:00Z'
type File = [name: string, content: string | Uint8Array]

const pretty = (value: unknown) => `${JSON.stringify(value, null, 2)}\n`

/** What there is, without the documents: few bytes each, so that all of it is in memory at once. */
async function indexOf(tx: OwnerTransaction): Promise<ArchiveIndex> {
  const sessions = await tx.select().from(session).where(isNull(session.removedAt)).orderBy(asc(session.createdAt), asc(session.id))
  const there = new Set(sessions.map(row => row.id))
  const ofShelf = (id: string | null) => (id !== null && there.has(id) ? id : null)
  const recordings = await tx
    .select({
      id: recording.id,
      title: recording.title,
      startedAt: recording.startedAt,
      session: recording.sessionId,
      program: recording.programDigest,
      slept: recording.slept,
      boundaries: recording.boundaries,
      original: recordingOriginal.name,
    })
    .from(recording)
    .leftJoin(recordingOriginal, eq(recordingOriginal.recordingId, recording.id))
    .where(isNull(recording.removedAt))
    .orderBy(asc(recording.startedAt), asc(recording.id))
  const programs = await tx
    .select({ digest: program.digest, session: program.sessionId, revision: program.revision, changedThere: program.changedThere })
    .from(program)
    .orderBy(asc(program.digest))
  const planned = await tx.select().from(planEntry).orderBy(asc(planEntry.day), asc(planEntry.createdAt), asc(planEntry.id))
  const watches = await tx.select().from(watch).orderBy(asc(watch.name), asc(watch.id))
  return {
    format: 'agonis.archive',
    version: 1,
    sessions: sessions.map(row => ({
      id: row.id,
      file: sessionFile(row.title, row.id),
      family: row.familyId ?? row.id,
      tags: row.tags,
      dismissed: row.dismissed,
      isArchived: row.archivedAt !== null,
      createdAt: row.createdAt.toISOString(),
      updatedAt: row.updatedAt.toISOString(),
    })),
    plan: planned
      .filter(row => row.sessionId === null || there.has(row.sessionId))
      .map(({ id: _, ownerId: __, changedAt: ___, sessionId, createdAt, ...row }) => ({
        ...row,
        session: sessionId,
        createdAt: createdAt.toISOString(),
      })),
    programs: programs.map(row => ({ ...row, session: ofShelf(row.session) })),
    recordings: recordings.map(row => ({
      id: row.id,
      file: recordingFile(row.startedAt.toISOString(), row.title, row.id),
      session: ofShelf(row.session),
      program: row.program,
      title: row.title,
      ...(row.slept === null ? {} : { slept: row.slept }),
      ...(row.boundaries === null ? {} : { boundaries: row.boundaries }),
      original: row.original === null ? null : { file: originalFile(row.id), name: row.original },
    })),
    watches: watches.map(({ name, profile, link, standing }) => ({ name, profile, link, standing })),
  }
}

async function sessionFiles(tx: OwnerTransaction, id: string, file: string): Promise<File[]> {
  const wordings = await tx.select().from(revision).where(eq(revision.sessionId, id)).orderBy(asc(revision.number))
  const newest = wordings.at(-1)!
  const rows: Wordings = wordings.map(row => ({
    number: row.number,
    base: row.base,
    script: row.script,
    source: row.source,
    document: JSON.parse(row.document) as object,
    readOn: row.readOn,
    savedAt: row.createdAt.toISOString(),
  }))
  return [
    [`${file}.txt`, newest.script],
    [`${file}.json`, pretty(JSON.parse(newest.document))],
    [wordingsFile(id), pretty(rows)],
  ]
}

/** Everything of the owner, file by file, each read when it is its turn. */
async function* filesOf(transaction: Transaction): AsyncGenerator<File> {
  const index = await transaction(indexOf)
  yield [indexName, pretty(index)]
  const saves = await transaction(tx => tx.select().from(athleteRevision).orderBy(asc(athleteRevision.number)))
  const history = saves.map(row => ({
    number: row.number,
    savedAt: row.createdAt.toISOString(),
    athlete: JSON.parse(row.document) as object,
  }))
  if (history.length > 0) {
    yield [athleteName, pretty(history.at(-1)!.athlete)]
    yield [athleteHistoryName, pretty(history)]
  }
  for (const { id, file } of index.sessions) yield* await transaction(tx => sessionFiles(tx, id, file))
  const digests = index.programs.map(one => one.digest)
  for (let at = 0; at < digests.length; at += 50) {
    const rows = await transaction(tx =>
      tx
        .select()
        .from(program)
        .where(inArray(program.digest, digests.slice(at, at + 50))),
    )
    for (const row of rows) yield [programFile(row.digest), pretty(JSON.parse(row.document))]
  }
  for (const { id, file, original } of index.recordings) {
    yield [file, `${JSON.stringify((await transaction(tx => loadRecording(tx, id))).recording)}\n`]
    if (original) yield [original.file, (await transaction(tx => originalOf(tx, id))).bytes]
  }
}

/**
 * Everything of the owner as one zip, written as it is read: however much there is, only one file of it is in memory.
 *
 * @returns the parts of the zip, in order
 */
export async function* writeArchive(transaction: Transaction): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = []
  const zip = new Zip((error, part) => {
    if (error) throw error
    ready.push(part)
  })
  for await (const [name, content] of filesOf(transaction)) {
    const entry = new ZipDeflate(name, { level: 6 })
    entry.mtime = madeAt
    zip.add(entry)
    entry.push(typeof content === 'string' ? strToU8(content) : content, true)
    yield* ready.splice(0)
  }
  zip.end()
  yield* ready.splice(0)
}
