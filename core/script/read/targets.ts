import type { Band, BandMeasure, BandTarget, BandUnit, EffortName, EffortTarget, Give, Offset, Target, ZoneMeasure, ZoneTarget } from '../../session/document'
import { isPaceUnit } from '../../quantity/intensity'
import { readNumber, readTime } from './quantities'
import type { Scanner } from './scanner'
import { attempt, notice, sees, take } from './scanner'

interface UnitReading { of: BandMeasure, unit: BandUnit }

const unitForms: readonly (readonly [RegExp, BandMeasure, BandUnit])[] = [
  [/(?:min\s*)?(?:\/|per\s+)\s*(?:km|k|kilomet(?:re|er))\b/iy, 'pace', 's/km'],
  [/(?:min\s*)?(?:\/|per\s+)\s*(?:mi|mile)\b/iy, 'pace', 's/mi'],
  [/(?:\/|per\s+)\s*100\s*m\b/iy, 'pace', 's/100m'],
  [/(?:\/|per\s+)\s*100\s*(?:yd|y|yards?)\b/iy, 'pace', 's/100yd'],
  [/\/\s*step\b/iy, 'pace', 's/step'],
  [/(?:km\/h|kph|kmh)\b/iy, 'speed', 'km/h'],
  [/(?:mi\/h|mph)\b/iy, 'speed', 'mi/h'],
  [/m\/s\b/iy, 'speed', 'm/s'],
  [/(?:bpm|beats)\b/iy, 'heart-rate', 'bpm'],
  [/%\s*(?:of\s+)?(?:HR\s*max|max\s*HR)\b/iy, 'heart-rate', '%HRmax'],
  [/%\s*(?:of\s+)?HRR\b/iy, 'heart-rate', '%HRR'],
  [/%\s*(?:of\s+)?LTHR\b/iy, 'heart-rate', '%LTHR'],
  [/%\s*(?:of\s+)?(?:CP|critical\s+power)\b/iy, 'power', '%CP'],
  [/%\s*(?:of\s+)?(?:CS|critical\s+speed)\b/iy, 'pace', '%CS'],
  [/(?:W(?!\/)|watts?)\b/iy, 'power', 'W'],
  [/rpm\b/iy, 'cadence', 'rpm'],
  [/spm\b/iy, 'cadence', 'spm'],
]

function readUnit(scanner: Scanner): UnitReading | null {
  for (const [pattern, of, unit] of unitForms) {
    if (take(scanner, pattern)) return { of, unit }
  }
  return null
}

interface Amount { value: number, clock: boolean }

