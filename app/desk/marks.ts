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

/** The columns beside the words, in the order they stand. */
export type Column = 'clock' | 'way' | 'spine' | 'comes' | 'string'

function draw(column: Column, { row, brackets }: MarginRow): HTMLElement {
  switch (column) {
    case 'clock': {
      const cell = element('sheet-number sheet-handle', row.startsAt === null ? '\u00B7' : formatTime(Math.round(row.startsAt)))
      cell.dataset.path = row.path
      cell.title = 'Drag to move'
      return cell
    }
    case 'way': return element('sheet-number', row.metresAt === null ? '' : (row.metresAt / 1000).toFixed(1))
    case 'spine': return drawSpine(brackets)
    case 'comes': return element('sheet-comes', row.comesTo)
    case 'string': return drawString(row)
  }
}

/** What one column shows beside one line: a single row, or the rows a shorthand line was read as. */
export class MarginMarker extends GutterMarker {
  constructor(readonly column: Column, readonly rows: readonly MarginRow[], readonly isStack: boolean) {
    super()
  }

  override eq(other: GutterMarker) {
    return other instanceof MarginMarker && other.column === this.column && other.isStack === this.isStack
      && JSON.stringify(other.rows) === JSON.stringify(this.rows)
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
