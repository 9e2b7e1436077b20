import type { RecordedStep } from './align'
import { metresOfStretch, samplesBetween } from './align'
import type { Recording } from './recording'

/** Where the athlete says that a step began, in elapsed seconds of the recording. */
export interface StepBoundary {
  path: string
  round: number[]
  startsAt: number
}

const isOf = (boundary: StepBoundary, { path, round }: Pick<RecordedStep, 'path' | 'round'>) =>
  boundary.path === path && boundary.round.join('.') === round.join('.')

/** The shortest that a step may become, in seconds. */
const shortest = 1

/**
 * Steps as they were found, with those starts that the athlete has put elsewhere: the step before ends where the moved one begins.
 * A start that would leave nothing of either is not followed.
 *
 * @param steps in the order they were done
 */
export function withBoundaries(recording: Recording, steps: readonly RecordedStep[], boundaries: readonly StepBoundary[]): RecordedStep[] {
  if (boundaries.length === 0) return [...steps]
  const moved = steps.map(step => ({ ...step }))
  const touched = new Set<number>()
  for (const [index, step] of moved.entries()) {
    const boundary = boundaries.find(one => isOf(one, step))
    if (!boundary) continue
    const before = moved[index - 1]
    const least = before ? before.from + shortest : 0
    if (boundary.startsAt < least || boundary.startsAt > step.to - shortest) continue
    step.from = boundary.startsAt
    touched.add(index)
    if (!before) continue
    before.to = boundary.startsAt
    touched.add(index - 1)
  }
  const pauses = steps.flatMap(step => step.pauses)
  return moved.map((step, index) => {
    if (!touched.has(index)) return step
    const own = pauses
      .filter(pause => pause.to > step.from && pause.from < step.to)
      .map(pause => ({ from: Math.max(pause.from, step.from), to: Math.min(pause.to, step.to) }))
    const cut = { ...step, pauses: own, endedBy: index === moved.length - 1 ? step.endedBy : ('press' as const) }
    return { ...cut, ...samplesBetween(recording, cut.from, cut.to), metres: metresOfStretch(recording, cut) }
  })
}
