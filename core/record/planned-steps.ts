import type { ProgramBlock, ProgramItem, ProgramStep } from '../wrist/program/program'
import { roundItems, timesOf } from '../wrist/program/program'

/** A step of a program in one of its rounds. */
export interface PlannedStep {
  step: ProgramStep
  path: string
  round: number[]
  /** A round more of a repeat until a distance or time: it may be there or not. */
  isOptional?: boolean
}

/** A speed where none is said, in m/s: slow, so that enough rounds are counted. */
const slow = { run: 2, ride: 5, swim: 0.7 } as const

function speedOf({ target, sport }: ProgramStep): number {
  const easiest = target?.of === 'pace' ? (target.easiest ?? target.hardest) : null
  return typeof easiest === 'number' ? easiest : slow[sport]
}

function measured(items: readonly ProgramItem[]): { metres: number; seconds: number } {
  return items.reduce(
    (sum, item) => {
      if (item.kind === 'block') {
        const inner = measured(item.items)
        const times = timesOf(item) ?? 1
        return { metres: sum.metres + times * inner.metres, seconds: sum.seconds + times * inner.seconds }
      }
      const { end } = item
      const speed = speedOf(item)
      const [metres, seconds] =
        end.on === 'time'
          ? [item.role === 'rest' ? 0 : end.seconds * speed, end.seconds]
          : end.on === 'distance' || end.on === 'send-off'
            ? [end.metres, end.on === 'send-off' ? end.seconds : end.metres / speed]
            : [0, 0]
      return { metres: sum.metres + metres, seconds: sum.seconds + seconds }
    },
    { metres: 0, seconds: 0 },
  )
}

const mostRounds = 200

/** How many rounds a repeat until a distance or time has at most. */
function roundsAtMost({ repeat, items }: ProgramBlock): number {
  const round = measured(items)
  const [whole, part] = 'metres' in repeat ? [repeat.metres, round.metres] : 'seconds' in repeat ? [repeat.seconds, round.seconds] : [1, 1]
  return part <= 0 ? 1 : Math.min(mostRounds, Math.ceil(whole / part) + 1)
}

/** @param roundsOf how many rounds are taken of a repeat that has no count */
function* walked(
  items: readonly ProgramItem[],
  roundsOf: (block: ProgramBlock) => number,
  round: number[] = [],
  isOptional = false,
): Generator<PlannedStep> {
  for (const item of items) {
    const own = round.length === 0 && item.unrolled ? item.unrolled.round : round
    if (item.kind === 'step') {
      yield { step: item, path: item.path, round: own, ...(isOptional ? { isOptional } : {}) }
      continue
    }
    const times = timesOf(item)
    const most = times ?? roundsOf(item)
    for (let count = 1; count <= most; count++)
      yield* walked(roundItems(item, count === times), roundsOf, [...own, count], isOptional || (times === null && count > 1))
  }
}

/** The program's steps in order; of a repeat until a distance or time only its first round is sure. */
export const plannedSteps = (items: readonly ProgramItem[]): Generator<PlannedStep> => walked(items, () => 1)

/** The steps of a program in their order, with as many rounds of a repeat until a distance or time as there may be. */
export const likelySteps = (items: readonly ProgramItem[]): Generator<PlannedStep> => walked(items, roundsAtMost)
