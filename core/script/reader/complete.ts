import type { Item, Step } from '../../session/document'
import { countFlatSteps } from '../../session/walk'
import { readBetween } from './between'
import { lacksBetween, putBetween } from './between-rounds'
import { scan, sees, take } from './scanner'
import type { SoftWord } from './piece'
import type { Line, State } from './state'
import { addRemark } from './state'

const maySayBetween = /\bbetween\b|^\s*(?:with\b|w\/|\/)/i

/** `90 s rest between`, `with 2 min jog`: what a whole line says to stand between the rounds of the repeat above it. */
function betweenOf(state: State, line: Line, work: Item | undefined): Step[] | null {
  if (!maySayBetween.test(line.raw)) return null
  const scanner = scan(line.raw, state.setting, line.start)
  take(scanner, /(?:take|and|have)(?![a-z])/iy)
  const between = readBetween(scanner, new Map<Step, SoftWord>(), work)
  return between && sees(scanner, /[\s.;,]*$/y) ? between : null
}

/**
 * Completes the repeat of the line above by what this line says to stand between its rounds; false where it says
 * something else, or the line above is no repeat that lacks it.
 */
export function completeRepeat(state: State, line: Line, into: readonly Item[]): boolean {
  const repeat = into.at(-1)
  const reading = state.readings.at(-1)
  if (!lacksBetween(repeat) || !reading || reading.items.at(-1) !== repeat) return false
  const between = betweenOf(state, line, repeat.items.length === 1 ? repeat.items[0] : undefined)
  if (!between) return false
  state.steps -= countFlatSteps([repeat])
  putBetween(repeat, between)
  state.steps += countFlatSteps([repeat])
  const from = Math.max(line.indent, line.start)
  const to = line.raw.trimEnd().length
  for (const step of repeat.items) {
    if (!state.places.has(step))
      state.places.set(step, { line: line.number, column: from + 1, length: to - from, said: line.raw.slice(from, to) })
  }
  reading.through = line
  addRemark(state, line, {
    from,
    to,
    level: 'note',
    code: 'between',
    readAs: `between the repeats of line ${reading.line.number}: none after the last`,
    fixes: [],
  })
  return true
}
