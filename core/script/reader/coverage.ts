import { patternOf } from '../../quantity/pattern'
import { linesOf } from '../lines'
import { peel } from './peel'
import type { ReadResult } from './read-script'

export type StretchKind = 'row' | 'header' | 'note' | 'separator' | 'left-over'

/** A stretch of one line of the text, and what became of it. */
export interface TextSpan {
  /** 1-based. */
  line: number
  /** 1-based, in UTF-16 units. */
  column: number
  text: string
  kind: StretchKind
  /** For a row: the session, counted from 0, and the path of the item it became. */
  session?: number
  path?: string
}

const headerLine = /^(?:title|sport|place|day|ceiling|prompt):? +|^\s*leg (?:run|ride|swim)\b|^---$/i
const noteLine = /^\s*#(?: |$)/
const onlySigns = patternOf('iu', [
  String.raw`^(?:[\s,;:+&/|()[\]{}.!?\u2013\u2014\u2022*>#=_\x60"-]|\p{Extended_Pictographic}|\p{Emoji_Modifier}|\uFE0F|\u200D|\u20E3`,
  String.raw`|\b(?:and|und|et|then|with|w|plus|followed|preceded|before|after(?:wards)?|that|which|by)\b)*$`,
])
const wholeLineCodes = new Set(['spelling', 'sport', 'doubt-open', 'legs'])
const leftOverCodes = new Set(['chatter', 'left-over', 'label', 'day-off', 'unreadable', 'header', 'unread', 'past-limit'])

const bullet = /^\s*(?:[-*\u2022]\s+)?\(?\d{1,2}[.)]/

const isNoteMark = (words: string) => words.includes('#') && onlySigns.test(words.slice(0, words.indexOf('#')))

interface Mark {
  from: number
  to: number
  kind: StretchKind
  session?: number
  path?: string
}

function marksByLine(result: ReadResult): Map<number, Mark[]> {
  const marks = new Map<number, Mark[]>()
  const add = (line: number, mark: Mark) => {
    const known = marks.get(line)
    if (known) known.push(mark)
    else marks.set(line, [mark])
  }
  result.places.forEach((places, session) => {
    for (const [path, place] of places)
      for (const { line, column, length } of [place, ...(place.further ?? [])])
        add(line, { from: column - 1, to: column - 1 + length, kind: 'row', session, path })
  })
  for (const remark of result.remarks) {
    if (wholeLineCodes.has(remark.code)) continue
    const kind = leftOverCodes.has(remark.code) ? 'left-over' : 'note'
    add(remark.line, { from: remark.column - 1, to: remark.column - 1 + remark.length, kind })
  }
  return marks
}

/** What wins where marks overlap: words left over are shown as such even within the row that keeps them. */
const rank: Record<StretchKind, number> = { 'left-over': 4, 'row': 3, 'header': 2, 'note': 1, 'separator': 0 }

function strongest(marks: readonly Mark[], at: number): Mark | null {
  let best: Mark | null = null
  for (const mark of marks) {
    if (at < mark.from || at >= mark.to) continue
    const isCloser = best !== null && mark.kind === best.kind && mark.to - mark.from < best.to - best.from
    if (best === null || rank[mark.kind] > rank[best.kind] || isCloser) best = mark
  }
  return best
}

/** @param bare the line without what stands around its words, as long as before */
function stretchesOf(text: string, bare: string, line: number, marks: readonly Mark[]): TextSpan[] {
  if (text === '') return []
  if (noteLine.test(text)) return [{ line, column: 1, text, kind: 'note' }]
  if (headerLine.test(text) && !marks.some(mark => mark.kind === 'row' || mark.kind === 'left-over'))
    return [{ line, column: 1, text, kind: 'header' }]
  const stretches: TextSpan[] = []
  let start = 0
  let current = strongest(marks, 0)
  const close = (end: number) => {
    const words = text.slice(start, end)
    const isBullet = start === 0 && bullet.test(words) && onlySigns.test(words.replace(bullet, ''))
    const kind =
      current?.kind ?? (isNoteMark(words) ? 'note' : isBullet || onlySigns.test(bare.slice(start, end)) ? 'separator' : 'left-over')
    const place = current?.kind === 'row' ? { session: current.session!, path: current.path! } : {}
    stretches.push({ line, column: start + 1, text: words, kind, ...place })
    start = end
  }
  for (let at = 1; at < text.length; at++) {
    const next = strongest(marks, at)
    if (next === current) continue
    close(at)
    current = next
  }
  close(text.length)
  return stretches
}

/**
 * What became of every character of a text: a row, a header, a note, a sign between, or words that became nothing.
 *
 * Law: the stretches of a line, joined, are the line.
 */
export function coverText(text: string, result: ReadResult): TextSpan[] {
  const marks = marksByLine(result)
  const lines = linesOf(text)
  const bare = peel(lines)
  return lines.flatMap((line, index) => stretchesOf(line, bare[index]!, index + 1, marks.get(index + 1) ?? []))
}
