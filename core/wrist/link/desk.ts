import type { Recording } from '../../record/recording'
import type { Exchange } from './line'
import type { Program } from '../program/program'
import type { RecordState } from './protocol'
import type { PartSizes, Receipt } from './transfer'
import { freeRecording, greet, listRecords, listSlots, readBack, RefusedError, removeProgram, sendProgram, takeRecording } from './transfer'

/**
 * What a server does at a watch, over whatever it keeps things in. The database and the simulation both stand behind it,
 * so that what is tried with thousands of faults is what runs.
 */

/** A program on its way into a slot. */
export interface SendingRow {
  id: string
  program: Program
  digest: string
  slot: number
  /** The slot's generation that the program is to replace, in which incarnation of the watch. */
  expects: number
  incarnation: string
}

/** Goes on, or why not: the athlete has cancelled, or another server has the watch now. */
export type Leave = 'go-on' | 'cancelled' | 'lost'

/**
 * What is kept about a watch by the one that holds its lease. Every change happens whole or not at all, and only while the
 * lease holds: one that has been lost meanwhile answers false or 'lost' and has changed nothing.
 */
export interface DeskStore {
  note: (sending: string, arrived: number) => Promise<Leave>
  /** The slot should hold this program from now on, and does; the sending is done. */
  settle: (sending: SendingRow, receipt: Receipt) => Promise<boolean>
  /** The slot is asked to be cleared. */
  markLeaving: (slot: number) => Promise<boolean>
  markLeft: (slot: number) => Promise<boolean>
  /** Bytes of a recording that have come home so far. */
  arrived: (record: RecordState) => Promise<Uint8Array>
  keepPart: (record: RecordState, offset: number, part: Uint8Array) => Promise<boolean>
  /** Keeps a recording once, however often it comes. */
  store: (record: RecordState, recording: Recording) => Promise<string>
}

/** The athlete has called the sending off; what the slot held is still there. */
export class CancelledError extends Error {}
/** Another server speaks with the watch now. */
export class LeaseLostError extends Error {}

function obey(leave: Leave): void {
  if (leave === 'cancelled') throw new CancelledError('cancelled')
  if (leave === 'lost') throw new LeaseLostError('another server speaks with the watch now')
}
const mustHold = (held: boolean): void => obey(held ? 'go-on' : 'lost')

/**
 * Whether a cancelled program had become visible before, by a server that stopped right behind its commit.
 *
 * Trap: the question counts above every frame of before, so that no late commit can still land once it is answered.
 */
async function committed(exchange: Exchange, { slot, expects, digest }: SendingRow): Promise<Receipt | null> {
  const held = (await listSlots(exchange)).slots.find(state => state.slot === slot)
  return held?.digest === digest && held.generation === expects + 1 ? { slot, generation: held.generation, digest, size: held.size } : null
}

/**
 * Sends a program, reads it back, and only then says that the watch holds it. It can be called again after any fault.
 *
 * Trap: generations begin anew when a watch is reset, and may then be the same by chance; so the incarnation is asked first.
 *
 * Law: a receipt is kept only for a slot that was read back with the program's digest, at the generation the receipt names.
 */
export async function carrySending(store: DeskStore, exchange: Exchange, sending: SendingRow, messageBytes?: number): Promise<Receipt> {
  if ((await greet(exchange)).incarnation !== sending.incarnation) throw new RefusedError('stale', 'the watch was reset since')
  let receipt: Receipt
  try {
    receipt = await sendProgram(exchange, sending.program, sending.slot, sending.expects, {
      messageBytes,
      onProgress: async arrived => obey(await store.note(sending.id, arrived)),
    })
  } catch (error) {
    const there = error instanceof CancelledError ? await committed(exchange, sending) : null
    if (!there) throw error
    receipt = there
  }
  const back = await readBack(exchange, sending.slot, messageBytes)
  if (back.digest !== sending.digest || back.generation !== receipt.generation)
    throw new Error('what was read back is not what was sent: the slot was changed on the watch meanwhile')
  mustHold(await store.settle(sending, receipt))
  return receipt
}

/**
 * Clears a slot there; nothing is removed here. What is asked is kept before the watch is told, so that a fault in between
 * leaves a slot that is still to be cleared and not one that looks wanted.
 */
export async function clearSlot(store: DeskStore, exchange: Exchange, slot: number, expects: number): Promise<void> {
  mustHold(await store.markLeaving(slot))
  await removeProgram(exchange, slot, expects)
  mustHold(await store.markLeft(slot))
}

/**
 * Brings every finished recording home.
 *
 * Law: the watch is told that a recording is stored only after `store` has kept it.
 */
export async function bringHome(store: DeskStore, exchange: Exchange, sizes?: PartSizes): Promise<string[]> {
  const kept: string[] = []
  for (const record of await listRecords(exchange)) {
    const have = await store.arrived(record)
    let offset = have.length
    const recording = await takeRecording(exchange, record, have, {
      ...sizes,
      onPart: async part => {
        mustHold(await store.keepPart(record, offset, part))
        offset += part.length
      },
    })
    kept.push(await store.store(record, recording))
    await freeRecording(exchange, record)
  }
  return kept
}
