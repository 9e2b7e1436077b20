import { and, asc, eq, isNotNull, isNull, sql } from 'drizzle-orm'
import { validateRecording } from '../../core/formats/validate'
import type { Recording, Samples } from '../../core/record/recording'
import type { Mark, MarkKind } from '../../core/wrist/engine/marks'
import { checkRecording } from '../../core/record/recording'
import { currentAthlete, currentStandpoint } from './athlete'
import { doneCord } from '../../core/record/done-cord'
import type { StepBoundary } from '../../core/record/boundaries'
import { score } from '../../core/record/score'
import type { SessionSport } from '../../core/session/document'
import { digestOf } from '../../core/wrist/program/digest'
import type { Program } from '../../core/wrist/program/program'
import type { OwnerTransaction } from '../db/client'
import { mark, recording, recordingOriginal } from '../db/recordings'
import { program } from '../db/schema'
import { findProgram, keepProgram, sessionOf } from './program'
import type { CopyAside, Felt, LoggedRecording } from '../../shared/log'
import { notFound, Problem } from './problem'
import { unzip, zip } from './packed'

export interface Origin {
  /** The id it should have, where that is free. */
  id?: string
  watchId?: string
  sessionId?: string | null
  /** What it was carried out from, and from which revision of the session that was made. */
  program?: Program
  revision?: number | null
  clockAhead?: number
  /** What the athlete has said of it, where it was here before. */
  said?: { title?: string; slept?: number | null; boundaries?: StepBoundary[] }
}

const isThere = (id: string) => and(eq(recording.id, id), isNull(recording.removedAt))

/** Seconds that a watch's clock may be off before its recordings are dated by ours. */
const clockTolerance = 60

/** A recording that fits its format and holds together; anything else is a problem that says where. */
export function soundRecording(value: unknown): Recording {
  const validated = validateRecording(value)
  if (!validated.ok) {
    const { pointer, problem } = validated.problems[0]!
    throw new Problem(
      422,
      `The recording does not fit its format: ${pointer} ${problem}.`,
      `recording${pointer}`,
      'docs/formats/recording.schema.json says what fits.',
    )
  }
  const fault = checkRecording(validated.value)
  if (fault) throw new Problem(422, `The recording is not sound: ${fault}.`, 'recording.samples', 'Send it again from the watch.')
  return validated.value
}

const marksAtOnce = 2000

async function storeMarks(tx: OwnerTransaction, recordingId: string, marks: readonly Mark[]): Promise<void> {
  const rows = marks.map(({ t, kind, path, round }, position) => ({
    recordingId,
    position,
    t,
    kind,
    path: path ?? null,
    round: round ?? null,
  }))
  for (let at = 0; at < rows.length; at += marksAtOnce) await tx.insert(mark).values(rows.slice(at, at + marksAtOnce))
}

/** Stores a recording with its marks and its score; one that is there already is not stored twice, and one that was removed is back. */
export async function storeRecording(tx: OwnerTransaction, value: unknown, origin: Origin): Promise<string> {
  const taken = soundRecording(value)
  const { samples, program: programDigest } = taken
  const digest = digestOf(taken)
  const { program } = origin
  const clockAhead = Math.abs(origin.clockAhead ?? 0) > clockTolerance ? origin.clockAhead! : 0
  if (program) await keepProgram(tx, program, { sessionId: origin.sessionId ?? null, revision: origin.revision ?? null })
  const { title, slept = null, boundaries = [] } = origin.said ?? {}
  const judged = program ? score(program, taken, (await currentAthlete(tx)).athlete, boundaries) : null
  const [row] = await tx
    .insert(recording)
    .values({
      ...(origin.id ? { id: origin.id } : {}),
      digest,
      title: title ?? program?.name ?? 'Without a plan',
      slept,
      boundaries: boundaries.length > 0 ? boundaries : null,
      sport: taken.sport,
      startedAt: new Date(Date.parse(taken.startedAt) - clockAhead * 1000),
      clockAhead: clockAhead || null,
      timeZone: taken.timeZone ?? null,
      seconds: judged?.totals.seconds ?? samples.t.at(-1) ?? 0,
      metres: samples.metres.findLast(entry => entry !== null) ?? null,
      watchId: origin.watchId ?? null,
      sessionId: origin.sessionId ?? null,
      programDigest: programDigest ?? null,
      samples: await zip(JSON.stringify(samples)),
      felt: taken.felt ?? null,
      score: judged,
    })
    .onConflictDoNothing()
    .returning({ id: recording.id })
  if (!row) {
    const [known] = await tx
      .update(recording)
      .set({ removedAt: null, copyOf: null })
      .where(eq(recording.digest, digest))
      .returning({ id: recording.id })
    return known ? known.id : storeRecording(tx, value, { ...origin, id: undefined })
  }
  await storeMarks(tx, row.id, taken.marks)
  return row.id
}

