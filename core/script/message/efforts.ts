import { patternOf } from '../../quantity/pattern'
import { raceMetres } from '../../athlete/named-effort'
import type { EffortName, EffortTarget, Offset, Target } from '../../session/document'
import { sports } from '../../session/sports'
import { formatTime } from '../../quantity/time'
import type { Scanner } from '../token/scanner'
import { attempt, notice, take } from '../token/scanner'
import { readTarget } from '../token/targets'
import type { Meaning } from './token'

const end = String.raw`(?![\p{L}\d])`

/**
 * Spellings of named efforts. The last column says whether the name counts without `@`, `pace` or `effort` beside it: those
 * that are plain words, or a distance, do not.
 */
const names: readonly (readonly [spellings: string, name: EffortName, isPlain: boolean])[] = [
  ['1500\\s?m?', '1500m', false],
  ['(?:1\\s?)?mile|1\\s?mi', 'mile', false],
  ['3\\s?k(?:m)?', '3k', false],
  ['5\\s?k(?:m)?', '5k', false],
  ['10\\s?k(?:m)?', '10k', false],
  ['half[\\s-]+marathon|half|hmp?|21\\s?k(?:m)?', 'half-marathon', false],
  ['hmp', 'half-marathon', true],
  ['marathon|g?mp|goal\\s+marathon|42\\s?k(?:m)?', 'marathon', false],
  ['g?mp', 'marathon', true],
  ['threshold|lt|thresh|t', 'threshold', false],
  ['threshold|lt', 'threshold', true],
  ['critical(?:\\s+(?:velocity|speed|swim\\s+speed|power))?|cv|css', 'critical', false],
  ['cv|css', 'critical', true],
  ['stead(?:y|ily)', 'steady', true],
  ['easy', 'easy', false],
  ['max(?:imal|imum)?(?!\\s*(?:hr|heart|\\d))', 'max', true],
  ['goal|race', 'goal', false],
]
/** Named efforts, each by what its spellings match. */
export const effortNames = names.map(([spellings, name, isPlain]) => ({
  pattern: new RegExp(`(?:${spellings})${end}`, 'iuy'),
  name,
  isPlain,
}))
const paceWord = new RegExp(`[\\s-]*(?:race\\s*)?(?:pace|effort|speed)${end}`, 'iuy')
const otherDistance = new RegExp(`(1|2|4|6|8|12|15|16|20|25|30)\\s?k(?:m)?${end}`, 'iuy')
const offsetWords = patternOf('iuy', [
  String.raw`\s*(\+|-|plus|minus)\s*(\d{1,3})\s*(s/km|s/mi|s/100\s?m|%|(?:s|sec|seconds)?\s*(?:/|per\s+)\s*(?:km`,
  String.raw`|k|mi|mile|100\s?m)|s(?:ec(?:onds?)?)?|")?(?=\s*(?:$|[,;.)+&#@]|w/|w\s+\d|with\b|then\b|and\b|effort\b`,
  String.raw`|pace\b|/))`,
])

/** Times grow with this power of the distance where nothing of the athlete says otherwise: Riegel, American Scientist 69 (1981). */
const customaryExponent = 1.06

function offsetAt(scanner: Scanner): Offset | undefined {
  const from = scanner.at
  const match = take(scanner, offsetWords)
  if (!match) return undefined
  const value = Number(match[2]) * (/^(?:-|minus)/i.test(match[1]!) ? -1 : 1)
  const unit = (match[3] ?? '').toLowerCase().replace(/\s/g, '')
  if (unit === '%') return { value, unit: '%' }
  if (unit.includes('100')) return { value, unit: 's/100m' }
  if (unit.endsWith('km') || unit.endsWith('k')) return { value, unit: 's/km' }
  if (unit.includes('mi')) return { value, unit: 's/mi' }
  const { sport, paceUnit } = scanner.setting
  const own: Offset['unit'] = sports[sport].paceMetres === 100 ? 's/100m' : paceUnit === 's/mi' ? 's/mi' : 's/km'
  notice(scanner, from, 'ask', 'offset-unit', `${value} ${own}`)
  return { value, unit: own }
}

function nameAt(scanner: Scanner, isAfterAt: boolean): { name: EffortName; offset?: Offset } | null {
  for (const { pattern, name, isPlain } of effortNames) {
    const found = attempt(scanner, () => (take(scanner, pattern) && (take(scanner, paceWord) || isAfterAt || isPlain) ? name : null))
    if (found) return { name: found }
  }
  return attempt(scanner, () => {
    const from = scanner.at
    const match = take(scanner, otherDistance)
    if (!match || !(take(scanner, paceWord) || isAfterAt)) return null
    const metres = Number(match[1]) * 1000
    const races = Object.entries(raceMetres) as [EffortName, number][]
    const [name, known] = races.sort(([, a], [, b]) => Math.abs(Math.log(a / metres)) - Math.abs(Math.log(b / metres)))[0]!
    const value = Math.round(((known / metres) ** (customaryExponent - 1) - 1) * 1000) / 10
    notice(scanner, from, 'note', 'effort-distance', `${name} effort ${value < 0 ? '-' : '+'} ${Math.abs(value)} %`)
    return value === 0 ? { name } : { name, offset: { value, unit: '%' as const } }
  })
}

