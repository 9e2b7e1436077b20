import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { loadCorpus, optionsFor } from '../../../tests/corpus/corpus'
import { coverText } from './coverage'
import { readScript } from './read-script'
import { nobody } from '../../athlete/standpoint'

const runs = Number(process.env.LAW_RUNS ?? 2000)

/** Words that no reading, remark or sign accounts for. */
function lost(text: string, options = {}): string[] {
  const result = readScript(text, nobody, options)
  const told = new Set(
    result.remarks.filter(remark => !['spelling', 'sport', 'legs', 'doubt-open'].includes(remark.code)).map(remark => remark.line),
  )
  return coverText(text, result)
    .filter(stretch => stretch.kind === 'left-over' && !told.has(stretch.line))
    .map(stretch => stretch.text)
}

const pieces = fc.constantFrom(
  'Mon:',
  'Tuesday',
  'Thu 1 April -',
  '2026-04-02:',
  'rest',
  'off',
  'Main set:',
  'Warm up:',
  'Swim:',
  'Quay ladder:',
  '- ',
  '1) ',
  '* ',
  'w/u',
  'twice through:',
  '6 x 800',
  '4x5min',
  '12 x 300 / 100 jog',
  '@ 5k pace',
  '@ 4:20',
  '@ 105%',
  'w/ 90 s rest',
  '(200 jog)',
  '2 min jog',
  'same again',
  '10 s less each time',
  'last 10 min @ MP',
  '40 s on 20 s off',
  '20 x 30/30',
  '4 strides',
  'on 1:50',
  'kick',
  'with fins',
  'catch-up drill',
  'breathing 3/5',
  'cadence 90',
  'HR < 150',
  'cap 172',
  'along the quay',
  'see you at 6',
  'jog back',
  'uphill 6 %',
  '6% hill',
  'equal jog',
  'half an hour easy',
  'twenty minutes',
  '1 1/2 miles',
  ':40',
  'T1',
  '40 km ride',
  '10 km run',
  '1500 m swim',
  'repeat for 5 km:',
  'x 3',
  'then',
  'and',
  ',',
  ';',
  '+',
  '/',
  '(',
  ')',
  '\n',
  '\n  ',
  'Zebra',
  'qwerty',
  '#',
  '  # note',
  '12',
  '400',
  '1:30',
  'title a',
  'sport swim',
  '---',
)
const message = fc.oneof(
  fc.array(pieces, { maxLength: 14 }).map(parts => parts.join(' ')),
  fc.array(pieces, { maxLength: 8 }).map(parts => parts.join('')),
  fc.string({ unit: 'grapheme', maxLength: 60 }),
  fc
    .tuple(fc.constantFrom(...loadCorpus().map(specimen => specimen.said)), fc.nat(80), pieces)
    .map(([said, at, piece]) => `${said.slice(0, at)} ${piece} ${said.slice(at)}`),
)

describe('what became of every word', () => {
  it('gives each line back to the letter, whatever is typed', () => {
    fc.assert(
      fc.property(message, text => {
        const lines = text.split(/\r\n|\n|\r/)
        const again = lines.map(() => '')
        for (const stretch of coverText(text, readScript(text, nobody))) again[stretch.line - 1] += stretch.text
        expect(again).toEqual(lines)
      }),
      { numRuns: runs },
    )
  }, 300_000)

  it('loses no word: each is read, said in a remark or a sign between', () => {
    fc.assert(
      fc.property(message, text => {
        expect(lost(text, { week: '2026-03-30' })).toEqual([])
      }),
      { numRuns: runs },
    )
  }, 300_000)

  it.each(loadCorpus())('loses nothing of: $said', ({ file, said }) => expect(lost(said, optionsFor(file))).toEqual([]))

  it('takes a numbered bullet and the word after it for signs between', () => {
    expect(lost('1. then  warm up 10 min\n2. 6 x 30 s uphill 8 %, walk down')).toEqual([])
  })

  it('links words to the rows they became and shows what became none', () => {
    const text = 'Hi Ilse!\n2 km easy, 4 x 100 m fast along the quay'
    const stretches = coverText(text, readScript(text, nobody)).map(({ kind, path, text: words }) => [kind, path, words.trim()])
    expect(stretches).toEqual([
      ['left-over', undefined, 'Hi Ilse!'],
      ['row', '1', '2 km easy'],
      ['separator', undefined, ','],
      ['row', '2', '4 x'],
      ['row', '2.1', '100 m fast'],
      ['left-over', undefined, 'along the quay'],
    ])
  })
})
