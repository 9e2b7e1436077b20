import type { Sport } from '../session/document'
import { formatTime } from '../quantity/time'
import type { Missing } from './missing'
import { sayMissing } from './missing'

/** What of a session a watch does not carry as written, as a code with its fields; rows of the script stand in it as printed. */
export type LossReason =
  | { code: 'doubt'; said: string }
  | { code: 'unread'; text: string }
  | { code: 'end'; end: string }
  | { code: 'unmeasured-end'; end: string; sport: Sport }
  | { code: 'target-unresolved'; target: string; missing: Missing }
  | { code: 'measure'; target: string; of: string; sport: Sport; isPlaced: boolean }
  | { code: 'ceiling-unresolved'; above: number; unit: string; heart: 'maximum' | 'threshold' }
  | { code: 'repeat'; until: string }
  | { code: 'long-name'; name: string; longest: number }
  | { code: 'taken-name'; name: string }
  | { code: 'nesting'; depth: number; held: number }
  | { code: 'steps'; count: number; held: number }
  | { code: 'sport'; sport: Sport | 'multi' }
  | { code: 'empty' }

/** What a watch does not carry, as a sentence without its capital and stop. */
export function sayLoss(reason: LossReason): string {
  switch (reason.code) {
    case 'doubt':
      return `"${reason.said}" is still in doubt`
    case 'unread':
      return `"${reason.text}" is unread`
    case 'end':
      return `${reason.end}: this watch cannot end a step so`
    case 'unmeasured-end':
      return `${reason.end} cannot be measured in a ${reason.sport}`
    case 'target-unresolved':
      return `${reason.target} needs ${sayMissing(reason.missing)}`
    case 'measure':
      return `${reason.target}: this watch takes no ${reason.of} for a ${reason.sport}${reason.isPlaced ? ' there' : ''}`
    case 'ceiling-unresolved':
      return `ceiling ${reason.above} ${reason.unit} needs ${reason.heart} heart rate`
    case 'repeat':
      return `${reason.until}: this watch repeats only a number of times`
    case 'long-name':
      return `"${reason.name}" is longer than ${reason.longest} characters`
    case 'taken-name':
      return `"${reason.name}" is the name of another program there`
    case 'nesting':
      return `repeats stand ${reason.depth} deep; this watch holds ${reason.held === 0 ? 'none' : reason.held}`
    case 'steps':
      return `the program has ${reason.count} steps; this watch holds ${reason.held}`
    case 'sport':
      return `this watch knows no ${reason.sport}: take its card`
    case 'empty':
      return 'there is no step to carry out'
  }
}

/** Why an end serves in the place of another. */
export type EndBecause =
  'usual-length' | 'likely-time' | 'energy-of-distance' | 'last' | 'clock-alone' | 'without-clock' | 'of-two' | { restSeconds: number }

const becauses: Readonly<Record<Extract<EndBecause, string>, string>> = {
  'usual-length': 'the usual length',
  'likely-time': 'what it likely takes',
  'energy-of-distance': 'a kilocalorie a kilogram and kilometre',
  'last': 'it is the last',
  'clock-alone': 'by the clock alone',
  'without-clock': 'without the clock',
  'of-two': 'of the two alone',
}

/** What is used in the place of something lost, as a code with its fields. */
export type LossInstead =
  | { code: 'end'; end: string; because?: EndBecause }
  | { code: 'measure'; target: string; doubt: 'none' | 'short' | 'near-maximum' }
  | { code: 'no-target' }
  | { code: 'times'; rounds: number; isWhole: boolean }
  | { code: 'name'; name: string }
  | { code: 'written-out'; all: boolean; steps: number }
  | { code: 'card'; steps: number; path: string }

const heartDoubts = {
  'none': '',
  'short': ', slow to tell in so short a step',
  'near-maximum': ', near your maximum: the heart does not tell such an effort',
} as const

/** What is used instead, in words. */
export function sayInstead(instead: LossInstead): string {
  switch (instead.code) {
    case 'end': {
      const { end, because } = instead
      if (because === undefined) return end
      if (typeof because === 'string') return `${end}, ${becauses[because]}`
      return `${end}, and ${formatTime(because.restSeconds)} rest, what is likely left to the clock`
    }
    case 'measure':
      return `about ${instead.target}${heartDoubts[instead.doubt]}`
    case 'no-target':
      return 'no target'
    case 'times':
      return `${instead.rounds} times, ${instead.isWhole ? 'whole rounds that likely fit in' : 'what it likely comes to'}`
    case 'name':
      return `"${instead.name}"`
    case 'written-out':
      return `${instead.all ? 'every repeat' : 'repeats'} written out, round by round: ${instead.steps} steps`
    case 'card':
      return `the first ${instead.steps} steps; from row ${instead.path} on, the card`
  }
}
