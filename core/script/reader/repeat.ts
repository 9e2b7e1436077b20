import { patternOf } from '../../quantity/pattern'
import type { Block, Doubt, Item, Repeat, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { printStep } from '../print'
import type { SoftSteps } from './between'
import { asRecovery, closing, opening, readBetween, readBracketRecovery, readNumberList, readStep } from './between'
import { readPiece } from './piece'
import { isWithinBounds, readQuantity } from './quantities'
import type { Scanner } from './scanner'
import { attempt, notice, sees, skipSpaces, take, upcoming } from './scanner'
import { interleave, withBetween } from './between-rounds'
import type { ListReader } from './placed'
import { readTarget } from './targets'

/** What one part of a list was read as. */
export interface Member {
  items: Item[]
  from: number
  repeated: boolean
  hasRecovery: boolean
}

const strideCount = /(\d{1,2})\s+(?=(?:strides?|accelerations?)(?![a-z]))/iy
const countPattern = /(\d{1,4})(?:\s*-\s*(\d{1,3}))?\s*(?:x|\*|times|rounds?|sets?|reps?)(?![a-z])(?:\s+(?:of|through)\b)?:?/iy
const commaJoint = /\s*,\s+(?=\d)/y
const ladderJoint = /\s*[-/]\s*(?=\d)/y

function readLadder(scanner: Scanner, soft: SoftSteps): Step[] | null {
  return attempt(scanner, () => {
    const ends = readNumberList(scanner, ladderJoint, 3)
    const listed = ends ?? readNumberList(scanner, commaJoint, 3)
    if (!listed) return null
    const pattern = readPiece(scanner, listed[0])
    if (!pattern || (!ends && (pattern.soft || pattern.step.role !== 'work'))) return null
    return listed.map(end => {
      const step: Step = { ...pattern.step, end }
      if (pattern.soft) soft.set(step, pattern.soft)
      return step
    })
  })
}

/** `40 s on, 20 s off`: both are kept in every round. */
function readOnOff(scanner: Scanner, soft: SoftSteps): Step | null {
  return attempt(scanner, () => {
    if (!take(scanner, /(?:on|hard)(?![a-z])\s*[,/]?(?=\s*\d)/iy)) return null
    const step = readStep(scanner, soft)
    return step && (step.role === 'recovery' || soft.has(step)) ? asRecovery(step, soft) : null
  })
}

/** A recovery that follows its step without a sign between. */
function readEasyAfter(scanner: Scanner, soft: SoftSteps): Step | null {
  if (!isDigit(upcoming(scanner))) return null
  const step = readStep(scanner, soft)
  return step && (soft.has(step) || step.role === 'recovery' || step.role === 'rest') ? asRecovery(step, soft) : null
}

/** `3 min hard 2 min easy`: a recovery that follows its repeat without a sign between is in every round; asked. */
function readJoinedRecovery(scanner: Scanner, soft: SoftSteps): Step | null {
  return attempt(scanner, () => {
    const from = scanner.at
    const step = readEasyAfter(scanner, soft)
    if (!step) return null
    const words = printStep(step)
    step.doubt ??= { said: scanner.raw.slice(from, scanner.at).trim() }
    notice(scanner, from, 'ask', 'comma-recovery', `${words} in every round, the last too`)
    return step
  })
}

const wordCount = /(once|twice|thrice)(?:\s+through)?(?:(?=\s+\d)|\s*:)/iy
const wordCounts: Record<string, number> = { once: 1, twice: 2, thrice: 3 }

function countOf(scanner: Scanner, match: RegExpExecArray): number | null {
  const count = wordCounts[match[1]!.toLowerCase()] ?? Number(match[1])
  if (count < 1 || count > limits.times) return null
  if (match[2]) {
    notice(
      scanner,
      scanner.at - match[0].length,
      'ask',
      'count-range',
      `${count} times`,
      [match[1]!, match[2]].map(times => ({ label: `${times} times`, replacement: `${times} x` })),
    )
  }
  return count
}

/** The doubt of `6-8 x`. */
const countDoubt = (scanner: Scanner, match: RegExpExecArray | null): Doubt | undefined =>
  match?.[2] ? { said: scanner.raw.slice(match.index, match.index + match[0].length).trim(), others: [`${match[2]} times`] } : undefined

function block(repeat: Repeat, items: Item[], dropLast: boolean, doubt?: Doubt): Block {
  return { kind: 'block', repeat, items, ...(dropLast ? { lastRecovery: 'drop' } : {}), ...(doubt ? { doubt } : {}) }
}

/** The repeat from `from` to `end` in its own words, with the recovery in its brackets: in every round, the last too. */
export function inEveryRound(scanner: Scanner, from: number, end: number, recovery: Step): string | null {
  const words = scanner.raw.slice(from, end).trim()
  const count = /^\d{1,4}\s*(?:x|\u00D7|\*|times|rounds?|sets?|reps?)(?:\s+of\b)?/i.exec(words)?.[0]
  if (!count) return null
  const body = words
    .slice(count.length)
    .trim()
    .replace(/^[([]([\s\S]*)[)\]]$/, '$1')
  return `${count} (${body}, ${printStep(recovery)})`
}

/**
 * Says that what stands between is left out after the last, with the repeat rewritten to keep it as the fix.
 *
 * @param isInEach it stands between the steps of a round too, so that words behind the round would not say it
 */
function noticeBetween(scanner: Scanner, from: number, end: number, between: readonly Step[], isInEach = false): void {
  const kept = between.length === 1 && !isInEach ? inEveryRound(scanner, from, end, between[0]!) : null
  notice(
    scanner,
    kept ? from : end,
    'note',
    'between',
    'between the repeats: none after the last',
    kept ? [{ label: 'after the last too', replacement: kept }] : [],
  )
}

/** `20 x 30/30`: two bare numbers of at most a minute are seconds of work and of recovery; asked. */
function readShortPair(scanner: Scanner): Step[] | null {
  if (scanner.setting.sport === 'swim') return null
  const from = scanner.at
  const match = take(scanner, /(\d{2})\s*\/\s*(\d{2})(?![\d:.%'"])(?!\s*(?!w\/|with\b|w\s+\d|then\b|and\b)[a-z%])/iy)
  if (!match || Number(match[1]) > 60 || Number(match[2]) > 60) {
    scanner.at = from
    return null
  }
  const [work, easy] = [Number(match[1]), Number(match[2])]
  notice(scanner, from, 'ask', 'short-pair', `${work} s of work, ${easy} s of recovery between`, [
    { label: 'seconds', replacement: `${work} s / ${easy} s` },
    { label: 'minutes', replacement: `${work} min / ${easy} min` },
  ])
  return [
    { kind: 'step', role: 'work', end: { on: 'time', seconds: work }, doubt: { said: match[0].trim() } },
    { kind: 'step', role: 'recovery', end: { on: 'time', seconds: easy } },
  ]
}

const areWork = (items: readonly Item[], soft: SoftSteps) =>
  items.every(item => item.kind === 'step' && item.role === 'work' && !soft.has(item))

/** The work of a group that its target is for: what says how hard by a target or a word of its own keeps that. */
function withoutTarget(items: readonly Item[], soft: SoftSteps): Step[] {
  return items.flatMap(item => {
    if (item.kind === 'block' || item.kind === 'leg') return withoutTarget(item.items, soft)
    return item.kind === 'step' && item.role === 'work' && !item.target && !soft.has(item) ? [item] : []
  })
}

/** `(400, 200) @ 3k`, `(400, 200), @ 3k`: a target behind a group is for each step of work in it. */
function readGroupTarget(scanner: Scanner, items: readonly Item[], soft: SoftSteps): void {
  const steps = withoutTarget(items, soft)
  if (steps.length === 0) return
  attempt(scanner, () => {
    const from = scanner.at
    if (!take(scanner, /,?\s*(?:@|(?:all\s+)?at\b|all\s+@)/iy)) return null
    const target = readTarget(scanner, { afterAt: true })
    if (!target) return null
    for (const step of steps) step.target = { ...target }
    notice(scanner, from, 'note', 'target-joined', `for ${steps.length === 1 ? 'the step' : `each of the ${steps.length} steps`} before it`)
    return true
  })
}

function readCounted(scanner: Scanner, soft: SoftSteps, depth: number, readList: ListReader): Member | null {
  const from = scanner.at
  const match = take(scanner, countPattern) ?? take(scanner, strideCount) ?? take(scanner, wordCount)
  const count = match && countOf(scanner, match)
  if (count === null) return null
  const shortPair = readShortPair(scanner)
  if (shortPair)
    return { items: [block({ times: count }, shortPair, true, countDoubt(scanner, match))], from, repeated: true, hasRecovery: true }
  let items: Item[]
  if (match![0].endsWith(':') && !sees(scanner, opening)) {
    const inner = readList(scanner, soft, depth + 1, false)
    if (inner.length === 0) return null
    return {
      items: [
        block(
          { times: count },
          inner.map(placed => placed.item),
          false,
          countDoubt(scanner, match),
        ),
      ],
      from,
      repeated: true,
      hasRecovery: true,
    }
  }
  if (take(scanner, opening)) {
    const inner = readList(scanner, soft, depth + 1, true)
    if (inner.length === 0 || !take(scanner, closing)) return null
    items = inner.map(placed => placed.item)
    readGroupTarget(scanner, items, soft)
  } else {
    const member = readMember(scanner, soft, depth + 1, false, readList)
    if (!member) return null
    items = member.items
    const off = items.length === 1 ? readOnOff(scanner, soft) : null
    if (off)
      return {
        items: [block({ times: count }, [...items, off], false, countDoubt(scanner, match))],
        from,
        repeated: true,
        hasRecovery: true,
      }
  }
  const easy = readJoinedRecovery(scanner, soft)
  if (easy)
    return {
      items: [block({ times: count }, [...items, easy], false, countDoubt(scanner, match))],
      from,
      repeated: true,
      hasRecovery: true,
    }
  const single = items.length === 1 || areWork(items, soft)
  const beforeBetween = scanner.at
  const between = readBetween(scanner, soft, items.length === 1 ? items[0] : undefined)
  if (between) {
    noticeBetween(scanner, from, beforeBetween, between, single && items.length > 1)
    return {
      items: [block({ times: count }, withBetween(items, between, single), true, countDoubt(scanner, match))],
      from,
      repeated: true,
      hasRecovery: true,
    }
  }
  return {
    items: [block({ times: count }, items, false, countDoubt(scanner, match))],
    from,
    repeated: true,
    hasRecovery: !single || items[0]!.kind === 'block',
  }
}

const againPattern = patternOf('iy', [
  String.raw`,?\s*(?:repeat(?:ed)?\s+)?(?:(?:x|\*)\s*(\d+)|(twice|thrice|(?:(\d+)|two|three|four`,
  String.raw`|five)\s*(?:times|x(?!\s*\d)))(?:\s+through)?|through\s+(twice))(?=\s*(?:$|[,;+&#)\]/@]|w\/`,
  String.raw`|with\b|then\b|at\b))`,
])
const againStarts = ',xtr*'
const isDigit = (letter: string) => letter >= '0' && letter <= '9'
const countWords: Record<string, number> = { twice: 2, thrice: 3, two: 2, three: 3, four: 4, five: 5 }

function readAgain(scanner: Scanner): number | null {
  const next = upcoming(scanner)
  const match = isDigit(next) || againStarts.includes(next) ? take(scanner, againPattern) : null
  if (!match) return null
  const digits = match[1] ?? match[3]
  const times = digits ? Number(digits) : (countWords[(match[2] ?? match[4])!.toLowerCase().split(/\s/)[0]!] ?? 0)
  return times >= 1 && times <= limits.times ? times : null
}

/** `repeat for 5 km: 4 min on, 90 s off`, `5 km of (4 min, 90 s jog)`: rounds until a distance or a time. */
function readUntilBlock(scanner: Scanner, soft: SoftSteps, depth: number, readList: ListReader): Member | null {
  const from = scanner.at
  const isFor = take(scanner, /(?:repeat(?:ed)?|go)\s+for\b/iy)
  const reading = readQuantity(scanner, 'none')
  if (!reading || !isWithinBounds(reading.quantity) || !take(scanner, isFor ? /:?/y : /of\b:?/iy)) return null
  const inBrackets = take(scanner, opening) !== null
  const inner = readList(scanner, soft, depth + 1, inBrackets)
  if (inner.length < (inBrackets ? 1 : 2) || (inBrackets && !take(scanner, closing))) return null
  const { quantity } = reading
  const repeat: Repeat =
    quantity.measure === 'time' ? { seconds: quantity.seconds } : { distance: { value: quantity.value, unit: quantity.unit } }
  return {
    items: [
      block(
        repeat,
        inner.map(placed => placed.item),
        false,
      ),
    ],
    from,
    repeated: true,
    hasRecovery: true,
  }
}

/**
 * A repeat, a ladder, a group or one step, with what stands between its parts.
 *
 * @param readList reads what is inside: a list, whose members may be repeats again
 */
export function readMember(scanner: Scanner, soft: SoftSteps, depth: number, isBetweenRead: boolean, readList: ListReader): Member | null {
  if (depth > limits.nesting + 2) return null
  skipSpaces(scanner)
  const from = scanner.at
  const counted =
    isDigit(upcoming(scanner)) || 'ot'.includes(upcoming(scanner))
      ? attempt(scanner, () => readCounted(scanner, soft, depth, readList))
      : null
  if (counted) return again(scanner, counted, false, soft)
  const untilBlock =
    'rg'.includes(upcoming(scanner)) || /of\b/i.test(scanner.text.slice(scanner.at, scanner.at + 16))
      ? attempt(scanner, () => readUntilBlock(scanner, soft, depth, readList))
      : null
  if (untilBlock) return untilBlock
  const ladder = isDigit(upcoming(scanner)) ? readLadder(scanner, soft) : null
  if (ladder) {
    const beforeBetween = scanner.at
    const between = isBetweenRead ? readBetween(scanner, soft) : null
    if (!between) return again(scanner, { items: ladder, from, repeated: ladder.length > 1, hasRecovery: false }, false, soft)
    noticeBetween(scanner, from, beforeBetween, between)
    const items = interleave(ladder, between)
    const wrapped = again(scanner, { items, from, repeated: true, hasRecovery: true }, true, soft)
    return wrapped.items === items ? { ...wrapped, items: items.slice(0, -1) } : wrapped
  }
  if (sees(scanner, opening)) {
    return attempt(scanner, () => {
      take(scanner, opening)
      const inner = readList(scanner, soft, depth + 1, true)
      if (inner.length === 0 || !take(scanner, closing)) return null
      const items = inner.map(placed => placed.item)
      readGroupTarget(scanner, items, soft)
      return again(scanner, { items, from, repeated: false, hasRecovery: !areWork(items, soft) }, false, soft)
    })
  }
  const step = readStep(scanner, soft)
  if (!step) return null
  const pair = attempt(scanner, () => {
    const easy = readOnOff(scanner, soft) ?? readBracketRecovery(scanner, soft) ?? readEasyAfter(scanner, soft)
    const times = easy && readAgain(scanner)
    return easy && times ? block({ times }, [step, easy], false) : null
  })
  if (pair) return { items: [pair], from, repeated: true, hasRecovery: true }
  const onOff = readOnOff(scanner, soft)
  if (onOff) return { items: [step, onOff], from, repeated: false, hasRecovery: true }
  return again(scanner, { items: [step], from, repeated: false, hasRecovery: false }, false, soft)
}

function again(scanner: Scanner, member: Member, dropLast: boolean, soft: SoftSteps): Member {
  const times = attempt(scanner, readAgain)
  if (times === null) return member
  readGroupTarget(scanner, member.items, soft)
  const beforeBetween = scanner.at
  const between = member.hasRecovery ? null : readBetween(scanner, soft, member.items.length === 1 ? member.items[0] : undefined)
  if (!between) return { ...member, items: [block({ times }, member.items, dropLast)], repeated: true }
  noticeBetween(scanner, member.from, beforeBetween, between)
  return { ...member, items: [block({ times }, interleave(member.items, between), true)], repeated: true, hasRecovery: true }
}
