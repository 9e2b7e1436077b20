import type { Standpoint } from '../athlete/standpoint'
import type { Shift } from '../edit/harder'
import { harderSession } from '../edit/whole'
import { courseOf } from '../forecast/intensity'
import { levelBounds, usedOf } from '../forecast/level'
import type { Item, Session } from '../session/document'
import { holds } from '../session/item-path'
import { reckon } from '../reckon/reckon'

export type ProgressWay = 'harder' | 'easier'
/** What was changed: the work targets by percent, the rounds of a repeat, or the lengths of all work by percent. */
export type ProgressBy =
  { of: 'targets'; percent: number } | { of: 'rounds'; from: number; to: number } | { of: 'lengths'; percent: number }

export interface Progressed {
  session: Session
  by: ProgressBy
  /** Share used before and after. */
  from: number
  to: number
}

/** A step up or down that training customarily takes at once, as a factor of the share used; our own custom. */
const aims: Record<ProgressWay, number> = { harder: 1.08, easier: 0.85 }
const percents: Record<ProgressWay, readonly number[]> = { harder: [1, 2, 3, 4], easier: [-2, -3, -4, -6, -8] }
const lengths: Record<ProgressWay, readonly number[]> = { harder: [5, 8, 10, 12], easier: [-10, -15, -20, -25] }
/** A session that is no race is made no harder than hard. */
const mostUsed = levelBounds.find(([level]) => level === 'hard')![1]

const used = (session: Session, standpoint: Standpoint): number | null =>
  usedOf(courseOf(session, reckon(session, standpoint).flat, standpoint), standpoint)?.used.likely ?? null

/** The session with the largest of its counted repeats given one round more or fewer; null where none has enough. */
function withRounds(session: Session, by: 1 | -1): { session: Session; by: ProgressBy } | null {
  let largest: { times: number } | null = null
  const visit = (items: readonly Item[]) => {
    for (const item of items) {
      if (item.kind === 'block' && item.repeat.times !== undefined && item.repeat.times > (largest?.times ?? 1))
        largest = item.repeat as { times: number }
      if (holds(item)) visit(item.items)
    }
  }
  const copy = structuredClone(session)
  visit(copy.items)
  const found = largest as { times: number } | null
  if (!found || found.times + by < 2) return null
  const from = found.times
  found.times += by
  return { session: copy, by: { of: 'rounds', from, to: found.times } }
}

const rounded = (value: number, to: number) => Math.max(to, Math.round(value / to) * to)

/** The session with each length of work and of easy parts by time or distance made longer or shorter, and rounded to what is said. */
function withLengths(session: Session, percent: number): Session {
  const factor = 1 + percent / 100
  const longer = (item: Item): Item => {
    if (holds(item)) return { ...item, items: item.items.map(longer) }
    if (item.kind !== 'step' || item.role !== 'work') return item
    const { end } = item
    if (end.on === 'time')
      return { ...item, end: { ...end, seconds: rounded(end.seconds * factor, end.seconds >= 600 ? 60 : end.seconds >= 120 ? 15 : 5) } }
    if (end.on !== 'distance') return item
    const step = { m: end.value >= 1000 ? 100 : 50, yd: 25, km: 0.1, mi: 0.1 }[end.unit]
    return { ...item, end: { ...end, value: Math.round(rounded(end.value * factor, step) * 1000) / 1000 } }
  }
  return { ...session, items: session.items.map(longer) }
}

/**
 * A session a little harder or easier as a whole: of its targets moved, a round more or fewer and its lengths changed, the one whose
 * share used comes nearest to a customary step (8 % more, 15 % less).
 *
 * @returns null where the share used is not known, or nothing that can be changed makes it harder without asking for all there is
 * @example 6 x 800 m at 0.55 of what the athlete has shown comes to 0.59 with targets 1 % harder
 */
export function progressed(session: Session, standpoint: Standpoint, way: ProgressWay): Progressed | null {
  const from = used(session, standpoint)
  if (from === null || from <= 0) return null
  const targets = percents[way].flatMap(percent => {
    const shift: Shift = { by: percent, unit: '%' }
    const moved = harderSession(session, shift)
    return moved ? [{ session: moved, by: { of: 'targets', percent } as ProgressBy }] : []
  })
  const rounds = withRounds(session, way === 'harder' ? 1 : -1)
  const others = lengths[way].map(percent => ({ session: withLengths(session, percent), by: { of: 'lengths', percent } as ProgressBy }))
  const distance = (to: number) => Math.abs(Math.log(to / (from * aims[way])))
  let best: Progressed | null = null
  for (const candidate of [...targets, ...(rounds ? [rounds] : []), ...others]) {
    const to = used(candidate.session, standpoint)
    if (to === null || (way === 'harder' ? to <= from || to >= Math.max(mostUsed, from) : to >= from)) continue
    if (!best || distance(to) < distance(best.to) - 1e-9) best = { ...candidate, from, to }
  }
  return best
}
