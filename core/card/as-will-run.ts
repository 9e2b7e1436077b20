import type { Item, Session } from '../session/document'
import { withoutTrailing } from '../session/recovery'

/** The rows of a session that are carried out, and which of them stand only between the rounds of their repeat. */
export interface RunRows {
  session: Session
  between: ReadonlySet<string>
}

const isOn = (item: Item) => !('off' in item && item.off)

/**
 * A session as it will run: rows that are switched off are gone, and so is a last recovery that is dropped - from a repeat of
 * one round wholly, from one of several it is left between the rounds.
 */
export function asWillRun(session: Session): RunRows {
  const between = new Set<string>()
  const carriedOut = (items: readonly Item[], outer: string): Item[] =>
    items.map((item, index) => {
      const path = `${outer}${index + 1}`
      if (item.kind === 'leg') return { ...item, items: carriedOut(item.items.filter(isOn), `${path}.`) }
      if (item.kind !== 'block') return item
      const dropsLast = item.lastRecovery === 'drop'
      const own = item.items.filter(isOn)
      const work = dropsLast ? withoutTrailing(own) : own.length
      if (dropsLast && item.repeat.times !== 1) for (let at = work; at < own.length; at++) between.add(`${path}.${at + 1}`)
      return { ...item, items: carriedOut(dropsLast && item.repeat.times === 1 ? own.slice(0, work) : own, `${path}.`) }
    })
  return { session: { ...session, items: carriedOut(session.items.filter(isOn), '') }, between }
}
