import { saySessionProblem } from '../../words/session-problems'
import type { Session } from '../../session/document'
import { checkSession } from '../../session/check'
import { limits } from '../../session/limits'
import type { Remark } from '../remark'
import type { RowResult } from '../as-run'
import { takeResult } from '../as-run'
import type { Standpoint } from '../../athlete/standpoint'
import type { MessageHints, ReadContext, RowPlace } from './options'
import { linesOf } from '../lines'
import { peel } from './peel'
import { readSameDay } from './same-day'
import { readSession } from './session'
import type { Line } from './state'
import { partByDay } from './week'

export type { MessageHints, RowPlace } from './options'

export interface ReadResult {
  sessions: Session[]
  remarks: Remark[]
  /** For each session, where each item stands in the text, by path. */
  places: Map<string, RowPlace>[]
  /** For each session, what came of a row, by path, where its text says so behind `=>`. */
  results: Map<string, RowResult>[]
}

const indentOf = (raw: string) => {
  let indent = 0
  while (raw[indent] === ' ' || raw[indent] === '\t') indent++
  return indent
}

/** No character takes more than three bytes in UTF-8, for each of the units that its length counts. */
const isTooLong = (text: string) =>
  text.length > limits.textBytes || (text.length * 3 > limits.textBytes && new TextEncoder().encode(text).length > limits.textBytes)

/**
 * Reads a script, canonical or as people write it, into sessions. Never throws and never guesses silently:
 * whatever was not canonical has a remark, and a line nobody can read is kept as an unread item.
 *
 * Laws: `print(read(t))` equals `t` for canonical `t`; canonical text yields no note; every remark's stretch lies in the text.
 *
 * @param text up to 1 MB; sessions are parted by a line `---`
 * @param standpoint whose units and habits fill what the text leaves open, and from which day a date without a year is the next
 */
export function readScript(text: string, standpoint: Standpoint, hints: MessageHints = {}): ReadResult {
  const context: ReadContext = { standpoint, ...hints }
  const result: ReadResult = { sessions: [], remarks: [], places: [], results: [] }
  if (isTooLong(text)) {
    result.remarks.push({
      line: 1,
      column: 1,
      length: 0,
      level: 'error',
      code: 'too-long',
      said: '',
      fixes: [],
      readAs: 'text over 1 MB is not read; part it into several',
    })
    return result
  }
  const said = linesOf(text)
  const lines = peel(said)
  const results = takeResults(lines)
  let start = 0
  for (let index = 0; index <= lines.length; index++) {
    if (index < lines.length && lines[index]!.trim() !== '---') continue
    const own = lines.slice(start, index)
    if (own.some(line => line.trim() !== '') || (index === lines.length && result.sessions.length === 0)) {
      const chunk = own.map((raw, offset): Line => ({ number: start + 1 + offset, raw, indent: indentOf(raw), start: 0 }))
      const { parts, remarks: dayRemarks } = partByDay(chunk, context)
      result.remarks.push(...dayRemarks)
      for (const part of parts) {
        const { session, remarks, places } =
          readSameDay(part.lines, part.heading, result.sessions, context) ?? readSession(part.lines, context, part.heading)
        result.sessions.push(session)
        result.places.push(places)
        result.results.push(resultsAt(places, results))
        for (const remark of remarks) result.remarks.push(remark)
        result.remarks.push(...limitRemarks(session, places, part.lines[0]?.number ?? start + 1))
      }
    }
    start = index + 1
  }
  for (const remark of result.remarks)
    if (remark.said !== '' && !remark.said.includes('\n'))
      remark.said = said[remark.line - 1]!.slice(remark.column - 1, remark.column - 1 + remark.length)
  result.remarks.sort((a, b) => a.line - b.line || a.column - b.column)
  return result
}

/** Takes the results off the rows, by line number; the lines stay as long as they were said. */
function takeResults(lines: string[]): Map<number, RowResult> {
  const results = new Map<number, RowResult>()
  for (let index = 0; index < lines.length; index++) {
    const taken = takeResult(lines[index]!)
    if (!taken) continue
    lines[index] = taken.row
    results.set(index + 1, taken.result)
  }
  return results
}

/** A result belongs to the one row of its line. */
function resultsAt(places: ReadonlyMap<string, RowPlace>, results: ReadonlyMap<number, RowResult>): Map<string, RowResult> {
  const found = new Map<string, RowResult>()
  if (results.size === 0) return found
  for (const [path, place] of places) {
    const result = results.get(place.line)
    if (result && !found.has(path)) found.set(path, result)
  }
  return found
}

function limitRemarks(session: Session, places: Map<string, RowPlace>, firstLine: number): Remark[] {
  return checkSession(session)
    .filter(problem => problem.code !== 'unread')
    .map(problem => {
      const place = problem.path === undefined ? undefined : places.get(problem.path)
      return {
        line: place?.line ?? firstLine,
        column: place?.column ?? 1,
        length: place?.length ?? 0,
        level: 'error',
        code: problem.code,
        said: place?.said ?? '',
        readAs: saySessionProblem(problem),
        fixes: [],
      }
    })
}
