import { diffArrays } from 'diff'
import { printBlockHeader, printLegHeader, printSession, printStep } from '../script/print'
import type { Item, Session } from '../session/document'
import { normalise } from '../session/normalise'

/** One row of a session, as the script writes it. */
export interface DiffRow {
  path: string
  depth: number
  words: string
}

export type RowChange =
  | { change: 'same' | 'changed'; before: DiffRow; after: DiffRow }
  | { change: 'added'; after: DiffRow }
  | { change: 'removed'; before: DiffRow }

/** What differs between two sessions: their headers as lines, their rows in order. */
export interface SessionDiff {
  headers: { before: string[]; after: string[] }
  rows: RowChange[]
}

function ownWords(item: Item): string {
  switch (item.kind) {
    case 'step':
      return printStep(item) + noteOf(item.note)
    case 'block':
      return printBlockHeader(item) + noteOf(item.note)
    case 'leg':
      return printLegHeader(item)
    case 'unread':
      return `unread ${item.text}`
  }
}

const noteOf = (note: string | undefined) => (note === undefined ? '' : `  # ${note.split('\n').join(' / ')}`)

/** The rows of a session in the order they are written. */
export function rowsOf(items: readonly Item[], prefix = '', depth = 0): DiffRow[] {
  return items.flatMap((item, index) => {
    const path = `${prefix}${index + 1}`
    const own = { path, depth, words: ownWords(item) }
    return item.kind === 'block' || item.kind === 'leg' ? [own, ...rowsOf(item.items, `${path}.`, depth + 1)] : [own]
  })
}

const headersOf = (session: Session) =>
  printSession({ ...session, items: [] })
    .trimEnd()
    .split('\n')
const kindOf = ({ words }: DiffRow) => (/^(?:off )?(?:\d+ times|repeat for)/.test(words) ? 'block' : /^leg /.test(words) ? 'leg' : 'row')

/** Rows that went and came at the same place, paired where they are of a kind and stand as deep. */
function paired(removed: readonly DiffRow[], added: readonly DiffRow[]): RowChange[] {
  const left = [...added]
  const changes: RowChange[] = []
  for (const before of removed) {
    const index = left.findIndex(after => after.depth === before.depth && kindOf(after) === kindOf(before))
    if (index < 0) {
      changes.push({ change: 'removed', before })
      continue
    }
    changes.push(...left.splice(0, index).map((after): RowChange => ({ change: 'added', after })))
    changes.push({ change: 'changed', before, after: left.shift()! })
  }
  return [...changes, ...left.map((after): RowChange => ({ change: 'added', after }))]
}

/**
 * Row by row what one session has that another has not.
 *
 * Laws: a session differs from itself in nothing, and the rows of `after` are those that are same, changed or added.
 */
export function diffSessions(before: Session, after: Session): SessionDiff {
  const [one, other] = [normalise(before), normalise(after)]
  const rows: RowChange[] = []
  let removed: DiffRow[] = []
  const parts = diffArrays(rowsOf(one.items), rowsOf(other.items), { comparator: (a, b) => a.words === b.words && a.depth === b.depth })
  const kept = rowsOf(one.items)
  let at = 0
  for (const part of parts) {
    if (part.removed) {
      removed = part.value
      at += part.value.length
      continue
    }
    rows.push(...paired(removed, part.added ? part.value : []))
    removed = []
    if (part.added) continue
    for (const row of part.value) rows.push({ change: 'same', before: kept[at++]!, after: row })
  }
  rows.push(...paired(removed, []))
  const [headersBefore, headersAfter] = [headersOf(one), headersOf(other)]
  return {
    headers: {
      before: headersBefore.filter(line => !headersAfter.includes(line)),
      after: headersAfter.filter(line => !headersBefore.includes(line)),
    },
    rows: withAfterRows(rows, rowsOf(other.items)),
  }
}

/** An unchanged part is given in the words of the first; where it stands in the second is counted along. */
function withAfterRows(rows: RowChange[], after: readonly DiffRow[]): RowChange[] {
  let at = 0
  return rows.map(row => {
    if (row.change === 'removed') return row
    const own = after[at++]!
    return row.change === 'same' ? { ...row, after: own } : row
  })
}

/** Whether two sessions have the same rows, whatever they are called and whenever they are. */
export const sameContent = (one: Session, other: Session): boolean => diffSessions(one, other).rows.every(row => row.change === 'same')
