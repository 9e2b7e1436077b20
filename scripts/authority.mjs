/** A certificate authority of this folder's own, and the certificate by which the server is known on the home network. */
import { X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { networkInterfaces, hostname } from 'node:os'
import { isIP } from 'node:net'
import { join } from 'node:path'
import { generate } from 'selfsigned'

const days = count => new Date(Date.now() + count * 86_400_000)
/** Browsers take no certificate of a server that is valid longer. */
const serverDays = 390
const renewBefore = 30
const authorityDays = 3650

/** The addresses of this machine on its networks, loopback left out. */
const ownAddresses = () =>
  Object.values(networkInterfaces())
    .flat()
    .filter(entry => entry && !entry.internal && entry.family === 'IPv4')
    .map(entry => entry.address)

const localName = () => `${hostname().split('.')[0].toLowerCase()}.local`

/**
 * By which names the server is reached: this machine's own, its addresses, and the one the athlete gives.
 *
 * @param given a host name, or none
 * @param isLoopback only this machine itself
 * @returns `{ names, reachedAt }`, the latter the one that is shown to others
 */
export function namesOf(given, isLoopback) {
  const own = isLoopback ? [] : [localName(), ...ownAddresses()]
  const names = [...new Set([...(given ? [given] : []), ...own, 'localhost', '127.0.0.1'])]
  return { names, reachedAt: given ?? (isLoopback ? 'localhost' : (ownAddresses()[0] ?? 'localhost')) }
}

async function keptAuthority(folder) {
  const [cert, key] = ['authority.crt', 'authority.key'].map(name => join(folder, name))
  if (!existsSync(cert) || !existsSync(key)) {
    const made = await generate([{ name: 'commonName', value: `Agonis at ${hostname()}` }], {
      keyType: 'ec',
      algorithm: 'sha256',
      notAfterDate: days(authorityDays),
      extensions: [
        { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
        { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
      ],
    })
    writeFileSync(key, made.private, { mode: 0o600 })
    writeFileSync(cert, made.cert, { mode: 0o644 })
  }
  return { cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8') }
}

function isGood(file, names) {
  if (!existsSync(file)) return false
  const certificate = new X509Certificate(readFileSync(file))
  const covers = name => (isIP(name) ? certificate.checkIP(name) : certificate.checkHost(name))
  return new Date(certificate.validTo) > days(renewBefore) && names.every(covers)
}

/**
 * The certificate of the server, made anew when it grows old or the machine has other names.
 *
 * @returns `{ authority, cert, key, fingerprint }` as PEM, and the SHA-256 of the authority, by which a person knows it
 */
export async function certificateFor(folder, names) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const authority = await keptAuthority(folder)
  const [cert, key] = ['server.crt', 'server.key'].map(name => join(folder, name))
  if (!isGood(cert, names) || !existsSync(key)) {
    const made = await generate([{ name: 'commonName', value: names[0] }], {
      keyType: 'ec',
      algorithm: 'sha256',
      notAfterDate: days(serverDays),
      ca: authority,
      extensions: [
        { name: 'basicConstraints', cA: false, critical: true },
        { name: 'keyUsage', digitalSignature: true, critical: true },
        { name: 'extKeyUsage', serverAuth: true },
        { name: 'subjectAltName', altNames: names.map(name => (isIP(name) ? { type: 7, ip: name } : { type: 2, value: name })) },
      ],
    })
    writeFileSync(key, made.private, { mode: 0o600 })
    writeFileSync(cert, made.cert)
  }
  const { fingerprint256 } = new X509Certificate(authority.cert)
  return { authority: authority.cert, cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8'), fingerprint: fingerprint256 }
}
