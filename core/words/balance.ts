import { sayDay } from './date'
import { sayDuration } from '../quantity/time'

/** What the days of a week suggest, as a code with its fields. */
export type BalanceReason =
  | { code: 'hard-close'; first: string; second: string; day: string }
  | { code: 'long-after-hard'; first: string; second: string; minutes: number; day: string }
  | { code: 'ramp'; load: number; mean: number; weeks: number }
  | { code: 'acute'; ratio: number; day: string }
  | { code: 'monotony'; monotony: number; strain: number }
  | { code: 'no-easy-day' }
  | { code: 'taper'; race: string; days: number; load: number; most: number }

const foster = 'Foster (1998)'
const ratios = 'Gabbett (2016); the evidence is mixed, Impellizzeri (2020)'

/** A suggestion about a week as a sentence, and where its bound comes from. */
export function sayBalance(reason: BalanceReason): { message: string; source: string } {
  switch (reason.code) {
    case 'hard-close':
      return {
        message:
          `${reason.second} on ${sayDay(reason.day, { weekday: 'short' })} follows ${reason.first}, both hard. ` +
          'Hard sessions need recovery between them.',
        source: 'custom: an easy day or two around a hard one',
      }
    case 'long-after-hard':
      return {
        message:
          `${reason.second}, ${sayDuration(reason.minutes * 60)} on ${sayDay(reason.day, { weekday: 'short' })}, ` +
          `follows ${reason.first}. Long on tired legs is hard too.`,
        source: 'custom',
      }
    case 'ramp':
      return {
        message:
          `Load ${reason.load}, against ${reason.mean} in the mean of ${reason.weeks} weeks before: ` +
          `${Math.round((reason.load / reason.mean - 1) * 100)} % more. With pain or illness stop, and ask a doctor or physiotherapist.`,
        source: `custom: no more than three tenths; ${ratios}`,
      }
    case 'acute':
      return {
        message:
          `The seven days to ${sayDay(reason.day, { weekday: 'short' })} weigh ${reason.ratio.toFixed(1)} times ` +
          'the mean of four weeks.',
        source: `ratio of seven days to 28, up to 1.5; ${ratios}`,
      }
    case 'monotony':
      return {
        message:
          `The days are much alike: monotony ${reason.monotony.toFixed(1)}, strain ${Math.round(reason.strain)}. ` +
          'An easier day makes the hard ones possible.',
        source: `${foster}: above 2 more athletes fell ill`,
      }
    case 'no-easy-day':
      return { message: 'No day of this week is easy or free. Most training should be easy.', source: foster }
    case 'taper':
      return {
        message:
          `${reason.days === 0 ? 'This week' : `In ${reason.days} days`} is ${reason.race}. Load ${reason.load} before it; ` +
          `customary is up to ${reason.most}: fewer and shorter, as fast as before.`,
        source: 'Bosquet et al. (2007): two weeks with two fifths to three fifths less',
      }
  }
}
