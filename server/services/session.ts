import { asSentence } from '../../core/words/sentence'
import { saySessionProblem } from '../../core/words/session-problems'
import { and, desc, eq, gt, gte, isNotNull, isNull, lt, notExists, sql } from 'drizzle-orm'
import type { Standpoint } from '../../core/athlete/standpoint'
import { validateSession } from '../../core/formats/validate'
import { printSession } from '../../core/script/print'
import { readScript } from '../../core/script/reader/read-script'
import { checkSession } from '../../core/session/check'
import type { Session } from '../../core/session/document'
import { limits } from '../../core/session/limits'
import { titleOf } from '../../core/script/title'
import type { KeptSession } from '../../shared/api'
import { digestOf } from '../../core/wrist/program/digest'
import type { OwnerTransaction } from '../db/client'
import { holding, program, revision, session, transfer } from '../db/schema'
import { currentStandpoint } from './athlete'
import { shelvedAs } from './facets'
import { figuresOf } from './figures'
import { notFound, Problem } from './problem'

/** Reads a script into the one session it holds, refusing what is past a limit. */
function readOne(script: string, standpoint: Standpoint): Session {
  if (Buffer.byteLength(script) > limits.textBytes)
    throw new Problem(413, 'The text is over 1 MB, the limit.', 'body.script', 'Part it into several sessions.')
  const { sessions, remarks } = readScript(script, standpoint)
  if (sessions.length > 1)
    throw new Problem(
      422,
      `The text holds ${sessions.length} sessions.`,
      'body.script',
      'Keep each as a session of its own; they are parted by a line ---.',
    )
  const document = sessions[0]!
  const past = checkSession(document).find(problem => ['nesting', 'steps', 'duration', 'title'].includes(problem.code))
  if (past) {
    const remark = remarks.find(candidate => candidate.code === past.code)
    throw new Problem(
      422,
      asSentence(saySessionProblem(past)),
      remark ? `body.script line ${remark.line}` : 'body.script',
      'docs/limits.md lists the limits.',
    )
  }
  return document
}

/** The newest revision of a session that is not removed. */
export async function loadSession(tx: OwnerTransaction, id: string): Promise<KeptSession> {
  const [row] = await tx
    .select({ head: session, revision })
    .from(session)
    .innerJoin(revision, and(eq(revision.sessionId, session.id), eq(revision.number, session.head)))
    .where(and(eq(session.id, id), isNull(session.removedAt)))
  if (!row) throw notFound('session', 'params.id')
  return {
    id,
    number: row.revision.number,
    script: row.revision.script,
    document: JSON.parse(row.revision.document) as Session,
    title: row.head.title,
    updatedAt: row.head.updatedAt.toISOString(),
    source: row.revision.source,
    tags: row.head.tags,
    dismissed: row.head.dismissed,
    isArchived: row.head.archivedAt !== null,
  }
}

/** Which tab's words are saved, and their last change by its clock in milliseconds. */
export interface ChangeOfTab {
  tab: string
  change: number
}

export interface SaveOptions {
  by?: ChangeOfTab | undefined
  /** The words as pasted, kept beside what was made of them. */
  source?: string | null
  familyId?: string
}

/**
 * Saves the words of a session as a new revision on top of `base`; base 0 makes the session. A base that is no longer the
 * newest is refused with the other side, so that the athlete chooses. Saving what is there already changes nothing.
 */
export async function saveSession(
  tx: OwnerTransaction,
  id: string,
  base: number,
  script: string,
  { source = null, familyId, by }: SaveOptions = {},
): Promise<KeptSession> {
  const standpoint = await currentStandpoint(tx)
  const document = readOne(script, standpoint)
  if (source !== null) document.source = source
  else if (script !== printSession(document)) document.source = script
  const title = titleOf(document)
  const [head] = await tx.select().from(session).where(eq(session.id, id)).for('update')
  if (head?.removedAt) throw notFound('session', 'params.id')
  if (head && by && head.head !== base && (await wentOnAlone(tx, id, base, by))) base = head.head
  if (head && head.head !== base) {
    const theirs = await loadSession(tx, id)
    if (theirs.script === script && (source === null || theirs.source === source)) return theirs
    if (by && (await holdsChange(tx, id, by))) return theirs
    throw new Problem(409, 'This session was changed elsewhere meanwhile.', 'body.base', 'Look at both and keep one.', { theirs })
  }
  if (!head && base !== 0) throw notFound('session', 'params.id')
  const figures = { ...figuresOf(document, standpoint), ...shelvedAs(document, title), updatedAt: new Date() }
  const number = base + 1
  if (head)
    await tx
      .update(session)
      .set({ ...figures, title, sport: document.sport, head: number })
      .where(eq(session.id, id))
  else {
    const made = await tx
      .insert(session)
      .values({ id, title, sport: document.sport, head: number, familyId: familyId ?? id, ...figures })
      .onConflictDoNothing()
      .returning({ id: session.id })
    if (made.length === 0) throw notFound('session', 'params.id')
  }
  const begun = head && by ? await writeOver(tx, id, base, by) : null
  await tx
    .insert(revision)
    .values({
      ...(by ?? {}),
      ...(begun ? { createdAt: begun } : {}),
      sessionId: id,
      number,
      base,
      script,
      source,
      document: JSON.stringify(document),
      athleteRevision: standpoint.revision,
      readOn: standpoint.day,
      digest: digestOf(document),
    })
  return loadSession(tx, id)
}

