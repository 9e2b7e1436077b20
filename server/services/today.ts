import { and, eq, gte, inArray, sql } from 'drizzle-orm'
import { balanceOf } from '../../core/plan/balance'
import type { PlanEntry } from '../../core/plan/entry'
import { weightsOf } from '../../core/plan/weights'
import type { Standpoint } from '../../core/athlete/standpoint'
import { courseOf } from '../../core/forecast/intensity'
import { usedOf } from '../../core/forecast/level'
import { daysBetween, daysFrom, weekOf } from '../../core/quantity/day'
import { reckon } from '../../core/reckon/reckon'
import { sheetRows } from '../../core/reckon/sheet'
import type { Session, Sport } from '../../core/session/document'
import type { Decision, DoneRow, PlanRow, TodayPicture, TodaySession } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { demoDay, pushRoutine } from '../db/plan'
import { holding, session, transfer, watch } from '../db/schema'
import { currentStandpoint } from './athlete'
import { hasNothing } from './has-nothing'
import { spanOf } from './span'
import { documentsOf } from './week-text'

/** Days after which a mark counts for less, as everywhere. */
const markDays = 120
const daysLooked = 28
const daysAhead = 7

async function watchesHolding(tx: OwnerTransaction, ids: readonly string[]): Promise<{ id: string | null; name: string }[]> {
  if (ids.length === 0) return []
  return tx
    .select({ id: holding.sessionId, name: watch.name })
    .from(holding)
    .innerJoin(watch, eq(watch.id, holding.watchId))
    .where(and(inArray(holding.sessionId, [...ids]), eq(holding.isLeaving, false)))
}

function todaySession(
  entry: PlanRow,
  document: Session,
  standpoint: Standpoint,
  done: readonly DoneRow[],
  watches: string[],
): TodaySession {
  const reckoning = reckon(document, standpoint)
  const used = usedOf(courseOf(document, reckoning.flat, standpoint), standpoint)
  return {
    entry,
    rows: sheetRows(document, reckoning, standpoint).map(({ path, depth, kind, words, startsAt, comesTo }) => ({
      path,
      depth,
      kind,
      words,
      startsAt,
      comesTo,
    })),
    seconds: reckoning.seconds,
    metres: reckoning.metres,
    used: used?.used ?? null,
    isDone: done.some(one => one.day === entry.day && one.sessionId === entry.sessionId),
    watches,
  }
}

const isDoubtful = (document: Session): boolean => /"doubt":|"kind":"unread"/.test(JSON.stringify(document.items))

/** Marks of a sport that is done, when the youngest of them has grown old. */
function oldMarks({ athlete, day }: Standpoint, done: readonly DoneRow[]): Decision[] {
  return (['run', 'ride', 'swim'] as Sport[]).flatMap(sport => {
    const dates = (athlete.efforts ?? []).filter(effort => effort.sport === sport).map(({ date }) => date)
    const youngest = dates.sort().at(-1)
    if (!youngest || youngest >= daysFrom(day!, -markDays) || !done.some(one => one.sport === sport)) return []
    return [{ code: 'old-marks' as const, sport, day: youngest }]
  })
}

async function demoMoved(tx: OwnerTransaction, week: string, weekStart: number): Promise<Decision[]> {
  const [row] = await tx.select({ day: demoDay.day }).from(demoDay)
  const weeks = row ? daysBetween(weekOf(row.day, weekStart), week) / 7 : 0
  return weeks > 0 ? [{ code: 'demo', weeks }] : []
}

/** Days after which a sending that did not arrive is no news any more. */
const sendingDays = 3

