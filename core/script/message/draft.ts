import type { Ceiling, Grade, Repeat, Role, Step, Swim, Target } from '../../session/document'
import type { Fault } from '../../words/faults'
import type { SoftWord } from '../token/soft-word'
import type { BetweenLevel, Clock, Length, MarkSign, Token } from './token'

/** One step as its words say it, before its neighbours decide what it is. */
export interface Draft {
  role?: Role
  lengths?: Length[]
  lengthToken?: Token
  soft?: SoftWord
  isStride?: true
  target?: Target
  also?: Target
  clock?: Clock
  ceiling?: Ceiling
  /** The ceiling was said as a bound: without another target it is one. */
  isBound?: boolean
  sendOff?: number[]
  swim: Swim
  grade?: Grade
  notes: string[]
  doubt?: Step['doubt']
  /** As long as the work before it, or a share of that. */
  share?: { by: number; isOfTime: boolean }
  portion?: 'first' | 'next' | 'middle' | 'last' | 'remainder'
  /** The portion is half of the whole. */
  isHalf?: true
  /** A target for each of its lengths. */
  each?: Target[]
  /** Targets that the rounds take in turn. */
  turns?: Target[]
  /** Words behind `as` that only say how it is swum: `50 as 25 fast 25 easy`. */
  aside?: Token[]
  /** It goes back to where the work began. */
  isBack?: true
  /** It said `off`, so that it is in every round. */
  isOff?: true
  /** The recovery of a pair as `30/30`. */
  easy?: Length
  isWalk?: boolean | undefined
  /** Where it says that it stands between others. */
  level?: BetweenLevel
  isTotal?: true
  /** Where it said that it stands among the others. */
  order?: 'first' | 'last' | 'here' | 'around'
  tokens: Token[]
}

export type Part =
  | { part: 'step'; draft: Draft }
  | { part: 'count'; times: number; most?: number; opens: boolean; token: Token }
  | { part: 'until'; repeat: Repeat; token: Token }
  | { part: 'rounds'; first: number; final: number; token: Token }
  | { part: 'with'; token: Token }
  | { part: 'same'; token: Token }
  | { part: 'progress'; by: number; unit: 'mi' | 'km'; from: number; token: Token }
  | { part: 'every'; seconds: number; token: Token }
  | { part: 'span'; seconds: number; token: Token }
  | { part: 'change'; by: number; token: Token }
  | { part: 'group'; clauses: Clause[]; token: Token }

/** What stands between two marks. */
export interface Clause {
  /** The mark before it; null at the start. */
  mark: MarkSign | null
  parts: Part[]
  unknown: Token[]
  /** What it says comes before what its line said so far. */
  isBefore?: true
  /** Why it cannot be read. */
  fault?: Fault | undefined
  /** Every token of it, in order. */
  tokens: Token[]
  line: number
}

/** Whether a draft says how long, what role or how often, so that it is a step and not only words about one. */
export const isStep = (draft: Draft): boolean =>
  draft.lengths !== undefined ||
  draft.role !== undefined ||
  draft.soft !== undefined ||
  draft.isStride !== undefined ||
  draft.share !== undefined ||
  draft.portion !== undefined
