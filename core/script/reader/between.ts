import type { End, Item, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { printStep } from '../print'
import { endOf } from './ends'
import type { SoftWord } from './piece'
import { restThenLength } from './content'
import { readPiece } from './piece'
import { isWithinBounds, readQuantity } from './quantities'
import type { Scanner } from './scanner'
import { attempt, notice, take, upcoming } from './scanner'

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
    const spans: { text: string; at: number }[] = []
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
export function readRelative(scanner: Scanner, before: Item | undefined): Step | null {
  return attempt(scanner, () => {
    const from = scanner.at
    const share = take(
      scanner,
      /(?:(equal|same)(?:\s+(?:time|distance))?|half(?:\s+the)?(?:\s+(?:time|distance))?)(?![a-z])(?!\s*(?:mile|km|hour))/iy,
    )
    if (!share || before?.kind !== 'step' || (before.end.on !== 'time' && before.end.on !== 'distance')) return null
    const by = share[1] ? 1 : 0.5
    const end: End =
      before.end.on === 'time' ? { on: 'time', seconds: before.end.seconds * by } : { ...before.end, value: before.end.value * by }
    const piece = readPiece(scanner, end)
    if (!piece) return null
    const step = asRecovery(piece.step, new Map())
    notice(scanner, from, 'note', 'computed', printStep(step))
    return step
  })
}

/** `(200 jog)`, `(90 s)`: a lone step in brackets is a recovery unless it says how hard. */
export function readBracketRecovery(scanner: Scanner, soft: SoftSteps): Step | null {
  const next = upcoming(scanner)
  if (next !== '(' && next !== '[') return null
  return attempt(scanner, () => {
    take(scanner, opening)
    const step = readStep(scanner, soft)
    if (!step || !take(scanner, closing)) return null
    const isPlain = !step.target && !step.note && !step.swim && !step.manner
    return soft.has(step) || step.role === 'recovery' || step.role === 'rest' || isPlain ? asRecovery(step, soft) : null
  })
}

/** What stands between the repeats: `/ 4 min easy`, `w/ 90" rest`, `with 1,1,3 min rest`, `(200 jog)`, `off 90`. */
export function readBetween(scanner: Scanner, soft: SoftSteps, before?: Item): Step[] | null {
  const next = upcoming(scanner)
  const introduced =
    next !== '/' && next !== 'w'
      ? null
      : attempt(scanner, () => {
          if (!take(scanner, /\/|w\/|w(?=\s*\d)|with(?![a-z])/iy)) return null
          const ends = readNumberList(scanner, /\s*,\s*(?=\d)/y, 2)
          if (ends) {
            const pattern = readPiece(scanner, ends[0])
            if (!pattern) return null
            take(scanner, betweenTail)
            return ends.map(end => asRecovery({ ...pattern.step, end }, soft))
          }
          const step = readRelative(scanner, before) ?? readStep(scanner, soft)
          take(scanner, betweenTail)
          return step && [asRecovery(step, soft)]
        })
  if (introduced) return introduced
  const inBrackets = readBracketRecovery(scanner, soft)
  const bracketed = inBrackets && [inBrackets]
  if (bracketed) return bracketed
  const rest =
    next !== 'r'
      ? null
      : attempt(scanner, () => {
          const word = take(scanner, restThenLength)
          const reading = word && readQuantity(scanner, 'seconds')
          const tail = reading && readPiece(scanner, endOf(reading.quantity))
          if (!tail) return null
          take(scanner, betweenTail)
          if (tail.step.role === 'work' && /^r(?:est|i)?\b/i.test(word[0].trim())) tail.step.role = 'rest'
          return [asRecovery(tail.step, soft)]
        })
  if (rest) return rest
  const off =
    next !== 'o'
      ? null
      : attempt(scanner, () => {
          if (!take(scanner, /off(?=\s*\d)/iy)) return null
          const reading = readQuantity(scanner, 'seconds')
          if (!reading) return null
          const tail = readPiece(scanner, endOf(reading.quantity))
          return tail && [asRecovery(tail.step, soft)]
        })
  if (off || !/between/i.test(scanner.text.slice(scanner.at))) return off
  return attempt(scanner, () => {
    take(scanner, /,/y)
    const step = readStep(scanner, soft)
    return step && take(scanner, betweenTail) ? [asRecovery(step, soft)] : null
  })
}
