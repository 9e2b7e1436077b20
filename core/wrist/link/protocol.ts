/**
 * The messages between a server and a watch. They travel in frames, `frame.ts`; `docs/wrist-protocol.md` says the same
 * in words.
 */

export type Refusal = 'full' | 'busy' | 'stale' | 'digest' | 'unsupported' | 'unpaired'

export type Request =
  | { kind: 'hello' }
  /** Asks for a key, while the watch shows its code: an owner's name and a share of the agreement, both in hex. */
  | { kind: 'pair'; owner: string; share: string }
  /** Proves that the server has the same key; the watch belongs to this owner from here on. */
  | { kind: 'bond'; owner: string; proof: string }
  | { kind: 'list' }
  /** Says which bytes are to come for which slot; the answer says how many of them the watch has already. */
  | { kind: 'offer'; slot: number; digest: string; size: number; expects: number }
  | { kind: 'chunk'; digest: string; offset: number; bytes: string }
  /** Makes the offered program visible in its slot, if the slot still has the generation expected. */
  | { kind: 'commit'; slot: number; digest: string; expects: number }
  | { kind: 'remove'; slot: number; expects: number }
  | { kind: 'read'; slot: number; offset: number; most?: number }
  | { kind: 'records' }
  | { kind: 'take'; record: string; offset: number; most?: number }
  /** Sent only after the recording is safe; the watch frees it then. */
  | { kind: 'stored'; record: string; digest: string }

export interface SlotState {
  slot: number
  generation: number
  digest: string | null
  name: string | null
  size: number
  /** Sent by a server, or made with the buttons of the watch. */
  by: 'server' | 'hand' | null
}
export interface RecordState {
  record: string
  digest: string
  size: number
  program: string | null
  startedAt: string
}

export type Answer =
  | { kind: 'hello'; watch: string; incarnation: string; clock: string; profile: string; isPaired: boolean; running: number | null }
  | { kind: 'pair'; share: string; proof: string }
  | { kind: 'bond'; watch: string }
  | { kind: 'list'; slots: SlotState[]; free: number }
  | { kind: 'offer'; have: number }
  /** A chunk has arrived; `have` bytes are there now. */
  | { kind: 'ack'; have: number }
  | { kind: 'commit'; generation: number }
  | { kind: 'remove'; generation: number }
  | { kind: 'read'; slot: number; generation: number; digest: string | null; size: number; offset: number; bytes: string }
  | { kind: 'records'; records: RecordState[] }
  | { kind: 'take'; record: string; size: number; offset: number; bytes: string }
  | { kind: 'stored'; record: string }
  /** `heard` is the highest counter the watch has taken, where a frame came with a lower one. */
  | { kind: 'refused'; why: Refusal; detail: string; heard?: number }

/** The kind of answer that a request asks for. */
export type AnswerTo<K extends Request['kind']> = Extract<Answer, { kind: K extends 'chunk' ? 'ack' : K }>

/** Bytes of a program or a recording in one message, where nothing else is agreed, and at most. */
export const chunkBytes = 512
export const chunkBytesAtMost = 4096

/** Requests that need no key: without them no key can be had. */
export const isOpenRequest = (request: Request) => request.kind === 'hello' || request.kind === 'pair' || request.kind === 'bond'

export { fromBase64, toBase64 } from '../../quantity/base64'

/** Bytes that a base64 text stands for. */
export const base64Size = (text: string): number => (text.length / 4) * 3 - (text.endsWith('==') ? 2 : text.endsWith('=') ? 1 : 0)

export function joinBytes(parts: readonly Uint8Array[]): Uint8Array {
  const joined = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0))
  let at = 0
  for (const part of parts) {
    joined.set(part, at)
    at += part.length
  }
  return joined
}
