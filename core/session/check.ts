import { endKinds } from './ends'
import type { BlockProblem, SessionProblem, StepProblem } from './problem'
import type { Band, Block, End, Item, Session, Step, Target } from './document'
import type { BandUnit } from '../quantity/units'
import { isBandTarget, isZoneTarget } from './document'
import { largerIsHarder } from '../quantity/units'
import { limits } from './limits'
import { remembered } from './settled'
import { countFlatSteps, eachStep, nestingOf } from './walk'

function checkBand(band: Band, unit: BandUnit, what: StepProblem): StepProblem | null {
  const { easiest, hardest } = band
  if (easiest === undefined || hardest === undefined || easiest === hardest) return null
  const inOrder = largerIsHarder(unit) ? easiest < hardest : easiest > hardest
  return inOrder ? null : what
}

function checkTarget(target: Target, end: End): StepProblem | null {
  const linear = endKinds[end.on].isLinear
  if (target.to && !linear) return 'changing-end'
  if (isBandTarget(target)) {
    if (target.unit === 's/step' && end.on !== 'distance') return 'own-time-end'
    if (target.to?.of !== undefined && target.to.of !== target.of) return 'changing-measure'
    if (target.to?.unit !== undefined && target.to.unit !== target.unit) return 'changing-unit'
    return checkBand(target, target.unit, 'target-order') ?? (target.to ? checkBand(target.to, target.unit, 'goal-order') : null)
  }
  if (isZoneTarget(target)) {
    const inOrder = (zone: typeof target.zone) => !Array.isArray(zone) || zone[0] <= zone[1]
    if (!inOrder(target.zone) || (target.to && !inOrder(target.to.zone))) return 'zone-order'
    if (target.to?.of !== undefined && target.to.of !== target.of) return 'changing-measure'
  }
  return null
}

function checkEnd(end: End, depth = 0): StepProblem | null {
  if (end.on === 'first') return depth > 8 ? 'too-many-ends' : (checkEnd(end.of[0], depth + 1) ?? checkEnd(end.of[1], depth + 1))
  return null
}

const checkStep = remembered((step: Step): StepProblem | null => {
  return (
    checkEnd(step.end) ??
    (step.target ? checkTarget(step.target, step.end) : null) ??
    (step.also ? checkTarget(step.also, step.end) : null) ??
    (step.grade && step.grade.low > step.grade.high ? 'grade-order' : null)
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

function checkBlock(block: Block): BlockProblem | null {
  if ('times' in block.repeat && block.repeat.times !== undefined) return null
  if (block.lastRecovery) return 'no-last-recovery'
  const measure = 'distance' in block.repeat ? 'distance' : 'time'
  return advances(block.items, measure) ? null : `no-${measure}`
}

function checkItems(items: readonly Item[], prefix: string, session: Session, inLeg: boolean, into: SessionProblem[]): void {
  items.forEach((item, index) => {
    switch (item.kind) {
      case 'unread':
        into.push({ code: 'unread', text: item.text, path: `${prefix}${index + 1}` })
        break
      case 'step': {
        const what = checkStep(item)
        if (what) into.push({ code: 'step', what, path: `${prefix}${index + 1}` })
        break
      }
      case 'leg':
        if (session.sport !== 'multi' || inLeg) into.push({ code: 'leg', path: `${prefix}${index + 1}` })
        checkItems(item.items, `${prefix}${index + 1}.`, session, true, into)
        break
      case 'block': {
        const what = checkBlock(item)
        if (what) into.push({ code: 'block', what, path: `${prefix}${index + 1}` })
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
    return [{ code: 'nesting', count: nesting, limit: limits.nesting }]
  }
  const problems: SessionProblem[] = []
  if ((session.title?.length ?? 0) > limits.titleLength) {
    problems.push({ code: 'title', count: session.title!.length, limit: limits.titleLength })
  }
  const count = countFlatSteps(session.items)
  if (count > limits.flatSteps) {
    problems.push({ code: 'steps', count, limit: limits.flatSteps })
  } else if (longestSeconds(session) > limits.seconds) {
    problems.push({ code: 'duration' })
  }
  checkItems(session.items, '', session, false, problems)
  return problems
}
