import { patternOf } from '../../quantity/pattern'
import { limits } from '../../session/limits'
import { repeatOver } from '../token/ends'
import { isWithinBounds, readQuantity } from '../token/quantities'
import type { Scanner } from '../token/scanner'
import { take } from '../token/scanner'
import type { Meaning } from './token'

const countBefore = patternOf('iy', [
  String.raw`(\d{1,4})(?:\s*-\s*(\d{1,3}))?\s*(?:x|\*|times|rounds?|sets?|reps?|repetitions?|cycles?|by(?=\s+\d))(?![a-z])`,
  String.raw`(?:\s+(of|through)(?![a-z]))?`,
])
/** `3 blocks of 10 min`. */
const blocksOf =
  /(\d{1,3})(?:\s*-\s*(\d{1,3}))?\s+(?:blocks?|bouts?|pieces?|sections?|segments?|series|lots|laps?|efforts?|intervals?)\s+(of)(?=\s+\d)/iy
const countBehind = /(?<!\d\s*)(?:x|\*)\s*(\d{1,3})(?![\d:]|\.\d|\s*(?:m|km|k|min|s|sec|x)\b)/iy
/** Behind a number it may as well be the count before the next. */
const countBehindNumber = /(?<=\d\s*)(?:x|\*)\s*(\d{1,2})(?![\d:]|\.\d|\s*(?:m|km|k|min|s|sec|x|'|")\b)(?=\s*(?:$|[,;)+.@]|w|with|at\b))/iy
const countSaid = /(?:and\s+)?(?:repeat(?:ed)?|do(?:\s+(?:this|that|it|all))?)\s*(?:x\s*)?(\d{1,3})\s*(?:times|x|rounds)?(?![a-z\d'":])/iy
/** `6 hills of 45 s`. */
const nounCount = patternOf('iy', [
  String.raw`(\d{1,3})\s+(?:(?:hill|short|long|hard|fast)\s+)?(?:hills?|repeats?|intervals?|efforts?|surges?|pick-?ups?|sprints?)`,
  String.raw`\s+(of|x|at)\s+(?=\d)`,
])
const wordCount = /(?:do\s+(?:this|that|it)\s+)?(once|twice|thrice)(?:\s+through)?(?![a-z])/iy
const wordCounts: Record<string, number> = { once: 1, twice: 2, thrice: 3 }
const strideCount = /(\d{1,2})(?:\s*-\s*(\d{1,2}))?\s+(?=(?:strides?|accelerations?|lignes\s+droites)(?![a-z]))/iy

const spokenCounts = ['two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']
const spokenCount = new RegExp(`(${spokenCounts.join('|')})\\s+(?=\\d)`, 'iy')

export function countAt(scanner: Scanner): Meaning | null {
  const behind = take(scanner, countBehind) ?? take(scanner, countBehindNumber)
  const match =
    behind ??
    take(scanner, countBefore) ??
    take(scanner, blocksOf) ??
    take(scanner, countSaid) ??
    take(scanner, wordCount) ??
    take(scanner, strideCount) ??
    take(scanner, nounCount) ??
    take(scanner, spokenCount)
  if (!match) return null
  const word = match[1]!.toLowerCase()
  const times = wordCounts[word] ?? (spokenCounts.includes(word) ? spokenCounts.indexOf(word) + 2 : Number(word))
  if (times < 1 || times > limits.times) return { is: 'fault', fault: { code: 'count' } }
  const colon = take(scanner, /\s*:(?!\d)/y)
  return {
    is: 'count',
    times,
    ...(match[2] && /^\d/.test(match[2]) ? { most: Number(match[2]) } : {}),
    ...(behind ? { isBehind: true } : {}),
    opens: colon !== null || /^of$/i.test(match[3] ?? ''),
  }
}

export function roundsAt(scanner: Scanner): Meaning | null {
  const match = take(scanner, /(?:reps?|repeats?|numbers?|nos?\.?|#)\s*(\d{1,3})\s*-\s*(\d{1,3})(?![\d:])/iy)
  return match && { is: 'rounds', first: Number(match[1]), final: Number(match[2]) }
}

/** `repeat for 5 km:`, `5 km of (`. */
export function untilAt(scanner: Scanner): Meaning | null {
  const isFor = take(scanner, /(?:repeat(?:ed)?|go)\s+for\b/iy)
  const reading = readQuantity(scanner, 'none')
  if (!reading || !isWithinBounds(reading.quantity) || !take(scanner, isFor ? /\s*:?/y : /of\b:?(?=\s*[([{])/iy)) return null
  return { is: 'until', repeat: repeatOver(reading.quantity) }
}

const spanWords = /for\s+(?=\d)/iy

export function spanAt(scanner: Scanner): Meaning | null {
  const reading = take(scanner, spanWords) && readQuantity(scanner, 'none')
  return reading?.quantity.measure === 'time' ? { is: 'span', seconds: reading.quantity.seconds } : null
}

const changeBefore = patternOf('iy', [
  String.raw`(?:dropping|descending|reducing|getting|minus|less)\s+(\d{1,2})\s*(?:s(?:ec(?:ond)?s?)?|")?\s*(?:faster`,
  String.raw`|less)?\s*(?:each|every|per)(?:\s+(?:time|rep|one|round|repeat|interval))?(?![a-z])`,
])
const changeBehind = patternOf('iy', [
  String.raw`(\d{1,2})\s*(?:s(?:ec(?:ond)?s?)?|")\s*(less|faster|quicker|shorter|more|longer|slower)(?:\s+(?:rest`,
  String.raw`|recovery))?\s+(?:each|every|per)(?:\s+(?:time|rep|one|round|repeat|interval))?(?![a-z])`,
])

const progressWords = patternOf('iy', [
  String.raw`(?:getting|dropping|each\s+(?:mile|km)\s+)?\s*(\d{1,2})\s*(?:s(?:ec(?:ond)?s?)?|")\s*(?:/|per\s+|an?\s+)\s*`,
  String.raw`(mile|mi|km|k)\s+(faster|quicker|slower)(?:\s+(?:each|every|per)(?:\s+(?:mile|mi|km|k))?)?,?\s+(?:from`,
  String.raw`|starting\s+(?:at|from))\s+(\d{1,2}):([0-5]\d)`,
])

export function progressAt(scanner: Scanner): Meaning | null {
  const match = take(scanner, progressWords)
  if (!match) return null
  const by = Number(match[1]) * (/slower/i.test(match[3]!) ? 1 : -1)
  return { is: 'progress', by, unit: /^m/i.test(match[2]!) ? 'mi' : 'km', begin: Number(match[4]) * 60 + Number(match[5]) }
}

export function everyAt(scanner: Scanner): Meaning | null {
  const reading = scanner.setting.sport === 'swim' ? null : take(scanner, /every\s+(?=\d)/iy) && readQuantity(scanner, 'none')
  return reading?.quantity.measure === 'time' ? { is: 'every', seconds: reading.quantity.seconds } : null
}

export function changeAt(scanner: Scanner): Meaning | null {
  const before = take(scanner, changeBefore)
  if (before) return { is: 'change', by: -Number(before[1]) }
  const behind = take(scanner, changeBehind)
  return behind && { is: 'change', by: Number(behind[1]) * (/more|longer|slower/i.test(behind[2]!) ? 1 : -1) }
}
