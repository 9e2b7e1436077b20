import { isRecoveryRole } from '../session/recovery'
import type { Standpoint } from '../athlete/standpoint'
import type { Edit } from '../edit/edit'
import { apply } from '../edit/edit'
import { shiftTarget } from '../edit/harder'
import type { Shift } from '../edit/harder'
import { itemAt } from '../session/item-path'
import { formatTime, sayDuration } from '../quantity/time'
import { reckon } from '../reckon/reckon'
import { printEnd } from '../script/print'
import { printTarget } from '../script/print-target'
import type { Session, Step, Target } from '../session/document'
import { isBandTarget, isEffortTarget } from '../session/document'
import type { HeartCourse } from './heart-response'
import type { IntensitySegment } from './intensity'
import { courseOf } from './intensity'
import type { ReserveCourse } from './reserve'
import { reserveThrough } from './reserve'

export type Reach = 'easy' | 'within' | 'hard' | 'edge' | 'beyond'

/** A change that would bring the session within reach, reckoned and not canned. */
export interface Proposal {
  label: string
  edits: Edit[]
  leaves: number
}

export interface Verdict {
  reach: Reach
  message: string
  proposals: Proposal[]
}

const edges = { beyond: 0, edge: 0.12, hard: 0.4, within: 0.9 } as const
/** What a proposal leaves of the reserve. */
const wanted = 0.1

const ordinals = [
  'zeroth',
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
]
export function ordinal(count: number): string {
  const ending = count % 100 >= 11 && count % 100 <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][count % 10] ?? 'th')
  return ordinals[count] ?? `${count}${ending}`
}

/** Names a step by its place among the steps of its path: `the fourth repeat`, `the second round's 400 m`. */
function nameStep(session: Session, path: string, round: readonly number[], segments: readonly IntensitySegment[]): string {
  const alike = segments.filter(segment => segment.path === path)
  const position = alike.findIndex(segment => segment.round.join('.') === round.join('.')) + 1
  const item = itemAt(session, path)
  const words = item?.kind === 'step' ? printEnd(item.end) : 'step'
  return alike.length > 1 ? `the ${ordinal(position)} ${words}` : `the ${words}`
}

const isAbove = (segment: IntensitySegment) => segment.role === 'work' && (segment.from > 1 || segment.to > 1)

interface Judged {
  session: Session
  standpoint: Standpoint
  segments: readonly IntensitySegment[]
  rate: number
}

/** The least of the balance once the edits are carried out: the session is reckoned anew with each. Null where they do not fit. */
function leastAfter({ session, standpoint, rate }: Judged, edits: readonly Edit[]): number | null {
  let changed = session
  for (const edit of edits) {
    const result = apply(changed, edit, standpoint)
    if (!result.ok) return null
    changed = result.session
  }
  const course = courseOf(changed, reckon(changed, standpoint).flat, standpoint)
  return course.ok ? reserveThrough(course.segments, rate).least.share : null
}

/** The least amount, in steps, whose edits leave enough of the reserve. */
function leastAmount(
  most: number,
  step: number,
  editsFor: (amount: number) => Edit[],
  leaves: (edits: Edit[]) => number | null,
): { amount: number; edits: Edit[]; leaves: number } | null {
  const tried = (count: number) => {
    const edits = editsFor(count * step)
    const left = edits.length === 0 ? null : leaves(edits)
    return left !== null && left >= wanted ? { amount: count * step, edits, leaves: left } : null
  }
  let [low, high] = [0, Math.round(most / step)]
  let best = tried(high)
  if (!best) return null
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    const found = tried(middle)
    if (found) best = found
    if (found) high = middle
    else low = middle
  }
  return best
}

/** The unit in which a target is eased: its own where it has one that can be shifted. */
function easingUnit(target: Target, segment: IntensitySegment): Shift['unit'] | null {
  if (isEffortTarget(target)) return target.offset?.unit ?? (segment.sport === 'ride' ? '%' : 's/km')
  if (!isBandTarget(target)) return null
  if (target.unit === 's/km' || target.unit === 's/mi' || target.unit === 's/100m' || target.unit === 'W') return target.unit
  return '%'
}

/** A percentage eased deserves no tenths. */
function inWholePercent(target: Target): Target {
  if (!isBandTarget(target) || !target.unit.startsWith('%')) return target
  const { easiest, hardest, ...rest } = target
  return {
    ...rest,
    ...(easiest === undefined ? {} : { easiest: Math.floor(easiest) }),
    ...(hardest === undefined ? {} : { hardest: Math.floor(hardest) }),
  }
}

const easingWords = (amount: number, unit: Shift['unit']) =>
  unit === 'W' ? `${amount} W less` : unit === '%' ? `${amount} % easier` : `${amount} ${unit} slower`

