import { hardDaysAround } from '../../core/plan/full-week'
import type { NextKind } from '../../core/plan/next'
import { nextOf } from '../../core/plan/next'
import { daysFrom } from '../../core/quantity/day'
import type { PlanSpan } from '../../shared/plan'
import type { OwnerTransaction } from '../db/client'
import { currentStandpoint } from './athlete'
import { listPlan } from './plan'
import { editPlan } from './plan-edit'
import { Problem } from './problem'
import { keepVariant } from './progress-plan'
import { loadRecording } from './recording'

/** Puts what comes next after a recording on a day: the session as it is, or changed as a variant. One edit of the plan. */
export async function takeNext(tx: OwnerTransaction, id: string, kind: NextKind, day: string): Promise<PlanSpan['undo']> {
  const { recording, score, session, sessionId } = await loadRecording(tx, id)
  if (!score || !session || sessionId === null)
    throw new Problem(422, 'This recording has no session to go on from.', 'params.id', 'Say first which session it was.')
  const planned = await listPlan(tx, daysFrom(day, -3), daysFrom(day, 3))
  const standpoint = await currentStandpoint(tx)
  const proposal = nextOf(session, recording, score, standpoint, hardDaysAround(day, planned)).find(one => one.kind === kind)
  if (!proposal || kind === 'rest')
    throw new Problem(422, 'That is not proposed after this one.', 'body.kind', 'Look at what is proposed now.')
  const next = proposal.by === null ? sessionId : await keepVariant(tx, sessionId, proposal.session)
  return editPlan(tx, { do: 'put', day, kind: 'session', session: next })
}
