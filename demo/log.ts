import type { Athlete } from '../core/athlete/athlete'
import { standpointOf } from '../core/athlete/standpoint'
import { daysFrom } from '../core/quantity/day'
import type { Recording } from '../core/record/recording'
import type { Session } from '../core/session/document'
import { fit } from '../core/wrist/fit/fit'
import { profileNamed } from '../core/wrist/program/profile'
import type { Program } from '../core/wrist/program/program'
import type { Behaviour } from '../standin/body/behaviour'
import { rehearse } from '../standin/body/rehearse'
import { weekAround, weeksDone } from './around'

/** One carrying out: its place in the nine weeks, what was carried out, and how it felt and went. */
interface Done {
  /** Days from the first day of the week of today; the weeks before it are below zero. */
  offset: number
  at: string
  title: string
  rpe: number
  note?: string
  behaviour?: Partial<Behaviour>
  stopAt?: number
}

/** Hours of the day at which a week's sessions are done, Monday first, and how they feel when nothing is the matter. */
const usualDays = [
  { at: '06:10', rpe: 4 },
  { at: '17:30', rpe: 7 },
  { at: '18:00', rpe: 6 },
  { at: '06:30', rpe: 3 },
  { at: '06:10', rpe: 6 },
  { at: '09:00', rpe: 5 },
  { at: '09:30', rpe: 5 },
] as const

/** What each week held, Monday first; the last row is the week of today. A day without a session is a rest. */
const weeks: readonly (readonly (string | null)[])[] = [
  ['Kick and pull', 'Easy and strides', 'Cadence ladder', 'Recovery jog', 'Sound hundreds', 'Gravel endurance', 'Progression home'],
  [
    'Sound hundreds',
    'Three nines',
    'Boathouse fours',
    'Easy and strides',
    'Threshold swim',
    'Kvitberg steady',
    'Long Sunday, quay to lighthouse',
  ],
  [
    'Kick and pull',
    'Sixes with float',
    'Over and under',
    'Recovery jog',
    'Threshold swim',
    'Kvitberg steady',
    'Long Sunday, quay to lighthouse',
  ],
  ['Sound hundreds', 'Recovery jog', 'Cadence ladder', null, 'Kick and pull', 'Gravel endurance', 'Progression home'],
  [
    'Sound hundreds',
    'Quay ladder',
    'Kvitberg fours',
    'Easy and strides',
    'Threshold swim',
    'Kvitberg steady',
    'Long Sunday, quay to lighthouse',
  ],
  ['Kick and pull', 'Six on the hill', 'Boathouse fours', 'Recovery jog', 'Threshold swim', 'Gravel endurance', 'Marathon twos'],
  ['Sound hundreds', 'Ten quick minutes', null, null, null, null, 'Recovery jog'],
  ['Kick and pull', 'Three nines', 'Cadence ladder', 'Easy and strides', 'Threshold swim', 'Gravel endurance', 'Progression home'],
  ['Sound hundreds', 'Twelve threes', 'Cadence ladder', 'Easy and strides', 'Threshold swim', 'Gravel endurance', 'Sixes with float'],
  [
    'Sound hundreds',
    'Eight threes',
    'Kvitberg fours',
    'Recovery jog',
    'Threshold swim',
    'Gravel endurance',
    'Long Sunday, quay to lighthouse',
  ],
]

/** The weeks that are planned behind the week of today, to the race. */
const weeksPlanned: readonly (readonly (string | null)[])[] = [
  [
    'Kick and pull',
    'Club evening',
    'Over and under',
    'Easy and strides',
    'Threshold swim',
    'Kvitberg steady',
    'Long Sunday, quay to lighthouse',
  ],
  ['Sound hundreds', 'Ten quick minutes', 'Boathouse fours', 'Recovery jog', 'Threshold swim', 'Quay to sound brick', 'Progression home'],
  ['Kick and pull', 'Sixes with float', 'Kvitberg fours', 'Easy and strides', 'Sound hundreds', 'Gravel endurance', 'Race rehearsal'],
  ['Sound hundreds', 'Easy and strides', 'Cadence ladder', null, 'Open water, along the ropes', null, null],
]

/** What was out of the ordinary, by week and day of the week, both counted from 0. */
const exceptions: Readonly<Record<string, Partial<Done>>> = {
  '1.6': { note: 'with the club' },
  '5.6': { rpe: 7, note: 'legs heavy at the end' },
  '6.0': { rpe: 5, note: 'throat scratchy' },
  '6.1': { rpe: 9, note: 'stopped, a cold is coming', stopAt: 1700, behaviour: { bias: -0.05 } },
  '6.6': { at: '10:00', note: 'first one after the cold', behaviour: { silentHeart: { from: 600, to: 780 } } },
  '8.1': { rpe: 9, note: 'went off like a hare', behaviour: { bias: 0.07 } },
  '9.1': { note: 'eight instead of twelve, and even' },
}

/** What is done when a day is today: nine weeks, and the days of this one before it. The last of them waits on the watch. */
export function doneBefore(day: string): (Done & { day: string })[] {
  const first = weekAround(day)
  return weeks
    .flatMap((titles, week) =>
      titles.map((title, weekday) => ({
        ...usualDays[weekday]!,
        ...exceptions[`${week}.${weekday}`],
        offset: (week - weeksDone) * 7 + weekday,
        title: title ?? '',
      })),
    )
    .map(one => ({ ...one, day: daysFrom(first, one.offset) }))
    .filter(one => one.title !== '' && one.day < day)
}

/** What is planned from the first day of this week on to the race, done days of this week among it. */
export function plannedAround(day: string): { day: string; title: string }[] {
  const first = weekAround(day)
  return [weeks[weeksDone]!, ...weeksPlanned].flatMap((titles, week) =>
    titles.flatMap((title, weekday) => (title === null ? [] : [{ day: daysFrom(first, week * 7 + weekday), title }])),
  )
}

export interface DemoRecording {
  title: string
  program: Program
  recording: Recording
}

/** The program of a session as it was seen from a day, and a body that carries it out; the same every time. */
function carriedOut(session: Session, athlete: Athlete, entry: Done & { day: string }): Omit<DemoRecording, 'title'> {
  const { program } = fit(session, profileNamed('all-sport')!, standpointOf(athlete, entry.day))
  const recording = rehearse(program, athlete, {
    seed: 1000 + entry.offset,
    startedAt: `${entry.day}T${entry.at}:00.000Z`,
    timeZone: athlete.timeZone,
    behaviour: entry.behaviour,
    presses: entry.stopAt === undefined ? [] : [{ t: entry.stopAt, button: 'stop' }],
  })
  return { program, recording: { ...recording, felt: { rpe: entry.rpe, ...(entry.note ? { note: entry.note } : {}) } } }
}

/** The log as it is on a day. The same day gives the same log. */
export function* demoLog(athlete: Athlete, sessionsByTitle: ReadonlyMap<string, Session>, day: string): Generator<DemoRecording> {
  for (const entry of doneBefore(day)) {
    const session = sessionsByTitle.get(entry.title)
    if (!session) throw new Error(`the demo log names a session that is not on the shelf: ${entry.title}`)
    yield { title: entry.title, ...carriedOut(session, athlete, entry) }
  }
}

/** The two watches of the demo, with the place on the link where each is found. */
export const demoWatches = [
  { name: 'Quay watch', profile: 'all-sport', address: 'quay.all-sport', link: 'radio' },
  { name: 'Drawer watch', profile: 'basic', address: 'drawer.basic', link: 'cable' },
] as const