const rampOfEfforts = /(?:(?:(?:ramp|build|progress|increas)(?:e|ing|ion|ive(?:ly)?)?\s+(?:up\s+)?)?from\s+)(?=[a-z\d])/iy

function namedTarget(scanner: Scanner, isAfterAt: boolean): EffortTarget | null {
  const ramp = attempt(scanner, () => {
    const easiest = take(scanner, rampOfEfforts) && nameAt(scanner, true)
    const hardest = easiest && take(scanner, /(?:up\s+)?to(?=\s)/iy) && nameAt(scanner, true)
    return hardest ? ({ of: 'effort', ...easiest, to: { of: 'effort', ...hardest } } as EffortTarget) : null
  })
  if (ramp) return ramp
  const share = take(scanner, /(\d{2,3})\s*%\s*(?:of\s+)?(?=[a-z\d])/iy)
  const found = nameAt(scanner, isAfterAt || share !== null)
  if (!found) return null
  if (share) {
    const value = Number(share[1]) - 100
    return { of: 'effort', name: found.name, ...(value === 0 ? {} : { offset: { value, unit: '%' } }) }
  }
  const to = attempt(scanner, () => (take(scanner, /(?:to(?=\s)|->)/iy) ? nameAt(scanner, true) : null))
  if (to) return { of: 'effort', ...found, to: { of: 'effort', ...to } }
  const offset = found.offset ?? offsetAt(scanner)
  return { of: 'effort', name: found.name, ...(offset ? { offset } : {}) }
}

const percent = patternOf('iuy', [
  String.raw`(\d{2,3}(?:\.\d+)?)(?:\s*%?\s*(?:->?|to)\s*(\d{2,3}(?:\.\d+)?))?\s*%\s*(?:of\s+)?(ftp|cp|max\s*(?:hr|heart\s*rate)`,
  String.raw`|hr\s*max|lthr|hrr|css?)?(?![\p{L}\d])(\s*ramp)?`,
])

function percentTarget(scanner: Scanner, isAfterAt: boolean): Target | null {
  const from = scanner.at
  if (take(scanner, /(?:ftp|cp)(?![\p{L}\d])(?:\s+(?:power|pace|effort))?/iuy)) {
    notice(scanner, from, 'note', 'percent-of', '100 percent of critical power')
    return { of: 'power', unit: '%CP', easiest: 100, hardest: 100 }
  }
  const isRamp =
    take(
      scanner,
      /(?:(?:ramp|build|progress|increas)(?:e|ing|ion|ive(?:ly)?)?\s+(?:up\s+)?(?:from\s+)?(?=\d)|from\s+(?=\d+\s*%?\s*to\b))/iy,
    ) !== null
  const match = take(scanner, percent)
  if (!match) return null
  const of = (match[3] ?? '').toLowerCase().replace(/\s/g, '')
  const { sport } = scanner.setting
  if (of === '' && !isAfterAt && !isRamp && sport !== 'ride') return null
  const [low, high] = [Number(match[1]), Number(match[2] ?? match[1])]
  const band = (
    measure: { of: 'power'; unit: '%CP' } | { of: 'pace'; unit: '%CS' } | { of: 'heart-rate'; unit: '%HRmax' | '%LTHR' | '%HRR' },
  ): Target => {
    if (isRamp || match[4] || low > high)
      return { ...measure, easiest: low, hardest: low, to: { ...measure, easiest: high, hardest: high } }
    return { ...measure, easiest: Math.min(low, high), hardest: Math.max(low, high) }
  }
  if (of === 'ftp') notice(scanner, from, 'note', 'percent-of', 'percent of critical power')
  if (of === 'ftp' || of === 'cp') return band({ of: 'power', unit: '%CP' })
  if (of.includes('max')) return band({ of: 'heart-rate', unit: '%HRmax' })
  if (of === 'lthr') return band({ of: 'heart-rate', unit: '%LTHR' })
  if (of === 'hrr') return band({ of: 'heart-rate', unit: '%HRR' })
  const isPower = sports[sport].critical[0] === 'power'
  if (of === '') notice(scanner, from, 'ask', 'percent-of', `percent of critical ${isPower ? 'power' : 'speed'}`)
  return band(isPower ? { of: 'power', unit: '%CP' } : { of: 'pace', unit: '%CS' })
}

