import type { BandSchoolKind } from '../athlete/athlete'
import type { Standpoint } from '../athlete/standpoint'
import { withAthlete } from '../athlete/standpoint'
import { resolveTarget } from '../athlete/resolve'
import { itemAt, sportAt } from '../session/item-path'
import { isPaceUnit } from '../quantity/intensity'
import { normalsFrom } from '../quantity/normal'
import type { ReckonedTarget, Reckoning } from '../reckon/reckon'
import { printTarget } from '../script/print-target'
import type { BandTarget, Session, Sport, Target } from '../session/document'
import { isBandTarget, isEffortTarget } from '../session/document'
import type { Held } from './nudges'
import type { HeldStep, Nudging } from '../nudge/nudging'
import { heldStep } from './nudges'
import { nudgesIn } from '../nudge/nudging'

const quietRuns = 300
const quietSeed = 7

/** Mean nudges in one carrying out of a step, from the same numbers each time. */
export function expectedNudges(step: HeldStep, nudging: Nudging, runs = quietRuns): number {
  const normal = normalsFrom(quietSeed)
  const window = new Float64Array(step.smoothing)
  let sum = 0
  for (let run = 0; run < runs; run++) sum += nudgesIn(step, nudging, normal, window)
  return sum / runs
}

const widest = 0.5

/**
 * The narrowest band around what is meant, to each side as a share of it, with at most one expected nudge in the step.
 *
 * @param step its own bounds are not looked at
 * @returns 0 to 0.5, to a two-thousandth, rounded outward
 */
export function quietShare(step: HeldStep, nudging: Nudging): number {
  let [narrow, wide] = [0, widest]
  for (let round = 0; round < 11; round++) {
    const middle = (narrow + wide) / 2
    if (expectedNudges({ ...step, low: 1 - middle, high: 1 + middle }, nudging) > 1) narrow = middle
    else wide = middle
  }
  return Math.ceil(wide * 2000) / 2000
}

function quietBandTarget(target: BandTarget, share: number): BandTarget | null {
  const { easiest, hardest, unit } = target
  if (easiest === undefined || hardest === undefined || target.to || unit === 'of 10') return null
  const middle = (easiest + hardest) / 2
  const step = unit === 'km/h' || unit === 'mi/h' || unit === 'm/s' ? 10 : 1
  const down = Math.floor(middle * (1 - share) * step + 1e-9) / step
  const up = Math.ceil(middle * (1 + share) * step - 1e-9) / step
  if (down <= 0) return null
  const { give: _, ...rest } = target
  return isPaceUnit(unit) ? { ...rest, easiest: up, hardest: down } : { ...rest, easiest: down, hardest: up }
}

/**
 * A target with the quiet room around its middle, in its own unit and rounded outward: a range moves its ends, an effort
 * gets room to give.
 *
 * @returns null where no room can be given: zones, open bounds, targets that change over the step
 * @example quietTarget({ of: 'pace', unit: 's/km', easiest: 252, hardest: 248 }, 0.02) // 4:05-4:15 /km
 */
export function quietTarget(target: Target, share: number): Target | null {
  if (target.to) return null
  if (isBandTarget(target)) return quietBandTarget(target, share)
  if (!isEffortTarget(target) || target.name === 'max') return null
  const percent = Math.ceil(share * 1000 - 1e-9) / 10
  return { ...target, give: { easier: percent, harder: percent, unit: '%' } }
}

export interface QuietStep {
  path: string
  target: Target
  words: string
}

export interface QuietProposal {
  /** For the target held longest in the session; null where none can be given room. */
  main: Target | null
  /** Every row whose band would nudge more than once, with the band that would not. */
  steps: QuietStep[]
}

