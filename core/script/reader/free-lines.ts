import { groupBy } from '../../quantity/group'
import type { Item, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { countFlatSteps } from '../../session/walk'
import type { MessageReading } from '../message/read-message'
import { readMessage } from '../message/read-message'
import { printItem, printPlace } from '../print'
import { sayFault } from '../../words/faults'
import { hasContent, namesLength } from './content'
import { unreadLine } from './unread'
import { isCanonicalRow } from './known-rows'
import { takeLabels } from './labels'
import type { Cursor } from './cursor'
import { hasRowsBelow } from './cursor'
import { parsePlace, readBlockHead } from './headers'
import { saysOwnName } from '../token/own-words'
import type { SoftWord } from '../token/soft-word'
import { fold } from '../token/fold'
import { scan } from '../token/scanner'
import type { Line, State } from './state'
import { addRemark, noteWords, wordsOf } from './state'

const isHeader = /^(?:title|sport|place|day|ceiling|prompt):? +|^\s*(?:leg (?:run|ride|swim)\b|unread |#(?: |$))/i
const inhand = /\?\{/

/** The lines from here on that are free text: neither headers nor rows in canonical form, blank ones among them. */
function runFrom(state: State, { lines, at }: Cursor, first: Line): Line[] {
  const run = [first]
  let length = first.raw.length
  for (let next = at; next < lines.length; next++) {
    const line = lines[next]!
    if (line.raw.trim() === '') {
      run.push(line)
      continue
    }
    if (isHeader.test(line.raw) || inhand.test(line.raw) || isCanonicalRow(state, line) || isTalk(state, line)) break
    if (hasRowsBelow({ lines, at: next + 1 }, line) && readBlockHead(scan(line.raw, state.setting, line.indent))) break
    length += line.raw.length
    if (length > longestMessage) break
    run.push(line)
  }
  while (run.at(-1)!.raw.trim() === '') run.pop()
  return run
}

/** In characters: a message is read as one up to this, and no line is read that is longer. */
const longestMessage = 20_000
const longestLine = 20_000

const weekKind = '(?:recovery|rest|easy|build|base|taper|race|peak|cutback|down)\\s+week'
const weekCount = '\\d+\\s+(?:runs?|rides?|swims?|sessions?|workouts?|days?)'
const weekNumber = new RegExp(
  `\\b(?:week|wk|block|phase)\\s*\\d+(?:\\s*(?:of|\\/)\\s*\\d+)?\\b(?:\\s*[:,-]\\s*(?:${weekCount}|${weekKind})\\b)?`,
  'gi',
)

/** A line that names no length and no role, though it may count the weeks. */
function isTalk({ setting }: State, { raw }: Line): boolean {
  if (saysOwnName(setting.ownWords, raw)) return false
  const words = raw.replace(weekNumber, '')
  return !hasContent(words) && !hasContent(fold(words))
}

/** Words that only join those beside them. */
const onlyJoins = /^\s*(?:(?:the|an?|of|to|on|in|for|with|my|by|at|and)\s+)*$/i

/** Words that became no step, each stretch of neighbours as one. */
function stretchesOf(reading: MessageReading, run: readonly Line[]): { line: number; from: number; to: number }[] {
  const stretches: { line: number; from: number; to: number }[] = []
  for (const { line, from, to } of [...reading.leftOver].sort((a, b) => a.line - b.line || a.from - b.from)) {
    const last = stretches.at(-1)
    if (last && last.line === line && onlyJoins.test(run[line]!.raw.slice(last.to, from))) last.to = to
    else stretches.push({ line, from, to })
  }
  return stretches
}

function noteOn(holder: { note?: string }, words: string): void {
  holder.note = holder.note === undefined ? words : `${holder.note}, ${words}`
}

/** The item that words stand behind, or before where none is ahead of them in their line. */
function nearest(reading: MessageReading, line: number, at: number, raw: string): Item | undefined {
  const there = reading.items.filter(item => {
    const { first, last } = reading.lines.get(item)!
    return first <= line && line <= last
  })
  const begin = (item: Item) => (reading.lines.get(item)!.first < line ? -1 : reading.places.get(item)!.from)
  const item = there.findLast(one => begin(one) <= at) ?? there[0]
  return item && (within(reading, item, line, at, raw) ?? item)
}

/** The step of a repeat that words within it stand right behind. */
function within(reading: MessageReading, item: Item, line: number, at: number, raw: string): Item | undefined {
  const place = reading.places.get(item)!
  if (item.kind !== 'block' || place.line !== line || at >= place.to) return undefined
  const inner = item.items.findLast(one => {
    const own = reading.places.get(one)
    return own?.line === line && own.from <= at && /^\s*$/.test(raw.slice(own.to, at))
  })
  return inner && (within(reading, inner, line, at, raw) ?? inner)
}

/** Keeps words that say no step: with the step of their line, or with the session where the line has none. */
function keepLeftOver(state: State, reading: MessageReading, run: readonly Line[]): void {
  for (const { line, from, to } of stretchesOf(reading, run)) {
    const words = run[line]!.raw.slice(from, to).trim()
    const item = nearest(reading, line, from, run[line]!.raw)
    noteOn(item && (item.kind === 'step' || item.kind === 'block') ? item : state.session, words)
    noteWords(state, run[line]!, { from, to }, 'left-over', `kept as a note: ${words}`)
  }
}

function takePlace(state: State, { place, token }: NonNullable<MessageReading['place']>, run: readonly Line[]): void {
  state.session.place = place
  noteWords(state, run[token.line]!, token, 'place', `place ${printPlace(place)}`)
}

interface Group {
  first: number
  last: number
  items: Item[]
}

/** Items whose lines overlap are written as one. */
function groupsOf({ items, lines }: MessageReading): Group[] {
  const groups: Group[] = []
  for (const item of items) {
    const { first, last } = lines.get(item)!
    const group = groups.at(-1)
    if (group && first <= group.last) {
      group.items.push(item)
      group.last = Math.max(group.last, last)
    } else groups.push({ first, last, items: [item] })
  }
  return groups
}

/** Where each item was said; words around it that only join go with it. */
function placeItems(state: State, reading: MessageReading, run: readonly Line[]): void {
  for (const [item, { line, from, to, further }] of reading.places) {
    const said = run[line]!.raw.slice(from, to)
    const later = further.map(one => ({ line: run[one.line]!.number, column: one.from + 1, length: one.to - one.from }))
    const place = { line: run[line]!.number, column: from + 1, length: said.length, said }
    state.places.set(item, later.length > 0 ? { ...place, further: later } : place)
  }
}

/** Takes a reading into the session. */
function takeReading(state: State, reading: MessageReading, run: readonly Line[], into: Item[]): void {
  const groups = groupsOf(reading)
  placeItems(state, reading, run)
  reading.sports.forEach((sport, item) => state.sports.set(item, sport))
  const toldAt = groupBy(reading.noticed, entry => entry.line)
  for (const { first, last, items } of groups) {
    const [top, bottom] = [run[first]!, run[last]!]
    const noticed = (toldAt.get(first) ?? []).map(entry => entry.noticed)
    toldAt.delete(first)
    const printed = () => items.map(item => printItem(item, top.indent / 2)).join('\n')
    state.readings.push({ line: top, ...(first === last ? {} : { through: bottom }), items, noticed, printed })
  }
  for (const [line, entries] of toldAt) for (const { noticed } of entries) addRemark(state, run[line]!, noticed)
  if (reading.place && !state.session.place) takePlace(state, reading.place, run)
  keepLeftOver(state, reading, run)
  if (reading.prompts.length > 0) state.session.prompts = [...(state.session.prompts ?? []), ...reading.prompts]
  if (reading.ceiling) state.session.ceiling = reading.ceiling
  reading.soft.forEach((word: SoftWord, step: Step) => state.soft.set(step, word))
  state.steps += countFlatSteps(reading.items)
  into.push(...reading.items)
}

const isProse = (line: Line) => /(?:\p{L}+[^\p{L}]+){4}\p{L}/u.test(line.raw) && !namesLength(fold(line.raw))
const saysNothing = (reading: MessageReading, run: readonly Line[]) =>
  reading.ceiling === undefined &&
  reading.place === undefined &&
  reading.prompts.length === 0 &&
  reading.items.every(item => item.kind === 'unread' && run.every(isProse))

/**
 * Reads free text: at the top of a session this line and the free ones below it as one message, within a repeat it alone.
 * A line that says no step is kept as the session's note.
 */
export function readFreeLines(state: State, cursor: Cursor, line: Line, isTop: boolean, into: Item[]): void {
  const place = isTop && !state.session.place ? placeAlone(line) : null
  if (place) {
    state.session.place = place
    return noteWords(state, line, wordsOf(line.raw), 'place', `place ${printPlace(place)}`)
  }
  if (partAlone.test(line.raw)) return noteWords(state, line, wordsOf(line.raw), 'label', 'the name of a part, passed over')
  if (isTalk(state, line)) return keepTalk(state, line)
  if (line.raw.length > longestLine) {
    into.push(unreadLine(state, line, 'unreadable', sayFault({ code: 'line-too-long' })))
    return
  }
  const isFirstRow = isTop && into.length === 0
  const whole = isTop && !state.isPastLimit ? runFrom(state, cursor, line) : [line]
  for (const run of whole.length > 1 ? [whole, [line]] : [whole]) {
    const before = { remarks: state.remarks.length, title: state.session.title, place: state.session.place }
    const labelled = run.map((one, index) => (one.raw.trim() === '' ? one : takeLabels(state, one, isFirstRow && index === 0)))
    const reading = readMessage(labelled, state.setting)
    const isWithin = state.steps + countFlatSteps(reading.items) <= limits.flatSteps
    if (run.length === 1 && saysNothing(reading, run)) return keepTalk(state, line)
    if (run.length === 1 || isWithin) {
      takeReading(state, reading, labelled, into)
      cursor.at += run.length - 1
      return
    }
    state.isPastLimit = true
    state.remarks.length = before.remarks
    if (before.title === undefined) delete state.session.title
    if (before.place === undefined) delete state.session.place
  }
}

const partAlone =
  /^\s*(?:(?:main|pre|post|warm[\s-]?up|second|first)\s+)?(?:set|series|block|session|workout)(?:\s+(?:\d{1,2}|[a-d]))?\s*:?\s*$/i

/** `treadmill`, `on the track, lane 3`: a line that says no more than where. */
const placeAlone = ({ raw }: Line) =>
  parsePlace(
    raw
      .trim()
      .replace(/^(?:on|in|at)\s+(?:the\s+|an?\s+)?/i, '')
      .replace(/[.!]$/, ''),
  )

/** A line that says neither a length nor a role. */
function keepTalk(state: State, line: Line): void {
  const { session } = state
  const words = line.raw.trim()
  session.note = session.note === undefined ? words : `${session.note}\n${words}`
  noteWords(state, line, wordsOf(line.raw), 'chatter', "kept as the session's note")
}
