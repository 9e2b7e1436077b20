import { patternOf } from '../../quantity/pattern'
import type { Ceiling, End, Grade, Repeat, Step } from '../../session/document'
import { limits } from '../../session/limits'
import type { Quantity } from './quantities'
import { isWithinBounds, readNumber, readQuantity } from './quantities'
import type { Scanner } from './scanner'
import { attempt, sees, take, upcoming } from './scanner'

/** The end that a length of time or way makes. */
export function endOf(quantity: Quantity): End {
  return quantity.measure === 'time'
    ? { on: 'time', seconds: quantity.seconds }
    : { on: 'distance', value: quantity.value, unit: quantity.unit }
}

/** The repeat until a length of time or way is over. */
export const repeatOver = (quantity: Quantity): Repeat =>
  quantity.measure === 'time' ? { seconds: quantity.seconds } : { distance: { value: quantity.value, unit: quantity.unit } }

/** Without a word for the side: a recovery waits for the heart to fall, all else for it to rise. */
function sideOf(scanner: Scanner): RegExpExecArray | null {
  const isPause = /(?:recover|rest|walk|jog|easy|float)[^,;.]{0,40}$/i.test(scanner.text.slice(0, scanner.at))
  take(scanner, /(?:is|gets|goes|drops|falls|rises|climbs|at|to|of|back|down|up|\s)*(?=\d)/iy)
  return sees(scanner, /\d/y) ? /(.+)/.exec(isPause ? 'below' : 'above') : null
}

const fallWords = patternOf('iuy', [
  String.raw`(?:back\s+)?(?:down\s+)?(?:to|below|under|<)\s*(?:(?:an?\s+)?(?:HR|heart\s+rate|pulse)\s*(?:of|below|under|<)?`,
  String.raw`\s*(\d{2,3})(?:\s*bpm)?|(\d{2,3})\s*(?:bpm|HR|beats))(?![\p{L}\d])`,
])

/** `recover to 120 bpm`, `jog back down to HR 125`: an end, and no target. */
function readFallTo(scanner: Scanner): End | null {
  if (!/(?:recover(?:y|ing)?|rest|walk|jog|float)[a-z\s]{0,20}$/i.test(scanner.text.slice(0, scanner.at))) return null
  const match = take(scanner, fallWords)
  const below = match && Number(match[1] ?? match[2])
  return below && below >= 20 && below <= 250 ? { on: 'heart-rate', below } : null
}

function readUntil(scanner: Scanner): End | null {
  if (!take(scanner, /(?:until|till)\b/iy)) return null
  if (take(scanner, /(?:I\s+)?press\b|ready\b|(?:the\s+)?(?:lap(?:\s+(?:button|press))?|button)\b/iy)) return { on: 'press' }
  if (!take(scanner, /(?:HR|heart\s+rate|pulse)\b/iy)) return null
  const side = take(scanner, /(below|under|<|above|over|>)\s*/iy) ?? (scanner.strict ? null : sideOf(scanner))
  const value = side && readNumber(scanner)
  if (!side || value === null || value < 20 || value > 250) return null
  take(scanner, /bpm\b/iy)
  return /^(?:below|under|<)/i.test(side[1]!) ? { on: 'heart-rate', below: value } : { on: 'heart-rate', above: value }
}

/** How long a step goes, with the doubt that its words leave. */
export interface Extent {
  end: End
  doubt?: Step['doubt']
}

