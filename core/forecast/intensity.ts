import type { Missing } from '../words/missing'
import type { Ability } from '../athlete/ability'
import { abilityOf, intensityOver } from '../athlete/ability'
import { shareOfCritical } from '../athlete/critical-share'
import { usualShare } from '../athlete/usual-share'
import type { Standpoint } from '../athlete/standpoint'
import { endKinds } from '../session/ends'
import { itemAt, sportAt } from '../session/item-path'
import type { ReckonedStep, ReckonedTarget } from '../reckon/reckon'
import type { Role, Session, Sport, Step } from '../session/document'

/** A stretch of the session at one intensity, or one that changes evenly. */
export interface IntensitySegment {
  path: string
  round: number[]
  role: Role
  sport: Sport
  seconds: number
  /** Share of critical speed or power at its beginning and end; 1 is critical. */
  from: number
  to: number
  /** The heart rate that its target names, in bpm. */
  bpm?: number
}

/** The middle of a band as typed: of paces the mean pace, of all else the mean. */
function middle({ easiest, hardest, unit }: { easiest: number | null; hardest: number | null; unit: string }): number | null {
  if (easiest === null || hardest === null) return easiest ?? hardest
  return unit === 'm/s' ? 2 / (1 / easiest + 1 / hardest) : (easiest + hardest) / 2
}

/** The intensity of a target at its beginning and end; null where a number of the athlete is missing. */
function ofTarget(target: ReckonedTarget, step: Step, standpoint: Standpoint, sport: Sport): [number, number] | null {
  const from = middle(target)
  const to = target.to && endKinds[step.end.on].isLinear ? middle({ ...target.to, unit: target.unit }) : from
  if (from === null || to === null) return null
  const shares = [from, to].map(value => shareOfCritical(value, target.unit, step, standpoint, sport))
  return shares[0] === null || shares[1] === null ? null : (shares as [number, number])
}

/** A step that a forecast leaves out or only guesses, and why. */
export interface LeftOut {
  path: string
  code: Missing['code'] | 'no-target'
}

/** The session as it is likely gone through, with what could not be told of it. */
export interface Course {
  segments: IntensitySegment[]
  leftOut: LeftOut[]
  /** The numbers of the athlete that would tell more. */
  missing: Missing[]
}

/** `max effort` is the most that can be held for the step's own length, as a share of critical. */
function allOut(step: Step, entry: ReckonedStep, ability: Ability): { share: number; seconds: number | null } {
  const metres = entry.metres.likely
  const isByDistance = step.end.on === 'distance' && ability.sport !== 'ride' && metres !== null
  const speed = isByDistance ? intensityOver(ability, metres) : null
  if (speed !== null) return { share: speed / ability.critical, seconds: metres! / speed }
  const seconds = entry.seconds.likely
  return { share: seconds === null ? 1 : ability.intensityFor(seconds) / ability.critical, seconds }
}

/**
 * The session as it is likely gone through: how long each step lasts and at which share of critical. What cannot be told is
 * left out, or taken at a customary intensity, and named.
 *
 * @param flat the reckoned steps in their order
 */
export function courseOf(session: Session, flat: readonly ReckonedStep[], standpoint: Standpoint): Course {
  const course: Course = { segments: [], leftOut: [], missing: [] }
  const known = new Map<string, { step: Step; sport: Sport } | null>()
  const leave = (path: string, code: LeftOut['code'], missing?: Missing) => {
    if (!course.leftOut.some(one => one.path === path && one.code === code)) course.leftOut.push({ path, code })
    if (missing && !course.missing.some(one => JSON.stringify(one) === JSON.stringify(missing))) course.missing.push(missing)
  }
  for (const entry of flat) {
    let found = known.get(entry.path)
    if (found === undefined) {
      const item = itemAt(session, entry.path)
      const sport = sportAt(session, entry.path)
      found = item?.kind === 'step' && sport !== 'multi' ? { step: item, sport } : null
      known.set(entry.path, found)
    }
    if (!found) continue
    const { step, sport } = found
    const ability = abilityOf(standpoint, sport)
    const { path, round, role } = entry
    const isMax = step.target?.of === 'effort' && step.target.name === 'max' && !step.target.offset && ability !== null
    const all = isMax ? allOut(step, entry, ability) : null
    const seconds = all ? all.seconds : (entry.seconds.likely ?? (step.role === 'rest' ? 60 : null))
    if (seconds === null) {
      leave(path, 'step-times', { code: 'step-times' })
      continue
    }
    const isTold = entry.target !== undefined && entry.target.unit !== 'rpm' && entry.target.unit !== 'spm'
    const shares = all ? ([all.share, all.share] as const) : isTold ? ofTarget(entry.target!, step, standpoint, sport) : null
    if (isTold && !shares) {
      const missing = missingFor(entry.target!.unit, sport)
      leave(path, missing.code, missing)
    } else if (!shares && step.role === 'work' && step.manner !== 'stride') leave(path, 'no-target')
    const [from, to] = shares ?? [usualShare(step, standpoint, sport), usualShare(step, standpoint, sport)]
    const bpm = entry.target?.unit === 'bpm' ? middle(entry.target) : null
    course.segments.push({ path, round, role, sport, seconds, from, to, ...(bpm === null ? {} : { bpm }) })
  }
  return course
}

function missingFor(unit: string, sport: Sport): Missing {
  if (unit === 'bpm') return { code: 'heart-reserve', sport }
  return { code: unit === 'W' || sport === 'ride' ? 'critical-power' : 'critical-speed', sport }
}
