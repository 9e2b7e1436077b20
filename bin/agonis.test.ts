import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ilse } from '../demo/athlete'

const program = fileURLToPath(new URL('agonis', import.meta.url))
let folder: string
const file = (name: string) => join(folder, name)

function agonis(args: string[], input = '') {
  const { status, stdout, stderr } = spawnSync(program, args, { input, encoding: 'utf8', maxBuffer: 1e8 })
  return {
    status,
    stdout,
    stderr,
    json: <T>() => JSON.parse(stdout) as T,
    problems: stderr
      .trim()
      .split('\n')
      .filter(line => line.startsWith('{'))
      .map(line => JSON.parse(line) as { problem: string; line?: number; pointer?: string }),
  }
}

const line = '16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy, 12 min easy\n'
interface Reckoned {
  seconds: { low: number; likely: number; high: number }
  open: number
  flat: { path: string; round: number[]; target?: { unit: string; easiest: number } }[]
}

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'agonis-bin-'))
  writeFileSync(file('line.txt'), line)
  writeFileSync(file('athlete.json'), JSON.stringify(ilse))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('agonis', () => {
  it('reads a line, prints it, and reads what it printed the same', () => {
    const read = agonis(['read', file('line.txt')])
    expect(read.status).toBe(0)
    writeFileSync(file('read.json'), read.stdout)
    const printed = agonis(['print', file('read.json')])
    expect(printed.stdout).toMatch(/^sport run\n\nwarm-up 16:00\n2 times, drop last recovery\n/)
    expect(agonis(['print', '-'], printed.stdout).stdout).toBe(printed.stdout)
    expect(agonis(['read', '-'], printed.stdout).json<{ sessions: unknown[]; remarks: unknown[] }>()).toMatchObject({
      sessions: read.json<{ sessions: unknown[] }>().sessions,
      remarks: [],
    })
  })

  it('reckons it to 3120 s, 19 steps, none open', () => {
    const { seconds, open, flat } = agonis(['reckon', file('line.txt')]).json<Reckoned>()
    expect([seconds.low, seconds.likely, seconds.high, open, flat.length]).toEqual([3120, 3120, 3120, 0, 19])
    const known = agonis(['reckon', '-', '--athlete', file('athlete.json')], line).json<Reckoned>()
    expect(known.flat[1]).toMatchObject({ path: '2.1.1', round: [1, 1], target: { unit: 'W', easiest: 253 } })
  })

  it('rehearses with the same bytes for the same seed, and scores the recording', () => {
    const args = ['rehearse', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--seed', '4']
    const first = agonis(args)
    expect(first.stdout).toBe(agonis(args).stdout)
    writeFileSync(file('recording.json'), first.stdout)
    const scored = agonis(['score', file('line.txt'), file('recording.json'), '--athlete', file('athlete.json')]).json<{
      basis: string
      confidence: number
      steps: { status: string }[]
    }>()
    expect([scored.basis, scored.confidence, scored.steps.length]).toEqual(['program', 1, 19])
    expect(scored.steps.every(step => step.status === 'done')).toBe(true)
  })

  it('lists every derived number with method, source and inputs', () => {
    const numbers = agonis(['numbers', file('athlete.json'), '--on', '2026-03-31']).json<
      { name: string; sport: string; value: number; unit: string; method: string; source: string; inputs: string[] }[]
    >()
    expect(numbers.length).toBeGreaterThan(20)
    expect(numbers.every(number => number.value > 0 && number.method !== '' && number.source !== '' && number.inputs.length > 0)).toBe(true)
    expect(numbers.find(number => number.name === 'critical swim speed')).toMatchObject({ sport: 'swim', value: 0.89286, unit: 'm/s' })
    expect(agonis(['numbers', file('line.txt')]).status).toBe(1)
    expect(agonis(['numbers']).status).toBe(2)
  })

  it('says how hard a session is for an athlete, and needs one', () => {
    const args = ['forecast', file('line.txt'), '--athlete', file('athlete.json')]
    const told = JSON.parse(agonis(args).stdout) as { level: string; used: { low: number; likely: number; high: number } }
    expect(['easy', 'steady', 'hard', 'race', 'beyond']).toContain(told.level)
    expect(told.used.low).toBeLessThanOrEqual(told.used.likely)
    expect(agonis(args).stdout).toBe(agonis(args).stdout)
    expect(agonis(['forecast', file('line.txt')]).status).toBe(2)
  })

  it('forecasts nudges with the same bytes for the same seed, and the quiet band nudges less', () => {
    const args = ['nudges', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--runs', '200']
    const first = agonis(args)
    expect(first.stdout).toBe(agonis(args).stdout)
    expect(agonis([...args, '--seed', '2']).stdout).not.toBe(first.stdout)
    const { perStep, total, quietBand } = first.json<{
      perStep: { path: string; expected: number }[]
      total: { expected: number; low: number; high: number }
      quietBand: object
    }>()
    expect(perStep.map(step => step.path)).toEqual(Array.from({ length: 8 }, () => '2.1.1'))
    expect(perStep.reduce((sum, step) => sum + step.expected, 0)).toBeCloseTo(total.expected, 1)
    expect(total.low <= total.expected && total.expected <= total.high).toBe(true)
    expect(quietBand).toMatchObject({ of: 'power', unit: '%CP' })
    expect(agonis([...args, '--runs', '0']).status).toBe(2)
    expect(agonis(['nudges', file('line.txt'), '--watch', 'all-sport']).status).toBe(2)
  })

  it('takes presses from a file', () => {
    writeFileSync(file('presses.json'), '[{"t":100,"button":"skip"},{"t":400,"button":"stop"}]')
    const { marks } = agonis([
      'rehearse',
      file('line.txt'),
      '--athlete',
      file('athlete.json'),
      '--watch',
      'all-sport',
      '--presses',
      file('presses.json'),
    ]).json<{ marks: { kind: string; t: number }[] }>()
    expect(marks.filter(mark => mark.kind === 'skip' || mark.kind === 'stop').map(mark => mark.t)).toEqual([100, 400])
  })

  it('fits a watch and says what is lost', () => {
    const { fits, losses } = agonis(['fit', file('line.txt'), '--watch', 'basic', '--athlete', file('athlete.json')]).json<{
      fits: boolean
      losses: { kind: string }[]
    }>()
    expect(fits).toBe(true)
    expect(new Set(losses.map(loss => loss.kind))).toEqual(new Set(['target', 'nesting']))
  })

  it('prints a text with a line that nobody could read, and keeps the line', () => {
    const { status, stdout } = agonis(['print', '-'], '10:00\nqwerty 12\n')
    expect([status, stdout]).toEqual([0, 'sport run\n\n10:00\nunread qwerty 12\n'])
  })

  it('turns day names into the dates of a week', () => {
    const days = (week: string) =>
      agonis(['read', '--week', week, '-'], 'sport run\nday sun\n\n1:00\n---\nsport run\nday mon\n\n1:00\n')
        .json<{ sessions: { day: string }[] }>()
        .sessions.map(session => session.day)
    expect(days('2026-03-30')).toEqual(['2026-04-05', '2026-03-30'])
    expect(days('2026-04-05')).toEqual(['2026-04-05', '2026-03-30'])
  })

  it('reckons with another school of bands', () => {
    const easiest = (school: string) =>
      agonis(['reckon', '-', '--school', school], 'sport run\n\n1 km @ 4:00 /km\n').json<Reckoned>().flat[0]!.target!.easiest
    expect(easiest('even')).toBeCloseTo(1000 / 245, 3)
    expect(easiest('percent')).toBeCloseTo((1000 / 240) * 0.97, 3)
  })

  it('is strict when asked', () => {
    expect(agonis(['read', '--strict', '-'], '5m easy\n').status).toBe(1)
    expect(agonis(['read', '-'], '5m easy\n').status).toBe(0)
    expect(agonis(['read', '--strict', '-'], '6x800m w/ 90" rest\n').status).toBe(0)
  })

  it.each<[string, string[], string, RegExp, object?]>([
    ['a file that is not there', ['print', '/nowhere/x'], '', /cannot be read/],
    ['broken JSON', ['print', '-'], '{"format":', /is not JSON/],
    [
      'a wrong version',
      ['reckon', '-'],
      '{"format":"agonis.session","version":9,"sport":"run","items":[]}',
      /is not 1/,
      { pointer: '/version' },
    ],
    [
      'an unknown field',
      ['reckon', '-'],
      '{"format":"agonis.session","version":1,"sport":"run","items":[],"x":1}',
      /not known: "x"/,
      { pointer: '/' },
    ],
    ['a step of 400 hours', ['reckon', '-'], '400 h easy', /longer than 48 h/, { line: 1 }],
    ['10 000 steps', ['reckon', '-'], 'sport run\n\n100 times\n  100 times\n    1:00\n', /10000 steps/],
    [
      '30 deep',
      ['reckon', '-'],
      `sport run\n\n${Array.from({ length: 30 }, (_, depth) => `${'  '.repeat(depth)}2 times`).join('\n')}\n${'  '.repeat(30)}1:00\n`,
      /30 deep/,
    ],
    ['text over 1 MB', ['read', '-'], 'x'.repeat(1024 * 1024 + 1), /1 MB/],
    ['an unknown watch', ['fit', '-', '--watch', 'wooden'], '1:00', /no watch is called wooden/],
    ['two sessions where one is due', ['reckon', '-'], '1:00\n---\n2:00\n', /takes one/],
  ])('answers %s with exit 1 and says what and where', (_, args, input, words, more = {}) => {
    const { status, stdout, problems } = agonis(args, input)
    expect([status, stdout]).toEqual([1, ''])
    expect(problems[0]!.problem).toMatch(words)
    expect(problems[0]).toMatchObject(more)
  })

  it('reads several files, each remark saying in which it stands, and a week by its dates', () => {
    writeFileSync(file('week.txt'), 'Tue: 6 x 800 / 90 s jog\nThu: rest\nSat swim 1500 easy\n')
    const { sessions, remarks } = agonis(['read', '--week', '2026-03-30', file('line.txt'), file('week.txt')]).json<{
      sessions: { day?: string; sport: string }[]
      remarks: { file: string; code: string }[]
    }>()
    expect(sessions.map(({ day, sport }) => [day, sport])).toEqual([
      [undefined, 'run'],
      ['2026-03-31', 'run'],
      ['2026-04-04', 'swim'],
    ])
    expect(remarks.filter(remark => remark.code === 'day-off').map(remark => remark.file)).toEqual([file('week.txt')])
  })

  it('says row by row how two sessions differ', () => {
    writeFileSync(file('a.txt'), 'sport run\n\n4 times\n  400 m\n  rest 1:00\n')
    writeFileSync(file('b.txt'), 'sport run\n\n6 times\n  400 m\n  rest 1:00\ncool-down 10:00\n')
    expect(agonis(['diff', file('a.txt'), file('b.txt')]).json()).toEqual({
      added: [{ path: '2', depth: 0, words: 'cool-down 10:00' }],
      removed: [],
      headers: { before: [], after: [] },
      changed: [{ before: { path: '1', depth: 0, words: '4 times' }, after: { path: '1', depth: 0, words: '6 times' } }],
    })
  })

  it('prints what came of each row, and reads it back', () => {
    writeFileSync(file('run.txt'), 'sport run\n\n3 times, drop last recovery\n  400 m @ 5k effort\n  recovery 1:00 jog\n')
    writeFileSync(
      file('rec.json'),
      agonis(['rehearse', file('run.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--seed', '3']).stdout,
    )
    writeFileSync(file('score.json'), agonis(['score', file('run.txt'), file('rec.json'), '--athlete', file('athlete.json')]).stdout)
    const { stdout } = agonis(['print', file('run.txt'), '--score', file('score.json')])
    expect(stdout).toMatch(/ {2}400 m @ 5k effort {2}=> 1:\d\d 1:\d\d 1:\d\d, held \d+ %\n {2}recovery 1:00 jog {2}=> \d+ m, \d+ m\n/)
    const { results } = agonis(['read', '-'], stdout).json<{ results: Record<string, { rounds: unknown[] }>[] }>()
    expect(results[0]!['1.1']!.rounds).toHaveLength(3)
  })

  it.each([
    ['json', /"format": "agonis.session"/],
    ['txt', /^sport run\n/],
    ['csv', /^path,depth/],
    ['svg', /^<svg /],
    ['pdf', /^%PDF-/],
  ])('converts a session to %s', (extension, looks) => {
    expect(agonis(['convert', file('line.txt'), file(`out.${extension}`), '--size', 'arm-band', '--code'])).toMatchObject({
      status: 0,
      stderr: '',
    })
    expect(readFileSync(file(`out.${extension}`), 'latin1')).toMatch(looks)
  })

  it('converts a recording to a table and back, and says what cannot be held', () => {
    writeFileSync(
      file('rec.json'),
      agonis(['rehearse', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--seed', '4']).stdout,
    )
    const recording = JSON.parse(readFileSync(file('rec.json'), 'utf8')) as { marks: unknown[]; samples: unknown }
    const out = agonis(['convert', file('rec.json'), file('rec.csv')])
    expect(out.status).toBe(0)
    expect(out.stderr).toContain('left out: which program it was')
    expect(agonis(['convert', file('rec.csv'), file('again.json')])).toMatchObject({ status: 0, stderr: '' })
    expect(JSON.parse(readFileSync(file('again.json'), 'utf8'))).toMatchObject({
      format: 'agonis.recording',
      samples: recording.samples,
      marks: recording.marks,
    })
    expect(agonis(['convert', file('rec.json'), file('rec.gpx')])).toMatchObject({ status: 1, problems: [{ pointer: '/samples/lat' }] })
    expect(agonis(['convert', file('rec.json'), file('rec.pdf')])).toMatchObject({
      status: 1,
      problems: [{ problem: expect.stringMatching(/recording is written as/) }],
    })
    writeFileSync(file('bad.csv'), 't,metres\n0,0\n1,far\n')
    expect(agonis(['convert', file('bad.csv'), file('x.json'), '--as', 'recording'])).toMatchObject({
      status: 1,
      problems: [{ problem: expect.stringMatching(/when it began/), line: 2 }],
    })
  })

  it('writes a calendar entry for a day only', () => {
    expect(agonis(['convert', file('line.txt'), file('out.ics')])).toMatchObject({ status: 1, problems: [{ pointer: '/day' }] })
    writeFileSync(file('dated.txt'), 'title Quay ladder\nsport run\nday 2026-03-31\n\n10:00\n')
    expect(agonis(['convert', file('dated.txt'), file('out.ics')]).status).toBe(0)
    expect(readFileSync(file('out.ics'), 'utf8')).toMatch(/DTSTART;VALUE=DATE:20260331[\s\S]*SUMMARY:Quay ladder/)
    expect(agonis(['convert', file('dated.txt'), file('out.xyz')])).toMatchObject({
      status: 1,
      problems: [{ problem: expect.stringMatching(/written as/) }],
    })
  })

  it('fits with choices, and says with what each loss could be met', () => {
    writeFileSync(file('belt.txt'), 'sport run\nplace treadmill\n\n6:00 @ 5:10 /km\n')
    writeFileSync(file('choices.json'), JSON.stringify({ standing: { 'target pace run treadmill': 'none' } }))
    const fitted = (more: string[]) =>
      agonis(['fit', file('belt.txt'), '--watch', 'basic', '--athlete', file('athlete.json'), ...more]).json<{
        fits: boolean
        losses: { path: string; kind: string; way: string; ways: { way: string }[]; instead: string }[]
      }>()
    expect(fitted([]).losses).toMatchObject([
      { path: '1', kind: 'target', way: 'heart-rate', ways: [{ way: 'heart-rate' }, { way: 'none' }] },
    ])
    expect(fitted(['--choices', file('choices.json')]).losses).toMatchObject([{ way: 'none', instead: 'no target' }])
    writeFileSync(file('choices.json'), '{"standing":[]}')
    expect(agonis(['fit', file('belt.txt'), '--watch', 'basic', '--choices', file('choices.json')]).status).toBe(1)
  })

  it('rehearses with jumps, from any round, and with the faults of bodies and sensors', () => {
    writeFileSync(file('six.txt'), 'sport run\n\n2:00\n6 times\n  1:00 @ 4:20-4:40 /km\n  recovery 0:30\n')
    const rehearsed = (more: string[]) =>
      agonis(['rehearse', file('six.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--seed', '2', ...more])
    const rounds = (more: string[]) =>
      rehearsed(more)
        .json<{ marks: { kind: string; path?: string; round?: number[] }[] }>()
        .marks.filter(mark => mark.kind === 'step' && mark.path === '2.1')
        .map(mark => mark.round![0])
    expect(rounds(['--from', '2.1@4'])).toEqual([4, 5, 6])
    writeFileSync(file('jump.json'), JSON.stringify([{ t: 10, button: 'jump', path: '2.1', round: [5] }]))
    expect(rounds(['--presses', file('jump.json')])).toEqual([5, 6])
    writeFileSync(
      file('faults.json'),
      JSON.stringify({ silentHeart: { from: 30, to: 60 }, forgetsStop: 20, hills: { percent: 5, metres: 500 } }),
    )
    const { samples } = rehearsed(['--faults', file('faults.json')]).json<{
      samples: { t: number[]; heartRate: (number | null)[]; altitude: number[] }
    }>()
    expect(samples.heartRate.slice(29, 59).every(value => value === null)).toBe(true)
    expect(samples.altitude).toHaveLength(samples.t.length)
    expect(samples.t.at(-1)).toBe(680)
  })

  it.each([
    ['{"silentHeart":{"from":9,"to":3}}', '/silentHeart'],
    ['{"sneezes":true}', '/sneezes'],
    ['{"missesCue":2}', '/missesCue'],
    ['[]', ''],
  ])('answers the faults %s with exit 1 and where', (faults, pointer) => {
    writeFileSync(file('faults.json'), faults)
    const { status, problems } = agonis([
      'rehearse',
      file('line.txt'),
      '--athlete',
      file('athlete.json'),
      '--watch',
      'all-sport',
      '--faults',
      file('faults.json'),
    ])
    expect([status, problems[0]!.pointer]).toEqual([1, pointer])
  })

  it('says that there is no such step to begin at', () => {
    expect(
      agonis(['rehearse', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--from', '9@4']).problems[0]!
        .problem,
    ).toContain('no step 9@4')
  })

  it.each([
    [[]],
    [['dance']],
    [['print']],
    [['print', 'a', 'b']],
    [['read', '--sport', 'row', '-']],
    [['diff', '-']],
    [['convert', '-']],
    [['convert', 'a', 'b.pdf', '--size', 'huge']],
    [['read']],
    [['fit', '-']],
    [['read', '--nonsense', '-']],
    [['read', '--week', 'mon', '-']],
    [['reckon', '--school', 'old', '-']],
    [['reckon', '--on', '2026-02-30', '-']],
    [['rehearse', '-', '--athlete', 'x', '--watch', 'basic', '--seed', 'a']],
  ])('answers wrong use %j with exit 2', args => {
    const { status, stdout } = agonis(
      args.map(word => (word === 'x' ? file('athlete.json') : word)),
      '1:00',
    )
    expect([status, stdout]).toEqual([2, ''])
  })
})
