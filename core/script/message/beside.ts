import { patternOf } from '../../quantity/pattern'
import { parseClock } from '../../quantity/time'
import type { Swim, Target } from '../../session/document'
import { limits } from '../../session/limits'
import { endOf, readCeiling, readGrade } from '../token/ends'
import { isWithinBounds, readQuantity, readTime } from '../token/quantities'
import type { Scanner } from '../token/scanner'
import { attempt, notice, sees, take } from '../token/scanner'
import { readSwimWord } from '../token/swim'
import { readTarget } from '../token/targets'
import type { Meaning } from './token'

const amount = String.raw`\d{1,3}:[0-5]\d(?:\.\d+)?|\d{1,2}'[0-5]\d|:[0-5]\d|[2-9]\d(?:\.\d+)?|1[0-2]\d`
const clockWords = new RegExp(
  String.raw`(${amount})(?:\s*-\s*(${amount}))?\s*(?:"|''|s(?:ec(?:ond)?s?)?(?![a-z/]))?` +
    String.raw`(?![\d:%/]|\s*(?:x|bpm|w(?!\/|\s*\d)|rpm|spm|k|m|mins?|minutes?)\b|\s*(?:%|'(?!')))`,
  'iy',
)
const secondsOf = (words: string) =>
  words.startsWith(':') ? Number(words.slice(1)) : (parseClock(words.replace("'", ':')) ?? Number(words))

export function clockAt(scanner: Scanner, isOwn: boolean): Meaning | null {
  if (scanner.setting.sport === 'ride') return null
  const match = take(scanner, clockWords)
  if (!match) return null
  const first = secondsOf(match[1]!)
  let second = match[2] ? secondsOf(match[2]) : first
  if (second < 60 && first >= 60) second += Math.floor(first / 60) * 60
  return { is: 'clock', clock: { easiest: Math.max(first, second), hardest: Math.min(first, second), isOwn } }
}

const capWords = patternOf('iy', [
  String.raw`(?:(?:HR|heart\s+rate|pulse)\s*(?:<=?|under|below|max|cap|at\s+most)|(?:HR\s+|max\s+HR\s*|max\s+heart\s+rate\s*)?cap`,
  String.raw`(?:ped)?(?:\s+at)?|max\s+HR)\s*(\d{2,3})\s*(?:bpm)?(?![\d%:a-z])`,
])
const maxBpm = /(?:max(?:imum)?|<=?|under|below|up\s+to|no\s+more\s+than)\s*(\d{2,3})\s*(bpm|W|watts?)(?![a-z])/iy
const bpmMax = /(\d{2,3})\s*(bpm|W|watts?)\s*max(?![a-z])/iy

export function cappedAt(scanner: Scanner): Meaning | null {
  const match = take(scanner, maxBpm) ?? take(scanner, bpmMax)
  if (!match) return null
  const target: Target = /^b/i.test(match[2]!)
    ? { of: 'heart-rate', unit: 'bpm', hardest: Number(match[1]) }
    : { of: 'power', unit: 'W', hardest: Number(match[1]) }
  return { is: 'target', target }
}

const sendOffWords = /(?:(?:leaving|going|send[\s-]*offs?)(?:\s*(?:on|every|at|of|is|[=:]))?|on|every|TA|@)(?:\s+the)?\s*(?=[:\d])/iy

export function sendOffAt(scanner: Scanner): Meaning | null {
  if (scanner.setting.sport === 'swim' && take(scanner, /(?:on\s+the|every)\s+minute(?![a-z])/iy)) return { is: 'send-off', seconds: [60] }
  const word = take(scanner, sendOffWords)
  if (!word || (word[0].startsWith('@') && !sees(scanner, /:\d/y))) return null
  const seconds: number[] = []
  do {
    const short = take(scanner, /:([0-5]\d)(?!\d)/y)
    const reading = short ? null : readQuantity(scanner, 'seconds')
    if (!short && reading?.quantity.measure !== 'time') return null
    seconds.push(short ? Number(short[1]) : (reading!.quantity as { seconds: number }).seconds)
  } while (take(scanner, /\s*\/\s*(?=:?\d{0,2}:\d)/y))
  return seconds.every(value => value > 0 && value <= limits.seconds) && !sees(scanner, /off\b/iy) ? { is: 'send-off', seconds } : null
}

/** A percentage so low is a slope and no effort. */
const gradeBare = patternOf('iy', [
  String.raw`@?\s*(\d|1\d|2[0-5])(?:\.\d+)?(?:\s*-\s*(\d|1\d|2[0-5]))?\s*%`,
  String.raw`(?:\s*(?:grade|incline|gradient)|(?=\s*(?:$|[,;+)]|\d|w\/|with\b)))`,
])

export function gradeAt(scanner: Scanner, isOnTreadmill: boolean): Meaning | null {
  const grade = attempt(scanner, readGrade)
  if (grade) return { is: 'grade', grade }
  const match = isOnTreadmill ? take(scanner, gradeBare) : null
  return match && { is: 'grade', grade: { low: Number(match[1]), high: Number(match[2] ?? match[1]) } }
}

/** A range of times alone in its brackets: `(75-78)`. */
export function bracketedClock(scanner: Scanner): Meaning | null {
  let before = scanner.at - 1
  while (scanner.text[before] === ' ') before--
  if (!'([{'.includes(scanner.text[before] ?? '!')) return null
  const clock = clockAt(scanner, false)
  return clock?.is === 'clock' && clock.clock.easiest !== clock.clock.hardest && sees(scanner, /\s*[)\]}]/y) ? clock : null
}

