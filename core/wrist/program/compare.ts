import { diffArrays } from 'diff'
import type { Units } from '../../athlete/athlete'
import { printPrompt } from '../../script/print'
import { digestOf } from './digest'
import type { Program, ProgramItem } from './program'
import { printProgramItem } from './words'

/** One row of a read-back: what should be there beside what is. */
export interface ComparedRow {
  path: string
  depth: number
  should: string | null
  holds: string | null
  equal: boolean
}

interface Row {
  path: string
  depth: number
  words: string
  digest: string
}

function rowsOf(items: readonly ProgramItem[], units: Units | undefined, depth = 0): Row[] {
  return items.flatMap(item => {
    const own = item.kind === 'block' ? { ...item, items: [] } : item
    const row = { path: item.path, depth, words: printProgramItem(item, units), digest: digestOf(own) }
    return item.kind === 'block' ? [row, ...rowsOf(item.items, units, depth + 1)] : [row]
  })
}

/** The rows of a program and, before them, the prompts that go through it. */
const allRowsOf = ({ prompts = [], items }: Program, units: Units | undefined): Row[] => [
  ...prompts.map((prompt): Row => ({ path: '', depth: 0, words: printPrompt(prompt), digest: digestOf(prompt) })),
  ...rowsOf(items, units),
]

/**
 * Sets two programs side by side, row by row; what only one of them has stands alone, and a changed row beside what it was.
 *
 * @param units the athlete's, that both are said in
 *
 * Law: all rows are equal exactly when the items and prompts of both programs are.
 */
export function comparePrograms(should: Program, holds: Program, units?: Units): ComparedRow[] {
  const [left, right] = [allRowsOf(should, units), allRowsOf(holds, units)]
  const changes = diffArrays(left, right, { comparator: (a, b) => a.digest === b.digest && a.depth === b.depth })
  return changes.flatMap(({ value, added, removed }, index): ComparedRow[] => {
    const [before, after] = [changes[index - 1], changes[index + 1]]
    if (added)
      return value
        .slice(before?.removed ? before.value.length : 0)
        .map(({ path, depth, words }) => ({ path, depth, should: null, holds: words, equal: false }))
    return value.map(({ path, depth, words }, position) => {
      const holds = removed ? (after?.added ? (after.value[position]?.words ?? null) : null) : words
      return { path, depth, should: words, holds, equal: !removed }
    })
  })
}
