import { randomUUID } from 'node:crypto'
import { and, eq, sql } from 'drizzle-orm'
import { ValidationError } from 'yup'
import { hereAlready } from '../../../shared/api'
import type { InferType, Schema } from 'yup'
import type { Validated } from '../../../core/formats/validate'
import { validateKeptAthlete, validateProgram, validateSession } from '../../../core/formats/validate'
import { isCalendarDay } from '../../../core/quantity/day'
import { checkSession } from '../../../core/session/check'
import type { Session } from '../../../core/session/document'
import { titleOf } from '../../../core/script/title'
import { saySessionProblem } from '../../../core/words/session-problems'
import { digestOf } from '../../../core/wrist/program/digest'
import type { ImportedFile, LinkKind } from '../../../shared/api'
import type { OwnerTransaction, Transaction } from '../../db/client'
import { planEntry } from '../../db/plan'
import { athleteRevision, revision, session, watch } from '../../db/schema'
import { currentAthlete, currentStandpoint } from '../athlete'
import { shelvedAs } from '../facets'
import { figuresOf } from '../figures'
import { Problem } from '../problem'
import { findProgram, keepProgram } from '../program'
import { hasRecording, storeRecording } from '../recording'
import { refuseUnsound } from '../sound-input'
import { keepOriginal } from '../taken-recording'
import { addWatch, changeWatch } from '../watch'
import type { ArchiveIndex, Wordings } from './layout'
import {
  athleteHistoryName,
  athleteHistoryShape,
  athleteName,
  indexName,
  indexShape,
  programFile,
  wordingsFile,
  wordingsShape,
} from './layout'
import type { Archive } from './unpack'
import { FileFault } from './unpack'

/** Under which id a session of the archive is here: its own, or another where that one is taken. */
type Ids = Map<string, string>

/** Reads one file as JSON that a database can keep. */
async function jsonIn(archive: Archive, name: string): Promise<unknown> {
  if (!archive.has(name)) throw new FileFault('Is missing in the archive.')
  let value: unknown
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(await archive.read(name)))
  } catch (error) {
    if (error instanceof SyntaxError || error instanceof TypeError) throw new FileFault(`Not JSON: ${error.message}`)
    throw error
  }
  refuseUnsound(value, name)
  return value
}

async function fitting<S extends Schema>(shape: S, value: unknown): Promise<InferType<S>> {
  try {
    return (await shape.strict(true).validate(value)) as InferType<S>
  } catch (error) {
    if (error instanceof ValidationError) throw new FileFault(`Is not as an archive has it: ${error.message}.`)
    throw error
  }
}

const atOr = (iso: string): Date => (Number.isNaN(Date.parse(iso)) ? new Date() : new Date(iso))

type SoundWording = Omit<Wordings[number], 'document'> & { document: Session }

/** What fits its format; anything else is a fault of its file that says where. */
function accepted<T>(validated: Validated<T>, what: string): T {
  if (validated.ok) return validated.value
  const { pointer, problem } = validated.problems[0]!
  throw new FileFault(`Does not fit the format of ${what}: ${pointer} ${problem}.`)
}

function soundDocument(value: unknown): Session {
  const document = accepted(validateSession(value), 'a session')
  const against = checkSession(document).find(problem => problem.code !== 'unread')
  if (against) throw new FileFault(`The session is not sound: ${saySessionProblem(against)}.`)
  return document
}

/** Puts a session on the shelf with all its wordings, under its own id where that is free. */
async function insertSession(
  tx: OwnerTransaction,
  entry: ArchiveIndex['sessions'][number],
  wordings: readonly SoundWording[],
  ids: Ids,
): Promise<string> {
  const newest = wordings.at(-1)!
  const title = titleOf(newest.document)
  const values = {
    title,
    sport: newest.document.sport,
    head: newest.number,
    familyId: ids.get(entry.family) ?? entry.family,
    tags: entry.tags,
    dismissed: entry.dismissed,
    archivedAt: entry.isArchived ? new Date() : null,
    createdAt: atOr(entry.createdAt),
    updatedAt: atOr(entry.updatedAt),
    ...figuresOf(newest.document, await currentStandpoint(tx)),
    ...shelvedAs(newest.document, title),
  }
  const [made] = await tx
    .insert(session)
    .values({ id: entry.id, ...values })
    .onConflictDoNothing()
    .returning({ id: session.id })
  const id = made?.id ?? randomUUID()
  if (!made) await tx.insert(session).values({ id, ...values, familyId: entry.family === entry.id ? id : values.familyId })
  await tx
    .insert(revision)
    .values(
      wordings.map(row => ({
        sessionId: id,
        number: row.number,
        base: row.base,
        script: row.script,
        source: row.source,
        document: JSON.stringify(row.document),
        readOn: row.readOn !== null && isCalendarDay(row.readOn) ? row.readOn : null,
        digest: digestOf(row.document),
        createdAt: atOr(row.savedAt),
      })),
    )
  return id
}

