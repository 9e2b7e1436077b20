import { and, asc, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm'
import type { Standpoint } from '../../core/athlete/standpoint'
import { daysFrom, weekOf } from '../../core/quantity/day'
import type { Sport } from '../../core/session/document'
import { habitsOf } from '../../core/trends/habits'
import type { Learnt } from '../../core/trends/learn'
import type { BestRow, FamilyTrend, PeriodSum, Trends } from '../../shared/trends'
import { printProgramItem } from '../../core/wrist/program/words'
import { unitsOf } from '../../core/athlete/athlete'
import { stepAtPath } from '../../core/wrist/program/program-steps'
import type { OwnerTransaction } from '../db/client'
import { recording } from '../db/recordings'
import { session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { dayDone } from './day-done'
import { learn } from './learnt'
import { proposedMarks } from './mark-proposals'
import { findProgram } from './program'

const isOf = (sport: Sport) => and(isNull(recording.removedAt), eq(recording.sport, sport))

/** Days that count as lately, and weeks that are summed. */
const lately = 90
const weeksBack = 16

async function bestsOf(tx: OwnerTransaction, sport: Sport, { zone, day }: Standpoint & { day: string }): Promise<BestRow[]> {
  const rows = await tx
    .select({
      id: recording.id,
      title: recording.title,
      day: dayDone(zone),
      bests: sql<Learnt['bests'] | null>`${recording.learnt}->'bests'`,
    })
    .from(recording)
    .where(and(isOf(sport), isNotNull(recording.learnt)))
    .orderBy(asc(recording.startedAt))
  const best = new Map<number, BestRow>()
  const since = daysFrom(day, -lately)
  for (const { id, title, day: on, bests } of rows) {
    for (const { metres, seconds, value } of bests ?? []) {
      const key = metres ?? seconds
      const known = best.get(key)
      const row: BestRow = known ?? { metres, seconds, value: 0, day: on, id, title, lately: null }
      if (value > row.value) Object.assign(row, { seconds, value, day: on, id, title })
      if (on >= since && value > (row.lately?.value ?? 0)) row.lately = { value, seconds, day: on, id }
      best.set(key, row)
    }
  }
  return [...best]
    .sort(([one], [other]) => one - other)
    .map(([, row]) => ({ ...row, lately: row.lately?.id === row.id ? null : row.lately }))
}

async function weeksOf(tx: OwnerTransaction, sport: Sport, { zone, day, athlete }: Standpoint & { day: string }): Promise<PeriodSum[]> {
  const first = daysFrom(weekOf(day, athlete.weekStart ?? 1), -7 * (weeksBack - 1))
  const rows = await tx
    .select({
      day: dayDone(zone),
      seconds: recording.seconds,
      metres: recording.metres,
      rpe: sql<number | null>`(${recording.felt}->>'rpe')::float8`,
    })
    .from(recording)
    .where(and(isOf(sport), sql`${recording.startedAt} >= ${daysFrom(first, -1)}::timestamptz`))
  const weeks = new Map<string, PeriodSum>()
  for (let index = 0; index < weeksBack; index++) {
    const from = daysFrom(first, 7 * index)
    weeks.set(from, { from, count: 0, seconds: 0, metres: 0, load: null })
  }
  for (const { day: on, seconds, metres, rpe } of rows) {
    const week = weeks.get(weekOf(on, athlete.weekStart ?? 1))
    if (!week) continue
    week.count++
    week.seconds += seconds
    week.metres += metres ?? 0
    if (rpe !== null) week.load = (week.load ?? 0) + (rpe * seconds) / 60
  }
  return [...weeks.values()]
}

/** Families of which at least two sessions were carried out, the most often done first. */
async function familiesOf(tx: OwnerTransaction, sport: Sport): Promise<Trends['families']> {
  return tx
    .select({
      family: sql<string>`${session.familyId}`,
      title: sql<string>`(array_agg(${session.title} order by ${recording.startedAt} desc))[1]`,
      count: sql<number>`count(*)::int`,
    })
    .from(recording)
    .innerJoin(session, eq(session.id, recording.sessionId))
    .where(isOf(sport))
    .groupBy(session.familyId)
    .having(sql`count(*) > 1`)
    .orderBy(sql`count(*) desc, 2`)
    .limit(200)
}

/** What moves in one sport: bests, marks that training speaks for, families to look at, habits, and what weeks came to. */
export async function trendsOf(tx: OwnerTransaction, sport: Sport): Promise<Trends> {
  const unread = await learn(tx)
  const standpoint = await currentStandpoint(tx)
  const learnt = await tx
    .select({
      open: sql<Learnt['open'] | null>`${recording.learnt}->'open'`,
      recoveries: sql<Learnt['recoveries'] | null>`${recording.learnt}->'recoveries'`,
    })
    .from(recording)
    .where(and(isOf(sport), isNotNull(recording.learnt)))
    .orderBy(desc(recording.startedAt))
    .limit(200)
  return {
    sport,
    unread,
    bests: await bestsOf(tx, sport, standpoint),
    proposals: unread > 0 ? [] : await proposedMarks(tx, sport, standpoint),
    families: await familiesOf(tx, sport),
    habits: habitsOf(learnt.map(({ open, recoveries }) => ({ open: open ?? [], recoveries: recoveries ?? [] }))),
    weeks: await weeksOf(tx, sport, standpoint),
  }
}

/** Each time that a session of a family was carried out, row by row, the oldest first. */
export async function familyTrend(tx: OwnerTransaction, family: string): Promise<FamilyTrend> {
  await learn(tx)
  const { zone, athlete } = await currentStandpoint(tx)
  const rows = await tx
    .select({
      id: recording.id,
      day: dayDone(zone),
      title: recording.title,
      held: recording.held,
      rpe: sql<number | null>`(${recording.felt}->>'rpe')::float8`,
      digest: recording.programDigest,
      rows: sql<Learnt['rows'] | null>`${recording.learnt}->'rows'`,
    })
    .from(recording)
    .innerJoin(session, eq(session.id, recording.sessionId))
    .where(and(isNull(recording.removedAt), eq(session.familyId, family)))
    .orderBy(desc(recording.startedAt))
    .limit(200)
  const words: Record<string, string> = {}
  for (const { digest, rows: own } of rows) {
    const missing = (own ?? []).filter(({ path }) => !(path in words))
    if (missing.length === 0 || digest === null) continue
    const kept = await findProgram(tx, digest)
    for (const { path } of missing) {
      const step = kept && stepAtPath(kept.program, path)
      if (step) words[path] = printProgramItem(step, unitsOf(athlete))
    }
  }
  return { family, words, done: rows.reverse().map(({ digest: _, rows: own, ...row }) => ({ ...row, rows: own ?? [] })) }
}