/** `9/10`, `250±5 W`, `1:48/100`, and `4.30 min/km`, where a stop stands for the colon. */
function otherTarget(scanner: Scanner): Target | null {
  const from = scanner.at
  const bound = take(scanner, /no\s+(faster|quicker|harder|slower|easier)\s+than\s+(?=\d)/iy)
  if (bound) {
    const limit = readTarget(scanner, { afterAt: true })
    if (!limit || !('unit' in limit)) return null
    const { easiest, hardest, ...rest } = limit
    const isCap = !/slower|easier/i.test(bound[1]!)
    return (isCap ? { ...rest, hardest: hardest ?? easiest } : { ...rest, easiest: easiest ?? hardest }) as Target
  }
  const stopped = take(scanner, /(\d{1,2})[.](\d{2})\s*(?:min\s*)?\/\s*(km|mi(?:le)?)(?![a-z])/iy)
  if (stopped && Number(stopped[2]) < 60) {
    const seconds = Number(stopped[1]) * 60 + Number(stopped[2])
    const unit = /^k/i.test(stopped[3]!) ? ('s/km' as const) : ('s/mi' as const)
    const said = `${stopped[1]}:${stopped[2]} /${unit.slice(2)}`
    const decimal = formatTime(Math.round(Number(`${stopped[1]}.${stopped[2]}`) * 60))
    notice(scanner, from, 'ask', 'pace-decimal', said, [
      { label: said, replacement: said },
      { label: `${decimal} /${unit.slice(2)}`, replacement: `${decimal} /${unit.slice(2)}` },
    ])
    return { of: 'pace', unit, easiest: seconds, hardest: seconds }
  }
  scanner.at = from
  const hundred = take(scanner, /(\d{1,2}):([0-5]\d)(?:\s*-\s*(\d{1,2}):([0-5]\d))?\s*\/\s*100(?!\d)\s*(m|yd?)?(?![a-z])/iy)
  if (hundred) {
    const first = Number(hundred[1]) * 60 + Number(hundred[2])
    const second = hundred[3] ? Number(hundred[3]) * 60 + Number(hundred[4]) : first
    const isYards = hundred[5] ? /^y/i.test(hundred[5]) : scanner.setting.poolUnit === 'yd'
    return { of: 'pace', unit: isYards ? 's/100yd' : 's/100m', easiest: Math.max(first, second), hardest: Math.min(first, second) }
  }
  const rpe = take(scanner, /(10|\d)(?:\s*-\s*(10|\d))?\s*\/\s*10(?!\d)(?:\s*(?:effort|rpe))?/iy)
  if (rpe) return { of: 'rpe', unit: 'of 10', easiest: Number(rpe[1]), hardest: Number(rpe[2] ?? rpe[1]) }
  const around = take(scanner, /(\d{2,4})\s*\u00B1\s*(\d{1,3})\s*(W|watts?|bpm)(?![a-z])/iy)
  if (!around) return null
  const [middle, room] = [Number(around[1]), Number(around[2])]
  const band = { easiest: middle - room, hardest: middle + room }
  return /^b/i.test(around[3]!) ? { of: 'heart-rate', unit: 'bpm', ...band } : { of: 'power', unit: 'W', ...band }
}

const zoneWords = /(?:zone|zn|z)\s?([1-9])(?:\s*-\s*z?([1-9])(?!\s*(?:min|m|km|k|mi|s|sec|h|x|'|"|\d|:)))?(?![\d:])/iy

function zoneTarget(scanner: Scanner): Target | null {
  const from = scanner.at
  const match = take(scanner, zoneWords)
  if (!match) return null
  const of = take(scanner, /power\b/iy)
    ? 'power'
    : take(scanner, /(?:HR|heart[\s-]rate)\b/iy)
      ? 'heart-rate'
      : take(scanner, /pace\b/iy)
        ? 'pace'
        : null
  const measure = of ?? scanner.setting.preferredMeasure
  if (!of) notice(scanner, from, 'note', 'zone-measure', `by ${measure === 'heart-rate' ? 'heart rate' : measure}`)
  const [low, high] = [Number(match[1]), Number(match[2] ?? match[1])]
  return { of: measure, zone: low === high ? low : [Math.min(low, high), Math.max(low, high)] }
}

/** A bare pair after `@` that only heart rates have: `165-170`. */
function bareHeart(scanner: Scanner): Target | null {
  const from = scanner.at
  const match = take(scanner, /(1[0-9]\d)\s*-\s*(1[0-9]\d|20\d)(?![\d:%])(?!\s*(?:w(?!\/)|m|km|s|sec)\b)/iy)
  if (!match) return null
  notice(scanner, from, 'ask', 'heart-or-other', `${match[1]}-${match[2]} bpm`)
  return { of: 'heart-rate', unit: 'bpm', easiest: Number(match[1]), hardest: Number(match[2]) }
}

/** How hard, by a name, a share or a scale. */
export function effortAt(scanner: Scanner, isAfterAt: boolean): Meaning | null {
  const target =
    attempt(scanner, zoneTarget) ??
    attempt(scanner, otherTarget) ??
    attempt(scanner, () => namedTarget(scanner, isAfterAt)) ??
    attempt(scanner, () => percentTarget(scanner, isAfterAt)) ??
    (isAfterAt ? attempt(scanner, bareHeart) : null)
  return target && { is: 'target', target }
}
