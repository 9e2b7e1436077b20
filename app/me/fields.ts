import { unitsOf } from '~~/core/athlete/athlete'
import type { Athlete } from '~~/core/athlete/athlete'
import { parseClock, formatTime } from '~~/core/quantity/time'
import { meFields as texts } from '~/texts/en'

/** One number of the athlete, as it is typed and as the document keeps it. */
export interface Field {
  key: string
  label: string
  unit: string
  hint: string
  /** What the field shows; empty when the number is not known. */
  show: (athlete: Athlete) => string
  /** The document with the typed words in it, or what is wrong with them. */
  keep: (athlete: Athlete, typed: string) => Athlete | string
}

type Path = readonly string[]

function get(athlete: Athlete, path: Path): unknown {
  return path.reduce<unknown>((value, name) => (value as Record<string, unknown> | undefined)?.[name], athlete)
}

function set(athlete: Athlete, path: Path, value: unknown): Athlete {
  const [name, ...rest] = path
  const record = athlete as unknown as Record<string, unknown>
  const inner = rest.length === 0 ? value : set((record[name!] ?? {}) as Athlete, rest, value)
  const next = Object.entries({ ...record, [name!]: inner }).filter(([, entry]) => entry !== undefined)
  return Object.fromEntries(next) as unknown as Athlete
}

function numberField(key: string, label: string, unit: string, path: Path, low: number, high: number, hint = ''): Field {
  return {
    key,
    label,
    unit,
    hint,
    show: athlete => String(get(athlete, path) ?? ''),
    keep(athlete, typed) {
      if (typed.trim() === '') return set(athlete, path, undefined)
      const value = Number(typed.replace(',', '.'))
      if (!Number.isFinite(value) || value < low || value > high) return texts.aNumberFromTo(label, low, high, unit)
      return set(athlete, path, value)
    },
  }
}

/** At rest and at most, in the order that hearts have. */
function heartField(key: string, label: string, own: 'max' | 'rest', low: number, high: number): Field {
  const field = numberField(key, label, 'bpm', ['heart', own], low, high)
  return {
    ...field,
    keep(athlete, typed) {
      const kept = field.keep(athlete, typed)
      if (typeof kept === 'string') return kept
      const { rest, max } = kept.heart ?? {}
      if (rest === undefined || max === undefined || rest < max) return kept
      return own === 'rest' ? texts.belowYourMaximumOf(label, max) : texts.aboveYourHeartRate(label, rest)
    },
  }
}

/** A pace typed as a clock; kept as a speed in m/s, or as seconds per kilometre. */
function paceField(key: string, label: string, unit: '/km' | '/100m', path: Path, keptAs: 'speed' | 'seconds', hint = ''): Field {
  const metres = unit === '/km' ? 1000 : 100
  return {
    key,
    label,
    unit,
    hint,
    show(athlete) {
      const value = get(athlete, path)
      if (typeof value !== 'number') return ''
      return formatTime(Math.round(keptAs === 'speed' ? metres / value : (value * metres) / 1000))
    },
    keep(athlete, typed) {
      if (typed.trim() === '') return set(athlete, path, undefined)
      const seconds = parseClock(typed.trim())
      if (seconds === null || seconds < 30 || seconds > 1800) return texts.aPaceAsIn(label)
      const value = keptAs === 'speed' ? Math.round((metres / seconds) * 1e5) / 1e5 : (seconds * 1000) / metres
      return set(athlete, path, value)
    },
  }
}

function clockField(key: string, label: string, path: Path): Field {
  return {
    key,
    label,
    unit: '',
    hint: '',
    show: athlete => (typeof get(athlete, path) === 'number' ? formatTime(get(athlete, path) as number) : ''),
    keep(athlete, typed) {
      const seconds = parseClock(typed.trim())
      return seconds === null ? texts.aTimeAsIn(label) : set(athlete, path, seconds)
    },
  }
}

