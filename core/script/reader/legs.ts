import type { Item, Leg, Sport } from '../../session/document'

/** Puts the items of a session that named several sports into its legs; what names none stays with the leg before it. */
export function intoLegs(items: readonly Item[], sports: ReadonlyMap<Item, Sport>): Item[] {
  const legs: Item[] = []
  let leg: Leg | undefined
  const first = items.map(item => sports.get(item)).find(Boolean) ?? 'run'
  for (const item of items) {
    if (item.kind === 'leg' || item.kind === 'unread' || (item.kind === 'step' && item.role === 'transition')) {
      legs.push(item)
      leg = undefined
      continue
    }
    const sport: Sport = sports.get(item) ?? leg?.sport ?? first
    if (leg?.sport !== sport) {
      leg = { kind: 'leg', sport, items: [] }
      legs.push(leg)
    }
    leg.items.push(item)
  }
  return legs
}
