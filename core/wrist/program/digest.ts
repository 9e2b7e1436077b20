import { sha256 } from '@noble/hashes/sha2'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils'
import canonicalize from 'canonicalize'

/** The bytes that a digest is taken of and that go over the link: RFC 8785 canonical JSON in UTF-8. */
export function canonicalBytes(value: unknown): Uint8Array {
  const text = canonicalize(value)
  if (text === undefined) throw new TypeError('not a JSON value')
  return utf8ToBytes(text)
}

/** SHA-256 of bytes, in lower-case hex. */
export const digestOfBytes = (bytes: Uint8Array): string => bytesToHex(sha256(bytes))

/** SHA-256 of a document's canonical bytes, in lower-case hex: equal documents have equal digests. */
export const digestOf = (value: unknown): string => digestOfBytes(canonicalBytes(value))
