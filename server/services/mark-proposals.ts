import { and, asc, eq, gte, isNotNull, isNull, sql } from 'drizzle-orm'
import type { Athlete } from '../../core/athlete/athlete'
import { unitsOf } from '../../core/athlete/athlete'
import type { Standpoint } from '../../core/athlete/standpoint'
import { standpointOf } from '../../core/athlete/standpoint'
import { daysFrom } from '../../core/quantity/day'
import type { Session, Sport } from '../../core/session/document'
import type { Learnt } from '../../core/trends/learn'
import type { MarkProposal } from '../../core/trends/mark-proposals'
import { proposeMarks } from '../../core/trends/mark-proposals'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { rowsInWords } from '../../core/wrist/program/words'
import type { KeptAthlete } from '../../shared/api'
import type { MarkAnswer, ProposedMark } from '../../shared/trends'
import type { OwnerTransaction } from '../db/client'
import { planDismissal, planEntry } from '../db/plan'
import { recording } from '../db/recordings'
import { revision, session } from '../db/schema'
import { currentAthlete, currentStandpoint, saveAthlete } from './athlete'
import { dayDone } from './day-done'
import { Problem } from './problem'

/** Recordings older than that speak for no mark. */
const daysBack = 45
/** Days after which a proposal that was put off comes again. */
const laterDays = 7
const later = (key: string, until: string) => `${key} until ${until}`

const withEffort = (athlete: Athlete, { effort }: MarkProposal): Athlete => ({ ...athlete, efforts: [...(athlete.efforts ?? []), effort] })

/** Rows of what is planned in the next seven days that the mark would change, each as it is and as it becomes. */
async function changesOf(tx: OwnerTransaction, proposal: MarkProposal, standpoint: Standpoint & { day: string }) {
  const { athlete, day } = standpoint
  const then = standpointOf(withEffort(athlete, proposal), day)
  const planned = await tx
    .select({ day: planEntry.day, title: session.title, document: revision.document })
    .from(planEntry)
    .innerJoin(session, eq(session.id, planEntry.sessionId))
    .innerJoin(revision, and(eq(revision.sessionId, session.id), eq(revision.number, session.head)))
    .where(and(gte(planEntry.day, day), sql`${planEntry.day} <= ${daysFrom(day, 7)}`, eq(session.sport, proposal.sport)))
    .orderBy(asc(planEntry.day), asc(planEntry.at))
  const watch = profileNamed('all-sport')!
  return planned.flatMap(({ day: on, title, document }) => {
    const written = JSON.parse(document) as Session
    const said = (from: Standpoint) => rowsInWords(fit(written, watch, from).program.items, unitsOf(athlete)).map(({ words }) => words)
    const [before, after] = [said(standpoint), said(then)]
    return before.flatMap((was, index) =>
      after[index] === was ? [] : [{ title, day: on, was: was.trim(), becomes: after[index]!.trim() }],
    )
  })
}

async function proposedNow(tx: OwnerTransaction, standpoint: Standpoint & { day: string }): Promise<MarkProposal[]> {
  const { zone, day } = standpoint
  const rows = await tx
    .select({
      id: recording.id,
      title: recording.title,
      day: dayDone(zone),
      sport: recording.sport,
      rpe: sql<number | null>`(${recording.felt}->>'rpe')::float8`,
      pain: sql<boolean>`coalesce((${recording.felt}->>'pain')::boolean, false)`,
      learnt: recording.learnt,
    })
    .from(recording)
    .where(
      and(
        isNull(recording.removedAt),
        isNotNull(recording.learnt),
        sql`${recording.startedAt} >= ${daysFrom(day, -daysBack)}::timestamptz`,
      ),
    )
    .orderBy(asc(recording.startedAt))
  const answered = new Set((await tx.select({ key: planDismissal.key }).from(planDismissal)).map(({ key }) => key))
  const isPutOff = (key: string) => [...answered].some(one => one.startsWith(`${key} until `) && one.slice(-10) > day)
  const learnt = rows.map(row => ({ ...row, sport: row.sport as Sport, learnt: row.learnt as Learnt }))
  return proposeMarks(learnt, standpoint).filter(({ key }) => !answered.has(key) && !isPutOff(key))
}

/** Marks of a sport that training speaks for and that were not answered, with what each would change. */
export async function proposedMarks(tx: OwnerTransaction, sport: Sport, standpoint: Standpoint & { day: string }): Promise<ProposedMark[]> {
  const proposals = (await proposedNow(tx, standpoint)).filter(one => one.sport === sport)
  const proposed: ProposedMark[] = []
  for (const proposal of proposals) proposed.push({ ...proposal, changes: await changesOf(tx, proposal, standpoint) })
  return proposed
}

/** Takes a proposed mark into the athlete's own, or leaves it for good or for a week. */
export async function answerMark(tx: OwnerTransaction, key: string, answer: MarkAnswer): Promise<KeptAthlete> {
  const standpoint = await currentStandpoint(tx)
  const proposal = (await proposedNow(tx, standpoint)).find(one => one.key === key)
  if (!proposal) throw new Problem(409, 'That is not proposed any more.', 'body.key', 'Look at what is proposed now.')
  const current = await currentAthlete(tx)
  if (answer === 'yes') return saveAthlete(tx, current.number, withEffort(current.athlete, proposal))
  const kept = answer === 'no' ? key : later(key, daysFrom(standpoint.day, laterDays))
  await tx.insert(planDismissal).values({ key: kept }).onConflictDoNothing()
  return current
}