/** Digits, fraction signs, `until`, `till`, a bracket, `half`, `quarter`, `a half`. */
const extentStarts = /[\d\u00BD\u00BC\u00BEut(hqamkbd<]/

/** `until 300 kcal`, but not behind a length of its own, where two ends would stand side by side. */
const untilEnergy = /(?<!\d\s{0,3}(?!x\s)[a-z]{1,12}\s{1,3})(?:until|till)\s+(?=\d+(?:\.\d+)?\s*kcal\b)/iy

function readSimpleEnd(scanner: Scanner): Extent | null {
  const next = upcoming(scanner)
  if (!extentStarts.test(next)) return null
  const until = next === 'u' || next === 't' ? attempt(scanner, readUntil) : null
  if (until) return { end: until }
  const fallen = scanner.strict ? null : attempt(scanner, readFallTo)
  if (fallen) return { end: fallen }
  if (!scanner.strict) take(scanner, untilEnergy)
  const energy = take(scanner, /(\d+(?:\.\d+)?)\s*kcal\b/iy)
  if (energy && !(Number(energy[1]) > 0 && Number(energy[1]) <= 50_000)) return null
  if (energy) return { end: { on: 'energy', kilocalories: Number(energy[1]) } }
  if (next === '(' && sees(scanner, /\({1,8}(?=[\du])/iy)) {
    const inBrackets = attempt(scanner, () => {
      take(scanner, /\(/y)
      const inner = readEnd(scanner)
      return inner?.end.on === 'first' && take(scanner, /\)/y) ? inner : null
    })
    if (inBrackets) return inBrackets
  }
  const reading = readQuantity(scanner)
  if (!reading) return null
  if (!isWithinBounds(reading.quantity)) return null
  const end = endOf(reading.quantity)
  if (end.on === 'distance' && 'oelg'.includes(upcoming(scanner))) {
    const seconds = attempt(scanner, readSendOffClock)
    if (seconds !== null) return { end: { on: 'send-off', value: end.value, unit: end.unit, seconds } }
  }
  return { end, doubt: reading.doubt }
}

/** The clock of a send-off, in seconds. */
export function readSendOffClock(scanner: Scanner): number | null {
  if (!take(scanner, scanner.strict ? /on\b(?=\s*\d)/y : /(?:(?:leaving|going)(?:\s+(?:on|every))?|on|every)(?:\s+the)?\b(?=\s*\d)/iy))
    return null
  const reading = readQuantity(scanner, 'seconds')
  if (reading?.quantity.measure !== 'time' || sees(scanner, /off\b/iy)) return null
  const { seconds } = reading.quantity
  return seconds > 0 && seconds <= limits.seconds ? seconds : null
}

/** Ends that are followed in one row, past what a session may hold, so that its own check says what is too much. */
const mostEnds = 12

/** An end in any spelling, or several of which the first counts. */
export function readEnd(scanner: Scanner): Extent | null {
  const first = readSimpleEnd(scanner)
  if (!first) return null
  let end = first.end
  for (let count = 1; count < mostEnds && upcoming(scanner) === 'o'; count++) {
    const other = attempt(scanner, () => (take(scanner, /or\s+(?=\(|until|till|\d)/iy) ? readSimpleEnd(scanner) : null))
    if (!other) break
    end = { on: 'first', of: [end, other.end] }
  }
  return { ...first, end }
}

const steepest = 45

const withinGrade = (low: number, high: number): Grade | null => (low < -steepest || high > steepest ? null : { low, high })

const gradeWords = patternOf('iy', [
  String.raw`(?:(?:hills?(?:\s+(?:reps?|repeats?|sprints?))?|incline|gradient|grade)\s*(?:at|of`,
  String.raw`|@)?\s*(\d+(?:\.\d+)?)(?:\s*-\s*(\d+(?:\.\d+)?))?\s*%|(?:(?:at|on`,
  String.raw`|@)\s+(?:an?\s+)?)?(\d+(?:\.\d+)?)(?:\s*-\s*(\d+(?:\.\d+)?))?\s*%\s*(?:hills?|incline|gradient`,
  String.raw`|grade))(?![a-z])`,
])

export function readGrade(scanner: Scanner): Grade | null {
  const mixed = take(scanner, /grade\s+(-?\d+(?:\.\d+)?)\s+to\s+(-?\d+(?:\.\d+)?)\s*%/iy)
  if (mixed) return withinGrade(Number(mixed[1]), Number(mixed[2]))
  const loose = scanner.strict ? null : take(scanner, gradeWords)
  if (loose) {
    const low = Number(loose[1] ?? loose[3])
    return withinGrade(low, Number(loose[2] ?? loose[4] ?? low))
  }
  const match = take(scanner, /(up|down)hill\s+(\d+(?:\.\d+)?)(?:\s*-\s*(\d+(?:\.\d+)?))?\s*%/iy)
  if (!match) return null
  const [low, high] = [Number(match[2]), Number(match[3] ?? match[2])]
  return match[1]!.toLowerCase() === 'up' ? withinGrade(low, high) : withinGrade(0 - high, 0 - low)
}

export function readCeiling(scanner: Scanner): Ceiling | null {
  const match = take(scanner, /ceiling\s+(\d+(?:\.\d+)?)\s*(bpm|%\s*HRmax|%\s*LTHR)?(?![a-z%])/iy)
  if (!match) return null
  if (!(Number(match[1]) > 0 && Number(match[1]) <= 250)) return null
  const unit = match[2]?.replace(/\s/g, '').toLowerCase()
  const ceiling: Ceiling = { of: 'heart-rate', above: Number(match[1]) }
  if (unit === '%hrmax') ceiling.unit = '%HRmax'
  if (unit === '%lthr') ceiling.unit = '%LTHR'
  return ceiling
}

export function readDoubt(scanner: Scanner): Step['doubt'] | null {
  const mark = take(scanner, /\?\{((?:\\.|[^\\}])+)\}/y)
  if (!mark) return null
  const raw = scanner.raw.slice(scanner.at - mark[1]!.length - 1, scanner.at - 1)
  const said = raw.replace(/\\(.)/g, (_, letter: string) => (letter === 'n' ? '\n' : letter === 'r' ? '\r' : letter))
  const others = othersOf(said, scanner)
  return others.length > 0 ? { said, others } : { said }
}

/** What the doubtful words may also mean, found again from the words alone. */
function othersOf(said: string, scanner: Scanner): string[] {
  const alone: Scanner = { ...scanner, raw: said, text: said, at: 0, noticed: [] }
  const reading = readQuantity(alone)
  return reading && alone.at === said.length ? (reading.doubt?.others ?? []) : []
}
