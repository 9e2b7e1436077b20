import { GutterMarker } from '@codemirror/view'
import { effortAxis } from '~~/core/reckon/sheet'
import type { SheetRow } from '~~/core/reckon/sheet'
import { formatTime } from '~~/core/quantity/time'
import type { Bracket, MarginRow } from './lines'

function element(className: string, text = ''): HTMLElement {
  const made = document.createElement('div')
  made.className = className
  made.textContent = text
  return made
}

const along = (percent: number) => Math.min(100, Math.max(0, (percent - effortAxis.low) / (effortAxis.high - effortAxis.low) * 100))

/** Darker, and hatched from critical on: effort is never told by hue alone. */
const effortClass = (middle: number) => middle >= 100 ? 'hardest' : middle >= 92 ? 'hard' : middle >= 80 ? 'steady' : 'easy'

function drawString(row: SheetRow): HTMLElement {
  const cell = element('sheet-string')
  if (row.band && !row.off) {
    cell.dataset.path = row.path
    cell.title = 'Drag an end to change the band'
  }
  const critical = element('sheet-critical')
  critical.style.left = `${along(100)}%`
  cell.append(critical)
  if (row.off || row.kind !== 'step') return cell
  const line = element(row.band ? `sheet-band ${effortClass((row.band.low + row.band.high) / 2)}` : 'sheet-open')
  const band = row.band ?? { low: 60, high: 84 }
  line.style.left = `${along(band.low)}%`
  line.style.width = `max(8px, ${along(band.high) - along(band.low)}%)`
  cell.append(line)
  return cell
}

/** Pixels from one nested bracket to the next: room for a roundel. */
const bracketPitch = 26

function drawBracket(bracket: Bracket): HTMLElement {
  const drawn = element(`sheet-bracket ${bracket.part}`)
  drawn.style.left = `${bracket.level * bracketPitch + 16}px`
  return drawn
}

function drawSpine(brackets: readonly Bracket[]): HTMLElement {
  const cell = element('sheet-spine')
  for (const bracket of brackets) cell.append(drawBracket(bracket))
  for (const bracket of brackets) {
    if (!bracket.roundel) continue
    const roundel = element('sheet-roundel', bracket.roundel)
    roundel.dataset.path = bracket.path
    roundel.title = 'Drag to move, press to change the count'
    roundel.style.left = `${bracket.level * bracketPitch + 16}px`
    cell.append(roundel)
  }
  return cell
}

/** The columns beside the words, in the order they stand: when, the repeats, and how hard for how long. */
export type Column = 'when' | 'spine' | 'effort'

const clockOf = (row: SheetRow) => row.startsAt === null ? '\u00B7' : formatTime(Math.round(row.startsAt))
const kilometresOf = (row: SheetRow) => row.metresAt === null ? '' : (row.metresAt / 1000).toFixed(1)

function drawWhen({ row }: MarginRow): HTMLElement {
  const cell = element('sheet-when')
  const clock = element('sheet-number sheet-clock sheet-handle', clockOf(row))
  clock.dataset.path = row.path
  clock.title = 'Drag to move'
  cell.append(clock, element('sheet-number sheet-way', kilometresOf(row)))
  return cell
}

/** Changes the text that stands in a cell; another node in its place would be laid out from nothing. */
function write(cell: Element, text: string) {
  const { firstChild } = cell
  if (!firstChild) cell.textContent = text
  else if (firstChild.nodeValue !== text) firstChild.nodeValue = text
}

/**
 * Writes the clocks and ways that changed into the cells that stand: a longer row moves every clock below it, and
 * cells made anew for each would cost more than all the rest of a keystroke.
 *
 * @param isWanted leaves the other cells as they are
 */
export function writeClocks(sheet: HTMLElement, rows: ReadonlyMap<string, SheetRow>, isWanted: (path: string) => boolean = () => true): void {
  for (const clock of sheet.getElementsByClassName('sheet-clock')) {
    const path = (clock as HTMLElement).dataset.path!
    const row = rows.get(path)
    if (!row || !isWanted(path)) continue
    write(clock, clockOf(row))
    write(clock.nextElementSibling!, kilometresOf(row))
  }
}

function drawEffort({ row }: MarginRow): HTMLElement {
  const cell = element('sheet-effort')
  cell.append(element('sheet-comes', row.comesTo), drawString(row))
  return cell
}

function draw(column: Column, margin: MarginRow): HTMLElement {
  switch (column) {
    case 'when': return drawWhen(margin)
    case 'spine': return drawSpine(margin.brackets)
    case 'effort': return drawEffort(margin)
  }
}

const sameBrackets = (some: readonly Bracket[], others: readonly Bracket[]) => some.length === others.length && some.every(({ level, part, roundel, path }, index) => {
  const other = others[index]!
  return level === other.level && part === other.part && roundel === other.roundel && path === other.path
})

/** Whether a column draws two rows alike, but for the clocks, which are written in place. */
function looksSame(column: Column, one: MarginRow, other: MarginRow): boolean {
  const [row, otherRow] = [one.row, other.row]
  switch (column) {
    case 'when': return row.path === otherRow.path
    case 'spine': return sameBrackets(one.brackets, other.brackets)
    case 'effort': return row.path === otherRow.path && row.kind === otherRow.kind && row.off === otherRow.off && row.comesTo === otherRow.comesTo
      && row.band?.low === otherRow.band?.low && row.band?.high === otherRow.band?.high
  }
}

/** What one column shows beside one line: a single row, or the rows a shorthand line was read as. */
export class MarginMarker extends GutterMarker {
  constructor(readonly column: Column, readonly rows: readonly MarginRow[], readonly isStack: boolean) {
    super()
  }

  override eq(other: GutterMarker) {
    return other instanceof MarginMarker && other.column === this.column && other.isStack === this.isStack && other.rows.length === this.rows.length
      && this.rows.every((row, index) => looksSame(this.column, row, other.rows[index]!))
  }

  override toDOM() {
    if (!this.isStack) return draw(this.column, this.rows[0]!)
    const stack = element('sheet-stack')
    for (const row of this.rows) {
      const cell = element('sheet-stack-row')
      cell.append(draw(this.column, row))
      stack.append(cell)
    }
    return stack
  }
}
