import type { Recording } from '../record/recording'
import { canonicalBytes, digestOfBytes } from './digest'
import type { Program } from './program'
import type { Answer, Refusal, Request, SlotState } from './protocol'
import { chunkBytes, fromBase64, joinBytes, toBase64 } from './protocol'

/** Everything a watch remembers, as plain data: what it holds, what is on its way in, what waits to go home. */
export interface WatchMemory {
  watch: string
  /** Changes when the watch is reset. */
  incarnation: string
  profile: string
  slots: HeldSlot[]
  staged: Staged[]
  records: HeldRecord[]
  /** The slot whose program is being carried out. */
  running: number | null
}

export interface HeldSlot { slot: number, generation: number, digest: string | null, bytes: string }
export interface Staged { digest: string, slot: number, size: number, bytes: string, expiresAt: number }
export interface HeldRecord { record: string, digest: string, bytes: string, program: string | null, startedAt: string }

const stagedFor = 24 * 3600 * 1000
const stagedAtMost = 4
const programBytesAtMost = 1024 * 1024

export function emptyMemory(watch: string, incarnation: string, profile: string, slots: number): WatchMemory {
  return {
    watch, incarnation, profile, staged: [], records: [], running: null,
    slots: Array.from({ length: slots }, (_, index) => ({ slot: index + 1, generation: 0, digest: null, bytes: '' })),
  }
}

/** The program in a slot, or null when the slot is empty. */
export function programIn(memory: WatchMemory, slot: number): Program | null {
  const held = memory.slots.find(entry => entry.slot === slot)
  return held?.digest ? JSON.parse(new TextDecoder().decode(fromBase64(held.bytes))) as Program : null
}

export function slotStates(memory: WatchMemory): SlotState[] {
  return memory.slots.map(({ slot, generation, digest, bytes }) => ({
    slot, generation, digest, size: fromBase64(bytes).length, name: programIn(memory, slot)?.name ?? null,
  }))
}

/** Keeps a finished recording until the server says it is stored. */
export function keepRecording(memory: WatchMemory, recording: Recording): WatchMemory {
  const bytes = canonicalBytes(recording)
  const digest = digestOfBytes(bytes)
  const record: HeldRecord = { record: digest.slice(0, 16), digest, bytes: toBase64(bytes), program: recording.program ?? null, startedAt: recording.startedAt }
  if (memory.records.some(entry => entry.digest === digest)) return memory
  return { ...memory, records: [...memory.records, record] }
}

interface Received { memory: WatchMemory, answer: Answer }

const refused = (memory: WatchMemory, why: Refusal, detail: string): Received => ({ memory, answer: { kind: 'refused', why, detail } })

const replaceSlot = (memory: WatchMemory, held: HeldSlot): WatchMemory =>
  ({ ...memory, slots: memory.slots.map(entry => entry.slot === held.slot ? held : entry) })

function offer(memory: WatchMemory, request: Request & { kind: 'offer' }, now: number): Received {
  const held = memory.slots.find(entry => entry.slot === request.slot)
  if (!held) return refused(memory, 'full', `there is no slot ${request.slot}`)
  if (request.size > programBytesAtMost) return refused(memory, 'full', `a program of ${request.size} bytes is too large`)
  if (held.digest === request.digest && held.generation === request.expects + 1) return { memory, answer: { kind: 'offer', have: request.size } }
  if (held.generation !== request.expects) return refused(memory, 'stale', `slot ${request.slot} is at generation ${held.generation}`)
  const others = memory.staged.filter(entry => entry.expiresAt > now && entry.digest !== request.digest).slice(-(stagedAtMost - 1))
  const known = memory.staged.find(entry => entry.digest === request.digest && entry.size === request.size && entry.expiresAt > now)
  const staged: Staged = { digest: request.digest, slot: request.slot, size: request.size, bytes: known?.bytes ?? '', expiresAt: now + stagedFor }
  return { memory: { ...memory, staged: [...others, staged] }, answer: { kind: 'offer', have: fromBase64(staged.bytes).length } }
}

function chunk(memory: WatchMemory, request: Request & { kind: 'chunk' }, now: number): Received {
  const staged = memory.staged.find(entry => entry.digest === request.digest && entry.expiresAt > now)
  if (!staged) return refused(memory, 'stale', 'nothing was offered with this digest')
  const have = fromBase64(staged.bytes)
  const bytes = fromBase64(request.bytes)
  if (request.offset !== have.length) return { memory, answer: { kind: 'chunk', have: have.length } }
  if (have.length + bytes.length > staged.size) return refused(memory, 'digest', 'more bytes than were offered')
  const joined = toBase64(joinBytes([have, bytes]))
  const next = { ...staged, bytes: joined, expiresAt: now + stagedFor }
  return {
    memory: { ...memory, staged: memory.staged.map(entry => entry === staged ? next : entry) },
    answer: { kind: 'chunk', have: have.length + bytes.length },
  }
}

