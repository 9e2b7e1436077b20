import { hashToRistretto255, RistrettoPoint } from '@noble/curves/ed25519'
import { hmac } from '@noble/hashes/hmac'
import { sha256, sha512 } from '@noble/hashes/sha2'
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils'

/**
 * A key from six digits. Both sides turn the code into a point of ristretto255 and agree by Diffie and Hellman over it,
 * so that somebody who listens learns nothing of the code or the key, and somebody who meddles can try one code an attempt.
 *
 * @source the balanced key exchange of Abdalla, Haase & Hesse (CPace, IRTF draft), over RFC 9496 and RFC 9380
 */

/** Random bytes for secrets: 64 of them make a scalar. */
export type Secret = (bytes: number) => Uint8Array

export interface Opening {
  share: string
  scalar: string
}

const order = BigInt('7237005577332262213973186563042994240857116359379907606001950938285454250989')

function scalarFrom(secret: Secret): bigint {
  const scalar = BigInt(`0x${bytesToHex(secret(64))}`) % order
  return scalar === BigInt(0) ? BigInt(1) : scalar
}

const generator = (code: string, watch: string, owner: string) =>
  hashToRistretto255(utf8ToBytes(`${code}\n${watch}\n${owner}`), { DST: 'agonis-pairing-1' })

/** The server's share of a key, and the scalar that it keeps to itself. */
export function openPairing(code: string, watch: string, owner: string, secret: Secret): Opening {
  const scalar = scalarFrom(secret)
  return { share: bytesToHex(generator(code, watch, owner).multiply(scalar).toRawBytes()), scalar: scalar.toString(16) }
}

function keyOf(shared: InstanceType<typeof RistrettoPoint>, first: string, second: string, watch: string, owner: string): string | null {
  if (shared.equals(RistrettoPoint.ZERO)) return null
  const bytes = sha512(utf8ToBytes(`agonis-key-1\n${watch}\n${owner}\n${first}\n${second}\n${bytesToHex(shared.toRawBytes())}`))
  return bytesToHex(bytes.slice(0, 32))
}

function pointFrom(share: string): InstanceType<typeof RistrettoPoint> | null {
  try {
    return RistrettoPoint.fromHex(share)
  } catch {
    return null
  }
}

/** The watch's share, and the key it comes to; null where the other share is no point. */
export function answerPairing(
  code: string,
  watch: string,
  owner: string,
  share: string,
  secret: Secret,
): { share: string; key: string } | null {
  const other = pointFrom(share)
  if (!other) return null
  const scalar = scalarFrom(secret)
  const own = bytesToHex(generator(code, watch, owner).multiply(scalar).toRawBytes())
  const key = keyOf(other.multiply(scalar), share, own, watch, owner)
  return key === null ? null : { share: own, key }
}

/** The key that the server comes to with the watch's share; null where that share is no point. */
export function closePairing(opening: Opening, share: string, watch: string, owner: string): string | null {
  const other = pointFrom(share)
  return other && keyOf(other.multiply(BigInt(`0x${opening.scalar}`)), opening.share, share, watch, owner)
}

/** What shows the other side that one has the key, without showing the key. */
export const proofOf = (key: string, side: 'server' | 'watch'): string =>
  bytesToHex(hmac(sha256, hexToBytes(key), utf8ToBytes(`agonis-proof-1\n${side}`)))
