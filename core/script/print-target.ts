import type { Band, BandTarget, EffortTarget, Give, Offset, Target, ZoneTarget } from '../session/document'
import type { BandUnit } from '../quantity/units'
import { isEffortTarget, isZoneTarget } from '../session/document'
import { isPaceUnit } from '../quantity/intensity'
import { formatNumber, formatTime } from '../quantity/time'

const unitText: Partial<Record<BandUnit, string>> = {
  's/km': '/km',
  's/mi': '/mi',
  's/100m': '/100m',
  's/100yd': '/100yd',
  's/step': '/step',
}

const value = (amount: number, unit: BandUnit) => (isPaceUnit(unit) ? formatTime(amount) : formatNumber(amount))

function bandNumbers(band: Band, unit: BandUnit): string {
  const { easiest, hardest } = band
  if (easiest === undefined || hardest === undefined) return value((easiest ?? hardest)!, unit)
  if (easiest === hardest) return value(easiest, unit)
  const [first, second] = isPaceUnit(unit) ? [hardest, easiest] : [easiest, hardest]
  return `${value(first, unit)}-${value(second, unit)}`
}

function openSide(band: Band, of: BandTarget['of']): string {
  const bySpeed = of === 'pace' || of === 'speed'
  if (band.easiest === undefined) return bySpeed ? ' or slower' : ' or below'
  if (band.hardest === undefined) return bySpeed ? ' or faster' : ' or above'
  return ''
}

const isOneSided = (band: Band) => band.easiest === undefined || band.hardest === undefined

function printBand(target: BandTarget, bare: boolean): string {
  const { unit, of, to } = target
  const dressed = (text: string) => {
    if (bare) return text
    return of === 'rpe' ? `RPE ${text}` : `${text} ${unitText[unit] ?? unit}`
  }
  const own = bandNumbers(target, unit)
  if (!to) return dressed(own) + openSide(target, of)
  const goal = bandNumbers(to, unit)
  if (!isOneSided(target) && !isOneSided(to)) return dressed(`${own} to ${goal}`)
  return `${dressed(own)}${openSide(target, of)} to ${dressed(goal)}${openSide(to, of)}`
}

function printZone(zone: Pick<ZoneTarget, 'zone' | 'scheme'>, of: ZoneTarget['of']): string {
  const { zone: number, scheme } = zone
  const numbers = Array.isArray(number) ? (number[0] === number[1] ? `${number[0]}` : `${number[0]}-${number[1]}`) : `${number}`
  const measure = of === 'heart-rate' ? 'heart rate' : of
  return `zone ${numbers}${scheme === undefined ? '' : ` of ${scheme}`} ${measure}`
}

/** The offset of an effort, as it follows the effort's name: ` + 8 s/km`. */
function printOffset(offset: Offset): string {
  return ` ${offset.value < 0 ? '-' : '+'} ${formatNumber(Math.abs(offset.value))} ${offset.unit}`
}

function printEffort(effort: Pick<EffortTarget, 'name' | 'offset'>): string {
  return `${effort.name} effort${effort.offset ? printOffset(effort.offset) : ''}`
}

const giveUnitText = (unit: Give['unit']) => (unit === 's/step' ? 's' : unit)

function printGive(give: Give): string {
  const sides = []
  if (give.harder !== undefined) sides.push(`${formatNumber(give.harder)} ${giveUnitText(give.unit)} harder`)
  if (give.easier !== undefined) sides.push(`${formatNumber(give.easier)} ${giveUnitText(give.unit)} easier`)
  return ` give ${sides.join(', ')}`
}

/**
 * Writes a target in canonical words.
 *
 * @param bare leaves the unit out, for a step's own time after `in`
 * @example printTarget({ of: 'pace', unit: 's/mi', hardest: 412, easiest: 424 }) // "6:52-7:04 /mi"
 */
export function printTarget(target: Target, bare = false): string {
  let words: string
  if (isEffortTarget(target)) {
    words = printEffort(target) + (target.to ? ` to ${printEffort(target.to)}` : '')
  } else if (isZoneTarget(target)) {
    words = printZone(target, target.of) + (target.to ? ` to ${printZone(target.to, target.of)}` : '')
  } else {
    words = printBand(target, bare)
  }
  if (target.over !== undefined) words += ` over ${formatNumber(target.over)} s`
  if (target.give) words += printGive(target.give)
  return words
}
