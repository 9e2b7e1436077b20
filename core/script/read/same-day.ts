import type { Item, Session } from '../../session/document'
import { printItem } from '../print'
import type { Remark } from '../remark'
import type { DayHeading } from './day-heading'
import { dayInWeek } from './day-heading'
import type { ReadOptions, RowPlace } from './options'
import type { Line } from './state'

const asAnotherDay = /^(?:the\s+)?(?:(?:same(?:\s+(?:session|again|thing|one))?\s+as|as|like|repeat)\s+(?:on\s+)?)(mon|tue|wed|thu|fri|sat|sun)[a-z]*(?:['\u2019]s)?(?:\s+session)?(?:\s+again)?\s*[.!]?$/i

/** A session that says no more than that it is another day's over again. */
export interface SameDay { session: Session, remarks: Remark[], places: Map<string, RowPlace> }

/** Whether a session is on a named day, by its name or its date. */
const isOn = ({ day }: Session, name: string) => day !== undefined && (day === name || (/^\d/.test(day) && dayInWeek(name, day) === day))

function placeAll(items: readonly Item[], prefix: string, place: RowPlace, into: Map<string, RowPlace>): void {
  items.forEach((item, index) => {
    into.set(`${prefix}${index + 1}`, place)
    if (item.kind === 'block' || item.kind === 'leg') placeAll(item.items, `${prefix}${index + 1}.`, place, into)
  })
}

/**
 * Reads `same as Monday`: the session of that day, earlier in the text, over again. Null where the lines say anything
 * else, or there is no such day before them.
 *
 * @param before the sessions read so far, in the order of the text
 */
export function readSameDay(lines: readonly Line[], heading: DayHeading | undefined, before: readonly Session[], { week }: ReadOptions): SameDay | null {
  const written = lines.filter(line => line.raw.trim() !== '')
  const [line] = written
  if (!heading || !line || written.length !== 1) return null
  const words = line.raw.trim()
  const named = asAnotherDay.exec(words)?.[1]?.toLowerCase()
  const model = named && before.findLast(session => isOn(session, named))
  if (!model) return null
  const session = structuredClone(model)
  if (heading.day === '') delete session.day
  else session.day = week === undefined ? heading.day : dayInWeek(heading.day, week)
  const column = line.raw.length - line.raw.trimStart().length + 1
  const printed = session.items.map(item => printItem(item)).join('\n')
  const places = new Map<string, RowPlace>()
  placeAll(session.items, '', { line: line.number, column, length: words.length, said: words }, places)
  return {
    session, places,
    remarks: [{ line: line.number, column, length: words.length, level: 'note', code: 'same-day', said: words, readAs: printed, fixes: [{ label: 'set out in rows', replacement: printed }] }],
  }
}
