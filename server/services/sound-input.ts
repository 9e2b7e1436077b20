import { isStorable } from '../../core/quantity/storable'
import { Problem } from './problem'

const deepest = 100

/**
 * Refuses what no database can keep, wherever it stands in what was sent: signs that are no text, and nesting without end.
 *
 * @param place where the value came from: `body`, `query`, `params`
 */
export function refuseUnsound(value: unknown, place: string): void {
  const open: { value: unknown; at: string; depth: number }[] = [{ value, at: place, depth: 0 }]
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: own, at, depth } = next
    if (typeof own === 'string' && !isStorable(own))
      throw new Problem(422, 'The text holds a sign that cannot be kept.', at, 'Take out NUL and broken half characters.')
    if (typeof own !== 'object' || own === null) continue
    if (depth >= deepest) throw new Problem(422, `The ${place} is nested more than ${deepest} deep.`, at.slice(0, 200), 'Send it flatter.')
    for (const [key, inner] of Object.entries(own)) open.push({ value: inner, at: `${at}.${key}`, depth: depth + 1 })
  }
}
