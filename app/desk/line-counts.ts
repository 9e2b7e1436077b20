import { diffLines } from 'diff'

/** How many lines came and went from one wording to another. */
export function lineCountsBetween(before: string, after: string): { added: number; gone: number } {
  const parts = diffLines(before.trimEnd() + '\n', after.trimEnd() + '\n')
  const count = (of: 'added' | 'removed') => parts.filter(part => part[of]).reduce((sum, part) => sum + part.count, 0)
  return { added: count('added'), gone: count('removed') }
}
