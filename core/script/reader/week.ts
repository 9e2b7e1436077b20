import { patternOf } from '../../quantity/pattern'
import type { Remark } from '../remark'
import type { DayHeading } from './day-heading'
import { daysByLetter, inEnglish, laterDays, severalDays } from './day-names'
import { dayMeant, isDayOff, readDayHeading } from './day-heading'
import type { DayName } from '../../session/document'
import { sportNamed } from '../token/sport-words'
import { namesLength } from './content'
import type { ReadContext } from './options'
import type { Line } from './state'

/** The lines of one session, with the heading of its day where it has one. */
export interface Part {
  lines: Line[]
  heading?: DayHeading
}

const mayBeHeading = patternOf('i', [
  String.raw`^\s*(?:[-*\u2022]+\s+)?(?:mon|tue|wed|thu|fri|sat|sun|\d{1,4}[-.\s]|\d{1,2}(?:st|nd|rd|th)|jan`,
  String.raw`|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)`,
])
/** The head of a day with courteous words around it. */
const courteous = /^[^:\d]{0,70}\b(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?\b[^:\d]{0,40}:/i
const isHeader = /^(?:title|sport|place|day|ceiling|prompt)\b/i

function headingRemark(line: Line, heading: DayHeading, isOnly: boolean): Remark {
  const from = line.raw.length - line.raw.trimStart().length
  const said = line.raw.slice(from, heading.length).trimEnd()
  const rest = line.raw.slice(heading.length).trim()
  const days = heading.day === '' ? [] : [heading.day, ...heading.others]
  return {
    line: line.number,
    column: from + 1,
    length: said.length,
    level: heading.level,
    code: heading.level === 'ask' ? 'date' : 'day',
    said,
    readAs: heading.day === '' ? `no day: a date without a year needs the week it is for` : `day ${heading.day}`,
    fixes: isOnly ? days.map(day => ({ label: `day ${day}`, replacement: `day ${day}${rest === '' ? '' : '\n'}` })) : [],
  }
}

/** The heading of each line that has one, and the further days of a line that is for several. */
function headingsOf(lines: readonly Line[], context: ReadContext) {
  const lettered = daysByLetter(lines.map(line => line.raw))
  const headings = new Map<Line, DayHeading>()
  const others = new Map<Line, DayName[]>()
  const named = (day: DayName, length: number): DayHeading => ({ day: dayMeant(day, context), length, level: 'note', others: [] })
  for (const [index, line] of lines.entries()) {
    const byLetter = lettered.get(index)
    const listed = byLetter ? null : severalDays(line.raw)
    if (byLetter) headings.set(line, named(byLetter.day, byLetter.length))
    else if (listed) {
      headings.set(line, named(listed.days[0]!, listed.length))
      others.set(line, listed.days.slice(1))
    } else {
      const heading =
        (mayBeHeading.test(line.raw) || courteous.test(line.raw)) && !isHeader.test(line.raw) ? readDayHeading(line.raw, context) : null
      if (heading) headings.set(line, heading)
    }
  }
  return { headings, others }
}

/** The remark on words of a line, from `from` on, that say a day off. */
function dayOffRemark(line: Line, from: number): Remark {
  const said = line.raw.slice(from).trim()
  const column = from + line.raw.slice(from).length - line.raw.slice(from).trimStart().length + 1
  const readAs = 'a day without a session'
  return { line: line.number, column, length: said.length, level: 'note', code: 'day-off', said, readAs, fixes: [] }
}

/**
 * Parts the lines of a pasted week by the headings of its days. Lines before the first heading go with the first day.
 * A day off gives no session, only a remark.
 */
export function partByDay(said: readonly Line[], context: ReadContext): { parts: Part[]; remarks: Remark[] } {
  const english = inEnglish(said.map(line => line.raw))
  const lines = said.map((line, index) => (english[index] === line.raw ? line : { ...line, raw: english[index]! })).flatMap(atDays)
  const { headings, others } = headingsOf(lines, context)
  const remarks: Remark[] = []
  if (headings.size === 0) return { parts: partByHalf({ lines: [...lines] }, remarks), remarks }
  const parts: Part[] = []
  let before: Line[] = []
  let part: Part | undefined
  for (const line of lines) {
    const heading = headings.get(line)
    if (!heading) {
      if (part) part.lines.push(line)
      else before.push(line)
      continue
    }
    remarks.push(headingRemark(line, heading, headings.size === 1))
    const { length: start } = heading
    part = { lines: [...before, { ...line, raw: ' '.repeat(start) + line.raw.slice(start), indent: 0, start }], heading }
    before = []
    if (isDayOff(line.raw.slice(start))) {
      remarks.push(dayOffRemark(line, start))
      before = part.lines.slice(0, -1)
      part.lines = []
    }
    parts.push(part)
    for (const day of others.get(line) ?? []) parts.push({ lines: part.lines, heading: { ...heading, day: dayMeant(day, context) } })
  }
  if (part && before.length > 0) part.lines.unshift(...before)
  for (const one of parts) dropDayOff(one, remarks)
  const written = parts.filter(({ lines: own }) => own.some(line => line.raw.trim() !== ''))
  return { parts: written.flatMap(splitPreamble).flatMap(found => partByHalf(found, remarks)), remarks }
}

/** A line in as many as there are days in it, each where it stands. */
function atDays(line: Line): Line[] {
  const cuts = laterDays(line.raw)
  if (cuts.length === 0) return [line]
  return [0, ...cuts].map((from, index) => ({
    ...line,
    raw: ' '.repeat(from) + line.raw.slice(from, cuts[index] ?? line.raw.length).replace(/[\s/;,.|]+$/, ''),
  }))
}

/** `Tuesday` on one line and `Rest` on the next. */
function dropDayOff(part: Part, remarks: Remark[]): void {
  const written = part.lines.filter(line => line.raw.trim() !== '')
  const [line] = written
  if (!line || written.length !== 1 || line.start > 0 || !isDayOff(line.raw)) return
  remarks.push(dayOffRemark(line, 0))
  part.lines = []
}

const halves = /(?:^|[,;/.]|(?<!\s)\s)\s*(am|pm|a\.m\.|p\.m\.|morning|evening)\b\s*:?\s*(?=\S)/gi
const sportWords = /^(run|ride|bike|cycle|swim)\b/i

/** Where a line begins to speak of the second half of the day. */
function secondHalf(line: Line): { at: number; to: number } | null {
  const found = [...line.raw.slice(line.start).matchAll(halves)].map(match => ({
    at: line.start + match.index,
    to: line.start + match.index + match[0].length,
    isLater: /^(?:p|e)/i.test(match[1]!),
  }))
  const later = found.find(({ isLater, at }) => isLater && namesLength(line.raw.slice(line.start, at)))
  return later ?? null
}

/** Two sessions of one day, the second from `PM` on. */
function partByHalf(part: Part, remarks: Remark[]): Part[] {
  const index = part.lines.findIndex(line => secondHalf(line) !== null || isLaterLine(part, line))
  if (index < 0) return [part]
  const line = part.lines[index]!
  const split = secondHalf(line) ?? {
    at: 0,
    to: line.raw.search(halves) < 0 ? 0 : line.raw.length - line.raw.replace(/^\s*(?:pm|p\.m\.|evening)\b\s*:?\s*/i, '').length,
  }
  const head = line.raw.slice(split.at, split.to)
  const from = split.at + head.length - head.trimStart().length
  const said = head.trim()
  const readAs = 'the second session of the day'
  remarks.push({ line: line.number, column: from + 1, length: said.length, level: 'note', code: 'half', said, readAs, fixes: [] })
  const sport = sportWords.exec(line.raw.slice(split.to))?.[1]
  const first: Line = { ...line, raw: line.raw.slice(0, split.at) }
  const second: Line = { ...line, raw: ' '.repeat(split.to) + line.raw.slice(split.to), start: split.to, indent: 0 }
  const { sport: _, ...heading } = part.heading ?? {}
  const own = sport === undefined ? part.heading : { ...heading, sport: sportNamed(sport) }
  return [
    { ...part, lines: [...part.lines.slice(0, index), first] },
    { lines: [second, ...part.lines.slice(index + 1)], ...(part.heading ? { heading: own as DayHeading } : {}) },
  ]
}

/** A line of its own that begins with the second half, below others of the first. */
const isLaterLine = ({ lines }: Part, line: Line) =>
  /^\s*(?:pm|p\.m\.|evening)\b/i.test(line.raw) &&
  lines.slice(0, lines.indexOf(line)).some(before => /^\s*(?:am|a\.m\.|morning)\b/i.test(before.raw))

/** Rows before the first heading are a session of their own; talk there goes with the day. */
function splitPreamble(part: Part): Part[] {
  const at = part.lines.findIndex(line => line.start > 0)
  const preamble = at < 0 ? [] : part.lines.slice(0, at)
  if (!preamble.some(line => namesLength(line.raw) && !isHeader.test(line.raw) && !line.raw.trimStart().startsWith('#'))) return [part]
  return [{ lines: preamble }, { ...part, lines: part.lines.slice(at) }]
}
