import { readFileSync, writeFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { agonis, file, line, useFolder } from '../tests/support/agonis'

interface Reckoned {
  seconds: { low: number; likely: number; high: number }
  open: number
  flat: { path: string; round: number[]; target?: { unit: string; easiest: number } }[]
}

useFolder()

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
    expect(known.flat[1]).toMatchObject({ path: '2.1.1', round: [1, 1], target: { unit: 'W', easiest: 252.96 } })
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
