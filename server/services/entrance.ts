import { clearSession, getCookie, getHeader, getSession, updateSession } from 'h3'
import type { H3Event, SessionConfig } from 'h3'
import { isIP } from 'node:net'
import type { Database } from '../db/client'
import type { Entrance } from './account'
import { entranceOfToken } from './account'
import { Problem } from './problem'

/**
 * How one comes in. `open`: whoever can open the port of this machine is the athlete at home. `locked`: by a key that opens once.
 * `home`: over the home network, by passphrase, passkey or a paired phone.
 */
export type EntranceKind = 'open' | 'locked' | 'home'

const kinds: readonly string[] = ['open', 'locked', 'home'] satisfies EntranceKind[]

export function entranceKind(): EntranceKind {
  const kind = process.env.AGONIS_ENTRANCE ?? 'open'
  if (!kinds.includes(kind)) throw new Error(`AGONIS_ENTRANCE is one of ${kinds.join(', ')}`)
  return kind as EntranceKind
}

/** Over the home network a passphrase, passkeys and devices are how one comes in; elsewhere there are none. */
export function requireHome(): void {
  if (entranceKind() !== 'home')
    throw new Problem(409, 'Nobody signs in here by a passphrase.', 'server', 'Start with npm start -- --home to serve the home network.')
}

/** Where others reach this server: as `npm start -- --home` has it, else as it was asked. */
export const reachedAt = (event: H3Event): string => process.env.AGONIS_REACHED_AT ?? `http://${getHeader(event, 'host') ?? 'localhost'}`

const aYear = 3600 * 24 * 365

/** By which name and port the server was asked; a name of an IPv6 address stands in brackets. */
export function hostOf(event: H3Event): { name: string; port: string | undefined } {
  const [, name = '', port] = /^(.*?)(?::(\d+))?$/.exec(getHeader(event, 'host') ?? '')!
  return { name, port }
}

/** Whether the server was asked by a host name, by which passkeys work, and not by a bare address. */
export const isByName = (event: H3Event): boolean => {
  const { name } = hostOf(event)
  return isIP(name) === 0 && !name.startsWith('[')
}

/** Trap: browsers share cookies between the ports of a host, so the name tells one application of a machine from another. */
const cookieName = (event: H3Event): string => `agonis_${hostOf(event).port ?? 'home'}`

/** A cookie that this server alone can read and write. */
export function sealedCookie(
  event: H3Event,
  { suffix = '', maxAge, path }: { suffix?: string; maxAge: number; path: string },
): SessionConfig {
  const password = process.env.AGONIS_SEAL
  if (!password) throw new Error('AGONIS_SEAL is not set')
  const secure = entranceKind() === 'home'
  return {
    password,
    name: cookieName(event) + suffix,
    maxAge,
    cookie: { httpOnly: true, sameSite: 'strict', secure, path },
    sessionHeader: false,
  }
}

const cookieOf = (event: H3Event) => sealedCookie(event, { maxAge: aYear, path: '/' })

/** The token in the sealed cookie that came along. */
async function tokenInCookie(event: H3Event): Promise<string | undefined> {
  if (getCookie(event, cookieName(event)) === undefined) return undefined
  return (await getSession<{ token?: string }>(event, cookieOf(event))).data.token
}

/** Gives the browser a cookie by which it comes in from now on. */
export async function letInBy(event: H3Event, token: string): Promise<void> {
  await updateSession<{ token?: string }>(event, cookieOf(event), { token })
}

export const takeCookieBack = (event: H3Event): Promise<void> => clearSession(event, cookieOf(event))

/** Who asks: by a bearer token, else by the cookie; null for nobody known. */
export async function whoAsks(event: H3Event, database: Pick<Database, 'execute'>): Promise<Entrance | null> {
  const bearer = /^Bearer (\S+)$/.exec(getHeader(event, 'authorization') ?? '')?.[1]
  const token = bearer ?? (await tokenInCookie(event))
  return token ? entranceOfToken(database, token) : null
}
