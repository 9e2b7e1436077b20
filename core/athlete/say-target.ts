import { sports } from '../session/sports'
import { metresPer } from '../quantity/distance'
import { formatNumber, formatTime } from '../quantity/time'
import type { Sport } from '../session/document'
import type { ResolvedMeasure, ResolvedTarget } from './resolve'

/** A resolved target as it is shown, with the room it was given. */
export type ShownTarget = Omit<ResolvedTarget, 'said'>

/** Units the athlete reads speeds in on the wrist. */
export type PaceReading = 'min/km' | 'min/mi' | 'min/100m' | 'min/100yd' | 'km/h' | 'mi/h'

export function paceReadingFor(sport: Sport, unit: 'km' | 'mi' | 'm' | 'yd' = 'km'): PaceReading {
  const { paceMetres, speedIsPace } = sports[sport]
  if (paceMetres === 100) return unit === 'yd' ? 'min/100yd' : 'min/100m'
  if (!speedIsPace) return unit === 'mi' ? 'mi/h' : 'km/h'
  return unit === 'mi' ? 'min/mi' : 'min/km'
}

/** Metres that each pace is read over. */
export const paceMetres: Readonly<Record<Extract<PaceReading, `min/${string}`>, number>> = {
  'min/km': 1000,
  'min/mi': metresPer.mi,
  'min/100m': 100,
  'min/100yd': 100 * metresPer.yd,
}

/** Slower than that in m/s there is no pace to read. */
const slowest = 0.2

/** A speed as the athlete reads it, to the second or the tenth: `4:11`, `28.4`. */
export function saySpeed(speed: number, reading: PaceReading): string {
  if (reading === 'km/h') return (speed * 3.6).toFixed(1)
  if (reading === 'mi/h') return ((speed * 3600) / metresPer.mi).toFixed(1)
  return speed < slowest ? '-:--' : formatTime(Math.round(paceMetres[reading] / speed))
}

export const paceUnitWords: Readonly<Record<PaceReading, string>> = {
  'min/km': '/km',
  'min/mi': '/mi',
  'min/100m': '/100m',
  'min/100yd': '/100yd',
  'km/h': 'km/h',
  'mi/h': 'mi/h',
}

/** One value as the athlete reads it, without its unit, to the nearest. */
export function sayValue(value: number, of: ResolvedMeasure, reading: PaceReading): string {
  if (of === 'pace') return saySpeed(value, reading)
  return of === 'rpe' ? formatNumber(Math.round(value * 10) / 10) : String(Math.round(value))
}

/** What lies no further than that beyond a part that is shown counts as on it: a watch holds a speed to a ten-thousandth. */
const sameWithin = { seconds: 0.1, tenths: 0.01, whole: 1e-3 }

/** Parts of a unit that are shown, as a value's distance from zero in them, and whether more of them is slower. */
function partsShown(value: number, of: ResolvedMeasure, reading: PaceReading) {
  if (of === 'rpe') return { parts: value * 10, per: 10, slack: sameWithin.tenths }
  if (of !== 'pace') return { parts: value, per: 1, slack: sameWithin.whole }
  if (reading === 'km/h' || reading === 'mi/h')
    return { parts: (reading === 'km/h' ? value * 3.6 : (value * 3600) / metresPer.mi) * 10, per: 10, slack: sameWithin.tenths }
  return { parts: paceMetres[reading] / value, per: 1, slack: sameWithin.seconds }
}

/**
 * One end of a band as the athlete reads it, without its unit, rounded outward: the same on the sheet, the card and the watch.
 *
 * @param end the easier end goes down, or up where it is a pace
 */
export function sayEndOfBand(value: number, end: 'easiest' | 'hardest', of: ResolvedMeasure, reading: PaceReading): string {
  const asPace = of === 'pace' && reading.startsWith('min')
  if (asPace && value < slowest) return sayValue(value, of, reading)
  const { parts, per, slack } = partsShown(value, of, reading)
  const isUp = (end === 'hardest') !== asPace
  const whole = isUp ? Math.ceil(parts - slack) : Math.floor(parts + slack)
  if (asPace) return formatTime(whole)
  return of === 'pace' ? (whole / per).toFixed(1) : formatNumber(whole / per)
}

export function unitWords(target: Pick<ShownTarget, 'of' | 'unit'>, reading: PaceReading): string {
  return target.of === 'pace' ? paceUnitWords[reading] : target.unit === 'of 10' ? 'of 10' : target.unit
}

/** A band in the athlete's units: `4:07-4:15 /km`, `219-228 W`, `145 bpm or below`. */
export function sayTarget(target: ShownTarget, reading: PaceReading): string {
  const say = (value: number, end: 'easiest' | 'hardest') => sayEndOfBand(value, end, target.of, reading)
  const unit = unitWords(target, reading)
  const asPace = target.of === 'pace' && reading.startsWith('min')
  const band = ({ easiest, hardest }: { easiest?: number; hardest?: number }) => {
    if (easiest === undefined) return `${say(hardest!, 'hardest')} ${unit} or ${asPace ? 'slower' : 'below'}`
    if (hardest === undefined) return `${say(easiest, 'easiest')} ${unit} or ${asPace ? 'faster' : 'above'}`
    if (easiest === hardest) return `${sayValue(easiest, target.of, reading)} ${unit}`
    const [slow, fast] = [say(easiest, 'easiest'), say(hardest, 'hardest')]
    const [first, second] = asPace ? [fast, slow] : [slow, fast]
    return first === second ? `${first} ${unit}` : `${first}-${second} ${unit}`
  }
  return target.to ? `${band(target)} to ${band(target.to)}` : band(target)
}
