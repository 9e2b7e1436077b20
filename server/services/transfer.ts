import { and, desc, eq, inArray } from 'drizzle-orm'
import { canonicalBytes } from '../../core/wrist/program/digest'
import type { Loss } from '../../core/wrist/fit/fit'
import type { Program } from '../../core/wrist/program/program'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { program, transfer, watch } from '../db/schema'
import { enqueue } from '../queue/boss'
import type { KeptWatch, TransferState } from '../../shared/api'
import type { FittedSession } from './fit'
import { fitSession } from './fit'
import { keepProgram } from './program'
import { atWatch, isAnothersTurn } from './lease'
import type { SlotTarget } from './place'
import { choosePlace } from './place'
import { notFound, Problem } from './problem'

type TransferRecord = typeof transfer.$inferSelect
/** A sending with the program that it sends. */
export type Sending = TransferRecord & { program: Program }
const abandonedAfter = 90_000
/** So long a request waits for its turn at a watch; then the sending is given its slot when its turn comes. */
const waitForPlace = 1500

const stateOf = (
  row: Pick<TransferRecord, keyof TransferState & keyof TransferRecord> & { program: Pick<Program, 'name'> },
): TransferState => ({
  id: row.id,
  watchId: row.watchId,
  sessionId: row.sessionId,
  slot: row.slot,
  title: row.program.name,
  state: row.state,
  arrived: row.arrived,
  size: row.size,
  problem: row.problem,
  updatedAt: row.updatedAt.toISOString(),
})

export interface SendingAsk {
  watchId: string
  sessionId: string
  place?: SlotTarget
  day?: string
  isOver?: boolean
  /** The program that was looked at before sending: where another would be made now, nothing is sent. */
  digest?: string
  /** What the session becomes there, where that is known already. */
  fitted?: FittedSession
}

/** Begins to send a session to a watch; the sending goes on by itself and can be followed, cancelled and resumed. */
export async function startTransfer(database: Database, owner: string, ask: SendingAsk): Promise<TransferState & { losses: Loss[] }> {
  const { watchId, sessionId } = ask
  const { kept, revision, program, digest, losses, fits } =
    ask.fitted ?? (await asOwner(database, owner, tx => fitSession(tx, watchId, sessionId)))
  if (!fits) {
    throw new Problem(
      422,
      `${kept.name} cannot hold this session: ${losses.find(loss => loss.instead === null)!.what}.`,
      'session',
      'Change the session, choose something else instead, or take another watch.',
      { losses },
    )
  }
  if (ask.digest !== undefined && ask.digest !== digest) {
    throw new Problem(
      409,
      'The session, your numbers or the watch have changed since you looked.',
      'body.digest',
      'Look at what would be sent now.',
      { why: 'changed' },
    )
  }
  const insert = async (tx: OwnerTransaction, place: SlotTarget) => {
    await tx
      .update(transfer)
      .set({ state: 'cancelled', updatedAt: new Date() })
      .where(and(eq(transfer.watchId, watchId), eq(transfer.sessionId, sessionId), eq(transfer.state, 'stopped')))
    await keepProgram(tx, program, { sessionId, revision })
    const values = { watchId, sessionId, revision, ...place, digest, day: ask.day ?? null, isOver: ask.isOver ?? false }
    const [made] = await tx
      .insert(transfer)
      .values({ ...values, state: 'sending', size: canonicalBytes(program).length })
      .returning()
    return { ...made!, program }
  }
  const row = ask.place
    ? await asOwner(database, owner, tx => insert(tx, ask.place!))
    : await insertInTurn(database, owner, kept, sessionId, ask.isOver ?? false, insert)
  await enqueue(database, 'tending', { owner, watch: watchId })
  return { ...stateOf(row), losses }
}

