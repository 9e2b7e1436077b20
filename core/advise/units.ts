import { metresOfPaceUnit } from '../quantity/intensity'
import { printTarget } from '../script/print-target'
import type { BandTarget, Item, Session } from '../session/document'
import type { PaceUnit } from '../quantity/units'
import { isBandTarget } from '../session/document'
import { saySuggestion, saySuggestionFix } from '../words/suggestions'
import type { UnkeyedSuggestion } from './suggestion'

type DistancePace = Exclude<PaceUnit, 's/step'>
interface Paced {
  path: string
  target: BandTarget & { unit: DistancePace }
}

const isDistancePace = (unit: string): unit is DistancePace => unit in metresOfPaceUnit

function pacedSteps(items: readonly Item[], prefix: string, into: Paced[] = []): Paced[] {
  items.forEach((item, index) => {
    if (item.kind === 'block' || item.kind === 'leg') pacedSteps(item.items, `${prefix}${index + 1}.`, into)
    if (item.kind === 'step' && item.target && isBandTarget(item.target) && isDistancePace(item.target.unit) && !item.also)
      into.push({ path: `${prefix}${index + 1}`, target: item.target as Paced['target'] })
  })
  return into
}

function inUnit(target: Paced['target'], unit: DistancePace): BandTarget {
  const by = metresOfPaceUnit[unit] / metresOfPaceUnit[target.unit]
  const scaled = (value: number | undefined) => (value === undefined ? undefined : Math.round(value * by))
  const band = ({ easiest, hardest }: { easiest?: number; hardest?: number }) => ({
    ...(easiest === undefined ? {} : { easiest: scaled(easiest) }),
    ...(hardest === undefined ? {} : { hardest: scaled(hardest) }),
  })
  return { ...target, unit, ...band(target), ...(target.to ? { to: { of: target.of, unit, ...band(target.to) } } : {}) }
}

/** Paces in more than one unit: read side by side they cannot be compared. */
export function unitAdvice(session: Session): UnkeyedSuggestion[] {
  if (session.sport === 'multi') return []
  const paced = pacedSteps(session.items, '')
  const counts = new Map<DistancePace, number>()
  for (const { target } of paced) counts.set(target.unit, (counts.get(target.unit) ?? 0) + 1)
  if (counts.size < 2) return []
  const [most] = [...counts].sort((a, b) => b[1] - a[1])[0]!
  const others = paced.filter(({ target }) => target.unit !== most && !target.give)
  if (others.length === 0) return []
  return [
    {
      code: 'mixed-units',
      path: others[0]!.path,
      message: saySuggestion({ code: 'mixed-units', units: [...counts.keys()].map(unit => unit.slice(2)) }),
      fixes: [
        {
          label: saySuggestionFix({ code: 'all-in', unit: most.slice(2) }),
          edits: others.map(({ path, target }) => ({ do: 'target', at: path, words: printTarget(inUnit(target, most)) })),
        },
      ],
    },
  ]
}
