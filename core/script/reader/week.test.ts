import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { loadCorpus } from '../../../tests/corpus/corpus'
import { withFix } from '../fix'
import { readScript } from './read-script'
import { fold } from '../token/fold'
import { foldPhrases } from '../token/phrases'
import { unknownAthlete } from '../../athlete/athlete'
import { nobody, standpointOf } from '../../athlete/standpoint'

interface Asked {
  week?: string
  on?: string
}
const read = (text: string, { week, on }: Asked = {}) => readScript(text, standpointOf(unknownAthlete, on ?? null), { week })
const days = (text: string, asked: Asked = {}) => read(text, asked).sessions.map(session => session.day)
const asked = (text: string, known: Asked = {}) => read(text, known).remarks.filter(remark => remark.code === 'date')

describe('the days of a pasted week', () => {
  it.each<[string, Asked, (string | undefined)[]]>([
    ['Tue: 10 km', {}, ['tue']],
    ['Tue: 10 km', { week: '2026-04-01' }, ['2026-03-31']],
    ['Sunday long run 18 km', { week: '2026-03-30' }, ['2026-04-05']],
    ['30 March: 10 km', { on: '2026-03-31' }, ['2027-03-30']],
    ['30 March: 10 km', { week: '2026-03-31' }, ['2026-03-30']],
    ['29 Feb: 10 km', { on: '2026-03-31' }, ['2028-02-29']],
    ['March 31st: 10 km', { on: '2026-01-01' }, ['2026-03-31']],
    ['2026-04-02: 10 km', {}, ['2026-04-02']],
    ['Thu 2 April 2026: 10 km', {}, ['2026-04-02']],
    ['Tue 31.3.: 10 km', { week: '2026-03-30' }, ['2026-03-31']],
    ['Tue 3/31: 10 km', { week: '2026-03-30' }, ['2026-03-31']],
    ['Mon: off\nTue: 10 km\nWed - rest\nThu\n5 km easy', {}, ['tue', 'thu']],
    ['2026-02-30: 10 km', {}, [undefined]],
    ['sat tall for 10 min', {}, [undefined]],
    ['day mon\nsport run\n\n10:00', { week: '2026-03-30' }, ['2026-03-30']],
  ])('%s %o', (text, options, wanted) => expect(days(text, options)).toEqual(wanted))

  it('asks about a date that is no such day, and about one that could be two', () => {
    expect(asked('Thu 1 April: 10 km', { week: '2026-03-30' })[0]!.fixes.map(fix => fix.label)).toEqual([
      'day 2026-04-01',
      'day 2026-04-02',
    ])
    expect(asked('Wed 6/4: 10 km', { week: '2026-06-01' })[0]!.level).toBe('ask')
    expect(asked('30 March: 10 km')[0]!.readAs).toMatch(/needs the week/)
    expect(asked('Tue: 10 km')).toEqual([])
  })

  it('lets the heading name the sport, before a sport line and the option', () => {
    const sports = (text: string, options = {}) => readScript(text, nobody, options).sessions.map(session => session.sport)
    expect(sports('Mon (ride): 90 min\nTue swim 1500\nWed: 10 km', { sport: 'run' })).toEqual(['ride', 'swim', 'run'])
    expect(sports('Mon ride\nsport run\n40 min')).toEqual(['ride'])
  })

  it('takes a heading over by its fix, where it stands alone', () => {
    const text = 'Tue: 6 x 800 / 90 s jog'
    const remark = readScript(text, nobody).remarks.find(candidate => candidate.code === 'day')!
    const fixed = withFix(text, remark, remark.fixes[0]!.replacement)
    expect(readScript(fixed, nobody).sessions[0]).toMatchObject({ day: 'tue', items: readScript(text, nobody).sessions[0]!.items })
    expect(
      readScript('Tue: 5 km\nWed: 6 km', nobody)
        .remarks.filter(candidate => candidate.code === 'day')
        .flatMap(candidate => candidate.fixes),
    ).toEqual([])
  })
})

describe('spoken numbers', () => {
  it.each([
    ['twenty minutes', '20     minutes'],
    ['an hour and a half easy', '1.5           hour easy'],
    ['1 1/2 miles', '1.5   miles'],
    ['3/4 mile', '0.75mile'],
    ['on :40', 'on 40"'],
    ['six times one minute', '6   times 1   minute'],
    ['one of us', 'one of us'],
    ['a while', 'a while'],
  ])('%s', (text, folded) => expect(foldPhrases(text)).toBe(folded))

  it('never change how long a text is', () => {
    const words = fc
      .array(
        fc.constantFrom(
          'one',
          'an',
          'hour',
          'and',
          'a',
          'half',
          'twenty',
          'minutes',
          '1/2',
          '3/4',
          '1',
          'mile',
          'miles',
          ':40',
          'x',
          'times',
          '-',
          ',',
          '\u2013',
          '\u00BD',
        ),
        { maxLength: 12 },
      )
      .map(parts => parts.join(' '))
    fc.assert(
      fc.property(
        fc.oneof(words, fc.constantFrom(...loadCorpus().map(specimen => specimen.said)), fc.string({ unit: 'grapheme' })),
        text => {
          expect(fold(text)).toHaveLength(text.length)
        },
      ),
      { numRuns: 2000 },
    )
  })
})
