import { deflateSync, Inflate, strFromU8, strToU8 } from 'fflate'
import { fromBase64, toBase64 } from '../quantity/base64'
import { joinBytes } from '../wrist/link/protocol'

/** A session in a link: its script, with results where it was carried out, and what else its sender ticked. */
export interface PassedSession {
  script: string
  /** When it was carried out, as a day or an instant. */
  day?: string
  message?: string
}

/** Longer links are cut by some who carry them. */
export const linkLength = 8000
const unpackedAtMost = 256 * 1024
const version = 'a1.'

const toBase64Url = (bytes: Uint8Array) => toBase64(bytes).replaceAll('+', '-').replaceAll('/', '_').replace(/=+$/, '')
const fromBase64Url = (text: string) => fromBase64(text.replaceAll('-', '+').replaceAll('_', '/'))

/** Packs a session into the fragment of a link, which no server gets to see; null where it is too long for one. */
export function packSession(passed: PassedSession): string | null {
  const packed = version + toBase64Url(deflateSync(strToU8(JSON.stringify(passed)), { level: 9 }))
  return packed.length > linkLength ? null : packed
}

/** Unpacks within bounds, whatever the bytes say of themselves. */
function inflated(bytes: Uint8Array): Uint8Array {
  const parts: Uint8Array[] = []
  let size = 0
  const inflate = new Inflate(part => {
    size += part.length
    if (size > unpackedAtMost) throw new RangeError('too large')
    parts.push(part)
  })
  for (let at = 0; at < bytes.length; at += 1024) inflate.push(bytes.subarray(at, at + 1024), at + 1024 >= bytes.length)
  return joinBytes(parts)
}

const text = (value: unknown, most: number) => (typeof value === 'string' && value.length <= most ? value : undefined)

/**
 * Unpacks what a link carries: a whole address, or its fragment alone.
 *
 * @returns null where it carries no session, is damaged, or was made by a later version
 */
export function unpackSession(link: string): PassedSession | null {
  const packed = link.slice(link.lastIndexOf('#') + 1).trim()
  if (!packed.startsWith(version) || packed.length > 2 * linkLength) return null
  try {
    const value = JSON.parse(strFromU8(inflated(fromBase64Url(packed.slice(version.length))))) as Record<string, unknown>
    const script = text(value.script, unpackedAtMost)
    if (script === undefined) return null
    const [day, message] = [text(value.day, 40), text(value.message, 4096)]
    return { script, ...(day === undefined ? {} : { day }), ...(message === undefined ? {} : { message }) }
  } catch {
    return null
  }
}
