import { and, arrayContains, arrayOverlaps, asc, desc, eq, gt, gte, ilike, inArray, isNotNull, isNull, lt, lte, or, sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import { nearestTitles } from '../../core/find/near'
import type { Query } from '../../core/find/query'
import { parseQuery } from '../../core/find/query'
import { sayQuery } from '../../core/find/say-query'
import type { SessionSport } from '../../core/session/document'
import type { FoundSessions, Relative, ShelfRow, ShelfSort } from '../../shared/api'
import type { OwnerTransaction } from '../db/client'
import { session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { refreshFigures } from './figures'
import { notFound } from './problem'
import { standingOf } from './standing'
import { anywhere } from './like'

/** What a search asks for, as conditions on the shelf: of what is in a session, or all its words in the title as they were typed. */
function conditions(search: string, query: Query): SQL | undefined {
  const typed = search.trim().split(/\s+/)
  return and(
    isNull(session.removedAt),
    query.archived ? isNotNull(session.archivedAt) : isNull(session.archivedAt),
    search.trim() === '' ? undefined : or(inContent(query), and(...typed.map(word => ilike(session.title, anywhere(word))))),
  )
}

function inContent(query: Query): SQL | undefined {
  return and(
    sql`true`,
    query.sport ? eq(session.sport, query.sport) : undefined,
    ...query.facets.map(group => arrayOverlaps(session.facets, group)),
    query.seconds.under === undefined ? undefined : lte(session.seconds, query.seconds.under),
    query.seconds.over === undefined ? undefined : gte(session.seconds, query.seconds.over),
    query.metres.under === undefined ? undefined : lt(session.metres, query.metres.under),
    query.metres.over === undefined ? undefined : gt(session.metres, query.metres.over),
    query.tags.length === 0 ? undefined : arrayContains(session.tags, query.tags),
    ...query.words.map(word => ilike(session.words, anywhere(word))),
    query.families
      ? sql`${session.familyId} in (select family_id from session where removed_at is null group by family_id having count(*) > 1)`
      : undefined,
    query.duplicates
      ? sql`${session.content} in (
          select content from session where removed_at is null and archived_at is null group by content having count(*) > 1
        )`
      : undefined,
  )
}

const sorts: Record<ShelfSort, SQL[]> = {
  newest: [desc(session.updatedAt)],
  title: [asc(sql`lower(${session.title})`)],
  shortest: [sql`${session.seconds} asc nulls last`],
  longest: [sql`${session.seconds} desc nulls last`],
}

/** What of a session is on the shelf. */
const shown = {
  id: session.id,
  title: session.title,
  sport: session.sport,
  seconds: session.seconds,
  metres: session.metres,
  steps: session.steps,
  open: session.open,
  cord: session.cord,
  tags: session.tags,
  familyId: session.familyId,
  content: session.content,
  archivedAt: session.archivedAt,
  updatedAt: session.updatedAt,
}

/** A page of sessions that hold to some conditions, each with its standing. */
async function pageOf(
  tx: OwnerTransaction,
  matches: SQL | undefined,
  options: { sort: ShelfSort; limit: number; offset: number },
): Promise<ShelfRow[]> {
  const page = async () =>
    tx
      .select(shown)
      .from(session)
      .where(matches)
      .orderBy(...sorts[options.sort], session.id)
      .limit(options.limit)
      .offset(options.offset)
  const standpoint = await currentStandpoint(tx)
  const found = await page()
  const isStale = await refreshFigures(
    tx,
    standpoint,
    found.map(row => row.id),
    true,
  )
  const rows = isStale ? await page() : found
  const [families, duplicates] = [
    await countsBy(
      tx,
      session.familyId,
      rows.map(row => row.familyId),
    ),
    await countsBy(
      tx,
      session.content,
      rows.map(row => row.content),
    ),
  ]
  const standings = await standingOf(
    tx,
    rows.map(row => row.id),
    standpoint.day,
  )
  return rows.map(({ familyId, content, archivedAt, ...row }) => ({
    ...row,
    ...standings.get(row.id)!,
    sport: row.sport as SessionSport,
    updatedAt: row.updatedAt.toISOString(),
    isArchived: archivedAt !== null,
    variants: Math.max(0, (families.get(familyId) ?? 1) - 1),
    duplicates: Math.max(0, (duplicates.get(content) ?? 1) - 1),
  }))
}

const nearAtMost = 5

/** Sessions whose titles come near to a search that found nothing. */
async function nearTo(tx: OwnerTransaction, search: string): Promise<ShelfRow[]> {
  const titles = await tx
    .select({ id: session.id, title: session.title })
    .from(session)
    .where(and(isNull(session.removedAt), isNull(session.archivedAt)))
  const ids = nearestTitles(search, titles, nearAtMost).map(row => row.id)
  if (ids.length === 0) return []
  const rows = await pageOf(tx, inArray(session.id, ids), { sort: 'title', limit: nearAtMost, offset: 0 })
  return ids.flatMap(id => rows.find(row => row.id === id) ?? [])
}

/** The shelf, a page at a time: what a search asks for, in the order wanted. */
export async function listSessions(
  tx: OwnerTransaction,
  options: { search?: string; sort: ShelfSort; limit: number; offset: number },
): Promise<FoundSessions> {
  const { search = '' } = options
  const query = parseQuery(search)
  const matches = conditions(search, query)
  const rows = await pageOf(tx, matches, options)
  const [count] = await tx
    .select({ total: sql<number>`count(*)::int` })
    .from(session)
    .where(matches)
  const isNowhere = count!.total === 0 && search.trim() !== ''
  return { total: count!.total, rows, how: sayQuery(query), near: isNowhere ? await nearTo(tx, search) : [] }
}

/** How many sessions on the shelf share each of these values. */
async function countsBy(
  tx: OwnerTransaction,
  column: typeof session.familyId | typeof session.content,
  values: (string | null)[],
): Promise<Map<string | null, number>> {
  const known = [...new Set(values.filter(value => value !== null && value !== ''))] as string[]
  if (known.length === 0) return new Map()
  const rows = await tx
    .select({ value: column, count: sql<number>`count(*)::int` })
    .from(session)
    .where(and(inArray(column, known), isNull(session.removedAt)))
    .groupBy(column)
  return new Map(rows.map(row => [row.value, row.count]))
}

async function change(tx: OwnerTransaction, id: string, values: Partial<typeof session.$inferInsert>): Promise<void> {
  const changed = await tx
    .update(session)
    .set(values)
    .where(and(eq(session.id, id), isNull(session.removedAt)))
    .returning({ id: session.id })
  if (changed.length === 0) throw notFound('session', 'params.id')
}

const tidyTags = (tags: readonly string[]) =>
  [...new Set(tags.map(tag => tag.trim().replace(/^#/, '').toLowerCase().replace(/\s+/g, '-')).filter(tag => tag !== ''))].sort()

/** Sets the tags of a session: lower case, each once. */
export async function tagSession(tx: OwnerTransaction, id: string, tags: readonly string[]): Promise<string[]> {
  const tidy = tidyTags(tags)
  await change(tx, id, { tags: tidy })
  return tidy
}

/** Every tag in use, with how many sessions have it. */
export async function listTags(tx: OwnerTransaction): Promise<{ tag: string; count: number }[]> {
  const rows = await tx.execute<{ tag: string; count: number }>(
    sql`select tag, count(*)::int as count from session, unnest(tags) as tag where removed_at is null group by tag order by tag`,
  )
  return [...rows].map(({ tag, count }) => ({ tag, count }))
}

/** Puts a session away from the shelf without removing it, or back. */
export const archiveSession = (tx: OwnerTransaction, id: string, isArchived: boolean): Promise<void> =>
  change(tx, id, { archivedAt: isArchived ? new Date() : null })

/** Remembers which suggestions for a session the athlete has dismissed. */
export const dismiss = (tx: OwnerTransaction, id: string, keys: string[]): Promise<void> =>
  change(tx, id, { dismissed: [...new Set(keys)] })

/** The variants of a session, itself among them, oldest first. */
export async function listFamily(tx: OwnerTransaction, id: string): Promise<Relative[]> {
  const [own] = await tx
    .select({ familyId: session.familyId })
    .from(session)
    .where(and(eq(session.id, id), isNull(session.removedAt)))
  if (!own) throw notFound('session', 'params.id')
  if (own.familyId === null) return []
  return tx
    .select({ id: session.id, title: session.title, seconds: session.seconds })
    .from(session)
    .where(and(eq(session.familyId, own.familyId), isNull(session.removedAt)))
    .orderBy(session.createdAt)
}