/** The quiet bands of a session, for a watch that judges so. */
export function quietBands(session: Session, reckoning: Reckoning, held: readonly Held[], nudging: Nudging): QuietProposal {
  const longest = new Map<string, { step: HeldStep; total: number }>()
  for (const { entry, held: step } of held) {
    const known = longest.get(entry.path)
    longest.set(entry.path, {
      step: known && known.step.seconds > step.seconds ? known.step : step,
      total: (known?.total ?? 0) + step.seconds,
    })
  }
  const shares = new Map<string, number>()
  const shareFor = (step: HeldStep) => {
    const key = `${Math.round(step.seconds)} ${step.settling} ${step.smoothing} ${step.steadiness.sd} ${step.steadiness.tau}`
    const share = shares.get(key) ?? quietShare(step, nudging)
    shares.set(key, share)
    return share
  }
  const steps: QuietStep[] = []
  let main: { target: Target; total: number } | null = null
  for (const [path, { step, total }] of longest) {
    const item = itemAt(session, path)
    const target = item?.kind === 'step' && item.target ? quietTarget(item.target, shareFor(step)) : null
    if (item?.kind !== 'step' || !target) continue
    if (item.role === 'work' && (main === null || total > main.total)) main = { target, total }
    if (expectedNudges(step, nudging) > 1) steps.push({ path, target, words: wordsOf(target, item.also) })
  }
  return { main: main?.target ?? null, steps }
}

function wordsOf(target: Target, also: Target | undefined): string {
  const isOwnTime = isBandTarget(target) && target.unit === 's/step'
  return `${isOwnTime ? 'in ' : ''}${printTarget(target, isOwnTime)}${also ? ` and ${printTarget(also)}` : ''}`
}

export interface SchoolBand {
  kind: BandSchoolKind | 'as-said'
  easiest: number
  hardest: number
  unit: string
  expected: number
}

const schools: readonly BandSchoolKind[] = ['quiet', 'lean-fast', 'even', 'percent']

/** The same target reduced to the one point that schools put their room around; null where it has none. */
function pointOf(target: Target): Target | null {
  if (target.to) return null
  const { give: _, ...rest } = target
  if (isEffortTarget(rest as Target)) return rest as Target
  if (!isBandTarget(rest as Target)) return null
  const band = rest as BandTarget
  if (band.easiest === undefined || band.hardest === undefined) return null
  const middle = (band.easiest + band.hardest) / 2
  return { ...band, easiest: middle, hardest: middle }
}

/** The band of each school around one step's target, and how often each would nudge in that step; and the band as said. */
export function compareSchools(
  target: Target,
  resolved: ReckonedTarget,
  seconds: number,
  standpoint: Standpoint,
  sport: Sport,
  nudging: Nudging,
  context: { stepMetres?: number } = {},
): SchoolBand[] {
  const bands: SchoolBand[] = []
  const add = (kind: SchoolBand['kind'], band: ReckonedTarget) => {
    const held = heldStep(band, seconds, standpoint, sport, nudging, target.over)
    if (held && band.easiest !== null && band.hardest !== null)
      bands.push({
        kind,
        easiest: band.easiest,
        hardest: band.hardest,
        unit: band.unit,
        expected: Math.round(expectedNudges(held, nudging) * 10) / 10,
      })
  }
  const point = pointOf(target)
  if (point) {
    for (const kind of schools) {
      const resolution = resolveTarget(
        point,
        withAthlete(standpoint, { ...standpoint.athlete, schools: { ...standpoint.athlete.schools, band: { kind } } }),
        { sport, smoothingSeconds: nudging.smoothingSeconds, ...context },
      )
      if (!resolution.ok) continue
      const { of, unit, easiest = null, hardest = null } = resolution.target
      if (kind !== 'quiet' || easiest === null || hardest === null) {
        add(kind, { of, unit, easiest, hardest })
        continue
      }
      const middle = (easiest + hardest) / 2
      const held = heldStep({ of, unit, easiest, hardest }, seconds, standpoint, sport, nudging, target.over)
      const share = held ? quietShare(held, nudging) : 0
      add(kind, { of, unit, easiest: middle * (1 - share), hardest: middle * (1 + share) })
    }
  }
  add('as-said', resolved)
  return bands
}

/** The step of a session whose schools are worth comparing: the work step held longest in all. */
export function mainStep(session: Session, held: readonly Held[]): Held | null {
  const totals = new Map<string, number>()
  for (const { entry, held: step } of held) totals.set(entry.path, (totals.get(entry.path) ?? 0) + step.seconds)
  const work = held.filter(({ entry }) => entry.role === 'work' && sportAt(session, entry.path) !== 'multi')
  return work.reduce<Held | null>(
    (best, one) => (best === null || totals.get(one.entry.path)! > totals.get(best.entry.path)! ? one : best),
    null,
  )
}
