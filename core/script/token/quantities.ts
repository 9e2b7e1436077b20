import type { DistanceUnit } from '../../quantity/units'
import { limits } from '../../session/limits'
import { formatNumber, formatTime, parseClock } from '../../quantity/time'
import type { Scanner } from './scanner'
import { attempt, notice, saidBetween, sees, skipSpaces, take, upcoming } from './scanner'

const numberPattern = /(\d{1,3}(?:,\d{3})+(?![\d]))|(\d+)\s*([\u00BD\u00BC\u00BE])|([\u00BD\u00BC\u00BE])|(\d+(?:[.,]\d+)?)/y
const fractions: Record<string, number> = { '\u00BD': 0.5, '\u00BC': 0.25, '\u00BE': 0.75 }

/** In digits: what is longer counts nothing. */
const longestNumber = 15

/** A number as people write it: decimal point or comma, or a fraction sign. */
export function readNumber(scanner: Scanner): number | null {
  const match = take(scanner, numberPattern)
  if (!match || match[0].length > longestNumber) return null
  if (match[1]) {
    const value = Number(match[1].replace(/,/g, ''))
    notice(scanner, scanner.at - match[0].length, 'ask', 'thousands', formatNumber(value), [
      { label: 'as a decimal', replacement: match[0].replace(',', '.') },
    ])
    return value
  }
  if (match[2]) return Number(match[2]) + fractions[match[3]!]!
  if (match[4]) return fractions[match[4]]!
  return Number(match[5]!.replace(',', '.'))
}

