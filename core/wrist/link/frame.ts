import { hmac } from '@noble/hashes/hmac'
import { sha256 } from '@noble/hashes/sha2'
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils'

/**
 * What goes over the link: a message with a counter, sealed with the key that pairing gave. The answer repeats the counter.
 * `mac` is absent only where there is no key yet.
 */
export interface Frame {
  counter: number
  body: string
  mac?: string
}

/** Who sends: the same words from the other side have another seal, so that an answer never passes for a request. */
export type Direction = 'server' | 'watch'

/** Requests that one lease of a watch may number; the lease's own number stands above them in the counter. */
export const countersOfALease = 2 ** 20

/** The first counter of a lease: a later lease always counts above every frame of an earlier one. */
export const firstCounter = (lease: number) => lease * countersOfALease

/** The lease that a counter was given under. */
export const leaseOfCounter = (counter: number) => Math.floor(counter / countersOfALease)

function macOf(key: string, direction: Direction, watch: string, counter: number, body: string): string {
  return bytesToHex(hmac(sha256, hexToBytes(key), utf8ToBytes(`${direction}\n${watch}\n${counter}\n${body}`)))
}

/**
 * A message sealed for the link: HMAC-SHA-256 over direction, watch, counter and body, parted by line feeds.
 *
 * @param key 32 bytes in hex; null where there is none yet, and the frame goes unsealed
 */
export function seal(key: string | null, direction: Direction, watch: string, counter: number, message: unknown): string {
  const body = JSON.stringify(message)
  const frame: Frame = { counter, body, ...(key === null ? {} : { mac: macOf(key, direction, watch, counter, body) }) }
  return JSON.stringify(frame)
}

/** A frame from text, or null where the text is none: a link may bring anything. */
export function readFrame(text: string): Frame | null {
  try {
    const value = JSON.parse(text) as Partial<Frame> | null
    if (typeof value !== 'object' || value === null || !Number.isSafeInteger(value.counter) || typeof value.body !== 'string') return null
    if (value.mac !== undefined && typeof value.mac !== 'string') return null
    return { counter: value.counter!, body: value.body, ...(value.mac === undefined ? {} : { mac: value.mac }) }
  } catch {
    return null
  }
}

/** Compares without telling by its time how much was equal. */
function isSame(a: string, b: string): boolean {
  let differs = a.length ^ b.length
  for (let index = 0; index < Math.min(a.length, b.length); index++) differs |= a.charCodeAt(index) ^ b.charCodeAt(index)
  return differs === 0
}

/** Whether a frame was sealed with this key by the side that `direction` names. */
export const isSealedBy = (frame: Frame, key: string, direction: Direction, watch: string): boolean =>
  frame.mac !== undefined && isSame(frame.mac, macOf(key, direction, watch, frame.counter, frame.body))

/** The message of a frame, or null where its body is none. */
export function messageOf<T extends { kind: string }>(frame: Frame): T | null {
  try {
    const value = JSON.parse(frame.body) as T | null
    return typeof value === 'object' && value !== null && typeof value.kind === 'string' ? value : null
  } catch {
    return null
  }
}
