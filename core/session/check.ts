import type { Band, Block, End, Item, Session, Step, Target } from './document'
import type { BandUnit } from '../quantity/units'
import { isBandTarget, isZoneTarget } from './document'
import { largerIsHarder } from '../quantity/units'
import { limits } from './limits'
import { remembered } from './settled'
import { countFlatSteps, eachStep, nestingOf } from './walk'

/** Something a document says that the contract does not allow, beyond what its schema can tell. */
export interface SessionProblem {
  code: string
  problem: string
  /** The item's path; absent when it concerns the session. */
  path?: string
}

function checkBand(band: Band, unit: BandUnit, what: string): string | null {
  const { easiest, hardest } = band
  if (easiest === undefined || hardest === undefined || easiest === hardest) return null
  const inOrder = largerIsHarder(unit) ? easiest < hardest : easiest > hardest
  return inOrder ? null : `the easiest end of ${what} is harder than its hardest end`
}

function checkTarget(target: Target, end: End): string | null {
  const linear = end.on === 'time' || end.on === 'distance'
  if (target.to && !linear) return 'a target that changes needs a step of a time or a distance'
  if (isBandTarget(target)) {
    if (target.unit === 's/step' && end.on !== 'distance') return "a time for the step's own distance needs a distance"
    if (target.to?.of !== undefined && target.to.of !== target.of) return 'a target changes within one measure'
    if (target.to?.unit !== undefined && target.to.unit !== target.unit) return 'a target changes within one unit'
    return (
      checkBand(target, target.unit, 'the target') ?? (target.to ? checkBand(target.to, target.unit, 'what the target changes to') : null)
    )
  }
  if (isZoneTarget(target)) {
    const inOrder = (zone: typeof target.zone) => !Array.isArray(zone) || zone[0] <= zone[1]
    if (!inOrder(target.zone) || (target.to && !inOrder(target.to.zone))) return 'the lower zone comes first'
    if (target.to?.of !== undefined && target.to.of !== target.of) return 'a target changes within one measure'
  }
  return null
}

function checkEnd(end: End, depth = 0): string | null {
  if (end.on === 'first')
    return depth > 8 ? 'too many ends joined by or' : (checkEnd(end.of[0], depth + 1) ?? checkEnd(end.of[1], depth + 1))
  return null
}

const checkStep = remembered((step: Step): string | null => {
  return (
    checkEnd(step.end) ??
    (step.target ? checkTarget(step.target, step.end) : null) ??
    (step.also ? checkTarget(step.also, step.end) : null) ??
    (step.grade && step.grade.low > step.grade.high ? 'the lower grade comes first' : null)
  )
})

const advancesTime = (end: End): boolean => end.on !== 'first' || end.of.every(advancesTime)

/** Whether a round of the block can make way at all, so that a repeat until a distance comes to an end. */
function advances(items: readonly Item[], measure: 'distance' | 'time'): boolean {
  return items.some(item => {
    if (item.kind === 'unread' || ('off' in item && item.off)) return false
    if (item.kind !== 'step') return advances(item.items, measure)
    return measure === 'time' ? advancesTime(item.end) : item.role !== 'rest'
  })
}

function checkBlock(block: Block): string | null {
  if ('times' in block.repeat && block.repeat.times !== undefined) return null
  if (block.lastRecovery) return 'a repeat until a distance or a time has no last recovery to drop'
  const measure = 'distance' in block.repeat ? 'distance' : 'time'
  return advances(block.items, measure)
    ? null
    : `no step of this repeat makes any ${measure === 'distance' ? 'way' : 'time'}, so it would never end`
}

function checkItems(items: readonly Item[], prefix: string, session: Session, inLeg: boolean, into: SessionProblem[]): void {
  items.forEach((item, index) => {
    switch (item.kind) {
      case 'unread':
        into.push({ code: 'unread', problem: `a line is unread: "${item.text}"`, path: `${prefix}${index + 1}` })
        break
      case 'step': {
        const problem = checkStep(item)
        if (problem) into.push({ code: 'step', problem, path: `${prefix}${index + 1}` })
        break
      }
      case 'leg':
        if (session.sport !== 'multi' || inLeg)
          into.push({
            code: 'leg',
            problem: 'a leg stands only in a session of several sports, and in no other leg',
            path: `${prefix}${index + 1}`,
          })
        checkItems(item.items, `${prefix}${index + 1}.`, session, true, into)
        break
      case 'block': {
        const problem = checkBlock(item)
        if (problem) into.push({ code: 'block', problem, path: `${prefix}${index + 1}` })
        checkItems(item.items, `${prefix}${index + 1}.`, session, inLeg, into)
      }
    }
  })
}

function longestSeconds(session: Session): number {
  let seconds = 0
  eachStep(session, ({ step }) => {
    if (step.end.on === 'time' || step.end.on === 'send-off') seconds += step.end.seconds
    return true
  })
  return seconds
}

/**
 * What stands against a document that already fits the schema: the order of a target's ends, repeats that cannot end,
 * legs out of place, unread lines, and the limits of `docs/limits.md`. An empty list is a good document.
 */
export function checkSession(session: Session): SessionProblem[] {
  const nesting = nestingOf(session.items)
  if (nesting > limits.nesting) {
    return [{ code: 'nesting', problem: `repeats stand ${nesting} deep in each other; the limit is ${limits.nesting}` }]
  }
  const problems: SessionProblem[] = []
  if ((session.title?.length ?? 0) > limits.titleLength) {
    problems.push({ code: 'title', problem: `the title has ${session.title!.length} characters; the limit is ${limits.titleLength}` })
  }
  const count = countFlatSteps(session.items)
  if (count > limits.flatSteps) {
    problems.push({ code: 'steps', problem: `the session comes to ${count} steps; the limit is ${limits.flatSteps}` })
  } else if (longestSeconds(session) > limits.seconds) {
    problems.push({ code: 'duration', problem: 'the session lasts longer than 48 h, which is the limit' })
  }
  checkItems(session.items, '', session, false, problems)
  return problems
}