/** How many are drawn by the way, of those that came home before there were cords. */
const drawnAtOnce = 100

/** Draws the cords of recordings that have none yet and whose steps are known. */
export async function drawCords(tx: OwnerTransaction): Promise<void> {
  const undrawn = await tx
    .select({ id: recording.id, score: recording.score, document: program.document })
    .from(recording)
    .innerJoin(program, eq(program.digest, recording.programDigest))
    .where(and(isNull(recording.cord), isNull(recording.removedAt), sql`${recording.score}->>'basis' <> 'none'`))
    .limit(drawnAtOnce)
  if (undrawn.length === 0) return
  const standpoint = await currentStandpoint(tx)
  for (const { id, score: judged, document } of undrawn) {
    const cord = doneCord(JSON.parse(document) as Program, judged!, standpoint) ?? { parts: [], brackets: [] }
    await tx.update(recording).set({ cord }).where(eq(recording.id, id))
  }
}

/** Recordings of other devices that were put aside for one. */
async function copiesOf(tx: OwnerTransaction, id: string): Promise<CopyAside[]> {
  const rows = await tx
    .select({ id: recording.id, sport: recording.sport, startedAt: recording.startedAt, name: recordingOriginal.name })
    .from(recording)
    .leftJoin(recordingOriginal, eq(recordingOriginal.recordingId, recording.id))
    .where(and(eq(recording.copyOf, id), isNotNull(recording.removedAt)))
    .orderBy(asc(recording.startedAt))
  return rows.map(({ sport, name, startedAt, ...row }) => ({ ...row, name: name ?? sport, startedAt: startedAt.toISOString() }))
}

/** One recording whole, with the program it was carried out from and its score. */
export async function loadRecording(tx: OwnerTransaction, id: string): Promise<LoggedRecording> {
  const [row] = await tx.select().from(recording).where(isThere(id))
  if (!row) throw notFound('recording', 'params.id')
  const marks = await tx.select().from(mark).where(eq(mark.recordingId, id)).orderBy(asc(mark.position))
  const samples = JSON.parse((await unzip(row.samples)).toString('utf8')) as Samples
  const kept = row.programDigest === null ? null : await findProgram(tx, row.programDigest)
  const [original] = await tx.select({ name: recordingOriginal.name }).from(recordingOriginal).where(eq(recordingOriginal.recordingId, id))
  return {
    id,
    title: row.title,
    slept: row.slept,
    boundaries: row.boundaries ?? [],
    original: original?.name ?? null,
    copies: await copiesOf(tx, id),
    sessionId: row.sessionId,
    score: row.score,
    program: kept?.program ?? null,
    changedThere: kept?.changedThere ?? false,
    session: kept && (await sessionOf(tx, kept)),
    recording: {
      format: 'agonis.recording',
      version: 1,
      sport: row.sport as SessionSport,
      startedAt: row.startedAt.toISOString(),
      ...(row.timeZone ? { timeZone: row.timeZone } : {}),
      samples,
      marks: marks.map(({ t, kind, path, round }): Mark => ({
        t,
        kind: kind as MarkKind,
        ...(path ? { path } : {}),
        ...(round ? { round } : {}),
      })),
      ...(row.felt ? { felt: row.felt } : {}),
      ...(row.programDigest ? { program: row.programDigest } : {}),
    },
  }
}

/** Whether a recording is in the log under an id. */
export const hasRecording = async (tx: OwnerTransaction, id: string): Promise<boolean> =>
  (await tx.select({ id: recording.id }).from(recording).where(isThere(id))).length > 0

/** Keeps how it felt, and the hours slept before it. */
export async function keepFelt(tx: OwnerTransaction, id: string, { slept, ...felt }: Felt & { slept?: number }): Promise<void> {
  const kept = await tx
    .update(recording)
    .set({ felt, slept: slept ?? null, burden: null })
    .where(isThere(id))
    .returning({ id: recording.id })
  if (kept.length === 0) throw notFound('recording', 'params.id')
}

/** Takes a recording out of the log; it can be brought back. */
export async function removeRecording(tx: OwnerTransaction, id: string): Promise<void> {
  const removed = await tx.update(recording).set({ removedAt: new Date() }).where(isThere(id)).returning({ id: recording.id })
  if (removed.length === 0) throw notFound('recording', 'params.id')
}

export async function restoreRecording(tx: OwnerTransaction, id: string): Promise<void> {
  const restored = await tx
    .update(recording)
    .set({ removedAt: null, copyOf: null })
    .where(and(eq(recording.id, id), isNotNull(recording.removedAt)))
    .returning({ id: recording.id })
  if (restored.length === 0) throw notFound('removed recording', 'params.id')
}
