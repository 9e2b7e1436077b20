import { digestOfBytes } from '../program/digest'
import { isSealedBy, messageOf, readFrame, seal } from './frame'
import { answerPairing, proofOf } from './pairing'
import type { Secret } from './pairing'
import type { Answer, Refusal, Request } from './protocol'
import { base64Size, chunkBytes, chunkBytesAtMost, fromBase64, isOpenRequest, joinBytes, toBase64 } from './protocol'
import type { Staged, WatchMemory } from './watch-memory'
import { emptySlot, freeBytes, programFrom, recordsFor, replaceSlot, slotStates } from './watch-memory'

const stagedFor = 24 * 3600 * 1000
const stagedAtMost = 4
const codeTries = 3

interface Received {
  memory: WatchMemory
  answer: Answer
}

const refused = (memory: WatchMemory, why: Refusal, detail: string): Received => ({ memory, answer: { kind: 'refused', why, detail } })

function offer(memory: WatchMemory, request: Request & { kind: 'offer' }, now: number): Received {
  const held = memory.slots.find(entry => entry.slot === request.slot)
  if (!held) return refused(memory, 'full', `there is no slot ${request.slot}`)
  if (held.digest === request.digest && held.generation === request.expects + 1)
    return { memory, answer: { kind: 'offer', have: request.size } }
  if (held.generation !== request.expects) return refused(memory, 'stale', `slot ${request.slot} is at generation ${held.generation}`)
  if (request.size - base64Size(held.bytes) > freeBytes(memory)) {
    return refused(memory, 'full', `${request.size} bytes do not go in: ${freeBytes(memory) + base64Size(held.bytes)} are free`)
  }
  const others = memory.staged.filter(entry => entry.expiresAt > now && entry.digest !== request.digest).slice(-(stagedAtMost - 1))
  const known = memory.staged.find(entry => entry.digest === request.digest && entry.size === request.size && entry.expiresAt > now)
  const staged: Staged = {
    digest: request.digest,
    slot: request.slot,
    size: request.size,
    bytes: known?.bytes ?? '',
    expiresAt: now + stagedFor,
  }
  return { memory: { ...memory, staged: [...others, staged] }, answer: { kind: 'offer', have: base64Size(staged.bytes) } }
}

