import { and, asc, eq } from 'drizzle-orm'
import type { DeskStore, SendingRow } from '../../core/wrist/link/desk'
import type { Receipt } from '../../core/wrist/link/transfer'
import { joinBytes } from '../../core/wrist/link/protocol'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { arrival, holding, transfer } from '../db/schema'
import type { Turn } from './lease'
import { storeRecording } from './recording'
import { putCopiesAside } from './taken-recording'
import { findProgram } from './program'

const noteEvery = 300

type Held = Turn['whileHeld']

/** What came of a transfer: the row of the transfer, and what its slot should hold from now on. */
async function settle(whileHeld: Held, watchId: string, sending: SendingRow, receipt: Receipt): Promise<boolean> {
  const settled = await whileHeld(async tx => {
    const [row] = await tx
      .update(transfer)
      .set({ state: 'done', arrived: receipt.size, problem: null, updatedAt: new Date() })
      .where(eq(transfer.id, sending.id))
      .returning()
    const values = {
      watchId,
      slot: receipt.slot,
      sessionId: row!.sessionId,
      revision: row!.revision,
      digest: receipt.digest,
      day: row!.day,
      isLeaving: false,
      receipt: { ...receipt, readBackAt: new Date().toISOString() },
    }
    await tx
      .insert(holding)
      .values(values)
      .onConflictDoUpdate({ target: [holding.ownerId, holding.watchId, holding.slot], set: values })
    return true
  })
  return settled ?? false
}

/** Notes how far a transfer has come, and whether it goes on. */
async function noted(whileHeld: Held, id: string, arrived: number): Promise<'go-on' | 'cancelled' | 'lost'> {
  const result = await whileHeld(async tx => {
    const [row] = await tx
      .update(transfer)
      .set({ arrived, updatedAt: new Date() })
      .where(eq(transfer.id, id))
      .returning({ isCancelled: transfer.isCancelled })
    return row?.isCancelled ? ('cancelled' as const) : ('go-on' as const)
  })
  return result ?? 'lost'
}

/**
 * What is kept about a watch, in the database and under the lease of this turn.
 *
 * @param clockAhead seconds that the watch's clock is ahead, by which its recordings are dated right
 */
export function deskStore(database: Database, owner: string, turn: Turn, clockAhead = 0): DeskStore {
  const { watchId, whileHeld } = turn
  const atSlot = (slot: number) => and(eq(holding.watchId, watchId), eq(holding.slot, slot))
  const partsOf = (digest: string) => and(eq(arrival.watchId, watchId), eq(arrival.digest, digest))
  const done = async (what: (tx: OwnerTransaction) => Promise<unknown>) => (await whileHeld(async tx => (await what(tx), true))) ?? false
  let notedAt = 0
  return {
    async note(id, arrived) {
      if (Date.now() - notedAt < noteEvery) return 'go-on'
      notedAt = Date.now()
      return noted(whileHeld, id, arrived)
    },
    settle: (sending, receipt) => settle(whileHeld, watchId, sending, receipt),
    markLeaving: slot => done(tx => tx.update(holding).set({ isLeaving: true }).where(atSlot(slot))),
    markLeft: slot => done(tx => tx.delete(holding).where(atSlot(slot))),
    async arrived(record) {
      const parts = await asOwner(database, owner, tx =>
        tx.select({ at: arrival.at, bytes: arrival.bytes }).from(arrival).where(partsOf(record.digest)).orderBy(asc(arrival.at)),
      )
      return joinBytes(parts.map(part => new Uint8Array(part.bytes)))
    },
    keepPart: (record, offset, part) =>
      done(tx => tx.insert(arrival).values({ watchId, digest: record.digest, at: offset, bytes: part }).onConflictDoNothing()),
    store: (record, taken) =>
      asOwner(database, owner, async tx => {
        const found = taken.program ? await findProgram(tx, taken.program) : null
        const id = await storeRecording(tx, taken, { watchId, clockAhead, ...(found ?? {}) })
        await putCopiesAside(tx, id)
        await tx.delete(arrival).where(partsOf(record.digest))
        return id
      }),
  }
}
