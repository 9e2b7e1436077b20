import { randomUUID } from 'node:crypto'
import { setTimeout as pause } from 'node:timers/promises'
import { and, eq, gt, isNull, lt, or, sql } from 'drizzle-orm'
import { firstCounter } from '../../core/wrist/link/frame'
import { BehindError, openLine, SilentError, UnpairedError } from '../../core/wrist/link/line'
import type { Carry, Exchange } from '../../core/wrist/link/line'
import { LeaseLostError } from '../../core/wrist/link/desk'
import type { PartSizes } from '../../core/wrist/link/transfer'
import { RefusedError } from '../../core/wrist/link/transfer'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { watch } from '../db/schema'
import { messageBytes, openLink, recordingBytes } from './link'
import { notFound, Problem } from './problem'

const leaseFor = '10 seconds'
/** A frame waits three seconds at most for its answer, so that a lease made longer before it outlasts it. */
const renewEvery = 2500
const askAgainEvery = 60
const waitAtMost = 8000

/** One server's turn at one watch: the lease, and the line that it may speak over. */
export interface Turn {
  watchId: string
  lease: number
  exchange: Exchange
  messageBytes: number
  recordingBytes: PartSizes
  /** Runs a transaction that happens only while the lease holds, and makes it last again; null when it is lost. */
  whileHeld: <T>(work: (tx: OwnerTransaction) => Promise<T>) => Promise<T | null>
}

const until = sql`now() + interval '${sql.raw(leaseFor)}'`
type WatchRecord = typeof watch.$inferSelect

async function take(database: Database, owner: string, watchId: string, holder: string): Promise<WatchRecord | null> {
  return asOwner(database, owner, async tx => {
    const [row] = await tx
      .update(watch)
      .set({ leaseHolder: holder, leaseUntil: until, leaseNumber: sql`${watch.leaseNumber} + 1` })
      .where(and(eq(watch.id, watchId), or(isNull(watch.leaseUntil), lt(watch.leaseUntil, sql`now()`))))
      .returning()
    if (row) return row
    const [known] = await tx.select({ id: watch.id }).from(watch).where(eq(watch.id, watchId))
    if (!known) throw notFound('watch', 'params.id')
    return null
  })
}

async function takeInTime(database: Database, owner: string, watchId: string, holder: string, wait: number): Promise<WatchRecord> {
  for (const end = Date.now() + wait; ;) {
    const row = await take(database, owner, watchId, holder)
    if (row) return row
    if (Date.now() > end)
      throw new Problem(409, 'Something else is going on with this watch.', 'watch', 'Wait until that has ended, or cancel it.', {
        why: 'busy',
      })
    await pause(askAgainEvery)
  }
}

function turnOf(database: Database, owner: string, row: WatchRecord, key: string, holder: string): Turn {
  const isMine = and(eq(watch.id, row.id), eq(watch.leaseHolder, holder), gt(watch.leaseUntil, sql`now()`))
  const renew = (tx: OwnerTransaction) => tx.update(watch).set({ leaseUntil: until }).where(isMine).returning({ id: watch.id })
  const link = openLink(row.address, row.link)
  let renewedAt = Date.now()
  const carry: Carry = async frame => {
    if (Date.now() - renewedAt > renewEvery) {
      renewedAt = Date.now()
      if ((await asOwner(database, owner, renew)).length === 0) throw new LeaseLostError('another server speaks with the watch now')
    }
    return link(frame)
  }
  return {
    watchId: row.id,
    lease: row.leaseNumber,
    messageBytes: messageBytes[row.link],
    recordingBytes: recordingBytes[row.link],
    exchange: openLine(carry, { watch: row.address, key, firstCounter: firstCounter(row.leaseNumber) }),
    whileHeld: work =>
      asOwner(database, owner, async tx => {
        const held = await renew(tx)
        renewedAt = Date.now()
        return held.length === 0 ? null : work(tx)
      }),
  }
}

/** Turns what the link or the watch answered badly into a problem the reader can act on. */
export function asProblem(error: unknown): unknown {
  if (error instanceof SilentError)
    return new Problem(
      502,
      'The watch does not answer.',
      'link',
      'Bring it near, switch it on or mend the link, then go on: what arrived is kept.',
    )
  if (error instanceof UnpairedError)
    return new Problem(
      409,
      'The watch does not know this account: it was reset, or belongs to somebody else now.',
      'watch',
      'Pair it again with the code it shows.',
      { why: 'unpaired' },
    )
  if (error instanceof LeaseLostError)
    return new Problem(409, 'Another server took over the watch meanwhile.', 'watch', 'Try again.', { why: 'busy' })
  if (error instanceof BehindError)
    return new Problem(409, 'The watch has spoken with another server since.', 'watch', 'Try again.', { why: 'busy' })
  if (!(error instanceof RefusedError)) return error
  const hints: Record<string, string> = {
    full: 'Clear a slot on the watch first.',
    busy: 'Wait until the run on the watch has ended.',
    unpaired: 'Pair it with the code it shows.',
    stale: 'The watch was changed meanwhile; look at what it holds and try again.',
  }
  return new Problem(409, `The watch refused: ${error.detail}.`, 'watch', hints[error.why] ?? 'Send it again.', { why: error.why })
}

/** Whether somebody else speaks with the watch now: what was wanted of it can be tried again. */
export const isAnothersTurn = (error: unknown): boolean => error instanceof Problem && error.details.why === 'busy'

/**
 * Speaks with a watch while no other server does. What fails on the way comes out as a problem.
 *
 * @param wait milliseconds to wait for the turn
 *
 * Traps: the watch may have taken the key of a pairing whose end never came back, so a key that is pending is tried before the watch
 * is given up; and a database brought back from a backup counts behind the watch, so the lease is counted on above what it has heard.
 */
export async function atWatch<T>(
  database: Database,
  owner: string,
  watchId: string,
  work: (turn: Turn, row: WatchRecord) => Promise<T>,
  wait = waitAtMost,
): Promise<T> {
  const holder = randomUUID()
  let row = await takeInTime(database, owner, watchId, holder, wait)
  const change = async (values: Parameters<ReturnType<OwnerTransaction['update']>['set']>[0]) => {
    const [next] = await asOwner(database, owner, tx =>
      tx
        .update(watch)
        .set(values)
        .where(and(eq(watch.id, watchId), eq(watch.leaseHolder, holder)))
        .returning(),
    )
    if (!next) throw new LeaseLostError('another server speaks with the watch now')
    row = next
  }
  const attempt = async () => {
    if (row.key === null && row.pendingKey !== null) await change({ key: row.pendingKey, pendingKey: null })
    if (row.key === null)
      throw new Problem(409, `${row.name} is not paired yet.`, 'watch', 'Pair it with the code it shows.', { why: 'unpaired' })
    return work(turnOf(database, owner, row, row.key, holder), row)
  }
  try {
    try {
      return await attempt()
    } catch (error) {
      if (error instanceof UnpairedError && row.pendingKey !== null) await change({ key: row.pendingKey, pendingKey: null })
      else if (error instanceof BehindError) await change({ leaseNumber: error.lease + 1 })
      else throw error
      return await attempt()
    }
  } catch (error) {
    throw asProblem(error)
  } finally {
    await asOwner(database, owner, tx =>
      tx
        .update(watch)
        .set({ leaseUntil: null, leaseHolder: null })
        .where(and(eq(watch.id, watchId), eq(watch.leaseHolder, holder))),
    )
  }
}