const clock = /(\d{1,3}:[0-5]\d:[0-5]\d(?:\.\d+)?|\d{1,4}:[0-5]\d(?:\.\d+)?)(?![\d:])/y
const hourForms = /(\d+(?:[.,]\d+)?)\s*(?:h|hrs?|hours?)(?:\s*(\d{1,2})\s*(?:min(?:ute)?s?|m\b|')|([0-5]\d)(?!\d))?(?![a-z\d])/iy
const primes = /(\d+(?:[.,]\d+)?)\s*'(?!')(?:\s*(\d{1,2})\s*(?:"|''|s(?:ec)?\b)|([0-5]\d)(?!\d))?(?!\d)/y
const minuteForms = /(\d+(?:[.,]\d+)?)\s*min(?:ute)?s?(?:\s*(\d{1,2})\s*(?:s(?:ec(?:ond)?s?)?(?![a-z])|")|([0-5]\d)(?!\d))?(?![a-z])/iy
const minuteSeconds = /(\d+)\s*m\s*(\d{1,2})\s*s(?:ec)?\b/iy
const secondForms = /(\d+(?:[.,]\d+)?)\s*(?:"|''|s(?:ec(?:ond)?s?)?(?![a-z/]))/iy
const numberThenSign = /\d+(?:[.,]\d+)?\s*([a-z:'"])/iy
const decimal = (text: string) => Number(text.replace(',', '.'))
const roundMilli = (value: number) => Math.round(value * 1000) / 1000

/** A time with its unit or as a clock, in seconds; a bare number is none. */
export function readTime(scanner: Scanner): number | null {
  skipSpaces(scanner)
  numberThenSign.lastIndex = scanner.at
  const sign = numberThenSign.exec(scanner.text)?.[1]?.toLowerCase()
  switch (sign) {
    case ':': {
      const asClock = take(scanner, clock)
      return asClock && parseClock(asClock[1]!)
    }
    case 'h': {
      const hours = take(scanner, hourForms)
      return hours && roundMilli(decimal(hours[1]!) * 3600 + Number(hours[2] ?? hours[3] ?? 0) * 60)
    }
    case 'm':
    case "'": {
      const mixed = sign === 'm' ? take(scanner, minuteSeconds) : null
      if (mixed) return Number(mixed[1]) * 60 + Number(mixed[2])
      const minutes = take(scanner, sign === 'm' ? minuteForms : primes)
      if (minutes) return roundMilli(decimal(minutes[1]!) * 60 + Number(minutes[2] ?? minutes[3] ?? 0))
      return readSeconds(scanner)
    }
    case 's':
    case '"':
      return readSeconds(scanner)
    default:
      return null
  }
}

function readSeconds(scanner: Scanner): number | null {
  const seconds = take(scanner, secondForms)
  return seconds && decimal(seconds[1]!)
}

const spoken = /(?:a\s+)?(half|quarter)(?:\s+(?:an?|1))?(?:\s+of\s+(?:an?|1))?[\s-]+(mile|km|kilomet(?:re|er)|hour)s?\b/iy
const oneMile = /(?:the\s+)?(mile|kilomet(?:re|er))(?:\s+rep(?:eat)?s?)?(?![a-z])(?!\s+(?:effort|pace|race|speed))/iy
const distanceUnit = /(m(?:et(?:re|er)s?)?|k(?:m|ms|ilomet(?:re|er)s?)?|mi(?:les?)?|miles?|yd|yds|yards?)(?![a-z%\d]|\/(?!\s*\d))/iy

function unitOf(word: string): DistanceUnit {
  const lower = word.toLowerCase()
  if (lower.startsWith('k')) return 'km'
  if (lower.startsWith('mi')) return 'mi'
  if (lower.startsWith('y')) return 'yd'
  return 'm'
}

export type Quantity = { measure: 'time'; seconds: number } | { measure: 'distance'; value: number; unit: DistanceUnit }

export interface ReadQuantity {
  quantity: Quantity
  doubt?: { said: string; others: string[] }
}

const printQuantity = (quantity: Quantity) =>
  quantity.measure === 'time' ? formatTime(quantity.seconds) : `${formatNumber(quantity.value)} ${quantity.unit}`

const longestWay = 1e7

/** Whether a length is more than nothing and within what a document may say. */
export const isWithinBounds = (quantity: Quantity): boolean =>
  quantity.measure === 'time'
    ? quantity.seconds > 0 && quantity.seconds <= limits.seconds
    : quantity.value > 0 && quantity.value <= longestWay

const minutesOf = (value: number): Quantity => ({ measure: 'time', seconds: roundMilli(value * 60) })

function inDoubt(scanner: Scanner, from: number, quantity: Quantity, others: Quantity[], code = 'unit-doubtful'): ReadQuantity {
  const said = saidBetween(scanner, from)
  const readings = others.map(printQuantity)
  notice(
    scanner,
    from,
    'ask',
    code,
    printQuantity(quantity),
    [quantity, ...others].map(printQuantity).map(text => ({ label: text, replacement: text })),
  )
  return { quantity, doubt: { said, others: readings } }
}

/** `5m` without a space: metres from 100 on in a run and from 25 in a swim, else minutes or miles, asked. */
function readBareM(scanner: Scanner, from: number, value: number): ReadQuantity {
  const metres: Quantity = { measure: 'distance', value, unit: 'm' }
  const { sport } = scanner.setting
  if (!Number.isInteger(value)) {
    return inDoubt(scanner, from, { measure: 'distance', value, unit: 'mi' }, [minutesOf(value), metres])
  }
  if (value >= 100 || (sport === 'swim' && value >= 25)) return { quantity: metres }
  if (value > 30 && sport === 'run') return inDoubt(scanner, from, metres, [minutesOf(value)])
  return inDoubt(scanner, from, minutesOf(value), [metres])
}

function readBareNumber(scanner: Scanner, from: number, value: number): ReadQuantity {
  const { sport, poolUnit } = scanner.setting
  const unit = sport === 'swim' ? poolUnit : 'm'
  if ((sport === 'run' && value >= 100) || (sport === 'swim' && value >= 25)) {
    const quantity: Quantity = { measure: 'distance', value, unit }
    notice(scanner, from, 'note', 'bare-number', printQuantity(quantity), [
      { label: `write ${printQuantity(quantity)}`, replacement: printQuantity(quantity) },
    ])
    return { quantity }
  }
  const seconds: Quantity = { measure: 'time', seconds: value }
  return value > 30 || sport === 'swim'
    ? inDoubt(scanner, from, seconds, [minutesOf(value)])
    : inDoubt(scanner, from, minutesOf(value), [seconds])
}

const poolLengths = /lengths?(?![a-z])/iy
const usualPool = 25

/** `8 lengths`: of the pool that the text names; else of the usual one, asked. */
function readLengths(scanner: Scanner, from: number, count: number): ReadQuantity | null {
  const { sport, poolUnit, poolLength } = scanner.setting
  if (sport !== 'swim' || scanner.strict || !take(scanner, poolLengths)) return null
  const ofPool = (length: number, unit: DistanceUnit = poolUnit): Quantity => ({
    measure: 'distance',
    value: Math.round(count * length * 100) / 100,
    unit,
  })
  if (poolLength !== undefined) return { quantity: ofPool(poolLength) }
  const others = poolUnit === 'm' ? [ofPool(50), ofPool(usualPool, 'yd')] : [ofPool(50), ofPool(usualPool, 'm')]
  return inDoubt(scanner, from, ofPool(usualPool), others, 'pool-length')
}

/**
 * A length of time or way with the doubts people leave in it.
 *
 * @param bare what a number without unit may be: `none` refuses it, `seconds` is the rule after on, off and in
 */
export function readQuantity(scanner: Scanner, bare: 'guess' | 'seconds' | 'none' = 'guess'): ReadQuantity | null {
  return attempt(scanner, () => {
    const from = scanner.at
    const words = 'ahq'.includes(upcoming(scanner)) ? take(scanner, spoken) : null
    if (words) {
      const share = words[1]!.toLowerCase() === 'half' ? 0.5 : 0.25
      const noun = words[2]!.toLowerCase()
      if (noun === 'hour') return { quantity: { measure: 'time', seconds: share * 3600 } }
      return { quantity: { measure: 'distance', value: share, unit: noun === 'mile' ? 'mi' : 'km' } }
    }
    const single = scanner.strict || !'mkt'.includes(upcoming(scanner)) ? null : take(scanner, oneMile)
    if (single) return { quantity: { measure: 'distance', value: 1, unit: /^m/i.test(single[1]!) ? 'mi' : 'km' } }
    const seconds = readTime(scanner)
    if (seconds !== null) return { quantity: { measure: 'time', seconds } }
    const range = sees(scanner, numberThenDash) ? attempt(scanner, () => readTimeRange(scanner, from)) : null
    if (range) return range
    const ways = !scanner.strict && sees(scanner, numberThenDash) ? attempt(scanner, () => readDistanceRange(scanner, from)) : null
    if (ways) return ways
    const value = readNumber(scanner)
    if (value === null) return null
    const spaced = scanner.text[scanner.at] === ' '
    const unit = take(scanner, distanceUnit)
    if (unit) {
      const word = unit[1]!
      if (word.toLowerCase() === 'm' && !spaced) return readBareM(scanner, from, value)
      return { quantity: { measure: 'distance', value, unit: unitOf(word) } }
    }
    const lengths = readLengths(scanner, from, value)
    if (lengths) return lengths
    if (bare === 'none' || sees(scanner, /[:%\d]/y)) return null
    if (bare === 'seconds') return { quantity: { measure: 'time', seconds: value } }
    return readBareNumber(scanner, from, value)
  })
}

const numberThenDash = /\d+(?:[.,]\d+)?\s*-/y

function readTimeRange(scanner: Scanner, from: number): ReadQuantity | null {
  const match = take(scanner, /(\d+(?:[.,]\d+)?)\s*-\s*(?=\d+(?:[.,]\d+)?\s*(?:min|sec|s\b|'|"|h\b))/iy)
  if (!match) return null
  const start = scanner.at
  const high = readTime(scanner)
  if (high === null) return null
  const ratio = high / decimal(/\d+(?:[.,]\d+)?/.exec(scanner.text.slice(start))![0])
  const low = decimal(match[1]!) * ratio
  if (!(low < high)) return null
  return inDoubt(scanner, from, { measure: 'time', seconds: low }, [{ measure: 'time', seconds: high }])
}

/** `16-18 km`: the shorter is taken, and it is asked. */
function readDistanceRange(scanner: Scanner, from: number): ReadQuantity | null {
  const match = take(scanner, /(\d+(?:[.,]\d+)?)\s*-\s*(\d+(?:[.,]\d+)?)\s*/y)
  const unit = match && take(scanner, distanceUnit)
  if (!match || !unit) return null
  const [low, high] = [decimal(match[1]!), decimal(match[2]!)]
  const distance = (value: number): Quantity => ({ measure: 'distance', value, unit: unitOf(unit[1]!) })
  return low < high ? inDoubt(scanner, from, distance(low), [distance(high)]) : null
}
