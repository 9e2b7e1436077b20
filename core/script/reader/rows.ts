import type { Item, SessionSport } from '../../session/document'
import { limits } from '../../session/limits'
import { countFlatSteps } from '../../session/walk'
import { printBlockHeader, printPlace } from '../print'
import { parseDay, parseLegHead, parsePlace, parsePrompt, readBlockHead, readCeilingLine } from './headers'
import { readFreeLines } from './free-lines'
import type { Cursor } from './cursor'
import { hasRowsBelow, notePattern } from './cursor'
import { canonicalRow, knownCanonicalRow, takeNote } from './known-rows'
import type { Placed } from './placed'
import type { Scanner } from '../token/scanner'
import { scan } from '../token/scanner'
import { unreadLine } from './unread'
import type { Line, State } from './state'
import { addRemark, addSpelling, settingFor } from './state'

const headerPattern = /^(title|sport|place|day|ceiling|prompt):? +(.*)$/is

/** Takes a header line into the session; false when it is none, an item when it cannot be read. */
function readHeader(state: State, line: Line): boolean | Item {
  const match = line.indent === 0 ? headerPattern.exec(line.raw) : null
  if (!match) return false
  const { session } = state
  const name = match[1]!.toLowerCase()
  const value = match[2]!
  const bad = (why: string) => unreadLine(state, line, 'header', why)
  if (name === 'title') {
    if (value.trim() !== '') session.title = value.trim()
    return true
  }
  if (name === 'sport') {
    const sport = /^(run|ride|swim|multi)$/i.exec(value.trim())
    if (!sport) return bad('a sport is run, ride, swim or multi')
    session.sport = sport[1]!.toLowerCase() as SessionSport
    return true
  }
  if (name === 'place') {
    const place = parsePlace(value)
    if (!place) return bad('a place is road, trail, track (or track, lane 2), treadmill, outdoors, trainer, open-water or pool 25 m')
    session.place = place
    const canonical = `place ${printPlace(place)}`
    if (canonical !== line.raw) addSpelling(state, line, canonical)
    return true
  }
  if (name === 'day') {
    const day = parseDay(value)
    if (!day) return bad('a day is 2026-03-31 or mon to sun')
    session.day = day
    return true
  }
  if (name === 'prompt') {
    const prompt = parsePrompt(value.trim())
    if (!prompt) return bad('a prompt reads: prompt drink from 40:00 every 20:00')
    session.prompts = [...(session.prompts ?? []), prompt]
    return true
  }
  const ceiling = readCeilingLine(scan(line.raw, state.setting))
  if (!ceiling) return bad('a ceiling reads: ceiling 172 bpm')
  session.ceiling = ceiling
  return true
}

function addNote(holder: { note?: string }, text: string): void {
  holder.note = holder.note === undefined ? text : `${holder.note}\n${text}`
}

function placeItem(state: State, { item, from, to }: Placed, line: Line): void {
  let start = from
  while (line.raw[start] === ' ') start++
  const place = { line: line.number, column: start + 1, length: to - start, said: line.raw.slice(start, to) }
  state.places.set(item, place)
  if (item.kind === 'block') for (const inner of item.items) placeItem(state, { item: inner, from, to }, line)
}

function takeRow(state: State, line: Line, placed: readonly Placed[]): Item[] {
  const items = placed.map(entry => entry.item)
  state.steps += countFlatSteps(items)
  for (const entry of placed) {
    placeItem(state, entry, line)
    const sport = line.sport ?? entry.sport
    if (sport) state.sports.set(entry.item, sport)
  }
  return items
}

function holdsRows(state: State, cursor: Cursor, line: Line): Item[] {
  const inner: Item[] = []
  readRows(state, cursor, line.indent + 1, inner)
  return inner
}

