import { sports } from '../../session/sports'
import { unitsOf } from '../../athlete/athlete'
import type { Item, Session, SessionSport, Sport } from '../../session/document'
import type { Remark } from '../remark'
import { printEnd, printRepeat, printSession } from '../print'
import type { DayHeading } from './day-heading'
import { dayMeant } from './day-heading'
import { parsePlace } from './headers'
import { readHourClocks } from './hour-clock'
import { settleSteps } from './known-rows'
import { namedSports } from '../token/sport-words'
import { intoLegs } from './legs'
import type { ReadContext, RowPlace } from './options'
import { readRows } from './rows'
import { fold } from '../token/fold'
import { settleSoftSteps } from './soft'
import type { Line, LineReading, State } from './state'
import { addRemark, addSpelling, lengthThrough, settingFor } from './state'

/** The sport whose signs a text shows first. */
const inferSport = (text: string): Sport | null =>
  (Object.keys(sports) as Sport[]).find(sport => sports[sport].signs.some(sign => sign.test(text))) ?? null

function paths(items: readonly Item[], places: Map<Item, RowPlace>, prefix: string, into: Map<string, RowPlace>): void {
  items.forEach((item, index) => {
    const path = `${prefix}${index + 1}`
    const place = places.get(item)
    if (place) into.set(path, place)
    if (item.kind === 'block' || item.kind === 'leg') paths(item.items, places, `${path}.`, into)
  })
}

const doubtMark = /\s?\?\{(?:\\.|[^\\}])+\}/

/** The words of a row that a doubt's other reading would replace. */
function doubtfulWords(item: Item): string | null {
  if (item.kind === 'step')
    return printEnd(item.end.on === 'send-off' ? { on: 'distance', value: item.end.value, unit: item.end.unit } : item.end)
  return item.kind === 'block' ? printRepeat(item.repeat) : null
}

/** Goes on asking about doubts that stand in the text: each can be settled as it stands, or the other way. */
function openDoubts(state: State): void {
  state.places.forEach((place, item) => {
    const doubt = item.kind === 'step' || item.kind === 'block' ? item.doubt : undefined
    const mark = doubt && doubtMark.exec(place.said)
    if (!mark) return
    const row = place.said.slice(0, mark.index + mark[0].length)
    const settled = row.slice(0, mark.index)
    const words = doubtfulWords(item)
    const others = words === null ? [] : (doubt.others ?? [])
    state.remarks.push({
      line: place.line,
      column: place.column,
      length: row.length,
      level: 'ask',
      code: 'doubt-open',
      said: row,
      readAs: settled,
      fixes: [
        { label: 'right as it stands', replacement: settled },
        ...others.map(other => ({ label: other, replacement: settled.replace(words!, other) })),
      ],
    })
  })
}

/** A bare `#` says nothing unless another line of the note follows. */
function dropEmptyNotes(session: Session, items: readonly Item[]): void {
  if (session.note === '') delete session.note
  for (const item of items) {
    if ((item.kind === 'step' || item.kind === 'block') && item.note === '') delete item.note
    if (item.kind === 'block' || item.kind === 'leg') dropEmptyNotes(session, item.items)
  }
}

/** The first line that a header's pattern fits, taken apart by it. */
const firstMatch = (lines: readonly Line[], pattern: RegExp) => pattern.exec(lines.find(line => pattern.test(line.raw))?.raw ?? '')

const statedSport = (lines: readonly Line[]) =>
  firstMatch(lines, /^sport:?\s+(run|ride|swim|multi)\s*$/i)?.[1]?.toLowerCase() as SessionSport | undefined

interface TakenSport {
  sport: SessionSport
  isSaid: boolean
  isByPiece: boolean
}

/** A day's heading wins, then a `sport` line, then the option, then what the pieces name, then other signs; else a run. */
function sportFor(
  lines: readonly Line[],
  stated: SessionSport | undefined,
  context: ReadContext,
  heading: DayHeading | undefined,
): TakenSport {
  const headed = heading?.sport
  if (headed && [...namedSports(`${headed} 1, ${fold(lines.map(line => line.raw).join('\n'))}`)].some(sport => sport !== headed))
    return { sport: 'multi', isSaid: false, isByPiece: true }
  const said = headed ?? stated ?? context.sport
  if (said) return { sport: said, isSaid: true, isByPiece: false }
  const text = fold(lines.map(line => line.raw).join('\n'))
  if (/^leg (?:run|ride|swim)\b/m.test(text)) return { sport: 'multi', isSaid: false, isByPiece: false }
  if (namedSports(text).size > 1) return { sport: 'multi', isSaid: false, isByPiece: true }
  return { sport: inferSport(text) ?? 'run', isSaid: false, isByPiece: false }
}