function commit(memory: WatchMemory, request: Request & { kind: 'commit' }): Received {
  const held = memory.slots.find(entry => entry.slot === request.slot)
  if (!held) return refused(memory, 'full', `there is no slot ${request.slot}`)
  const isRepeat = held.generation === request.expects + 1 && held.digest === request.digest
  if (isRepeat) return { memory, answer: { kind: 'commit', generation: held.generation } }
  if (held.generation !== request.expects) return refused(memory, 'stale', `slot ${request.slot} is at generation ${held.generation}`)
  if (memory.running === request.slot) return refused(memory, 'busy', 'the program in this slot is being carried out')
  const staged = memory.staged.find(entry => entry.digest === request.digest)
  if (!staged) return refused(memory, 'stale', 'nothing was offered with this digest')
  const bytes = fromBase64(staged.bytes)
  if (bytes.length !== staged.size || digestOfBytes(bytes) !== request.digest) {
    const kept = bytes.length < staged.size ? memory.staged : memory.staged.filter(entry => entry !== staged)
    return refused({ ...memory, staged: kept }, 'digest', `${bytes.length} of ${staged.size} bytes are here, or they are not those offered`)
  }
  const generation = held.generation + 1
  const next = replaceSlot(memory, { slot: request.slot, generation, digest: request.digest, bytes: staged.bytes })
  return { memory: { ...next, staged: memory.staged.filter(entry => entry !== staged) }, answer: { kind: 'commit', generation } }
}

function remove(memory: WatchMemory, request: Request & { kind: 'remove' }): Received {
  const held = memory.slots.find(entry => entry.slot === request.slot)
  if (!held) return refused(memory, 'stale', `there is no slot ${request.slot}`)
  if (held.generation === request.expects + 1 && held.digest === null) return { memory, answer: { kind: 'remove', generation: held.generation } }
  if (held.generation !== request.expects) return refused(memory, 'stale', `slot ${request.slot} is at generation ${held.generation}`)
  if (memory.running === request.slot) return refused(memory, 'busy', 'the program in this slot is being carried out')
  const generation = held.generation + 1
  return { memory: replaceSlot(memory, { slot: held.slot, generation, digest: null, bytes: '' }), answer: { kind: 'remove', generation } }
}

function part(bytes: string, offset: number): { size: number, bytes: string } {
  const all = fromBase64(bytes)
  return { size: all.length, bytes: toBase64(all.slice(offset, offset + chunkBytes)) }
}

/**
 * What a watch does with one request: its next memory and its answer.
 *
 * Laws, held by the tests: a program is visible only whole and with the digest it was offered with; a repeated or late
 * request changes nothing more than the first did; a recording is freed only by `stored` with its digest.
 *
 * @param now milliseconds since 1970 on the watch's clock
 */
export function receive(memory: WatchMemory, request: Request, now: number): Received {
  switch (request.kind) {
    case 'hello': return { memory, answer: { kind: 'hello', watch: memory.watch, incarnation: memory.incarnation, clock: new Date(now).toISOString(), profile: memory.profile } }
    case 'list': return { memory, answer: { kind: 'list', slots: slotStates(memory) } }
    case 'offer': return offer(memory, request, now)
    case 'chunk': return chunk(memory, request, now)
    case 'commit': return commit(memory, request)
    case 'remove': return remove(memory, request)
    case 'read': {
      const held = memory.slots.find(entry => entry.slot === request.slot)
      if (!held) return refused(memory, 'stale', `there is no slot ${request.slot}`)
      return { memory, answer: { kind: 'read', slot: held.slot, generation: held.generation, digest: held.digest, offset: request.offset, ...part(held.bytes, request.offset) } }
    }
    case 'records': {
      const records = memory.records.map(({ record, digest, bytes, program, startedAt }) => ({ record, digest, program, startedAt, size: fromBase64(bytes).length }))
      return { memory, answer: { kind: 'records', records } }
    }
    case 'take': {
      const record = memory.records.find(entry => entry.record === request.record)
      if (!record) return refused(memory, 'stale', 'there is no such recording')
      return { memory, answer: { kind: 'take', record: record.record, offset: request.offset, ...part(record.bytes, request.offset) } }
    }
    case 'stored': {
      const record = memory.records.find(entry => entry.record === request.record)
      if (record && record.digest !== request.digest) return refused(memory, 'digest', 'the recording has another digest')
      return { memory: { ...memory, records: memory.records.filter(entry => entry !== record) }, answer: { kind: 'stored', record: request.record } }
    }
  }
}
