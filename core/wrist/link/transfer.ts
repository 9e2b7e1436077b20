import type { Recording } from '../../record/recording'
import { canonicalBytes, digestOfBytes } from '../program/digest'
import type { Program } from '../program/program'
import type { Exchange } from './line'
import { closePairing, openPairing, proofOf } from './pairing'
import type { Secret } from './pairing'
import type { AnswerTo, RecordState, Refusal, Request } from './protocol'
import { chunkBytes, fromBase64, joinBytes, toBase64 } from './protocol'

/** The watch said no, and why. */
export class RefusedError extends Error {
  constructor(
    readonly why: Refusal,
    readonly detail: string,
  ) {
    super(`the watch refused: ${why}, ${detail}`)
  }
}

async function ask<K extends Request['kind']>(exchange: Exchange, request: Request & { kind: K }): Promise<AnswerTo<K>> {
  const answer = await exchange(request)
  if (answer.kind === 'refused') throw new RefusedError(answer.why, answer.detail)
  if (answer.kind !== (request.kind === 'chunk' ? 'ack' : request.kind))
    throw new Error(`asked for ${request.kind}, the watch answered ${answer.kind}`)
  return answer as AnswerTo<K>
}

export interface Receipt {
  slot: number
  generation: number
  digest: string
  size: number
}

/** How a sending goes: how much one message takes, and who is told of each step. */
export interface Sending {
  messageBytes?: number
  /** Told after every message how many bytes have arrived; what it throws ends the sending. */
  onProgress?: (arrived: number, size: number) => void | Promise<void>
}

const offersAtMost = 4

/**
 * Brings a program into a slot. Calling it again after any fault goes on where it stopped, and a program that is there
 * already is not sent again.
 *
 * Laws: afterwards the watch holds exactly this program, or what it held before; a receipt means that the watch had all
 * of it with this digest.
 *
 * Trap: the watch may let offered bytes go, at a power cut or when its clock jumps; they are then offered anew.
 *
 * @param expects the slot's generation the caller knows; another one is refused as stale
 */
export async function sendProgram(
  exchange: Exchange,
  program: Program,
  slot: number,
  expects: number,
  sending: Sending = {},
): Promise<Receipt> {
  const { messageBytes = chunkBytes, onProgress = () => {} } = sending
  const bytes = canonicalBytes(program)
  const digest = digestOfBytes(bytes)
  const size = bytes.length
  for (let offers = 1; ; offers++) {
    let { have } = await ask(exchange, { kind: 'offer', slot, digest, size, expects })
    try {
      await onProgress(have, size)
      while (have < size) {
        const answer = await ask(exchange, { kind: 'chunk', digest, offset: have, bytes: toBase64(bytes.slice(have, have + messageBytes)) })
        have = answer.have
        await onProgress(have, size)
      }
      const { generation } = await ask(exchange, { kind: 'commit', slot, digest, expects })
      return { slot, generation, digest, size }
    } catch (error) {
      const isLetGo = error instanceof RefusedError && (error.why === 'stale' || error.why === 'digest')
      if (!isLetGo || offers >= offersAtMost) throw error
    }
  }
}

export interface ReadBack {
  generation: number
  digest: string | null
  program: Program | null
}

/** Reads a slot back byte by byte; the program only when its bytes have the digest the watch states. */
export async function readBack(exchange: Exchange, slot: number, messageBytes = chunkBytes): Promise<ReadBack> {
  const parts: Uint8Array[] = []
  let offset = 0
  let first = await ask(exchange, { kind: 'read', slot, offset, most: messageBytes })
  const { generation, digest, size } = first
  for (;;) {
    if (first.generation !== generation) throw new Error('the slot changed while it was read')
    const bytes = fromBase64(first.bytes)
    parts.push(bytes)
    offset += bytes.length
    if (offset >= size || bytes.length === 0) break
    first = await ask(exchange, { kind: 'read', slot, offset, most: messageBytes })
  }
  if (digest === null) return { generation, digest: null, program: null }
  const bytes = joinBytes(parts)
  if (digestOfBytes(bytes) !== digest) throw new Error('what was read back has not the digest that the watch states')
  return { generation, digest, program: JSON.parse(new TextDecoder().decode(bytes)) as Program }
}

export const listSlots = (exchange: Exchange) => ask(exchange, { kind: 'list' })
export const greet = (exchange: Exchange) => ask(exchange, { kind: 'hello' })
/** Takes a program off a slot, if the slot still has the generation that is expected. */
export const removeProgram = (exchange: Exchange, slot: number, expects: number) => ask(exchange, { kind: 'remove', slot, expects })
export const listRecords = async (exchange: Exchange): Promise<RecordState[]> => (await ask(exchange, { kind: 'records' })).records

/** How many bytes each part of a recording has: the first so many, each further one twice as many, up to the most of the link. */
export interface PartSizes {
  first: number
  most: number
}

/**
 * Takes one recording home. The watch keeps it until `freeRecording` is called, which is only done once it is stored.
 * The parts grow while they come: a link that is soon cut still brings some, and one that holds brings long ones in few messages.
 *
 * @param have bytes taken before a fault, to go on behind them
 * @param onPart told of every further part, in order
 */
export async function takeRecording(
  exchange: Exchange,
  state: RecordState,
  have: Uint8Array = new Uint8Array(),
  {
    first = chunkBytes,
    most = chunkBytes,
    onPart = () => {},
  }: Partial<PartSizes> & { onPart?: (bytes: Uint8Array) => void | Promise<void> } = {},
): Promise<Recording> {
  const parts = [have]
  let length = have.length
  for (let next = first; length < state.size; next = Math.min(2 * next, most)) {
    const answer = await ask(exchange, { kind: 'take', record: state.record, offset: length, most: next })
    const part = fromBase64(answer.bytes)
    if (part.length === 0) throw new Error('the recording ended before its size')
    parts.push(part)
    length += part.length
    await onPart(part)
  }
  const bytes = joinBytes(parts)
  if (digestOfBytes(bytes) !== state.digest) throw new Error('the recording has not the digest that the watch states')
  return JSON.parse(new TextDecoder().decode(bytes)) as Recording
}

export const freeRecording = (exchange: Exchange, state: RecordState) =>
  ask(exchange, { kind: 'stored', record: state.record, digest: state.digest })

/** The six digits were not those on the glass. */
export class WrongCodeError extends Error {}

/**
 * Agrees on a key with a watch that shows its code.
 *
 * @param owner the name the watch will know its owner by
 * @param keep keeps the key before the watch is bound to it, so that no watch is bound to a key nobody has
 */
export async function pairWatch(
  exchange: Exchange,
  watch: string,
  owner: string,
  code: string,
  secret: Secret,
  keep: (key: string) => Promise<void>,
): Promise<void> {
  const opening = openPairing(code, watch, owner, secret)
  const answer = await ask(exchange, { kind: 'pair', owner, share: opening.share })
  const key = closePairing(opening, answer.share, watch, owner)
  if (key === null || answer.proof !== proofOf(key, 'watch')) throw new WrongCodeError('the code is not the one on the watch')
  await keep(key)
  await ask(exchange, { kind: 'bond', owner, proof: proofOf(key, 'server') })
}
