import { fold } from '../script/token/fold'

const leastLike = 0.28

function trigrams(text: string): Set<string> {
  const padded = `  ${fold(text).toLowerCase().trim()} `
  const found = new Set<string>()
  for (let at = 0; at + 3 <= padded.length; at++) found.add(padded.slice(at, at + 3))
  return found
}

/** How alike two sets are, from 0 to 1: twice what they share over what they have (Dice, Ecology 26 (1945)). */
function likeness(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  let shared = 0
  for (const one of a) if (b.has(one)) shared++
  return (2 * shared) / (a.size + b.size)
}

/**
 * The rows whose titles come nearest to the words of a search that found nothing, the nearest first; none that is nothing like them.
 *
 * @param most how many at most
 */
export function nearestTitles<Row extends { title: string }>(search: string, rows: readonly Row[], most: number): Row[] {
  const asked = trigrams(search)
  return rows
    .map(row => ({ row, like: likeness(asked, trigrams(row.title)) }))
    .filter(({ like }) => like >= leastLike)
    .sort((a, b) => b.like - a.like)
    .slice(0, most)
    .map(({ row }) => row)
}
