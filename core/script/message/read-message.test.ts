import { describe, expect, it } from 'vitest'
import { nobody } from '../../athlete/standpoint'
import type { SessionSport } from '../../session/document'
import { printSessions } from '../print'
import { readScript } from '../reader/read-script'

const read = (said: string, sport: SessionSport = 'run') => readScript(said, nobody, { sport })
const rows = (said: string, sport: SessionSport = 'run') =>
  printSessions(read(said, sport).sessions)
    .trimEnd()
    .replace(/^sport \w+\n\n/, '')
const errors = (said: string) => read(said).remarks.filter(remark => remark.level === 'error')

describe('what cannot be read', () => {
  it('stays unread in its place, with its own reason, and the rest of the line is read', () => {
    expect(rows('10 min WU, 3 x 1 km @ sideways, 10 min CD')).toBe('warm-up 10:00\nunread 3 x 1 km @ sideways\ncool-down 10:00')
    expect(errors('10 min WU, 3 x 1 km @ sideways, 10 min CD')).toMatchObject([{ said: '3 x 1 km @ sideways', readAs: /target after @/ }])
  })
  it.each([
    ['8 x 100 on', /on what/],
    ['10x400 or 6x800', /two ways/],
    ['5 km until', /until what/],
    ['4 x (5 min', /bracket/],
    ['10 zz hard', /no unit/],
  ])('says why of %j', (said, why) => expect(errors(said)[0]?.readAs).toMatch(why))
  it('takes a word alone for no number, and a long number for none', () => {
    expect(errors('9'.repeat(500))).toHaveLength(1)
    expect(errors('qwerty 12 zz')).toHaveLength(1)
  })
})

describe('an end by energy', () => {
  it('may follow until, but not behind another length', () => {
    expect(rows('until 300 kcal @ 140-150 bpm')).toBe('300 kcal @ 140-150 bpm')
    expect(rows('4 x until 100 kcal @ 5k / 2 min jog')).toContain('100 kcal @ 5k effort')
    expect(errors('3 km until 300 kcal')[0]?.readAs).toMatch(/until what/)
  })
})

describe('repeats in repeats without end', () => {
  it.each(['2 x ', '2 rounds of ', 'repeat 2 times:\n', 'repeat for 5 km: '])('of %j are an error, not a hang', words => {
    expect(errors(`${words.repeat(800)}400 m`)[0]?.readAs).toMatch(/deep/)
  })
})

describe('the end of a repeat', () => {
  it.each([
    ['3 times:\n400 m @ 5k\n200 jog\n\n5 km easy', 'at a blank line'],
    ['Repeat x3\n  400 @ 5k\n  200 jog\n5 km easy', 'where the indent ends'],
    ['3 times:\n400 m @ 5k\n200 jog\nCD 5 km', 'at a role word'],
    ['3 times: 400 m @ 5k, 200 jog. 5 km easy', 'at a full stop, for one begun in its line'],
  ])('of %j is %s', said => expect(rows(said)).toBe('3 times\n  400 m @ 5k effort\n  recovery 200 m jog\ncool-down 5 km'))
})

describe('one message, one sense', () => {
  it('reads a bare pace per mile where it speaks of miles', () => {
    expect(rows('2 miles easy, 4 x 1 mile @ 6:30')).toContain('1 mi @ 6:30 /mi')
    expect(rows('2 miles easy, 20 min @ 6:30')).toContain('20:00 @ 6:30 /mi')
    expect(rows('2 km easy, 4 x 1 km @ 4:30')).toContain('1 km @ 4:30 /km')
  })
  it('gives numbers without a unit that of the sum before them, and holds the sum against them', () => {
    expect(rows('8 mi total: 2 easy, 4 @ LT, 2 easy')).toBe('warm-up 2 mi\n4 mi @ threshold effort\ncool-down 2 mi')
    expect(read('8 mi total: 2 easy, 4 @ LT, 3 easy').remarks).toContainEqual(expect.objectContaining({ level: 'ask', code: 'sum' }))
  })
  it('counts lengths of the pool it names', () => {
    expect(read('50m pool. 4 x 2 lengths on 2:00', 'swim').sessions[0]!.place).toEqual({ kind: 'pool', length: 50, unit: 'm' })
    expect(rows('50m pool. 4 x 2 lengths on 2:00', 'swim')).toContain('100 m on 2:00')
  })
})

describe('what stands around the words', () => {
  it.each([
    '> 10 min easy\n> 5 km @ 10k',
    '[18:04] Coach: 10 min easy\n[18:04] Coach: \n[18:05] Coach: 5 km @ 10k',
    '> 1. 10 min easy\n> 2. 5 km @ 10k',
    '- 10 min easy\n- 5 km @ 10k',
    '1. 10 min easy\n2. 5 km @ 10k',
    '1️⃣ 10 min easy\n2️⃣ 5 km @ 10k',
    '<p>10 min easy</p><p>5 km @ 10k</p>',
    '**10 min easy**\n_5 km_ @ 10k',
    '"10 min easy","5 km @ 10k"',
    '[08:15] Coach: 10 min easy\n[08:16] Coach: 5 km @ 10k',
  ])('is passed over in %j', said => expect(rows(said)).toBe('warm-up 10:00\n5 km @ 10k effort'))
  it('leaves every remark on the words as they were said', () => {
    const said = '> 1️⃣ 2km easy 💪\n> 5m hard'
    const lines = said.split('\n')
    for (const remark of read(said).remarks) {
      if (remark.said.includes('\n')) continue
      expect(lines[remark.line - 1]!.slice(remark.column - 1, remark.column - 1 + remark.length)).toBe(remark.said)
    }
  })
})

describe('days', () => {
  const days = (said: string) => read(said).sessions.map(session => session.day)
  it.each([
    ['Mon-Wed: 5 km easy', ['mon', 'tue', 'wed']],
    ['Mon/Fri: 5 km easy', ['mon', 'fri']],
    ['Lun: repos\nMar: 5 km\nJeu: 8 km', ['tue', 'thu']],
    ['Mo: 5 km\nMi: 8 km\nSo: Ruhetag', ['mon', 'wed']],
    ['M: 5 km\nT: 8 km\nT: 10 km', ['mon', 'tue', 'thu']],
    ['Tue 6x400 / Thu 10k easy', ['tue', 'thu']],
    ['Tue: AM 5 km easy, PM 6 x 400', ['tue', 'tue']],
    ['Monday\n5 km\nTuesday\nRest', ['mon']],
  ])('of %j', (said, expected) => expect(days(said)).toEqual(expected))
})