async function takeSession(
  transaction: Transaction,
  archive: Archive,
  entry: ArchiveIndex['sessions'][number],
  ids: Ids,
): Promise<ImportedFile> {
  const file = `${entry.file}.json`
  const rows = await fitting(wordingsShape, await jsonIn(archive, wordingsFile(entry.id)))
  const wordings = rows.map(row => ({ ...row, document: soundDocument(row.document) })).sort((one, other) => one.number - other.number)
  const newest = wordings.at(-1)
  if (!newest || new Set(wordings.map(row => row.number)).size < wordings.length) throw new FileFault('Has no wordings in order.')
  const title = titleOf(newest.document)
  return transaction(async tx => {
    const [known] = await tx
      .select({ id: session.id, digest: revision.digest })
      .from(session)
      .innerJoin(revision, and(eq(revision.sessionId, session.id), eq(revision.number, session.head)))
      .where(eq(session.id, entry.id))
    if (known?.digest === digestOf(newest.document)) {
      await tx.update(session).set({ removedAt: null }).where(eq(session.id, entry.id))
      ids.set(entry.id, entry.id)
      return { file, titles: [title], note: hereAlready }
    }
    ids.set(entry.id, await insertSession(tx, entry, wordings, ids))
    return { file, titles: [title], ...(known ? { note: 'another wording of it is here: it is kept beside that one' } : {}) }
  })
}

async function takeAthlete(transaction: Transaction, archive: Archive): Promise<ImportedFile> {
  const saves = await fitting(athleteHistoryShape, await jsonIn(archive, athleteHistoryName))
  const athletes = saves.map(save => ({ ...save, athlete: accepted(validateKeptAthlete(save.athlete), 'an athlete') }))
  return transaction(async tx => {
    const current = await currentAthlete(tx)
    const newest = athletes.at(-1)
    if (newest === undefined) return { file: athleteName, titles: [] }
    if (current.number > 0)
      return digestOf(current.athlete) === digestOf(newest.athlete)
        ? { file: athleteName, titles: [], note: hereAlready }
        : { file: athleteName, titles: [], problem: 'There are numbers of yours here already, which stay as they are.' }
    await tx
      .insert(athleteRevision)
      .values(
        athletes.map(({ athlete, savedAt }, index) => ({
          number: index + 1,
          document: JSON.stringify(athlete),
          digest: digestOf(athlete),
          createdAt: atOr(savedAt),
        })),
      )
    return { file: athleteName, titles: [newest.athlete.name] }
  })
}

async function takeProgram(
  transaction: Transaction,
  archive: Archive,
  entry: ArchiveIndex['programs'][number],
  ids: Ids,
): Promise<ImportedFile> {
  const file = programFile(entry.digest)
  const document = accepted(validateProgram(await jsonIn(archive, file)), 'a program')
  if (digestOf(document) !== entry.digest) throw new FileFault('Is not the program that the index names.')
  await transaction(tx =>
    keepProgram(tx, document, {
      sessionId: (entry.session && ids.get(entry.session)) ?? null,
      revision: entry.revision,
      changedThere: entry.changedThere,
    }),
  )
  return { file, titles: [] }
}

