import type { Block, Ceiling, Doubt, Item, Repeat, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { printStep } from '../print'
import { explainUnreadable } from './explain'
import type { SoftSteps } from './between'
import { asRecovery, closing, opening, readBetween, readNumberList, readStep } from './between'
import { readCeiling, readDoubt } from './ends'
import { readPiece } from './piece'
import type { Scanner } from './scanner'
import { attempt, notice, saidBetween, sees, skipSpaces, take } from './scanner'

/** An item and the stretch of the line that said it. */
export interface Placed { item: Item, from: number, to: number }

interface Member { items: Item[], from: number, repeated: boolean, hasRecovery: boolean }

const countPattern = /(\d{1,4})(?:\s*-\s*(\d{1,3}))?\s*(?:x|\*|times|rounds?|sets?|reps?)(?![a-z])(?:\s+of\b)?:?/iy
const ladderJoint = /\s*[-/]\s*(?=\d)/y

function readLadder(scanner: Scanner, soft: SoftSteps): Step[] | null {
  return attempt(scanner, () => {
    const ends = readNumberList(scanner, ladderJoint, 3)
    if (!ends) return null
    const pattern = readPiece(scanner, ends[0])
    if (!pattern) return null
    return ends.map((end) => {
      const step: Step = { ...structuredClone(pattern.step), end }
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
    return step && take(scanner, /off(?![a-z])/iy) ? asRecovery(step, soft) : null
  })
}

function interleave(steps: Item[], between: Step[]): Item[] {
  return steps.flatMap((step, index) => [step, structuredClone(between[Math.min(index, between.length - 1)]!)])
}

function countOf(scanner: Scanner, match: RegExpExecArray): number | null {
  const count = Number(match[1])
  if (count < 1 || count > limits.times) return null
  if (match[2]) {
    notice(scanner, scanner.at - match[0].length, 'ask', 'count-range', `${count} times`,
      [match[1]!, match[2]].map(times => ({ label: `${times} times`, replacement: `${times} x` })))
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
function inEveryRound(scanner: Scanner, from: number, end: number, recovery: Step): string | null {
  const words = scanner.raw.slice(from, end).trim()
  const count = /^\d{1,4}\s*(?:x|\u00D7|\*|times|rounds?|sets?|reps?)(?:\s+of\b)?/i.exec(words)?.[0]
  if (!count) return null
  const body = words.slice(count.length).trim().replace(/^[([]([\s\S]*)[)\]]$/, '$1')
  return `${count} (${body}, ${printStep(recovery)})`
}

/** Says that what stands between is left out after the last, with the repeat rewritten to keep it as the fix. */
function noticeBetween(scanner: Scanner, from: number, end: number, between: readonly Step[]): void {
  const kept = between.length === 1 ? inEveryRound(scanner, from, end, between[0]!) : null
  notice(scanner, kept ? from : end, 'note', 'between', 'between the repeats: none after the last',
    kept ? [{ label: 'after the last too', replacement: kept }] : [])
}

function readCounted(scanner: Scanner, soft: SoftSteps, depth: number): Member | null {
  const from = scanner.at
  const match = take(scanner, countPattern)
  const count = match && countOf(scanner, match)
  if (count === null) return null
  let items: Item[]
  if (take(scanner, opening)) {
    const inner = readList(scanner, soft, depth + 1, true)
    if (inner.length === 0 || !take(scanner, closing)) return null
    items = inner.map(placed => placed.item)
  }
  else {
    const member = readMember(scanner, soft, depth + 1, false)
    if (!member) return null
    items = member.items
    const off = items.length === 1 ? readOnOff(scanner, soft) : null
    if (off) return { items: [block({ times: count }, [...items, off], false, countDoubt(scanner, match))], from, repeated: true, hasRecovery: true }
  }
  const single = items.length === 1 || items.every(item => item.kind === 'step' && item.role === 'work' && !soft.has(item))
  const beforeBetween = scanner.at
  const between = readBetween(scanner, soft, items.length === 1 ? items[0] : undefined)
  if (between) {
    noticeBetween(scanner, from, beforeBetween, between)
    const body = between.length === items.length || (single && items.length > 1) ? interleave(items, between) : [...items, ...between]
    return { items: [block({ times: count }, body, true, countDoubt(scanner, match))], from, repeated: true, hasRecovery: true }
  }
  return { items: [block({ times: count }, items, false, countDoubt(scanner, match))], from, repeated: true, hasRecovery: !single || items[0]!.kind === 'block' }
}

const againPattern = /,?\s*(?:x\s*(\d+)|(twice|thrice|(?:(\d+)|two|three|four|five)\s+times(?:\s+through)?))(?![a-z\d])/iy
const countWords: Record<string, number> = { twice: 2, thrice: 3, two: 2, three: 3, four: 4, five: 5 }

function readAgain(scanner: Scanner): number | null {
  const match = take(scanner, againPattern)
  if (!match) return null
  const digits = match[1] ?? match[3]
  const times = digits ? Number(digits) : countWords[match[2]!.toLowerCase().split(/\s/)[0]!] ?? 0
  return times >= 1 && times <= limits.times ? times : null
}

/** A repeat, a ladder, a group or one step, with what stands between its parts. */
function readMember(scanner: Scanner, soft: SoftSteps, depth: number, withBetween: boolean): Member | null {
  if (depth > limits.nesting + 2) return null
  skipSpaces(scanner)
  const from = scanner.at
  const counted = attempt(scanner, () => readCounted(scanner, soft, depth))
  if (counted) return again(scanner, counted, false)
  const ladder = readLadder(scanner, soft)
  if (ladder) {
    const beforeBetween = scanner.at
    const between = withBetween ? readBetween(scanner, soft) : null
    if (!between) return again(scanner, { items: ladder, from, repeated: ladder.length > 1, hasRecovery: false }, false)
    noticeBetween(scanner, from, beforeBetween, between)
    const items = interleave(ladder, between)
    const wrapped = again(scanner, { items, from, repeated: true, hasRecovery: true }, true)
    return wrapped.items === items ? { ...wrapped, items: items.slice(0, -1) } : wrapped
  }
  if (sees(scanner, opening)) {
    return attempt(scanner, () => {
      take(scanner, opening)
      const inner = readList(scanner, soft, depth + 1, true)
      if (inner.length === 0 || !take(scanner, closing)) return null
      return again(scanner, { items: inner.map(placed => placed.item), from, repeated: false, hasRecovery: true }, false)
    })
  }
  const step = readStep(scanner, soft)
  return step && { items: [step], from, repeated: false, hasRecovery: false }
}

function again(scanner: Scanner, member: Member, dropLast: boolean): Member {
  const times = attempt(scanner, readAgain)
  return times === null ? member : { ...member, items: [block({ times }, member.items, dropLast)], repeated: true }
}

/** A recovery after a comma, after a repeat that has none of its own, belongs to every round; asked. */
function readCommaRecovery(scanner: Scanner, soft: SoftSteps, memberFrom: number, topLevel: boolean): Step | null {
  return attempt(scanner, () => {
    const from = scanner.at
    if (!take(scanner, /,|-(?=\s)/y)) return null
    const step = readStep(scanner, soft)
    if (!step) return null
    const word = soft.get(step)
    const isRecovery = word !== undefined || step.role === 'recovery' || step.role === 'rest'
    const endsLine = !sees(scanner, /\S/y) || sees(scanner, /#/y)
    if (!isRecovery || (word === 'easy' && topLevel && endsLine)) return null
    asRecovery(step, soft)
    const words = printStep(step)
    const kept = inEveryRound(scanner, memberFrom, from, step)
    const fixes = kept
      ? [{ label: 'in every round', replacement: kept }, { label: 'only between', replacement: `${scanner.raw.slice(memberFrom, from).trim()} w/ ${words}` }]
      : []
    step.doubt ??= { said: saidBetween(scanner, from).replace(/^[,-]\s*/, '') }
    notice(scanner, kept ? memberFrom : from, 'ask', 'comma-recovery', `${words} in every round, the last too`, fixes)
    return step
  })
}

/** `, HR < 145` behind a step or a repeat. */
function readCap(scanner: Scanner): Ceiling | null {
  const cap = take(scanner, /,?\s*(?:HR|heart\s+rate|pulse)\s*(?:<|under|below|max)\s*(\d{2,3})\s*(?:bpm)?(?=\s*(?:$|[,;+&#)\]/]))/iy)
  return cap && { of: 'heart-rate', above: Number(cap[1]) }
}

const separator = /\s*(?:[,;]|\+|&|-(?=\s)|(?:and\s+)?then(?![a-z])|and(?![a-z])|\/)\s*/iy

function skipUnreadable(scanner: Scanner, inBrackets: boolean): string {
  skipSpaces(scanner)
  const from = scanner.at
  let depth = 0
  while (scanner.at < scanner.text.length) {
    const letter = scanner.text[scanner.at]!
    if (depth === 0 && (/[,;]/.test(letter) || (inBrackets && /[)\]]/.test(letter)))) break
    if (depth === 0 && letter === '#' && scanner.text[scanner.at - 1] === ' ' && scanner.at > from) break
    if (/[([]/.test(letter)) depth++
    if (/[)\]]/.test(letter) && depth > 0) depth--
    scanner.at++
  }
  return scanner.raw.slice(from, scanner.at).trim()
}

/**
 * Members joined by comma, semicolon, `+`, `then` or `and`; what cannot be read stands as an unread item in its place.
 *
 * @param inBrackets stops at the closing bracket
 */
export function readList(scanner: Scanner, soft: SoftSteps, depth: number, inBrackets: boolean): Placed[] {
  const placed: Placed[] = []
  for (;;) {
    while (take(scanner, separator)) { /* several separators are one */ }
    skipSpaces(scanner)
    if (scanner.at >= scanner.text.length || sees(scanner, /#/y) || (inBrackets && sees(scanner, closing))) return placed
    const from = scanner.at
    const member = attempt(scanner, () => {
      const found = readMember(scanner, soft, depth, true)
      if (!found) return null
      const last = found.items.at(-1)!
      if (found.repeated && !found.hasRecovery && last.kind === 'block' && 'times' in last.repeat) {
        const recovery = readCommaRecovery(scanner, soft, found.from, depth === 0)
        if (recovery) last.items.push(recovery)
      }
      const ceiling = attempt(scanner, readCeiling) ?? readCap(scanner)
      if (ceiling && last.kind !== 'unread' && last.kind !== 'leg') last.ceiling = ceiling
      const doubt = readDoubt(scanner)
      if (doubt && last.kind !== 'unread' && last.kind !== 'leg') last.doubt = doubt
      return sees(scanner, /$|[,;+&#)\]/]|-\s|then\b|and\b/iy) ? found : null
    })
    if (member) {
      for (const item of member.items) placed.push({ item, from: member.from, to: scanner.at })
      continue
    }
    const text = skipUnreadable(scanner, inBrackets)
    if (text === '') {
      scanner.at++
      continue
    }
    scanner.at = Math.max(scanner.at, from + 1)
    const item: Item = { kind: 'unread', text: text.slice(0, 4000).trim() }
    notice(scanner, from, 'error', 'unreadable', depth > limits.nesting ? `brackets stand more than ${limits.nesting} deep in each other` : explainUnreadable(text, scanner.setting))
    placed.push({ item, from, to: scanner.at })
  }
}
