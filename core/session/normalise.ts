import type { Block, Ceiling, Item, Leg, Session, Step, Target, ZoneTarget } from './document'
import { isBandTarget, isEffortTarget, isZoneTarget } from './document'

const defined = <T extends object>(value: T): T => Object.fromEntries(Object.entries(value).filter(([, entry]) => entry !== undefined)) as T

function ceilingOf(ceiling: Ceiling | undefined): Ceiling | undefined {
  if (!ceiling) return undefined
  return ceiling.unit === undefined || ceiling.unit === 'bpm' ? { of: ceiling.of, above: ceiling.above } : ceiling
}

const zoneOf = (zone: ZoneTarget['zone']) => (Array.isArray(zone) && zone[0] === zone[1] ? zone[0] : zone)

function targetOf(target: Target | undefined): Target | undefined {
  if (!target) return undefined
  const manner = { over: target.over, give: target.give && defined(target.give) }
  if (isEffortTarget(target)) {
    const to = target.to && defined({ of: target.of, name: target.to.name, offset: target.to.offset })
    return defined({ of: target.of, name: target.name, offset: target.offset, to, ...manner })
  }
  if (isZoneTarget(target)) {
    const to = target.to && defined({ of: target.of, zone: zoneOf(target.to.zone), scheme: target.to.scheme })
    return defined({ of: target.of, zone: zoneOf(target.zone), scheme: target.scheme, to, ...manner })
  }
  if (!isBandTarget(target)) return target
  const { of, unit, easiest, hardest } = target
  const to = target.to && defined({ of, unit, easiest: target.to.easiest, hardest: target.to.hardest })
  return defined({ of, unit, easiest, hardest, to, ...manner })
}

function stepOf(step: Step): Step {
  const swim = step.swim && defined({ ...step.swim, kit: step.swim.kit?.length ? step.swim.kit : undefined })
  return defined({
    ...step,
    target: targetOf(step.target),
    also: targetOf(step.also),
    ceiling: ceilingOf(step.ceiling),
    swim: swim && Object.keys(swim).length > 0 ? swim : undefined,
    doubt: step.doubt && { said: step.doubt.said },
  })
}

function itemOf(item: Item): Item {
  switch (item.kind) {
    case 'step':
      return stepOf(item)
    case 'block':
      return defined<Block>({
        ...item,
        repeat: defined(item.repeat),
        items: item.items.map(itemOf),
        ceiling: ceilingOf(item.ceiling),
        doubt: item.doubt && { said: item.doubt.said },
      })
    case 'leg':
      return defined<Leg>({ ...item, items: item.items.map(itemOf) })
    case 'unread':
      return item
  }
}

/**
 * The one form of a document that several spellings of the same session share: no `source`, no `doubt.others`,
 * no `bpm` as a ceiling's unit, an equal pair of zones as one number, `of` and `unit` repeated in `to`,
 * empty lists and absent fields left out.
 *
 * Laws: idempotent, and two documents with equal normal forms print the same script.
 */
export function normalise(session: Session): Session {
  const { source: _source, ...rest } = session
  return defined<Session>({
    ...rest,
    ceiling: ceilingOf(session.ceiling),
    prompts: session.prompts?.length ? session.prompts.map(defined) : undefined,
    items: session.items.map(itemOf),
  })
}
