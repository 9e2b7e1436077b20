import { isDate } from '../../quantity/day'
import { patternOf } from '../../quantity/pattern'
import type { Block, Item, Session, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { printSession } from '../print'
import type { Remark } from '../remark'
import type { DayHeading } from './day-heading'
import { dayMeant, isNamed } from './day-heading'
import type { ReadContext, RowPlace } from './options'
import type { Line } from './state'

const asAnotherDay = patternOf('i', [
  String.raw`^(?:the\s+)?(?:(?:same(?:\s+(?:session|again|thing|one))?\s+as|as|like`,
  String.raw`|repeat)\s+(?:on\s+)?)(mon|tue|wed|thu|fri|sat`,
  String.raw`|sun)[a-z]*(?:['\u2019]s)?(?:\s+session)?(?:\s+again)?(?:,?\s*(?:but|with|only`,
  String.raw`|just)?\s*(?:with\s+|only\s+|just\s+|do\s+)?(\d{1,4})\s*(?:x|\u00D7|times|rounds?|sets?`,
  String.raw`|reps?)(?:\s+(?:only|instead|this time))?)?\s*[.!]?$`,
])

/** A session that says no more than that it is another day's over again. */
export interface SameDay {
  session: Session
  remarks: Remark[]
  places: Map<string, RowPlace>
}

/** Whether a session is on a named day, by its name or its date. */
const isOn = ({ day }: Session, name: string) => day === name || (isDate(day) && isNamed(day, name))

function placeAll(items: readonly Item[], prefix: string, place: RowPlace, into: Map<string, RowPlace>): void {
  items.forEach((item, index) => {
    into.set(`${prefix}${index + 1}`, place)
    if (item.kind === 'block' || item.kind === 'leg') placeAll(item.items, `${prefix}${index + 1}.`, place, into)
  })
}

/** Gives the one repeat of a session another count; false, and its first row in doubt, where there is none or several. */
function recount(session: Session, times: number, said: string): boolean {
  const counted = session.items.filter((item): item is Block => item.kind === 'block' && item.repeat.times !== undefined)
  if (counted.length === 1 && times >= 1 && times <= limits.times) {
    counted[0]!.repeat = { times }
    return true
  }
  const first = counted[0] ?? session.items.find((item): item is Step => item.kind === 'step')
  if (first) first.doubt = { said }
  return false
}

/** Headers but the day's own, and rows; a run without further headers says itself by its rows. */
function setOut(session: Session): string {
  const { day: _, ...anyDay } = session
  const [headers, ...rows] = printSession(anyDay).trimEnd().split('\n\n')
  return headers === 'sport run' ? rows.join('\n\n') : `\n${[headers, ...rows].join('\n\n')}`
}

/**
 * Reads `same as Monday`, `same as Monday but 4 x`: the session of that day, earlier in the text, over again. Null where
 * the lines say anything else, or there is no such day before them. A count that no one repeat can take is asked about.
 *
 * @param before the sessions read so far, in the order of the text
 */
export function readSameDay(
  lines: readonly Line[],
  heading: DayHeading | undefined,
  before: readonly Session[],
  context: ReadContext,
): SameDay | null {
  const written = lines.filter(line => line.raw.trim() !== '')
  const [line] = written
  if (!heading || !line || written.length !== 1) return null
  const words = line.raw.trim()
  const [, named, count] = asAnotherDay.exec(words) ?? []
  const model = named && before.findLast(session => isOn(session, named.toLowerCase()))
  if (!model) return null
  const session = structuredClone(model)
  const isSure = count === undefined || recount(session, Number(count), words)
  if (heading.day === '') delete session.day
  else session.day = dayMeant(heading.day, context)
  const column = line.raw.length - line.raw.trimStart().length + 1
  const printed = setOut(session)
  const places = new Map<string, RowPlace>()
  placeAll(session.items, '', { line: line.number, column, length: words.length, said: words }, places)
  return {
    session,
    places,
    remarks: [
      {
        line: line.number,
        column,
        length: words.length,
        level: isSure ? 'note' : 'ask',
        code: 'same-day',
        said: words,
        readAs: isSure ? printed.trim() : `as that day; which repeat is meant by ${count} times is not clear`,
        fixes: [{ label: 'set out in rows', replacement: printed }],
      },
    ],
  }
}
