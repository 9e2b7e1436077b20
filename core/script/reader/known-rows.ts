import type { Item, Step } from '../../session/document'
import { sameFields } from '../../session/settled'
import { printItem } from '../print'
import type { Placed } from './placed'
import { readPiece } from './piece'
import type { Scanner, Setting } from '../token/scanner'
import { scan, take } from '../token/scanner'
import type { Line, State } from './state'

/** The note behind a row, verbatim after two spaces and `# `. */
export function takeNote(scanner: Scanner, line: Line): string | undefined {
  const mark = take(scanner, /#/y)
  if (!mark) return undefined
  const rest = line.raw.slice(scanner.at)
  scanner.at = line.raw.length
  return rest.startsWith(' ') ? rest.slice(1) : rest
}

/** What no row in canonical form begins with or holds before its note; it spares most shorthand a first reading. */
const cannotBeCanonical = /^ *[^ \douwrct(]|^[^#"?]*(?:\d\s*(?:[x\u00D7*'\u2019]|min|sec|s\b(?![ ,/]|$))|\/ |w\/|\+ \d+ ?x)/

function readCanonical(setting: Setting, line: Line): Placed | null {
  if (cannotBeCanonical.test(line.raw)) return null
  const scanner = scan(line.raw, setting, line.indent, true)
  const piece = readPiece(scanner)
  if (!piece) return null
  const note = takeNote(scanner, line)
  if (note !== undefined) piece.step.note = note
  return ' '.repeat(line.indent) + printItem(piece.step) === line.raw ? { item: piece.step, from: piece.from, to: piece.to } : null
}

/**
 * Rows read before: while one row is typed all the others stay as they are. What is kept here is never handed out,
 * only copies of it, because a reading goes on to change its steps by where they stand.
 */
const knownRows = new Map<string, Map<string, Placed | null>>()
const knownRowsAtMost = 8000
const knownSettingsAtMost = 40
const rowsBySetting = new WeakMap<Setting, Map<string, Placed | null>>()

/** The rows read before by the same rules. */
function rowsReadAs(setting: Setting): Map<string, Placed | null> {
  const known = rowsBySetting.get(setting)
  if (known) return known
  const { sport, poolUnit, poolLength, paceUnit, preferredMeasure, bySport } = setting
  const key = `${sport}${bySport ? '*' : ''} ${poolLength ?? ''}${poolUnit} ${paceUnit} ${preferredMeasure}`
  if (knownRows.size >= knownSettingsAtMost) knownRows.clear()
  const rows = knownRows.get(key) ?? new Map<string, Placed | null>()
  knownRows.set(key, rows)
  rowsBySetting.set(setting, rows)
  return rows
}

/** A copy of a row's step, which the reading may go on to change. */
function copyOf(placed: Placed, state: State): Placed[] {
  const copy = { ...placed.item } as Step
  state.knownAs.set(copy, placed.item as Step)
  return [{ ...placed, item: copy }]
}

/** Steps handed out before, by the step they are copies of: one for each time that it stood in a session. */
const settledSteps = new WeakMap<Step, Step[]>()

/**
 * Settles the steps that came through the whole reading as their row alone says them. The same rows give the very same
 * steps at each reading, and two rows never share one.
 *
 * @param knownAs the step that each is a copy of
 */
export function settleSteps(items: Item[], knownAs: ReadonlyMap<Step, Step>, used = new Map<Step, number>()): void {
  items.forEach((item, index) => {
    if (item.kind === 'block' || item.kind === 'leg') return settleSteps(item.items, knownAs, used)
    const known = item.kind === 'step' && knownAs.get(item)
    if (!known || !sameFields(item, known)) return
    const steps = settledSteps.get(known) ?? []
    settledSteps.set(known, steps)
    const times = used.get(known) ?? 0
    used.set(known, times + 1)
    items[index] = steps[times] ??= Object.freeze(item)
  })
}

/** The row that a line is in canonical form, read once for each setting; null where it is none. */
function rowOf(setting: Setting, line: Line): Placed | null {
  if (line.start > 0) return null
  const rows = rowsReadAs(setting)
  const known = rows.get(line.raw)
  if (known !== undefined) return known
  const row = readCanonical(setting, line)
  if (rows.size >= knownRowsAtMost) rows.clear()
  rows.set(line.raw, row)
  return row
}

/** The item of a line in canonical form. */
export function canonicalRow(state: State, line: Line): Placed[] | null {
  const row = rowOf(state.setting, line)
  return row && copyOf(row, state)
}

/** Whether a line is a row in canonical form. */
export const isCanonicalRow = (state: State, line: Line): boolean => rowOf(state.setting, line) !== null

/** The item of a line that was read before as a row in canonical form, so that nothing else need be tried on it. */
export function knownCanonicalRow(state: State, line: Line): Placed[] | null {
  if (line.start > 0 || line.sport || state.setting.bySport) return null
  const row = rowsReadAs(state.setting).get(line.raw)
  return row ? copyOf(row, state) : null
}
