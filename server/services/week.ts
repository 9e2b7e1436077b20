import { randomUUID } from 'node:crypto'
import { inArray } from 'drizzle-orm'
import type { PlanChange } from '../../core/plan/change'
import { moveTo, putOn, takeOff } from '../../core/plan/edits'
import type { PlanEntry } from '../../core/plan/entry'
import { matchFill } from '../../core/plan/fill'
import { daysFrom, isDate } from '../../core/quantity/day'
import { printSession } from '../../core/script/print'
import { restDaysOf } from '../../core/script/reader/account'
import { readScript } from '../../core/script/reader/read-script'
import { titleOf } from '../../core/script/title'
import type { Session } from '../../core/session/document'
import type { FilledWeek, PlanRow } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { session } from '../db/schema'
import { currentStandpoint } from './athlete'
import { shelvedAs } from './facets'
import { listPlan } from './plan'
import { bareSession, noteEdit, planEditing, wholePlan, writeChanges } from './plan-edit'
import { Problem } from './problem'
import { saveSession } from './session'

type Dated = Session & { day: string }

/** What stands on the shelf alone, because the message says no day for it. */
const onNoDay = {
  id: '',
  day: '',
  at: 0,
  kind: 'session',
  name: null,
  minutes: null,
  effort: null,
  filled: true,
  seconds: null,
  metres: null,
  cord: null,
  burden: null,
} as const

interface Shelved {
  content: string
  head: number
  title: string
}

async function shelved(tx: OwnerTransaction, ids: readonly string[]): Promise<Map<string, Shelved>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select({ id: session.id, content: session.content, head: session.head, title: session.title })
    .from(session)
    .where(inArray(session.id, [...ids]))
  return new Map(rows.map(({ id, ...row }) => [id, row]))
}

const bare = { ...bareSession, filled: true } as const

/** Takes off the rests that an earlier message put within some days, where this one does not say them any more. */
const restsOff = (entries: readonly PlanEntry[], rests: readonly string[], from: string, to: string, today: string): PlanChange[] =>
  takeOff(
    entries,
    entries
      .filter(({ day, filled, kind }) => filled && kind === 'rest' && day >= from && day <= to && day >= today && !rests.includes(day))
      .map(({ id }) => id),
  )

const restOn = (entries: readonly PlanEntry[], day: string): PlanChange[] =>
  entries.some(entry => entry.day === day && entry.kind === 'rest')
    ? []
    : putOn(entries, { ...bare, kind: 'rest', id: randomUUID(), day, session: null })

/**
 * Fills days from a message: each session is shelved with the message as its source and put on its day. The same message corrected
 * changes what it has changed: rows become a new wording of the session that is there, days are moved, what it no longer says is
 * taken off; what is over stays. All of it or nothing, and taken back as one edit; a session without a day is shelved all the same.
 */
export async function fillWeek(tx: OwnerTransaction, week: string, text: string): Promise<FilledWeek> {
  const standpoint = await currentStandpoint(tx)
  const reading = readScript(text, standpoint, { week })
  const read = reading.sessions.filter(one => one.items.length > 0)
  if (read.length === 0)
    throw new Problem(422, 'Nothing in the text reads as a session.', 'body.text', 'Begin each day with its name: Tue: 6 x 800 / 90 s jog.')
  const dated = read.filter((one): one is Dated => isDate(one.day))
  const rests = restDaysOf(reading).filter(day => !dated.some(one => one.day === day))
  const days = [week, daysFrom(week, 6), ...dated.map(({ day }) => day), ...rests].sort()
  const plan = await wholePlan(tx)
  const before = plan.filter(({ day, filled, session: id }) => filled && id !== null && day >= days[0]! && day <= days.at(-1)!)
  const known = await shelved(
    tx,
    before.map(entry => entry.session!),
  )
  const contentOf = (document: Session) => shelvedAs(document, titleOf(document)).content
  const match = matchFill(
    dated.map(document => ({ day: document.day, content: contentOf(document) })),
    before.map(entry => ({ id: entry.id, day: entry.day, content: known.get(entry.session!)?.content ?? '' })),
  )
  const entryOf = new Map(before.map(entry => [entry.id, entry]))
  const titleAt = (id: string) => known.get(entryOf.get(id)!.session!)?.title ?? ''
  const { changes, make } = planEditing(plan)
  const told: FilledWeek = { rows: [], added: [], changed: [], moved: [], gone: [], same: match.same.map(({ id }) => titleAt(id)) }
  const save = (id: string, base: number, document: Session) => saveSession(tx, id, base, printSession(document), { source: text })
  for (const { wanted, id } of match.changed) {
    const entry = entryOf.get(id)!
    const isElsewhere = plan.some(other => other.id !== id && other.session === entry.session)
    const kept = isElsewhere
      ? await save(randomUUID(), 0, dated[wanted]!)
      : await save(entry.session!, known.get(entry.session!)!.head, dated[wanted]!)
    if (isElsewhere) make(() => [{ id, before: entry, after: { ...entry, session: kept.id } }])
    told.changed.push(kept.title)
  }
  for (const { wanted, id } of match.moved) {
    make(entries => moveTo(entries, id, dated[wanted]!.day))
    told.moved.push(titleAt(id))
  }
  const gone = match.gone.filter(id => entryOf.get(id)!.day >= standpoint.day)
  make(entries => takeOff(entries, gone))
  told.gone.push(...gone.map(titleAt))
  const alone: PlanRow[] = []
  for (const document of [...match.added.map(index => dated[index]!), ...read.filter(one => !isDate(one.day))]) {
    const kept = await save(randomUUID(), 0, document)
    const { day } = document
    if (isDate(day)) make(entries => putOn(entries, { ...bare, id: randomUUID(), day, session: kept.id }))
    else alone.push({ ...onNoDay, sessionId: kept.id, title: kept.title, sport: document.sport })
    told.added.push(kept.title)
  }
  make(entries => restsOff(entries, rests, days[0]!, days.at(-1)!, standpoint.day))
  for (const day of rests) make(entries => restOn(entries, day))
  await writeChanges(tx, changes)
  if (changes.length > 0) await noteEdit(tx, { code: 'fill', count: changes.length }, changes)
  const rows = (await listPlan(tx, days[0]!, days.at(-1)!)).filter(({ filled }) => filled)
  return { ...told, rows: [...rows, ...alone] }
}
