import { sports } from '../../session/sports'
import type { EffortName, EffortTarget, Offset } from '../../session/document'
import { readNumber } from './quantities'
import type { Form, Scanner } from './scanner'
import { attempt, firstOf, isNumberStart, notice, take, upcoming } from './scanner'

const effortNames: readonly Form<EffortName>[] = [
  ['1', /1500\s*m\b(?!\s*\/)|1500(?=\s+(?:effort|race|pace))/iy, '1500m'],
  ['m', /mile\b/iy, 'mile'],
  ['3', /3\s?k(?:m)?\b(?!\s*\/(?!\s*\d))/iy, '3k'],
  ['5', /5\s?k(?:m)?\b(?!\s*\/(?!\s*\d))/iy, '5k'],
  ['1', /10\s?k(?:m)?\b(?!\s*\/(?!\s*\d))/iy, '10k'],
  ['h', /(?:half[\s-]+marathon|half|HMP?)\b/iy, 'half-marathon'],
  ['m', /(?:marathon|MP)\b/iy, 'marathon'],
  ['tl', /(?:threshold|LT|T)\b/iy, 'threshold'],
  ['c', /critical\b/iy, 'critical'],
  ['s', /steady\b/iy, 'steady'],
  ['e', /easy\b/iy, 'easy'],
  ['m', /max\b/iy, 'max'],
  ['g', /goal\b/iy, 'goal'],
]

export const effortStarts = 'mhltcseg'

const offsetUnit = /(s\/km|s\/mi|s\/100\s?m|%|(?:s|sec|seconds)?\s*(?:\/|per\s+)(?:km|mi|mile|100\s?m)\b|s(?:ec(?:onds?)?)?(?![a-z/]))/iy

function readOffset(scanner: Scanner): Offset | null {
  return attempt(scanner, () => {
    const from = scanner.at
    const sign = take(scanner, /(\+|-|plus|minus)\s*(?=\d)/iy)
    if (!sign) return null
    const number = readNumber(scanner)
    const unit = number === null ? null : take(scanner, offsetUnit)
    if (number === null || number > 100_000 || !unit) return null
    const value = /^(?:-|minus)/i.test(sign[1]!) ? -number : number
    const word = unit[1]!.toLowerCase().replace(/\s/g, '')
    if (word === '%') return { value, unit: '%' }
    if (word.endsWith('km')) return { value, unit: 's/km' }
    if (word.includes('mi')) return { value, unit: 's/mi' }
    if (word.includes('100')) return { value, unit: 's/100m' }
    const { sport, paceUnit } = scanner.setting
    const own: Offset['unit'] = sports[sport].paceMetres === 100 ? 's/100m' : paceUnit === 's/mi' ? 's/mi' : 's/km'
    notice(scanner, from, 'ask', 'offset-unit', `${value} ${own}`)
    return { value, unit: own }
  })
}

interface Effort {
  name: EffortName
  offset?: Offset
}

/** Without `effort` or `pace` behind it a name counts only where a target is due. */
function readEffort(scanner: Scanner, afterAt: boolean): Effort | null {
  const share = isNumberStart(upcoming(scanner)) ? take(scanner, /(\d+(?:[.,]\d+)?)\s*%\s*(?:of\s+)?(?=[a-z\d])/iy) : null
  const name = firstOf(scanner, effortNames)
  if (!name) return null
  const named = take(scanner, /(?:race\s+)?(?:effort|pace|speed)\b/iy) !== null
  if (!named && !afterAt) return null
  const offset = readOffset(scanner)
  if (share) {
    const value = Math.round((Number(share[1]!.replace(',', '.')) - 100) * 1e6) / 1e6
    return value === 0 ? { name } : { name, offset: { value, unit: '%' } }
  }
  return offset && offset.value !== 0 ? { name, offset } : { name }
}

/** A named effort with its offset: `5k effort - 2 %`, `90 % of marathon pace`. */
export function readEffortTarget(scanner: Scanner, afterAt: boolean): EffortTarget | null {
  const effort = readEffort(scanner, afterAt)
  if (!effort) return null
  const to = attempt(scanner, () => (take(scanner, /to\b/iy) ? readEffort(scanner, true) : null))
  return { of: 'effort', ...effort, ...(to ? { to: { of: 'effort', ...to } } : {}) }
}
