import type { EditRefusal, PlainRefusal } from '../words/refusals'
import { printEnd } from '../script/print'
import { harderItem } from './harder'
import type { Shift } from './harder'
import type { Path } from '../session/item-path'
import { holds, itemAt, parentOf, pathOf, positions, within } from '../session/item-path'
import { itemsOf, mayStand } from './typed'
import type { Standpoint } from '../athlete/standpoint'
import type { Block, End, Item, Repeat, Session, Step } from '../session/document'
import { limits } from '../session/limits'

/**
 * One change of a session, as data: the keys, the pointer and the fixes of remarks all say what they want with these.
 *
 * Laws, held by the tests: `duplicate` then `remove` of the copy, `wrap` then `unwrap`, `move` there and back, and every
 * toggle twice give the document that was there; items that a change does not concern stay the same objects.
 */
export type Edit =
  | { do: 'insert'; words: string; at: Path; where: 'before' | 'after' | 'inside' }
  | { do: 'replace'; at: Path; words: string }
  | { do: 'delete'; at: Path }
  | { do: 'duplicate'; at: Path }
  | { do: 'split'; at: Path }
  | { do: 'move'; at: Path; to: Path; where: 'before' | 'after' | 'inside' }
  | { do: 'wrap'; from: Path; to: Path; times: number }
  | { do: 'ungroup'; at: Path }
  | { do: 'repeat'; at: Path; repeat: Repeat }
  | { do: 'drop-last'; at: Path }
  | { do: 'off'; at: Path }
  | { do: 'harder'; at: Path; shift: Shift }
  | { do: 'end'; at: Path; words: string }
  | { do: 'target'; at: Path; words: string }
  | { do: 'join'; at: Path }
  | { do: 'resolve-doubt'; at: Path }

/** The session after the edit, and the path of what it left in the athlete's hand. */
export type Edited = { ok: true; session: Session; select: Path | null } | { ok: false; refusal: EditRefusal }

const failed = (refusal: EditRefusal | PlainRefusal): Edited => ({
  ok: false,
  refusal: typeof refusal === 'string' ? { code: refusal } : refusal,
})

/** Replaces the list of items that a path's parent holds; all else stays the same objects. */
function withItems(session: Session, parent: Path, change: (items: Item[]) => Item[]): Session {
  const visit = (items: readonly Item[], rest: readonly number[]): Item[] => {
    if (rest.length === 0) return change([...items])
    return items.map((item, index) => (index === rest[0]! - 1 && holds(item) ? { ...item, items: visit(item.items, rest.slice(1)) } : item))
  }
  return { ...session, items: visit(session.items, parent === '' ? [] : positions(parent)) }
}

function withItem(session: Session, path: Path, change: (item: Item) => Item[]): Session {
  const index = positions(path).at(-1)! - 1
  return withItems(session, parentOf(path), items => items.flatMap((item, position) => (position === index ? change(item) : [item])))
}

/** A repeat that holds nothing says nothing: it goes with its last row. */
function withoutEmpty(items: readonly Item[]): Item[] {
  return items.flatMap((item): Item[] => {
    if (!holds(item)) return [item]
    if (item.items.length === 0) return []
    const inner = withoutEmpty(item.items)
    return inner.length === item.items.length && inner.every((one, index) => one === item.items[index])
      ? [item]
      : inner.length === 0
        ? []
        : [{ ...item, items: inner }]
  })
}

function halved(end: End): [End, End] | null {
  switch (end.on) {
    case 'time': {
      const first = end.seconds >= 120 ? Math.round(end.seconds / 60 / 2) * 60 || end.seconds / 2 : Math.round(end.seconds / 2)
      return first > 0 && first < end.seconds
        ? [
            { on: 'time', seconds: first },
            { on: 'time', seconds: Math.round((end.seconds - first) * 1000) / 1000 },
          ]
        : null
    }
    case 'distance': {
      const first = Math.round((end.value / 2) * 1000) / 1000
      return first > 0 && first < end.value
        ? [
            { ...end, value: first },
            { ...end, value: Math.round((end.value - first) * 1000) / 1000 },
          ]
        : null
    }
    case 'energy':
      return end.kilocalories >= 2
        ? [
            { ...end, kilocalories: Math.floor(end.kilocalories / 2) },
            { ...end, kilocalories: Math.ceil(end.kilocalories / 2) },
          ]
        : null
    default:
      return null
  }
}

function split(session: Session, at: Path, item: Item): Edited {
  if (item.kind === 'block' && 'times' in item.repeat && item.repeat.times !== undefined && item.repeat.times > 1) {
    const { times } = item.repeat
    const first = Math.ceil(times / 2)
    const halves = [first, times - first].map((count): Item => ({ ...item, repeat: { ...item.repeat, times: count } as Repeat }))
    return { ok: true, session: withItem(session, at, () => halves), select: at }
  }
  const ends = item.kind === 'step' ? halved(item.end) : null
  if (!ends || item.kind !== 'step') return failed('not-splittable')
  const { note, doubt: _, ...step } = item
  return {
    ok: true,
    session: withItem(session, at, () => [
      { ...step, end: ends[0], ...(note === undefined ? {} : { note }) },
      { ...step, end: ends[1] },
    ]),
    select: at,
  }
}

