import { and, eq } from 'drizzle-orm'
import { digestOf } from '../../core/wrist/program/digest'
import type { Due, Fitted, PushQuestion, SlotBeside } from '../../core/wrist/link/schools'
import { daysFrom } from '../../core/quantity/day'
import { nameFor, planPush, wanted } from '../../core/wrist/link/schools'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { holding } from '../db/schema'
import { enqueue } from '../queue/boss'
import type { PushPlan, TransferState } from '../../shared/api'
import { currentStandpoint } from './athlete'
import type { FittedSession } from './fit'
import { fitterFor } from './fit'
import { atWatch } from './lease'
import { listPlan } from './plan'
import { Problem } from './problem'
import { startTransfer } from './transfer'
import { lookAt } from './slots'

/** What a watch says of itself, or what it said last. */
type Seen = Pick<Awaited<ReturnType<typeof lookAt>>, 'slots' | 'records'> & { hello: { running: number | null } }
type Asked = PushQuestion & { programs: Map<string, FittedSession> }

/** @param days that are looked at: with a push of seven days, what is due within them */
export async function askPush(tx: OwnerTransaction, watchId: string, seen: Seen, days = 7): Promise<Asked> {
  const { athlete, day: today } = await currentStandpoint(tx)
  const due: Due[] = (await listPlan(tx, today, daysFrom(today, days - 1))).flatMap(({ day, sessionId, title }) =>
    sessionId === null ? [] : [{ day, session: sessionId, title }],
  )
  const held = await tx.select().from(holding).where(eq(holding.watchId, watchId))
  const slots = seen.slots.map((state): SlotBeside => {
    const should = held.find(row => row.slot === state.slot)
    return {
      ...state,
      isRunning: seen.hello.running === state.slot,
      awaitsRecording: seen.records.some(record => record.program !== null && record.program === state.digest),
      should: should ? { session: should.sessionId, day: should.day, digest: should.digest, isLeaving: should.isLeaving } : null,
    }
  })
  const question: PushQuestion = {
    naming: athlete.schools?.naming ?? 'telling',
    pushing: athlete.schools?.pushing ?? 'week',
    today,
    weekStart: athlete.weekStart ?? 1,
    due,
    slots,
    fitted: () => ({ digest: '', fits: false }),
  }
  const fitFor = await fitterFor(tx, watchId)
  const fitted = new Map<Due, Fitted>()
  const programs = new Map<string, FittedSession>()
  for (const one of days > 7 ? due : wanted(question)) {
    const made = await fitFor(one.session, nameFor(question, one))
    fitted.set(one, { digest: made.digest, fits: made.fits })
    programs.set(made.digest, made)
  }
  return { ...question, programs, fitted: one => fitted.get(one)! }
}

/** A push as it would be done, with the programs that it would send. */
export interface DryRun extends PushPlan {
  incarnation: string
  programs: ReadonlyMap<string, FittedSession>
  question: PushQuestion
}

/** The dry run: what pushing would do to a watch now, by the athlete's schools of naming and pushing. */
export async function dryRun(database: Database, owner: string, watchId: string): Promise<DryRun> {
  const seen = await atWatch(database, owner, watchId, lookAt)
  const question: Asked = await asOwner(database, owner, tx => askPush(tx, watchId, seen))
  const acts = planPush(question)
  const { incarnation } = seen.hello
  return {
    acts,
    digest: digestOf({ acts, incarnation }),
    naming: question.naming,
    pushing: question.pushing,
    today: question.today,
    incarnation,
    programs: question.programs,
    question,
  }
}

/**
 * Does exactly what a dry run has shown: what it comes to is kept first, then done by whichever server is free, in the same order.
 *
 * @param digest of the plan that was shown; where the watch or the week has changed since, nothing is done and the new one is given
 */
export async function push(database: Database, owner: string, watchId: string, digest: string): Promise<TransferState[]> {
  const { incarnation, programs, question: _, ...plan } = await dryRun(database, owner, watchId)
  if (plan.digest !== digest)
    throw new Problem(409, 'The watch or the week has changed since you looked.', 'body.digest', 'Look at what would be done now.', {
      plan,
    })
  return doActs(database, owner, watchId, { acts: plan.acts, incarnation, programs })
}

/** Begins what a push comes to. */
export async function doActs(
  database: Database,
  owner: string,
  watchId: string,
  { acts, incarnation, programs }: Pick<DryRun, 'acts' | 'incarnation' | 'programs'>,
): Promise<TransferState[]> {
  const begun: TransferState[] = []
  await asOwner(database, owner, async tx => {
    for (const act of acts) {
      if (act.do !== 'remove' && act.do !== 'keep') continue
      const change = act.do === 'remove' ? { isLeaving: true, clears: act.expects } : { isLeaving: false, clears: null, day: act.day }
      await tx
        .update(holding)
        .set(change)
        .where(and(eq(holding.watchId, watchId), eq(holding.slot, act.slot)))
    }
  })
  await enqueue(database, 'tending', { owner, watch: watchId })
  for (const act of acts) {
    if (act.do !== 'send') continue
    begun.push(
      await startTransfer(database, owner, {
        watchId,
        sessionId: act.session,
        fitted: programs.get(act.digest)!,
        day: act.day,
        place: { slot: act.slot, expects: act.expects, incarnation },
      }),
    )
  }
  return begun
}
