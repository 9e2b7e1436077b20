import type { SheetRow } from '../reckon/sheet'

/** The three papers, in millimetres. */
export const cardSizes = {
  'arm-band': { width: 60, height: 180, margin: 4, largest: 5, smallest: 2.4 },
  'index-card': { width: 127, height: 76, margin: 5, largest: 6, smallest: 2.4 },
  'a4': { width: 210, height: 297, margin: 15, largest: 8, smallest: 4 },
} as const

export type CardSize = keyof typeof cardSizes

/** A paper in millimetres, with the largest letters it gets and the smallest that are still read on it. */
export interface PaperSize {
  width: number
  height: number
  margin: number
  largest: number
  smallest: number
}

/** A mark on the paper; lengths in millimetres from the top left corner, text on its baseline. */
export type Mark =
  | { kind: 'text'; x: number; y: number; size: number; bold: boolean; text: string }
  | { kind: 'line'; x1: number; y1: number; x2: number; y2: number; width: number }
  | { kind: 'squares'; x: number; y: number; size: number; cells: readonly (readonly boolean[])[] }

export interface Card {
  width: number
  height: number
  title: string
  pages: Mark[][]
}

/** What stands on a card. */
export interface CardContent {
  title: string
  /** Sport, time and way in all. */
  summary: string
  rows: SheetRow[]
  /** The squares of a QR code of the script, dark ones true. */
  code?: readonly (readonly boolean[])[]
}

/** How wide a text is at size 1; the default is on the safe side of the shipped letters. */
export type Measure = (text: string, bold: boolean) => number

