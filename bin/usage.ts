import { parseDay } from '../core/script/reader/headers'
import type { MessageHints } from '../core/script/reader/options'
import { isSessionSport } from '../core/session/document'

/** Wrong use: exit 2. */
export class WrongUse extends Error {}

export const usage = `agonis read [--sport S] [--athlete A] [--week DATE] [--on DATE] [--strict] F...
agonis print [--score SCORE] F
agonis diff A B
agonis convert IN OUT [--as session|recording] [--sport S] [--size arm-band|index-card|a4] [--code] [--athlete A]
agonis reckon F [--athlete A] [--watch W] [--school quiet|lean-fast|even|percent] [--on DATE]
agonis numbers A [--on DATE]
agonis nudges F --athlete A --watch W [--seed n] [--runs n]
agonis forecast F --athlete A [--on DATE]
agonis fit F --watch W [--athlete A] [--choices C]
agonis rehearse F --athlete A --watch W --seed n [--presses P] [--faults M] [--from PATH[@ROUND]]
agonis score F REC [--athlete A] [--watch W]
agonis next F REC --athlete A [--on DATE]
F is a file or - for standard input; W is basic, runner, all-sport, bike-bar or a file.`

export const options = {
  sport: { type: 'string' },
  athlete: { type: 'string' },
  watch: { type: 'string' },
  seed: { type: 'string' },
  presses: { type: 'string' },
  faults: { type: 'string' },
  from: { type: 'string' },
  choices: { type: 'string' },
  on: { type: 'string' },
  week: { type: 'string' },
  school: { type: 'string' },
  score: { type: 'string' },
  runs: { type: 'string' },
  as: { type: 'string' },
  size: { type: 'string' },
  code: { type: 'boolean' },
  strict: { type: 'boolean' },
  help: { type: 'boolean' },
} as const

export type Values = { [K in keyof typeof options]?: (typeof options)[K]['type'] extends 'boolean' ? boolean : string }

export const write = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 2)}\n`)

export function positionals(given: string[], count: number): string[] {
  if (given.length !== count) throw new WrongUse(`${count} file${count === 1 ? '' : 's'} expected, ${given.length} given`)
  return given
}

export function needed(value: string | undefined, name: string): string {
  if (value === undefined) throw new WrongUse(`--${name} is needed`)
  return value
}

export function seedOf(values: Values): number {
  const seed = Number(values.seed ?? '1')
  if (!Number.isInteger(seed)) throw new WrongUse('--seed is a whole number')
  return seed
}

const mostRuns = 100_000

export function runsOf(values: Values): number {
  const runs = Number(values.runs ?? '1000')
  if (!Number.isInteger(runs) || runs < 1 || runs > mostRuns) throw new WrongUse(`--runs is a whole number from 1 to ${mostRuns}`)
  return runs
}

export function dateOf(values: Values, name: 'on' | 'week'): string | undefined {
  const date = values[name]
  if (date !== undefined && parseDay(date) !== date) throw new WrongUse(`--${name} is a date: 2026-03-31`)
  if (date !== undefined && dayNames.includes(date)) throw new WrongUse(`--${name} is a date: 2026-03-31`)
  return date
}

const dayNames = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']

/** What the options say of the message. */
export function hintsIn(values: Values): MessageHints {
  if (values.sport !== undefined && !isSessionSport(values.sport)) throw new WrongUse('--sport is run, ride, swim or multi')
  return { sport: values.sport, week: dateOf(values, 'week') }
}
