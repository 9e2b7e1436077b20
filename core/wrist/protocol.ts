/**
 * The messages between a server and a watch. Each request carries a number that its answer repeats, so that a late or
 * doubled answer is told apart. `docs/wrist-protocol.md` says the same in words.
 */

export type Refusal = 'full' | 'busy' | 'stale' | 'digest' | 'unsupported' | 'unpaired'

export type Request
  = | { kind: 'hello' }
    | { kind: 'list' }
  /** Says which bytes are to come for which slot; the answer says how many of them the watch has already. */
    | { kind: 'offer', slot: number, digest: string, size: number, expects: number }
    | { kind: 'chunk', digest: string, offset: number, bytes: string }
  /** Makes the offered program visible in its slot, if the slot still has the generation expected. */
    | { kind: 'commit', slot: number, digest: string, expects: number }
    | { kind: 'remove', slot: number, expects: number }
    | { kind: 'read', slot: number, offset: number }
    | { kind: 'records' }
    | { kind: 'take', record: string, offset: number }
  /** Sent only after the recording is safe; the watch frees it then. */
    | { kind: 'stored', record: string, digest: string }

export interface SlotState { slot: number, generation: number, digest: string | null, name: string | null, size: number }
export interface RecordState { record: string, digest: string, size: number, program: string | null, startedAt: string }

export type Answer
  = | { kind: 'hello', watch: string, incarnation: string, clock: string, profile: string }
    | { kind: 'list', slots: SlotState[] }
    | { kind: 'offer', have: number }
    | { kind: 'chunk', have: number }
    | { kind: 'commit', generation: number }
    | { kind: 'remove', generation: number }
    | { kind: 'read', slot: number, generation: number, digest: string | null, size: number, offset: number, bytes: string }
    | { kind: 'records', records: RecordState[] }
    | { kind: 'take', record: string, size: number, offset: number, bytes: string }
    | { kind: 'stored', record: string }
    | { kind: 'refused', why: Refusal, detail: string }

export interface Numbered<T> { number: number, body: T }

/** Bytes of a program or a recording in one message at most. */
export const chunkBytes = 512

export function toBase64(bytes: Uint8Array): string {
  let text = ''
  for (const byte of bytes) text += String.fromCharCode(byte)
  return btoa(text)
}

export function fromBase64(text: string): Uint8Array {
  return Uint8Array.from(atob(text), letter => letter.charCodeAt(0))
}

export function joinBytes(parts: readonly Uint8Array[]): Uint8Array {
  const joined = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0))
  let at = 0
  for (const part of parts) {
    joined.set(part, at)
    at += part.length
  }
  return joined
}
