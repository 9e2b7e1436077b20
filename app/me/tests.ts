import { sayFitWeakness, sayTrialsMissing } from '~~/core/words/benchmarks'
import type { Athlete, Effort } from '~~/core/athlete/athlete'
import { criticalOfAllOut, criticalSwimSpeed, fitCritical } from '~~/core/athlete/critical'
import { thresholdOfHalfHour } from '~~/core/athlete/heart'
import { formatTime, parseClock } from '~~/core/quantity/time'

/** A test that an athlete can do alone: how it goes, what is written down, and what follows. */
export interface FieldTest {
  key: string
  title: string
  how: string
  caution: string
  fields: { key: string; label: string; hint: string }[]
  /** What the typed numbers come to, with the athlete's document as it would be; or what is wrong with them. */
  reckon: (typed: Readonly<Record<string, string>>, today: string) => { said: string; change: (athlete: Athlete) => Athlete } | string
}

const number = (text: string | undefined) => (text === undefined || text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')))
const clock = (text: string | undefined) => parseClock((text ?? '').trim()) ?? Number.NaN
const withEfforts = (athlete: Athlete, efforts: Effort[]): Athlete => ({ ...athlete, efforts: [...(athlete.efforts ?? []), ...efforts] })
const hard =
  'All out is hard on heart and legs. Be well, rested and warm; not with a cold, in heat or with chest ' +
  'pain. Over 40, with a heart condition or new to training: ask a doctor first.'

export const fieldTests: readonly FieldTest[] = [
  {
    key: 'all-out',
    title: '3 minutes all out, on the bike',
    caution: hard,
    how:
      'Warm up 15 min. Then 3 min as hard as you can from the first second, no pacing. Write down the mean ' +
      'of all of it and of the last half minute.',
    fields: [
      { key: 'mean', label: 'mean of 3 min', hint: '298 W' },
      { key: 'end', label: 'mean of the last 30 s', hint: '215 W' },
    ],
    reckon(typed) {
      const found = criticalOfAllOut(number(typed.mean), number(typed.end))
      if (!found || found.critical < 50 || found.critical > 700) return 'Two powers in W, the last half minute lower than the whole.'
      const [criticalPower, wPrime] = [Math.round(found.critical), Math.round(found.reserve)]
      return {
        said: `critical power ${criticalPower} W, W' ${(wPrime / 1000).toFixed(1)} kJ`,
        change: athlete => ({ ...athlete, ride: { ...athlete.ride, criticalPower, wPrime } }),
      }
    },
  },
  {
    key: 'two-efforts',
    title: 'Two efforts, on the bike',
    caution: hard,
    how:
      'On two days, or half an hour apart: 3 min and 12 min, each as hard as you can keep even. Five ' +
      'minutes or more between the two lengths tell best.',
    fields: [
      { key: 'short-time', label: 'short, time', hint: '3:00' },
      { key: 'short', label: 'short, mean', hint: '298 W' },
      { key: 'long-time', label: 'long, time', hint: '12:00' },
      { key: 'long', label: 'long, mean', hint: '236 W' },
    ],
    reckon(typed, today) {
      const trials = [
        [clock(typed['short-time']), number(typed.short)],
        [clock(typed['long-time']), number(typed.long)],
      ] as const
      if (trials.flat().some(value => !(value > 0))) return 'Two times as in 3:00, and two powers in W.'
      const reading = fitCritical(trials.map(([seconds, watts]) => ({ seconds, amount: watts * seconds })))
      if (!reading.ok) return `It needs ${sayTrialsMissing(reading.missing)}.`
      const [criticalPower, wPrime] = [Math.round(reading.fit.critical), Math.round(reading.fit.reserve)]
      return {
        said:
          `critical power ${criticalPower} W, W' ${(wPrime / 1000).toFixed(1)} kJ; ` +
          `${reading.fit.weaknesses.map(sayFitWeakness).join('; ')}`,
        change: athlete =>
          withEfforts(
            { ...athlete, ride: { ...athlete.ride, criticalPower, wPrime } },
            trials.map(([seconds, watts]) => ({ sport: 'ride', seconds, watts, date: today })),
          ),
      }
    },
  },
  {
    key: 'run-pair',
    title: 'Two efforts, on foot',
    caution: hard,
    how: 'On the track, on two days or half an hour apart: 1200 m and 3 km, each as hard as you can keep even.',
    fields: [
      { key: 'short', label: 'short, metres', hint: '1200' },
      { key: 'short-time', label: 'in', hint: '4:52' },
      { key: 'long', label: 'long, metres', hint: '3000' },
      { key: 'long-time', label: 'in', hint: '13:04' },
    ],
    reckon(typed, today) {
      const trials = [
        [clock(typed['short-time']), number(typed.short)],
        [clock(typed['long-time']), number(typed.long)],
      ] as const
      if (trials.flat().some(value => !(value > 0))) return 'Two distances in metres, and two times as in 4:52.'
      const reading = fitCritical(trials.map(([seconds, amount]) => ({ seconds, amount })))
      if (!reading.ok) return `It needs ${sayTrialsMissing(reading.missing)}.`
      const [criticalSpeed, dPrime] = [Math.round(reading.fit.critical * 1e5) / 1e5, Math.round(reading.fit.reserve)]
      return {
        said:
          `critical speed ${formatTime(Math.round(1000 / criticalSpeed))} /km, D' ${dPrime} m; ` +
          `${reading.fit.weaknesses.map(sayFitWeakness).join('; ')}`,
        change: athlete =>
          withEfforts(
            { ...athlete, run: { ...athlete.run, criticalSpeed, dPrime } },
            trials.map(([seconds, metres]) => ({ sport: 'run', seconds, metres, date: today })),
          ),
      }
    },
  },
  {
    key: 'swim-pair',
    title: '200 m and 400 m, in the pool',
    caution: `${hard} Never alone in open water.`,
    how: 'From a push, not a dive: 400 m as fast as you can keep even, ten minutes easy, then 200 m.',
    fields: [
      { key: 'short-time', label: '200 m in', hint: '3:32' },
      { key: 'long-time', label: '400 m in', hint: '7:16' },
    ],
    reckon(typed, today) {
      const [short, long] = [
        { metres: 200, seconds: clock(typed['short-time']) },
        { metres: 400, seconds: clock(typed['long-time']) },
      ]
      const speed = criticalSwimSpeed(short, long)
      if (speed === null) return 'Two times as in 3:32; the 400 m slower than twice the 200 m.'
      return {
        said: `critical swim speed ${formatTime(Math.round(100 / speed))} /100m`,
        change: athlete =>
          withEfforts(
            { ...athlete, swim: { ...athlete.swim, criticalSpeed: Math.round(speed * 1e5) / 1e5 } },
            [short, long].map(effort => ({ sport: 'swim', ...effort, date: today })),
          ),
      }
    },
  },
  {
    key: 'half-hour',
    title: 'Half an hour for threshold heart rate',
    caution: hard,
    how:
      'Alone, on the flat: 30 min as hard as you can keep even. Start the lap after 10 min; the mean heart ' +
      'rate of the last 20 is about your threshold.',
    fields: [{ key: 'mean', label: 'mean of the last 20 min', hint: '167 bpm' }],
    reckon(typed) {
      const threshold = thresholdOfHalfHour(number(typed.mean))
      return threshold === null
        ? 'A heart rate from 90 to 220 bpm.'
        : {
            said: `threshold ${threshold} bpm, within about 5`,
            change: athlete => ({ ...athlete, heart: { ...athlete.heart, threshold } }),
          }
    },
  },
]
