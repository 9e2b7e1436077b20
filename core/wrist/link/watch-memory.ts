import type { Recording } from '../../record/recording'
import { canonicalBytes, digestOfBytes } from '../program/digest'
import type { Program } from '../program/program'
import type { SlotState } from './protocol'
import { base64Size, fromBase64, toBase64 } from './protocol'

/** Everything a watch remembers, as plain data: what it holds, what is on its way in, what waits to go home. */
export interface WatchMemory {
  watch: string
  /** Changes when the watch is reset. */
  incarnation: string
  profile: string
  /** Bytes that its programs, staged ones included, may take together. */
  capacity: number
  slots: HeldSlot[]
  staged: Staged[]
  records: HeldRecord[]
  /** The slot whose program is being carried out. */
  running: number | null
  /** Whose it is, by which key it knows them, and the highest counter heard from them. */
  bond: Bond | null
  pairing: Pairing | null
}

export interface Bond {
  owner: string
  key: string
  counter: number
}
/** A code on the glass, until when and how often it may still be tried, and the agreement begun with it. */
export interface Pairing {
  code: string
  until: number
  tries: number
  begun: { owner: string; share: string; own: string; key: string } | null
}

export interface HeldSlot {
  slot: number
  generation: number
  digest: string | null
  name: string | null
  bytes: string
  by: 'server' | 'hand' | null
}
export interface Staged {
  digest: string
  slot: number
  size: number
  bytes: string
  expiresAt: number
}
export interface HeldRecord {
  record: string
  digest: string
  bytes: string
  program: string | null
  startedAt: string
  owner: string | null
}

const usualCapacity = 512 * 1024

/** The memory of a watch that nobody has used: so many slots, and room for `capacity` bytes. */
export function emptyMemory(watch: string, incarnation: string, profile: string, slots: number, capacity = usualCapacity): WatchMemory {
  return {
    watch,
    incarnation,
    profile,
    capacity,
    staged: [],
    records: [],
    running: null,
    bond: null,
    pairing: null,
    slots: Array.from({ length: slots }, (_, index) => emptySlot(index + 1, 0)),
  }
}

/** A memory as an earlier version of the watch may have written it, brought to what this one remembers. */
export function restoredMemory(
  written: Partial<WatchMemory> & Pick<WatchMemory, 'watch' | 'incarnation' | 'profile' | 'slots'>,
): WatchMemory {
  const memory = { ...emptyMemory(written.watch, written.incarnation, written.profile, 0), ...written }
  return {
    ...memory,
    slots: memory.slots.map(held => {
      const program = programIn(memory, held.slot)
      return { ...emptySlot(held.slot, held.generation), ...held, name: program?.name ?? null, by: program ? (held.by ?? 'server') : null }
    }),
    records: memory.records.map(record => ({ ...record, owner: record.owner ?? null })),
  }
}

/** A slot that holds nothing; its generation goes on from what was there. */
export const emptySlot = (slot: number, generation: number): HeldSlot => ({
  slot,
  generation,
  digest: null,
  name: null,
  bytes: '',
  by: null,
})

/** A program from its bytes. */
export const programFrom = (bytes: Uint8Array): Program => JSON.parse(new TextDecoder().decode(bytes)) as Program

/** The program in a slot, or null when the slot is empty. */
export function programIn(memory: WatchMemory, slot: number): Program | null {
  const held = memory.slots.find(entry => entry.slot === slot)
  return held?.digest ? programFrom(fromBase64(held.bytes)) : null
}

export function slotStates(memory: WatchMemory): SlotState[] {
  return memory.slots.map(({ bytes, ...held }) => ({ ...held, size: base64Size(bytes) }))
}

/** Bytes that programs can still take. */
export const freeBytes = (memory: WatchMemory): number =>
  memory.capacity - memory.slots.reduce((sum, held) => sum + base64Size(held.bytes), 0)

export const replaceSlot = (memory: WatchMemory, held: HeldSlot): WatchMemory => ({
  ...memory,
  slots: memory.slots.map(entry => (entry.slot === held.slot ? held : entry)),
})

/** Keeps a finished recording until the server says it is stored; it goes home to nobody but the one who wore the watch. */
export function keepRecording(memory: WatchMemory, recording: Recording): WatchMemory {
  const bytes = canonicalBytes(recording)
  const digest = digestOfBytes(bytes)
  const record: HeldRecord = {
    record: digest.slice(0, 16),
    digest,
    bytes: toBase64(bytes),
    program: recording.program ?? null,
    startedAt: recording.startedAt,
    owner: memory.bond?.owner ?? null,
  }
  if (memory.records.some(entry => entry.digest === digest)) return memory
  return { ...memory, records: [...memory.records, record] }
}

/** The recordings that may go home to the watch's owner. */
export const recordsFor = (memory: WatchMemory, owner: string): HeldRecord[] =>
  memory.records.filter(record => record.owner === null || record.owner === owner)

/** A program put into a slot with the buttons of the watch, or null to take it out; null for a slot that is not there or is in use. */
export function handPut(memory: WatchMemory, slot: number, program: Program | null): WatchMemory | null {
  const held = memory.slots.find(entry => entry.slot === slot)
  if (!held || memory.running === slot) return null
  if (program === null) return held.digest === null ? memory : replaceSlot(memory, emptySlot(slot, held.generation + 1))
  const bytes = canonicalBytes(program)
  if (bytes.length - base64Size(held.bytes) > freeBytes(memory)) return null
  return replaceSlot(memory, {
    slot,
    generation: held.generation + 1,
    digest: digestOfBytes(bytes),
    name: program.name,
    bytes: toBase64(bytes),
    by: 'hand',
  })
}
