import type { Item, Step } from '../../session/document'
import { sameFields } from '../../session/settled'
import { printItem } from '../print'
import type { SoftWord } from './piece'
import type { Placed } from './placed'
import { readList } from './list'
import { readPiece } from './piece'
import type { Noticed, Scanner, Setting } from './scanner'
import { scan, take } from './scanner'
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

function readFree(setting: Setting, line: Line): RowReading {
  const soft = new Map<Step, SoftWord>()
  const scanner = scan(line.raw, setting, Math.max(line.indent, line.start))
  const placed = readList(scanner, soft, 0, false)
  const note = takeNote(scanner, line)
  const last = placed.at(-1)?.item
  if (note !== undefined && last && (last.kind === 'step' || last.kind === 'block')) {
    last.note = last.note === undefined ? note : `${last.note}\n${note}`
  }
  if (note && last?.kind === 'unread') last.text = `${last.text}  # ${note}`.trim()
  return { placed, isCanonical: false, noticed: scanner.noticed, soft }
}

interface RowReading {
  placed: Placed[]
  isCanonical: boolean
  noticed: Noticed[]
  soft: ReadonlyMap<Step, SoftWord>
}

/**
 * Rows read before: while one row is typed all the others stay as they are. What is kept here is never handed out,
 * only copies of it, because a reading goes on to change its steps by where they stand.
 */
const knownRows = new Map<string, Map<string, RowReading>>()
const knownRowsAtMost = 8000
const knownSettingsAtMost = 40
const rowsBySetting = new WeakMap<Setting, Map<string, RowReading>>()

/** The rows read before by the same rules. */
function rowsReadAs(setting: Setting): Map<string, RowReading> {
  const known = rowsBySetting.get(setting)
  if (known) return known
  const { sport, poolUnit, poolLength, paceUnit, preferredMeasure, bySport } = setting
  const key = `${sport}${bySport ? '*' : ''} ${poolLength ?? ''}${poolUnit} ${paceUnit} ${preferredMeasure}`
  if (knownRows.size >= knownSettingsAtMost) knownRows.clear()
  const rows = knownRows.get(key) ?? new Map<string, RowReading>()
  knownRows.set(key, rows)
  rowsBySetting.set(setting, rows)
  return rows
}

const keyOf = (line: Line) => (line.start === 0 ? line.raw : `${line.start}\n${line.raw}`)

function copyOf(item: Item, soft: ReadonlyMap<Step, SoftWord>, state: State): Item {
  if (item.kind === 'block' || item.kind === 'leg') return { ...item, items: item.items.map(inner => copyOf(inner, soft, state)) }
  if (item.kind === 'unread') return { ...item }
  const copy = { ...item }
  state.knownAs.set(copy, item)
  const word = soft.get(item)
  if (word) state.soft.set(copy, word)
  return copy
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

/** The items that one line says, in canonical form or not; soft steps are added to the state's. */
export function readRow(state: State, line: Line): Pick<RowReading, 'placed' | 'isCanonical' | 'noticed'> {
  const rows = rowsReadAs(state.setting)
  const key = keyOf(line)
  let row = rows.get(key)
  if (row === undefined) {
    const canonical = readCanonical(state.setting, line)
    row = canonical ? { placed: [canonical], isCanonical: true, noticed: [], soft: new Map() } : readFree(state.setting, line)
    if (rows.size >= knownRowsAtMost) rows.clear()
    rows.set(key, row)
  }
  return { ...row, placed: copiesOf(row, state) }
}

const copiesOf = ({ placed, soft }: RowReading, state: State) => placed.map(entry => ({ ...entry, item: copyOf(entry.item, soft, state) }))

/** The items of a line that was read before as a row in canonical form, so that nothing else need be tried on it. */
export function knownCanonicalRow(state: State, line: Line): Placed[] | null {
  if (line.start > 0 || line.sport || state.setting.bySport) return null
  const row = rowsReadAs(state.setting).get(line.raw)
  return row?.isCanonical ? copiesOf(row, state) : null
}
