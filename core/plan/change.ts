import type { PlanEntry } from './entry'
import { inOrder } from './entry'

/**
 * What becomes of one entry: as it was before, and as it is after; null where it was not there or is gone.
 *
 * Laws, for changes that fit a plan: applying the changes and then their inverse gives the plan again, entry by entry; entries that
 * no change names stay as they are; a plan that has gone on since refuses, and stays as it is.
 */
export interface PlanChange {
  id: string
  before: PlanEntry | null
  after: PlanEntry | null
}

export type AppliedChanges = { ok: true; entries: PlanEntry[] } | { ok: false; id: string; now: PlanEntry | null }

const fields = ['day', 'at', 'kind', 'session', 'name', 'minutes', 'effort', 'sport', 'filled'] as const

/** Whether two states of an entry are the same. */
export const isSameEntry = (one: PlanEntry | null, other: PlanEntry | null): boolean =>
  one === null || other === null ? one === other : one.id === other.id && fields.every(field => one[field] === other[field])

/**
 * A plan with changes made to it, all of them or none.
 *
 * @returns the entries in their order; or the first entry that is no longer as a change expects, as it is now
 */
export function applyChanges(entries: Iterable<PlanEntry>, changes: readonly PlanChange[]): AppliedChanges {
  const byId = new Map([...entries].map(entry => [entry.id, entry]))
  const missed = changeIn(byId, changes)
  return missed ? { ok: false, ...missed } : { ok: true, entries: inOrder(byId.values()) }
}

/**
 * Makes changes in a plan that is held by the ids of its entries, up to the first that does not fit it.
 *
 * @returns that one's entry as it is now; null where all are made
 */
export function changeIn(byId: Map<string, PlanEntry>, changes: readonly PlanChange[]): { id: string; now: PlanEntry | null } | null {
  for (const { id, before, after } of changes) {
    const now = byId.get(id) ?? null
    if (!isSameEntry(now, before)) return { id, now }
    if (after === null) byId.delete(id)
    else byId.set(id, after)
  }
  return null
}

/** The changes that take others back. */
export const inverse = (changes: readonly PlanChange[]): PlanChange[] =>
  changes.map(({ id, before, after }) => ({ id, before: after, after: before })).reverse()
