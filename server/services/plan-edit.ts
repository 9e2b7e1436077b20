import { randomUUID } from 'node:crypto'
import { desc, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { Standpoint } from '../../core/athlete/standpoint'
import type { PlanChange } from '../../core/plan/change'
import { applyChanges, changeIn, inverse } from '../../core/plan/change'
import { clearDays, copyDays, moveTo, putOn, shiftFrom, swapDays, takeOff } from '../../core/plan/edits'
import type { EntryFault, PlanEntry } from '../../core/plan/entry'
import { faultOf } from '../../core/plan/entry'
import type { SaidEdit } from '../../core/words/plan'
import { sayPlanEdit } from '../../core/words/plan'
import type { PlanAsk, PlanSpan } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { planEdit, planEntry } from '../db/plan'
import { session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { notFound, Problem } from './problem'
import { withProgress } from './progress-plan'
import { loadSession } from './session'

/** Entries of one plan; past that a day more is refused. */
const mostEntries = 20_000

const entryOf = ({ createdAt: _, ownerId: __, changedAt: ___, sessionId, ...row }: typeof planEntry.$inferSelect): PlanEntry => ({
  ...row,
  session: sessionId,
})

/** The whole plan, while nobody else changes it. */
export async function wholePlan(tx: OwnerTransaction): Promise<PlanEntry[]> {
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext('plan ' || current_setting('agonis.owner')))`)
  return (await tx.select().from(planEntry)).map(entryOf)
}

/** Writes changes of the plan. */
export async function writeChanges(tx: OwnerTransaction, changes: readonly PlanChange[]): Promise<void> {
  const added = changes.flatMap(({ before, after }) => (before === null && after ? [after] : []))
  const gone = changes.flatMap(({ id, after }) => (after === null ? [id] : []))
  const valuesOf = ({ session: sessionId, ...entry }: PlanEntry) => ({ ...entry, sessionId, changedAt: new Date() })
  if (gone.length > 0) await tx.delete(planEntry).where(inArray(planEntry.id, gone))
  if (added.length > 0) await tx.insert(planEntry).values(added.map(valuesOf))
  for (const { id, before, after } of changes)
    if (before && after) await tx.update(planEntry).set(valuesOf(after)).where(eq(planEntry.id, id))
}

/** A session on a day, but for which and where. */
export const bareSession = { kind: 'session', name: null, minutes: null, effort: null, sport: null } as const

/** The edit of a plan, bit by bit: each change is made to what those before have left. */
export function planEditing(plan: PlanEntry[]) {
  const byId = new Map(plan.map(entry => [entry.id, entry]))
  const changes: PlanChange[] = []
  return {
    changes,
    make(by: (entries: PlanEntry[]) => PlanChange[]) {
      const made = by([...byId.values()])
      const missed = changeIn(byId, made)
      if (missed) throw new Error(`an edit of the plan does not fit it at ${missed.id}`)
      changes.push(...made)
    },
  }
}

const faults: Record<EntryFault, string> = {
  'no-session': 'A session of the shelf is missing.',
  'session-beside': 'Only a session has one of the shelf.',
  'no-name': 'A name is missing.',
  'long-name': 'A name has at most 500 letters.',
  'minutes': 'A length is from a minute to 48 hours.',
  'effort': 'An effort is from 0 to 10.',
}

const gone = () => notFound('plan entry', 'body.id')
const over = (day: string) =>
  new Problem(422, `${day} is over: nothing more is planned there.`, 'body.day', 'What was done on it goes into the log.')

type Made = { changes: PlanChange[]; said: SaidEdit }
interface Plan {
  tx: OwnerTransaction
  entries: PlanEntry[]
  standpoint: Standpoint
  today: string
}

async function titleOf(tx: OwnerTransaction, { session: id, name, kind }: PlanEntry): Promise<string> {
  if (id === null) return name || (kind === 'blocked' ? 'A blocked day' : 'A rest')
  const [row] = await tx.select({ title: session.title }).from(session).where(eq(session.id, id))
  return row?.title ?? 'A session'
}

async function put({ tx, entries }: Plan, ask: Extract<PlanAsk, { do: 'put' }>): Promise<Made> {
  const { day, kind, session: sessionId = null, name = null, minutes = null, effort = null, sport = null } = ask
  const entry = { id: randomUUID(), day, kind, session: sessionId, name, minutes, effort, sport, filled: false }
  const fault = faultOf(entry)
  if (fault) throw new Problem(422, faults[fault], 'body', 'Say what goes on that day.')
  if (sessionId) await loadSession(tx, sessionId)
  const changes = putOn(entries, entry)
  return { changes, said: { code: 'put', title: await titleOf(tx, changes[0]!.after!), day, others: 0 } }
}

async function change({ tx, entries }: Plan, { id, name, minutes, effort }: Extract<PlanAsk, { do: 'change' }>): Promise<Made> {
  const before = entries.find(entry => entry.id === id)
  if (!before) throw gone()
  const after = { ...before, name: before.session === null ? name : null, minutes, effort }
  const fault = faultOf(after)
  if (fault) throw new Problem(422, faults[fault], 'body', 'Nothing was changed.')
  return { changes: [{ id, before, after }], said: { code: 'change', title: await titleOf(tx, after) } }
}

/** Two tabs that move the same entry: the second is told where it is now, and nothing is lost. */
async function move({ tx, entries, today }: Plan, { id, day, at, was }: Extract<PlanAsk, { do: 'move' }>): Promise<Made> {
  const entry = entries.find(one => one.id === id)
  if (!entry) throw gone()
  if (entry.day !== was.day)
    throw new Problem(409, 'It has been moved meanwhile.', 'body.was', 'Look where it is now, and move it from there.', { now: entry.day })
  if (day < today && day !== entry.day) throw over(day)
  return { changes: moveTo(entries, id, day, at), said: { code: 'move', title: await titleOf(tx, entry), from: entry.day, to: day } }
}

async function off({ tx, entries }: Plan, { ids }: Extract<PlanAsk, { do: 'off' }>): Promise<Made> {
  const changes = takeOff(entries, ids)
  if (changes.length === 0) throw gone()
  const { day } = changes[0]!.before!
  return { changes, said: { code: 'off', title: await titleOf(tx, changes[0]!.before!), day, others: changes.length - 1 } }
}

/** Sessions put on many days at once, such as the weeks of a shape. */
async function lay({ tx, entries, today }: Plan, { on }: Extract<PlanAsk, { do: 'lay' }>): Promise<Made> {
  const early = on.find(({ day }) => day < today)
  if (early) throw over(early.day)
  for (const id of new Set(on.map(one => one.session))) await loadSession(tx, id)
  const { make, changes } = planEditing(entries)
  for (const { day, session: id } of on) make(plan => putOn(plan, { ...bareSession, filled: false, id: randomUUID(), day, session: id }))
  return { changes, said: { code: 'lay', count: changes.length, from: on.map(({ day }) => day).sort()[0]! } }
}

async function made(plan: Plan, ask: PlanAsk): Promise<Made> {
  const { entries, today } = plan
  switch (ask.do) {
    case 'put':
      return put(plan, ask)
    case 'change':
      return change(plan, ask)
    case 'move':
      return move(plan, ask)
    case 'off':
      return off(plan, ask)
    case 'copy': {
      if (ask.to < today) throw over(ask.to)
      const copied = copyDays(entries, ask.from, ask.days, ask.to, randomUUID)
      const changes = ask.way ? await withProgress(plan.tx, plan.standpoint, copied, ask.way) : copied
      return { changes, said: { code: 'copy', ...ask, count: changes.length } }
    }
    case 'lay':
      return lay(plan, ask)
    case 'swap':
      if (ask.one < today || ask.other < today) throw over(ask.one < today ? ask.one : ask.other)
      return { changes: swapDays(entries, ask.one, ask.other), said: { code: 'swap', ...ask } }
    case 'shift': {
      const from = ask.from < today ? today : ask.from
      const changes = shiftFrom(entries, from, ask.by)
      const early = changes.find(({ after }) => after!.day < today)
      if (early) throw over(early.after!.day)
      return { changes, said: { code: 'shift', from, by: ask.by, count: changes.length } }
    }
    case 'clear': {
      const changes = clearDays(entries, ask.from, ask.days)
      return { changes, said: { code: 'clear', ...ask, count: changes.length } }
    }
  }
}

/** Writes an edit down, so that it can be taken back. */
export async function noteEdit(tx: OwnerTransaction, said: SaidEdit, changes: PlanChange[]): Promise<NonNullable<PlanSpan['undo']>> {
  const [last] = await tx.select({ number: planEdit.number }).from(planEdit).orderBy(desc(planEdit.number)).limit(1)
  const row = { number: (last?.number ?? 0) + 1, said: sayPlanEdit(said) }
  await tx.insert(planEdit).values({ ...row, changes })
  return row
}

/** Edits the plan, all of an edit or nothing of it; nothing to do is no edit. */
export async function editPlan(tx: OwnerTransaction, ask: PlanAsk): Promise<PlanSpan['undo']> {
  const entries = await wholePlan(tx)
  const standpoint = await currentStandpoint(tx)
  const { changes, said } = await made({ tx, entries, standpoint, today: standpoint.day }, ask)
  if (changes.length === 0) return lastEdit(tx)
  if (entries.length + changes.filter(({ before }) => before === null).length > mostEntries)
    throw new Problem(422, `A plan holds up to ${mostEntries} things.`, 'body', 'Take off what is long over.')
  await writeChanges(tx, changes)
  return noteEdit(tx, said, changes)
}

/** The last edit that was not taken back; null where there is none. */
export async function lastEdit(tx: OwnerTransaction): Promise<PlanSpan['undo']> {
  const [row] = await tx
    .select({ number: planEdit.number, said: planEdit.said })
    .from(planEdit)
    .where(isNull(planEdit.undoneAt))
    .orderBy(desc(planEdit.number))
    .limit(1)
  return row ?? null
}

/** Takes an edit back exactly; where the plan has gone on since at one of its places, nothing is changed and that is said. */
export async function undoEdit(tx: OwnerTransaction, number: number): Promise<PlanSpan['undo']> {
  const entries = await wholePlan(tx)
  const [row] = await tx.select().from(planEdit).where(eq(planEdit.number, number))
  if (!row || row.undoneAt !== null) throw notFound('edit of the plan that can be taken back', 'body.number')
  const changes = inverse(row.changes)
  const applied = applyChanges(entries, changes)
  if (!applied.ok)
    throw new Problem(409, 'The plan has gone on since at one of these places.', 'body.number', 'Take back what came later first.')
  await writeChanges(tx, changes)
  await tx.update(planEdit).set({ undoneAt: new Date() }).where(eq(planEdit.number, number))
  return lastEdit(tx)
}
