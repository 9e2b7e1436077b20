import { parseArgs } from 'node:util'
import type { Athlete } from '../core/athlete/athlete'
import { youngestDayOf, unknownAthlete } from '../core/athlete/athlete'
import type { Standpoint } from '../core/athlete/standpoint'
import { nobody, standpointOf, withAthlete } from '../core/athlete/standpoint'
import type { CardSize } from '../core/card/card'
import { cardSizes } from '../core/card/card'
import type { DiffRow, RowChange } from '../core/edit/diff'
import { diffSessions } from '../core/edit/diff'
import { withLoad } from '../core/forecast/load'
import { printAsRun } from '../core/script/as-run'
import { resultsOf } from '../core/record/results'
import { score } from '../core/record/score'
import { reckon } from '../core/reckon/reckon'
import type { MessageHints } from '../core/script/reader/read-script'
import { readScript } from '../core/script/reader/read-script'
import { parseDay } from '../core/script/reader/headers'
import { printSessions } from '../core/script/print'
import { isSessionSport } from '../core/session/document'
import { fit } from '../core/wrist/fit/fit'
import { profileNamed } from '../core/wrist/program/profile'
import { convert, convertRecording } from './convert'
import { numbersOf, nudgesOf } from './numbers'
import { choicesOf, rehearsalOf } from './rehearsal'
import { BadInput, holdsRecording, readAthlete, readOneSession, readRecording, readScore, readSessions, readText, readWatch } from './input'

/** Wrong use: exit 2. */
class WrongUse extends Error {}

const usage = `agonis read [--sport S] [--athlete A] [--week DATE] [--on DATE] [--strict] F...
agonis print [--score SCORE] F
agonis diff A B
agonis convert IN OUT [--as session|recording] [--sport S] [--size arm-band|index-card|a4] [--code] [--athlete A]
agonis reckon F [--athlete A] [--watch W] [--school quiet|lean-fast|even|percent] [--on DATE]
agonis numbers A [--on DATE]
agonis nudges F --athlete A --watch W [--seed n] [--runs n]
agonis fit F --watch W [--athlete A] [--choices C]
agonis rehearse F --athlete A --watch W --seed n [--presses P] [--faults M] [--from PATH[@ROUND]]
agonis score F REC [--athlete A] [--watch W]
F is a file or - for standard input; W is basic, runner, all-sport, bike-bar or a file.`

