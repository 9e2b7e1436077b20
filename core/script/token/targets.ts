import { sports } from '../../session/sports'
import { effortStarts, readEffortTarget } from './efforts'
import { readGive } from './give'
import type { Band, BandMeasure, BandTarget, Target, ZoneMeasure, ZoneTarget } from '../../session/document'
import type { BandUnit, DistanceUnit, PaceUnit } from '../../quantity/units'
import { toMetres } from '../../quantity/distance'
import { isPaceUnit } from '../../quantity/intensity'
import { readNumber, readTime } from './quantities'
import type { Form, Scanner } from './scanner'
import type { Fix } from '../remark'
import { attempt, firstOf, isNumberStart, notice, saidBetween, sees, take, upcoming } from './scanner'

interface UnitReading {
  of: BandMeasure
  unit: BandUnit
}

const unitForms: readonly Form<UnitReading>[] = [
  ['m/p', /(?:min\s*)?(?:\/|per\s+)\s*(?:km|k|kilomet(?:re|er))\b/iy, { of: 'pace', unit: 's/km' }],
  ['m/p', /(?:min\s*)?(?:\/|per\s+)\s*(?:mi|mile)\b/iy, { of: 'pace', unit: 's/mi' }],
  ['/p', /(?:\/|per\s+)\s*100\s*m\b/iy, { of: 'pace', unit: 's/100m' }],
  ['/p', /(?:\/|per\s+)\s*100\s*(?:yd|y|yards?)\b/iy, { of: 'pace', unit: 's/100yd' }],
  ['/', /\/\s*step\b/iy, { of: 'pace', unit: 's/step' }],
  ['k', /(?:km\/h|kph|kmh)\b/iy, { of: 'speed', unit: 'km/h' }],
  ['m', /(?:mi\/h|mph)\b/iy, { of: 'speed', unit: 'mi/h' }],
  ['m', /m\/s\b/iy, { of: 'speed', unit: 'm/s' }],
  ['b', /(?:bpm|beats)\b/iy, { of: 'heart-rate', unit: 'bpm' }],
  ['%', /%\s*(?:of\s+)?(?:HR\s*max|max\s*HR)\b/iy, { of: 'heart-rate', unit: '%HRmax' }],
  ['%', /%\s*(?:of\s+)?HRR\b/iy, { of: 'heart-rate', unit: '%HRR' }],
  ['%', /%\s*(?:of\s+)?LTHR\b/iy, { of: 'heart-rate', unit: '%LTHR' }],
  ['%', /%\s*(?:of\s+)?(?:CP|critical\s+power)\b/iy, { of: 'power', unit: '%CP' }],
  ['%', /%\s*(?:of\s+)?(?:CS|critical\s+speed)\b/iy, { of: 'pace', unit: '%CS' }],
  ['w', /(?:W(?!\/)|(?<=(?:@|\bat|min|sec|')\s*\d{2,3}(?:-\d{2,3})?)W(?=\/\d)|watts?)\b/iy, { of: 'power', unit: 'W' }],
  ['r', /rpm\b/iy, { of: 'cadence', unit: 'rpm' }],
  ['s', /spm\b/iy, { of: 'cadence', unit: 'spm' }],
]

const readUnit = (scanner: Scanner): UnitReading | null => firstOf(scanner, unitForms) ?? null

interface Amount {
  value: number
  clock: boolean
}

function readAmount(scanner: Scanner): Amount | null {
  const clock = attempt(scanner, () => (sees(scanner, /\d+(?::|')/y) ? readTime(scanner) : null))
  if (clock !== null) return { value: clock, clock: true }
  const number = readNumber(scanner)
  return number === null ? null : { value: number, clock: false }
}

type Side = 'easier' | 'harder' | null

/** `or faster` and its kin: which side is left open. */
function readOpenSide(scanner: Scanner): Side {
  const next = upcoming(scanner)
  if (next !== 'o' && next !== '+') return null
  if (take(scanner, /or\s+(?:faster|above|more|higher|over)\b|\+(?!\s*\d)/iy)) return 'harder'
  if (take(scanner, /or\s+(?:slower|below|less|lower|under)\b/iy)) return 'easier'
  return null
}

interface AmountRange {
  first: Amount
  second: Amount
}

/** @param joint what stands between its two ends */
function readRange(scanner: Scanner, joint = /-\s*(?=\d)/y): AmountRange | null {
  const first = readAmount(scanner)
  if (!first) return null
  const second = '-a'.includes(upcoming(scanner)) ? attempt(scanner, () => (take(scanner, joint) ? readAmount(scanner) : null)) : null
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
  const fix = (amount: Amount): Amount => (amount.clock || amount.value >= 20 ? amount : { value: amount.value * 60, clock: true })
  return { first: fix(range.first), second: fix(range.second) }
}

const inReach = (amount: Amount) => amount.value > 0 && amount.value <= 1e7
const positive = (range: AmountRange) => inReach(range.first) && inReach(range.second)

export interface TargetContext {
  afterAt: boolean
  unit?: UnitReading
  /** The step's own length: a bare clock beside miles is a pace per mile, and may be the time for a short length. */
  length?: { value: number; unit: DistanceUnit }
}

function bareClockUnit(scanner: Scanner, length: DistanceUnit | undefined): PaceUnit {
  const { paceUnit } = scanner.setting
  if (scanner.setting.sport !== 'run' || length === undefined) return paceUnit
  return length === 'mi' ? 's/mi' : length === 'km' ? 's/km' : paceUnit
}

const fastestPerKm = 150

/** `400 @ 1:30`: faster than anyone runs as a pace, so the time for the step's own length; asked. */
function asOwnTime(scanner: Scanner, from: number, range: AmountRange, context: TargetContext): BandTarget | null {
  const { length } = context
  if (scanner.setting.sport !== 'run' || !length) return null
  const unit = bareClockUnit(scanner, length.unit)
  const perKm = Math.min(range.first.value, range.second.value) / (unit === 's/mi' ? 1.609344 : 1)
  const ownPerKm = (range.first.value / toMetres(length)) * 1000
  if (perKm >= fastestPerKm || ownPerKm < fastestPerKm || ownPerKm > 900) return null
  const band: BandTarget = { of: 'pace', unit: 's/step', ...bandOf(range, 's/step', null) }
  notice(scanner, from, 'ask', 'own-time', `the time for each ${length.value} ${length.unit}`)
  return band
}

/** `100 @ 1:45` at the pool is a pace to some and the clock of the next start to others. */
function sendOffFixes(scanner: Scanner, from: number, unit: PaceUnit): Fix[] {
  const said = saidBetween(scanner, from)
  return [{ label: `pace per ${unit.slice(2)}`, replacement: `${said} ${unit.slice(1)}` }]
}

const bandStarts = 'hp<>ubaocfri'
const rampStart = /^(?:ramp|build|progress|increas)/i
const rampWords = /(?:ramp|build|progress|increas)(?:e|ing|ion|ive(?:ly)?)?(?:\s+up)?(?:\s+from)?\s*(?=\d)/iy

function readBand(scanner: Scanner, context: TargetContext): Target | null {
  const from = scanner.at
  const startsWithNumber = isNumberStart(upcoming(scanner))
  const cap = startsWithNumber
    ? null
    : (take(scanner, /(?:HR|heart\s+rate|pulse)\s*(?:of\s+)?(<|>|under|below|above|over|at\s+most)?\s*(?=\d)/iy) ??
      take(scanner, /(<|>|under|below|above|over|at\s+most|between)\s*(?=\d)/iy) ??
      take(scanner, /(?:cadence|from)\s*(?:of\s+)?(<|>|under|below|above|over|at\s+most)?\s*(?=\d)(?!\d+\s*[x\u00D7*])/iy) ??
      take(scanner, rampWords))
  const isBetween = /^between/i.test(cap?.[0] ?? '')
  const range = readRange(scanner, isBetween ? /(?:-|and)\s*(?=\d)/iy : undefined)
  if (!range || !positive(range)) return null
  let goal = context.unit ? null : attempt(scanner, () => (take(scanner, /to\b/iy) ? readRange(scanner) : null))
  if (context.unit?.unit === 's/step') take(scanner, /(?:s|sec(?:onds?)?)(?![a-z/])/iy)
  const isRamp = rampStart.test(cap?.[0] ?? '')
  const isFrom = isRamp || /^from/i.test(cap?.[0].trim() ?? '')
  const isWith = range.first.clock && sees(scanner, /w\b/iy)
  let target = context.unit ?? (isWith ? null : readUnit(scanner))
  if (!target && goal && !(isFrom && range.first.clock)) return null
  if (!target && cap && /hr|heart|pulse/i.test(cap[0])) target = { of: 'heart-rate', unit: 'bpm' }
  if (!target && cap && /cadence/i.test(cap[0])) target = { of: 'cadence', unit: sports[scanner.setting.sport].cadenceUnit }
  if (!target && context.afterAt && take(scanner, /%(?!\s*(?:hill|incline|grad|of\b))/iy)) {
    target = sports[scanner.setting.sport].critical[0] === 'power' ? { of: 'power', unit: '%CP' } : { of: 'pace', unit: '%CS' }
    notice(scanner, from, 'ask', 'percent-of', `percent of critical ${target.of === 'power' ? 'power' : 'speed'}`)
  }
  if (!target && (context.afterAt || (isFrom && goal)) && range.first.clock) {
    const ownTime = asOwnTime(scanner, from, range, context)
    if (ownTime) return ownTime
    const unit = bareClockUnit(scanner, context.length?.unit)
    target = { of: 'pace', unit }
    const isSwim = scanner.setting.sport === 'swim'
    notice(scanner, from, isSwim ? 'ask' : 'note', 'pace-unit', `per ${unit.slice(2)}`, isSwim ? sendOffFixes(scanner, from, unit) : [])
  }
  if (!target) return null
  if (isPaceUnit(target.unit) && !range.first.clock && !context.afterAt && !context.unit) return null
  const capSide: Side = cap?.[1] && !/between/i.test(cap[1]) ? (/^(?:<|under|below|at)/i.test(cap[1]) ? 'easier' : 'harder') : null
  const side = capSide ? speedAware(capSide, target) : readOpenSide(scanner)
  const band = bandOf(asUnit(range, target.unit), target.unit, side)
  const result: BandTarget = { of: target.of, unit: target.unit, ...band }
  goal ??= attempt(scanner, () => (take(scanner, /to\b(?=\s*\d)/iy) ? readRange(scanner) : null))
  if (isRamp && !goal) return null
  if (goal) {
    if (!positive(goal)) return null
    if (!context.unit) attempt(scanner, () => (readUnit(scanner)?.unit === target.unit ? true : null))
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
  take(scanner, /(?:(?:of|out of)\s+|\/\s*)10\b/iy)
  const side = readOpenSide(scanner)
  const result: BandTarget = { ...unit, ...bandOf(range, 'of 10', side) }
  const goal = attempt(scanner, () => (take(scanner, /to\b(?:\s*RPE\b)?/iy) ? readRange(scanner) : null))
  if (goal && !isOfTen(goal)) return null
  if (goal) result.to = { ...unit, ...bandOf(goal, 'of 10', readOpenSide(scanner)) }
  return result
}

const zoneMeasures: readonly (readonly [RegExp, ZoneMeasure])[] = [
  [/(?:heart\s*rate|heart-rate|HR)\b/iy, 'heart-rate'],
  [/power\b/iy, 'power'],
  [/pace\b/iy, 'pace'],
]

function readZone(scanner: Scanner): ZoneTarget | null {
  const from = scanner.at
  if (upcoming(scanner) !== 'z') return null
  const match = take(
    scanner,
    /(?:zone\s*|z\s?)([1-9])(?:\s*-\s*z?([1-9])(?!\s*(?:min|m\b|km|s\b|h\b|['"x:\d])))?(?:\s+of\s+(3|5|own)\b)?(?!\d)/iy,
  )
  if (!match) return null
  const [low, high] = [Number(match[1]), Number(match[2] ?? match[1])].sort((a, b) => a - b) as [number, number]
  let of = zoneMeasures.find(([pattern]) => take(scanner, pattern))?.[1]
  if (!of) {
    of = scanner.setting.preferredMeasure
    notice(scanner, from, 'note', 'zone-measure', `by ${of === 'heart-rate' ? 'heart rate' : of}`)
  }
  const target: ZoneTarget = { of, zone: low === high ? low : [low, high] }
  if (match[3]) target.scheme = match[3] === 'own' ? 'own' : (Number(match[3]) as 3 | 5)
  return target
}

function readZoneTarget(scanner: Scanner): ZoneTarget | null {
  const zone = readZone(scanner)
  if (!zone) return null
  const to = attempt(scanner, () => (take(scanner, /to\b/iy) ? readZone(scanner) : null))
  if (to && to.of !== zone.of) return null
  return { ...zone, ...(to ? { to } : {}) }
}

function readByStart(scanner: Scanner, context: TargetContext, start: string): Target | null {
  const isNumber = isNumberStart(start)
  return (
    (start === 'r' ? attempt(scanner, readRpe) : null) ??
    (start === 'z' ? attempt(scanner, readZoneTarget) : null) ??
    (isNumber || effortStarts.includes(start) ? attempt(scanner, () => readEffortTarget(scanner, context.afterAt)) : null) ??
    (isNumber || bandStarts.includes(start) ? attempt(scanner, () => readBand(scanner, context)) : null)
  )
}

/**
 * A target in any of its spellings.
 *
 * @param context.afterAt a target is due here, so that a name or a bare clock is one
 * @param context.unit the unit is known, for a step's own time after `in`
 */
export function readTarget(scanner: Scanner, context: TargetContext): Target | null {
  return attempt(scanner, () => {
    const target = context.unit ? readBand(scanner, context) : readByStart(scanner, context, upcoming(scanner))
    if (!target) return null
    const next = upcoming(scanner)
    const over =
      next !== 'o'
        ? null
        : attempt(scanner, () => {
            const word = take(scanner, /over\s+(\d+(?:\.\d+)?)\s*s(?:ec(?:onds)?)?\b/iy)
            return word && Number(word[1]) > 0 && Number(word[1]) <= 3600 ? Number(word[1]) : null
          })
    if (over !== null) target.over = over
    const give = upcoming(scanner) === 'g' ? attempt(scanner, readGive) : null
    if (give) target.give = give
    return target
  })
}
