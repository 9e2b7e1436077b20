import type { Item, Session, SessionSport, Sport } from '../../session/document'
import type { Remark } from '../remark'
import { printEnd, printRepeat } from '../print'
import type { ReadOptions, RowPlace } from './options'
import { readRows } from './rows'
import { fold } from './scanner'
import { settleSoftSteps } from './soft'
import type { Line, LineReading, State } from './state'
import { addRemark, settingFor } from './state'

const sportSigns: readonly (readonly [RegExp, Sport])[] = [
  [/\bpool\b|\bfree(?:style)?\b|\b(?:back|breast)stroke\b|\b(?:kick|pull buoy|paddles|medley|IM|swim)\b|\bfly\b|\/\s*100\s*(?:m|yd)\b/i, 'swim'],
  [/\d\s*(?:m|yd)?\s+on\s+\d+[:'\d]/i, 'swim'],
  [/\brpm\b|\btrainer\b|(?<![:\d])\d+\s*[Ww]\b(?!\s*\d|\/)|\bwatts?\b|\bride\b|\bbike\b|km\/h/i, 'ride'],
]

function inferSport(text: string): Sport | null {
  return sportSigns.find(([pattern]) => pattern.test(text))?.[1] ?? null
}

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
  if (item.kind === 'step') return printEnd(item.end)
  return item.kind === 'block' ? printRepeat(item.repeat) : null
}

/** Goes on asking about doubts that stand in the text: each can be settled as it stands, or the other way. */
function openDoubts(state: State): void {
  for (const [item, place] of state.places) {
    const doubt = item.kind === 'step' || item.kind === 'block' ? item.doubt : undefined
    const mark = doubt && doubtMark.exec(place.said)
    if (!mark) continue
    const row = place.said.slice(0, mark.index + mark[0].length)
    const settled = row.slice(0, mark.index)
    const words = doubtfulWords(item)
    const others = words === null ? [] : doubt.others ?? []
    state.remarks.push({
      line: place.line, column: place.column, length: row.length, level: 'ask', code: 'doubt-open', said: row, readAs: settled,
      fixes: [{ label: 'right as it stands', replacement: settled }, ...others.map(other => ({ label: other, replacement: settled.replace(words!, other) }))],
    })
  }
}

/** A bare `#` says nothing unless another line of the note follows. */
function dropEmptyNotes(session: Session, items: readonly Item[]): void {
  if (session.note === '') delete session.note
  for (const item of items) {
    if ((item.kind === 'step' || item.kind === 'block') && item.note === '') delete item.note
    if (item.kind === 'block' || item.kind === 'leg') dropEmptyNotes(session, item.items)
  }
}

/**
 * Reads the lines of one session.
 *
 * @param firstLine the number of its first line in the whole text
 */
export function readSession(raw: readonly string[], firstLine: number, options: ReadOptions): { session: Session, remarks: Remark[], places: Map<string, RowPlace> } {
  const lines = raw.map((text, index): Line => ({ number: firstLine + index, raw: text, indent: /^[ \t]*/.exec(text)![0].length }))
  const stated = raw.map(text => /^sport:?\s+(run|ride|swim|multi)\s*$/i.exec(text)?.[1]?.toLowerCase()).find(Boolean) as SessionSport | undefined
  const text = fold(raw.join('\n'))
  const inferred = stated ?? options.sport ?? inferSport(text)
  const sport: SessionSport = inferred ?? 'run'
  const pool = /^place:?\s+pool\s+[\d.]+\s*(m|yd)/im.exec(text)?.[1] as 'm' | 'yd' | undefined
  const setting = settingFor(sport === 'multi' ? 'run' : sport, options, pool ?? options.units?.swim ?? 'm')
  const session: Session = { format: 'agonis.session', version: 1, sport, items: [] }
  const state: State = { session, setting, options, soft: new Map(), readings: [], remarks: [], places: new Map() }
  readRows(state, { lines, at: 0 }, 0, session.items)
  settleSoftSteps(session, state.soft)
  dropEmptyNotes(session, session.items)
  for (const reading of state.readings) remarkOn(state, reading)
  openDoubts(state)
  if (stated === undefined && options.sport === undefined && session.items.length > 0) {
    const first = lines.find(line => line.raw.trim() !== '')!
    addRemark(state, first, { from: first.indent, to: first.raw.trimEnd().length, level: 'note', code: 'sport', readAs: `sport ${sport}`, fixes: [] })
  }
  state.remarks.sort((a, b) => a.line - b.line || a.column - b.column)
  const places = new Map<string, RowPlace>()
  paths(session.items, state.places, '', places)
  return { session, remarks: state.remarks, places }
}

function remarkOn(state: State, reading: LineReading): void {
  for (const noticed of reading.noticed) addRemark(state, reading.line, noticed)
  const printed = reading.printed()
  const { line } = reading
  if (printed === line.raw || printed === '') return
  addRemark(state, line, {
    from: 0, to: line.raw.length, level: 'note', code: 'spelling', readAs: printed,
    fixes: [{ label: printed.includes('\n') ? 'set out in rows' : 'write it so', replacement: printed }],
  })
}