/** A pace behind a length, without a sign: `9 min 4:30-4:40`. */
export const clockRange = (scanner: Scanner): Meaning | null =>
  sees(scanner, /\d{1,2}:[0-5]\d\s*-\s*\d{1,2}:[0-5]\d/y) ? clockAt(scanner, false) : null

const poolWords = /(?:in\s+(?:a|the)\s+)?(\d{2,3}(?:\.\d+)?)[\s-]*(m|yd?|yards?|met(?:re|er)s?)[\s-]+pool(?![a-z])/iy

export function poolAt(scanner: Scanner): Meaning | null {
  const match = take(scanner, poolWords)
  const length = Number(match?.[1])
  if (!match || length < 5 || length > 200) return null
  return { is: 'place', place: { kind: 'pool', length, unit: /^y/i.test(match[2]!) ? 'yd' : 'm' } }
}

/** What a target may be taken for is told here by the whole message, and not by the target's own words alone. */
const readHere = new Set(['pace-unit', 'own-time', 'percent-of'])

/** `in 3:30`, `in 45 min`: the time for the step's own length. */
export function ownTimeAt(scanner: Scanner): Meaning | null {
  if (!take(scanner, /in\s+(?=[:\d])/iy)) return null
  const clock = attempt(scanner, () => clockAt(scanner, true))
  if (clock) return clock
  const seconds = readTime(scanner)
  return seconds === null ? null : { is: 'clock', clock: { easiest: seconds, hardest: seconds, isOwn: true } }
}

/** `100 to 200 W in 15 min`: the time that a changing target takes is the step's length. */
export function overAt(scanner: Scanner): Meaning | null {
  if (!take(scanner, /(?:in|over|during)\s+(?=\d)/iy)) return null
  const reading = readQuantity(scanner)
  return reading && isWithinBounds(reading.quantity) ? { is: 'length', lengths: [{ end: endOf(reading.quantity) }] } : null
}

/** `between 6:50 and 7:00`: a pace, or a time for the step, where no pause is spoken of. */
export function betweenClocks(scanner: Scanner): Meaning | null {
  const match = take(
    scanner,
    /between\s+(\d{1,2}:[0-5]\d)\s+(?:and|to)\s+(\d{1,2}:[0-5]\d)(?![\d:])(?!\s*(?:\/|per\b|min|rest|recovery|jog|walk|easy))/iy,
  )
  if (!match) return null
  const times = [parseClock(match[1]!)!, parseClock(match[2]!)!]
  return { is: 'clock', clock: { easiest: Math.max(...times), hardest: Math.min(...times), isOwn: false } }
}

/** `5 x 1 km, 4:10s`: times in the plural are what each is done in. */
export function timesAt(scanner: Scanner): Meaning | null {
  const match = take(scanner, /(\d{1,2}:[0-5]\d)(?:\s*-\s*(\d{1,2}:[0-5]\d))?\s?'?s(?![a-z])/iy)
  if (!match) return null
  const times = [parseClock(match[1]!)!, parseClock(match[2] ?? match[1]!)!]
  return { is: 'clock', clock: { easiest: Math.max(...times), hardest: Math.min(...times), isOwn: false } }
}

/** A target in one of the forms that rows have. */
export function targetAt(scanner: Scanner, isAfterAt: boolean): Meaning | null {
  if (sees(scanner, /\d{1,2}\.\d\d\s*(?:min\s*)?\/\s*(?:km|mi)/iy)) return null
  const target = readTarget(scanner, { afterAt: isAfterAt })
  const isOwn = target?.of === 'effort' || scanner.noticed.some(one => readHere.has(one.code))
  return target && !isOwn ? { is: 'target', target } : null
}

/** A cap of the heart rate: `ceiling 164 bpm`, `HR < 145`, `cap 150`. */
export function capAt(scanner: Scanner): Meaning | null {
  const ceiling = attempt(scanner, readCeiling)
  if (ceiling) return { is: 'ceiling', ceiling, isBound: false }
  const cap = take(scanner, capWords)
  return cap && { is: 'ceiling', ceiling: { of: 'heart-rate', above: Number(cap[1]) }, isBound: /<|under|below|most/i.test(cap[0]) }
}

/** A word for how hard that differs from coach to coach. */
export function tempoAt(scanner: Scanner): Meaning | null {
  const from = scanner.at
  const word = take(scanner, /tempo(?![a-z])/iy)
  if (!word) return null
  const at = /@\s*$/.test(scanner.text.slice(0, from)) ? '' : '@ '
  const efforts = ['threshold effort', ...(scanner.setting.sport === 'run' ? ['marathon effort'] : []), 'RPE 7']
  const fixes = efforts.map(effort => ({ label: effort, replacement: at + effort }))
  notice(scanner, from, 'ask', 'effort-word', `a note: how hard "${word[0]}" is differs from coach to coach`, fixes)
  return { is: 'note', words: word[0] }
}

/** How to swim, with drills by their names. */
export function swimAt(scanner: Scanner): Meaning | null {
  const swim: Swim = {}
  return readSwimWord(scanner, swim) ? { is: 'swim', swim } : null
}