function readAmount(scanner: Scanner): Amount | null {
  const clock = attempt(scanner, () => sees(scanner, /\d+(?::|')/y) ? readTime(scanner) : null)
  if (clock !== null) return { value: clock, clock: true }
  const number = readNumber(scanner)
  return number === null ? null : { value: number, clock: false }
}

type Side = 'easier' | 'harder' | null

/** `or faster` and its kin: which side is left open. */
function readOpenSide(scanner: Scanner): Side {
  if (take(scanner, /or\s+(?:faster|above|more|higher|over)\b|\+(?!\s*\d)/iy)) return 'harder'
  if (take(scanner, /or\s+(?:slower|below|less|lower|under)\b/iy)) return 'easier'
  return null
}

interface AmountRange { first: Amount, second: Amount }

function readRange(scanner: Scanner): AmountRange | null {
  const first = readAmount(scanner)
  if (!first) return null
  const second = attempt(scanner, () => take(scanner, /-\s*(?=\d)/y) ? readAmount(scanner) : null)
  return { first, second: second ?? first }
}

/** The ends of a range by effort, whatever order they were typed in. */
function bandOf(range: AmountRange, unit: BandUnit, open: Side): Band {
  const low = Math.min(range.first.value, range.second.value)
  const high = Math.max(range.first.value, range.second.value)
  const [easiest, hardest] = isPaceUnit(unit) ? [high, low] : [low, high]
  if (open === 'harder') return { easiest }
  if (open === 'easier') return { hardest }
  return { easiest, hardest }
}

/** Seconds are told by a colon, or after `@`; a bare number there is minutes when it is small. */
function asUnit(range: AmountRange, unit: BandUnit): AmountRange {
  if (!isPaceUnit(unit)) return range
  const fix = (amount: Amount): Amount => amount.clock || amount.value >= 20 ? amount : { value: amount.value * 60, clock: true }
  return { first: fix(range.first), second: fix(range.second) }
}

const inReach = (amount: Amount) => amount.value > 0 && amount.value <= 1e7
const positive = (range: AmountRange) => inReach(range.first) && inReach(range.second)

export interface TargetContext { afterAt: boolean, unit?: UnitReading }

function readBand(scanner: Scanner, context: TargetContext): Target | null {
  const from = scanner.at
  const cap = take(scanner, /(?:HR|heart\s+rate|pulse)\s*(?:of\s+)?(<|>|under|below|above|over|at\s+most)?\s*(?=\d)/iy)
    ?? take(scanner, /(<|>|under|below|above|over|at\s+most)\s*(?=\d)/iy)
  const range = readRange(scanner)
  if (!range || !positive(range)) return null
  let goal = context.unit ? null : attempt(scanner, () => take(scanner, /to\b/iy) ? readRange(scanner) : null)
  const isWith = range.first.clock && sees(scanner, /w\b/iy)
  let target = context.unit ?? (isWith ? null : readUnit(scanner))
  if (!target && goal) return null
  if (!target && cap && /hr|heart|pulse/i.test(cap[0])) target = { of: 'heart-rate', unit: 'bpm' }
  if (!target && context.afterAt && range.first.clock) {
    target = { of: 'pace', unit: scanner.setting.paceUnit }
    notice(scanner, from, 'note', 'pace-unit', `per ${target.unit.slice(2)}`)
  }
  if (!target) return null
  if (isPaceUnit(target.unit) && !range.first.clock && !context.afterAt && !context.unit) return null
  const capSide: Side = cap?.[1] ? (/^(?:<|under|below|at)/i.test(cap[1]) ? 'easier' : 'harder') : null
  const side = capSide ? speedAware(capSide, target) : readOpenSide(scanner)
  const band = bandOf(asUnit(range, target.unit), target.unit, side)
  const result: BandTarget = { of: target.of, unit: target.unit, ...band }
  goal ??= attempt(scanner, () => take(scanner, /to\b(?=\s*\d)/iy) ? readRange(scanner) : null)
  if (goal) {
    if (!positive(goal)) return null
    if (!context.unit) attempt(scanner, () => readUnit(scanner)?.unit === target.unit ? true : null)
    result.to = { of: target.of, unit: target.unit, ...bandOf(asUnit(goal, target.unit), target.unit, readOpenSide(scanner)) }
  }
  return result
}

/** `under 4:00 /km` is faster, `under 150 bpm` is easier. */
function speedAware(side: Side, target: UnitReading): Side {
  if (!isPaceUnit(target.unit)) return side
  return side === 'easier' ? 'harder' : 'easier'
}

function readRpe(scanner: Scanner): Target | null {
  if (!take(scanner, /RPE\b/iy)) return null
  const unit = { of: 'rpe', unit: 'of 10' } as const
  const range = readRange(scanner)
  const isOfTen = (amounts: AmountRange) => positive(amounts) && amounts.first.value <= 10 && amounts.second.value <= 10
  if (!range || !isOfTen(range)) return null
  take(scanner, /(?:of|out of)\s+10\b/iy)
  const side = readOpenSide(scanner)
  const result: BandTarget = { ...unit, ...bandOf(range, 'of 10', side) }
  const goal = attempt(scanner, () => take(scanner, /to\b(?:\s*RPE\b)?/iy) ? readRange(scanner) : null)
  if (goal && !isOfTen(goal)) return null
  if (goal) result.to = { ...unit, ...bandOf(goal, 'of 10', readOpenSide(scanner)) }
  return result
}

const zoneMeasures: readonly (readonly [RegExp, ZoneMeasure])[] = [
  [/(?:heart\s*rate|heart-rate|HR)\b/iy, 'heart-rate'], [/power\b/iy, 'power'], [/pace\b/iy, 'pace'],
]

function readZone(scanner: Scanner): ZoneTarget | null {
  const from = scanner.at
  const match = take(scanner, /(?:zone\s*|z\s?)([1-9])(?:\s*-\s*z?([1-9]))?(?:\s+of\s+(3|5|own)\b)?(?!\d)/iy)
  if (!match) return null
  const [low, high] = [Number(match[1]), Number(match[2] ?? match[1])].sort((a, b) => a - b) as [number, number]
  let of = zoneMeasures.find(([pattern]) => take(scanner, pattern))?.[1]
  if (!of) {
    of = scanner.setting.preferredMeasure
    notice(scanner, from, 'note', 'zone-measure', `by ${of === 'heart-rate' ? 'heart rate' : of}`)
  }
  const target: ZoneTarget = { of, zone: low === high ? low : [low, high] }
  if (match[3]) target.scheme = match[3] === 'own' ? 'own' : Number(match[3]) as 3 | 5
  return target
}

const effortNames: readonly (readonly [RegExp, EffortName])[] = [
  [/1500\s*m\b(?!\s*\/)|1500(?=\s+(?:effort|race|pace))/iy, '1500m'], [/mile\b/iy, 'mile'], [/3\s?k(?:m)?\b(?!\s*\/)/iy, '3k'], [/5\s?k(?:m)?\b(?!\s*\/)/iy, '5k'], [/10\s?k(?:m)?\b(?!\s*\/)/iy, '10k'],
  [/(?:half[\s-]marathon|half|HMP?)\b/iy, 'half-marathon'], [/(?:marathon|MP)\b/iy, 'marathon'],
  [/(?:threshold|LT|T)\b/iy, 'threshold'], [/critical\b/iy, 'critical'], [/steady\b/iy, 'steady'], [/easy\b/iy, 'easy'],
  [/max\b/iy, 'max'], [/goal\b/iy, 'goal'],
]

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
    const own: Offset['unit'] = sport === 'swim' ? 's/100m' : paceUnit === 's/mi' ? 's/mi' : 's/km'
    notice(scanner, from, 'ask', 'offset-unit', `${value} ${own}`)
    return { value, unit: own }
  })
}

