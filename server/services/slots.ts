import { and, eq, isNull } from 'drizzle-orm'
import { unitsOf } from '../../core/athlete/athlete'
import { clearSlot } from '../../core/wrist/link/desk'
import { comparePrograms } from '../../core/wrist/program/compare'
import type { Program } from '../../core/wrist/program/program'
import { greet, listRecords, listSlots, readBack } from '../../core/wrist/link/transfer'
import { staleReasons, slotStatusOf } from '../../core/wrist/link/slot-status'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { holding, program, session, watch } from '../db/schema'
import type { SlotComparison, SlotRow, WatchState } from '../../shared/api'
import { currentAthlete } from './athlete'
import { clockAheadOf } from './clock'
import { deskStore } from './desk-store'
import { fitterFor } from './fit'
import type { Turn } from './lease'
import { atWatch } from './lease'
import { refuseHandMade } from './place'

export interface Held {
  slot: number
  program: Program
  digest: string
  day: string | null
  isLeaving: boolean
  sessionId: string | null
  revision: number
  readBackAt: string | null
  /** As it would be sent today, or what it would be made from where it does not fit any more; null where the session is gone. */
  today: Program | Pick<Program, 'from'> | null
}

export const ofProgram = and(eq(program.ownerId, holding.ownerId), eq(program.digest, holding.digest))

/** What a watch should hold, each beside what would be sent today. */
export async function shouldHold(tx: OwnerTransaction, watchId: string): Promise<Held[]> {
  const rows = await tx
    .select({ holding, document: program.document, alive: session.id })
    .from(holding)
    .innerJoin(program, ofProgram)
    .leftJoin(session, and(eq(session.id, holding.sessionId), isNull(session.removedAt)))
    .where(eq(holding.watchId, watchId))
    .orderBy(holding.slot)
  const fitFor = await fitterFor(tx, watchId)
  const held: Held[] = []
  for (const { holding: row, document, alive } of rows) {
    const sent = JSON.parse(document) as Program
    const fitted = alive === null ? null : await fitFor(alive, row.day === null ? undefined : sent.name)
    held.push({
      slot: row.slot,
      program: sent,
      digest: row.digest,
      day: row.day,
      isLeaving: row.isLeaving,
      sessionId: alive,
      revision: row.revision,
      readBackAt: row.receipt?.readBackAt ?? null,
      today: fitted && (fitted.fits ? fitted.program : { from: fitted.program.from }),
    })
  }
  return held
}

/** What a watch says of itself in one turn; a reset since the last time is noticed. */
export async function lookAt(turn: Turn) {
  const hello = await greet(turn.exchange)
  const { slots, free } = await listSlots(turn.exchange)
  const records = await listRecords(turn.exchange)
  const before = await turn.whileHeld(async tx => {
    const [row] = await tx.select({ incarnation: watch.incarnation }).from(watch).where(eq(watch.id, turn.watchId))
    await tx.update(watch).set({ incarnation: hello.incarnation }).where(eq(watch.id, turn.watchId))
    return row?.incarnation ?? null
  })
  return { hello, slots, free, records, wasReset: before !== null && before !== hello.incarnation }
}

/** Asks a watch what it holds, and sets it beside what it should hold. */
export async function inspectWatch(database: Database, owner: string, watchId: string): Promise<WatchState> {
  const { hello, slots, free, records, wasReset } = await atWatch(database, owner, watchId, lookAt)
  const held = await asOwner(database, owner, tx => shouldHold(tx, watchId))
  const rows = slots.map((state): SlotRow => {
    const should = held.find(entry => entry.slot === state.slot) ?? null
    const reasons = should ? staleReasons(should.program, should.today) : []
    return {
      slot: state.slot,
      status: slotStatusOf(state, should, reasons),
      generation: state.generation,
      holds: state.name,
      by: state.by,
      isRunning: hello.running === state.slot,
      should:
        should && !should.isLeaving
          ? {
              title: should.program.name,
              sessionId: should.sessionId,
              revision: should.revision,
              readBackAt: should.readBackAt,
              day: should.day,
            }
          : null,
      stale: reasons,
    }
  })
  return {
    watch: hello.watch,
    incarnation: hello.incarnation,
    clock: hello.clock,
    clockAhead: clockAheadOf(hello.clock),
    profile: hello.profile,
    free,
    wasReset,
    recordings: records.length,
    rows,
  }
}

/** Reads a slot back from the watch and sets it beside what it should hold, step by step. */
export async function compareSlot(database: Database, owner: string, watchId: string, slot: number): Promise<SlotComparison> {
  const back = await atWatch(database, owner, watchId, turn => readBack(turn.exchange, slot, turn.messageBytes))
  const { row, units } = await asOwner(database, owner, async tx => {
    const [held] = await tx
      .select({ digest: holding.digest, document: program.document })
      .from(holding)
      .innerJoin(program, ofProgram)
      .where(and(eq(holding.watchId, watchId), eq(holding.slot, slot)))
    const { athlete } = await currentAthlete(tx)
    return { row: held, units: unitsOf(athlete) }
  })
  const blank = (of: Program): Program => ({ ...of, items: [] })
  const wanted = row ? (JSON.parse(row.document) as Program) : null
  const found = back.program
  if (!wanted && !found) return { rows: [], equal: true, holds: null }
  const rows = comparePrograms(wanted ?? blank(found!), found ?? blank(wanted!), units)
  return { rows, equal: wanted !== null && back.digest === row!.digest, holds: found?.name ?? null }
}

/**
 * Clears a slot there; the session stays on the shelf.
 *
 * @param isHandMadeToo the athlete has said that what was made or changed on the watch may go as well
 */
export async function clearThere(
  database: Database,
  owner: string,
  watchId: string,
  slot: number,
  expects: number,
  isHandMadeToo: boolean,
): Promise<void> {
  await atWatch(database, owner, watchId, async turn => {
    const state = (await listSlots(turn.exchange)).slots.find(entry => entry.slot === slot)
    if (state && !isHandMadeToo) refuseHandMade(state, 'go', 'query.handMade')
    await clearSlot(deskStore(database, owner, turn), turn.exchange, slot, expects)
  })
}

/** Stops expecting a slot to hold what was sent: for a watch that was reset, or a copy that was deleted there on purpose. */
export async function letGo(tx: OwnerTransaction, watchId: string, slot: number): Promise<void> {
  await tx.delete(holding).where(and(eq(holding.watchId, watchId), eq(holding.slot, slot)))
}
