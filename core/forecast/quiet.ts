import type { Athlete, BandSchoolKind } from '../athlete/athlete'
import type { QuietContext, QuietMeasure } from '../athlete/quiet-room'
import { quietRoom } from '../athlete/quiet-room'
import type { Standpoint } from '../athlete/standpoint'
import { withAthlete } from '../athlete/standpoint'
import { resolveTarget } from '../athlete/resolve'
import { itemAt, sportAt } from '../session/item-path'
import { placeAt } from '../session/place'
import { isPaceUnit } from '../quantity/intensity'
import { printTarget } from '../script/print-target'
import type { BandTarget, Session, Target } from '../session/document'
import { isBandTarget, isEffortTarget } from '../session/document'
import type { Held, HoldingContext, NudgeForecast } from './nudges'
import { heldStep } from './nudges'
import type { Nudging } from '../nudge/nudging'
import { expectedNudges } from '../nudge/quiet-width'

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

/** A row whose band would nudge more than once in five minutes. */
export interface QuietStep {
  path: string
  /** Nudges expected in one of its rounds. */
  expected: number
  /** The band that would not, or the same led by the mean of more seconds; null where no room can be given to it. */
  target: Target | null
  words: string
  /** Seconds of the mean that it is better led by, where no band alone is quiet; null where one is. */
  byMeanOf: number | null
}

export interface QuietProposal {
  /** For the target held longest in the session; null where none can be given room. */
  main: Target | null
  steps: QuietStep[]
}

/** One nudge in so many seconds is quiet, with some room for a mean that is only simulated. */
const quietSeconds = 300
const slack = 1.25
/** Means that somebody can be led by where no band is quiet, in seconds, the shortest first. */
const longerMeans = [10, 20, 30, 60, 120] as const

const isNagging = (expected: number, seconds: number) => expected > slack * Math.max(1, seconds / quietSeconds)

/** The target made quiet, and by the mean of how many seconds where its band alone is not. */
function madeQuiet(target: Target, of: QuietMeasure, athlete: Athlete, context: QuietContext): Pick<QuietStep, 'target' | 'byMeanOf'> {
  const room = quietRoom(athlete, of, context)
  if (!room.stillNags) return { target: quietTarget(target, room.share), byMeanOf: null }
  const over = longerMeans.find(seconds => !quietRoom(athlete, of, { ...context, over: seconds }).stillNags) ?? longerMeans.at(-1)!
  const quiet = quietTarget(target, quietRoom(athlete, of, { ...context, over }).share)
  return { target: quiet && { ...quiet, over }, byMeanOf: over }
}

/** The quiet bands of a session, for a watch that judges so: the width that resolving goes by as well. */
export function quietBands(
  session: Session,
  held: readonly Held[],
  { perStep }: NudgeForecast,
  standpoint: Standpoint,
  nudging: Nudging,
): QuietProposal {
  const rows = new Map<string, { of: QuietMeasure; expected: number; seconds: number; total: number }>()
  for (const [index, { entry, held: step }] of held.entries()) {
    const known = rows.get(entry.path)
    rows.set(entry.path, {
      of: entry.target!.of as QuietMeasure,
      expected: Math.max(known?.expected ?? 0, perStep[index]!.expected),
      seconds: Math.max(known?.seconds ?? 0, step.seconds),
      total: (known?.total ?? 0) + step.seconds,
    })
  }
  const steps: QuietStep[] = []
  let main: { target: Target; total: number } | null = null
  for (const [path, { of, expected, seconds, total }] of rows) {
    const item = itemAt(session, path)
    const sport = sportAt(session, path)
    if (item?.kind !== 'step' || !item.target || sport === 'multi') continue
    const context = { sport, place: placeAt(session, path)?.kind, nudging, over: item.target.over }
    const { target, byMeanOf } = madeQuiet(item.target, of, standpoint.athlete, context)
    if (target && item.role === 'work' && (main === null || total > main.total)) main = { target, total }
    if (isNagging(expected, seconds)) steps.push({ path, expected, target, words: target ? wordsOf(target, item.also) : '', byMeanOf })
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

/**
 * The band of each school around one step's target, and how often each would nudge in that step; and the band as said.
 *
 * @param expected nudges in the step as it is said
 */
export function compareSchools(
  target: Target,
  main: Held,
  expected: number,
  context: HoldingContext & { stepMetres?: number | undefined },
): SchoolBand[] {
  const { standpoint, sport, place, nudging, stepMetres } = context
  const tenths = (value: number) => Math.round(value * 10) / 10
  const bands: SchoolBand[] = []
  const point = pointOf(target)
  for (const kind of point ? schools : []) {
    const ofSchool = withAthlete(standpoint, { ...standpoint.athlete, schools: { ...standpoint.athlete.schools, band: { kind } } })
    const resolution = resolveTarget(point!, ofSchool, { sport, nudging, place: place?.kind, stepMetres })
    if (!resolution.ok) continue
    const { of, unit, easiest = null, hardest = null } = resolution.target
    const held = heldStep({ of, unit, easiest, hardest }, main.held.seconds, context)
    if (held && easiest !== null && hardest !== null)
      bands.push({ kind, easiest, hardest, unit, expected: tenths(expectedNudges(held, nudging)) })
  }
  const { easiest, hardest, unit } = main.entry.target!
  if (easiest !== null && hardest !== null) bands.push({ kind: 'as-said', easiest, hardest, unit, expected: tenths(expected) })
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
