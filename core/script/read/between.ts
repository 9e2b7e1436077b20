import type { End, Item, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { printStep } from '../print'
import { endOf } from './ends'
import type { SoftWord } from './piece'
import { readPiece } from './piece'
import { isWithinBounds, readQuantity } from './quantities'
import type { Scanner } from './scanner'
import { attempt, notice, take } from './scanner'

/** Steps whose role their place in the session decides, found while a text is read. */
export type SoftSteps = Map<Step, SoftWord>

export const opening = /[([]/y
export const closing = /[)\]]/y

/** A step that stands between others is a recovery unless it says what it is. */
export function asRecovery(step: Step, soft: SoftSteps): Step {
  soft.delete(step)
  if (step.role === 'work') step.role = 'recovery'
  return step
}

export function readStep(scanner: Scanner, soft: SoftSteps, given?: End): Step | null {
  const piece = readPiece(scanner, given)
  if (!piece) return null
  if (piece.soft) soft.set(piece.step, piece.soft)
  return piece.step
}

/** Numbers joined by a sign, with the unit that the last one names: each becomes an end. */
export function readNumberList(scanner: Scanner, joint: RegExp, least: number): End[] | null {
  return attempt(scanner, () => {
    const spans: { text: string, at: number }[] = []
    do {
      const number = take(scanner, /\d+(?:\.\d+)?(?![\d:])/y)
      if (!number) return null
      spans.push({ text: number[0], at: scanner.at - number[0].length })
    } while (take(scanner, joint))
    if (spans.length < least || spans.length > limits.times) return null
    const last = spans.at(-1)!
    const unitEnd: Scanner = { ...scanner, at: last.at, noticed: [] }
    const reading = readQuantity(unitEnd)
    if (!reading) return null
    const unitText = scanner.text.slice(last.at + last.text.length, unitEnd.at)
    const ends: End[] = []
    for (const span of spans) {
      const alone: Scanner = { ...scanner, text: span.text + unitText, raw: span.text + unitText, at: 0, noticed: [] }
      const one = readQuantity(alone)
      if (!one) return null
      const { quantity } = one
      if (!isWithinBounds(quantity)) return null
      ends.push(endOf(quantity))
    }
    const from = spans[0]!.at
    scanner.at = unitEnd.at
    if (unitText.trim() === '') notice(scanner, from, 'note', 'bare-number', 'each with the unit of its kind')
    return ends
  })
}

const betweenTail = /(?:in\s+)?between(?:\s+(?:reps|sets|each))?/iy

/** `equal jog`, `half the time jog`: computed from the step before. */
function readRelative(scanner: Scanner, before: Item | undefined): Step | null {
  return attempt(scanner, () => {
    const from = scanner.at
    const share = take(scanner, /(?:(equal|same)(?:\s+(?:time|distance))?|half(?:\s+the)?(?:\s+(?:time|distance))?)(?![a-z])(?!\s*(?:mile|km|hour))/iy)
    if (!share || before?.kind !== 'step' || (before.end.on !== 'time' && before.end.on !== 'distance')) return null
    const by = share[1] ? 1 : 0.5
    const end: End = before.end.on === 'time' ? { on: 'time', seconds: before.end.seconds * by } : { ...before.end, value: before.end.value * by }
    const piece = readPiece(scanner, end)
    if (!piece) return null
    notice(scanner, from, 'note', 'computed', printStep(piece.step))
    return piece.step
  })
}

/** What stands between the repeats: `/ 4 min easy`, `w/ 90" rest`, `with 1,1,3 min rest`, `(200 jog)`, `off 90`. */
export function readBetween(scanner: Scanner, soft: SoftSteps, before?: Item): Step[] | null {
  const introduced = attempt(scanner, () => {
    if (!take(scanner, /\/|w\/|w(?=\s*\d)|with(?![a-z])/iy)) return null
    const ends = readNumberList(scanner, /\s*,\s*(?=\d)/y, 2)
    if (ends) {
      const pattern = readPiece(scanner, ends[0])
      if (!pattern) return null
      take(scanner, betweenTail)
      return ends.map(end => asRecovery({ ...structuredClone(pattern.step), end }, soft))
    }
    const step = readRelative(scanner, before) ?? readStep(scanner, soft)
    take(scanner, betweenTail)
    return step && [asRecovery(step, soft)]
  })
  if (introduced) return introduced
  const bracketed = attempt(scanner, () => {
    if (!take(scanner, opening)) return null
    const step = readStep(scanner, soft)
    if (!step || !take(scanner, closing)) return null
    return soft.has(step) || step.role === 'recovery' || step.role === 'rest' ? [asRecovery(step, soft)] : null
  })
  if (bracketed) return bracketed
  const off = attempt(scanner, () => {
    if (!take(scanner, /off(?=\s*\d)/iy)) return null
    const reading = readQuantity(scanner, 'seconds')
    if (!reading) return null
    const tail = readPiece(scanner, endOf(reading.quantity))
    return tail && [asRecovery(tail.step, soft)]
  })
  if (off) return off
  return attempt(scanner, () => {
    take(scanner, /,/y)
    const step = readStep(scanner, soft)
    return step && take(scanner, betweenTail) ? [asRecovery(step, soft)] : null
  })
}
