import { randomUUID } from 'node:crypto'
import { inject } from 'vitest'
import { asOwner, openDatabase } from '../../server/db/client'
import type { ImportedFile } from '../../shared/api'
import { watch } from '../../server/db/schema'
import { createAccount, newToken } from '../../server/services/account'
import { profileNamed } from '../../core/wrist/program/profile'
import { pairStandin } from '../../scripts/pair-standin'

process.env.DATABASE_URL = inject('databaseUrl')
process.env.STANDIN_URL = inject('standinUrl')
process.env.STANDIN_KEY = inject('standinKey')

/** As the server enters it. */
export const database = openDatabase(inject('databaseUrl'))
/** As its owner enters it, whom nothing binds. */
export const ownerDatabase = openDatabase(inject('ownerUrl'))

export interface Answer<T = Record<string, unknown>> {
  status: number
  body: T
}

/** Someone with an account of their own and one watch, who asks over HTTP. */
export interface Person {
  owner: string
  token: string
  watch: string
  address: string
  ask: <T = Record<string, unknown>>(method: string, path: string, body?: unknown) => Promise<Answer<T>>
  /** As `ask`, with bytes as they are, and the answer as it comes. */
  send: (method: string, path: string, bytes?: Uint8Array | string) => Promise<Response>
}

export async function newPerson(name: string): Promise<Person> {
  const token = newToken()
  const owner = await createAccount(database, name, token)
  const address = `test-${owner.slice(0, 8)}.all-sport`
  const watchId = await asOwner(database, owner, async tx => {
    const [made] = await tx
      .insert(watch)
      .values({ name: `${name}'s watch`, address, profile: profileNamed('all-sport')! })
      .returning({ id: watch.id })
    return made!.id
  })
  await pairStandin(database, owner, watchId)
  const send = (method: string, path: string, bytes?: Uint8Array | string) =>
    fetch(`${inject('address')}/api${path}`, {
      method,
      headers: { authorization: `Bearer ${token}` },
      ...(bytes === undefined ? {} : { body: bytes as BodyInit }),
    })
  const ask = async <T>(method: string, path: string, body?: unknown): Promise<Answer<T>> => {
    const response = await send(method, path, body === undefined || typeof body === 'string' ? body : JSON.stringify(body))
    return { status: response.status, body: (await response.json()) as T }
  }
  return { owner, token, watch: watchId, address, ask, send }
}

/** A session of this person, as the server keeps it. */
export async function newSession(person: Person, script: string): Promise<string> {
  const id = randomUUID()
  const { status, body } = await person.ask('PUT', `/sessions/${id}`, { base: 0, script })
  if (status !== 200) throw new Error(JSON.stringify(body))
  return id
}

/** Sends a file to be taken in, as its bytes. */
export async function importFile(person: Person, name: string, bytes: Uint8Array | string) {
  const response = await person.send('POST', `/import?name=${encodeURIComponent(name)}`, bytes)
  return { status: response.status, body: (await response.json()) as { files: ImportedFile[]; problem?: string } }
}

/** Asks until the answer is as wanted; gives up after ten seconds, or as many milliseconds as are given. */
export async function until<T>(ask: () => Promise<T>, wanted: (value: T) => boolean, patience = 10_000): Promise<T> {
  const end = Date.now() + patience
  for (;;) {
    const value = await ask()
    if (wanted(value)) return value
    if (Date.now() > end) throw new Error(`never as wanted: ${JSON.stringify(value)}`)
    await new Promise(resolve => setTimeout(resolve, 40))
  }
}