/** The legs of a session whose pieces named several sports, with the whole of it set out in rows as the one fix. */
function settleLegs(state: State, lines: readonly Line[]): void {
  const { session } = state
  state.readings = state.readings.map(reading => ({ ...reading, printed: () => reading.line.raw.slice(reading.line.start) }))
  const written = lines.filter(line => line.raw.trim() !== '')
  const [first, last] = [written[0]!, written.at(-1)!]
  const length = lengthThrough(lines, first, last)
  const printed = printSession(session).trimEnd()
  state.remarks.push({
    line: first.number,
    column: 1,
    length,
    level: 'note',
    code: 'legs',
    said: '',
    readAs: printed,
    fixes: [{ label: 'set out in legs', replacement: printed }],
  })
}

/**
 * Reads the lines of one session.
 *
 * @param heading of the day in whose lines it stands
 */
export function readSession(
  lines: Line[],
  context: ReadContext,
  heading?: DayHeading,
): { session: Session; remarks: Remark[]; places: Map<string, RowPlace> } {
  const stated = statedSport(lines)
  const { sport, isSaid, isByPiece } = sportFor(lines, stated, context, heading)
  const place = parsePlace(firstMatch(lines, /^place:?\s+(.+)$/i)?.[1] ?? '')
  const pool = place?.kind === 'pool' ? place : undefined
  const poolUnit = pool?.unit ?? unitsOf(context.standpoint.athlete).swim
  const poolLength = pool?.length
  const setting = settingFor(sport === 'multi' ? (heading?.sport ?? 'run') : sport, context, poolUnit, poolLength)
  if (isByPiece)
    setting.bySport = {
      run: settingFor('run', context, poolUnit),
      ride: settingFor('ride', context, poolUnit),
      swim: settingFor('swim', context, poolUnit, poolLength),
    }
  const session: Session = { format: 'agonis.session', version: 1, sport, items: [] }
  if (heading && heading.day !== '') session.day = heading.day
  const state: State = {
    session,
    setting,
    context,
    soft: new Map(),
    knownAs: new Map(),
    sports: new Map(),
    readings: [],
    remarks: [],
    places: new Map(),
    steps: 0,
  }
  readRows(state, { lines, at: 0 }, 0, session.items)
  if (heading?.sport && !isByPiece) session.sport = heading.sport
  if (session.day !== undefined) session.day = dayMeant(session.day, context)
  if (isByPiece) session.items = intoLegs(session.items, state.sports)
  settleSoftSteps(session, state.soft)
  dropEmptyNotes(session, session.items)
  if (stated === undefined) readHourClocks(state, state.places)
  if (isByPiece && session.items.length > 0) settleLegs(state, lines)
  for (const reading of state.readings) remarkOn(state, lines, reading)
  openDoubts(state)
  if (!isSaid && session.items.length > 0) {
    const first = lines.find(line => line.raw.trim() !== '')!
    addRemark(state, first, {
      from: Math.max(first.indent, first.start),
      to: first.raw.trimEnd().length,
      level: 'note',
      code: 'sport',
      readAs: `sport ${sport}`,
      fixes: [],
    })
  }
  state.remarks.sort((a, b) => a.line - b.line || a.column - b.column)
  const places = new Map<string, RowPlace>()
  paths(session.items, state.places, '', places)
  settleSteps(session.items, state.knownAs)
  return { session, remarks: state.remarks, places }
}

function remarkOn(state: State, lines: readonly Line[], reading: LineReading): void {
  for (const noticed of reading.noticed) addRemark(state, reading.line, noticed)
  const printed = reading.printed()
  const { line, through } = reading
  if (printed === line.raw.slice(line.start) || printed === '') return
  addSpelling(state, line, printed, through && lengthThrough(lines, line, through))
}
