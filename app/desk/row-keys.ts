import type { Edit } from '~~/core/edit/edit'
import { itemAt, parentOf } from '~~/core/session/item-path'
import type { Session } from '~~/core/session/document'

/** Something that can be done to a row by a key or a button. */
export interface RowAction {
  name: string
  key: string
  /** As it is shown to the athlete. */
  shown: string
  edit: (session: Session, path: string) => Edit | null
}

const outerOf = (path: string) => parentOf(path) || null
const sibling = (path: string, by: number) => {
  const parts = path.split('.').map(Number)
  parts[parts.length - 1]! += by
  return parts.join('.')
}

function up(session: Session, at: string): Edit | null {
  const before = sibling(at, -1)
  if (!before.endsWith('.0') && before !== '0' && itemAt(session, before)) return { do: 'move', at, to: before, where: 'before' }
  const parent = outerOf(at)
  return parent === null ? null : { do: 'move', at, to: parent, where: 'before' }
}

function down(session: Session, at: string): Edit | null {
  const next = sibling(at, 1)
  if (itemAt(session, next)) return { do: 'move', at, to: next, where: 'after' }
  const parent = outerOf(at)
  return parent === null ? null : { do: 'move', at, to: parent, where: 'after' }
}

/** The repeat at a path, or around it. */
export function blockAt(session: Session, path: string): { path: string; times: number | null } | null {
  for (let at: string | null = path; at !== null; at = outerOf(at)) {
    const item = itemAt(session, at)
    if (item?.kind === 'block') return { path: at, times: item.repeat.times ?? null }
  }
  return null
}

function count(session: Session, path: string, by: number): Edit | null {
  const block = blockAt(session, path)
  return block && block.times !== null && block.times + by >= 1
    ? { do: 'repeat', at: block.path, repeat: { times: block.times + by } }
    : null
}

export const rowActions: readonly RowAction[] = [
  { name: 'Up', key: 'Alt-ArrowUp', shown: 'Alt \u2191', edit: up },
  { name: 'Down', key: 'Alt-ArrowDown', shown: 'Alt \u2193', edit: down },
  { name: 'Duplicate', key: 'Alt-d', shown: 'Alt D', edit: (_, at) => ({ do: 'duplicate', at }) },
  { name: 'Split', key: 'Alt-s', shown: 'Alt S', edit: (_, at) => ({ do: 'split', at }) },
  { name: 'Repeat', key: 'Alt-w', shown: 'Alt W', edit: (_, at) => ({ do: 'wrap', from: at, to: at, times: 2 }) },
  {
    name: 'Ungroup',
    key: 'Alt-Shift-w',
    shown: 'Alt Shift W',
    edit: (session, at) => {
      const block = blockAt(session, at)
      return block && { do: 'ungroup', at: block.path }
    },
  },
  { name: '+1 round', key: 'Alt-=', shown: 'Alt +', edit: (session, at) => count(session, at, 1) },
  { name: '\u22121 round', key: 'Alt--', shown: 'Alt \u2212', edit: (session, at) => count(session, at, -1) },
  {
    name: 'Drop last recovery',
    key: 'Alt-l',
    shown: 'Alt L',
    edit: (session, at) => {
      const block = blockAt(session, at)
      return block && { do: 'drop-last', at: block.path }
    },
  },
  { name: 'Switch off', key: 'Alt-o', shown: 'Alt O', edit: (_, at) => ({ do: 'off', at }) },
  { name: 'Harder copy', key: 'Alt-h', shown: 'Alt H', edit: (_, at) => ({ do: 'harder', at, shift: { by: 3, unit: '%' } }) },
  { name: 'Easier copy', key: 'Alt-Shift-h', shown: 'Alt Shift H', edit: (_, at) => ({ do: 'harder', at, shift: { by: -3, unit: '%' } }) },
  { name: 'Delete', key: 'Alt-Backspace', shown: 'Alt \u232B', edit: (_, at) => ({ do: 'delete', at }) },
]