function readBlock(state: State, cursor: Cursor, line: Line, head: NonNullable<ReturnType<typeof readBlockHead>>, scanner: Scanner): Item {
  const block: Item = { ...head, items: [] }
  const note = takeNote(scanner, line)
  if (note !== undefined) block.note = note
  while (cursor.at < cursor.lines.length) {
    const next = cursor.lines[cursor.at]!
    const further = next.indent === line.indent && block.note !== undefined ? notePattern.exec(next.raw) : null
    if (!further) break
    addNote(block, further[1] ?? '')
    cursor.at++
  }
  const printed = () =>
    ' '.repeat(line.indent) + printBlockHeader(block) + (note === undefined ? '' : `  #${note === '' ? '' : ` ${note}`}`)
  if (printed() !== line.raw) state.readings.push({ line, items: [block], noticed: scanner.noticed, printed })
  state.places.set(block, { line: line.number, column: line.indent + 1, length: line.raw.trim().length, said: line.raw.trim() })
  block.items = holdsRows(state, cursor, line)
  return block.items.length > 0 ? block : unreadLine(state, line, 'empty-block', 'a repeat needs its rows below it, indented by two spaces')
}

function readLeg(state: State, cursor: Cursor, line: Line, head: NonNullable<ReturnType<typeof parseLegHead>>): Item {
  const outer = state.setting
  const pool = head.place?.kind === 'pool' ? head.place : undefined
  state.setting = settingFor(head.sport, state.context, pool?.unit ?? 'm', pool?.length)
  const leg: Item = { ...head, items: holdsRows(state, cursor, line) }
  state.setting = outer
  state.places.set(leg, { line: line.number, column: line.indent + 1, length: line.raw.trim().length, said: line.raw.trim() })
  return leg.items.length > 0 ? leg : unreadLine(state, line, 'empty-leg', 'a leg needs its rows below it, indented by two spaces')
}

const unreadRow = /^\s*unread (.*\S)\s*$/s

/** A line kept unread from before. */
function keptUnread(state: State, line: Line, text: string): Item {
  const item: Item = { kind: 'unread', text: text.trim() }
  const said = line.raw.trim()
  state.places.set(item, { line: line.number, column: line.indent + 1, length: said.length, said })
  const readAs = 'kept until it is put in words the reader knows'
  addRemark(state, line, { from: line.indent, to: line.raw.trimEnd().length, level: 'error', code: 'unread', readAs, fixes: [] })
  return item
}

/** What a line is that has a form of its own: unread, past the limit, a leg, a repeat with its rows, a row. Null for free text. */
function formedItems(state: State, cursor: Cursor, line: Line, leastIndent: number): Item[] | null {
  const unread = unreadRow.exec(line.raw)
  if (unread) return [keptUnread(state, line, unread[1]!)]
  if (state.steps > limits.flatSteps) {
    const why = `not read: the rows above come to more than ${limits.flatSteps} steps, the limit of a session`
    return [unreadLine(state, line, 'past-limit', why)]
  }
  const leg = parseLegHead(line.raw)
  if (leg) return [readLeg(state, cursor, line, leg)]
  const scanner = scan(line.raw, state.setting, line.indent)
  const head = readBlockHead(scanner)
  if (head && (hasRowsBelow(cursor, line) || leastIndent > 0)) return [readBlock(state, cursor, line, head, scanner)]
  const canonical = canonicalRow(state, line)
  return canonical && takeRow(state, line, canonical)
}

/** A note's line, put with the row above it, or with the session. */
function takeNoteLine(state: State, line: Line, into: readonly Item[]): boolean {
  const note = notePattern.exec(line.raw)
  if (!note) return false
  const last = into.at(-1)
  addNote(last && (last.kind === 'step' || last.kind === 'block') ? last : state.session, note[1] ?? '')
  return true
}

/** Reads rows of at least this indent, and before the first of them the headers. */
export function readRows(state: State, cursor: Cursor, leastIndent: number, into: Item[]): void {
  let inHeaders = leastIndent === 0
  while (cursor.at < cursor.lines.length) {
    const line = cursor.lines[cursor.at]!
    if (line.raw.trim() !== '' && line.indent < leastIndent) return
    cursor.at++
    if (line.raw.trim() === '') continue
    const known = inHeaders || state.steps > limits.flatSteps ? null : knownCanonicalRow(state, line)
    if (known) {
      into.push(...takeRow(state, line, known))
      continue
    }
    if (takeNoteLine(state, line, into)) continue
    const header = inHeaders && readHeader(state, line)
    if (header) {
      if (header !== true) into.push(header)
      continue
    }
    const count = into.length
    const formed = formedItems(state, cursor, line, leastIndent)
    if (formed) into.push(...formed)
    else readFreeLines(state, cursor, line, leastIndent === 0, into)
    if (into.length > count) inHeaders = false
  }
}
