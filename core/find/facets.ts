import { toMetres } from '../quantity/distance'
import type { End, Item, PlaceOfSession, Session, Step, Target } from '../session/document'
import { isEffortTarget, isZoneTarget } from '../session/document'

/** A length as a word that equal lengths share, whatever they were typed in: `300m`, `240s`. */
export function lengthFacet(end: End): string | null {
  switch (end.on) {
    case 'time':
      return `${Math.round(end.seconds)}s`
    case 'distance':
    case 'send-off':
      return `${Math.round(toMetres(end))}m`
    default:
      return null
  }
}

function targetFacets(target: Target): string[] {
  if (isEffortTarget(target)) return [`effort:${target.name}`, ...(target.to ? [`effort:${target.to.name}`] : [])]
  if (!isZoneTarget(target)) return [`by:${target.of}`]
  const [low, high] = Array.isArray(target.zone) ? target.zone : [target.zone, target.zone]
  return [`by:${target.of}`, ...Array.from({ length: high - low + 1 }, (_, index) => `zone:${low + index}`)]
}

function stepFacets(step: Step): string[] {
  const length = lengthFacet(step.end)
  return [
    ...(length && step.role === 'work' ? [`length:${length}`] : []),
    ...(step.end.on === 'send-off' ? ['send-off'] : []),
    ...(step.end.on === 'press' ? ['press'] : []),
    ...(step.target ? targetFacets(step.target) : []),
    ...(step.also ? targetFacets(step.also) : []),
    ...(step.manner ? [`manner:${step.manner}`] : []),
    ...(step.grade && step.grade.high > 0 ? ['hill'] : []),
    ...(/\bhills?\b/i.test(step.note ?? '') ? ['hill'] : []),
    ...(step.swim?.stroke ? [`stroke:${step.swim.stroke}`] : []),
    ...(step.swim?.mode ? [`mode:${step.swim.mode}`] : []),
    ...(step.swim?.kit ?? []).map(kit => `kit:${kit}`),
  ]
}

const placeFacets = (place: PlaceOfSession | undefined) => (place ? [`place:${place.kind}`] : [])

/** The rounds of work steps in a list, nested repeats multiplied out. */
function* itemFacets(items: readonly Item[], rounds: number): Generator<string> {
  for (const item of items) {
    if (item.kind === 'unread' || ('off' in item && item.off)) continue
    if (item.kind === 'leg') {
      yield `sport:${item.sport}`
      yield* placeFacets(item.place)
      yield* itemFacets(item.items, 1)
      continue
    }
    if (item.kind === 'block') {
      const times = item.repeat.times ?? null
      yield times === null ? 'until' : `rounds:${times}`
      for (const inner of item.items) {
        const length = inner.kind === 'step' && inner.role === 'work' ? lengthFacet(inner.end) : null
        if (length && times !== null) yield `rounds:${times}x${length}`
        if (length && times !== null && rounds > 1) yield `rounds:${times * rounds}x${length}`
      }
      yield* itemFacets(item.items, rounds * (times ?? 1))
      continue
    }
    yield* stepFacets(item)
  }
}

/** What is in a session, as words that a search can ask for. */
export const facetsOf = (session: Session): string[] =>
  [...new Set([`sport:${session.sport}`, ...placeFacets(session.place), ...itemFacets(session.items, 1)])].sort()
