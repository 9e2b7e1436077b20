import { and, eq, isNotNull, isNull, ne, sql } from 'drizzle-orm'
import { digestOf } from '../../core/wrist/program/digest'
import type { TakenIn } from '../../shared/log'
import type { OwnerTransaction } from '../db/client'
import { recording, recordingOriginal } from '../db/recordings'
import { notFound } from './problem'
import { soundRecording, storeRecording } from './recording'
import { unzip, zip } from './packed'

/** Shares of the shorter of two recordings from which on they are of the same hour. */
const sameHour = 0.8

const overlapping = (id: string) => sql`exists (
  select 1 from recording mine where mine.owner_id = ${recording.ownerId} and mine.id = ${id} and mine.sport = ${recording.sport}
    and mine.seconds > 0 and ${recording.seconds} > 0
    and extract(epoch from
      least(mine.started_at + make_interval(secs => mine.seconds), ${recording.startedAt} + make_interval(secs => ${recording.seconds}))
      - greatest(mine.started_at, ${recording.startedAt})) >= ${sameHour} * least(mine.seconds, ${recording.seconds}))`

const isLed = sql<boolean>`${recording.programDigest} is not null`

/** Puts a recording aside as another device's copy of what one of the log holds. */
const putAside = (tx: OwnerTransaction, id: string, copyOf: string) =>
  tx.update(recording).set({ removedAt: new Date(), copyOf }).where(eq(recording.id, id))

/**
 * Looks whether another device recorded the same hour of the same sport. What a program led stays in the log before what none led,
 * and what was there before what comes; the other is put aside and can take its place.
 *
 * @returns the recording that a new one was put aside for, or null
 */
export async function putCopiesAside(tx: OwnerTransaction, id: string): Promise<TakenIn['copyOf']> {
  const [own] = await tx.select({ isLed }).from(recording).where(eq(recording.id, id))
  const twins = await tx
    .select({ id: recording.id, title: recording.title, isLed })
    .from(recording)
    .where(and(isNull(recording.removedAt), ne(recording.id, id), overlapping(id)))
  if (own!.isLed) {
    for (const twin of twins.filter(one => !one.isLed)) await putAside(tx, twin.id, id)
    return null
  }
  const twin = twins.find(one => one.isLed) ?? twins[0]
  if (!twin) return null
  await putAside(tx, id, twin.id)
  return { id: twin.id, title: twin.title }
}

/** Takes in a recording of another program or device. The same one twice is known; another device's of the same hour is put aside. */
export async function takeRecording(tx: OwnerTransaction, value: unknown): Promise<TakenIn> {
  const digest = digestOf(soundRecording(value))
  const there = () =>
    tx
      .select({ id: recording.id, title: recording.title, removedAt: recording.removedAt, copyOf: recording.copyOf })
      .from(recording)
      .where(eq(recording.digest, digest))
  const [known] = await there()
  if (known && known.removedAt === null) return { ...known, digest, isKnown: true, copyOf: null }
  if (known?.copyOf) {
    const [twin] = await tx
      .select({ id: recording.id, title: recording.title })
      .from(recording)
      .where(and(eq(recording.id, known.copyOf), isNull(recording.removedAt)))
    if (twin) return { id: known.id, title: known.title, digest, isKnown: true, copyOf: twin }
  }
  const id = await storeRecording(tx, value, {})
  const copyOf = await putCopiesAside(tx, id)
  const [kept] = await there()
  return { id, title: kept!.title, digest, isKnown: known !== undefined, copyOf }
}

/** Puts a copy that was set aside in the place of the one it was set aside for. */
export async function takeInstead(tx: OwnerTransaction, id: string): Promise<{ id: string }> {
  const [copy] = await tx
    .select({ copyOf: recording.copyOf })
    .from(recording)
    .where(and(eq(recording.id, id), isNotNull(recording.copyOf), isNotNull(recording.removedAt)))
  if (!copy) throw notFound('recording that was put aside', 'params.id')
  await tx.update(recording).set({ copyOf: id }).where(eq(recording.copyOf, copy.copyOf!))
  await putAside(tx, copy.copyOf!, id)
  await tx.update(recording).set({ removedAt: null, copyOf: null }).where(eq(recording.id, id))
  return { id }
}

/** Keeps the file that a recording came in; another under the same recording takes its place. */
export async function keepOriginal(tx: OwnerTransaction, id: string, name: string, bytes: Uint8Array): Promise<void> {
  const [there] = await tx.select({ id: recording.id }).from(recording).where(eq(recording.id, id))
  if (!there) throw notFound('recording', 'params.id')
  const content = await zip(bytes)
  await tx
    .insert(recordingOriginal)
    .values({ recordingId: id, name, content })
    .onConflictDoUpdate({ target: [recordingOriginal.ownerId, recordingOriginal.recordingId], set: { name, content } })
}

/** The file that a recording came in, as it was. */
export async function originalOf(tx: OwnerTransaction, id: string): Promise<{ name: string; bytes: Buffer }> {
  const [kept] = await tx
    .select({ name: recordingOriginal.name, content: recordingOriginal.content })
    .from(recordingOriginal)
    .where(eq(recordingOriginal.recordingId, id))
  if (!kept) throw notFound('file', 'params.id')
  return { name: kept.name, bytes: await unzip(kept.content) }
}
