import { and, desc, eq, gte, ilike, inArray, isNull, lt, lte, or, sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import { isCalendarDay } from '../../core/quantity/day'
import type { Score } from '../../core/record/score'
import type { SessionSport } from '../../core/session/document'
import type { FoundRecordings, LogNarrowings, LogQuery } from '../../shared/log'
import type { OwnerTransaction } from '../db/client'
import { recording } from '../db/recordings'
import { session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { dayDone } from './day-done'
import { drawCords } from './recording'
import { anywhere } from './like'

/** From so much of what was meant on, a session was held well. */
export const heldWell = 0.7

const heldAs: Record<NonNullable<LogQuery['held']>, SQL> = {
  well: gte(recording.held, heldWell),
  badly: lt(recording.held, heldWell),
  unplanned: isNull(recording.programDigest),
}

/** Conditions on the log; the days count in the zone it was done in. */
function matching(query: LogQuery, zone: string): SQL | undefined {
  const sessionsWhere = (condition: SQL | undefined) => sql`${recording.sessionId} in (select id from session where ${condition})`
  const words = (query.words ?? '').trim().split(/\s+/).filter(Boolean)
  return and(
    isNull(recording.removedAt),
    query.sport ? eq(recording.sport, query.sport) : undefined,
    query.from && isCalendarDay(query.from) ? sql`${dayDone(zone)} >= ${query.from}` : undefined,
    query.to && isCalendarDay(query.to) ? sql`${dayDone(zone)} <= ${query.to}` : undefined,
    query.family ? sessionsWhere(eq(session.familyId, query.family)) : undefined,
    query.held ? heldAs[query.held] : undefined,
    query.metresFrom === undefined ? undefined : gte(recording.metres, query.metresFrom),
    query.metresTo === undefined ? undefined : lte(recording.metres, query.metresTo),
    query.secondsFrom === undefined ? undefined : gte(recording.seconds, query.secondsFrom),
    query.secondsTo === undefined ? undefined : lte(recording.seconds, query.secondsTo),
    query.place ? sessionsWhere(sql`${session.facets} @> array[${`place:${query.place}`}]`) : undefined,
    ...words.map(word =>
      or(
        ilike(recording.title, anywhere(word)),
        sql`${recording.felt}->>'note' ilike ${anywhere(word)}`,
        sessionsWhere(or(ilike(session.words, anywhere(word)), sql`${word.toLowerCase()} = any(${session.tags})`)),
      ),
    ),
  )
}

/** What was done, newest first, a page at a time, with what all that is found comes to. */
export async function listRecordings(tx: OwnerTransaction, query: LogQuery, limit: number, offset: number): Promise<FoundRecordings> {
  await drawCords(tx)
  const zone = (await currentStandpoint(tx)).zone
  const matches = matching(query, zone)
  const ids = tx
    .select({ id: recording.id })
    .from(recording)
    .where(matches)
    .orderBy(desc(recording.startedAt), recording.id)
    .limit(limit)
    .offset(offset)
  const rows = await tx
    .select({
      id: recording.id,
      title: recording.title,
      sport: recording.sport,
      startedAt: recording.startedAt,
      seconds: recording.seconds,
      metres: recording.metres,
      totals: sql<Score['totals'] | null>`${recording.score}->'totals'`,
      felt: recording.felt,
      cord: recording.cord,
    })
    .from(recording)
    .where(inArray(recording.id, ids))
    .orderBy(desc(recording.startedAt), recording.id)
  const [sums] = await tx
    .select({
      total: sql<number>`count(*)::int`,
      seconds: sql<number>`coalesce(sum(${recording.seconds}), 0)::float8`,
      metres: sql<number>`coalesce(sum(${recording.metres}), 0)::float8`,
    })
    .from(recording)
    .where(matches)
  return {
    ...sums!,
    rows: rows.map(({ totals, felt, startedAt, ...row }) => ({
      ...row,
      sport: row.sport as SessionSport,
      startedAt: startedAt.toISOString(),
      held: totals?.held ?? null,
      done: totals?.done ?? null,
      planned: totals?.planned ?? null,
      rpe: felt?.rpe ?? null,
    })),
  }
}

/** Families that can be narrowed to; more are found by their words. */
const familiesShown = 40

/** What the log, as it is asked for, can be narrowed to: its months, the last first, and its families, the most often done first. */
export async function logNarrowings(tx: OwnerTransaction, query: LogQuery): Promise<LogNarrowings> {
  const zone = (await currentStandpoint(tx)).zone
  const count = sql<number>`count(*)::int`
  const months = await tx
    .select({ month: sql<string>`left(${dayDone(zone)}, 7)`, count })
    .from(recording)
    .where(matching({ ...query, from: undefined, to: undefined }, zone))
    .groupBy(sql`1`)
    .orderBy(sql`1 desc`)
  const families = await tx
    .select({
      family: sql<string>`${session.familyId}`,
      title: sql<string>`(array_agg(${recording.title} order by ${recording.startedAt} desc))[1]`,
      count,
    })
    .from(recording)
    .innerJoin(session, eq(session.id, recording.sessionId))
    .where(matching({ ...query, family: undefined }, zone))
    .groupBy(session.familyId)
    .orderBy(sql`count(*) desc, 2`)
    .limit(familiesShown)
  return { months, families }
}
