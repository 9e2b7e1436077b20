import { digestOf } from './digest'
import type { Program, ProgramItem } from './program'
import { printProgramItem } from './words'

/** One row of a read-back: what should be there beside what is. */
export interface ComparedRow { path: string, depth: number, should: string | null, holds: string | null, equal: boolean }

interface Row { path: string, depth: number, words: string, digest: string }

function rowsOf(items: readonly ProgramItem[], depth = 0): Row[] {
  return items.flatMap((item) => {
    const own = item.kind === 'block' ? { ...item, items: [] } : item
    const row = { path: item.path, depth, words: printProgramItem(item), digest: digestOf(own) }
    return item.kind === 'block' ? [row, ...rowsOf(item.items, depth + 1)] : [row]
  })
}

/**
 * Sets two programs side by side, row by row in order; rows that only one has stand alone.
 *
 * Law: all rows are equal exactly when the items of both programs are.
 */
export function comparePrograms(should: Program, holds: Program): ComparedRow[] {
  const left = rowsOf(should.items)
  const right = rowsOf(holds.items)
  return Array.from({ length: Math.max(left.length, right.length) }, (_, index): ComparedRow => {
    const a = left[index]
    const b = right[index]
    return {
      path: (a ?? b)!.path, depth: (a ?? b)!.depth, should: a?.words ?? null, holds: b?.words ?? null,
      equal: a !== undefined && b !== undefined && a.digest === b.digest && a.depth === b.depth,
    }
  })
}
