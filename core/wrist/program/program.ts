import { withoutTrailing } from '../../session/recovery'
import { poolMetres } from '../../session/place'
import type { Manner, PlaceOfSession, Prompt, Role, SessionSport, Sport, Step, Swim } from '../../session/document'
import type { ResolvedTarget } from '../../athlete/resolve'

/** A session as a watch holds it: targets frozen in numbers, off items left out, metres for every distance. */

export type ProgramEnd =
  | { on: 'time'; seconds: number }
  | { on: 'distance'; metres: number }
  | { on: 'press' }
  | { on: 'heart-rate'; below?: number; above?: number }
  | { on: 'energy'; joules: number }
  | { on: 'send-off'; metres: number; seconds: number }
  | { on: 'first'; of: [ProgramEnd, ProgramEnd] }

export type ProgramTarget = Omit<ResolvedTarget, 'said'>

/** A step of a program in one of its rounds: one number for each block around, outermost first. */
export interface StepPosition {
  path: string
  round: number[]
}

/** Rounds already counted when a block around was written out step by step. */
export interface Unrolled {
  round: number[]
  rounds: (number | null)[]
}

export interface ProgramStep {
  kind: 'step'
  path: string
  name: string
  role: Role
  sport: Sport
  /** The place of the step's leg, in a session of several sports. */
  place?: PlaceOfSession
  end: ProgramEnd
  target?: ProgramTarget
  also?: ProgramTarget
  /** The lowest ceiling that holds here, in bpm. */
  ceiling?: number
  manner?: Manner
  grade?: Step['grade']
  swim?: Swim
  note?: string
  unrolled?: Unrolled
}

export interface ProgramBlock {
  kind: 'block'
  path: string
  repeat: { times: number; stopAfterMissed?: number } | { metres: number } | { seconds: number }
  dropLastRecovery?: true
  items: ProgramItem[]
  unrolled?: Unrolled
}

export type ProgramItem = ProgramStep | ProgramBlock

export interface Program {
  format: 'agonis.program'
  version: 1
  name: string
  sport: SessionSport
  place?: PlaceOfSession
  items: ProgramItem[]
  prompts?: Prompt[]
  smoothingSeconds: number
  alertAfterSeconds: number
  alertRepeatSeconds: number
  /** SHA-256 of what it was made from, so that a stale copy can say why it is stale. */
  from: { session: string; athlete: string; profile: string }
}

/** The items of one round of a block; its own last round leaves trailing recoveries and rests out where it drops them. */
export function roundItems(block: ProgramBlock, isLast: boolean): ProgramItem[] {
  if (!isLast || !block.dropLastRecovery) return block.items
  return block.items.slice(0, withoutTrailing(block.items))
}

/** Where a step is carried out: in the place of its leg, else in the program's. */
export const placeOf = (step: ProgramStep | null, program: Program): PlaceOfSession | undefined => step?.place ?? program.place

/** Metres of a length where a step is swum in a pool; else null. */
export const poolLengthOf = (step: ProgramStep, program: Program): number | null => poolMetres(step.sport, placeOf(step, program))

export const timesOf = (block: ProgramBlock): number | null => ('times' in block.repeat ? block.repeat.times : null)

/** Steps and blocks as written: what a watch counts against its limit. */
export function countItems(items: readonly ProgramItem[]): number {
  return items.reduce((count, item) => count + 1 + (item.kind === 'block' ? countItems(item.items) : 0), 0)
}

/** How deep repeats stand in repeats: a count, 0 without any. */
export function depthOf(items: readonly ProgramItem[]): number {
  return items.reduce((deepest, item) => (item.kind === 'block' ? Math.max(deepest, 1 + depthOf(item.items)) : deepest), 0)
}
