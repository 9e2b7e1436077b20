import { daysFrom } from '../quantity/day'
import type { PlanChange } from './change'
import type { PlanEntry } from './entry'
import { inOrder, onDay } from './entry'

/** Edits of a plan as pure functions: each gives the changes that do it, for `applyChanges`. */

type Entries = readonly PlanEntry[]

const changed = (before: PlanEntry, after: Partial<PlanEntry>): PlanChange => ({ id: before.id, before, after: { ...before, ...after } })
const real = (changes: readonly PlanChange[]): PlanChange[] =>
  changes.filter(({ before, after }) => before === null || after === null || before.day !== after.day || before.at !== after.at)

/** The entries of a day given the places 0, 1, 2 in this order. */
const placed = (row: Entries, day: string): PlanChange[] => real(row.map((entry, at) => changed(entry, { day, at })))

const behindAll = (entries: Entries, day: string): number => Math.max(-1, ...onDay(entries, day).map(({ at }) => at)) + 1

/** Puts something on a day, behind what is there already. */
export function putOn(entries: Entries, entry: Omit<PlanEntry, 'at'>): PlanChange[] {
  return [{ id: entry.id, before: null, after: { ...entry, at: behindAll(entries, entry.day) } }]
}

/** Takes entries off their days. */
export const takeOff = (entries: Entries, ids: readonly string[]): PlanChange[] =>
  entries.filter(({ id }) => ids.includes(id)).map(before => ({ id: before.id, before, after: null }))

/**
 * Moves an entry to a place of a day.
 *
 * @param at its place there, from 0; past the last means last
 */
export function moveTo(entries: Entries, id: string, day: string, at = Infinity): PlanChange[] {
  const entry = entries.find(one => one.id === id)
  if (!entry) return []
  const others = onDay(entries, day).filter(one => one.id !== id)
  const place = Math.min(at, others.length)
  const row = [...others.slice(0, place), entry, ...others.slice(place)]
  const left =
    entry.day === day
      ? []
      : placed(
          onDay(entries, entry.day).filter(one => one.id !== id),
          entry.day,
        )
  return [...placed(row, day), ...left]
}

/**
 * Copies all that stands on some days to as many days from another one on.
 *
 * @param newId gives each copy an id of its own
 */
export function copyDays(entries: Entries, from: string, days: number, to: string, newId: () => string): PlanChange[] {
  return Array.from({ length: days }, (_, offset) => {
    const day = daysFrom(to, offset)
    const first = behindAll(entries, day)
    return onDay(entries, daysFrom(from, offset)).map((entry, index): PlanChange => {
      const id = newId()
      return { id, before: null, after: { ...entry, id, day, at: first + index } }
    })
  }).flat()
}

/** Gives each of two days what the other holds. */
export const swapDays = (entries: Entries, one: string, other: string): PlanChange[] =>
  one === other ? [] : [...placed(onDay(entries, one), other), ...placed(onDay(entries, other), one)]

/** Races and days that cannot be used stay where they are when all else moves. */
const isFixed = ({ kind }: PlanEntry) => kind === 'race' || kind === 'blocked'

/**
 * Moves all that is planned from a day on by some days, as after an illness. Races and blocked days stay; what comes behind what
 * stays there keeps its order.
 *
 * @param by days, later where positive
 * @param until the last day that moves; all later ones unless said
 */
export function shiftFrom(entries: Entries, from: string, by: number, until?: string): PlanChange[] {
  if (by === 0) return []
  const moving = inOrder(entries).filter(entry => entry.day >= from && (until === undefined || entry.day <= until) && !isFixed(entry))
  const ids = new Set(moving.map(({ id }) => id))
  const staying = entries.filter(({ id }) => !ids.has(id))
  const taken = new Map<string, number>()
  return real(
    moving.map(entry => {
      const day = daysFrom(entry.day, by)
      const at = taken.get(day) ?? behindAll(staying, day)
      taken.set(day, at + 1)
      return changed(entry, { day, at })
    }),
  )
}

/** Takes off all that stands on some days. */
export const clearDays = (entries: Entries, from: string, days: number): PlanChange[] =>
  takeOff(
    entries,
    entries.filter(({ day }) => day >= from && day < daysFrom(from, days)).map(({ id }) => id),
  )
