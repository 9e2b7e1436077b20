import { createHmac, timingSafeEqual } from 'node:crypto'
import { sql } from 'drizzle-orm'
import type { EraseAsked } from '../../shared/api'
import type { OwnerTransaction } from '../db/client'
import { recording, recordingOriginal } from '../db/recordings'
import { calendarFeed, demoDay, planDismissal, planEdit, planEntry, planShape, pushRoutine } from '../db/plan'
import { arrival, athleteRevision, fitChoice, holding, program, revision, session, transfer, watch } from '../db/schema'
import { eraseAccount } from './account'
import { Problem } from './problem'

const askedFor = 600_000

/** What there is to lose. */
async function countsOf(tx: OwnerTransaction): Promise<EraseAsked['holds']> {
  const [counts] = await tx.execute<EraseAsked['holds'] & Record<string, unknown>>(sql`select
    (select count(*) from ${session})::int as sessions, (select count(*) from ${revision})::int as wordings,
    (select count(*) from ${recording})::int as recordings, (select count(*) from ${planEntry})::int as planned`)
  return { sessions: counts!.sessions, wordings: counts!.wordings, recordings: counts!.recordings, planned: counts!.planned }
}

/** The word that erases this much of this owner, for some minutes: where anything was added since, it is asked anew. */
function keyFor(owner: string, holds: EraseAsked['holds'], window: number): string {
  return createHmac('sha256', process.env.AGONIS_SEAL ?? '')
    .update(JSON.stringify([owner, holds, window]))
    .digest('base64url')
}
const isSame = (one: string, other: string) => one.length === other.length && timingSafeEqual(Buffer.from(one), Buffer.from(other))

/** Asks for the first time: says what would be gone, and the key by which it is. */
export async function askToErase(tx: OwnerTransaction, owner: string): Promise<EraseAsked> {
  const holds = await countsOf(tx)
  return { holds, key: keyFor(owner, holds, Math.floor(Date.now() / askedFor)) }
}

const owned = [
  planEdit,
  planDismissal,
  demoDay,
  calendarFeed,
  planShape,
  pushRoutine,
  transfer,
  holding,
  arrival,
  fitChoice,
  watch,
  planEntry,
  recordingOriginal,
  recording,
  program,
  revision,
  session,
  athleteRevision,
]

/**
 * Erases everything of the owner for good.
 *
 * @param key what asking gave
 * @param isHome the account at home stays, empty, so that its own machine still opens it; any other goes too
 */
export async function eraseEverything(tx: OwnerTransaction, owner: string, key: string, isHome: boolean): Promise<void> {
  const holds = await countsOf(tx)
  const now = Math.floor(Date.now() / askedFor)
  if (![now, now - 1].some(window => isSame(key, keyFor(owner, holds, window))))
    throw new Problem(409, 'This was not asked for, or too long ago, or more is there since.', 'body.key', 'Ask again: POST without a key.')
  for (const table of owned) await tx.delete(table)
  if (!isHome) await eraseAccount(tx)
}