const options = {
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

type Values = { [K in keyof typeof options]?: (typeof options)[K]['type'] extends 'boolean' ? boolean : string }

const write = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 2)}\n`)

function positionals(given: string[], count: number): string[] {
  if (given.length !== count) throw new WrongUse(`${count} file${count === 1 ? '' : 's'} expected, ${given.length} given`)
  return given
}

function needed(value: string | undefined, name: string): string {
  if (value === undefined) throw new WrongUse(`--${name} is needed`)
  return value
}

function seedOf(values: Values): number {
  const seed = Number(values.seed ?? '1')
  if (!Number.isInteger(seed)) throw new WrongUse('--seed is a whole number')
  return seed
}

const mostRuns = 100_000

function runsOf(values: Values): number {
  const runs = Number(values.runs ?? '1000')
  if (!Number.isInteger(runs) || runs < 1 || runs > mostRuns) throw new WrongUse(`--runs is a whole number from 1 to ${mostRuns}`)
  return runs
}

function dateOf(values: Values, name: 'on' | 'week'): string | undefined {
  const date = values[name]
  if (date !== undefined && parseDay(date) !== date) throw new WrongUse(`--${name} is a date: 2026-03-31`)
  if (date !== undefined && dayNames.includes(date)) throw new WrongUse(`--${name} is a date: 2026-03-31`)
  return date
}

const dayNames = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']

function withSchool(athlete: Athlete, school: string | undefined): Athlete {
  if (school === undefined) return athlete
  const kinds = ['quiet', 'lean-fast', 'even', 'percent'] as const
  const kind = kinds.find(candidate => candidate === school)
  if (!kind) throw new WrongUse(`--school is one of ${kinds.join(', ')}`)
  return { ...athlete, schools: { ...athlete.schools, band: { kind } } }
}

/** Today is `--on`; without it the day of the athlete's youngest effort, and without one nothing is dated or old. */
const seenFrom = (athlete: Athlete, values: Values): Standpoint => standpointOf(athlete, dateOf(values, 'on') ?? youngestDayOf(athlete))

const standpointIn = (values: Values): Standpoint =>
  seenFrom(values.athlete === undefined ? unknownAthlete : readAthlete(values.athlete), values)

function hintsIn(values: Values): MessageHints {
  if (values.sport !== undefined && !isSessionSport(values.sport)) throw new WrongUse('--sport is run, ride, swim or multi')
  return { sport: values.sport, week: dateOf(values, 'week') }
}

/** One file gives its own lines; of several each remark says in which it stands. */
function read(files: string[], values: Values): number {
  if (files.length === 0) throw new WrongUse('a file is needed')
  const [standpoint, hints] = [standpointIn(values), hintsIn(values)]
  const results = files.map(file => {
    const result = readScript(readText(file), standpoint, hints)
    if (result.remarks.some(remark => remark.code === 'too-long'))
      throw new BadInput([{ problem: `${files.length > 1 ? `${file}: ` : ''}the text is over 1 MB, the limit` }])
    return { ...result, remarks: files.length > 1 ? result.remarks.map(remark => ({ file, ...remark })) : result.remarks }
  })
  const remarks = results.flatMap(result => result.remarks)
  const asRun = results.flatMap(result => result.results.map(found => Object.fromEntries(found)))
  write({
    sessions: results.flatMap(result => result.sessions),
    remarks,
    ...(asRun.some(found => Object.keys(found).length > 0) ? { results: asRun } : {}),
  })
  return values.strict && remarks.some(remark => remark.level !== 'note') ? 1 : 0
}

function print(files: string[], values: Values): number {
  const [file] = positionals(files, 1)
  if (values.score === undefined) {
    process.stdout.write(printSessions(readSessions(file!, nobody, {}, true)))
    return 0
  }
  const session = readOneSession(file!, nobody)
  process.stdout.write(printAsRun(session, resultsOf(session, readScore(values.score).steps)))
  return 0
}

function diff(files: string[]): number {
  const [before, after] = positionals(files, 2).map(file => readOneSession(file, nobody))
  const { headers, rows } = diffSessions(before!, after!)
  const of = (change: RowChange['change']) => rows.filter(row => row.change === change)
  write({
    added: of('added').map(row => (row as { after: DiffRow }).after),
    removed: of('removed').map(row => (row as { before: DiffRow }).before),
    changed: of('changed').map(({ change: _, ...row }) => row),
    headers,
  })
  return 0
}

function rehearseCommand(files: string[], values: Values): number {
  const [file] = positionals(files, 1)
  const seed = seedOf(values)
  needed(values.athlete, 'athlete')
  const standpoint = standpointIn(values)
  const profile = readWatch(needed(values.watch, 'watch'))
  write(
    rehearsalOf(readOneSession(file!, standpoint, hintsIn(values)), profile, standpoint, {
      seed,
      presses: values.presses,
      faults: values.faults,
      from: values.from,
      choices: values.choices,
    }),
  )
  return 0
}

async function run(command: string, files: string[], values: Values): Promise<number> {
  switch (command) {
    case 'read':
      return read(files, values)
    case 'print':
      return print(files, values)
    case 'diff':
      return diff(files)
    case 'convert': {
      const [from, to] = positionals(files, 2)
      if (values.as !== undefined && values.as !== 'session' && values.as !== 'recording')
        throw new WrongUse('--as is session or recording')
      if (values.size !== undefined && !(values.size in cardSizes))
        throw new WrongUse(`--size is one of ${Object.keys(cardSizes).join(', ')}`)
      if (values.as === 'recording' || (values.as === undefined && holdsRecording(from!))) {
        for (const what of convertRecording(from!, to!, hintsIn(values).sport))
          process.stderr.write(`${JSON.stringify({ note: `left out: ${what}` })}\n`)
        return 0
      }
      await convert(from!, to!, {
        standpoint: standpointIn(values),
        size: values.size as CardSize | undefined,
        withCode: values.code === true,
      })
      return 0
    }
    case 'reckon': {
      const smoothingSeconds = values.watch === undefined ? undefined : readWatch(values.watch).smoothingSeconds
      const own = standpointIn(values)
      const standpoint = withAthlete(own, withSchool(own.athlete, values.school))
      const session = readOneSession(positionals(files, 1)[0]!, standpoint, hintsIn(values))
      write(withLoad(session, reckon(session, standpoint, { smoothingSeconds }), standpoint))
      return 0
    }
    case 'numbers': {
      write(numbersOf(seenFrom(readAthlete(positionals(files, 1)[0]!), values)))
      return 0
    }
    case 'nudges': {
      const [file] = positionals(files, 1)
      const [seed, runs] = [seedOf(values), runsOf(values)]
      needed(values.athlete, 'athlete')
      const standpoint = standpointIn(values)
      write(nudgesOf(readOneSession(file!, standpoint, hintsIn(values)), standpoint, readWatch(needed(values.watch, 'watch')), seed, runs))
      return 0
    }
    case 'fit': {
      const standpoint = standpointIn(values)
      const session = readOneSession(positionals(files, 1)[0]!, standpoint, hintsIn(values))
      write(fit(session, readWatch(needed(values.watch, 'watch')), standpoint, { choices: choicesOf(values.choices) }))
      return 0
    }
    case 'rehearse':
      return rehearseCommand(files, values)
    case 'score': {
      const [file, recording] = positionals(files, 2)
      const profile = values.watch === undefined ? profileNamed('all-sport')! : readWatch(values.watch)
      const standpoint = standpointIn(values)
      const { program } = fit(readOneSession(file!, standpoint, hintsIn(values)), profile, standpoint)
      write(score(program, readRecording(recording!)))
      return 0
    }
    default:
      throw new WrongUse(`there is no command ${command}`)
  }
}

async function main(): Promise<number> {
  try {
    const { values, positionals: words } = parseArgs({ options, allowPositionals: true })
    if (values.help) {
      process.stdout.write(`${usage}\n`)
      return 0
    }
    const [command, ...files] = words
    if (command === undefined) throw new WrongUse('a command is needed')
    return await run(command, files, values)
  } catch (error) {
    if (error instanceof BadInput) {
      for (const diagnostic of error.diagnostics) process.stderr.write(`${JSON.stringify(diagnostic)}\n`)
      return 1
    }
    if (error instanceof WrongUse || (error instanceof TypeError && 'code' in error)) {
      process.stderr.write(`${JSON.stringify({ problem: error.message })}\n${usage}\n`)
      return 2
    }
    throw error
  }
}

process.exitCode = await main()
