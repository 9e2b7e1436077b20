import { describe, expect, it } from 'vitest'
import { unknownAthlete } from '../../athlete/athlete'
import type { OwnWord } from '../../athlete/athlete'
import { standpointOf } from '../../athlete/standpoint'
import { printSession } from '../print'
import { lessonFrom, meaningOf, standpointWith } from './lesson'
import { readScript } from './read-script'

const nobody = standpointOf(unknownAthlete, null)
const knowing = (...words: OwnWord[]) => standpointOf({ ...unknownAthlete, words }, null)
const rowsOf = (text: string, ...words: OwnWord[]) =>
  printSession(readScript(text, knowing(...words)).sessions[0]!)
    .split('\n\n')[1]!
    .trimEnd()
const asksOf = (text: string, ...words: OwnWord[]) => readScript(text, knowing(...words)).remarks.filter(({ level }) => level === 'ask')

describe('own words in a message', () => {
  const minutes = { said: '5m', means: '5 min' }
  const loop = { said: 'Quay loop', means: '3.2 km easy' }

  it('settle what would be asked, with a note where it stands', () => {
    const text = '6 x 5m hard w/ 90s jog, 8m easy'
    expect(asksOf(text)).toHaveLength(2)
    expect(asksOf(text, minutes)).toEqual([])
    expect(readScript(text, knowing(minutes)).remarks.filter(({ code }) => code === 'own-word')).toMatchObject([
      { level: 'note', line: 1, column: 5, length: 2, said: '5m', readAs: '5 min, one of your words' },
      { said: '8m' },
    ])
  })

  it('change nothing that was clear without them', () => {
    expect(rowsOf('5 x 400m w/ 100m jog', minutes)).toBe(rowsOf('5 x 400m w/ 100m jog'))
    expect(rowsOf('20 min @ 88% FTP', { said: '88% FTP', means: '200 W' })).toBe('20:00 @ 88 %CP')
  })

  it.each([
    ['WU 2 km, 3 km @ threshold, Quay loop', 'warm-up 2 km\n3 km @ threshold effort\ncool-down 3.2 km'],
    ['quay loop', '3.2 km @ easy effort'],
    ['quay loop, then 4 x 1 km', 'warm-up 3.2 km\n4 times\n  1 km'],
  ])('%s holds what a name means', (text, rows) => expect(rowsOf(text, loop)).toBe(rows))

  it.each(['20 min tempo', '20 min @ tempo', '20 min at tempo'])('%s takes an effort with and without its sign', text => {
    expect(rowsOf(text, { said: 'tempo', means: '@ threshold effort' })).toBe('20:00 @ threshold effort')
    expect(rowsOf(text, { said: 'tempo', means: 'threshold' })).toBe('20:00 @ threshold effort')
  })

  it('take a pace after the sign', () => expect(rowsOf('3 km @ Q', { said: 'Q', means: '4:10' })).toBe('3 km @ 4:10 /km'))

  it('leave notes, titles and talk as they are', () => {
    const text = 'title Quay loop\n# Quay loop\n\n2 km  # Quay loop\n'
    expect(printSession(readScript(text, knowing(loop)).sessions[0]!)).toContain(
      'title Quay loop\nsport run\n# Quay loop\n\n2 km  # Quay loop',
    )
    expect(readScript('we meet down at the Quay loop, friends', knowing(loop)).sessions[0]!.items).toEqual([])
  })

  it('do not go round in a circle', () => {
    expect(rowsOf('loop', { said: 'loop', means: 'Quay loop 2 km' }, { said: 'Quay loop', means: 'loop' })).toContain('2 km')
  })
})

describe('the lesson of an answer', () => {
  const ask = (text: string, code: string) => readScript(text, nobody).remarks.find(remark => remark.code === code)!

  it('is the unit, where a unit was asked about', () => {
    const text = 'WU 2 km, 4 x 5m w/ 1 min jog'
    const lesson = lessonFrom(text, ask(text, 'unit-doubtful'), '5:00', nobody)!
    expect(lesson).toEqual({ said: '5m', means: '5 min' })
    expect(readScript('6 x 3m', standpointWith(nobody, lesson)).remarks.some(({ level }) => level === 'ask')).toBe(false)
  })

  it('is an effort, where one was asked about', () => {
    const text = '20 min tempo'
    const remark = ask(text, 'effort-word')
    expect(lessonFrom(text, remark, remark.fixes[0]!.replacement, nobody)).toEqual({ said: 'tempo', means: 'threshold effort' })
  })

  it.each([
    ['5:00 ?{5m}  # hard', { said: '5m', means: '5 min' }, { said: '5m', means: '5 m' }],
    ['20:00 ?{tempo}  # tempo', null, undefined],
  ])('is as much where the row keeps its doubt: %s', (row, asItStands, other) => {
    const remark = ask(`sport run\n\n${row}\n`, 'doubt-open')
    const lessons = remark.fixes.map(fix => lessonFrom(row, remark, fix.replacement, nobody))
    expect(lessons).toEqual(other === undefined ? [asItStands] : [asItStands, other])
  })

  it('is none, where the answer changes how the rows hang together', () => {
    const text = '3x9min, 4min jog'
    const remark = ask(text, 'comma-recovery')
    for (const fix of remark.fixes) expect(lessonFrom(text, remark, fix.replacement, nobody)).toBeNull()
  })
})

describe('what a meaning comes to', () => {
  it.each([
    ['3.2 km easy', { is: 'rows', words: '3.2 km @ easy effort' }],
    ['4 x 1 min w/ 1 min jog', { is: 'rows', words: '4 times, drop last recovery\n  1:00\n  recovery 1:00 jog' }],
    ['threshold', { is: 'target', words: 'threshold effort' }],
    ['@ 4:10', { is: 'target', words: '4:10 /km' }],
    ['5 min', { is: 'rows', words: '5:00' }],
    ['as ever', null],
    ['', null],
  ])('%s', (means, meaning) => expect(meaningOf(means, nobody)).toEqual(meaning))
})