function dateField(key: string, label: string, path: Path): Field {
  return {
    key,
    label,
    unit: '',
    hint: texts.aDayAsIn,
    show: athlete => String(get(athlete, path) ?? ''),
    keep(athlete, typed) {
      const words = typed.trim()
      if (words === '') return set(athlete, path, undefined)
      const day = new Date(`${words}T00:00:00Z`)
      const isDay = /^(?:19|20)\d\d-\d\d-\d\d$/.test(words) && !Number.isNaN(day.getTime()) && day.toISOString().startsWith(words)
      return isDay ? set(athlete, path, words) : texts.aDayAsIn1984(label)
    },
  }
}

export interface FieldGroup {
  title: string
  note: string
  fields: Field[]
}

/** The numbers that sessions are reckoned and fitted with. */
export const fieldGroups: readonly FieldGroup[] = [
  {
    title: 'Body',
    note: '',
    fields: [numberField('mass', 'Mass', 'kg', ['massKg'], 20, 300), dateField('birth-date', 'Born', ['birthDate'])],
  },
  {
    title: 'Heart',
    note: texts.aCeilingYouSet,
    fields: [
      heartField('heart-max', 'Maximum', 'max', 100, 230),
      heartField('heart-rest', texts.atRest, 'rest', 25, 110),
      numberField('heart-threshold', 'Threshold', 'bpm', ['heart', 'threshold'], 90, 220, texts.heldForAboutAn),
      numberField('heart-aerobic', texts.firstThreshold, 'bpm', ['heart', 'aerobicThreshold'], 80, 210, texts.whereTalkingGetsShort),
    ],
  },
  {
    title: 'Run',
    note: '',
    fields: [
      paceField('run-critical', texts.criticalSpeed, '/km', ['run', 'criticalSpeed'], 'speed', texts.thePaceThatCan),
      numberField('run-reserve', "D'", 'm', ['run', 'dPrime'], 10, 1000, texts.metresThatCanBe),
      numberField('run-power', texts.criticalPower, 'W', ['run', 'criticalPower'], 50, 700),
      paceField('run-easy', texts.easyPace, '/km', ['easyPace', 'run'], 'seconds'),
      paceField('run-recovery', texts.recoveryPace, '/km', ['recoveryPace', 'run'], 'seconds'),
      paceField('run-walk', texts.walkingPace, '/km', ['walkPace', 'run'], 'seconds'),
    ],
  },
  {
    title: 'Ride',
    note: '',
    fields: [
      numberField('ride-power', texts.criticalPower, 'W', ['ride', 'criticalPower'], 50, 700),
      numberField('ride-reserve', "W'", 'J', ['ride', 'wPrime'], 1000, 60_000, texts.joulesThatCanBe),
    ],
  },
  {
    title: 'Swim',
    note: '',
    fields: [
      paceField('swim-critical', texts.criticalSwimSpeed, '/100m', ['swim', 'criticalSpeed'], 'speed', 'from 400 m and 200 m'),
      paceField('swim-easy', texts.easyPace, '/100m', ['easyPace', 'swim'], 'seconds'),
    ],
  },
  {
    title: texts.usualLengthOfOpen,
    note: texts.countedWhereAStep,
    fields: [
      clockField('usual-warm-up', 'Warm-up', ['usual', 'warmUpSeconds']),
      clockField('usual-cool-down', 'Cool-down', ['usual', 'coolDownSeconds']),
      clockField('usual-other', 'Other', ['usual', 'otherOpenSeconds']),
    ],
  },
]

/** Brings older forms of the document to the one the fields write: paces and usual lengths by name. */
export function readyForFields(athlete: Athlete): Athlete {
  const bySport = (pace: Athlete['easyPace']) => (typeof pace === 'number' ? { run: pace } : (pace ?? {}))
  return {
    ...athlete,
    easyPace: bySport(athlete.easyPace),
    recoveryPace: bySport(athlete.recoveryPace),
    walkPace: bySport(athlete.walkPace),
    usual: athlete.usual ?? { warmUpSeconds: 900, coolDownSeconds: 600, otherOpenSeconds: 180 },
    units: unitsOf(athlete),
  }
}
