import type { Ceiling, End, Grade, PlaceOfSession, Prompt, Repeat, Role, Step, Swim, Target } from '../../session/document'
import type { Fault } from '../../words/faults'
import type { Noticed } from '../token/scanner'
import type { SoftWord } from '../token/soft-word'

/** A length as it was said: whole, or a number that the message gives its unit. */
export type Length = { end: End } | { bare: number }

/** What stands between the steps of a round, or between the rounds. */
export type BetweenLevel = 'reps' | 'sets' | 'all' | 'any'

/** A time beside `@` or in brackets: a pace, or the time for the step's own length. */
export interface Clock {
  easiest: number
  hardest: number
  /** The time for the step itself, as `in 3:30` says. */
  isOwn: boolean
}

/** What parts two clauses: what kind of joint it is, and the sign itself. */
export type MarkSign = ',' | ';' | '+' | '.' | '/' | '-' | ':' | 'line'

/** What a stretch of text may be. */
export type Meaning =
  | { is: 'length'; lengths: Length[]; doubt?: Step['doubt']; isSpaced?: true }
  /** Work and recovery in one word: `30/30`. */
  | { is: 'pair'; work: Length; easy: Length; isWalk?: true }
  /** A count of rounds; `opens` where everything after it belongs to the rounds. */
  | { is: 'count'; times: number; most?: number; opens: boolean; isBehind?: true }
  /** Rounds until a distance or a time is reached; everything after it belongs to them. */
  | { is: 'until'; repeat: Repeat }
  | { is: 'role'; role: Role }
  | { is: 'soft'; word: SoftWord; isBack?: true }
  | { is: 'stride' }
  | { is: 'at' }
  | { is: 'target'; target: Target }
  /** A target for each length of a list, or for the rounds in turn. */
  | { is: 'target-list'; targets: Target[] }
  | { is: 'clock'; clock: Clock }
  /** A cap; one said as a bound of the heart rate is the target where there is no other. */
  | { is: 'ceiling'; ceiling: Ceiling; isBound: boolean }
  | { is: 'send-off'; seconds: number[] }
  | { is: 'swim'; swim: Swim }
  | { is: 'grade'; grade: Grade }
  | { is: 'with' }
  | { is: 'on-off'; which: 'on' | 'off' }
  | { is: 'between'; level: BetweenLevel }
  /** A recovery said by the work before it: as long, half as long. */
  | { is: 'share'; by: number; isOfTime: boolean }
  | { is: 'portion'; which: 'first' | 'next' | 'middle' | 'last' | 'remainder'; isHalf?: true }
  | { is: 'rounds'; first: number; final: number }
  | { is: 'alternating' }
  /** Seconds by which each mile or kilometre differs from the one before, and from what pace on. */
  | { is: 'progress'; by: number; unit: 'mi' | 'km'; begin: number }
  /** Something comes within an easy step, so often. */
  | { is: 'every'; seconds: number }
  /** The part before it once more. */
  | { is: 'same' }
  /** How long the steps before it go on in turn. */
  | { is: 'span'; seconds: number }
  /** Seconds by which each round differs from the one before. */
  | { is: 'change'; by: number }
  | { is: 'total' }
  /** Where a step stands among the others: what follows comes before them, it comes first or last, or just here. */
  | { is: 'order'; which: 'after' | 'first' | 'last' | 'here' | 'around' }
  | { is: 'prompt'; prompts: Prompt[] }
  | { is: 'label'; words: string }
  | { is: 'place'; place: PlaceOfSession }
  | { is: 'mark'; sign: MarkSign }
  | { is: 'open' }
  | { is: 'close' }
  /** Words about the step: kept as its note. */
  | { is: 'note'; words: string }
  /** Words that say nothing a session holds. */
  | { is: 'filler' }
  | { is: 'unknown'; words: string }
  /** What nothing can be made of, and why. */
  | { is: 'fault'; fault: Fault }

/** A stretch of one line with one of its meanings, and how unlikely that is. */
export type Token = Meaning & {
  /** Index of the line in the message. */
  line: number
  /** In UTF-16 units from the start of the line. */
  from: number
  to: number
  cost: number
  noticed: Noticed[]
}
