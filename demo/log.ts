import type { Athlete } from '../core/athlete/athlete'
import { standpointOf } from '../core/athlete/standpoint'
import type { Recording } from '../core/record/recording'
import type { Session } from '../core/session/document'
import { fit } from '../core/wrist/fit/fit'
import { profileNamed } from '../core/wrist/program/profile'
import type { Program } from '../core/wrist/program/program'
import type { Behaviour } from '../standin/body/behaviour'
import { rehearse } from '../standin/body/rehearse'

interface Done {
  day: string
  at: string
  title: string
  rpe: number
  note?: string
  behaviour?: Partial<Behaviour>
  stopAt?: number
}

/** Three weeks: one good, one with a cold, one with a session run far too fast. */
const done: readonly Done[] = [
  { day: '2026-03-09', at: '06:10', title: 'Sound hundreds', rpe: 4 },
  { day: '2026-03-10', at: '17:30', title: 'Three nines', rpe: 6 },
  { day: '2026-03-11', at: '18:00', title: 'Boathouse fours', rpe: 7 },
  { day: '2026-03-12', at: '06:30', title: 'Easy and strides', rpe: 3 },
  { day: '2026-03-13', at: '06:10', title: 'Threshold swim', rpe: 6 },
  { day: '2026-03-14', at: '09:00', title: 'Kvitberg steady', rpe: 5 },
  { day: '2026-03-15', at: '09:30', title: 'Long Sunday, quay to lighthouse', rpe: 5, note: 'with the club' },
  { day: '2026-03-16', at: '06:10', title: 'Sound hundreds', rpe: 5, note: 'throat scratchy' },
  {
    day: '2026-03-17',
    at: '17:40',
    title: 'Ten quick minutes',
    rpe: 9,
    note: 'stopped, a cold is coming',
    stopAt: 1700,
    behaviour: { bias: -0.05 },
  },
  {
    day: '2026-03-22',
    at: '10:00',
    title: 'Recovery jog',
    rpe: 4,
    note: 'first one after the cold',
    behaviour: { silentHeart: { from: 600, to: 780 } },
  },
  { day: '2026-03-23', at: '06:10', title: 'Kick and pull', rpe: 4 },
  { day: '2026-03-24', at: '17:30', title: 'Twelve threes', rpe: 9, note: 'went off like a hare', behaviour: { bias: 0.07 } },
  { day: '2026-03-25', at: '18:00', title: 'Cadence ladder', rpe: 3 },
  { day: '2026-03-26', at: '06:30', title: 'Easy and strides', rpe: 3 },
  { day: '2026-03-27', at: '06:10', title: 'Threshold swim', rpe: 6 },
  { day: '2026-03-28', at: '09:00', title: 'Gravel endurance', rpe: 5 },
  { day: '2026-03-29', at: '09:30', title: 'Sixes with float', rpe: 6 },
]

/** What is planned for the week that follows the log. */
export const demoPlan: readonly { day: string; title: string }[] = [
  { day: '2026-03-30', title: 'Sound hundreds' },
  { day: '2026-03-31', title: 'Quay ladder' },
  { day: '2026-04-01', title: 'Kvitberg fours' },
  { day: '2026-04-02', title: 'Recovery jog' },
  { day: '2026-04-03', title: 'Threshold swim' },
  { day: '2026-04-04', title: 'Gravel endurance' },
  { day: '2026-04-05', title: 'Long Sunday, quay to lighthouse' },
]

export interface DemoRecording {
  title: string
  program: Program
  recording: Recording
}

/** The log, carried out by the simulated body; the same every time. */
export function* demoLog(athlete: Athlete, sessionsByTitle: ReadonlyMap<string, Session>): Generator<DemoRecording> {
  const profile = profileNamed('all-sport')!
  for (const [index, entry] of done.entries()) {
    const session = sessionsByTitle.get(entry.title)
    if (!session) throw new Error(`the demo log names a session that is not on the shelf: ${entry.title}`)
    const { program } = fit(session, profile, standpointOf(athlete, entry.day))
    const recording = rehearse(program, athlete, {
      seed: 1000 + index,
      startedAt: `${entry.day}T${entry.at}:00.000Z`,
      timeZone: athlete.timeZone,
      behaviour: entry.behaviour,
      presses: entry.stopAt === undefined ? [] : [{ t: entry.stopAt, button: 'stop' }],
    })
    yield {
      title: entry.title,
      program,
      recording: { ...recording, felt: { rpe: entry.rpe, ...(entry.note ? { note: entry.note } : {}) } },
    }
  }
}

/** The two watches of the demo, with the place on the link where each is found. */
export const demoWatches = [
  { name: 'Quay watch', profile: 'all-sport', address: 'quay.all-sport', link: 'radio' },
  { name: 'Drawer watch', profile: 'basic', address: 'drawer.basic', link: 'cable' },
] as const