/** Keeps a sending with its slot, chosen while nobody else speaks with the watch; without one where somebody does for longer. */
async function insertInTurn<T>(
  database: Database,
  owner: string,
  kept: KeptWatch,
  sessionId: string,
  isOver: boolean,
  insert: (tx: OwnerTransaction, place: SlotTarget) => Promise<T>,
): Promise<T> {
  try {
    return await atWatch(database, owner, kept.id, turn => choosePlace(turn, kept, sessionId, isOver, insert), waitForPlace)
  } catch (error) {
    if (!isAnothersTurn(error)) throw error
    return asOwner(database, owner, tx => insert(tx, { slot: 0, expects: 0, incarnation: '' }))
  }
}

export const ofProgram = and(eq(program.ownerId, transfer.ownerId), eq(program.digest, transfer.digest))

async function loadTransfer(tx: OwnerTransaction, id: string): Promise<Sending> {
  const [row] = await tx
    .select({ transfer, document: program.document })
    .from(transfer)
    .innerJoin(program, ofProgram)
    .where(eq(transfer.id, id))
  if (!row) throw notFound('sending', 'params.id')
  return { ...row.transfer, program: JSON.parse(row.document) as Program }
}

/** Puts a sending that is not at its end on its way again. */
async function sendOn(database: Database, owner: string, id: string, values: Partial<TransferRecord>): Promise<TransferState> {
  const row = await asOwner(database, owner, async tx => {
    const current = await loadTransfer(tx, id)
    if (current.state === 'done' || current.state === 'cancelled') return current
    const [next] = await tx
      .update(transfer)
      .set({ ...values, state: 'sending', updatedAt: new Date() })
      .where(eq(transfer.id, id))
      .returning()
    return { ...next!, program: current.program }
  })
  if (row.state === 'sending') await enqueue(database, 'tending', { owner, watch: row.watchId })
  return stateOf(row)
}

/** Goes on with a sending that stopped. */
export const resumeTransfer = (database: Database, owner: string, id: string): Promise<TransferState> =>
  sendOn(database, owner, id, { problem: null })

/**
 * Cancels a sending. It is cancelled once the watch has been asked whether it came too late: then the program is there, and the
 * sending is done after all.
 */
export const cancelSending = (database: Database, owner: string, id: string): Promise<TransferState> =>
  sendOn(database, owner, id, { isCancelled: true })

/** Whether nobody carries a sending on: nothing has moved for long, and nobody speaks with its watch. */
const isAbandoned = (row: TransferRecord, leaseUntil: Date | null) =>
  row.state === 'sending' &&
  Date.now() - row.updatedAt.getTime() > abandonedAfter &&
  (leaseUntil === null || leaseUntil.getTime() < Date.now())

/** Where a sending stands; one that nobody carries on any more is said to have stopped. */
export async function followTransfer(tx: OwnerTransaction, id: string): Promise<TransferState> {
  const row = await loadTransfer(tx, id)
  const [kept] = await tx.select({ leaseUntil: watch.leaseUntil }).from(watch).where(eq(watch.id, row.watchId))
  return stateOf(
    isAbandoned(row, kept?.leaseUntil ?? null) ? { ...row, state: 'stopped', problem: 'The server stopped while sending.' } : row,
  )
}

/** The sendings to a watch that are not at their end: what is going on, and what can be resumed. */
export async function openTransfers(tx: OwnerTransaction, watchId: string): Promise<TransferState[]> {
  const found = await tx
    .select({ transfer, name: program.name, leaseUntil: watch.leaseUntil })
    .from(transfer)
    .innerJoin(program, ofProgram)
    .innerJoin(watch, and(eq(watch.ownerId, transfer.ownerId), eq(watch.id, transfer.watchId)))
    .where(and(eq(transfer.watchId, watchId), inArray(transfer.state, ['sending', 'stopped'])))
    .orderBy(desc(transfer.createdAt))
    .limit(50)
  const rows = found.map(({ transfer: row, name, leaseUntil }) => ({ ...row, leaseUntil, program: { name } }))
  const newest = rows.filter((row, index) => rows.findIndex(other => other.sessionId === row.sessionId) === index)
  return newest.map(row => stateOf(isAbandoned(row, row.leaseUntil) ? { ...row, state: 'stopped' } : row))
}
