import { and, eq, isNull } from 'drizzle-orm'
import { comparePrograms } from '../../core/wrist/compare'
import type { Program } from '../../core/wrist/program'
import type { SlotState } from '../../core/wrist/protocol'
import { greet, listSlots, readBack, RefusedError, removeProgram } from '../../core/wrist/transfer'
import type { OwnerTransaction } from '../db/client'
import { holding, session, watch } from '../db/schema'
import type { KeptWatch, SlotComparison, SlotRow, SlotStanding, WatchState } from '../../shared/api'
import { openLink } from './link'
import { notFound, Problem } from './problem'

export async function loadWatch(tx: OwnerTransaction, id: string): Promise<KeptWatch> {
  const [row] = await tx.select().from(watch).where(eq(watch.id, id))
  if (!row) throw notFound('watch', 'params.id')
  return { id: row.id, name: row.name, address: row.address, profile: row.profile }
}

export async function listWatches(tx: OwnerTransaction): Promise<KeptWatch[]> {
  const rows = await tx.select().from(watch).orderBy(watch.name)
  return rows.map(row => ({ id: row.id, name: row.name, address: row.address, profile: row.profile }))
}

export const holdingsOf = (tx: OwnerTransaction, watchId: string) =>
  tx.select({ holding, head: session.head }).from(holding).leftJoin(session, and(eq(session.id, holding.sessionId), isNull(session.removedAt)))
    .where(eq(holding.watchId, watchId)).orderBy(holding.slot)

type Held = Awaited<ReturnType<typeof holdingsOf>>[number]

function standingOf(state: SlotState, should: Held | undefined): SlotStanding {
  if (!should) return state.digest === null ? 'empty' : 'extra'
  if (state.digest === null) return 'missing'
  return state.digest === should.holding.digest ? 'equal' : 'different'
}

/** Turns what the link or the watch answered badly into a problem the reader can act on. */
export function asProblem(error: unknown): never {
  if (error instanceof RefusedError) {
    const hints: Record<string, string> = {
      full: 'Clear a slot on the watch first.', busy: 'Wait until the run on the watch has ended.',
      stale: 'The watch was changed meanwhile; look at what it holds and try again.',
    }
    throw new Problem(409, `The watch refused: ${error.detail}.`, 'watch', hints[error.why] ?? 'Send it again.', { why: error.why })
  }
  throw error
}

/** Asks a watch what it holds, and sets it beside what it should hold. */
export async function inspectWatch(kept: KeptWatch, held: Held[]): Promise<WatchState> {
  const exchange = openLink(kept.address)
  const [hello, slots] = [await greet(exchange).catch(asProblem), await listSlots(exchange).catch(asProblem)]
  const rows = slots.map((state): SlotRow => {
    const should = held.find(entry => entry.holding.slot === state.slot)
    return {
      slot: state.slot, standing: standingOf(state, should), generation: state.generation, holds: state.name,
      should: should
        ? {
            title: (JSON.parse(should.holding.program) as Program).name, sessionId: should.holding.sessionId,
            revision: should.holding.revision, readBackAt: should.holding.receipt?.readBackAt ?? null,
          }
        : null,
      older: should !== undefined && should.head !== null && should.head > should.holding.revision,
    }
  })
  return { watch: hello.watch, incarnation: hello.incarnation, clock: hello.clock, rows }
}

/** Reads a slot back from the watch and sets it beside what it should hold, step by step. */
export async function compareSlot(kept: KeptWatch, held: Held[], slot: number): Promise<SlotComparison> {
  const back = await readBack(openLink(kept.address), slot).catch(asProblem)
  const should = held.find(entry => entry.holding.slot === slot)
  const blank = (program: Program): Program => ({ ...program, items: [] })
  const wanted = should ? JSON.parse(should.holding.program) as Program : null
  const found = back.program
  if (!wanted && !found) return { rows: [], equal: true, holds: null }
  const rows = comparePrograms(wanted ?? blank(found!), found ?? blank(wanted!))
  return { rows, equal: wanted !== null && back.digest === should!.holding.digest, holds: found?.name ?? null }
}

/** Clears a slot there; the session stays on the shelf. */
export async function clearSlot(tx: OwnerTransaction, kept: KeptWatch, slot: number, expects: number): Promise<void> {
  await removeProgram(openLink(kept.address), slot, expects).catch(asProblem)
  await tx.delete(holding).where(and(eq(holding.watchId, kept.id), eq(holding.slot, slot)))
}
