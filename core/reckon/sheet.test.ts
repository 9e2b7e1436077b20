import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { unknownAthlete } from '../athlete/athlete'
import { readScript } from '../script/reader/read-script'
import { printItem } from '../script/print'
import { reckon } from './reckon'
import { effortAxis, hardSeconds, sheetRows } from './sheet'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const rowsOf = (text: string, athlete = ilse) => {
  const session = readScript(text, nobody).sessions[0]!
  return sheetRows(session, reckon(session, seenBy(athlete)), seenBy(athlete))
}

describe('the rows of the cue sheet', () => {
  const rows = rowsOf(
    'sport ride\n\nwarm-up 16:00 @ 65-75 %CP\n2 times, drop last recovery\n  4 times\n    1:30 @ 102-106 ' +
      '%CP\n    recovery 1:00\n  recovery 4:00\noff 5:00 @ 100 %CP\ncool-down until press',
  )

  it('stand in the order they are written, with their depth and roundel', () => {
    expect(rows.map(row => [row.path, row.depth, row.roundel])).toEqual([
      ['1', 0, null],
      ['2', 0, '×2'],
      ['2.1', 1, '×4'],
      ['2.1.1', 2, null],
      ['2.1.2', 2, null],
      ['2.2', 1, null],
      ['3', 0, null],
      ['4', 0, null],
    ])
  })

  it('say when each first begins, and how long a round lasts', () => {
    expect(rows.map(row => [row.path, row.startsAt])).toEqual([
      ['1', 0],
      ['2', 960],
      ['2.1', 960],
      ['2.1.1', 960],
      ['2.1.2', 1050],
      ['2.2', 1560],
      ['3', null],
      ['4', 2400],
    ])
    expect(rows.find(row => row.path === '2')).toMatchObject({ seconds: 840, comesTo: '14:00 each' })
    expect(rows.find(row => row.path === '2.1')).toMatchObject({ seconds: 150, comesTo: '2:30 each' })
  })

  it('say what each comes to for this athlete', () => {
    expect(rows.map(row => row.comesTo)).toEqual([
      '139-162 W',
      '14:00 each',
      '2:30 each',
      '219-228 W',
      expect.stringMatching(/^about \d+ m$/),
      expect.stringMatching(/^about/),
      'off',
      'about 10 min',
    ])
  })

  it('put every band on one axis of effort, in percent of critical', () => {
    expect(rows[3]!.band).toEqual({ low: expect.closeTo(102, 1), high: expect.closeTo(106, 1) })
    expect(rows[0]!.band).toEqual({ low: expect.closeTo(65, 0), high: expect.closeTo(75, 0) })
    expect(rows[6]!.band).toBeNull()
    const [pace, heart, effort, open] = rowsOf(
      'sport run\n\n10:00 @ 90-95 %CS\n10:00 @ 75 %HRR or below\n10:00 @ RPE 7-8\n10:00 @ 4:30 /km or faster',
    )
    expect(pace!.band!.low).toBeCloseTo(90, 0)
    expect(heart!.band).toEqual({ low: effortAxis.low, high: expect.closeTo(75 / 0.886, 0) })
    expect(effort!.band).toEqual({ low: expect.closeTo(100, 0), high: expect.closeTo(106, 0) })
    expect(open!.band!.high).toBe(effortAxis.high)
  })

  it('leave open what nobody knows', () => {
    const [work] = rowsOf('sport run\n\n1 km @ 5k effort', unknownAthlete)
    expect(work).toMatchObject({ band: null, comesTo: '', startsAt: 0 })
  })

  it('keep unread lines and legs', () => {
    expect(rowsOf('sport multi\n\nunread hm\nleg ride\n  10:00').map(row => [row.kind, row.words])).toEqual([
      ['unread', 'unread hm'],
      ['leg', 'leg ride'],
      ['step', '10:00'],
    ])
  })

  it('count the hard part', () => {
    const session = readScript('sport ride\n\n10:00 @ 65-75 %CP\n3 times\n  2:00 @ 100-105 %CP\n  recovery 1:00', nobody).sessions[0]!
    expect(hardSeconds(session, reckon(session, seenBy(ilse)), seenBy(ilse))).toBe(360)
    const hardOf = (text: string) => {
      const other = readScript(text, nobody).sessions[0]!
      return hardSeconds(other, reckon(other, seenBy(ilse)), seenBy(ilse))
    }
    expect(hardOf('sport run\n\n45:00')).toBeNull()
    expect(hardOf('sport run\n\n45:00 @ easy effort')).toBe(0)
    expect(hardOf('sport run\n\n45:00 jog')).toBe(0)
  })

  it('are one for every item of any document, in its words', () => {
    fc.assert(
      fc.property(arbitrarySession, session => {
        const found = sheetRows(session, reckon(session, seenBy(ilse)), seenBy(ilse))
        const printed = session.items
          .map(item => printItem(item))
          .join('\n')
          .split('\n')
          .filter(line => !/^\s*#/.test(line))
        expect(found).toHaveLength(printed.length)
        found.forEach((row, index) => {
          expect(printed[index]!.startsWith('  '.repeat(row.depth) + row.words)).toBe(true)
          for (const value of [row.startsAt, row.metresAt, row.seconds])
            expect(value === null || (Number.isFinite(value) && value >= 0)).toBe(true)
        })
      }),
      { numRuns: 500 },
    )
  })
})

describe('a repeat until a distance or time', () => {
  const comesTo = (text: string) => {
    const session = readScript(text, nobody).sessions[0]!
    return sheetRows(session, reckon(session, seenBy(ilse)), seenBy(ilse))[0]!.comesTo
  }
  it('says how many rounds it likely takes, with the range of its bands', () => {
    expect(comesTo('sport run\n\nrepeat for 5 km\n  4:00 @ 4:20-4:40 /km\n  rest 1:30\n')).toBe('about 6 rounds')
    expect(comesTo('sport run\n\nrepeat for 5 km\n  4:00 @ 4:00-5:00 /km\n  recovery 1:30\n')).toBe('about 5 (4\u20135) rounds')
    expect(comesTo('sport run\n\nrepeat for 30:00\n  4:00 @ 4:20-4:40 /km\n  recovery 1:00\n')).toBe('about 6 rounds')
  })
})
