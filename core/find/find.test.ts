import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { readScript } from '../script/reader/read-script'
import { facetsOf } from './facets'
import { nearestTitles } from './near'
import { parseQuery } from './query'
import { sayQuery } from './say-query'
import { nobody } from '../athlete/standpoint'

const facets = (text: string, options = {}) => facetsOf(readScript(text, nobody, options).sessions[0]!)

describe('what is in a session', () => {
  it('names repeats, lengths, zones and send-offs alike however they were typed', () => {
    expect(facets('12 x 300 / 100 jog')).toEqual(
      expect.arrayContaining(['sport:run', 'rounds:12', 'rounds:12x300m', 'length:300m', 'manner:jog']),
    )
    expect(facets('12 x 0.3 km')).toContain('rounds:12x300m')
    expect(facets('2 x (6 x 1 min) w/ 3 min')).toEqual(expect.arrayContaining(['rounds:6x60s', 'rounds:12x60s']))
    expect(facets('8 x 50 back on 1:00 fins')).toEqual(expect.arrayContaining(['sport:swim', 'send-off', 'stroke:back', 'kit:fins']))
    expect(facets('90 min Z2-3', { sport: 'ride' })).toEqual(expect.arrayContaining(['zone:2', 'zone:3', 'by:power']))
    expect(facets('sport run\n\noff 4 times\n  0:30 uphill 6 %\n5:00')).not.toContain('hill')
  })

  it('is a list of words for every document', () => {
    fc.assert(
      fc.property(arbitrarySession, session => facetsOf(session).every(facet => /^[\w:.-]+$/.test(facet))),
      { numRuns: 500 },
    )
  })
})

describe('how a search was understood', () => {
  it.each([
    ['ride under 1 h with zone 3', 'rides under 1 h with zone 3'],
    ['12 x 300 m', 'sessions with 12 x 300 m'],
    ['12x300', 'sessions with 12 x 300 m or 12 x 5 h or 12 x 5 min'],
    ['runs over 15 km #long', 'runs over 15 km with the tag long'],
    ['archived quay', 'archived sessions with “quay”'],
    ['swim on send-offs 5k effort', 'swims with send-offs, 5k effort'],
    ['', ''],
  ])('%s', (search, words) => expect(sayQuery(parseQuery(search))).toBe(words))
})

describe('what comes near a title', () => {
  const rows = [{ title: 'Kvitberg fours' }, { title: 'Quay ladder' }, { title: 'Twelve threes' }]

  it('is found in spite of slips, the nearest first, and nothing that is nothing like it', () => {
    expect(nearestTitles('Kvitbreg four', rows, 5)).toEqual([{ title: 'Kvitberg fours' }])
    expect(nearestTitles('qay lader', rows, 5)[0]).toEqual({ title: 'Quay ladder' })
    expect(nearestTitles('zzz', rows, 5)).toEqual([])
  })
})

describe('what a search asks for', () => {
  it.each([
    ['12x300', { facets: [['rounds:12x300m', 'rounds:12x18000s', 'rounds:12x300s']] }],
    ['12 x 300 m', { facets: [['rounds:12x300m']] }],
    ['4 x 5 min', { facets: [['rounds:4x300s']] }],
    ['ride under 1 h with zone 3', { sport: 'ride', seconds: { under: 3600 }, facets: [['zone:3']] }],
    ['swim on send-offs', { sport: 'swim', facets: [['send-off']] }],
    ['runs over 15 km', { sport: 'run', metres: { over: 15000 } }],
    ['threshold ride under an hour', { sport: 'ride', seconds: { under: 3600 }, facets: [['effort:threshold']] }],
    ['#track quay ladder', { tags: ['track'], words: ['quay', 'ladder'] }],
    ['"in the dark" 400 m', { words: ['in the dark'], facets: [['length:400m']] }],
    ['5k effort hills', { facets: [['effort:5k'], ['hill']] }],
    ['duplicates', { duplicates: true }],
    ['families of swim', { families: true, sport: 'swim' }],
    ['ride with variants', { sport: 'ride', families: true }],
    ['archived swim', { archived: true, sport: 'swim' }],
    ['', {}],
    ['x', { words: ['x'] }],
    ['under', { words: ['under'] }],
  ])('%s', (text, wanted) => {
    expect(parseQuery(text)).toEqual({ facets: [], seconds: {}, metres: {}, tags: [], words: [], ...wanted })
  })

  it('never fails and comes to an end, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 80 }), text => {
        parseQuery(text)
      }),
      { numRuns: 2000 },
    )
  })
})
