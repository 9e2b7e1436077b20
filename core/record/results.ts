import type { RowResult } from '../script/as-run'
import type { Item, Session } from '../session/document'
import type { ScoredStep } from './score'

const isTimed = (end: { on: string }) => end.on === 'time'

function endOf(items: readonly Item[], path: string): { on: string } | null {
  let current: readonly Item[] = items
  let item: Item | undefined
  for (const position of path.split('.').map(Number)) {
    item = current[position - 1]
    current = item && (item.kind === 'block' || item.kind === 'leg') ? item.items : []
  }
  return item?.kind === 'step' ? item.end : null
}

/** The results of a scored recording by row: times for distances, distances for times, and how much was held on average. */
export function resultsOf(session: Session, steps: readonly ScoredStep[]): Map<string, RowResult> {
  const results = new Map<string, RowResult>()
  const held = new Map<string, number[]>()
  for (const step of steps) {
    const end = endOf(session.items, step.path)
    if (!end) continue
    const known = results.get(step.path) ?? { rounds: [] }
    const value = isTimed(end) ? step.metres : step.seconds
    const isDone = step.status !== 'skipped' && value !== null
    known.rounds.push(isDone ? (isTimed(end) ? { metres: Math.round(value) } : { seconds: Math.round(value) }) : null)
    results.set(step.path, known)
    if (step.held !== null) held.set(step.path, [...(held.get(step.path) ?? []), step.held])
  }
  for (const [path, shares] of held)
    results.get(path)!.held = Math.round((shares.reduce((sum, share) => sum + share, 0) / shares.length) * 100) / 100
  return results
}