/** Whether a tab's change, or a later one of the same tab, is in a revision already: words that old are no other side. */
async function holdsChange(tx: OwnerTransaction, id: string, { tab, change }: ChangeOfTab): Promise<boolean> {
  const [held] = await tx
    .select({ number: revision.number })
    .from(revision)
    .where(and(eq(revision.sessionId, id), eq(revision.tab, tab), gte(revision.change, change)))
    .limit(1)
  return held !== undefined
}

/** Whether all that was saved since `base` is older words of the same tab: it did not hear that they had arrived. */
async function wentOnAlone(tx: OwnerTransaction, id: string, base: number, { tab, change }: ChangeOfTab): Promise<boolean> {
  const since = await tx
    .select({ tab: revision.tab, change: revision.change })
    .from(revision)
    .where(and(eq(revision.sessionId, id), gt(revision.number, base)))
  return since.every(one => one.tab === tab && one.change !== null && one.change < change)
}

const oneRevisionSeconds = 60

/**
 * Makes room for a save that goes on in the same revision: the newest one, where the same tab began it within a minute and
 * nothing was made of it yet.
 *
 * @returns when that one was begun; null where the save is a revision of its own
 */
async function writeOver(tx: OwnerTransaction, id: string, number: number, { tab }: ChangeOfTab): Promise<Date | null> {
  const refersToIt = (table: typeof program | typeof holding | typeof transfer) =>
    notExists(
      tx
        .select({ one: sql`1` })
        .from(table)
        .where(and(eq(table.sessionId, id), eq(table.revision, number))),
    )
  const [gone] = await tx
    .delete(revision)
    .where(
      and(
        eq(revision.sessionId, id),
        eq(revision.number, number),
        eq(revision.tab, tab),
        gt(revision.createdAt, sql`now() - make_interval(secs => ${oneRevisionSeconds})`),
        refersToIt(program),
        refersToIt(holding),
        refersToIt(transfer),
      ),
    )
    .returning({ createdAt: revision.createdAt })
  return gone?.createdAt ?? null
}

/** Takes a session document in from outside, as a new session. */
export async function importSession(tx: OwnerTransaction, id: string, value: unknown): Promise<KeptSession> {
  const validated = validateSession(value)
  if (!validated.ok) {
    const { pointer, problem } = validated.problems[0]!
    throw new Problem(
      422,
      `The session document does not fit its format: ${pointer} ${problem}.`,
      `body.document${pointer}`,
      'docs/formats/session.schema.json says what fits.',
    )
  }
  const against = checkSession(validated.value).find(problem => problem.code !== 'unread')
  if (against)
    throw new Problem(
      422,
      `The session document is not sound: ${saySessionProblem(against)}.`,
      against.path ? `body.document item ${against.path}` : 'body.document',
      'docs/limits.md lists the limits.',
    )
  return saveSession(tx, id, 0, printSession(validated.value))
}

/** Takes a session off the shelf; it can be brought back. */
export async function removeSession(tx: OwnerTransaction, id: string): Promise<void> {
  const removed = await tx
    .update(session)
    .set({ removedAt: new Date() })
    .where(and(eq(session.id, id), isNull(session.removedAt)))
    .returning({ id: session.id })
  if (removed.length === 0) throw notFound('session', 'params.id')
}

export async function restoreSession(tx: OwnerTransaction, id: string): Promise<KeptSession> {
  const restored = await tx
    .update(session)
    .set({ removedAt: null })
    .where(and(eq(session.id, id), isNotNull(session.removedAt)))
    .returning({ id: session.id })
  if (restored.length === 0) throw notFound('removed session', 'params.id')
  return loadSession(tx, id)
}

const copyTitle = (title: string) => {
  const match = /^(.*) (\d+)$/.exec(title)
  return match && Number(match[2]) < 999 ? `${match[1]} ${Number(match[2]) + 1}` : `${title} 2`
}

/** A copy under a new title: a session of its own, or a variant that stays in the family of the original. */
export async function copySession(
  tx: OwnerTransaction,
  id: string,
  copyId: string,
  options: { asVariant?: boolean; title?: string; script?: string } = {},
): Promise<KeptSession> {
  const original = await loadSession(tx, id)
  const title = (options.title ?? copyTitle(original.title)).slice(0, limits.titleLength)
  const lines = (options.script ?? original.script).split('\n').filter(line => !/^title:?\s/i.test(line))
  const [head] = await tx.select({ familyId: session.familyId, tags: session.tags }).from(session).where(eq(session.id, id))
  const familyId = head!.familyId ?? id
  if (options.asVariant && head!.familyId === null) await tx.update(session).set({ familyId }).where(eq(session.id, id))
  const copy = await saveSession(tx, copyId, 0, [`title ${title}`, ...lines].join('\n'), {
    source: original.source,
    ...(options.asVariant ? { familyId } : {}),
  })
  await tx.update(session).set({ tags: head!.tags }).where(eq(session.id, copyId))
  return { ...copy, tags: head!.tags }
}

/** Earlier wordings of a session, newest first. */
export async function listRevisions(tx: OwnerTransaction, id: string, before: number) {
  await loadSession(tx, id)
  return tx
    .select({ number: revision.number, base: revision.base, script: revision.script, createdAt: revision.createdAt })
    .from(revision)
    .where(and(eq(revision.sessionId, id), lt(revision.number, before)))
    .orderBy(desc(revision.number))
    .limit(50)
}
