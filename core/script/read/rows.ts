import type { Item, SessionSport, Step } from '../../session/document'
import { printBlockHeader, printItem } from '../print'
import { parseDay, parseLegHead, parsePlace, parsePrompt, readBlockHead, readCeilingLine } from './headers'
import type { Placed } from './list'
import { readList } from './list'
import { readPiece } from './piece'
import type { Scanner, Setting } from './scanner'
import { fold, scan, skipSpaces, take } from './scanner'
import type { Line, State } from './state'
import { addRemark, settingFor } from './state'

function unreadLine(state: State, line: Line, code: string, why: string): Item {
  const text = line.raw.trim().slice(0, 4000).trim()
  addRemark(state, line, { from: line.raw.length - line.raw.trimStart().length, to: line.raw.trimEnd().length, level: 'error', code, readAs: why, fixes: [] })
  return { kind: 'unread', text }
}

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
    if (!place) return bad('a place is road, trail, track, treadmill, outdoors, trainer, open-water or pool 25 m')
    session.place = place
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
    session.prompts = [...session.prompts ?? [], prompt]
    return true
  }
  const ceiling = readCeilingLine(scan(line.raw, state.setting))
  if (!ceiling) return bad('a ceiling reads: ceiling 172 bpm')
  session.ceiling = ceiling
  return true
}

const notePattern = /^\s*#(?: (.*)|)$/s

function addNote(holder: { note?: string }, text: string): void {
  holder.note = holder.note === undefined ? text : `${holder.note}\n${text}`
}

/** The note behind a row, verbatim after two spaces and `# `. */
function takeNote(scanner: Scanner, line: Line): string | undefined {
  const mark = take(scanner, /#/y)
  if (!mark) return undefined
  const rest = line.raw.slice(scanner.at)
  scanner.at = line.raw.length
  return rest.startsWith(' ') ? rest.slice(1) : rest
}

const hasContent = (text: string) => /\d/.test(text)
  || /\b(?:until|till|half|quarter|warm[\s-]?up|cool[\s-]?down|WU|CD|recovery|rest|jog|walk|float|easy|strides?)\b/i.test(text)

interface CanonicalRow { step: Step, from: number, to: number }

/** Rows read before: while one row is typed all the others stay as they are. Their parts are never changed in place. */
const knownRows = new Map<string, CanonicalRow | null>()
const knownRowsAtMost = 4000

function parseCanonicalRow(setting: Setting, line: Line): CanonicalRow | null {
  const scanner = scan(line.raw, setting, line.indent, true)
  const piece = readPiece(scanner)
  if (!piece) return null
  const note = takeNote(scanner, line)
  if (note !== undefined) piece.step.note = note
  return ' '.repeat(line.indent) + printItem(piece.step) === line.raw ? { step: piece.step, from: piece.from, to: piece.to } : null
}

/** A row in exactly the form the printer writes, or null. */
function readCanonicalRow(state: State, line: Line): Placed | null {
  const { sport, poolUnit, paceUnit, preferredMeasure } = state.setting
  const key = `${sport} ${poolUnit} ${paceUnit} ${preferredMeasure} ${line.raw}`
  let row = knownRows.get(key)
  if (row === undefined) {
    row = parseCanonicalRow(state.setting, line)
    if (knownRows.size >= knownRowsAtMost) knownRows.clear()
    knownRows.set(key, row)
  }
  return row && { item: { ...row.step }, from: row.from, to: row.to }
}

function readRow(state: State, line: Line): Item[] {
  const canonical = readCanonicalRow(state, line)
  if (canonical) {
    placeItem(state, canonical, line)
    return [canonical.item]
  }
  const scanner = scan(line.raw, state.setting, line.indent)
  const placed = readList(scanner, state.soft, 0, false)
  const note = takeNote(scanner, line)
  const last = placed.at(-1)?.item
  if (note !== undefined && last && (last.kind === 'step' || last.kind === 'block')) {
    last.note = last.note === undefined ? note : `${last.note}\n${note}`
  }
  const items = placed.map(entry => entry.item)
  state.readings.push({ line, noticed: scanner.noticed, printed: () => items.map(item => printItem(item, line.indent / 2)).join('\n') })
  for (const entry of placed) placeItem(state, entry, line)
  return items
}

function placeItem(state: State, { item, from, to }: Placed, line: Line): void {
  let start = from
  while (line.raw[start] === ' ') start++
  const place = { line: line.number, column: start + 1, length: to - start, said: line.raw.slice(start, to) }
  state.places.set(item, place)
  if (item.kind === 'block') for (const inner of item.items) placeItem(state, { item: inner, from, to }, line)
}

function readFreeLine(state: State, line: Line): Item[] {
  const text = line.raw.trim()
  const cap = /^(?:HR|heart rate|pulse)?\s*(?:<|under|below|max)\s*(\d{2,3})\s*(?:bpm)?\.?$/i.exec(fold(text))
  if (cap) {
    state.session.ceiling = { of: 'heart-rate', above: Number(cap[1]) }
    addRemark(state, line, { from: line.indent, to: line.raw.trimEnd().length, level: 'note', code: 'session-ceiling', readAs: `ceiling ${cap[1]} bpm`, fixes: [] })
    return []
  }
  if (!hasContent(fold(text))) {
    addNote(state.session, text)
    addRemark(state, line, { from: line.indent, to: line.raw.trimEnd().length, level: 'note', code: 'chatter', readAs: 'kept as the session\'s note', fixes: [] })
    return []
  }
  return readRow(state, line)
}

/** The lines of a session, and which comes next. */
export interface Cursor { lines: Line[], at: number }

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
  const printed = () => ' '.repeat(line.indent) + printBlockHeader(block) + (note === undefined ? '' : `  #${note === '' ? '' : ` ${note}`}`)
  if (printed() !== line.raw) state.readings.push({ line, noticed: scanner.noticed, printed })
  state.places.set(block, { line: line.number, column: line.indent + 1, length: line.raw.trim().length, said: line.raw.trim() })
  block.items = holdsRows(state, cursor, line)
  return block.items.length > 0 ? block : unreadLine(state, line, 'empty-block', 'a repeat needs its rows below it, indented by two spaces')
}

