import type { Recording } from '../record/recording'
import { canonicalBytes, digestOfBytes } from './digest'
import type { Program } from './program'
import type { Answer, RecordState, Refusal, Request, SlotState } from './protocol'
import { chunkBytes, fromBase64, joinBytes, toBase64 } from './protocol'

/** Sends one request over the link and waits for its answer; rejects when the link fails. */
export type Exchange = (request: Request) => Promise<Answer>

/** The watch said no, and why. */
export class RefusedError extends Error {
  constructor(readonly why: Refusal, readonly detail: string) {
    super(`the watch refused: ${why}, ${detail}`)
  }
}

async function ask<K extends Request['kind']>(exchange: Exchange, request: Request & { kind: K }): Promise<Extract<Answer, { kind: K }>> {
  const answer = await exchange(request)
  if (answer.kind === 'refused') throw new RefusedError(answer.why, answer.detail)
  if (answer.kind !== request.kind) throw new Error(`asked for ${request.kind}, the watch answered ${answer.kind}`)
  return answer as Extract<Answer, { kind: K }>
}

export interface Receipt { slot: number, generation: number, digest: string, size: number }

/**
 * Brings a program into a slot. Calling it again after any fault goes on where it stopped, and a program that is there
 * already is not sent again.
 *
 * Laws: afterwards the watch holds exactly this program, or what it held before; a receipt means it was read back whole.
 *
 * @param expects the slot's generation the caller knows; another one is refused as stale
 * @param onProgress bytes that have arrived, of all
 */
export async function sendProgram(
  exchange: Exchange, program: Program, slot: number, expects: number, onProgress: (arrived: number, size: number) => void = () => {},
): Promise<Receipt> {
  const bytes = canonicalBytes(program)
  const digest = digestOfBytes(bytes)
  const size = bytes.length
  let { have } = await ask(exchange, { kind: 'offer', slot, digest, size, expects })
  onProgress(have, size)
  while (have < size) {
    const answer = await ask(exchange, { kind: 'chunk', digest, offset: have, bytes: toBase64(bytes.slice(have, have + chunkBytes)) })
    have = answer.have
    onProgress(have, size)
  }
  const { generation } = await ask(exchange, { kind: 'commit', slot, digest, expects })
  return { slot, generation, digest, size }
}

export interface ReadBack { generation: number, digest: string | null, program: Program | null }

/** Reads a slot back byte by byte; the program only when its bytes have the digest the watch states. */
export async function readBack(exchange: Exchange, slot: number): Promise<ReadBack> {
  const parts: Uint8Array[] = []
  let offset = 0
  let first = await ask(exchange, { kind: 'read', slot, offset })
  const { generation, digest, size } = first
  for (;;) {
    if (first.generation !== generation) throw new Error('the slot changed while it was read')
    const bytes = fromBase64(first.bytes)
    parts.push(bytes)
    offset += bytes.length
    if (offset >= size || bytes.length === 0) break
    first = await ask(exchange, { kind: 'read', slot, offset })
  }
  if (digest === null) return { generation, digest: null, program: null }
  const bytes = joinBytes(parts)
  if (digestOfBytes(bytes) !== digest) throw new Error('what was read back has not the digest that the watch states')
  return { generation, digest, program: JSON.parse(new TextDecoder().decode(bytes)) as Program }
}

export const listSlots = async (exchange: Exchange): Promise<SlotState[]> => (await ask(exchange, { kind: 'list' })).slots
export const greet = (exchange: Exchange) => ask(exchange, { kind: 'hello' })
export const removeProgram = (exchange: Exchange, slot: number, expects: number) => ask(exchange, { kind: 'remove', slot, expects })
export const listRecords = async (exchange: Exchange): Promise<RecordState[]> => (await ask(exchange, { kind: 'records' })).records

/**
 * Takes one recording home. The watch keeps it until `freeRecording` is called, which is only done once it is stored.
 *
 * @param have bytes taken before a fault, to go on behind them
 */
export async function takeRecording(
  exchange: Exchange, state: RecordState, have: Uint8Array = new Uint8Array(), onProgress: (bytes: Uint8Array) => void = () => {},
): Promise<Recording> {
  let bytes = have
  while (bytes.length < state.size) {
    const answer = await ask(exchange, { kind: 'take', record: state.record, offset: bytes.length })
    const part = fromBase64(answer.bytes)
    if (part.length === 0) throw new Error('the recording ended before its size')
    bytes = joinBytes([bytes, part])
    onProgress(bytes)
  }
  if (digestOfBytes(bytes) !== state.digest) throw new Error('the recording has not the digest that the watch states')
  return JSON.parse(new TextDecoder().decode(bytes)) as Recording
}

export const freeRecording = (exchange: Exchange, state: RecordState) =>
  ask(exchange, { kind: 'stored', record: state.record, digest: state.digest })