/** What did not come to the watch: pushes by themselves that were refused, and sendings that stopped on the way. */
async function notOnTheWatch(tx: OwnerTransaction): Promise<Decision[]> {
  const routines = await tx
    .select({ watchId: watch.id, watch: watch.name, refused: pushRoutine.refused, triedAt: pushRoutine.triedAt })
    .from(pushRoutine)
    .innerJoin(watch, eq(watch.id, pushRoutine.watchId))
  const stopped = await tx
    .select({ watch: watch.name, title: session.title, problem: transfer.problem })
    .from(transfer)
    .innerJoin(watch, eq(watch.id, transfer.watchId))
    .innerJoin(session, eq(session.id, transfer.sessionId))
    .where(and(eq(transfer.state, 'stopped'), gte(transfer.updatedAt, sql`now() - make_interval(days => ${sendingDays})`)))
    .orderBy(transfer.updatedAt)
  return [
    ...routines.flatMap(({ refused, triedAt, ...of }): Decision[] =>
      refused.length > 0 && triedAt ? [{ code: 'push', ...of, refused, triedAt: triedAt.toISOString() }] : [],
    ),
    ...stopped.map(({ problem, ...of }): Decision => ({ code: 'stopped', ...of, problem: problem ?? '' })),
  ]
}

const entryOf = (row: PlanRow): PlanEntry => ({ ...row, session: row.sessionId, sport: row.sport as Sport | null })

/** All that the first screen shows, seen from the athlete's today. */
export async function todayOf(tx: OwnerTransaction): Promise<TodayPicture> {
  const standpoint = await currentStandpoint(tx)
  const { athlete, day: today } = standpoint
  const weekStart = athlete.weekStart ?? 1
  const week = weekOf(today, weekStart)
  const { entries, done, dismissed, undo } = await spanOf(tx, daysFrom(week, -daysLooked), daysFrom(today, daysAhead + 6))
  const due = entries.filter(entry => entry.day === today)
  const soon = entries.filter(entry => entry.day >= today && entry.day <= daysFrom(today, daysAhead))
  const documents = await documentsOf(tx, [...new Set(soon.flatMap(({ sessionId }) => (sessionId === null ? [] : [sessionId])))])
  const sessions = due.filter(({ sessionId }) => sessionId !== null && documents.has(sessionId))
  const held = await watchesHolding(
    tx,
    sessions.map(({ sessionId }) => sessionId!),
  )
  const races = [
    ...(athlete.goals ?? []).map(({ name, date }) => ({ name, day: date })),
    ...entries.filter(({ kind }) => kind === 'race').map(({ title, day }) => ({ name: title, day })),
  ].filter(({ day }) => day >= today)
  const inWeek = ({ day }: { day: string }) => day >= week && day < daysFrom(week, 7)
  const balance = balanceOf({
    week,
    today,
    weights: weightsOf(entries, done, today),
    entries: entries.filter(inWeek).map(entryOf),
    races,
  }).filter(({ key, code }) => !dismissed.includes(key) && !dismissed.includes(code))
  return {
    today,
    isEmpty: done.length === 0 && entries.length === 0 && (await hasNothing(tx)),
    sessions: sessions.map(entry =>
      todaySession(
        entry,
        documents.get(entry.sessionId!)!,
        standpoint,
        done,
        held.filter(({ id }) => id === entry.sessionId).map(({ name }) => name),
      ),
    ),
    others: due.filter(({ kind }) => kind !== 'session'),
    next: entries.filter(({ day, kind }) => day > today && kind === 'session').slice(0, 4),
    week: { from: week, entries: entries.filter(inWeek), done: done.filter(inWeek) },
    last: done.at(-1) ?? null,
    decisions: [
      ...(await demoMoved(tx, week, weekStart)),
      ...(await notOnTheWatch(tx)),
      ...soon.flatMap(({ sessionId, title, day }): Decision[] => {
        const document = sessionId === null ? undefined : documents.get(sessionId)
        return document && isDoubtful(document) ? [{ code: 'doubt', sessionId: sessionId!, title, day }] : []
      }),
      ...done
        .filter(({ sessionId, day }) => sessionId === null && day >= daysFrom(today, -daysAhead))
        .map(({ id, title, day }): Decision => ({ code: 'no-plan', recordingId: id, title, day })),
      ...oldMarks(standpoint, done),
      ...balance.map(({ code, message, source, key, fix }): Decision => ({ code: 'balance', message, source, key, kind: code, fix })),
    ],
    races: races.sort((one, other) => one.day.localeCompare(other.day)),
    undo,
  }
}
