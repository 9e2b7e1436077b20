import { sports } from '../session/sports'
import { metresPer } from '../quantity/distance'
import { formatTime } from '../quantity/time'
import type { Sport } from '../session/document'
import type { ResolvedMeasure, ResolvedTarget } from './resolve'

/** A resolved target as it is shown, with the room it was given. */
export type ShownTarget = Omit<ResolvedTarget, 'said'>

/** Units the athlete reads speeds in on the wrist. */
export type PaceReading = 'min/km' | 'min/mi' | 'min/100m' | 'km/h' | 'mi/h'

export function paceReadingFor(sport: Sport, unit: 'km' | 'mi' | 'm' | 'yd' = 'km'): PaceReading {
  const { paceMetres, speedIsPace } = sports[sport]
  if (paceMetres === 100) return 'min/100m'
  if (!speedIsPace) return unit === 'mi' ? 'mi/h' : 'km/h'
  return unit === 'mi' ? 'min/mi' : 'min/km'
}

const paceMetres = { 'min/km': 1000, 'min/mi': metresPer.mi, 'min/100m': 100 } as const

/** A speed as the athlete reads it, to the second or the tenth: `4:11`, `28.4`. */
export function saySpeed(speed: number, reading: PaceReading): string {
  if (reading === 'km/h') return (speed * 3.6).toFixed(1)
  if (reading === 'mi/h') return ((speed * 3600) / metresPer.mi).toFixed(1)
  return speed < 0.2 ? '-:--' : formatTime(Math.round(paceMetres[reading] / speed))
}

export const paceUnitWords: Readonly<Record<PaceReading, string>> = {
  'min/km': '/km',
  'min/mi': '/mi',
  'min/100m': '/100m',
  'km/h': 'km/h',
  'mi/h': 'mi/h',
}

/** One end of a target as the athlete reads it, without its unit. */
export function sayValue(value: number, of: ResolvedMeasure, reading: PaceReading): string {
  return of === 'pace' ? saySpeed(value, reading) : String(Math.round(value))
}

export function unitWords(target: Pick<ShownTarget, 'of' | 'unit'>, reading: PaceReading): string {
  return target.of === 'pace' ? paceUnitWords[reading] : target.unit === 'of 10' ? 'of 10' : target.unit
}

/** A band in the athlete's units: `4:07-4:15 /km`, `219-228 W`, `145 bpm or below`. */
export function sayTarget(target: ShownTarget, reading: PaceReading): string {
  const say = (value: number) => sayValue(value, target.of, reading)
  const unit = unitWords(target, reading)
  const asPace = target.of === 'pace' && reading.startsWith('min')
  const band = ({ easiest, hardest }: { easiest?: number; hardest?: number }) => {
    if (easiest === undefined) return `${say(hardest!)} ${unit} or ${asPace ? 'slower' : 'below'}`
    if (hardest === undefined) return `${say(easiest)} ${unit} or ${asPace ? 'faster' : 'above'}`
    const [first, second] = asPace ? [say(hardest), say(easiest)] : [say(easiest), say(hardest)]
    return first === second ? `${first} ${unit}` : `${first}-${second} ${unit}`
  }
  return target.to ? `${band(target)} to ${band(target.to)}` : band(target)
}
