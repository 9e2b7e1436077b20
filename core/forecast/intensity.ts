import type { Missing } from '../words/missing'
import { criticalOf, shareOfCritical } from '../athlete/critical-share'
import type { Standpoint } from '../athlete/standpoint'
import { speedOfPace } from '../athlete/athlete'
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
}

/** What an untargeted step is likely gone at, as a share of critical, where no pace says more. */
const likelyShare: Readonly<Record<Role, number>> = {
  'warm-up': 0.68,
  'work': 0.8,
  'recovery': 0.6,
  'rest': 0,
  'cool-down': 0.62,
  'transition': 0.4,
}

const middle = ({ easiest, hardest }: { easiest: number | null; hardest: number | null }) =>
  easiest !== null && hardest !== null ? (easiest + hardest) / 2 : (easiest ?? hardest)

/** The intensity of a target at its beginning and end; null where a number of the athlete is missing. */
function ofTarget(target: ReckonedTarget, step: Step, standpoint: Standpoint, sport: Sport): [number, number] | null {
  const from = middle(target)
  const to = target.to ? middle(target.to) : from
  if (from === null || to === null) return null
  const shares = [from, to].map(value => shareOfCritical(value, target.unit, step, standpoint, sport))
  return shares[0] === null || shares[1] === null ? null : (shares as [number, number])
}

function byRole(step: Step, standpoint: Standpoint, sport: Sport): number {
  if (step.role === 'rest') return 0
  if (step.role === 'work' && step.manner === 'stride') return 1.2
  const { speed } = criticalOf(standpoint, sport)
  const own =
    step.manner === 'walk'
      ? standpoint.athlete.walkPace
      : step.role === 'recovery'
        ? standpoint.athlete.recoveryPace
        : step.role === 'work'
          ? undefined
          : standpoint.athlete.easyPace
  const pace = speedOfPace(own, sport)
  return pace !== undefined && speed !== undefined ? pace / speed : likelyShare[step.role]
}

export type Course = { ok: true; segments: IntensitySegment[]; guessed: boolean } | { ok: false; missing: Missing }

/**
 * The session as it is likely gone through: how long each step lasts and at which share of critical.
 *
 * @param flat the reckoned steps in their order
 * @returns what is missing where a step's time or a work target's intensity cannot be told
 */
export function courseOf(session: Session, flat: readonly ReckonedStep[], standpoint: Standpoint): Course {
  const segments: IntensitySegment[] = []
  const known = new Map<string, { step: Step; sport: Sport } | null>()
  let guessed = false
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
    const seconds = entry.seconds.likely ?? (step.role === 'rest' ? 60 : null)
    if (seconds === null) return { ok: false, missing: { code: 'step-times' } }
    const isTold = entry.target !== undefined && entry.target.unit !== 'rpm' && entry.target.unit !== 'spm'
    const shares = isTold ? ofTarget(entry.target!, step, standpoint, sport) : null
    if (isTold && !shares) return { ok: false, missing: missingFor(entry.target!.unit, sport) }
    if (!shares && step.role === 'work') guessed = true
    const [from, to] = shares ?? [byRole(step, standpoint, sport), byRole(step, standpoint, sport)]
    segments.push({ path: entry.path, round: entry.round, role: step.role, sport, seconds, from, to })
  }
  return { ok: true, segments, guessed }
}

function missingFor(unit: string, sport: Sport): Missing {
  if (unit === 'bpm') return { code: 'heart-reserve', sport }
  return { code: unit === 'W' || sport === 'ride' ? 'critical-power' : 'critical-speed', sport }
}