/** A place in the document that a removal before it has moved. */
function afterRemoval(path: Path, removed: Path): Path {
  const [own, gone] = [positions(path), positions(removed)]
  const level = gone.length - 1
  const isSibling = own.length >= gone.length && own.slice(0, level).every((position, index) => position === gone[index])
  if (!isSibling || own[level]! <= gone[level]!) return path
  return own.map((position, index) => (index === level ? position - 1 : position)).join('.')
}

function place(session: Session, items: readonly Item[], at: Path, where: 'before' | 'after' | 'inside'): Edited {
  if (where === 'inside') {
    const target = itemAt(session, at)
    if (!target || !holds(target)) return failed('not-a-holder')
    return { ok: true, session: withItems(session, at, inner => [...inner, ...items]), select: within(at, target.items.length + 1) }
  }
  const position = positions(at).at(-1)! + (where === 'after' ? 1 : 0)
  const placed = withItems(session, parentOf(at), inner => [...inner.slice(0, position - 1), ...items, ...inner.slice(position - 1)])
  return { ok: true, session: placed, select: within(parentOf(at), position) }
}

function move(session: Session, at: Path, item: Item, to: Path, where: 'before' | 'after' | 'inside'): Edited {
  if (to === at) return { ok: true, session, select: at }
  if (to.startsWith(`${at}.`)) return failed('into-itself')
  if (item.kind === 'leg' && (to.includes('.') || where === 'inside')) return failed('leg-inside')
  const removed = withItem(session, at, () => [])
  const target = afterRemoval(to, at)
  const placed = place(removed, [item], target, where)
  if (!placed.ok) return placed
  const tidied = { ...placed.session, items: withoutEmpty(placed.session.items) }
  return { ok: true, session: tidied, select: pathOf(tidied.items, item, '') }
}

function wrap(session: Session, from: Path, to: Path, times: number): Edited {
  if (parentOf(from) !== parentOf(to)) return failed('not-beside')
  const [first, last] = [positions(from).at(-1)!, positions(to).at(-1)!].sort((a, b) => a - b) as [number, number]
  let hasLeg = false
  const wrapped = withItems(session, parentOf(from), items => {
    const body = items.slice(first - 1, last)
    hasLeg = body.some(item => item.kind === 'leg')
    return body.length === 0
      ? items
      : [...items.slice(0, first - 1), { kind: 'block', repeat: { times }, items: body }, ...items.slice(last)]
  })
  return hasLeg ? failed('leg-repeated') : { ok: true, session: wrapped, select: within(parentOf(from), first) }
}

function withEnd(session: Session, at: Path, item: Item, words: string, standpoint: Standpoint): Edited {
  if (item.kind === 'block') {
    const head = itemsOf(`${/^\d+$/.test(words.trim()) ? `${words.trim()} times` : words}\n  1:00`, session, at, standpoint)?.[0]
    return head?.kind === 'block' && !head.doubt
      ? apply(session, { do: 'repeat', at, repeat: head.repeat }, standpoint)
      : failed('not-a-repeat')
  }
  if (item.kind !== 'step') return failed('no-length')
  const step = itemsOf(words, session, at, standpoint)?.[0]
  if (step?.kind !== 'step' || step.target || step.doubt) return failed({ code: 'not-a-length', words })
  const { doubt: _, ...rest } = item
  const keepsTarget = !item.target || !('unit' in item.target) || item.target.unit !== 's/step' || step.end.on === 'distance'
  const { target, ...others } = rest
  return {
    ok: true,
    session: withItem(session, at, () => [{ ...others, ...(keepsTarget && target ? { target } : {}), end: step.end }]),
    select: at,
  }
}

function withTarget(session: Session, at: Path, item: Item, words: string, standpoint: Standpoint): Edited {
  if (item.kind !== 'step') return failed('no-target')
  const { target: _, also: __, ...bare } = item
  if (words.trim() === '') return { ok: true, session: withItem(session, at, () => [bare]), select: at }
  const said = words.trim().replace(/^@\s*/, '')
  const step = itemsOf(`${printEnd(item.end)} ${/^in\s/.test(said) ? said : `@ ${said}`}`, session, at, standpoint)?.[0]
  if (step?.kind !== 'step' || !step.target || step.doubt) return failed({ code: 'not-a-target', words })
  return {
    ok: true,
    session: withItem(session, at, () => [{ ...bare, target: step.target, ...(step.also ? { also: step.also } : {}) }]),
    select: at,
  }
}

