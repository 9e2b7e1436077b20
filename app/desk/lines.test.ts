import { describe, expect, it } from 'vitest'
import { reckon } from '../../core/reckon/reckon'
import { sheetRows } from '../../core/reckon/sheet'
import { readScript } from '../../core/script/reader/read-script'
import { ilse } from '../../demo/athlete'
import { growth, sheetLines } from './lines'
import { nobody } from '~~/core/athlete/standpoint'
import { seenBy } from '~~/tests/support/standpoint'

function linesOf(text: string) {
  const { sessions, places, remarks } = readScript(text, nobody)
  return sheetLines(sheetRows(sessions[0]!, reckon(sessions[0]!, seenBy(ilse)), seenBy(ilse)), places[0]!, remarks)
}

describe('rows sorted to the lines that said them', () => {
  it('gives a canonical line its own row, and its brackets hug the rows of the repeat', () => {
    const { lines, levels } = linesOf(
      'sport run\n\nwarm-up 10:00\n2 times\n  3 times\n    1:00\n    recovery 1:00\n  recovery 3:00\ncool-down 5:00\n',
    )
    expect(levels).toBe(2)
    expect([...lines.keys()].sort((a, b) => a - b)).toEqual([3, 4, 5, 6, 7, 8, 9])
    const brackets = (line: number) =>
      lines.get(line)!.rows[0]!.brackets.map(bracket => `${bracket.level} ${bracket.part} ${bracket.roundel ?? ''}`.trim())
    expect(brackets(3)).toEqual([])
    expect(brackets(4)).toEqual(['0 top'])
    expect(brackets(5)).toEqual(['0 middle', '1 top'])
    expect(brackets(6)).toEqual(
      ['0 middle', '1 middle'].map(
        (text, index) =>
          text + (lines.get(6)!.rows[0]!.brackets[index]!.roundel ? ` ${lines.get(6)!.rows[0]!.brackets[index]!.roundel}` : ''),
      ),
    )
    expect(brackets(8)).toEqual(['0 bottom'])
    const roundels = [...lines.values()].flatMap(line => line.rows.flatMap(row => row.brackets.flatMap(bracket => bracket.roundel ?? [])))
    expect(roundels.sort()).toEqual(['×2', '×3'])
  })

  it('gives a shorthand line all the rows it was read as', () => {
    const { lines } = linesOf('10 min easy, 6x800m w/ 90" rest\n5 km')
    expect(lines.get(1)).toMatchObject({ isPreview: true })
    expect(lines.get(1)!.rows.map(row => row.row.words)).toEqual(['warm-up 10:00', '6 times, drop last recovery', '800 m', 'rest 1:30'])
    expect(lines.get(2)).toMatchObject({ isPreview: false })
  })

  it('gives each line its remarks', () => {
    const { lines } = linesOf('sport run\n\n10:00\nqwerty 12\n')
    expect(lines.get(4)!.remarks.map(remark => remark.level)).toContain('error')
    expect(lines.get(3)!.remarks).toEqual([])
  })
})

describe('the height of a row', () => {
  it('grows gently with how long it lasts', () => {
    expect([null, 30, 60].map(growth)).toEqual([0, 0, 0])
    expect(growth(600)).toBeGreaterThan(growth(120))
    expect(growth(36_000)).toBeLessThanOrEqual(16)
  })
})
