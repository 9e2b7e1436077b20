import { and, desc, eq, inArray } from 'drizzle-orm'
import { CancelledError, carrySending } from '../../core/wrist/link/desk'
import { canonicalBytes } from '../../core/wrist/program/digest'
import type { Loss } from '../../core/wrist/fit/fit'
import type { Program } from '../../core/wrist/program/program'
import { greet, listSlots } from '../../core/wrist/link/transfer'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { holding, program, transfer } from '../db/schema'
import type { KeptWatch, TransferState } from '../../shared/api'
import { deskStore } from './desk-store'
import type { FittedSession } from './fit'
import { fitSession } from './fit'
import { keepProgram } from './program'
import { atWatch } from './lease'
import { notFound, Problem } from './problem'

type TransferRecord = typeof transfer.$inferSelect
/** A sending with the program that it sends. */
type Sending = TransferRecord & { program: Program }
const abandonedAfter = 40_000
/** Sendings that this process carries on, and the last of each watch, behind which the next one queues. */
const underWay = new Set<string>()
const lastOf = new Map<string, Promise<void>>()

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

interface SlotTarget {
  slot: number
  expects: number
  incarnation: string
}

/**
 * The slot a session goes to: where it already is, else a free one. A program that came there by a sending whose server stopped right
 * behind the commit is its own too.
 *
 * @param isOver what was changed on the watch in that slot may be replaced
 */
async function choosePlace(database: Database, owner: string, kept: KeptWatch, sessionId: string, isOver: boolean): Promise<SlotTarget> {
  const { incarnation, slots } = await atWatch(database, owner, kept.id, async ({ exchange }) => ({
    ...(await greet(exchange)),
    ...(await listSlots(exchange)),
  }))
  const { held, stopped } = await asOwner(database, owner, async tx => ({
    held: await tx.select({ slot: holding.slot, sessionId: holding.sessionId }).from(holding).where(eq(holding.watchId, kept.id)),
    stopped: await tx
      .select({ slot: transfer.slot, digest: transfer.digest })
      .from(transfer)
      .where(and(eq(transfer.watchId, kept.id), eq(transfer.sessionId, sessionId), eq(transfer.state, 'stopped'))),
  }))
  const own =
    held.find(entry => entry.sessionId === sessionId) ??
    stopped.find(entry => slots.some(state => state.slot === entry.slot && state.digest === entry.digest))
  const taken = new Set(held.map(entry => entry.slot))
  const found = slots.find(state => (own ? state.slot === own.slot : state.digest === null && !taken.has(state.slot)))
  if (!found) throw new Problem(409, `All ${slots.length} slots of ${kept.name} are taken.`, 'watch', 'Clear one in Watches first.')
  if (found.by === 'hand' && !isOver) {
    throw new Problem(
      409,
      `"${found.name}" was made or changed on the watch, and is nowhere else.`,
      'body.over',
      'Say that it may be replaced, or read it back first.',
      { why: 'hand-made' },
    )
  }
  return { slot: found.slot, expects: found.generation, incarnation }
}

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
  const place = ask.place ?? (await choosePlace(database, owner, kept, sessionId, ask.isOver ?? false))
  const row = await asOwner(database, owner, async tx => {
    await tx
      .update(transfer)
      .set({ state: 'cancelled', updatedAt: new Date() })
      .where(and(eq(transfer.watchId, watchId), eq(transfer.sessionId, sessionId), eq(transfer.state, 'stopped')))
    await keepProgram(tx, program, { sessionId, revision })
    const [made] = await tx
      .insert(transfer)
      .values({
        watchId,
        sessionId,
        revision,
        ...place,
        digest,
        day: ask.day ?? null,
        state: 'sending',
        size: canonicalBytes(program).length,
      })
      .returning()
    return { ...made!, program }
  })
  enqueue(database, owner, row)
  return { ...stateOf(row), losses }
}

const ofProgram = and(eq(program.ownerId, transfer.ownerId), eq(program.digest, transfer.digest))

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
  if (row.state === 'sending') enqueue(database, owner, row)
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

const isAbandoned = (row: TransferRecord) =>
  row.state === 'sending' && !underWay.has(row.id) && Date.now() - row.updatedAt.getTime() > abandonedAfter

/** Where a sending stands; one that nobody carries on any more is said to have stopped. */
export async function followTransfer(tx: OwnerTransaction, id: string): Promise<TransferState> {
  const row = await loadTransfer(tx, id)
  return stateOf(isAbandoned(row) ? { ...row, state: 'stopped', problem: 'The server stopped while sending.' } : row)
}

/** The sendings to a watch that are not at their end: what is going on, and what can be resumed. */
export async function openTransfers(tx: OwnerTransaction, watchId: string): Promise<TransferState[]> {
  const found = await tx
    .select({ transfer, name: program.name })
    .from(transfer)
    .innerJoin(program, ofProgram)
    .where(and(eq(transfer.watchId, watchId), inArray(transfer.state, ['sending', 'stopped'])))
    .orderBy(desc(transfer.createdAt))
    .limit(50)
  const rows = found.map(({ transfer: row, name }) => ({ ...row, program: { name } }))
  const newest = rows.filter((row, index) => rows.findIndex(other => other.sessionId === row.sessionId) === index)
  return newest.map(row => stateOf(isAbandoned(row) ? { ...row, state: 'stopped' } : row))
}

const sayWhy = (error: unknown) => (error instanceof Problem ? error.problem : (error as Error).message)

function enqueue(database: Database, owner: string, row: Sending): void {
  if (underWay.has(row.id)) return
  underWay.add(row.id)
  const run = (lastOf.get(row.watchId) ?? Promise.resolve())
    .then(() => carryOn(database, owner, row))
    .catch(() => {})
    .finally(() => {
      if (lastOf.get(row.watchId) === run) lastOf.delete(row.watchId)
    })
  lastOf.set(row.watchId, run)
}

async function carryOn(database: Database, owner: string, row: Sending): Promise<void> {
  const end = (values: Partial<TransferRecord>) =>
    asOwner(database, owner, tx =>
      tx
        .update(transfer)
        .set({ ...values, updatedAt: new Date() })
        .where(and(eq(transfer.id, row.id), eq(transfer.state, 'sending'))),
    )
  try {
    await atWatch(database, owner, row.watchId, turn =>
      carrySending(deskStore(database, owner, turn), turn.exchange, row, turn.messageBytes),
    )
  } catch (error) {
    await end(error instanceof CancelledError ? { state: 'cancelled', problem: null } : { state: 'stopped', problem: sayWhy(error) }).catch(
      () => {},
    )
  } finally {
    underWay.delete(row.id)
  }
}
