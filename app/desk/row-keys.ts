import type { Edit } from '~~/core/edit/edit'
import type { Shift } from '~~/core/edit/harder'
import { itemAt, parentOf } from '~~/core/session/item-path'
import type { AltKey } from '~/keys/alt-key'
import type { Session } from '~~/core/session/document'
import { deskRowKeys as texts } from '~/texts/en'

/** Something that can be done to a row by a key or a button. */
export interface RowAction extends AltKey {
  name: string
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

/** A copy of the repeat around a row, or of the row that stands in none: within a repeat it would be work in every round. */
export const harderCopy = (session: Session, at: string, shift: Shift): Edit => ({
  do: 'harder',
  at: blockAt(session, at)?.path ?? at,
  shift,
})

export const rowActions: readonly RowAction[] = [
  { name: 'Up', code: 'ArrowUp', sign: '↑', edit: up },
  { name: 'Down', code: 'ArrowDown', sign: '↓', edit: down },
  { name: 'Duplicate', code: 'KeyC', sign: 'C', edit: (_, at) => ({ do: 'duplicate', at }) },
  { name: 'Split', code: 'KeyX', sign: 'X', edit: (_, at) => ({ do: 'split', at }) },
  { name: 'Repeat', code: 'KeyR', sign: 'R', edit: (_, at) => ({ do: 'wrap', from: at, to: at, times: 2 }) },
  {
    name: 'Ungroup',
    code: 'KeyU',
    sign: 'U',
    edit: (session, at) => {
      const block = blockAt(session, at)
      return block && { do: 'ungroup', at: block.path }
    },
  },
  { name: '+1 round', code: 'Equal', sign: '+', edit: (session, at) => count(session, at, 1) },
  { name: '\u22121 round', code: 'Minus', sign: '−', edit: (session, at) => count(session, at, -1) },
  {
    name: texts.dropLastRecovery,
    code: 'KeyL',
    sign: 'L',
    edit: (session, at) => {
      const block = blockAt(session, at)
      return block && { do: 'drop-last', at: block.path }
    },
  },
  { name: texts.switchOff, code: 'KeyO', sign: 'O', edit: (_, at) => ({ do: 'off', at }) },
  { name: texts.harderCopy, code: 'KeyK', sign: 'K', edit: (session, at) => harderCopy(session, at, { by: 3, unit: '%' }) },
  { name: texts.easierCopy, code: 'KeyJ', sign: 'J', edit: (session, at) => harderCopy(session, at, { by: -3, unit: '%' }) },
  { name: 'Delete', code: 'Backspace', sign: '⌫', edit: (_, at) => ({ do: 'delete', at }) },
]
