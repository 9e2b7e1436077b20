import type { Give } from '../../session/document'
import { readNumber } from './quantities'
import type { Scanner } from './scanner'
import { attempt, take } from './scanner'

/** Every unit of a room but the step's own seconds, which are said as `s`. */
export const giveUnits = [
  's/km',
  's/mi',
  's/100m',
  's/100yd',
  'km/h',
  'mi/h',
  'm/s',
  'bpm',
  'W',
  'rpm',
  'spm',
  'of 10',
  '%CP',
  '%CS',
  '%HRmax',
  '%HRR',
  '%LTHR',
  '%',
] as const satisfies readonly Give['unit'][]
const giveWords = new RegExp(`(${giveUnits.join('|')}|s)(?=\\s|,|$)`, 'iy')
const unitSpelling = new Map<string, Give['unit']>(giveUnits.map(unit => [unit.toLowerCase(), unit]))

function readGiveSide(scanner: Scanner): { side: 'easier' | 'harder'; value: number; unit: Give['unit'] } | null {
  const value = readNumber(scanner)
  const unit = value === null ? null : take(scanner, giveWords)
  const side = unit && take(scanner, /(harder|easier)\b/iy)
  if (value === null || value > 100_000 || !unit || !side) return null
  const spelled = unitSpelling.get(unit[1]!.toLowerCase()) ?? 's/step'
  return { side: side[1]!.toLowerCase() as 'easier' | 'harder', value, unit: spelled }
}

/** A target's own room: `give 5 s/mi harder, 2 s/mi easier`. */
export function readGive(scanner: Scanner): Give | null {
  if (!take(scanner, /give\b/iy)) return null
  const first = readGiveSide(scanner)
  if (!first) return null
  const give: Give = { unit: first.unit, [first.side]: first.value }
  const second = attempt(scanner, () => (take(scanner, /,/y) ? readGiveSide(scanner) : null))
  if (second) {
    if (second.side === first.side || second.unit !== first.unit) return null
    give[second.side] = second.value
  }
  return give
}
