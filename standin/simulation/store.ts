import { joinBytes } from '../../core/wrist/link/protocol'
import type { DeskStore, SendingRow } from '../../core/wrist/link/desk'
import type { Receipt } from '../../core/wrist/link/transfer'
import { digestOf } from '../../core/wrist/program/digest'
import type { SimulatedWatch } from './watch'
import type { Actor, World } from './world'

export interface KeptSending extends SendingRow {
  watch: string
  state: 'sending' | 'stopped' | 'done' | 'cancelled'
  isCallOff: boolean
  arrived: number
}
export interface KeptHolding {
  digest: string
  receipt: Receipt
  incarnation: string
  isLeaving: boolean
}
export interface KeptWatch {
  key: string
  pendingKey: string | null
  lease: { number: number; holder: string; until: number }
}

/** The rows of the database, and who else the promises ask. */
export interface Rows {
  watches: Map<string, KeptWatch>
  sendings: KeptSending[]
  holdings: Map<string, KeptHolding>
  parts: Map<string, Uint8Array>
  recordings: Map<string, number>
}

export const newRows = (): Rows => ({ watches: new Map(), sendings: [], holdings: new Map(), parts: new Map(), recordings: new Map() })

/** A transaction of the database: takes its time, and happens even if the one who asked is gone by then. */
export async function transaction<T>(world: World, actor: Actor, what: () => T): Promise<T> {
  return actor.wait<T>(wake => {
    world.after(8 * world.random.next(), () => {
      const result = what()
      world.after(8 * world.random.next(), () => wake(result))
    })
  })
}

const leaseFor = 3000

/** Takes the lease of a watch if nobody holds it; its number grows each time. */
export function takeLease(world: World, actor: Actor, rows: Rows, watch: string, holder: string): Promise<number | null> {
  return transaction(world, actor, () => {
    const { lease } = rows.watches.get(watch)!
    if (lease.until > world.now() && lease.holder !== holder) return null
    Object.assign(lease, { number: lease.number + 1, holder, until: world.now() + leaseFor })
    return lease.number
  })
}

/** Whether the watch's own history has what a receipt says. */
const hasHeld = (watch: SimulatedWatch, { incarnation, digest }: SendingRow, receipt: Receipt) =>
  receipt.digest === digest &&
  watch.history.some(
    change =>
      change.incarnation === incarnation &&
      change.slot === receipt.slot &&
      change.generation === receipt.generation &&
      change.digest === receipt.digest,
  )

/** What a lease's holder may change, as the server's own store does it. */
export function storeOf(
  world: World,
  actor: Actor,
  rows: Rows,
  watch: SimulatedWatch,
  leaseNumber: number,
  fault: (what: string) => void,
): DeskStore & { giveBack: () => Promise<void> } {
  const kept = rows.watches.get(watch.name)!
  const isHeld = () => kept.lease.number === leaseNumber && kept.lease.until > world.now()
  const whileHeld = <T>(what: () => T, otherwise: T) => transaction(world, actor, () => (isHeld() ? what() : otherwise))
  const at = (slot: number) => `${watch.name}/${slot}`
  return {
    note: (id, arrived) =>
      whileHeld(() => {
        const row = rows.sendings.find(entry => entry.id === id)!
        kept.lease.until = world.now() + leaseFor
        row.arrived = arrived
        return row.isCallOff ? 'cancelled' : 'go-on'
      }, 'lost'),
    settle: (sending, receipt) =>
      whileHeld(() => {
        rows.sendings.find(entry => entry.id === sending.id)!.state = 'done'
        if (!hasHeld(watch, sending, receipt)) fault(`a receipt of ${watch.name} says what slot ${receipt.slot} never held`)
        rows.holdings.set(at(receipt.slot), { digest: receipt.digest, receipt, incarnation: sending.incarnation, isLeaving: false })
        return true
      }, false),
    markLeaving: slot =>
      whileHeld(() => {
        const holding = rows.holdings.get(at(slot))
        if (holding) holding.isLeaving = true
        return true
      }, false),
    markLeft: slot =>
      whileHeld(() => {
        rows.holdings.delete(at(slot))
        return true
      }, false),
    arrived: record => transaction(world, actor, () => rows.parts.get(record.digest) ?? new Uint8Array()),
    keepPart: (record, offset, part) =>
      whileHeld(() => {
        const have = rows.parts.get(record.digest) ?? new Uint8Array()
        if (have.length === offset) rows.parts.set(record.digest, joinBytes([have, part]))
        return true
      }, false),
    store: (record, recording) =>
      transaction(world, actor, () => {
        if (digestOf(recording) !== record.digest) fault('a recording came home changed')
        rows.recordings.set(record.digest, (rows.recordings.get(record.digest) ?? 0) + (rows.recordings.has(record.digest) ? 0 : 1))
        rows.parts.delete(record.digest)
        return record.digest
      }),
    giveBack: () =>
      transaction(world, actor, () => {
        if (isHeld()) kept.lease.until = 0
      }),
  }
}
