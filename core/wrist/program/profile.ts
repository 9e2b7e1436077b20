import type { End, PlaceKind, Session, SessionSport, Sport } from '../../session/document'

/** What a watch can hold and do, as `docs/formats/watch.schema.json` states it. */
export interface WatchProfile {
  format: 'agonis.watch'
  version: 1
  name: string
  /** Steps and blocks that a program may hold, as written. */
  maxSteps: number
  /** How deep blocks may stand in blocks; 0 means no blocks at all. */
  maxNesting: number
  maxNameLength: number
  slots: number
  sports: SessionSport[]
  ends: End['on'][]
  targets: { sport: Sport; place?: PlaceKind | PlaceKind[]; of: ('pace' | 'speed' | 'heart-rate' | 'power' | 'cadence' | 'rpe')[] }[]
  repeatUntil: boolean
  smoothingSeconds: number
  alertAfterSeconds: number
  alertRepeatSeconds: number
  showsTarget: boolean
}

const outdoors: PlaceKind[] = ['road', 'trail', 'track', 'outdoors']

const profile = (name: string, rest: Omit<WatchProfile, 'format' | 'version' | 'name'>): WatchProfile => ({
  format: 'agonis.watch',
  version: 1,
  name,
  ...rest,
})

/** The four profiles that ship. */
export const watchProfiles: readonly WatchProfile[] = [
  profile('basic', {
    maxSteps: 20,
    maxNesting: 0,
    maxNameLength: 16,
    slots: 5,
    sports: ['run'],
    ends: ['time', 'distance', 'press'],
    targets: [
      { sport: 'run', place: outdoors, of: ['pace'] },
      { sport: 'run', of: ['heart-rate'] },
    ],
    repeatUntil: false,
    smoothingSeconds: 3,
    alertAfterSeconds: 5,
    alertRepeatSeconds: 20,
    showsTarget: false,
  }),
  profile('runner', {
    maxSteps: 60,
    maxNesting: 2,
    maxNameLength: 32,
    slots: 14,
    sports: ['run', 'ride'],
    ends: ['time', 'distance', 'press', 'heart-rate', 'first'],
    targets: [
      { sport: 'run', place: outdoors, of: ['pace', 'speed'] },
      { sport: 'run', of: ['heart-rate', 'power', 'cadence', 'rpe'] },
      { sport: 'ride', of: ['heart-rate', 'cadence', 'rpe'] },
    ],
    repeatUntil: true,
    smoothingSeconds: 5,
    alertAfterSeconds: 5,
    alertRepeatSeconds: 15,
    showsTarget: true,
  }),
  profile('all-sport', {
    maxSteps: 200,
    maxNesting: 6,
    maxNameLength: 60,
    slots: 30,
    sports: ['run', 'ride', 'swim', 'multi'],
    ends: ['time', 'distance', 'press', 'heart-rate', 'energy', 'send-off', 'first'],
    targets: (['run', 'ride', 'swim'] as const).map(sport => ({ sport, of: ['pace', 'speed', 'heart-rate', 'power', 'cadence', 'rpe'] })),
    repeatUntil: true,
    smoothingSeconds: 3,
    alertAfterSeconds: 5,
    alertRepeatSeconds: 15,
    showsTarget: true,
  }),
  profile('bike-bar', {
    maxSteps: 100,
    maxNesting: 3,
    maxNameLength: 40,
    slots: 20,
    sports: ['ride'],
    ends: ['time', 'distance', 'press', 'heart-rate', 'energy', 'first'],
    targets: [{ sport: 'ride', of: ['power', 'heart-rate', 'cadence', 'speed', 'pace', 'rpe'] }],
    repeatUntil: true,
    smoothingSeconds: 3,
    alertAfterSeconds: 5,
    alertRepeatSeconds: 10,
    showsTarget: true,
  }),
]

/** What a phone with this application can hold and do; its targets outdoors need a position, its others a sensor. */
export const phoneProfile: WatchProfile = profile('phone', {
  maxSteps: 1000,
  maxNesting: 6,
  maxNameLength: 60,
  slots: 50,
  sports: ['run', 'ride', 'swim', 'multi'],
  ends: ['time', 'distance', 'press', 'heart-rate', 'energy', 'first'],
  targets: [
    { sport: 'run', place: [...outdoors, 'treadmill'], of: ['pace', 'speed'] },
    { sport: 'run', of: ['heart-rate', 'power', 'cadence', 'rpe'] },
    { sport: 'ride', of: ['power', 'heart-rate', 'cadence', 'rpe'] },
    { sport: 'ride', place: ['outdoors', 'road', 'trail'], of: ['pace', 'speed'] },
    { sport: 'swim', of: ['heart-rate', 'rpe'] },
  ],
  repeatUntil: true,
  smoothingSeconds: 8,
  alertAfterSeconds: 8,
  alertRepeatSeconds: 20,
  showsTarget: true,
})

/** Where nothing tells a phone its way, as in a pool, no step can end by distance on it. */
export const phoneProfileFor = ({ sport }: Pick<Session, 'sport'>): WatchProfile =>
  sport === 'swim' ? { ...phoneProfile, ends: phoneProfile.ends.filter(end => end !== 'distance') } : phoneProfile

/** What a swimmer does at the wall instead, unless they choose otherwise. */
export const phoneChoices: Readonly<Record<string, string>> = { 'end distance swim': 'press' }

export const profileNamed = (name: string) => watchProfiles.find(candidate => candidate.name === name)