interface Effort { name: EffortName, offset?: Offset }

/** Without `effort` or `pace` behind it a name counts only where a target is due. */
function readEffort(scanner: Scanner, afterAt: boolean): Effort | null {
  const share = attempt(scanner, () => take(scanner, /(\d+(?:[.,]\d+)?)\s*%\s*(?:of\s+)?(?=[a-z\d])/iy))
  const found = effortNames.find(([pattern]) => take(scanner, pattern))
  if (!found) return null
  const named = take(scanner, /(?:race\s+)?(?:effort|pace|speed)\b/iy) !== null
  if (!named && !afterAt) return null
  const offset = readOffset(scanner)
  if (share) {
    const value = Math.round((Number(share[1]!.replace(',', '.')) - 100) * 1e6) / 1e6
    return value === 0 ? { name: found[1] } : { name: found[1], offset: { value, unit: '%' } }
  }
  return offset && offset.value !== 0 ? { name: found[1], offset } : { name: found[1] }
}

function readEffortTarget(scanner: Scanner, afterAt: boolean): EffortTarget | null {
  const effort = readEffort(scanner, afterAt)
  if (!effort) return null
  const to = attempt(scanner, () => take(scanner, /to\b/iy) ? readEffort(scanner, true) : null)
  return { of: 'effort', ...effort, ...(to ? { to: { of: 'effort', ...to } } : {}) }
}

function readZoneTarget(scanner: Scanner): ZoneTarget | null {
  const zone = readZone(scanner)
  if (!zone) return null
  const to = attempt(scanner, () => take(scanner, /to\b/iy) ? readZone(scanner) : null)
  if (to && to.of !== zone.of) return null
  return { ...zone, ...(to ? { to } : {}) }
}

const giveUnits = /(s\/km|s\/mi|s\/100m|s\/100yd|km\/h|mi\/h|m\/s|bpm|W|rpm|spm|of 10|%CP|%CS|%HRmax|%HRR|%LTHR|%|s)(?=\s|,|$)/iy
const unitSpelling = new Map(['s/km', 's/mi', 's/100m', 's/100yd', 'km/h', 'mi/h', 'm/s', 'bpm', 'W', 'rpm', 'spm', 'of 10', '%CP', '%CS', '%HRmax', '%HRR', '%LTHR', '%']
  .map(unit => [unit.toLowerCase(), unit as Give['unit']]))

function readGiveSide(scanner: Scanner): { side: 'easier' | 'harder', value: number, unit: Give['unit'] } | null {
  const value = readNumber(scanner)
  const unit = value === null ? null : take(scanner, giveUnits)
  const side = unit && take(scanner, /(harder|easier)\b/iy)
  if (value === null || value > 100_000 || !unit || !side) return null
  const spelled = unitSpelling.get(unit[1]!.toLowerCase()) ?? 's/step'
  return { side: side[1]!.toLowerCase() as 'easier' | 'harder', value, unit: spelled }
}

function readGive(scanner: Scanner): Give | null {
  if (!take(scanner, /give\b/iy)) return null
  const first = readGiveSide(scanner)
  if (!first) return null
  const give: Give = { unit: first.unit, [first.side]: first.value }
  const second = attempt(scanner, () => take(scanner, /,/y) ? readGiveSide(scanner) : null)
  if (second) {
    if (second.side === first.side || second.unit !== first.unit) return null
    give[second.side] = second.value
  }
  return give
}

/**
 * A target in any of its spellings.
 *
 * @param context.afterAt a target is due here, so that a name or a bare clock is one
 * @param context.unit the unit is known, for a step's own time after `in`
 */
export function readTarget(scanner: Scanner, context: TargetContext): Target | null {
  return attempt(scanner, () => {
    const target: Target | null = context.unit
      ? readBand(scanner, context)
      : attempt(scanner, readRpe)
        ?? attempt(scanner, readZoneTarget)
        ?? attempt(scanner, () => readEffortTarget(scanner, context.afterAt))
        ?? attempt(scanner, () => readBand(scanner, context))
    if (!target) return null
    const over = attempt(scanner, () => {
      const word = take(scanner, /over\s+(\d+(?:\.\d+)?)\s*s(?:ec(?:onds)?)?\b/iy)
      return word && Number(word[1]) > 0 && Number(word[1]) <= 3600 ? Number(word[1]) : null
    })
    if (over !== null) target.over = over
    const give = attempt(scanner, readGive)
    if (give) target.give = give
    return target
  })
}
