import { and, asc, eq } from 'drizzle-orm'
import type { DeskStore } from '../../core/wrist/link/desk'
import { joinBytes } from '../../core/wrist/link/protocol'
import type { Database } from '../db/client'
import { asOwner } from '../db/client'
import { arrival, holding, transfer } from '../db/schema'
import type { Turn } from './lease'
import { storeRecording } from './recording'
import { findProgram } from './program'

const noteEvery = 300

/**
 * What is kept about a watch, in the database and under the lease of this turn.
 *
 * @param clockAhead seconds that the watch's clock is ahead, by which its recordings are dated right
 */
export function deskStore(database: Database, owner: string, turn: Turn, clockAhead = 0): DeskStore {
  const { watchId, whileHeld } = turn
  const atSlot = (slot: number) => and(eq(holding.watchId, watchId), eq(holding.slot, slot))
  let notedAt = 0
  return {
    async note(id, arrived) {
      if (Date.now() - notedAt < noteEvery) return 'go-on'
      notedAt = Date.now()
      const noted = await whileHeld(async tx => {
        const [row] = await tx
          .update(transfer)
          .set({ arrived, updatedAt: new Date() })
          .where(eq(transfer.id, id))
          .returning({ isCancelled: transfer.isCancelled })
        return row?.isCancelled ? ('cancelled' as const) : ('go-on' as const)
      })
      return noted ?? 'lost'
    },
    async settle(sending, receipt) {
      return (
        (await whileHeld(async tx => {
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
            .onConflictDoUpdate({ target: [holding.watchId, holding.slot], set: values })
          return true
        })) ?? false
      )
    },
    markLeaving: async slot =>
      (await whileHeld(async tx => {
        await tx.update(holding).set({ isLeaving: true }).where(atSlot(slot))
        return true
      })) ?? false,
    markLeft: async slot =>
      (await whileHeld(async tx => {
        await tx.delete(holding).where(atSlot(slot))
        return true
      })) ?? false,
    async arrived(record) {
      const parts = await asOwner(database, owner, tx =>
        tx
          .select({ at: arrival.at, bytes: arrival.bytes })
          .from(arrival)
          .where(and(eq(arrival.watchId, watchId), eq(arrival.digest, record.digest)))
          .orderBy(asc(arrival.at)),
      )
      return joinBytes(parts.map(part => new Uint8Array(part.bytes)))
    },
    keepPart: async (record, offset, part) =>
      (await whileHeld(async tx => {
        await tx.insert(arrival).values({ watchId, digest: record.digest, at: offset, bytes: part }).onConflictDoNothing()
        return true
      })) ?? false,
    store: (record, taken) =>
      asOwner(database, owner, async tx => {
        const found = taken.program ? await findProgram(tx, taken.program) : null
        const id = await storeRecording(tx, taken, { watchId, clockAhead, ...(found ?? {}) })
        await tx.delete(arrival).where(and(eq(arrival.watchId, watchId), eq(arrival.digest, record.digest)))
        return id
      }),
  }
}
