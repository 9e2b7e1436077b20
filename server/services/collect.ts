import { and, eq } from 'drizzle-orm'
import { bringHome } from '../../core/wrist/link/desk'
import { greet, listSlots, readBack } from '../../core/wrist/link/transfer'
import type { Database } from '../db/client'
import { holding } from '../db/schema'
import { clockAheadOf } from './clock'
import { deskStore } from './desk-store'
import type { Turn } from './lease'
import { atWatch } from './lease'
import { findProgram, keepProgram } from './program'

/** Keeps the programs that were made out of ours with the buttons of a watch: recordings of them are judged by them. */
async function keepChangedThere({ exchange, messageBytes, watchId, whileHeld }: Turn): Promise<void> {
  const { slots } = await listSlots(exchange)
  for (const { slot, by, digest } of slots) {
    if (by !== 'hand' || digest === null) continue
    const isNew = await whileHeld(async tx => (await findProgram(tx, digest)) === null)
    /** What cannot be read keeps no recording from coming home. */
    const { program } = isNew ? await readBack(exchange, slot, messageBytes).catch(() => ({ program: null })) : { program: null }
    if (!program) continue
    await whileHeld(async tx => {
      const [held] = await tx
        .select({ sessionId: holding.sessionId, revision: holding.revision })
        .from(holding)
        .where(and(eq(holding.watchId, watchId), eq(holding.slot, slot)))
      await keepProgram(tx, program, { sessionId: null, revision: null, ...held, changedThere: held !== undefined })
    })
  }
}

/** Brings every finished recording of a watch home; the watch frees each only once it is stored here. */
export function collectRecordings(database: Database, owner: string, watchId: string): Promise<string[]> {
  return atWatch(database, owner, watchId, async turn => {
    const { clock } = await greet(turn.exchange)
    await keepChangedThere(turn)
    return bringHome(deskStore(database, owner, turn, clockAheadOf(clock)), turn.exchange, turn.recordingBytes)
  })
}
