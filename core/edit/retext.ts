import { printBlockHeader, printItem, printLegHeader } from '../script/print'
import type { ReadResult } from '../script/reader/read-script'
import type { Item, Session } from '../session/document'
import { normalise } from '../session/normalise'
import { holds } from '../session/item-path'

/** Lines of the text that said one or several items, and nothing else. */
interface Group {
  items: Item[]
  /** The rows' own lines, as typed, with the notes below them. */
  lines: string[]
  /** Blank lines and talk behind them, which stay whatever becomes of the rows. */
  trail: string[]
  indent: number
}

interface Known {
  groups: Map<Item, Group>
  /** A block's or leg's own head line with its note, as typed. */
  heads: Map<Item, { lines: string[]; indent: number }>
}

const indentOf = (line: string) => /^[ \t]*/.exec(line)![0].length
const isBlank = (line: string) => line.trim() === ''
const isNote = (line: string) => /^\s*#(?: |$)/.test(line)

/** @param least lines that the items themselves were said in */
function splitTrail(lines: string[], least: number): { own: string[]; trail: string[] } {
  let count = least
  while (count < lines.length && isNote(lines[count]!)) count++
  return { own: lines.slice(0, count), trail: lines.slice(count) }
}

/** Sorts the lines of a text to the items that they said. */
function knownLines(lines: readonly string[], reading: ReadResult): Known {
  const places = reading.places[0]!
  const known: Known = { groups: new Map(), heads: new Map() }
  const visit = (items: readonly Item[], prefix: string, end: number): void => {
    const starts = items.map((_, index) => (places.get(`${prefix}${index + 1}`)?.line ?? 1) - 1)
    for (let index = 0; index < items.length;) {
      let next = index + 1
      while (next < items.length && starts[next] === starts[index]) next++
      const until = next < items.length ? starts[next]! : end
      const own = items.slice(index, next)
      const [item] = own
      const isHead = own.length === 1 && holds(item!) && innerLine(places, `${prefix}${index + 1}`) > starts[index]!
      if (isHead && holds(item!)) {
        const first = innerLine(places, `${prefix}${index + 1}`)
        known.heads.set(item, { lines: lines.slice(starts[index], first), indent: indentOf(lines[starts[index]!]!) })
        visit(item.items, `${prefix}${index + 1}.`, until)
      } else {
        const { own: ownLines, trail } = splitTrail(
          lines.slice(starts[index], until),
          lastLine(places, own, prefix, index) - starts[index]!,
        )
        const group: Group = { items: own, lines: ownLines, trail, indent: indentOf(ownLines[0]!) }
        for (const one of own) known.groups.set(one, group)
      }
      index = next
    }
  }
  visit(reading.sessions[0]!.items, '', lines.length)
  return known
}

/** The last line in which any part of these items was said. */
function lastLine(places: ReadonlyMap<string, { line: number }>, items: readonly Item[], prefix: string, first: number): number {
  return items.reduce((most, item, offset) => {
    const path = `${prefix}${first + offset + 1}`
    const own = places.get(path)?.line ?? 1
    return Math.max(most, own, holds(item) ? lastLine(places, item.items, `${path}.`, 0) : 1)
  }, 1)
}

const innerLine = (places: ReadonlyMap<string, { line: number }>, path: string) => (places.get(`${path}.1`)?.line ?? 0) - 1

const reindented = (lines: readonly string[], from: number, to: number) =>
  lines.map(line => (isBlank(line) ? line : ' '.repeat(Math.max(0, indentOf(line) - from + to)) + line.trimStart()))

function sameHead(item: Item, old: Item): boolean {
  if (item.kind === 'block' && old.kind === 'block') return printBlockHeader(item) === printBlockHeader(old) && item.note === old.note
  return item.kind === 'leg' && old.kind === 'leg' && printLegHeader(item) === printLegHeader(old)
}