function chunk(memory: WatchMemory, request: Request & { kind: 'chunk' }, now: number): Received {
  const staged = memory.staged.find(entry => entry.digest === request.digest && entry.expiresAt > now)
  if (!staged) return refused(memory, 'stale', 'nothing was offered with this digest')
  const have = base64Size(staged.bytes)
  if (request.offset !== have) return { memory, answer: { kind: 'ack', have } }
  const bytes = fromBase64(request.bytes)
  if (have + bytes.length > staged.size) return refused(memory, 'digest', 'more bytes than were offered')
  const next = { ...staged, bytes: toBase64(joinBytes([fromBase64(staged.bytes), bytes])), expiresAt: now + stagedFor }
  return {
    memory: { ...memory, staged: memory.staged.map(entry => (entry === staged ? next : entry)) },
    answer: { kind: 'ack', have: have + bytes.length },
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
  if (staged.size - base64Size(held.bytes) > freeBytes(memory)) return refused(memory, 'full', `${staged.size} bytes do not go in any more`)
  const bytes = fromBase64(staged.bytes)
  if (bytes.length !== staged.size || digestOfBytes(bytes) !== request.digest) {
    const kept = bytes.length < staged.size ? memory.staged : memory.staged.filter(entry => entry !== staged)
    return refused({ ...memory, staged: kept }, 'digest', `${bytes.length} of ${staged.size} bytes are here, or they are not those offered`)
  }
  const generation = held.generation + 1
  const next = replaceSlot(memory, {
    slot: request.slot,
    generation,
    digest: request.digest,
    name: programFrom(bytes).name,
    bytes: staged.bytes,
    by: 'server',
  })
  return { memory: { ...next, staged: memory.staged.filter(entry => entry !== staged) }, answer: { kind: 'commit', generation } }
}

function remove(memory: WatchMemory, request: Request & { kind: 'remove' }): Received {
  const held = memory.slots.find(entry => entry.slot === request.slot)
  if (!held) return refused(memory, 'stale', `there is no slot ${request.slot}`)
  if (held.generation === request.expects + 1 && held.digest === null)
    return { memory, answer: { kind: 'remove', generation: held.generation } }
  if (held.generation !== request.expects) return refused(memory, 'stale', `slot ${request.slot} is at generation ${held.generation}`)
  if (memory.running === request.slot) return refused(memory, 'busy', 'the program in this slot is being carried out')
  const generation = held.generation + 1
  return { memory: replaceSlot(memory, emptySlot(held.slot, generation)), answer: { kind: 'remove', generation } }
}

function pair(memory: WatchMemory, request: Request & { kind: 'pair' }, now: number, secret: Secret): Received {
  const { pairing } = memory
  if (!pairing || pairing.until <= now || pairing.tries <= 0) return refused(memory, 'unpaired', 'the watch shows no code now')
  const answered = ({ own, key }: { own: string; key: string }): Answer => ({ kind: 'pair', share: own, proof: proofOf(key, 'watch') })
  const { begun } = pairing
  if (begun && begun.owner === request.owner && begun.share === request.share) return { memory, answer: answered(begun) }
  const tried = { ...pairing, tries: pairing.tries - 1 }
  const agreed = answerPairing(pairing.code, memory.watch, request.owner, request.share, secret)
  if (!agreed) return refused({ ...memory, pairing: tried }, 'unsupported', 'this share is no point of the curve')
  const next = { owner: request.owner, share: request.share, own: agreed.share, key: agreed.key }
  return { memory: { ...memory, pairing: { ...tried, begun: next } }, answer: answered(next) }
}

/** The watch takes an owner. Programs that another owner's server sent are theirs and leave; what was made by hand stays. */
function bond(memory: WatchMemory, request: Request & { kind: 'bond' }): Received {
  const known = memory.bond
  if (known?.owner === request.owner && request.proof === proofOf(known.key, 'server'))
    return { memory, answer: { kind: 'bond', watch: memory.watch } }
  const begun = memory.pairing?.begun
  if (!begun || begun.owner !== request.owner || request.proof !== proofOf(begun.key, 'server'))
    return refused(memory, 'unpaired', 'the code was another')
  if (memory.running !== null) return refused(memory, 'busy', 'a program is being carried out')
  const changesHands = known !== null && known.owner !== request.owner
  const slots = changesHands
    ? memory.slots.map(held => (held.by === 'server' ? emptySlot(held.slot, held.generation + 1) : held))
    : memory.slots
  return {
    memory: {
      ...memory,
      slots,
      staged: changesHands ? [] : memory.staged,
      pairing: null,
      bond: { owner: request.owner, key: begun.key, counter: -1 },
    },
    answer: { kind: 'bond', watch: memory.watch },
  }
}

function part(bytes: string, offset: number, most = chunkBytes): { size: number; bytes: string } {
  const all = fromBase64(bytes)
  return { size: all.length, bytes: toBase64(all.slice(offset, offset + Math.min(most, chunkBytesAtMost))) }
}

const hello = (memory: WatchMemory, now: number): Answer => ({
  kind: 'hello',
  watch: memory.watch,
  incarnation: memory.incarnation,
  clock: new Date(now).toISOString(),
  profile: memory.profile,
  isPaired: memory.bond !== null,
  running: memory.running,
})

function read(memory: WatchMemory, request: Request & { kind: 'read' }): Received {
  const held = memory.slots.find(entry => entry.slot === request.slot)
  if (!held) return refused(memory, 'stale', `there is no slot ${request.slot}`)
  const { slot, generation, digest, bytes } = held
  const { offset } = request
  return { memory, answer: { kind: 'read', slot, generation, digest, offset, ...part(bytes, offset, request.most) } }
}

const ownRecords = (memory: WatchMemory) => recordsFor(memory, memory.bond?.owner ?? '')

function records(memory: WatchMemory): Received {
  const listed = ownRecords(memory).map(({ record, digest, bytes, program, startedAt }) => ({
    record,
    digest,
    program,
    startedAt,
    size: base64Size(bytes),
  }))
  return { memory, answer: { kind: 'records', records: listed } }
}

function take(memory: WatchMemory, request: Request & { kind: 'take' }): Received {
  const record = ownRecords(memory).find(entry => entry.record === request.record)
  if (!record) return refused(memory, 'stale', 'there is no such recording')
  const { offset } = request
  return { memory, answer: { kind: 'take', record: record.record, offset, ...part(record.bytes, offset, request.most) } }
}

/** The watch lets a recording go, once the server has it. */
function stored(memory: WatchMemory, request: Request & { kind: 'stored' }): Received {
  const record = ownRecords(memory).find(entry => entry.record === request.record)
  if (record && record.digest !== request.digest) return refused(memory, 'digest', 'the recording has another digest')
  return {
    memory: { ...memory, records: memory.records.filter(entry => entry !== record) },
    answer: { kind: 'stored', record: request.record },
  }
}

/**
 * What a watch does with one request: its next memory and its answer.
 *
 * Laws, held by the tests: a program is visible only whole and with the digest it was offered with; a repeated or late
 * request changes nothing more than the first did; a recording is freed only by `stored` with its digest.
 *
 * @param now milliseconds since 1970 on the watch's clock
 */
export function receive(memory: WatchMemory, request: Request, now: number, secret: Secret): Received {
  switch (request.kind) {
    case 'hello':
      return { memory, answer: hello(memory, now) }
    case 'pair':
      return pair(memory, request, now, secret)
    case 'bond':
      return bond(memory, request)
    case 'list':
      return { memory, answer: { kind: 'list', slots: slotStates(memory), free: freeBytes(memory) } }
    case 'offer':
      return offer(memory, request, now)
    case 'chunk':
      return chunk(memory, request, now)
    case 'commit':
      return commit(memory, request)
    case 'remove':
      return remove(memory, request)
    case 'read':
      return read(memory, request)
    case 'records':
      return records(memory)
    case 'take':
      return take(memory, request)
    case 'stored':
      return stored(memory, request)
    default:
      return refused(memory, 'unsupported', 'this watch does not know such a request')
  }
}

/**
 * What a watch does with one frame from the link. Only frames sealed with its owner's key are acted on, and none that
 * counts below one it has already taken; one with an equal counter is the same message again and is answered again.
 *
 * Trap: the counter is remembered in the same memory as what the message did, so that both are kept or neither.
 *
 * @returns null where nothing is answered: the text is no frame
 */
export function receiveFrame(
  memory: WatchMemory,
  text: string,
  now: number,
  secret: Secret,
): { memory: WatchMemory; reply: string } | null {
  const frame = readFrame(text)
  if (!frame) return null
  const request = messageOf<Request>(frame)
  const { bond: known, watch } = memory
  const reply = (next: WatchMemory, answer: Answer, key: string | null) => ({
    memory: next,
    reply: seal(key, 'watch', watch, frame.counter, answer),
  })
  if (known && isSealedBy(frame, known.key, 'server', watch)) {
    if (frame.counter < known.counter) {
      return reply(memory, { kind: 'refused', why: 'stale', detail: 'the counter is behind', heard: known.counter }, known.key)
    }
    const counted: WatchMemory = frame.counter === known.counter ? memory : { ...memory, bond: { ...known, counter: frame.counter } }
    if (!request) return reply(counted, refused(counted, 'unsupported', 'the body is no message').answer, known.key)
    const { memory: next, answer } = receive(counted, request, now, secret)
    return reply(next, answer, known.key)
  }
  if (frame.mac === undefined && request && isOpenRequest(request)) {
    const { memory: next, answer } = receive(memory, request, now, secret)
    return reply(next, answer, null)
  }
  return reply(
    memory,
    refused(memory, 'unpaired', known ? 'the seal is not of the key this watch knows' : 'this watch belongs to nobody').answer,
    null,
  )
}

/** The glass shows a code for three minutes; three tries, then another code is needed. */
export function showCode(memory: WatchMemory, now: number, secret: Secret): WatchMemory {
  const number = secret(4).reduce((sum, byte) => sum * 256 + byte, 0)
  const code = String(number % 1_000_000).padStart(6, '0')
  return { ...memory, pairing: { code, until: now + 3 * 60_000, tries: codeTries, begun: null } }
}

/** The code on the glass, or null. */
export const shownCode = (memory: WatchMemory, now: number): string | null =>
  memory.pairing && memory.pairing.until > now && memory.pairing.tries > 0 ? memory.pairing.code : null

export const hideCode = (memory: WatchMemory): WatchMemory => (memory.pairing ? { ...memory, pairing: null } : memory)