async function takeRecording(
  transaction: Transaction,
  archive: Archive,
  entry: ArchiveIndex['recordings'][number],
  ids: Ids,
): Promise<ImportedFile> {
  const value = await jsonIn(archive, entry.file)
  const original = entry.original && archive.has(entry.original.file) ? await archive.read(entry.original.file) : null
  return transaction(async tx => {
    if (await hasRecording(tx, entry.id)) return { file: entry.file, titles: [], note: hereAlready }
    const kept = entry.program === null ? null : await findProgram(tx, entry.program)
    const id = await storeRecording(tx, value, {
      id: entry.id,
      said: { title: entry.title, slept: entry.slept, boundaries: entry.boundaries },
      sessionId: (entry.session && ids.get(entry.session)) ?? null,
      ...(kept ? { program: kept.program } : {}),
    })
    if (original) await keepOriginal(tx, id, entry.original!.name, original)
    return { file: entry.file, titles: [entry.title ?? kept?.program.name ?? 'Without a plan'] }
  })
}

async function takePlan(transaction: Transaction, plan: ArchiveIndex['plan'], ids: Ids): Promise<ImportedFile> {
  const rows = plan.filter(row => (row.session === null ? row.kind !== 'session' : ids.has(row.session)) && isCalendarDay(row.day))
  await transaction(async tx => {
    for (const { session: id, createdAt, ...row } of rows) {
      const sessionId = id === null ? null : ids.get(id)!
      const isSame =
        sessionId === null
          ? and(eq(planEntry.kind, row.kind), sql`coalesce(${planEntry.name}, '') = ${row.name ?? ''}`)
          : eq(planEntry.sessionId, sessionId)
      const known = await tx
        .select({ id: planEntry.id })
        .from(planEntry)
        .where(and(isSame, eq(planEntry.day, row.day)))
      if (known.length === 0) await tx.insert(planEntry).values({ ...row, sessionId, createdAt: atOr(createdAt) })
    }
  })
  const lost = plan.length - rows.length
  return {
    file: 'plan',
    titles: [],
    ...(lost > 0 ? { problem: `${lost} of ${plan.length} days are of sessions that were not taken in.` } : {}),
  }
}

/** Watches come without their keys: those of a name that is not here yet are to be paired. */
async function takeWatches(transaction: Transaction, owner: string, watches: ArchiveIndex['watches']): Promise<ImportedFile> {
  await transaction(async tx => {
    for (const { name, profile, link, standing } of watches) {
      const known = await tx.select({ id: watch.id }).from(watch).where(eq(watch.name, name))
      if (known.length > 0) continue
      const added = await addWatch(tx, owner, { name, profile: (profile as { name?: string }).name ?? '' })
      await changeWatch(tx, added.id, {
        profile,
        link: link === 'cable' ? 'cable' : ('radio' satisfies LinkKind),
        standing: standing as Record<string, string>,
      })
    }
  })
  return { file: 'watches', titles: [] }
}

/** Whether an archive is one of everything, as this application writes it. */
export const isOfEverything = (archive: Archive): boolean => archive.has(indexName)

/** Without its index an archive is none of everything: nothing of it is taken in. */
async function readIndex(archive: Archive): Promise<ArchiveIndex> {
  try {
    return await fitting(indexShape, await jsonIn(archive, indexName))
  } catch (error) {
    if (error instanceof FileFault)
      throw new Problem(422, `${indexName}: ${error.message}`, 'body', 'Take its files in one by one, or update first.')
    throw error
  }
}

/** A file that is to be taken in, and how. */
export interface Part {
  file: string
  take: () => Promise<ImportedFile>
}

/**
 * What an archive of everything comes to, part by part and in their order, each taken in by a transaction of its own: a file that is
 * damaged keeps no other out. What is here already stays as it is.
 */
export async function partsOfEverything(transaction: Transaction, owner: string, archive: Archive): Promise<Part[]> {
  const index = await readIndex(archive)
  const ids: Ids = new Map()
  return [
    ...(archive.has(athleteHistoryName) ? [{ file: athleteName, take: () => takeAthlete(transaction, archive) }] : []),
    ...index.sessions.map(entry => ({ file: `${entry.file}.json`, take: () => takeSession(transaction, archive, entry, ids) })),
    ...index.programs.map(entry => ({ file: programFile(entry.digest), take: () => takeProgram(transaction, archive, entry, ids) })),
    ...index.recordings.map(entry => ({ file: entry.file, take: () => takeRecording(transaction, archive, entry, ids) })),
    { file: 'plan', take: () => takePlan(transaction, index.plan, ids) },
    { file: 'watches', take: () => takeWatches(transaction, owner, index.watches) },
  ]
}
