import { isRecoveryRole } from '../session/recovery'
import { abilityOf } from '../athlete/ability'
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
import type { IntensitySegment } from './intensity'
import { courseOf } from './intensity'
import type { Level, UsedForecast } from './level'
import { levelBounds, levelOf } from './level'
import { shareUsed } from './share-used'

/** A change that would bring the session to an easier level, reckoned by the same model. */
export interface Proposal {
  kind: 'slower' | 'rest' | 'fewer' | 'another-day'
  /** By how much, and in which unit; of rounds, how many are left. Null for another day. */
  value: number | null
  unit: Shift['unit'] | 's' | 'rounds' | null
  level: Level
  used: number
  label: string
  edits: Edit[]
}

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
export function nameStep(session: Session, path: string, round: readonly number[], segments: readonly IntensitySegment[]): string {
  const alike = segments.filter(segment => segment.path === path)
  const position = alike.findIndex(segment => segment.round.join('.') === round.join('.')) + 1
  const item = itemAt(session, path)
  const words = item?.kind !== 'step' ? 'step' : item.role === 'work' ? printEnd(item.end) : item.role
  return alike.length > 1 ? `the ${ordinal(position)} ${words}` : `the ${words}`
}

/** Work that is hard enough for a change of it to be felt. */
const isAbove = (segment: IntensitySegment) => segment.role === 'work' && Math.max(segment.from, segment.to) > 0.9

interface Judged {
  session: Session
  standpoint: Standpoint
  segments: readonly IntensitySegment[]
  /** A proposal brings the share used below this. */
  below: number
}

/** The share used once the edits are carried out: the session is reckoned anew with each. Null where they do not fit. */
function usedAfter({ session, standpoint }: Judged, edits: readonly Edit[]): number | null {
  let changed = session
  for (const edit of edits) {
    const result = apply(changed, edit, standpoint)
    if (!result.ok) return null
    changed = result.session
  }
  const course = courseOf(changed, reckon(changed, standpoint).flat, standpoint)
  return shareUsed(course.segments, sport => abilityOf(standpoint, sport))?.most.used ?? null
}

/** The least amount, in steps, whose edits bring the session below the bound. */
function leastAmount(
  most: number,
  step: number,
  editsFor: (amount: number) => Edit[],
  judged: Judged,
): { amount: number; edits: Edit[]; used: number } | null {
  const tried = (count: number) => {
    const edits = editsFor(count * step)
    const used = edits.length === 0 ? null : usedAfter(judged, edits)
    return used !== null && used < judged.below ? { amount: count * step, edits, used } : null
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
  const found = leastAmount(unit === 'W' ? 120 : unit === '%' ? 30 : 60, 1, editsFor, judged)
  return found && proposal('slower', found.amount, unit, easingWords(found.amount, unit), found)
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
  const found = leastAmount(600, 15, editsFor, judged)
  return found && proposal('rest', found.amount, 's', `rest ${sayDuration(found.amount)} longer`, found)
}

function fewerRounds(judged: Judged): Proposal | null {
  const { session, segments } = judged
  const last = segments.filter(isAbove).at(-1)?.path
  const path = last?.includes('.') ? last.split('.')[0]! : null
  const block = path === null ? null : itemAt(session, path)
  if (path === null || block?.kind !== 'block' || block.repeat.times === undefined || block.repeat.times < 2) return null
  const { times } = block.repeat
  const editsFor = (fewer: number): Edit[] => [{ do: 'repeat', at: path, repeat: { times: times - fewer } }]
  const found = leastAmount(times - 1, 1, editsFor, judged)
  if (!found) return null
  const rounds = times - found.amount
  return proposal('fewer', rounds, 'rounds', `${rounds} ${rounds === 1 ? 'round' : 'rounds'} instead of ${times}`, found)
}

const proposal = (
  kind: Proposal['kind'],
  value: number,
  unit: Proposal['unit'],
  label: string,
  { edits, used }: { edits: Edit[]; used: number },
): Proposal => ({ kind, value, unit, label, edits, used, level: levelOf(used) })

/**
 * Changes that bring a session to the next easier level, each tried on the same model; for a race run once there is none.
 *
 * @returns another day where no change of the session alone does it
 */
export function proposalsFor(
  session: Session,
  standpoint: Standpoint,
  segments: readonly IntensitySegment[],
  used: UsedForecast,
): Proposal[] {
  const bound = levelBounds.findLast(([, below]) => below <= used.used.likely!)
  const isRaceOnce = used.level === 'race' && session.items.every(item => item.kind !== 'block')
  if ((used.level !== 'beyond' && used.level !== 'race') || !bound || isRaceOnce) return []
  const judged: Judged = { session, standpoint, segments, below: bound[1] }
  const found = [easier(judged), longerRest(judged), fewerRounds(judged)].filter(one => one !== null)
  return found.length > 0
    ? found
    : [
        {
          kind: 'another-day',
          value: null,
          unit: null,
          level: used.level,
          used: used.used.likely!,
          label: 'another session today',
          edits: [],
        },
      ]
}
