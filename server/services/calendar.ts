import { and, desc, eq, gte, isNull, lte } from 'drizzle-orm'
import type { CalendarEntry } from '../../core/exchange/plan-ics'
import { planIcs } from '../../core/exchange/plan-ics'
import type { CalendarTimes } from '../../core/plan/times'
import { daysFrom } from '../../core/quantity/day'
import { sayToTheMinute } from '../../core/quantity/time'
import type { CalendarFeed } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { calendarFeed, planEntry } from '../db/plan'
import { session } from '../db/schema'
import { digestOfToken, newToken } from './account'
import { currentStandpoint } from './athlete'
import { listPlan } from './plan'
import { notFound, Problem } from './problem'

const mostFeeds = 20
/** Days before today that a calendar is given as well, so that it keeps what it showed. */
const daysKept = 92
const daysAhead = 800

const feedOf = (row: typeof calendarFeed.$inferSelect): CalendarFeed => ({
  id: row.id,
  name: row.name,
  times: row.times,
  alarm: row.alarm,
  madeAt: row.createdAt.toISOString(),
  readAt: row.readAt?.toISOString() ?? null,
})

/** The addresses that were given out, the newest first. */
export async function listFeeds(tx: OwnerTransaction): Promise<CalendarFeed[]> {
  return (await tx.select().from(calendarFeed).orderBy(desc(calendarFeed.createdAt))).map(feedOf)
}

export interface FeedWays {
  name: string
  times: CalendarTimes | null
  alarm: number | null
}

/** Gives out an address; its key is told this once, and kept nowhere. */
export async function addFeed(tx: OwnerTransaction, ways: FeedWays): Promise<{ feed: CalendarFeed; key: string }> {
  if ((await listFeeds(tx)).length >= mostFeeds)
    throw new Problem(422, `There are ${mostFeeds} addresses already.`, 'body', 'End those that nobody reads.')
  const key = newToken()
  const [row] = await tx
    .insert(calendarFeed)
    .values({ ...ways, keyDigest: digestOfToken(key) })
    .returning()
  return { feed: feedOf(row!), key }
}

/** Ends an address: whoever asks by it finds nothing any more. */
export async function endFeed(tx: OwnerTransaction, id: string): Promise<void> {
  const gone = await tx.delete(calendarFeed).where(eq(calendarFeed.id, id)).returning({ id: calendarFeed.id })
  if (gone.length === 0) throw notFound('calendar address', 'params.id')
}

const bareWords = { rest: 'Rest', blocked: 'Not available' } as const

/** What is planned, as a calendar has it. */
async function entriesOf(tx: OwnerTransaction, from: string, to: string): Promise<CalendarEntry[]> {
  const rows = await listPlan(tx, from, to)
  const changes = await tx
    .select({ id: planEntry.id, entry: planEntry.changedAt, session: session.updatedAt, words: session.words })
    .from(planEntry)
    .leftJoin(session, and(eq(session.id, planEntry.sessionId), isNull(session.removedAt)))
    .where(and(gte(planEntry.day, from), lte(planEntry.day, to)))
  const changeOf = new Map(changes.map(change => [change.id, change]))
  return rows.map(({ id, day, kind, title, seconds, minutes, burden }) => {
    const { entry, session: changed, words } = changeOf.get(id)!
    const length = kind === 'work' ? (minutes === null ? null : minutes * 60) : seconds
    const facts = [length === null ? '' : `about ${sayToTheMinute(length)}`, burden?.level ?? ''].filter(Boolean)
    return {
      id,
      day,
      kind,
      title: title || (kind === 'rest' || kind === 'blocked' ? bareWords[kind] : ''),
      words: [facts.join(', '), (words ?? '').split('\n').slice(1).join('\n').trim()].filter(Boolean).join('\n\n'),
      seconds: length,
      changedAt: changed && changed > entry ? changed : entry,
    }
  })
}

/** The plan as a calendar file, from a while ago on. */
export async function calendarOf(tx: OwnerTransaction, { name, times, alarm }: FeedWays): Promise<string> {
  const { day, zone } = await currentStandpoint(tx)
  const entries = await entriesOf(tx, daysFrom(day, -daysKept), daysFrom(day, daysAhead))
  return planIcs(entries, { name, times, alarm, timeZone: zone })
}

/** The calendar that an address shows; null where it shows none any more. */
export async function calendarOfFeed(tx: OwnerTransaction, id: string): Promise<string | null> {
  const [row] = await tx.select().from(calendarFeed).where(eq(calendarFeed.id, id))
  return row ? calendarOf(tx, row) : null
}
