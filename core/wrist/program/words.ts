import { paceReadingFor, sayTarget } from '../../athlete/say-target'
import type { Units } from '../../athlete/athlete'
import { usualUnits } from '../../athlete/athlete'
import { distanceAsSaid } from '../../quantity/distance'
import { kilocaloriesOf } from '../../quantity/energy'
import { formatNumber, formatTime, sayDuration } from '../../quantity/time'
import type { ProgramEnd, ProgramItem, ProgramStep } from './program'

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

/** A distance in the unit that it was said in: `400 m`, `1 mi`, `5 km`. */
export function sayMetres(metres: number): string {
  const { value, unit } = distanceAsSaid(metres)
  return `${formatNumber(value)} ${unit}`
}

/** What a block goes on until, a distance or a time, in words: `repeat for 5 km`. */
export const sayEndOfBlock = (until: { metres: number } | { seconds: number }): string =>
  `repeat for ${'metres' in until ? sayMetres(until.metres) : sayDuration(until.seconds)}`

const sayGrade = ({ low, high }: NonNullable<ProgramStep['grade']>) =>
  `${low < 0 ? 'downhill' : 'uphill'} ` +
  `${low === high ? Math.abs(low) : `${Math.min(Math.abs(low), Math.abs(high))}-${Math.max(Math.abs(low), Math.abs(high))}`} %`

/** A program's item as one row of words, its targets in the athlete's units. */
export function printProgramItem(item: ProgramItem, units: Units = usualUnits): string {
  if (item.kind === 'block') {
    const { repeat } = item
    const words = 'times' in repeat ? `${repeat.times} times` : sayEndOfBlock(repeat)
    return `${words}${item.dropLastRecovery ? ', drop last recovery' : ''}`
  }
  const role = item.role === 'work' ? '' : `${item.role} `
  const target = item.target ? ` @ ${sayTarget(item.target, paceReadingFor(item.sport, units[item.sport]))}` : ''
  return `${role}${sayEnd(item.end)}${item.manner ? ` ${item.manner}` : ''}${item.grade ? ` ${sayGrade(item.grade)}` : ''}${target}`
}

/** The rows of a program in words, each with how deep it stands. */
export function rowsInWords(items: readonly ProgramItem[], units: Units = usualUnits, depth = 0): { words: string; depth: number }[] {
  return items.flatMap(item => [
    { words: printProgramItem(item, units), depth },
    ...(item.kind === 'block' ? rowsInWords(item.items, units, depth + 1) : []),
  ])
}

/** An item on one line: `8 x (400 m @ 1:30-1:34, recovery 1:30)`. */
export function sayItemInBrief(item: ProgramItem, units: Units = usualUnits): string {
  if (item.kind === 'step') return printProgramItem(item, units)
  const body = item.items.map(one => sayItemInBrief(one, units)).join(', ')
  const count = 'times' in item.repeat ? `${item.repeat.times} x ` : `${sayEndOfBlock(item.repeat)}: `
  return item.items.length === 1 ? `${count}${body}` : `${count}(${body})`
}
