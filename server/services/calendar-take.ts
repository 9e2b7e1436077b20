import { createHash } from 'node:crypto'
import { and, inArray, isNull, sql } from 'drizzle-orm'
import { ourIds } from '../../core/exchange/plan-ics'
import type { ReadEvent } from '../../core/exchange/read-ics'
import type { PlanChange } from '../../core/plan/change'
import { moveTo, putOn, takeOff } from '../../core/plan/edits'
import type { PlanEntry } from '../../core/plan/entry'
import { sayClock } from '../../core/words/date'
import type { TakenCalendar } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { noteEdit, planEditing, wholePlan, writeChanges } from './plan-edit'

/** What events are taken in as, where they are not sessions of the shelf. */
export type TakenAs = 'note' | 'work' | 'blocked'

const isId = /^[\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12}$/i

/** The same id for the same event, however often its file comes; of what came from here, its own. */
function idOf(uid: string): string {
  const own = uid.endsWith(ourIds) ? uid.slice(0, -ourIds.length) : ''
  if (isId.test(own)) return own.toLowerCase()
  const hex = createHash('sha256').update(uid).digest('hex')
  return [hex.slice(0, 8), hex.slice(8, 12), `8${hex.slice(13, 16)}`, `a${hex.slice(17, 20)}`, hex.slice(20, 32)].join('-')
}

/** Sessions of the shelf by their titles, in small letters; of two with the same title the one changed last. */
async function sessionsCalled(tx: OwnerTransaction, titles: readonly string[]): Promise<Map<string, string>> {
  const asked = [...new Set(titles.map(title => title.toLowerCase()))]
  if (asked.length === 0) return new Map()
  const rows = await tx
    .select({ id: session.id, title: session.title })
    .from(session)
    .where(and(inArray(sql`lower(${session.title})`, asked), isNull(session.removedAt), isNull(session.archivedAt)))
    .orderBy(session.updatedAt)
  return new Map(rows.map(({ id, title }) => [title.toLowerCase(), id]))
}

function entryOf(event: ReadEvent, as: TakenAs, sessionId: string | undefined): Omit<PlanEntry, 'at'> {
  const bare = { id: idOf(event.uid), day: event.day, sport: null, effort: null, filled: false }
  if (sessionId) return { ...bare, kind: 'session', session: sessionId, name: null, minutes: null }
  const name = as !== 'blocked' && event.start !== null ? `${sayClock(event.start, '24')} ${event.title}`.slice(0, 500) : event.title
  return { ...bare, kind: as, session: null, name, minutes: as === 'work' ? event.minutes : null }
}

/**
 * Takes events of another calendar into the plan: sessions of the shelf by their titles, all else as the athlete says. What came
 * before is moved, renamed or taken off with its calendar; days that are over stay as they are. One edit, taken back as one.
 */
export async function takeCalendar(tx: OwnerTransaction, events: readonly ReadEvent[], as: TakenAs): Promise<TakenCalendar> {
  const { day: today } = await currentStandpoint(tx)
  const plan = await wholePlan(tx)
  const here = new Map(plan.map(entry => [entry.id, entry]))
  const called = await sessionsCalled(
    tx,
    events.map(({ title }) => title),
  )
  const { make, changes } = planEditing(plan)
  const told: TakenCalendar = { added: 0, sessions: 0, moved: 0, changed: 0, gone: 0, same: 0, over: 0 }
  const seen = new Set<string>()
  for (const event of events) {
    const wanted = entryOf(event, as, called.get(event.title.toLowerCase()))
    const { id, day } = wanted
    if (seen.has(id)) continue
    seen.add(id)
    const before = here.get(id)
    if (day < today && (!before || before.day !== day)) told.over++
    else if (event.isCancelled) {
      if (before) make(entries => takeOff(entries, [id]))
      told[before ? 'gone' : 'same']++
    } else if (!before) {
      make(entries => putOn(entries, wanted))
      told.added++
      if (wanted.session) told.sessions++
    } else {
      const isMoved = before.day !== day
      const isRenamed = before.session === null && !isOurs(event) && (before.name !== wanted.name || before.minutes !== wanted.minutes)
      if (isMoved) make(entries => moveTo(entries, id, day))
      if (isRenamed) make(entries => renamed(entries, id, wanted))
      told[isMoved ? 'moved' : isRenamed ? 'changed' : 'same']++
    }
  }
  if (changes.length === 0) return told
  await writeChanges(tx, changes)
  await noteEdit(tx, { code: 'take-in', count: seen.size - told.same - told.over }, changes)
  return told
}

const isOurs = ({ uid }: ReadEvent) => uid.endsWith(ourIds)

function renamed(entries: readonly PlanEntry[], id: string, { name, minutes }: Omit<PlanEntry, 'at'>): PlanChange[] {
  const before = entries.find(entry => entry.id === id)!
  return [{ id, before, after: { ...before, name, minutes: before.kind === 'work' ? minutes : null } }]
}
