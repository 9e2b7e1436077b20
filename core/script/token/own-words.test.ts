import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answerTo, lessonOf, ownNameAt, ownWordsOf, saysOwnName, withOwnWord } from './own-words'

const taught = ownWordsOf([
  { said: '5m', means: '5 min' },
  { said: '2-3 min', means: '2:30' },
  { said: 'Quay', means: '1 km easy' },
  { said: 'Quay loop', means: '3.2 km easy' },
  { said: 'Q', means: 'threshold' },
])!

describe('an answer', () => {
  it.each([
    ['5m', '5 min'],
    ['8m', '8 min'],
    ['1.5 m', '1.5 min'],
    ['2–3  min', '2:30'],
  ])('to %s is known', (said, answer) => expect(answerTo(taught, said)).toBe(answer))

  it.each(['5', '5 mi', '4-5 min', 'm'])('to %s is not', said => expect(answerTo(taught, said)).toBeNull())
})

describe('a name', () => {
  const at = (text: string, place = 0) => ownNameAt(taught, text, place)?.word.means
  it('is the longest that stands there, whole, in any case', () => {
    expect(at('quay LOOP, then home')).toBe('3.2 km easy')
    expect(at('quay, loop')).toBe('1 km easy')
    expect(at('Quays')).toBeUndefined()
    expect(at('xQuay', 1)).toBeUndefined()
  })
  it('of one letter keeps its case', () => expect([at('Q'), at('q')]).toEqual(['threshold', undefined]))
  it('makes a line more than talk, unless the line goes on about it', () => {
    expect(saysOwnName(taught, 'the Quay loop again')).toBe(true)
    expect(saysOwnName(taught, 'we all meet down at the Quay loop')).toBe(false)
    expect(saysOwnName(undefined, 'Quay loop')).toBe(false)
  })
})

describe('what an answer teaches', () => {
  it.each([
    ['5m', '5:00', '5 min'],
    ['1.5m', '1:30', '1.5 min'],
    ['2h', '2:00:00', '2 h'],
    ['45m', '45 m', '45 m'],
    ['tempo', '@ threshold effort', 'threshold effort'],
  ])('%s answered by %s means %s', (said, answer, means) => expect(lessonOf(said, answer)).toEqual({ said, means }))

  it.each([
    ['5 min', '5  MIN'],
    ['a', 'b\nc'],
    ['x'.repeat(81), 'y'],
  ])('nothing by %s answered so', (said, answer) => expect(lessonOf(said, answer)).toBeNull())

  it('takes the place of what was taught of the same words', () => {
    expect(withOwnWord([{ said: 'Tempo', means: 'a' }], { said: 'tempo', means: 'b' })).toEqual([{ said: 'tempo', means: 'b' }])
  })

  it('finds any word again that is whole words and no amount', () => {
    const words = fc.stringMatching(/^[a-z][a-z ()*+?.]{0,20}[a-z]$/)
    fc.assert(
      fc.property(words, said => {
        const own = ownWordsOf([{ said, means: '1 km' }])!
        expect(ownNameAt(own, `2 km, ${said.toUpperCase()}, 2 km`, 6)?.to).toBe(6 + said.length)
      }),
    )
  })
})
