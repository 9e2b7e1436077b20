import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'

const cost = { N: 2 ** 15, r: 8, p: 1 }
const keyBytes = 32

const derive = (passphrase: string, salt: Buffer, { N, r, p }: typeof cost): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    scrypt(passphrase.normalize('NFKC'), salt, keyBytes, { N, r, p, maxmem: 256 * N * r }, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  )

/** What is kept of a passphrase: scrypt with a salt of its own, the cost beside it. */
export async function sealPassphrase(passphrase: string): Promise<string> {
  const salt = randomBytes(16)
  const key = await derive(passphrase, salt, cost)
  return ['scrypt', cost.N, cost.r, cost.p, salt.toString('base64url'), key.toString('base64url')].join('$')
}

/** Whether a passphrase is the one that was kept. */
export async function isPassphrase(passphrase: string, kept: string): Promise<boolean> {
  const [, N, r, p, salt, key] = kept.split('$')
  const derived = await derive(passphrase, Buffer.from(salt!, 'base64url'), { N: Number(N), r: Number(r), p: Number(p) })
  return timingSafeEqual(derived, Buffer.from(key!, 'base64url'))
}
