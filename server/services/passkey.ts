import type { AuthenticationResponseJSON, AuthenticatorTransportFuture, RegistrationResponseJSON } from '@simplewebauthn/server'
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server'
import { eq, sql } from 'drizzle-orm'
import { clearSession, getHeader, getSession, updateSession } from 'h3'
import type { H3Event } from 'h3'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { passkey } from '../db/schema'
import { hostOf, isByName, sealedCookie } from './entrance'
import { Problem } from './problem'
import { signInName } from './sign-in'

const challengeSeconds = 300

/** The name of this server as passkeys know it: a host name; a bare address has none. */
function partyOf(event: H3Event): { rpID: string; origin: string } {
  if (!isByName(event))
    throw new Problem(
      409,
      'Passkeys need a host name, and this page was opened by an address.',
      'request',
      'Open it by its name, or use the passphrase.',
    )
  return { rpID: hostOf(event).name, origin: `https://${getHeader(event, 'host')}` }
}

const challengeCookie = (event: H3Event) => sealedCookie(event, { suffix: '_challenge', maxAge: challengeSeconds, path: '/api' })
const keepChallenge = (event: H3Event, challenge: string) =>
  updateSession<{ challenge?: string }>(event, challengeCookie(event), { challenge })

/** The challenge that was given out to this browser, which is used up by asking for it. */
async function challengeOf(event: H3Event): Promise<string> {
  const { challenge } = (await getSession<{ challenge?: string }>(event, challengeCookie(event))).data
  await clearSession(event, challengeCookie(event))
  if (!challenge) throw new Problem(409, 'That took too long.', 'request', 'Try again.')
  return challenge
}

const refused = () =>
  new Problem(401, 'That passkey does not open anything here.', 'body', 'Use the passphrase, or a device that is signed in.')

/** What a browser needs to make a passkey for an athlete who is signed in. */
export async function registrationOptions(event: H3Event, tx: OwnerTransaction, owner: string) {
  const known = await tx.select({ id: passkey.credential }).from(passkey)
  const name = (await signInName(tx)) ?? 'athlete'
  const options = await generateRegistrationOptions({
    rpName: 'Agonis',
    rpID: partyOf(event).rpID,
    userName: name,
    userID: new TextEncoder().encode(owner),
    excludeCredentials: known,
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  })
  await keepChallenge(event, options.challenge)
  return options
}

/** Keeps the public half of a passkey that a browser has made. */
export async function addPasskey(event: H3Event, tx: OwnerTransaction, name: string, response: RegistrationResponseJSON): Promise<void> {
  const { rpID, origin } = partyOf(event)
  const expectedChallenge = await challengeOf(event)
  const verified = await verifyRegistrationResponse({ response, expectedChallenge, expectedOrigin: origin, expectedRPID: rpID }).catch(
    () => null,
  )
  if (!verified?.verified) throw new Problem(422, 'That is not a passkey for this page.', 'body.response', 'Try again.')
  const { credential } = verified.registrationInfo
  await tx
    .insert(passkey)
    .values({
      credential: credential.id,
      name,
      publicKey: credential.publicKey,
      counter: credential.counter,
      transports: credential.transports ?? [],
    })
}

/** What a browser needs to sign in by any of its passkeys. */
export async function authenticationOptions(event: H3Event) {
  const options = await generateAuthenticationOptions({ rpID: partyOf(event).rpID, userVerification: 'required' })
  await keepChallenge(event, options.challenge)
  return options
}

/** Whom a passkey signs in. */
export async function ownerByPasskey(event: H3Event, database: Database, response: AuthenticationResponseJSON): Promise<string> {
  const { rpID, origin } = partyOf(event)
  const expectedChallenge = await challengeOf(event)
  const [known] = await database.execute<{
    owner: string
    public_key: Buffer
    counter: string
    transports: AuthenticatorTransportFuture[]
  }>(sql`select owner, public_key, counter, transports from passkey_of(${response.id})`)
  if (!known) throw refused()
  const verified = await verifyAuthenticationResponse({
    response,
    expectedChallenge,
    expectedOrigin: origin,
    expectedRPID: rpID,
    credential: {
      id: response.id,
      publicKey: new Uint8Array(known.public_key),
      counter: Number(known.counter),
      transports: known.transports,
    },
  }).catch(() => null)
  if (!verified?.verified) throw refused()
  const { newCounter } = verified.authenticationInfo
  await asOwner(database, known.owner, tx => tx.update(passkey).set({ counter: newCounter }).where(eq(passkey.credential, response.id)))
  return known.owner
}