function easier(judged: Judged): Proposal | null {
  const { session, segments } = judged
  const hard = segments.filter(isAbove)
  const first = hard[0] && itemAt(session, hard[0].path)
  const unit = first?.kind === 'step' && first.target ? easingUnit(first.target, hard[0]!) : null
  if (unit === null) return null
  const paths = [...new Set(hard.map(segment => segment.path))]
  const editsFor = (amount: number) =>
    paths.flatMap((path): Edit[] => {
      const step = itemAt(session, path) as Step
      const shifted = step.target && shiftTarget(step.target, { by: -amount, unit })
      const target = shifted && inWholePercent(shifted)
      if (!target) return []
      const isOwnTime = isBandTarget(target) && target.unit === 's/step'
      return [
        {
          do: 'target',
          at: path,
          words: `${isOwnTime ? 'in ' : ''}${printTarget(target, isOwnTime)}${step.also ? ` and ${printTarget(step.also)}` : ''}`,
        },
      ]
    })
  const found = leastAmount(unit === 'W' ? 120 : unit === '%' ? 30 : 60, 1, editsFor, edits => leastAfter(judged, edits))
  return found && { label: easingWords(found.amount, unit), edits: found.edits, leaves: found.leaves }
}

function longerRest(judged: Judged): Proposal | null {
  const { session, segments } = judged
  const paths = new Set<string>()
  segments.forEach((segment, index) => {
    const isBetween = segments.slice(index + 1).some(isAbove) && segments.slice(0, index).some(isAbove)
    const item = itemAt(session, segment.path)
    if (isBetween && item?.kind === 'step' && isRecoveryRole(item.role) && item.end.on === 'time') paths.add(segment.path)
  })
  const editsFor = (seconds: number) =>
    [...paths].map((path): Edit => {
      const step = itemAt(session, path) as Step & { end: { on: 'time'; seconds: number } }
      return { do: 'end', at: path, words: formatTime(step.end.seconds + seconds) }
    })
  const found = leastAmount(600, 15, editsFor, edits => leastAfter(judged, edits))
  return found && { label: `rest ${sayDuration(found.amount)} longer`, edits: found.edits, leaves: found.leaves }
}

function fewerRounds(judged: Judged): Proposal | null {
  const { session, segments } = judged
  const last = segments.filter(isAbove).at(-1)?.path
  const path = last?.includes('.') ? last.split('.')[0]! : null
  const block = path === null ? null : itemAt(session, path)
  if (path === null || block?.kind !== 'block' || block.repeat.times === undefined || block.repeat.times < 2) return null
  const { times } = block.repeat
  const editsFor = (fewer: number): Edit[] => [{ do: 'repeat', at: path, repeat: { times: times - fewer } }]
  const found = leastAmount(times - 1, 1, editsFor, edits => leastAfter(judged, edits))
  if (!found) return null
  const rounds = times - found.amount
  return { label: `${rounds} ${rounds === 1 ? 'round' : 'rounds'} instead of ${times}`, edits: found.edits, leaves: found.leaves }
}

const percent = (share: number) => `${Math.round(Math.max(0, share) * 100)} %`

/**
 * A plain answer to "can I do this?", from the reserve above critical and the forecast heart rate, with changes that
 * would bring the session within reach: each is tried on the same model before it is proposed.
 *
 * @param rate critical over reserve in 1/s, more than zero
 */
export function verdictOn(
  session: Session,
  standpoint: Standpoint,
  segments: readonly IntensitySegment[],
  course: ReserveCourse,
  rate: number,
  heart: HeartCourse | null,
): Verdict {
  const judged: Judged = { session, standpoint, segments, rate }
  const { least, empty } = course
  const reach: Reach =
    least.share < edges.beyond
      ? 'beyond'
      : least.share < edges.edge
        ? 'edge'
        : least.share < edges.hard
          ? 'hard'
          : least.share < edges.within
            ? 'within'
            : 'easy'
  const at = empty ?? least
  const name = at.path === '' ? '' : nameStep(session, at.path, at.round, segments)
  const words: Record<Reach, string> = {
    beyond: `Beyond reach: ${name} is more than you have above critical.`,
    edge: `At the edge: ${name} leaves ${percent(least.share)} of what you have above critical.`,
    hard: `Hard, and within reach: ${name} leaves ${percent(least.share)} of what you have above critical.`,
    within: `Within reach: at the least, ${percent(least.share)} is left above critical, after ${name}.`,
    easy: 'Nothing here goes far above critical.',
  }
  const ceiling = heart?.crossed
    ? ` Your ceiling of ${Math.round(heart.crossed.above)} bpm is likely crossed in ` +
      `${nameStep(session, heart.crossed.path, heart.crossed.round, segments)}.`
    : ''
  const proposals =
    reach === 'beyond' || reach === 'edge'
      ? [easier(judged), longerRest(judged), fewerRounds(judged)].filter(proposal => proposal !== null)
      : []
  return { reach, message: words[reach] + ceiling, proposals }
}
