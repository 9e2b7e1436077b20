import { isRecoveryRole } from '../../session/recovery'
import type { Item, Step, Swim } from '../../session/document'
import type { Placed } from './placed'
import { readQuantity } from './quantities'
import type { Scanner } from './scanner'
import { readGrade } from './ends'
import { attempt, firstOf, notice, saidBetween, sees, take } from './scanner'
import { hasContent } from './content'
import { readTarget } from './targets'
import { effortWords, kitWords } from './words'

const isNoted = (item: Item): item is Extract<Item, { note?: string }> => item.kind === 'step' || item.kind === 'block'

function addWords(item: Item, words: string): boolean {
  if (!isNoted(item)) return false
  item.note = item.note === undefined ? words : `${item.note}, ${words}`
  return true
}

const untilSeparator = /[^@,;+&#()[\]/]+?(?=\s+(?:w\/|with\b|w\s+\d)|[,;+&#()[\]/]|$)/y
const untilSeparatorOrBracket = /[^@,;+&#[\]()]+?(?=\s+(?:w\/|with\b|w\s+\d)|[,;+&#[\]()]|$)/y

/** Keeps words that follow a part and say no length or role, such as `along the quay`, as its note. */
export function sayLeftOver(scanner: Scanner, item: Item, inBrackets: boolean): void {
  const from = scanner.at
  const rest = take(scanner, inBrackets ? untilSeparatorOrBracket : untilSeparator)
  const words = rest?.[0].replace(/\s-\s.*$/, '').trim() ?? ''
  if (rest && /\p{L}/u.test(words) && !hasContent(words)) {
    scanner.at =
      from +
      (rest[0].length - rest[0].trimStart().length) +
      (scanner.text.slice(from).length - scanner.text.slice(from).trimStart().length) +
      words.length
    const raw = scanner.raw.slice(scanner.at - words.length, scanner.at).trim()
    if (addWords(item, raw)) {
      notice(scanner, from, 'note', 'left-over', `kept as a note: ${raw}`)
      return
    }
  }
  scanner.at = from
}

/** The one work step that a part comes to, where there is just one. */
function onlyWork(item: Item): Step | null {
  if (item.kind === 'step') return item
  if (item.kind !== 'block') return null
  const work = item.items.filter(inner => inner.kind === 'block' || (inner.kind === 'step' && inner.role === 'work'))
  return work.length === 1 ? onlyWork(work[0]!) : null
}

/** A target that stands alone after its step: `3 x 10 min, 250 W, cadence 90`. */
function joinTarget(scanner: Scanner, before: Placed): boolean {
  const step = onlyWork(before.item)
  if (!step || step.role === 'rest' || (step.target && step.also)) return false
  return (
    attempt(scanner, () => {
      const from = scanner.at
      const isMarked = take(scanner, /@|at\b|all(?:\s+(?:at|in|@))?\b|keep(?:ing)?\b/iy)
      const target = readTarget(scanner, { afterAt: isMarked !== null })
      if (!target || !sees(scanner, /$|[,;+&#)\]]/y)) return null
      if (step.target) step.also = target
      else step.target = target
      notice(scanner, from, 'note', 'target-joined', `for ${before.item.kind === 'block' ? 'the repeats before it' : 'the step before it'}`)
      return true
    }) !== null
  )
}

/** `last 10 min @ marathon effort`: the end of the step before, split off from it. */
function splitLast(scanner: Scanner, placed: Placed[]): boolean {
  const before = placed.at(-1)!
  const step = before.item.kind === 'step' ? before.item : null
  if (!step || (step.end.on !== 'time' && step.end.on !== 'distance')) return false
  return (
    attempt(scanner, () => {
      const from = scanner.at
      if (!take(scanner, /(?:(?:with|including)\s+)?(?:the\s+)?(?:last|final)\b/iy)) return null
      const reading = readQuantity(scanner)
      if (!reading) return null
      const { quantity } = reading
      const rest: Step = { kind: 'step', role: 'work', end: step.end }
      if (quantity.measure === 'time' && step.end.on === 'time' && quantity.seconds < step.end.seconds) {
        rest.end = { on: 'time', seconds: quantity.seconds }
        step.end = { on: 'time', seconds: step.end.seconds - quantity.seconds }
      } else if (
        quantity.measure === 'distance' &&
        step.end.on === 'distance' &&
        quantity.unit === step.end.unit &&
        quantity.value < step.end.value
      ) {
        rest.end = { on: 'distance', value: quantity.value, unit: quantity.unit }
        step.end = { ...step.end, value: Math.round((step.end.value - quantity.value) * 1000) / 1000 }
      } else return null
      take(scanner, /(?:of\s+(?:it|that|which)\s+)?(?:@|at(?![a-z]))/iy)
      const target = readTarget(scanner, { afterAt: true })
      if (target) rest.target = target
      placed.push({ item: rest, from, to: scanner.at })
      notice(scanner, from, 'note', 'computed', `the end of the step before: ${saidBetween(scanner, from)}`)
      return true
    }) !== null
  )
}

/** `same again`: the part before once more. */
function repeatBefore(scanner: Scanner, placed: Placed[]): boolean {
  const from = scanner.at
  if (!take(scanner, /(?:(?:and|then)\s+)?(?:the\s+)?(?:same|all\s+of\s+(?:it|that))(?:\s+set)?\s+(?:again|once\s+more)(?![a-z])/iy))
    return false
  placed.push({ item: structuredClone(placed.at(-1)!.item), from, to: scanner.at })
  notice(scanner, from, 'note', 'computed', 'the part before it once more')
  return true
}

/** `10 s less each time`: the recoveries of the repeat before, each that much shorter. */
function shortenEach(scanner: Scanner, placed: Placed[]): boolean {
  const before = placed.at(-1)!
  const { item } = before
  if (item.kind !== 'block' || !('times' in item.repeat) || item.repeat.times === undefined || item.repeat.times > 60) return false
  const { times } = item.repeat
  return (
    attempt(scanner, () => {
      const from = scanner.at
      take(scanner, /(?:rest|recovery|recoveries|each)\b/iy)
      const reading = readQuantity(scanner, 'seconds')
      const less =
        reading?.quantity.measure === 'time' &&
        take(
          scanner,
          /(less|more|shorter|longer)(?:\s+(?:rest|recovery))?(?:\s+(?:each(?:\s+(?:time|rep|round))?|every\s+time|per\s+(?:rep|round)))/iy,
        )
      if (!less || reading?.quantity.measure !== 'time') return null
      const by = reading.quantity.seconds * (/less|shorter/i.test(less[1]!) ? -1 : 1)
      const rounds: Item[][] = []
      for (let round = 0; round < times; round++) {
        const steps = structuredClone(item.items)
        for (const step of steps) {
          if (step.kind !== 'step' || !isRecoveryRole(step.role) || step.end.on !== 'time') continue
          const seconds = step.end.seconds + by * round
          if (seconds <= 0) return null
          step.end = { on: 'time', seconds }
        }
        if (round === times - 1 && item.lastRecovery)
          while (steps.at(-1)?.kind === 'step' && ['recovery', 'rest'].includes((steps.at(-1) as Step).role)) steps.pop()
        rounds.push(steps)
      }
      const steps = rounds.flat()
      if (item.note !== undefined) addWords(steps[0]!, item.note)
      placed.splice(-1, 1, ...steps.map(step => ({ ...before, item: step })))
      notice(scanner, from, 'note', 'computed', `each recovery ${Math.abs(by)} s ${by < 0 ? 'shorter' : 'longer'} than the one before`)
      return true
    }) !== null
  )
}

/** A slope or swimming kit named after its step. */
function joinAttribute(scanner: Scanner, before: Placed): boolean {
  const step = onlyWork(before.item)
  if (!step) return false
  return (
    attempt(scanner, () => {
      const from = scanner.at
      const grade = step.grade ? null : readGrade(scanner)
      const swim: Swim = { ...step.swim, kit: [...(step.swim?.kit ?? [])] }
      const kit = grade ? undefined : firstOf(scanner, kitWords)
      if ((!grade && !kit) || !sees(scanner, /$|[,;+&#)\]]/y)) return null
      if (grade) step.grade = grade
      if (kit) step.swim = { ...swim, kit: [...new Set([...swim.kit!, kit])] }
      notice(scanner, from, 'note', 'joined', 'for the step before it')
      return true
    }) !== null
  )
}

/** How to do the part before, with numbers that are no lengths: `descending 1-4`, `breathing every 3`. */
function joinManner(scanner: Scanner, before: Placed): boolean {
  return (
    attempt(scanner, () => {
      const from = scanner.at
      const words = take(scanner, effortWords)
      if (!words || !sees(scanner, /$|[,;+&#)\]]/y) || !addWords(before.item, saidBetween(scanner, from))) return null
      notice(scanner, from, 'note', 'left-over', `kept as a note: ${saidBetween(scanner, from)}`)
      return true
    }) !== null
  )
}

/** What stands after a part and only changes or completes it; true when it was taken. */
export function joinToBefore(scanner: Scanner, placed: Placed[]): boolean {
  const before = placed.at(-1)
  if (!before || scanner.strict) return false
  return (
    repeatBefore(scanner, placed) ||
    shortenEach(scanner, placed) ||
    splitLast(scanner, placed) ||
    joinTarget(scanner, before) ||
    joinAttribute(scanner, before) ||
    joinManner(scanner, before)
  )
}

/** Words after a comma that say no length and no role: talk about the part before. */
export function joinWords(scanner: Scanner, from: number, words: string, placed: Placed[]): boolean {
  const before = placed.at(-1)
  if (!before || hasContent(words) || !/\p{L}/u.test(words) || !addWords(before.item, words)) return false
  notice(scanner, from, 'note', 'left-over', `kept as a note: ${words}`)
  return true
}
