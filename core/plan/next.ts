import type { Standpoint } from '../athlete/standpoint'
import { courseOf } from '../forecast/intensity'
import { usedOf } from '../forecast/level'
import { daysBetween } from '../quantity/day'
import type { Recording } from '../record/recording'
import { dayOfRecording } from '../record/recording'
import type { Score, ScoredStep } from '../record/score'
import { reckon } from '../reckon/reckon'
import type { Session } from '../session/document'
import { itemAt } from '../session/item-path'
import type { NextCaution, NextReason } from '../words/next'
import { sayCaution, sayReason } from '../words/next'
import { fullWeek } from './full-week'
import type { ProgressBy } from './progress'
import { progressed } from './progress'

/** What to do with a session the next time: a step up, the same again, a step down, or nothing of it for now. */
export type NextKind = 'progress' | 'repeat' | 'ease' | 'rest'

export interface NextProposal {
  kind: NextKind
  /** As it would be done then; of a rest, what comes after it. */
  session: Session
  /** What was changed; null where nothing was. */
  by: ProgressBy | null
  because: string[]
  cautions: string[]
}

/** Below this confidence nobody knows how it went. */
const surely = 0.6
/** Felt so much harder than forecast, of ten: the step down. */
const clearlyHarder = 1.5
/** Weeks after which the same again is step enough, in days. */
const longAgo = 21
/** Shares of the work: enough to go on, and so little that it was too much. */
const enough = 0.9
const tooLittle = 0.7
const wellHeld = 0.7

const isWork =
  (session: Session) =>
  ({ path }: ScoredStep): boolean => {
    const item = itemAt(session, path)
    return item?.kind === 'step' && item.role === 'work'
  }

interface Judged {
  worst: NextKind
  reasons: NextReason[]
}
const order: readonly NextKind[] = ['progress', 'repeat', 'ease', 'rest']
const atLeast = (judged: Judged, kind: NextKind, reason: NextReason): Judged => ({
  worst: order[Math.max(order.indexOf(judged.worst), order.indexOf(kind))]!,
  reasons: [...judged.reasons, reason],
})

/** @param asked parts of work that the session has; what lies behind an early end is none of a score's steps */
function judgeWork(judged: Judged, session: Session, { steps, totals }: Score, asked: number): Judged {
  const work = steps.filter(isWork(session))
  const planned = Math.max(asked, work.filter(({ status }) => status !== 'extra').length)
  if (planned === 0) return judged
  const done = work.filter(({ status }) => status === 'done' || status === 'ran-over').length
  const slow = work.filter(({ reason }) => reason === 'too-easy').length
  const fast = work.filter(({ reason }) => reason === 'too-hard').length
  const over = work.filter(({ reason }) => reason === 'ceiling').length
  let now = judged
  if (over > 0) now = atLeast(now, over / planned > 1 - tooLittle ? 'ease' : 'repeat', { code: 'ceiling', count: over, planned })
  if (done / planned < tooLittle) now = atLeast(now, 'ease', { code: 'not-done', done, planned })
  else if (done / planned < enough) now = atLeast(now, 'repeat', { code: 'not-done', done, planned })
  if (slow / planned > 1 - tooLittle) now = atLeast(now, 'ease', { code: 'too-slow', count: slow, planned })
  else if (slow > 0) now = atLeast(now, 'repeat', { code: 'too-slow', count: slow, planned })
  if (fast / planned > 1 - tooLittle) now = atLeast(now, 'repeat', { code: 'too-fast', count: fast, planned })
  if (totals.held !== null && totals.held < wellHeld && slow + fast === 0)
    now = atLeast(now, 'repeat', { code: 'not-held', held: totals.held })
  return now.reasons.length > judged.reasons.length ? now : atLeast(now, 'progress', { code: 'held', held: totals.held, done })
}

function judge(session: Session, recording: Recording, score: Score, standpoint: Standpoint, hardDays: number): Judged {
  const { flat } = reckon(session, standpoint)
  const used = usedOf(courseOf(session, flat, standpoint), standpoint)
  const { rpe, pain } = recording.felt ?? {}
  let judged: Judged = { worst: 'progress', reasons: [] }
  if (pain) judged = atLeast(judged, 'rest', { code: 'pain' })
  if (score.basis === 'none' || score.confidence < surely) judged = atLeast(judged, 'repeat', { code: 'not-known' })
  else judged = judgeWork(judged, session, score, flat.filter(({ role }) => role === 'work').length)
  const forecast = used?.effort.likely ?? null
  if (rpe !== undefined && forecast !== null && rpe - forecast >= clearlyHarder)
    judged = atLeast(judged, 'ease', { code: 'felt-harder', felt: rpe, forecast: Math.round(forecast * 10) / 10 })
  else if (rpe !== undefined && rpe >= 9.5 && used?.level !== 'race') judged = atLeast(judged, 'ease', { code: 'all-out', felt: rpe })
  if (used && (used.level === 'race' || used.level === 'beyond')) judged = atLeast(judged, 'repeat', { code: 'race' })
  const days = standpoint.day === null ? 0 : daysBetween(dayOfRecording(recording, standpoint.zone), standpoint.day)
  if (days > longAgo) judged = atLeast(judged, 'repeat', { code: 'long-ago', days })
  const isOneMore = used !== null && used.level !== 'easy' && used.level !== 'steady'
  return isOneMore && hardDays >= fullWeek ? atLeast(judged, 'repeat', { code: 'full-week', days: hardDays }) : judged
}

const cautionsOf: Record<NextKind, readonly NextCaution[]> = { progress: ['step'], repeat: [], ease: [], rest: ['pain', 'doctor'] }

/**
 * What to do with a session the next time, by how it went: a step up only where all of it was done, held and felt as forecast; never
 * harder after pain, after a session that was too much, or where nobody knows how it went.
 *
 * Laws, held by the tests: more pain or a higher felt effort never gives a harder proposal.
 *
 * @param hardDays other hard days around the day it would be done on; three leave no room for a harder one
 * @returns the proposal first, then what is easier than it
 */
export function nextOf(session: Session, recording: Recording, score: Score, standpoint: Standpoint, hardDays = 0): NextProposal[] {
  let { worst, reasons } = judge(session, recording, score, standpoint, hardDays)
  const harder = worst === 'progress' ? progressed(session, standpoint, 'harder') : null
  if (worst === 'progress' && !harder) [worst, reasons] = ['repeat', [...reasons, { code: 'nothing-harder' }]]
  const easier = progressed(session, standpoint, 'easier')
  const because = reasons.map(sayReason)
  const proposal = (kind: NextKind): NextProposal[] => {
    const step = kind === 'progress' ? harder : kind === 'ease' || kind === 'rest' ? easier : null
    if (kind === 'ease' && !step) return []
    return [{ kind, session: step?.session ?? session, by: step?.by ?? null, because, cautions: cautionsOf[kind].map(sayCaution) }]
  }
  const kinds = order.slice(order.indexOf(worst), worst === 'rest' ? undefined : order.indexOf(worst) + 2)
  const made = kinds.flatMap(proposal)
  return made.length > 0 ? made : proposal('rest')
}
