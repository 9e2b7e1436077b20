import type { BlockProblem, SessionProblem, StepProblem } from '../session/problem'

const ofStep: Readonly<Record<StepProblem, string>> = {
  'target-order': 'the easiest end of the target is harder than its hardest end',
  'goal-order': 'the easiest end of what the target changes to is harder than its hardest end',
  'changing-end': 'a target that changes needs a step of a time or a distance',
  'own-time-end': "a time for the step's own distance needs a distance",
  'changing-measure': 'a target changes within one measure',
  'changing-unit': 'a target changes within one unit',
  'zone-order': 'the lower zone comes first',
  'too-many-ends': 'too many ends joined by or',
  'grade-order': 'the lower grade comes first',
}

const ofBlock: Readonly<Record<BlockProblem, string>> = {
  'no-last-recovery': 'a repeat until a distance or a time has no last recovery to drop',
  'no-distance': 'no step of this repeat makes any distance, so it would never end',
  'no-time': 'no step of this repeat takes any time, so it would never end',
}

/** A problem of a document as a sentence without its capital and stop. */
export function saySessionProblem(problem: SessionProblem): string {
  switch (problem.code) {
    case 'nesting':
      return `repeats stand ${problem.count} deep in each other; the limit is ${problem.limit}`
    case 'title':
      return `the title has ${problem.count} characters; the limit is ${problem.limit}`
    case 'steps':
      return `the session comes to ${problem.count} steps; the limit is ${problem.limit}`
    case 'duration':
      return 'the session lasts longer than 48 h, which is the limit'
    case 'leg':
      return 'a leg stands only in a session of several sports, and in no other leg'
    case 'unread':
      return `a line is unread: "${problem.text}"`
    case 'step':
      return ofStep[problem.what]
    case 'block':
      return ofBlock[problem.what]
  }
}
