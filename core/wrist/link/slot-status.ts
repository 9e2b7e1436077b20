import { digestOf } from '../program/digest'
import type { Program } from '../program/program'
import type { SlotState } from './protocol'

/**
 * How a slot stands to what it should hold: `equal`; `stale`, where the session, the athlete's numbers or the watch's profile
 * have changed since; `edited`, where something else is there than was sent; `missing`; `extra`, which nobody sent; `leaving`,
 * which is asked to be cleared and is still there.
 */
export type SlotStatus = 'equal' | 'stale' | 'edited' | 'missing' | 'extra' | 'leaving' | 'empty'

/** What made a copy stale. */
export type StaleReason = 'session' | 'athlete' | 'profile'

export interface ShouldHold {
  program: Program
  digest: string
  isLeaving: boolean
}

const content = (program: Program) => digestOf({ ...program, from: null })

/**
 * Why a program as sent is no longer what would be sent today; empty where it still is, word for word.
 *
 * @param today the program of today, or only what it would be made from where the session as it stands fits no watch
 */
export function staleReasons(sent: Program, today: Program | Pick<Program, 'from'> | null): StaleReason[] {
  if (!today || ('items' in today && content(sent) === content(today))) return []
  return (['session', 'athlete', 'profile'] as const).filter(part => sent.from[part] !== today.from[part])
}

/** Law: `equal` and `stale` are said only where the watch states the digest of what was sent. */
export function slotStatusOf(state: Pick<SlotState, 'digest'>, should: ShouldHold | null, reasons: readonly StaleReason[]): SlotStatus {
  if (!should) return state.digest === null ? 'empty' : 'extra'
  if (should.isLeaving) return state.digest === null ? 'empty' : 'leaving'
  if (state.digest === null) return 'missing'
  if (state.digest !== should.digest) return 'edited'
  return reasons.length > 0 ? 'stale' : 'equal'
}