/** Two recoveries in a row become one of their sum. */
function join(session: Session, at: Path, item: Item): Edited {
  const index = positions(at).at(-1)!
  const next = itemAt(session, within(parentOf(at), index + 1))
  const addable = item.kind === 'step' && next?.kind === 'step' && item.end.on === next.end.on
  if (!addable || item.kind !== 'step' || next?.kind !== 'step') return failed('not-joinable')
  const sum: End | null =
    item.end.on === 'time' && next.end.on === 'time'
      ? { on: 'time', seconds: item.end.seconds + next.end.seconds }
      : item.end.on === 'distance' && next.end.on === 'distance' && item.end.unit === next.end.unit
        ? { ...item.end, value: item.end.value + next.end.value }
        : null
  if (!sum) return failed('not-joinable')
  const joined: Step = { ...item, end: sum }
  return {
    ok: true,
    session: withItems(session, parentOf(at), items => [...items.slice(0, index - 1), joined, ...items.slice(index + 1)]),
    select: at,
  }
}

function toggled<T extends Item>(item: T, key: 'off' | 'lastRecovery', value: true | 'drop'): T {
  const { [key]: had, ...rest } = item as T & { off?: true; lastRecovery?: 'drop' }
  return (had ? rest : { ...rest, [key]: value }) as unknown as T
}

function withRepeat(session: Session, at: Path, item: Item, repeat: Repeat): Edited {
  if (item.kind !== 'block') return failed('no-count')
  if (repeat.times !== undefined && (repeat.times < 1 || repeat.times > limits.times))
    return failed({ code: 'count-out-of-bounds', most: limits.times })
  const { doubt: _, lastRecovery, ...block } = item
  const keeps = repeat.times !== undefined && lastRecovery ? { lastRecovery } : {}
  return { ok: true, session: withItem(session, at, () => [{ ...block, ...keeps, repeat }]), select: at }
}

function harderCopy(session: Session, at: Path, item: Item, shift: Shift): Edited {
  const changed = { count: 0 }
  const copy = harderItem(structuredClone(item), shift, changed)
  return changed.count > 0 ? place(session, [copy], at, 'after') : failed({ code: 'no-target-of-unit', unit: shift.unit })
}

/**
 * Carries out one edit. Nothing is changed in place; an edit that does not fit says why.
 *
 * @param standpoint by which words typed into the edit are read, as the words of the sheet are
 */
export function apply(session: Session, edit: Edit, standpoint: Standpoint): Edited {
  const at = edit.do === 'wrap' ? edit.from : edit.at
  const item = itemAt(session, at)
  if (!item && !(edit.do === 'insert' && session.items.length === 0)) return failed({ code: 'no-row', at })
  switch (edit.do) {
    case 'insert': {
      const items = mayStand(edit.words, session, at) ? itemsOf(edit.words, session, at, standpoint) : null
      if (!items) return failed({ code: 'not-a-row', words: edit.words })
      return item ? place(session, items, at, edit.where) : { ok: true, session: { ...session, items }, select: '1' }
    }
    case 'replace': {
      const items = mayStand(edit.words, session, at) ? itemsOf(edit.words, session, at, standpoint) : null
      return items
        ? { ok: true, session: withItem(session, at, () => items), select: at }
        : failed({ code: 'not-a-row', words: edit.words })
    }
    case 'delete': {
      const removed = withItem(session, at, () => [])
      return { ok: true, session: { ...removed, items: withoutEmpty(removed.items) }, select: null }
    }
    case 'duplicate':
      return place(session, [structuredClone(item!)], at, 'after')
    case 'split':
      return split(session, at, item!)
    case 'move':
      return itemAt(session, edit.to) ? move(session, at, item!, edit.to, edit.where) : failed({ code: 'no-row', at: edit.to })
    case 'wrap':
      return edit.times >= 1 && edit.times <= limits.times
        ? wrap(session, edit.from, edit.to, edit.times)
        : failed({ code: 'count-out-of-bounds', most: limits.times })
    case 'ungroup':
      return item!.kind === 'block'
        ? { ok: true, session: withItem(session, at, () => (item as Block).items), select: at }
        : failed('not-ungroupable')
    case 'repeat':
      return withRepeat(session, at, item!, edit.repeat)
    case 'drop-last': {
      if (item!.kind !== 'block' || item!.repeat.times === undefined) return failed('no-last-recovery')
      return { ok: true, session: withItem(session, at, () => [toggled(item as Block, 'lastRecovery', 'drop')]), select: at }
    }
    case 'off': {
      if (item!.kind !== 'step' && item!.kind !== 'block') return failed('not-switchable')
      return { ok: true, session: withItem(session, at, () => [toggled(item as Step, 'off', true)]), select: at }
    }
    case 'harder':
      return harderCopy(session, at, item!, edit.shift)
    case 'end':
      return withEnd(session, at, item!, edit.words, standpoint)
    case 'target':
      return withTarget(session, at, item!, edit.words, standpoint)
    case 'join':
      return join(session, at, item!)
    case 'resolve-doubt': {
      if (item!.kind !== 'step' && item!.kind !== 'block') return failed('not-in-doubt')
      const { doubt: _, ...sure } = item as Step
      return { ok: true, session: withItem(session, at, () => [sure as Item]), select: at }
    }
  }
}
