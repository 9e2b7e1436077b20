import type { SheetRow } from '~~/core/reckon/sheet'
import type { Remark } from '~~/core/script/remark'

/** A stretch of a repeat's bracket beside one row. */
export interface Bracket {
  level: number
  part: 'top' | 'middle' | 'bottom' | 'whole'
  roundel: string | null
  /** The path of the repeat. */
  path: string
}

/** A row as the margins draw it. */
export interface MarginRow {
  row: SheetRow
  brackets: Bracket[]
}

/** What stands beside one line of text: its own row, or the rows that a shorthand line was read as. */
export interface SheetLine {
  rows: MarginRow[]
  isPreview: boolean
  remarks: Remark[]
}

export interface SheetData {
  lines: ReadonlyMap<number, SheetLine>
  /** Every row by its path. */
  rows: ReadonlyMap<string, SheetRow>
  levels: number
  /** The row at a path in spoken words. */
  say: (path: string) => string
}

export const emptySheet: SheetData = { lines: new Map(), rows: new Map(), levels: 0, say: () => '' }

/** The brackets of every row: each block hugs its rows, its roundel at the middle one. */
function bracketsOf(rows: readonly SheetRow[]): Bracket[][] {
  const brackets: Bracket[][] = rows.map(() => [])
  const levelOf = (path: string) => rows.filter(row => row.kind === 'block' && path.startsWith(`${row.path}.`)).length
  rows.forEach((block, start) => {
    if (block.kind !== 'block') return
    let end = start
    while (end + 1 < rows.length && rows[end + 1]!.path.startsWith(`${block.path}.`)) end++
    const level = levelOf(block.path)
    const middle = Math.floor((start + 1 + end) / 2)
    for (let index = start; index <= end; index++) {
      const part = start === end ? 'whole' : index === start ? 'top' : index === end ? 'bottom' : 'middle'
      brackets[index]!.push({ level, part, roundel: index === middle ? block.roundel : null, path: block.path })
    }
  })
  return brackets
}

/**
 * Sorts the rows of the sheet to the lines of text that said them.
 *
 * @param places where each path was said
 */
export function sheetLines(
  rows: readonly SheetRow[],
  places: ReadonlyMap<string, { line: number }>,
  remarks: readonly Remark[],
  say: (path: string) => string = () => '',
): SheetData {
  const lines = new Map<number, SheetLine>()
  const lineAt = (line: number) => {
    const known = lines.get(line)
    if (known) return known
    const made: SheetLine = { rows: [], isPreview: false, remarks: [] }
    lines.set(line, made)
    return made
  }
  const brackets = bracketsOf(rows)
  rows.forEach((row, index) => {
    const place = places.get(row.path)
    if (place) lineAt(place.line).rows.push({ row, brackets: brackets[index]! })
  })
  for (const line of lines.values()) line.isPreview = line.rows.length > 1
  for (const remark of remarks) lineAt(remark.line).remarks.push(remark)
  const levels = brackets.reduce((most, own) => Math.max(most, ...own.map(bracket => bracket.level + 1)), 0)
  return { lines, rows: new Map(rows.map(row => [row.path, row])), levels, say }
}

/** Extra height of a row in pixels: a gentle log of how long it lasts. */
export const growth = (seconds: number | null) =>
  seconds === null || seconds <= 60 ? 0 : Math.min(16, Math.round(3 * Math.log2(seconds / 60)))
