import { limits } from '../../session/limits'
import { readQuantity } from './quantities'
import type { Setting } from './scanner'
import { fold, scan } from './scanner'

/** Says in the athlete's words why a stretch could not be read, and what would help. */
export function explainUnreadable(raw: string, setting: Setting): string {
  const text = fold(raw)
  if (/(?:^|[\s(,x])-\s?\d/i.test(text)) return 'a length or a target is more than zero'
  const count = /^\(*\s*(\d+)\s*(?:x|times|rounds?|sets?|reps?)(?![a-z])/i.exec(text)
  if (count && (Number(count[1]) > limits.times || Number(count[1]) === 0)) return `a repeat goes 1 to ${limits.times} times`
  const opened = text.split('').filter(letter => letter === '(' || letter === '[').length
  const closed = text.split('').filter(letter => letter === ')' || letter === ']').length
  if (opened !== closed) return opened > closed ? 'a bracket is not closed' : 'a bracket closes that was never opened'
  if (/\b(?:until|till)\b/i.test(text)) return 'until what? until press, or until HR below 120'
  const quantity = readQuantity(scan(raw.replace(/^[^\d]*/, ''), setting))?.quantity
  if (quantity) {
    const amount = quantity.measure === 'time' ? quantity.seconds : quantity.value
    if (amount <= 0) return 'a length is more than zero'
    if (quantity.measure === 'time' && quantity.seconds > limits.seconds)
      return `longer than ${limits.seconds / 3600} h, the limit of a session`
  }
  if (/@/.test(text)) return 'the target after @ is not one the reader knows: 4:05 /km, 95-105 %CP, zone 2, 5k effort'
  if (/^\d+(?:[.,]\d+)?$/.test(text.trim())) return 'a number needs a unit here: 400 m, or 4:00'
  return 'not words the reader knows; write a length first, as in 400 m @ 5k effort'
}
