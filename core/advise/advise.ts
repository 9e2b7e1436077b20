import type { Suggestion, SuggestionCode, UnkeyedSuggestion } from './suggestion'
import type { Standpoint } from '../athlete/standpoint'
import { itemAt } from '../session/item-path'
import { saySuggestion } from '../words/suggestions'
import type { Reckoning } from '../reckon/reckon'
import { printBlockHeader, printStep } from '../script/print'
import type { Item, Session } from '../session/document'
import { abilityAdvice } from './beyond-shown'
import { shapeAdvice } from './shape'
import { unitAdvice } from './units'

export interface SuggestionOptions {
  /** Seconds that the athlete has today. */
  secondsToday?: number
}

const wordsOf = (item: Item | null): string => {
  switch (item?.kind) {
    case 'step':
      return printStep({ ...item, note: undefined })
    case 'block':
      return printBlockHeader(item)
    case 'leg':
      return `leg ${item.sport}`
    case 'unread':
      return item.text
    default:
      return ''
  }
}

function timeAdvice(reckoning: Reckoning, options: SuggestionOptions): UnkeyedSuggestion[] {
  const { likely } = reckoning.seconds
  if (options.secondsToday === undefined || likely === null || likely <= options.secondsToday) return []
  return [{ code: 'over-time', path: null, fixes: [], message: saySuggestion({ code: 'over-time', likely, today: options.secondsToday }) }]
}

/** One thought said at every row is a nag: of a kind only the first few are said. */
const alikeAtMost = 5

/** The order in which rows are written; what concerns the whole session comes first. */
function byPath(one: string | null, other: string | null): number {
  if (one === other) return 0
  if (one === null || other === null) return one === null ? -1 : 1
  const [a, b] = [one.split('.'), other.split('.')]
  for (let index = 0; index < Math.min(a.length, b.length); index++) {
    if (a[index] !== b[index]) return Number(a[index]) - Number(b[index])
  }
  return a.length - b.length
}

/**
 * What a thoughtful training partner would remark on: custom and arithmetic, never a verdict. The order is that of the rows.
 *
 * @param reckoning of the same session and athlete
 */
export function advise(session: Session, reckoning: Reckoning, standpoint: Standpoint, options: SuggestionOptions = {}): Suggestion[] {
  const thoughts = [
    ...timeAdvice(reckoning, options),
    ...shapeAdvice(session, reckoning, standpoint),
    ...abilityAdvice(session, reckoning, standpoint, alikeAtMost),
    ...unitAdvice(session),
  ]
  const counts = new Map<SuggestionCode, number>()
  return thoughts
    .filter(thought => {
      const count = (counts.get(thought.code) ?? 0) + 1
      counts.set(thought.code, count)
      return count <= alikeAtMost
    })
    .map(thought => ({ ...thought, key: `${thought.code}: ${thought.path === null ? '' : wordsOf(itemAt(session, thought.path))}` }))
    .sort((a, b) => byPath(a.path, b.path))
}
