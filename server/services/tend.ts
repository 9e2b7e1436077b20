import { and, asc, eq, isNotNull } from 'drizzle-orm'
import type { DeskStore } from '../../core/wrist/link/desk'
import { CancelledError, carrySending, clearSlot } from '../../core/wrist/link/desk'
import type { Program } from '../../core/wrist/program/program'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { holding, program, transfer, watch } from '../db/schema'
import { deskStore } from './desk-store'
import type { Turn } from './lease'
import { atWatch, isAnothersTurn } from './lease'
import { choosePlace } from './place'
import { Problem } from './problem'
import type { Sending } from './transfer'
import { ofProgram } from './transfer'

/** Milliseconds after which a job makes room for others, and is queued again for what is left. */
const workFor = 35_000
const yieldAfter = 45_000

type Due = { clear: { slot: number; expects: number } } | { send: Sending }

/** What is to be done next at a watch: what is to be cleared makes room, then what was asked for first. */
async function nextDue(tx: OwnerTransaction, watchId: string): Promise<Due | null> {
  const [leaving] = await tx
    .select({ slot: holding.slot, expects: holding.clears })
    .from(holding)
    .where(and(eq(holding.watchId, watchId), isNotNull(holding.clears)))
    .orderBy(asc(holding.slot))
    .limit(1)
  if (leaving) return { clear: { slot: leaving.slot, expects: leaving.expects! } }
  const [row] = await tx
    .select({ transfer, document: program.document })
    .from(transfer)
    .innerJoin(program, ofProgram)
    .where(and(eq(transfer.watchId, watchId), eq(transfer.state, 'sending')))
    .orderBy(asc(transfer.createdAt), asc(transfer.id))
    .limit(1)
  return row ? { send: { ...row.transfer, program: JSON.parse(row.document) as Program } } : null
}

/** Gives a sending its slot, where the watch was busy when it was asked for. */
async function placed(turn: Turn, sending: Sending, name: string): Promise<Sending> {
  if (sending.slot > 0) return sending
  return choosePlace(turn, { id: sending.watchId, name }, sending.sessionId, sending.isOver, async (tx, place) => {
    await tx.update(transfer).set(place).where(eq(transfer.id, sending.id))
    return { ...sending, ...place }
  })
}

async function doDue(database: Database, owner: string, turn: Turn, name: string, due: Due, yieldAt: number): Promise<void> {
  const store = deskStore(database, owner, turn)
  if ('clear' in due) return clearSlot(store, turn.exchange, due.clear.slot, due.clear.expects)
  const sending = await placed(turn, due.send, name)
  const yielding: DeskStore = { ...store, note: async (id, arrived) => (Date.now() > yieldAt ? 'lost' : store.note(id, arrived)) }
  await carrySending(yielding, turn.exchange, sending, turn.messageBytes)
}

/** What could not be done is not tried again by itself: the athlete is told, and goes on when the watch is near. */
async function stop(tx: OwnerTransaction, watchId: string, due: Due, error: unknown): Promise<void> {
  if ('clear' in due) {
    await tx
      .update(holding)
      .set({ clears: null })
      .where(and(eq(holding.watchId, watchId), eq(holding.slot, due.clear.slot)))
    return
  }
  const outcome =
    error instanceof CancelledError
      ? { state: 'cancelled' as const, problem: null }
      : { state: 'stopped' as const, problem: error instanceof Problem ? error.problem : 'Something went wrong on the way.' }
  await tx
    .update(transfer)
    .set({ ...outcome, updatedAt: new Date() })
    .where(and(eq(transfer.id, due.send.id), eq(transfer.state, 'sending')))
}

/**
 * Does what is due at a watch, one thing in one turn, so that others come to speak with it in between. It can be stopped anywhere and
 * begun again by any server.
 *
 * @returns `more` where something is left, because time is up or somebody else has the watch
 */
export async function tend(database: Database, owner: string, watchId: string): Promise<'done' | 'more'> {
  const begun = Date.now()
  const [kept] = await asOwner(database, owner, tx => tx.select({ name: watch.name }).from(watch).where(eq(watch.id, watchId)))
  if (!kept) return 'done'
  for (;;) {
    const due = await asOwner(database, owner, tx => nextDue(tx, watchId))
    if (!due) return 'done'
    if (Date.now() - begun > workFor) return 'more'
    try {
      await atWatch(database, owner, watchId, turn => doDue(database, owner, turn, kept.name, due, begun + yieldAfter))
    } catch (error) {
      if (isAnothersTurn(error)) return 'more'
      await asOwner(database, owner, tx => stop(tx, watchId, due, error))
    }
  }
}
