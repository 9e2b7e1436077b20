import { patternOf } from '../../quantity/pattern'
import { toMetres } from '../../quantity/distance'
import type { DistanceUnit } from '../../quantity/units'
import type { End } from '../../session/document'
import { limits } from '../../session/limits'
import { endOf, readEnd } from '../token/ends'
import { isWithinBounds, readQuantity } from '../token/quantities'
import type { Scanner } from '../token/scanner'
import { attempt, notice, sees, take } from '../token/scanner'
import type { Length, Meaning } from './token'

const decimal = (text: string) => Number(text.replace(',', '.'))
const time = (seconds: number): End | null => (seconds > 0 && seconds <= limits.seconds ? { on: 'time', seconds } : null)
const distance = (value: number, unit: DistanceUnit): End | null => (value > 0 && value <= 1e7 ? { on: 'distance', value, unit } : null)

interface Form {
  pattern: RegExp
  end: (match: RegExpExecArray, scanner: Scanner) => End | null
}

const lapMetres = 400
const fractionsOfHour: Record<string, number> = { 'half': 0.5, 'quarter': 0.25, 'three quarters': 0.75 }

/** Lengths in forms that no canonical row has, the longer form first. */
const forms: readonly Form[] = [
  {
    pattern: /(?:an?\s+|1\s+)?hour\s+and\s+(?:an?\s+)?(half|quarter)(?![a-z])/iy,
    end: match => time(3600 * (1 + fractionsOfHour[match[1]!.toLowerCase()]!)),
  },
  {
    pattern: /(?:an?\s+)?(half|quarter|three[\s-]quarters)\s+(?:of\s+)?(?:an?|1)\s+hour(?![a-z])/iy,
    end: match => time(3600 * fractionsOfHour[match[1]!.toLowerCase().replace('-', ' ')]!),
  },
  { pattern: /(\d{1,2}):([0-5]\d)\s*h(?:rs?|ours?)?(?![a-z])/iy, end: match => time(Number(match[1]) * 3600 + Number(match[2]) * 60) },
  {
    pattern: /(\d{1,2})\s*h(?:rs?|ours?)?\s+([0-5]\d)(?!\s*(?:x|km?|m|mi|'|"|\d|:|%|sec|s\b))(?:\s*min(?:ute)?s?)?(?![a-z\d])/iy,
    end: match => time(Number(match[1]) * 3600 + Number(match[2]) * 60),
  },
  { pattern: /(\d{1,4})\s*s(?:ec(?:ond)?s?)?(?![a-z])(?=\s*\/(?!\s*(?:km|mi|100)))/iy, end: match => time(Number(match[1])) },
  { pattern: /(\d{1,2})m([0-5]\d)(?:s(?:ec)?)?(?![a-z\d])/iy, end: match => time(Number(match[1]) * 60 + Number(match[2])) },
  { pattern: /(\d{1,2})k(\d{1,2})(?![a-z\d])/iy, end: match => distance(Number(`${match[1]}.${match[2]}`), 'km') },
  { pattern: /(\d+(?:[.,]\d+)?)\s*y(?![a-z\d])/iy, end: match => distance(decimal(match[1]!), 'yd') },
  {
    pattern: /(\d+(?:[.,]\d+)?)\s*M(?![A-Za-z\d:])/y,
    end: (match, scanner) => (scanner.setting.sport === 'run' && decimal(match[1]!) < 60 ? distance(decimal(match[1]!), 'mi') : null),
  },
  {
    pattern: /(?<!\d)\.(\d{1,2})\s*(mi(?:les?)?|km?|h(?:(?:ou)?rs?)?)(?![a-z])/iy,
    end: match => {
      const value = Number(`0.${match[1]}`)
      return /^h/i.test(match[2]!) ? time(value * 3600) : distance(value, /^m/i.test(match[2]!) ? 'mi' : 'km')
    },
  },
  {
    pattern: /(\d{1,2})[.](\d00)\s*m(?:et(?:re|er)s?)?(?![a-z\d])/iy,
    end: (match, scanner) => {
      const value = Number(match[1]! + match[2]!)
      notice(scanner, scanner.at - match[0].length, 'ask', 'thousands', `${value} m`, [{ label: `${value} m`, replacement: `${value} m` }])
      return distance(value, 'm')
    },
  },
  { pattern: /(\d{1,3})\s*laps?(?![a-z])/iy, end: match => distance(Number(match[1]) * lapMetres, 'm') },
]

const mostMembers = 40
const mostOfList = { seconds: 3 * 3600, metres: 50_000 }

const pairWords = patternOf('iy', [
  String.raw`(\d{1,2})\s*\/\s*(\d{1,2})(?!\d|\.\d)\s*(s(?:ec(?:ond)?s?)?(?![a-z])|"|min(?:ute)?s?(?![a-z])|'(?!'))?`,
  String.raw`(?!\s*(?:%|rpm|w\b(?!\/)|bpm|hr\b|k|m))`,
])

const runWalk = /(\d{1,2})\s*[:/]\s*(\d{1,2})\s*run\s*[/-]?\s*walks?(?![a-z])/iy
const runWalkFirst = /run\s*[/-]\s*walk\s+(\d{1,2})\s*[:/]\s*(\d{1,2})(?!\d)/iy

/** `9:1 run walk`: minutes of each. */
export function runWalkAt(scanner: Scanner): Meaning | null {
  const match = take(scanner, runWalk) ?? take(scanner, runWalkFirst)
  if (!match) return null
  const minutes = (words: string | undefined): Length => ({ end: { on: 'time', seconds: Number(words) * 60 } })
  return Number(match[1]) > 0 && Number(match[2]) > 0
    ? { is: 'pair', work: minutes(match[1]), easy: minutes(match[2]), isWalk: true }
    : null
}

/** A distance beside one letter for how it is swum: `200 S / 200 K`. */
export function letteredAt(scanner: Scanner): Meaning | null {
  const match = take(scanner, /(\d{2,4})(?=\s*[SKPD](?![a-zA-Z]))/y)
  return match && { is: 'length', lengths: [{ bare: Number(match[1]) }] }
}

/** `30/30`, `40/20 s`: work and recovery, of which only the last says its unit, or neither. */
export function pairAt(scanner: Scanner): Meaning | null {
  if (scanner.setting.sport === 'swim') return null
  const from = scanner.at
  const match = take(scanner, pairWords)
  if (!match) return null
  const [work, easy] = [Number(match[1]), Number(match[2])]
  const isMinutes = match[3] !== undefined && /^(?:m|')/i.test(match[3])
  if (work === 0 || easy === 0 || (isMinutes && work > 30)) return null
  if (match[3] === undefined) {
    if (work > 60 || easy > 60) return null
    notice(scanner, from, 'ask', 'short-pair', `${work} s of work, ${easy} s of recovery between`, [
      { label: 'seconds', replacement: `${work} s / ${easy} s` },
      { label: 'minutes', replacement: `${work} min / ${easy} min` },
    ])
  }
  const by = isMinutes ? 60 : 1
  return { is: 'pair', work: { end: { on: 'time', seconds: work * by } }, easy: { end: { on: 'time', seconds: easy * by } } }
}

const aboutWords = /(?:~|\u2248|about|approx\.?|circa|ca\.?|c\.)\s*(?=\d)/iy

function formAt(scanner: Scanner): End | null {
  for (const form of forms) {
    const end = attempt(scanner, () => {
      const match = take(scanner, form.pattern)
      return match && form.end(match, scanner)
    })
    if (end) return end
  }
  return null
}

const wholeUnits: Record<string, End> = {
  hour: { on: 'time', seconds: 3600 },
  minute: { on: 'time', seconds: 60 },
  mile: { on: 'distance', value: 1, unit: 'mi' },
  km: { on: 'distance', value: 1, unit: 'km' },
  kilometre: { on: 'distance', value: 1, unit: 'km' },
}

/** `last hour`, `first mile`: behind a portion a unit is one of it. */
export function unitAlone(scanner: Scanner): Meaning | null {
  const match = take(scanner, /(hour|minute|mile|km|kilometre)(?![a-z])/iy)
  return match && { is: 'length', lengths: [{ end: wholeUnits[match[1]!.toLowerCase()]! }] }
}

/** `miles 3-5 @ 7:15`, `km 6: easy`: those of the whole, counted from its start. */
const splitWords =
  /(miles?|kms?|kilomet(?:re|er)s?)\s+(\d{1,3})(?:\s*(?:-|to)\s*(\d{1,3}))?(?=\s*(?:[:@]|at\b|in\b|easy|steady|hard|fast))/iy

/** A length with its unit, in whatever form. */
export function lengthAt(scanner: Scanner): Meaning | null {
  take(scanner, aboutWords)
  const from = scanner.at
  const split = take(scanner, splitWords)
  if (split) {
    const [first, final] = [Number(split[2]), Number(split[3] ?? split[2])]
    if (final < first || first < 1) return null
    notice(scanner, from, 'note', 'computed', `${final - first + 1} ${/^m/i.test(split[1]!) ? 'mi' : 'km'}`)
    return { is: 'length', lengths: [{ end: { on: 'distance', value: final - first + 1, unit: /^m/i.test(split[1]!) ? 'mi' : 'km' } }] }
  }
  const laps = sees(scanner, /\d{1,3}\s*laps?\b/iy)
  const special = formAt(scanner)
  if (special) {
    if (laps) notice(scanner, from, 'ask', 'lap-length', `laps of ${lapMetres} m`)
    return { is: 'length', lengths: [{ end: special }] }
  }
  const plural = scanner.setting.sport === 'run' ? take(scanner, /([2-9]00|1[0-9]00)s(?![a-z\d])/iy) : null
  if (plural) {
    notice(scanner, from, 'ask', 'unit-doubtful', `${plural[1]} m`, [
      { label: `${plural[1]} m`, replacement: `${plural[1]} m` },
      { label: `${plural[1]} s`, replacement: `${plural[1]} s` },
    ])
    return { is: 'length', lengths: [{ end: { on: 'distance', value: Number(plural[1]), unit: 'm' } }], doubt: { said: plural[0] } }
  }
  const extent = readEnd(scanner)
  if (
    extent &&
    ((extent.end.on === 'first' && scanner.noticed.length === 0) ||
      extent.end.on === 'heart-rate' ||
      extent.end.on === 'energy' ||
      extent.end.on === 'press')
  )
    return { is: 'length', lengths: [{ end: extent.end }], ...(extent.doubt ? { doubt: extent.doubt } : {}) }
  scanner.at = from
  scanner.noticed.length = 0
  const reading = readQuantity(scanner, 'none')
  if (!reading || !isWithinBounds(reading.quantity)) return null
  const end = endOf(reading.quantity)
  if (scanner.setting.sport === 'swim' && end.on === 'distance' && end.unit === 'km' && end.value > 10) return null
  return { is: 'length', lengths: [{ end }], ...(reading.doubt ? { doubt: reading.doubt } : {}) }
}

/** A length of nothing, or past what a session may hold. */
export function outOfBoundsAt(scanner: Scanner): Meaning | null {
  const reading = readQuantity(scanner, 'none')
  if (!reading || isWithinBounds(reading.quantity)) return null
  const { quantity } = reading
  const isNothing = (quantity.measure === 'time' ? quantity.seconds : quantity.value) <= 0
  return { is: 'fault', fault: { code: isNothing ? 'not-positive' : 'too-long' } }
}

/** A number without a unit. */
export function bareAt(scanner: Scanner): Meaning | null {
  take(scanner, aboutWords)
  const match = take(scanner, /(\d+(?:\.\d+)?)(?![\d:%]|[.,]\d)/y)
  return match && Number(match[1]) > 0 && Number(match[1]) <= 100_000 ? { is: 'length', lengths: [{ bare: Number(match[1]) }] } : null
}

const member = patternOf('iy', [
  String.raw`(\d+(?:\.\d+)?)\s*(km?|kilomet(?:re|er)s?|met(?:re|er)s?|m(?:in(?:ute)?s?)?|mi|miles?|yd?|s(?:ec(?:ond)?s?)?|'|"|h)?`,
  String.raw`(?!(?!x\s*\d)[a-z]|[\d:])`,
])
const joints = [/\s*-\s*(?=\d)/y, /\s*\/\s*(?=\d)/y, /\s*,\s*(?=\d)/y, /(?=\d)/y]

/** One unit for all members where only the last says it. */
function membersEnds(scanner: Scanner, spans: readonly { number: string; unit: string }[]): Length[] | null {
  const lastUnit = spans.at(-1)!.unit
  const isEach = spans.every(span => span.unit !== '')
  if (!isEach && spans.slice(0, -1).some(span => span.unit !== '')) return null
  const lengths: Length[] = []
  for (const span of spans) {
    const unit = span.unit || lastUnit
    if (unit === '') {
      lengths.push({ bare: Number(span.number) })
      continue
    }
    const words = `${span.number} ${unit === 'm' && Number(spans[0]!.number) < 20 ? 'min' : unit}`
    const alone: Scanner = { ...scanner, raw: words, text: words, at: 0, noticed: [] }
    const reading = readQuantity(alone, 'none')
    if (!reading || !isWithinBounds(reading.quantity)) return null
    lengths.push({ end: endOf(reading.quantity) })
  }
  return lengths
}

/** Whether a length can stand in a ladder: nobody climbs one of hours. */
const isListed = (length: Length) =>
  'bare' in length ||
  (length.end.on === 'time'
    ? length.end.seconds <= mostOfList.seconds
    : length.end.on === 'distance' && toMetres(length.end) <= mostOfList.metres)

function listBy(scanner: Scanner, joint: RegExp, least: number): Meaning | null {
  return attempt(scanner, () => {
    const from = scanner.at
    const spans: { number: string; unit: string; to: number }[] = []
    do {
      const match = take(scanner, member)
      if (!match) break
      spans.push({ number: match[1]!, unit: match[2] ?? '', to: scanner.at })
    } while (spans.length < mostMembers && take(scanner, joint))
    for (let count = spans.length; count >= Math.max(least, spans.length - 2); count--) {
      const lengths = membersEnds(scanner, spans.slice(0, count))
      if (!lengths || !lengths.every(isListed)) continue
      scanner.at = spans[count - 1]!.to
      const isSpaced = scanner.text.slice(from, scanner.at).includes(', ')
      return { is: 'length', lengths, ...(isSpaced ? { isSpaced: true } : {}) }
    }
    return null
  })
}

/** Numbers that one sign joins: `200-400-600`, `1,2,3 min`, `1k/2k/3k`. A sign of its own needs three, a space four. */
export function listAt(scanner: Scanner): Meaning | null {
  for (const [index, joint] of joints.entries()) {
    const list = listBy(scanner, joint, index === 3 ? 4 : 3)
    if (list) return list
  }
  return null
}