const usualMeasure: Measure = (text, bold) =>
  [...text].reduce(
    (sum, letter) => sum + (/[il.,:;'|!()[\] ]/.test(letter) ? 0.32 : /[MW@%]/.test(letter) ? 0.9 : /[A-Z\d]/.test(letter) ? 0.66 : 0.56),
    0,
  ) * (bold ? 1.06 : 1)

function wrapText(text: string, size: number, bold: boolean, room: number, measure: Measure): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`
    if (line === '' || measure(longer, bold) * size <= room) line = longer
    else {
      lines.push(line)
      line = word
    }
    while (measure(line, bold) * size > room && line.length > 1) {
      let fits = line.length - 1
      while (fits > 1 && measure(line.slice(0, fits), bold) * size > room) fits--
      lines.push(line.slice(0, fits))
      line = line.slice(fits)
    }
  }
  return [...lines, line]
}

interface LaidRow {
  row: SheetRow
  words: string[]
  aside: string[]
  height: number
  indent: number
}

const isBlock = (row: SheetRow) => row.kind === 'block' || row.kind === 'leg'
const plainWords = (row: SheetRow) =>
  isBlock(row)
    ? row.words.replace(/^off /, '').replace(/, drop last recovery/, '')
    : row.words.replace(/^off /, '').replace(/ \?\{.*\}$/, '')
/** What a row comes to is worth its room only where it says a target in numbers. */
const asideOf = (row: SheetRow) =>
  row.kind === 'step' && /@/.test(row.words) && row.comesTo !== '' && !row.words.includes(row.comesTo) ? row.comesTo : ''

function layRow(row: SheetRow, size: number, room: number, measure: Measure): LaidRow {
  const indent = row.depth * size * 1.15
  const words = wrapText(plainWords(row), size, isWork(row), room - indent, measure)
  const aside = asideOf(row) === '' ? [] : wrapText(asideOf(row), size * 0.85, false, room - indent, measure)
  return { row, words, aside, indent, height: (words.length * 1.2 + aside.length * 1.02 + 0.42) * size }
}

const isWork = (row: SheetRow) => isBlock(row) || !/^(?:between: )?(?:recovery|rest|warm-up|cool-down|transition)\b/.test(row.words)

interface Paper {
  width: number
  height: number
  margin: number
}

function headMarks(content: CardContent, paper: Paper, size: number, measure: Measure): { marks: Mark[]; bottom: number } {
  const room = paper.width - 2 * paper.margin
  const titleSize = Math.min(size * 1.25, 9)
  const marks: Mark[] = []
  let y = paper.margin
  for (const line of wrapText(content.title, titleSize, true, room, measure).slice(0, 2)) {
    y += titleSize * 1.1
    marks.push({ kind: 'text', x: paper.margin, y, size: titleSize, bold: true, text: line })
  }
  const summarySize = Math.max(2.2, size * 0.7)
  for (const line of wrapText(content.summary, summarySize, false, room, measure).slice(0, 2)) {
    y += summarySize * 1.35
    marks.push({ kind: 'text', x: paper.margin, y, size: summarySize, bold: false, text: line })
  }
  y += size * 0.5
  marks.push({ kind: 'line', x1: paper.margin, y1: y, x2: paper.width - paper.margin, y2: y, width: 0.5 })
  return { marks, bottom: y }
}

/** The bracket of a repeat beside its rows. */
function bracketMarks(laid: readonly LaidRow[], tops: readonly number[], size: number, left: number): Mark[] {
  const marks: Mark[] = []
  laid.forEach(({ row, indent, height }, index) => {
    if (row.kind !== 'block') return
    let last = index
    while (last + 1 < laid.length && laid[last + 1]!.row.path.startsWith(`${row.path}.`)) last++
    const x = left + indent + size * 0.42
    const bottom = tops[last]! + laid[last]!.height - size * 0.3
    if (last > index) {
      marks.push({ kind: 'line', x1: x, y1: tops[index]! + height, x2: x, y2: bottom, width: 0.45 })
      marks.push({ kind: 'line', x1: x, y1: bottom, x2: x + size * 0.4, y2: bottom, width: 0.45 })
    }
  })
  return marks
}

function rowMarks(laid: LaidRow, top: number, size: number, left: number, paper: Paper): Mark[] {
  const { row, words, aside, indent, height } = laid
  const marks: Mark[] = []
  let y = top
  for (const line of words) {
    y += size * 1.2
    marks.push({ kind: 'text', x: left + indent, y, size, bold: isWork(row), text: line })
  }
  for (const line of aside) {
    y += size * 1.02
    marks.push({ kind: 'text', x: left + indent, y, size: size * 0.85, bold: false, text: line })
  }
  if (row.depth === 0)
    marks.push({ kind: 'line', x1: paper.margin, y1: top + height, x2: paper.width - paper.margin, y2: top + height, width: 0.15 })
  return marks
}

const codeSide = (paper: Paper) => Math.min(34, paper.width - 2 * paper.margin)

/**
 * Lays a session out on paper in the look of the cue sheet: black on white, as large as the paper lets it be, onto more
 * pages where the smallest readable letters do not fit one.
 */
export function layCard(content: CardContent, size: CardSize | PaperSize, measure: Measure = usualMeasure): Card {
  const paper = typeof size === 'string' ? cardSizes[size] : size
  const room = paper.width - 2 * paper.margin
  const rows = content.rows.filter(row => !row.off)
  const codeHeight = content.code ? codeSide(paper) + 3 : 0
  const fits = (letters: number) => {
    const { bottom } = headMarks(content, paper, letters, measure)
    return (
      bottom + rows.reduce((sum, row) => sum + layRow(row, letters, room, measure).height, 0) + codeHeight <= paper.height - paper.margin
    )
  }
  let letters: number = paper.largest
  while (letters > paper.smallest && !fits(letters)) letters = Math.round((letters - 0.2) * 10) / 10
  const head = headMarks(content, paper, letters, measure)
  const laid = rows.map(row => layRow(row, letters, room, measure))
  const pages: Mark[][] = []
  let page = [...head.marks]
  let top = head.bottom
  let first = 0
  let tops: number[] = []
  const close = (end: number) => {
    page.push(...bracketMarks(laid.slice(first, end), tops, letters, paper.margin))
    pages.push(page)
    page = []
    top = paper.margin
    first = end
    tops = []
  }
  laid.forEach((row, index) => {
    if (top + row.height > paper.height - paper.margin && index > first) close(index)
    tops.push(top)
    page.push(...rowMarks(row, top, letters, paper.margin, paper))
    top += row.height
  })
  if (content.code) {
    const side = codeSide(paper)
    if (top + side + 3 > paper.height - paper.margin) close(laid.length)
    page.push({ kind: 'squares', x: (paper.width - side) / 2, y: top + 3, size: side, cells: content.code })
  }
  close(laid.length)
  return { width: paper.width, height: paper.height, title: content.title, pages: pages.filter(marks => marks.length > 0) }
}
