import { GutterMarker } from '@codemirror/view'
import type { SheetRow } from '~~/core/reckon/sheet'
import { formatTime } from '~~/core/quantity/time'
import { along, placeOf } from './band-place'
import type { Bracket, MarginRow } from './lines'
import { deskMarks as texts } from '~/texts/en'

function element(className: string, text = ''): HTMLElement {
  const made = document.createElement('div')
  made.className = className
  made.textContent = text
  return made
}

/** Darker, and hatched from critical on: effort is never told by hue alone. */
const effortClass = (middle: number) => (middle >= 100 ? 'hardest' : middle >= 92 ? 'hard' : middle >= 80 ? 'steady' : 'easy')

const lookOf = ({ band }: SheetRow) => (band ? `sheet-band ${effortClass((band.low + band.high) / 2)}` : 'sheet-open')
const unsaidEffort = { low: 60, high: 84 }
/** The efforts that the strings stand for as they are drawn. */
const strung = new WeakMap<HTMLElement, { low: number; high: number }>()

/** Sets a string's ends where the row's efforts are. */
function string(line: HTMLElement, row: SheetRow) {
  const band = row.band ?? unsaidEffort
  const now = strung.get(line)
  if (now && now.low === band.low && now.high === band.high) return
  strung.set(line, band)
  line.className = lookOf(row)
  const { left, width } = placeOf(band)
  line.style.left = `${left}%`
  line.style.width = `max(8px, ${width}%)`
}

function drawString(row: SheetRow): HTMLElement {
  const cell = element('sheet-string')
  if (row.band && !row.off) {
    cell.dataset.path = row.path
    cell.title = texts.dragAnEndTo
  }
  const critical = element('sheet-critical')
  critical.style.left = `${along(100)}%`
  cell.append(critical)
  if (row.off || row.kind !== 'step') return cell
  const line = element('')
  string(line, row)
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
    roundel.title = texts.dragToMovePress
    roundel.style.left = `${bracket.level * bracketPitch + 16}px`
    cell.append(roundel)
  }
  return cell
}

/** The columns beside the words: when and how often before them, how hard for how long after them. */
export type Column = 'before' | 'after'

const clockOf = (row: SheetRow) => (row.startsAt === null ? '\u00B7' : formatTime(Math.round(row.startsAt)))

function drawBefore({ row, brackets }: MarginRow): HTMLElement {
  const cell = element('sheet-before')
  cell.dataset.path = row.path
  const clock = element('sheet-number sheet-clock sheet-handle', clockOf(row))
  clock.dataset.path = row.path
  clock.title = texts.dragToMove
  cell.append(clock, element('sheet-number sheet-distance', row.distanceAt), drawSpine(brackets))
  return cell
}

function drawAfter({ row }: MarginRow): HTMLElement {
  const cell = element('sheet-after')
  cell.dataset.path = row.path
  cell.append(element('sheet-comes', row.comesTo), drawString(row))
  return cell
}

const drawings = { before: drawBefore, after: drawAfter }

/** Changes the text that stands in a cell; another node in its place would be laid out from nothing. */
function write(cell: Element, text: string) {
  const { firstChild } = cell
  if (!firstChild) cell.textContent = text
  else if (firstChild.nodeValue !== text) firstChild.nodeValue = text
}

function writeBefore(cell: Element, row: SheetRow) {
  write(cell.children[0]!, clockOf(row))
  write(cell.children[1]!, row.distanceAt)
}

function writeAfter(cell: Element, row: SheetRow) {
  write(cell.children[0]!, row.comesTo)
  const line = cell.children[1]!.children[1]
  if (line) string(line as HTMLElement, row)
}

/**
 * Writes what changed into the cells that stand: a longer row moves every clock below it, and cells made anew for each
 * would cost more than all the rest of a keystroke.
 *
 * @param isWanted leaves the other cells as they are
 */
export function writeMargins(
  sheet: HTMLElement,
  rows: ReadonlyMap<string, SheetRow>,
  isWanted: (path: string) => boolean = () => true,
): void {
  for (const [className, writeCell] of [
    ['sheet-before', writeBefore],
    ['sheet-after', writeAfter],
  ] as const) {
    for (const cell of sheet.getElementsByClassName(className)) {
      const path = (cell as HTMLElement).dataset.path!
      const row = rows.get(path)
      if (row && isWanted(path)) writeCell(cell, row)
    }
  }
}

const sameBrackets = (some: readonly Bracket[], others: readonly Bracket[]) =>
  some.length === others.length &&
  some.every(({ level, part, roundel, path }, index) => {
    const other = others[index]!
    return level === other.level && part === other.part && roundel === other.roundel && path === other.path
  })

/** Whether a column draws two rows alike, but for what is written in place. */
function looksSame(column: Column, one: MarginRow, other: MarginRow): boolean {
  const [row, otherRow] = [one.row, other.row]
  if (row.path !== otherRow.path) return false
  return column === 'before'
    ? sameBrackets(one.brackets, other.brackets)
    : row.kind === otherRow.kind && row.off === otherRow.off && !row.band === !otherRow.band
}

/** What one column shows beside one line: a single row, or the rows a shorthand line was read as. */
export class MarginMarker extends GutterMarker {
  constructor(
    readonly column: Column,
    readonly rows: readonly MarginRow[],
    readonly isStack: boolean,
  ) {
    super()
  }

  override eq(other: GutterMarker) {
    return (
      other instanceof MarginMarker &&
      other.column === this.column &&
      other.isStack === this.isStack &&
      other.rows.length === this.rows.length &&
      this.rows.every((row, index) => looksSame(this.column, row, other.rows[index]!))
    )
  }

  override toDOM() {
    if (!this.isStack) return drawings[this.column](this.rows[0]!)
    const stack = element('sheet-stack')
    for (const row of this.rows) {
      const cell = element('sheet-stack-row')
      cell.append(drawings[this.column](row))
      stack.append(cell)
    }
    return stack
  }
}
