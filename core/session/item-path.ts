import type { Block, Item, Leg, Session, SessionSport } from './document'

/** 1-based positions in the document, outermost first: `3.2.1`. */
export type Path = string

export const positions = (path: Path) => path.split('.').map(Number)
export const parentOf = (path: Path) => (path.includes('.') ? path.slice(0, path.lastIndexOf('.')) : '')
/** The path of the item at a position, from 1, within its parent. */
export const within = (parent: Path, position: number) => (parent === '' ? `${position}` : `${parent}.${position}`)
export const holds = (item: Item): item is Block | Leg => item.kind === 'block' || item.kind === 'leg'

/** The item at a path, or null. */
export function itemAt(session: Session, path: Path): Item | null {
  let items: readonly Item[] = session.items
  let item: Item | null = null
  for (let start = 0; start <= path.length;) {
    const dot = path.indexOf('.', start)
    const end = dot < 0 ? path.length : dot
    item = items[Number(path.slice(start, end)) - 1] ?? null
    if (!item) return null
    items = holds(item) ? item.items : []
    start = end + 1
  }
  return item
}

/** The sport that rules at a path. */
export function sportAt(session: Session, path: Path): SessionSport {
  const leg = path.includes('.') ? itemAt(session, path.split('.')[0]!) : null
  return leg?.kind === 'leg' ? leg.sport : session.sport
}

/** Where an item stands, found by being the same object; null when it does not. */
export function pathOf(items: readonly Item[], wanted: Item, parent: Path): Path | null {
  for (const [index, item] of items.entries()) {
    const path = within(parent, index + 1)
    if (item === wanted) return path
    const inner = holds(item) ? pathOf(item.items, wanted, path) : null
    if (inner) return inner
  }
  return null
}
