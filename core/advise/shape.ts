import { isRecoveryRole } from '../session/recovery'
import type { Standpoint } from '../athlete/standpoint'
import { usualOf } from '../athlete/athlete'
import type { Path } from '../session/item-path'
import { saySuggestion, saySuggestionFix } from '../words/suggestions'
import { formatTime } from '../quantity/time'
import type { Reckoning } from '../reckon/reckon'
import { effortOf } from '../reckon/sheet'
import { toMetres } from '../quantity/distance'
import { printEnd } from '../script/print'
import type { Block, End, Item, Session, Sport, Step } from '../session/document'
import type { UnkeyedSuggestion } from './suggestion'

const isOff = (item: Item) => (item.kind === 'step' || item.kind === 'block') && item.off === true
function isRecovery(item: Item | undefined): item is Step {
  return item?.kind === 'step' && !isOff(item) && isRecoveryRole(item.role)
}

/** The recovery that a block leaves at its end, in every round. */
function trailingRecovery(item: Item | undefined): Step | null {
  if (item?.kind !== 'block' || isOff(item) || item.lastRecovery || item.repeat.times === undefined || item.repeat.times < 2) return null
  const last = item.items.filter(inner => !isOff(inner)).at(-1)
  return isRecovery(last) && item.items.length > 1 ? last : null
}

function sumOf(first: End, second: End): string | null {
  if (first.on === 'time' && second.on === 'time') return formatTime(first.seconds + second.seconds)
  if (first.on === 'distance' && second.on === 'distance' && first.unit === second.unit)
    return printEnd({ ...first, value: first.value + second.value })
  return null
}

const printed = ({ role, end }: Step) => ({ role, end: printEnd(end) })

const twoInARow = (first: Step, second: Step, isAfterLast: boolean) =>
  saySuggestion({ code: 'two-recoveries', first: printed(first), second: printed(second), sum: sumOf(first.end, second.end), isAfterLast })

/** What stands before and after each other: recoveries that nobody adds up. */
function recoveries(items: readonly Item[], prefix: string, into: UnkeyedSuggestion[]): void {
  for (let index = nextActive(items, 0); index < items.length;) {
    const item = items[index]!
    const nextIndex = nextActive(items, index + 1)
    const next = items[nextIndex]
    if (isRecovery(item) && isRecovery(next)) {
      const isAddable = sumOf(item.end, next.end) !== null && nextIndex === index + 1
      const [path, nextPath] = [`${prefix}${index + 1}`, `${prefix}${nextIndex + 1}`]
      into.push({
        code: 'two-recoveries',
        path: nextPath,
        message: twoInARow(item, next, false),
        fixes: isAddable
          ? [{ label: saySuggestionFix({ code: 'join' }), edits: [{ do: 'join', at: path }] }]
          : [{ label: saySuggestionFix({ code: 'take-away' }), edits: [{ do: 'delete', at: nextPath }] }],
      })
    }
    const trailing = trailingRecovery(item)
    if (trailing) into.push(...afterLastRound(trailing, next, `${prefix}${index + 1}`, prefix === ''))
    if (item.kind === 'block' || item.kind === 'leg') recoveries(item.items, `${prefix}${index + 1}.`, into)
    index = nextIndex
  }
}

/** The position of the next item that is not off, from one on; past the end where there is none. */
function nextActive(items: readonly Item[], from: number): number {
  let index = from
  while (index < items.length && isOff(items[index]!)) index++
  return index
}

/** What a block's trailing recovery comes to after its last round. */
function afterLastRound(trailing: Step, after: Item | undefined, path: Path, isOutermost: boolean): UnkeyedSuggestion[] {
  const fixes: UnkeyedSuggestion['fixes'] = [{ label: saySuggestionFix({ code: 'drop-last' }), edits: [{ do: 'drop-last', at: path }] }]
  if (isRecovery(after)) return [{ code: 'two-recoveries', path, message: twoInARow(trailing, after, true), fixes }]
  const isNeedless = isOutermost && (after === undefined || ('role' in after && after.role === 'cool-down'))
  return isNeedless
    ? [
        {
          code: 'needless-last-recovery',
          path,
          message: saySuggestion({ code: 'needless-last-recovery', last: printed(trailing), isBeforeCoolDown: after !== undefined }),
          fixes,
        },
      ]
    : []
}

const hourSeconds = 3600

