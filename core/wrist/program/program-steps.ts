import type { StepPosition, Program, ProgramItem, ProgramStep } from './program'
import { timesOf } from './program'
import type { Units } from '../../athlete/athlete'
import { sayItemInBrief } from './words'

/** Every step of a program as written, in order. */
export function* stepsOf(items: readonly ProgramItem[]): Generator<ProgramStep> {
  for (const item of items) {
    if (item.kind === 'step') yield item
    else yield* stepsOf(item.items)
  }
}

/** The steps by their paths; of a path that is there more than once, its last. */
export const stepsByPath = (items: readonly ProgramItem[]): Map<string, ProgramStep> =>
  new Map([...stepsOf(items)].map(step => [step.path, step]))

const firstSteps = new WeakMap<Program, Map<string, ProgramStep>>()

/** The first step with this path. */
export function stepAtPath(program: Program, path: string): ProgramStep | null {
  let known = firstSteps.get(program)
  if (!known) {
    known = new Map()
    for (const step of stepsOf(program.items)) if (!known.has(step.path)) known.set(step.path, step)
    firstSteps.set(program, known)
  }
  return known.get(path) ?? null
}

/** Somewhere to begin or to jump to, in words for the glass. */
export interface Entrance {
  words: string
  at: StepPosition
}

const lastRounds = 3

/**
 * Where a program can be entered: every row that stands outside blocks, every round of its repeats, and the last three rounds
 * of one that has more.
 *
 * @param units the athlete's, that targets are said in
 */
export function entrancesOf(program: Program, units?: Units): Entrance[] {
  return program.items.flatMap((item): Entrance[] => {
    const around = item.unrolled?.round ?? []
    const whole = `${sayItemInBrief(item, units)}${around.length > 0 ? `, round ${around.join('.')}` : ''}`
    if (item.kind === 'step') return [{ words: whole, at: { path: item.path, round: around } }]
    const times = timesOf(item)
    const at = (round: number): StepPosition => ({ path: item.path, round: [...around, round] })
    if (times === null) return [{ words: whole, at: at(1) }]
    const round = item.items.map(one => sayItemInBrief(one, units)).join(', ')
    const last = times > lastRounds ? [{ words: `only the last ${lastRounds} of ${times}: ${round}`, at: at(times - lastRounds + 1) }] : []
    const rounds = Array.from({ length: Math.min(times, 40) }, (_, index) => ({
      words: index === 0 ? whole : `round ${index + 1} of ${times}: ${round}`,
      at: at(index + 1),
    }))
    return [...rounds.slice(0, 1), ...last, ...rounds.slice(1)]
  })
}
