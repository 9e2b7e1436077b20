import { describe, expect, it } from 'vitest'
import { wordsOf } from './highlight'

const looks = (line: string) => wordsOf(line).map(({ kind, text }) => `${kind} ${text}`)

describe('the look of words', () => {
  it.each([
    ['8:00 @ 4:20-4:25 /km', ['number 8:00', 'at @', 'number 4:20-4:25']],
    ['  recovery 1:30 jog  # on grass, 2 of them', ['role recovery', 'number 1:30', 'note # on grass, 2 of them']],
    ['8 times, drop last recovery', ['repeat 8 times']],
    ['    repeat for 5 km', ['repeat repeat for', 'number 5']],
    ['leg ride, place trainer', ['repeat leg']],
    ['title 8 times the hill', ['header title']],
    ['10:00 ?{10 m} => 9:58 # late', ['number 10:00', 'doubt ?{10 m}', 'result => 9:58 # late']],
    ['off 3:00 @ 5k effort', ['role off', 'number 3:00', 'at @', 'number 5']],
    ['400 m in 1:22\u20131:24', ['number 400', 'number 1:22\u20131:24']],
  ])('%s', (line, expected) => {
    expect(looks(line)).toEqual(expected)
  })

  it('gives a word inside another none', () => {
    expect(looks('pre-work warmup takeoff')).toEqual([])
    expect(looks('the title 8')).toEqual(['number 8'])
  })
})
