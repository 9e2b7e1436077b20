import { formatTime, sayDuration } from '../quantity/time'

/** A rest or recovery as it is printed: its role and its end. */
export interface PrintedPause {
  role: string
  end: string
}

/** What the shape of a session or the athlete's marks suggest, as a code with its fields; rows of the script stand in it as printed. */
export type SuggestionReason =
  | { code: 'over-time'; likely: number; today: number }
  | { code: 'two-recoveries'; first: PrintedPause; second: PrintedPause; sum: string | null; isAfterLast: boolean }
  | { code: 'needless-last-recovery'; last: PrintedPause; isBeforeCoolDown: boolean }
  | { code: 'long-time' | 'far'; length: string; of: string | null }
  | { code: 'short-time' | 'short-distance'; length: string }
  | { code: 'press-in-block' | 'no-warm-up' }
  | { code: 'no-easy-after'; hardSeconds: number }
  | { code: 'beyond-shown'; seconds: number; most: string }
  | { code: 'narrow-band'; held: string }
  | { code: 'mixed-units'; units: readonly string[] }

/** A suggestion as a sentence without its capital and stop. */
export function saySuggestion(reason: SuggestionReason): string {
  switch (reason.code) {
    case 'over-time':
      return (
        `about ${sayDuration(reason.likely)}, and ${sayDuration(reason.today)} are there today: ` +
        `${sayDuration(reason.likely - reason.today)} too long`
      )
    case 'two-recoveries': {
      const { first, second, sum } = reason
      const both = `${first.role} ${first.end} and ${second.role} ${second.end} follow each other${sum ? `: ${sum} in all` : ''}`
      return reason.isAfterLast ? `after the last round, ${both}` : both
    }
    case 'needless-last-recovery':
      return (
        `after the last round there is a ${reason.last.role} of ${reason.last.end}` +
        `${reason.isBeforeCoolDown ? ' before the cool-down' : ', and then nothing'}`
      )
    case 'long-time':
      return `${reason.length} is long for ${reason.of ? `a ${reason.of}` : 'a step of a repeat'}`
    case 'short-time':
      return `${reason.length} is over before it can be told`
    case 'far':
      return `${reason.length} is far for ${reason.of ? `a ${reason.of}` : 'one step'}`
    case 'short-distance':
      return `${reason.length} is over in a moment`
    case 'press-in-block':
      return 'waits for the button in the middle of a repeat'
    case 'no-warm-up':
      return 'the first step is very hard, with nothing easy before it'
    case 'no-easy-after':
      return `${sayDuration(reason.hardSeconds)} of hard work, and nothing easy after it`
    case 'beyond-shown':
      return `faster than your marks say for ${formatTime(reason.seconds)}: about ${reason.most}`
    case 'narrow-band':
      return `a narrow band: the watch would nudge although you hold it. What you hold without thinking is about ${reason.held}`
    case 'mixed-units':
      return `paces in ${reason.units.map(unit => `/${unit}`).join(' and ')} side by side`
  }
}

/** What taking up a suggestion does; rows and targets that it writes stand in it as printed. */
export type SuggestionFix =
  { code: 'join' | 'take-away' | 'drop-last' } | { code: 'instead'; words: string } | { code: 'all-in'; unit: string }

export function saySuggestionFix(fix: SuggestionFix): string {
  switch (fix.code) {
    case 'join':
      return 'join them'
    case 'take-away':
      return 'take this one away'
    case 'drop-last':
      return 'leave it out after the last round'
    case 'instead':
      return `${fix.words} instead`
    case 'all-in':
      return `all in /${fix.unit}`
  }
}
