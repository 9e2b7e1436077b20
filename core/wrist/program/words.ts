import { sayDistance } from '../../quantity/distance'
import { kilocaloriesOf } from '../../quantity/energy'
import { formatNumber, formatTime, sayDuration } from '../../quantity/time'
import type { ProgramEnd, ProgramItem, ProgramStep, ProgramTarget } from './program'

/** Units the athlete reads speeds in on the wrist. */
export type PaceReading = 'min/km' | 'min/mi' | 'min/100m' | 'km/h' | 'mi/h'

export function paceReadingFor(sport: ProgramStep['sport'], unit: 'km' | 'mi' | 'm' | 'yd' = 'km'): PaceReading {
  if (sport === 'swim') return 'min/100m'
  if (sport === 'ride') return unit === 'mi' ? 'mi/h' : 'km/h'
  return unit === 'mi' ? 'min/mi' : 'min/km'
}

const paceMetres = { 'min/km': 1000, 'min/mi': 1609.344, 'min/100m': 100 } as const

/** A speed as the athlete reads it, to the second or the tenth: `4:11`, `28.4`. */
export function saySpeed(speed: number, reading: PaceReading): string {
  if (reading === 'km/h') return (speed * 3.6).toFixed(1)
  if (reading === 'mi/h') return ((speed * 3600) / 1609.344).toFixed(1)
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
export function sayValue(value: number, of: ProgramTarget['of'], reading: PaceReading): string {
  return of === 'pace' ? saySpeed(value, reading) : String(Math.round(value))
}

export function unitWords(target: Pick<ProgramTarget, 'of' | 'unit'>, reading: PaceReading): string {
  return target.of === 'pace' ? paceUnitWords[reading] : target.unit === 'of 10' ? 'of 10' : target.unit
}

/** A band in the athlete's units: `4:07-4:15 /km`, `219-228 W`, `145 bpm or below`. */
export function sayTarget(target: ProgramTarget, reading: PaceReading): string {
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

/** An end in words: `1:30`, `400 m`, `until press`. */
export function sayEnd(end: ProgramEnd): string {
  switch (end.on) {
    case 'time':
      return formatTime(end.seconds)
    case 'distance':
      return sayMetres(end.metres)
    case 'press':
      return 'until press'
    case 'heart-rate':
      return end.below !== undefined ? `until HR below ${end.below}` : `until HR above ${end.above}`
    case 'energy':
      return `${Math.round(kilocaloriesOf(end.joules))} kcal`
    case 'send-off':
      return `${sayMetres(end.metres)} on ${formatTime(end.seconds)}`
    case 'first':
      return end.of.map(sayEnd).join(' or ')
  }
}

const sayMetres = (metres: number) =>
  metres >= 2000 && metres % 100 === 0 ? `${formatNumber(metres / 1000)} km` : `${formatNumber(Math.round(metres * 10) / 10)} m`

/** What a block goes on until, in words: `repeat for 5 km`. */
export const sayEndOfBlock = (until: { metres: number } | { seconds: number }): string =>
  `repeat for ${'metres' in until ? sayDistance(until.metres, 'km') : sayDuration(until.seconds)}`

const sayGrade = ({ low, high }: NonNullable<ProgramStep['grade']>) =>
  `${low < 0 ? 'downhill' : 'uphill'} ${low === high ? Math.abs(low) : `${Math.min(Math.abs(low), Math.abs(high))}-${Math.max(Math.abs(low), Math.abs(high))}`} %`

/** A program's item as one row of words. */
export function printProgramItem(item: ProgramItem): string {
  if (item.kind === 'block') {
    const { repeat } = item
    const words = 'times' in repeat ? `${repeat.times} times` : sayEndOfBlock(repeat)
    return `${words}${item.dropLastRecovery ? ', drop last recovery' : ''}`
  }
  const role = item.role === 'work' ? '' : `${item.role} `
  const target = item.target ? ` @ ${sayTarget(item.target, paceReadingFor(item.sport))}` : ''
  return `${role}${sayEnd(item.end)}${item.manner ? ` ${item.manner}` : ''}${item.grade ? ` ${sayGrade(item.grade)}` : ''}${target}`
}