/** A length that is likelier a slip: hours typed for minutes, kilometres for metres. */
function slip(step: Step, isRepeated: boolean): { message: string; end: string } | null {
  const { end } = step
  const isPause = step.role === 'rest' || step.role === 'recovery'
  if (end.on === 'time') {
    if (end.seconds >= hourSeconds && (isPause || (isRepeated && end.seconds > 1.5 * hourSeconds)))
      return {
        message: saySuggestion({ code: 'long-time', length: formatTime(end.seconds), of: isPause ? step.role : null }),
        end: formatTime(end.seconds / 60),
      }
    if (end.seconds < 5)
      return { message: saySuggestion({ code: 'short-time', length: formatTime(end.seconds) }), end: formatTime(end.seconds * 60) }
  }
  if (end.on === 'distance') {
    const metres = toMetres(end)
    const isLong = metres > 60_000 || (isPause && metres > 5000) || (isRepeated && metres > 30_000)
    if (isLong && (end.unit === 'km' || end.unit === 'mi'))
      return { message: saySuggestion({ code: 'far', length: printEnd(end), of: isPause ? step.role : null }), end: `${end.value} m` }
    if (metres < 10) return { message: saySuggestion({ code: 'short-distance', length: printEnd(end) }), end: `${end.value} km` }
  }
  return null
}

function slips(items: readonly Item[], prefix: string, sport: Sport | 'multi', inBlock: boolean, into: UnkeyedSuggestion[]): void {
  items.forEach((item, index) => {
    if (isOff(item)) return
    if (item.kind === 'block') slips(item.items, `${prefix}${index + 1}.`, sport, inBlock || (item.repeat.times ?? 2) > 1, into)
    if (item.kind === 'leg') slips(item.items, `${prefix}${index + 1}.`, item.sport, false, into)
    const found = item.kind === 'step' && !item.doubt && sport !== 'ride' ? slip(item, inBlock) : null
    if (!found) return
    const path = `${prefix}${index + 1}`
    into.push({
      code: 'implausible',
      path,
      message: found.message,
      fixes: [{ label: found.end, edits: [{ do: 'end', at: path, words: found.end }] }],
    })
  })
}

/** A step that waits for the button while others of its round follow by themselves. */
function presses(items: readonly Item[], prefix: string, block: Block | null, usual: number, into: UnkeyedSuggestion[]): void {
  items.forEach((item, index) => {
    if (isOff(item)) return
    if (item.kind === 'block' || item.kind === 'leg')
      presses(item.items, `${prefix}${index + 1}.`, item.kind === 'block' ? item : block, usual, into)
    const isMiddle = block && (index < items.length - 1 || (item.kind === 'step' && item.role === 'work'))
    if (item.kind === 'step' && item.end.on === 'press' && isMiddle) {
      const [path, words] = [`${prefix}${index + 1}`, formatTime(usual)]
      into.push({
        code: 'press-in-block',
        path,
        message: saySuggestion({ code: 'press-in-block' }),
        fixes: [{ label: saySuggestionFix({ code: 'instead', words }), edits: [{ do: 'end', at: path, words }] }],
      })
    }
  })
}

const hardFrom = 90
const veryHardFrom = 98
const longHardSeconds = 20 * 60

function around(session: Session, reckoning: Reckoning, standpoint: Standpoint, into: UnkeyedSuggestion[]): void {
  const shares = reckoning.flat.map(entry => effortOf(entry, session, standpoint) ?? 0)
  const [first] = reckoning.flat
  if (first?.role === 'work' && shares[0]! >= veryHardFrom && (first.seconds.likely ?? 0) < 1800) {
    const words = 'warm-up until press'
    into.push({
      code: 'no-warm-up',
      path: '1',
      message: saySuggestion({ code: 'no-warm-up' }),
      fixes: [{ label: words, edits: [{ do: 'insert', at: '1', where: 'before', words }] }],
    })
  }
  const hard = reckoning.flat.reduce((sum, entry, index) => sum + (shares[index]! >= hardFrom ? (entry.seconds.likely ?? 0) : 0), 0)
  const last = reckoning.flat.findLastIndex(entry => entry.role !== 'recovery' && entry.role !== 'rest')
  if (hard >= longHardSeconds && last >= 0 && shares[last]! >= hardFrom && reckoning.flat[last]!.role === 'work') {
    const at: Path = `${session.items.length}`
    const words = 'cool-down until press'
    into.push({
      code: 'no-easy-after',
      path: reckoning.flat[last]!.path,
      message: saySuggestion({ code: 'no-easy-after', hardSeconds: hard }),
      fixes: [{ label: words, edits: [{ do: 'insert', at, where: 'after', words }] }],
    })
  }
}

/** What the order and the lengths of the steps suggest. */
export function shapeAdvice(session: Session, reckoning: Reckoning, standpoint: Standpoint): UnkeyedSuggestion[] {
  const thoughts: UnkeyedSuggestion[] = []
  recoveries(session.items, '', thoughts)
  slips(session.items, '', session.sport, false, thoughts)
  presses(session.items, '', null, usualOf(standpoint.athlete).otherOpenSeconds, thoughts)
  if (session.sport !== 'multi') around(session, reckoning, standpoint, thoughts)
  return thoughts
}
