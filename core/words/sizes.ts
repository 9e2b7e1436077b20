import { sayDuration } from '../quantity/time'

/** How a session was made shorter or longer, as a code; one label each. */
export type SizeChange =
  | { code: 'fewer-repeats' | 'more-repeats'; rounds: string; before: string }
  | {
      code: 'one-set-fewer' | 'fewer-sets' | 'one-set-more' | 'more-sets' | 'shorter-easy' | 'longer-easy' | 'split-sets' | 'longer-around'
    }
  | { code: 'shorter-around'; isRoundLess: boolean }
  | { code: 'least' }

const labels: Readonly<Record<SizeChange['code'], string>> = {
  'fewer-repeats': 'fewer repeats',
  'more-repeats': 'more repeats',
  'one-set-fewer': 'one set fewer',
  'fewer-sets': 'fewer sets',
  'one-set-more': 'one set more',
  'more-sets': 'more sets',
  'shorter-easy': 'shorter easy part',
  'longer-easy': 'longer easy part',
  'split-sets': 'more sets of fewer',
  'shorter-around': 'shorter around the work',
  'longer-around': 'longer around the work',
  'least': 'the least that is still it',
}

export const saySizeLabel = (change: SizeChange): string => labels[change.code]

/** Why a session of another size is still the same session. */
export function saySizeReason(change: SizeChange): string {
  switch (change.code) {
    case 'fewer-repeats':
      return `${change.rounds} rounds instead of ${change.before}: each as hard as it was, less of it`
    case 'more-repeats':
      return `${change.rounds} rounds instead of ${change.before}: more of it before any of it harder`
    case 'one-set-fewer':
    case 'fewer-sets':
      return 'a set less: what stands in a set stays as it is'
    case 'one-set-more':
    case 'more-sets':
      return 'a further set, at the same effort'
    case 'shorter-easy':
      return 'the easy part is shorter, the work untouched'
    case 'longer-easy':
      return 'more easy time, the work untouched'
    case 'split-sets':
      return 'fewer in a row and 4 min between the sets, so that more of it is done well'
    case 'shorter-around':
      return change.isRoundLess ? 'one round less, and warm-up and cool-down trimmed' : 'warm-up and cool-down trimmed, the work untouched'
    case 'longer-around':
      return 'a longer warm-up and cool-down, the work untouched'
    case 'least':
      return 'fewer rounds, and only then warm-up and cool-down trimmed'
  }
}

/** What stands behind the reason of the nearest size there is, which is not the one asked for. */
export const sayNearestSize = (seconds: number): string => `comes to ${sayDuration(seconds)}, nearer would not be the same session`
