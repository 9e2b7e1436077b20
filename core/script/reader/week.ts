import { patternOf } from '../../quantity/pattern'
import type { Remark } from '../remark'
import type { DayHeading } from './day-heading'
import { isDayOff, readDayHeading } from './day-heading'
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

/**
 * Parts the lines of a pasted week by the headings of its days. Lines before the first heading go with the first day.
 * A day off gives no session, only a remark.
 */
export function partByDay(lines: readonly Line[], context: ReadContext): { parts: Part[]; remarks: Remark[] } {
  const headings = new Map<Line, DayHeading>()
  for (const line of lines) {
    const heading = mayBeHeading.test(line.raw) && !isHeader.test(line.raw) ? readDayHeading(line.raw, context) : null
    if (heading) headings.set(line, heading)
  }
  if (headings.size === 0) return { parts: [{ lines: [...lines] }], remarks: [] }
  const remarks: Remark[] = []
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
    const rest = line.raw.slice(heading.length)
    const start = heading.length
    part = { lines: [...before, { ...line, raw: ' '.repeat(start) + rest, indent: 0, start }], heading }
    before = []
    if (isDayOff(rest)) {
      const from = rest.length - rest.trimStart().length + start
      remarks.push({
        line: line.number,
        column: from + 1,
        length: line.raw.trimEnd().length - from,
        level: 'note',
        code: 'day-off',
        said: rest.trim(),
        readAs: 'a day without a session',
        fixes: [],
      })
      before = part.lines.slice(0, -1)
      part.lines = []
    }
    parts.push(part)
  }
  if (part && before.length > 0) part.lines.unshift(...before)
  return {
    parts: parts.filter(({ lines: own }) => own.some(line => line.raw.trim() !== '')).flatMap(found => splitPreamble(found)),
    remarks,
  }
}

/** Rows before the first heading are a session of their own; talk there goes with the day. */
function splitPreamble(part: Part): Part[] {
  const at = part.lines.findIndex(line => line.start > 0)
  const preamble = at < 0 ? [] : part.lines.slice(0, at)
  if (!preamble.some(line => namesLength(line.raw) && !isHeader.test(line.raw) && !line.raw.trimStart().startsWith('#'))) return [part]
  return [{ lines: preamble }, { ...part, lines: part.lines.slice(at) }]
}