/** The old item whose head line a changed block or leg keeps: the one that shares an item with it, or its count. */
function oldHead(item: Item, known: Known): { lines: string[]; indent: number } | null {
  if (!holds(item)) return null
  const own = known.heads.get(item)
  if (own) return own
  for (const [old, head] of known.heads) {
    if (holds(old) && sameHead(item, old) && item.items.some(inner => old.items.includes(inner))) return head
  }
  return null
}

function writeItems(items: readonly Item[], depth: number, known: Known, trails: Set<Group>, into: string[]): void {
  for (let index = 0; index < items.length;) {
    const item = items[index]!
    const group = known.groups.get(item)
    const isWhole = group !== undefined && group.items.every((one, offset) => items[index + offset] === one)
    if (group && isWhole) {
      into.push(...reindented(group.lines, group.indent, depth * 2))
      if (!trails.has(group)) into.push(...group.trail)
      trails.add(group)
      index += group.items.length
      continue
    }
    const head = oldHead(item, known)
    if (holds(item) && (head || touchesKnown(item, known))) {
      into.push(...(head ? reindented(head.lines, head.indent, depth * 2) : printItem({ ...item, items: [] } as Item, depth).split('\n')))
      writeItems(item.items, depth + 1, known, trails, into)
    } else into.push(...printItem(item, depth).split('\n'))
    index++
  }
}

const touchesKnown = (item: Item, known: Known): boolean =>
  holds(item) && item.items.some(inner => known.groups.has(inner) || known.heads.has(inner) || touchesKnown(inner, known))

/**
 * The text of a session after a change of its document: lines whose items are still the same objects stay to the letter,
 * with their notes and blank lines; all others are written as canonical rows. Where lines that stayed would now mean
 * something else, because what they mean hangs on the rows around them, every row is written out.
 *
 * Laws: `read(retext(t, read(t), s))` equals `normalise(s)`, and `retext(t, read(t), read(t).sessions[0])` is `t`.
 *
 * @param reading of exactly this text, which holds one session
 * @param session that session, changed without changing anything in place
 * @param read as this text was read
 */
export function retext(text: string, reading: ReadResult, session: Session, read: (text: string) => ReadResult): string {
  const tail = /\n*$/.exec(text)![0]
  const lines = text.slice(0, text.length - tail.length).split('\n')
  const before = reading.sessions[0]!
  if (session.items === before.items) return text
  const first = reading.places[0]!.get('1')?.line
  if (first === undefined)
    return [...lines.map(line => line), ...(isBlank(lines.at(-1) ?? '') ? [] : ['']), ...session.items.map(item => printItem(item))]
      .join('\n')
      .replace(/^\n+/, '')
  const known = knownLines(lines, reading)
  const headed = (rows: readonly string[]) => [...lines.slice(0, first - 1), ...rows].join('\n').replace(/\n+$/, '') + tail
  const asTyped = headed(writeRows(session.items, known, known))
  const printed = (of: Session) =>
    normalise(of)
      .items.map(item => printItem(item))
      .join('\n')
  const meansTheSame = printed(read(asTyped).sessions[0] ?? before) === printed(session)
  return meansTheSame ? asTyped : headed(writeRows(session.items, { groups: new Map(), heads: new Map() }, known))
}

/** The rows of the items, with all the talk of the text before. */
function writeRows(items: readonly Item[], kept: Known, all: Known): string[] {
  const into: string[] = []
  const trails = new Set<Group>()
  writeItems(items, 0, kept, trails, into)
  for (const group of new Set(all.groups.values())) {
    if (!trails.has(group)) into.push(...group.trail.filter(line => !isBlank(line)))
  }
  return into
}

/** The one stretch in which two texts differ, as a change of the first. */
export function changeBetween(before: string, after: string): { from: number; to: number; insert: string } {
  let start = 0
  const most = Math.min(before.length, after.length)
  while (start < most && before[start] === after[start]) start++
  let end = 0
  while (end < most - start && before[before.length - 1 - end] === after[after.length - 1 - end]) end++
  return { from: start, to: before.length - end, insert: after.slice(start, after.length - end) }
}
