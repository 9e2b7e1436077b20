import { sayFitWeakness, sayTrialsMissing } from '~~/core/words/benchmarks'
import type { Athlete, Effort } from '~~/core/athlete/athlete'
import { criticalOfAllOut, criticalSwimSpeed, fitCritical } from '~~/core/athlete/critical'
import { thresholdOfHalfHour } from '~~/core/athlete/heart'
import { formatTime, parseClock } from '~~/core/quantity/time'
import { meTests as texts } from '~/texts/en'

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
const hard = texts.allOutIsHard + texts.painOver40With

export const fieldTests: readonly FieldTest[] = [
  {
    key: 'all-out',
    title: texts.n3MinutesAllOut,
    caution: hard,
    how: texts.warmUp15Min + texts.ofAllOfIt,
    fields: [
      { key: 'mean', label: texts.meanOf3Min, hint: '298 W' },
      { key: 'end', label: texts.meanOfTheLast, hint: '215 W' },
    ],
    reckon(typed) {
      const found = criticalOfAllOut(number(typed.mean), number(typed.end))
      if (!found || found.critical < 50 || found.critical > 700) return texts.twoPowersInW
      const [criticalPower, wPrime] = [Math.round(found.critical), Math.round(found.reserve)]
      return {
        said: texts.criticalPowerWW(criticalPower, (wPrime / 1000).toFixed(1)),
        change: athlete => ({ ...athlete, ride: { ...athlete.ride, criticalPower, wPrime } }),
      }
    },
  },
  {
    key: 'two-efforts',
    title: texts.twoEffortsOnThe,
    caution: hard,
    how: texts.onTwoDaysOr + texts.minutesOrMoreBetween,
    fields: [
      { key: 'short-time', label: texts.shortTime, hint: '3:00' },
      { key: 'short', label: texts.shortMean, hint: '298 W' },
      { key: 'long-time', label: texts.longTime, hint: '12:00' },
      { key: 'long', label: texts.longMean, hint: '236 W' },
    ],
    reckon(typed, today) {
      const trials = [
        [clock(typed['short-time']), number(typed.short)],
        [clock(typed['long-time']), number(typed.long)],
      ] as const
      if (trials.flat().some(value => !(value > 0))) return texts.twoTimesAsIn
      const reading = fitCritical(trials.map(([seconds, watts]) => ({ seconds, amount: watts * seconds })))
      if (!reading.ok) return texts.itNeeds(sayTrialsMissing(reading.missing))
      const [criticalPower, wPrime] = [Math.round(reading.fit.critical), Math.round(reading.fit.reserve)]
      return {
        said:
          texts.criticalPowerWWKj(criticalPower, (wPrime / 1000).toFixed(1)) + `${reading.fit.weaknesses.map(sayFitWeakness).join('; ')}`,
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
    title: texts.twoEffortsOnFoot,
    caution: hard,
    how: texts.onTheTrackOn,
    fields: [
      { key: 'short', label: texts.shortMetres, hint: '1200' },
      { key: 'short-time', label: 'in', hint: '4:52' },
      { key: 'long', label: texts.longMetres, hint: '3000' },
      { key: 'long-time', label: 'in', hint: '13:04' },
    ],
    reckon(typed, today) {
      const trials = [
        [clock(typed['short-time']), number(typed.short)],
        [clock(typed['long-time']), number(typed.long)],
      ] as const
      if (trials.flat().some(value => !(value > 0))) return texts.twoDistancesInMetres
      const reading = fitCritical(trials.map(([seconds, amount]) => ({ seconds, amount })))
      if (!reading.ok) return texts.itNeeds(sayTrialsMissing(reading.missing))
      const [criticalSpeed, dPrime] = [Math.round(reading.fit.critical * 1e5) / 1e5, Math.round(reading.fit.reserve)]
      return {
        said:
          texts.criticalSpeedKmD(formatTime(Math.round(1000 / criticalSpeed)), dPrime) +
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
    title: texts.n200MAnd400,
    caution: texts.neverAloneInOpen(hard),
    how: texts.fromAPushNot,
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
      if (speed === null) return texts.twoTimesAsIn3
      return {
        said: texts.criticalSwimSpeed100m(formatTime(Math.round(100 / speed))),
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
    title: texts.halfAnHourFor,
    caution: hard,
    how: texts.aloneOnTheFlat + texts.rateOfTheLast,
    fields: [{ key: 'mean', label: texts.meanOfTheLast20, hint: '167 bpm' }],
    reckon(typed) {
      const threshold = thresholdOfHalfHour(number(typed.mean))
      return threshold === null
        ? texts.aHeartRateFrom
        : { said: texts.thresholdBpmWithinAbout(threshold), change: athlete => ({ ...athlete, heart: { ...athlete.heart, threshold } }) }
    },
  },
]