function readLeg(state: State, cursor: Cursor, line: Line, head: NonNullable<ReturnType<typeof parseLegHead>>): Item {
  const outer = state.setting
  state.setting = settingFor(head.sport, state.options, head.place?.kind === 'pool' ? head.place.unit : 'm')
  const leg: Item = { ...head, items: holdsRows(state, cursor, line) }
  state.setting = outer
  state.places.set(leg, { line: line.number, column: line.indent + 1, length: line.raw.trim().length, said: line.raw.trim() })
  return leg.items.length > 0 ? leg : unreadLine(state, line, 'empty-leg', 'a leg needs its rows below it, indented by two spaces')
}

/** Reads rows of at least this indent, and before the first of them the headers. */
export function readRows(state: State, cursor: Cursor, leastIndent: number, into: Item[]): void {
  let inHeaders = leastIndent === 0
  while (cursor.at < cursor.lines.length) {
    const line = cursor.lines[cursor.at]!
    if (line.raw.trim() === '') {
      cursor.at++
      continue
    }
    if (line.indent < leastIndent) return
    cursor.at++
    const note = notePattern.exec(line.raw)
    if (note) {
      const last = into.at(-1)
      addNote(last && (last.kind === 'step' || last.kind === 'block') ? last : state.session, note[1] ?? '')
      continue
    }
    if (inHeaders) {
      const header = readHeader(state, line)
      if (header === true) continue
      if (header) {
        into.push(header)
        continue
      }
    }
    const unread = /^\s*unread (.*\S)\s*$/s.exec(line.raw)
    if (unread) {
      const item: Item = { kind: 'unread', text: unread[1]!.trim() }
      state.places.set(item, { line: line.number, column: line.indent + 1, length: line.raw.trim().length, said: line.raw.trim() })
      addRemark(state, line, { from: line.indent, to: line.raw.trimEnd().length, level: 'error', code: 'unread', readAs: 'kept until it is put in words the reader knows', fixes: [] })
      into.push(item)
      inHeaders = false
      continue
    }
    const leg = parseLegHead(line.raw)
    if (leg) {
      into.push(readLeg(state, cursor, line, leg))
      inHeaders = false
      continue
    }
    const scanner = scan(line.raw, state.setting, line.indent)
    const head = readBlockHead(scanner)
    if (head) {
      into.push(readBlock(state, cursor, line, head, scanner))
      inHeaders = false
      continue
    }
    skipSpaces(scanner)
    const items = readFreeLine(state, line)
    if (items.length > 0) inHeaders = false
    into.push(...items)
  }
}
