import { and, eq, inArray } from 'drizzle-orm'
import { greet, listSlots } from '../../core/wrist/link/transfer'
import type { OwnerTransaction } from '../db/client'
import { holding, transfer } from '../db/schema'
import type { SlotState } from '../../core/wrist/link/protocol'
import type { KeptWatch } from '../../shared/api'
import type { Turn } from './lease'
import { LeaseLostError } from '../../core/wrist/link/desk'
import { Problem } from './problem'

/** A slot of a watch for a program, at the generation that it is to replace. */
export interface SlotTarget {
  slot: number
  expects: number
  incarnation: string
}

/** Refuses to touch what the athlete made or changed on the watch, unless they have said that it may go. */
export function refuseHandMade({ by, name }: SlotState, may: 'go' | 'be replaced', where: string): void {
  if (by !== 'hand') return
  throw new Problem(
    409,
    `"${name}" was made or changed on the watch, and is nowhere else.`,
    where,
    `Say that it may ${may}, or read it back first.`,
    { why: 'hand-made' },
  )
}

/** Slots that hold something of ours, and those that something is on its way to. */
async function takenSlots(tx: OwnerTransaction, watchId: string) {
  const held = await tx.select({ slot: holding.slot, sessionId: holding.sessionId }).from(holding).where(eq(holding.watchId, watchId))
  const open = await tx
    .select({ slot: transfer.slot, sessionId: transfer.sessionId, digest: transfer.digest, state: transfer.state })
    .from(transfer)
    .where(and(eq(transfer.watchId, watchId), inArray(transfer.state, ['sending', 'stopped'])))
  return { held, open }
}

/**
 * The slot a session goes to: where it already is, else a free one. A program that came there by a sending whose server stopped right
 * behind the commit is its own too.
 *
 * @param isOver what was changed on the watch in that slot may be replaced
 * @param reserve keeps the place in the same transaction that it is chosen in, so that nobody else is given it
 */
export async function choosePlace<T>(
  turn: Turn,
  kept: Pick<KeptWatch, 'id' | 'name'>,
  sessionId: string,
  isOver: boolean,
  reserve: (tx: OwnerTransaction, place: SlotTarget) => Promise<T>,
): Promise<T> {
  const { incarnation } = await greet(turn.exchange)
  const { slots } = await listSlots(turn.exchange)
  const reserved = await turn.whileHeld(async tx => {
    const { held, open } = await takenSlots(tx, kept.id)
    const own =
      held.find(entry => entry.sessionId === sessionId) ??
      open.find(entry => entry.sessionId === sessionId && slots.some(state => state.slot === entry.slot && state.digest === entry.digest))
    const taken = new Set([...held, ...open.filter(entry => entry.state === 'sending')].map(entry => entry.slot))
    const found = slots.find(state => (own ? state.slot === own.slot : state.digest === null && !taken.has(state.slot)))
    if (!found) throw new Problem(409, `All ${slots.length} slots of ${kept.name} are taken.`, 'watch', 'Clear one in Watches first.')
    if (!isOver) refuseHandMade(found, 'be replaced', 'body.over')
    return { value: await reserve(tx, { slot: found.slot, expects: found.generation, incarnation }) }
  })
  if (!reserved) throw new LeaseLostError('another server speaks with the watch now')
  return reserved.value
}
