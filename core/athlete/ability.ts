import { hasCritical, sports } from '../session/sports'
import type { Sport } from '../session/document'
import { criticalPowerOf, criticalSpeedOf } from './athlete'
import type { CriticalFit } from './critical'
import { fitCritical, isCriticalTrial } from './critical'
import type { CurvePoint, DurationCurve } from './duration-curve'
import { drawCurve, timeWhere } from './duration-curve'
import type { Mark } from './marks'
import { marksOf } from './marks'
import { fitPowerLaw, secondsFor } from './power-law'
import type { Standpoint } from './standpoint'

/** Where a critical speed or power comes from. */
export type CriticalSource = 'own' | 'marks' | 'one-race'

/** What an athlete can do in a sport: how long each intensity can be held, and what is critical. */
export interface Ability extends DurationCurve {
  sport: Sport
  /** m/s; W on the bike. */
  critical: number
  criticalFrom: CriticalSource
  /** What can be spent above critical: metres, or joules on the bike; null where nothing tells it. */
  reserve: number | null
  /** The marks that the curve meets. */
  marks: Mark[]
  /** Marks slower than the others say by more than 3 % of their time: asked about, and left out until answered. */
  conflicts: Conflict[]
  /** The line through the marks of 2 to 20 min, or of a pool's tests, with the marks it is through; null where there is none. */
  line: CriticalLine | null
  /** No mark is of the last 120 days. */
  isOld: boolean
  /** How far an intensity of the curve may be off, as a share of it: from misfit, age and number of marks. */
  uncertainty: number
}

/** A mark that contradicts the others, with the one it contradicts most plainly. */
export interface Conflict extends Mark {
  against: Mark
}

/** Critical speed or power fitted through all-out efforts. */
export interface CriticalLine {
  fit: CriticalFit
  trials: Mark[]
}

/** A mark further off its fit than this share of time contradicts the others. */
const contradicts = 0.03
/** How a ride's power falls with time where nothing tells it. */
const ridersExponent = 0.07
/** Critical is about what can be held for so long. */
export const criticalSeconds = 2700
/** What can be spent above critical, over critical, where the athlete has shown neither: rough. */
const usualReserveSeconds: Readonly<Record<Sport, number>> = { ride: 75, run: 40, swim: 18 }

const asEffort = ({ seconds, intensity }: Mark) => ({ seconds, metres: seconds * intensity })

const exponentOf = (sport: Sport, marks: readonly Mark[]): number =>
  sport === 'ride' ? ridersExponent : 1 - 1 / (fitPowerLaw(sport, marks.map(asEffort))?.exponent ?? sports[sport].raceExponent)

/** By how much of its time each mark is slower than the law through all of them. */
function slowness(sport: Sport, marks: readonly Mark[]): number[] {
  const efforts = marks.map(asEffort)
  const law = sport === 'ride' ? null : fitPowerLaw(sport, efforts)
  return efforts.map(({ seconds, metres }) => (law ? seconds / secondsFor(law, metres) - 1 : 0))
}

/** The mark nearest to another in time, as a ratio. */
const nearestTo = (mark: Mark, others: readonly Mark[]): Mark =>
  others.reduce((best, one) =>
    Math.abs(Math.log(one.seconds / mark.seconds)) < Math.abs(Math.log(best.seconds / mark.seconds)) ? one : best,
  )

/** Parts marks that fit together from those that others contradict; where two disagree the faster counts. */
function agreeing(sport: Sport, all: readonly Mark[]): { marks: Mark[]; conflicts: Conflict[]; misfit: number } {
  let marks = [...all]
  const out: { mark: Mark; against: Mark | null }[] = []
  const conflicts = () => out.map(({ mark, against }) => ({ ...mark, against: against ?? nearestTo(mark, marks) }))
  for (;;) {
    const beaten = marks.flatMap(mark => {
      const against = marks.find(other => other !== mark && other.seconds >= mark.seconds && other.intensity >= mark.intensity)
      return against ? [{ mark, against }] : []
    })[0]
    if (beaten) {
      marks = marks.filter(mark => mark !== beaten.mark)
      out.push(beaten)
      continue
    }
    const slow = slowness(sport, marks)
    const worst = Math.max(...slow, 0)
    if (marks.length < 2 || worst <= contradicts) {
      const misfit = Math.max(0, ...slow.map(Math.abs))
      return { marks, conflicts: conflicts(), misfit }
    }
    const [mark] = marks.splice(slow.indexOf(worst), 1)
    out.push({ mark: mark!, against: null })
  }
}

/** The tests of a pool count whatever their time. */
const isPoolTest = (sport: Sport, { seconds, intensity }: Mark) =>
  sport === 'swim' && [200, 400].some(metres => Math.abs(seconds * intensity - metres) < 1)

const lineThrough = (trials: readonly Mark[], isAnyLength = false): CriticalLine | null => {
  const reading = fitCritical(
    trials.map(({ seconds, intensity }) => ({ seconds, amount: seconds * intensity })),
    isAnyLength,
  )
  return reading.ok ? { fit: reading.fit, trials: [...trials] } : null
}

/** The line through the marks that critical is told from: of 2 to 20 min, and in a pool those of its tests. */
const criticalLine = (sport: Sport, marks: readonly Mark[]): CriticalLine | null =>
  lineThrough(
    marks.filter(mark => isCriticalTrial(mark.seconds) || isPoolTest(sport, mark)),
    true,
  )

const runPowerLines = new WeakMap<Standpoint, CriticalLine | null>()

/** Critical power on foot, from marks that have a power; the standpoint's rule of which marks count. Fitted once for each standpoint. */
export function runPowerLine(standpoint: Standpoint): CriticalLine | null {
  const before = runPowerLines.get(standpoint)
  if (before !== undefined) return before
  const line = lineThrough(marksOf(standpoint, 'run', 'power').marks.filter(({ seconds }) => isCriticalTrial(seconds)))
  runPowerLines.set(standpoint, line)
  return line
}

/** The points of an athlete who has no marks: critical power, and what its reserve gives above it. */
function pointsOfCritical(critical: number, reserve: number): CurvePoint[] {
  const above = [180, 420, 1200].map(seconds => ({ seconds, intensity: critical + reserve / seconds }))
  return [...above, { seconds: criticalSeconds, intensity: critical }]
}

function abilityFrom(standpoint: Standpoint, sport: Sport): Ability | null {
  const { athlete } = standpoint
  const { marks: all, areOld } = marksOf(standpoint, sport)
  const sprints = all.filter(({ seconds }) => seconds < 60)
  const { marks, conflicts, misfit } = agreeing(
    sport,
    all.filter(({ seconds }) => seconds >= 60),
  )
  const own = sport === 'ride' ? criticalPowerOf(athlete, sport) : criticalSpeedOf(athlete, sport)
  const line = criticalLine(sport, marks)
  const fitted = line?.fit
  if (marks.length === 0 && own === undefined) return null
  const exponent = exponentOf(sport, marks)
  const ofOne =
    marks.length === 0
      ? null
      : drawCurve({ sport, points: marks, exponent, critical: marks[0]!.intensity * 0.9 }).intensityFor(criticalSeconds)
  const critical = own ?? fitted?.critical ?? ofOne!
  const reserve = reserveOf(standpoint, sport) ?? fitted?.reserve ?? null
  const points = marks.length > 0 ? marks : pointsOfCritical(critical, reserve ?? usualReserveSeconds[sport] * critical)
  const sprint = sprints.length > 0 ? Math.max(...sprints.map(({ intensity }) => intensity)) : undefined
  return {
    sport,
    ...drawCurve({ sport, points, exponent, critical, sprint }),
    critical,
    criticalFrom: own !== undefined ? 'own' : fitted ? 'marks' : 'one-race',
    reserve,
    marks,
    conflicts,
    line,
    isOld: areOld,
    uncertainty: uncertaintyOf(marks.length, misfit, areOld),
  }
}

const reserveOf = ({ athlete }: Standpoint, sport: Sport): number | undefined =>
  sport === 'ride' ? athlete.ride?.wPrime : sport === 'run' && hasCritical('run', 'speed') ? athlete.run?.dPrime : undefined

/** Shares of intensity: a day's form, what one race alone leaves open, and what four months can change. */
const spread = { day: 0.006, oneMark: 0.02, noMark: 0.03, old: 0.02 }

const uncertaintyOf = (count: number, misfit: number, areOld: boolean): number =>
  Math.hypot(spread.day, count === 0 ? spread.noMark : count === 1 ? spread.oneMark : 0, areOld ? spread.old : 0, misfit / 3)

/** How much less sure a curve is away from its marks, as a share of intensity for each unit of the logarithm of time. */
const awayFrom = { oneMark: 0.02, beyond: 0.012, between: 0.004 }

/**
 * How far an intensity of the curve may be off at a time: one standard deviation as a share of it, from misfit, age and number
 * of the marks and from how far that time is from what was shown.
 *
 * @param seconds more than zero
 */
export function uncertaintyAt({ marks, uncertainty }: Pick<Ability, 'marks' | 'uncertainty'>, seconds: number): number {
  const [first, last] = [marks[0], marks.at(-1)]
  if (!first || !last) return uncertainty
  const away = Math.min(...marks.map(mark => Math.abs(Math.log(seconds / mark.seconds))))
  const isBeyond = seconds < first.seconds || seconds > last.seconds
  return Math.hypot(uncertainty, away * (marks.length === 1 ? awayFrom.oneMark : isBeyond ? awayFrom.beyond : awayFrom.between))
}

const known = new WeakMap<Standpoint, Partial<Record<Sport, Ability | null>>>()

/**
 * What an athlete can do in a sport, from their marks, and from critical speed or power where they have set it. Worked out
 * once for each standpoint.
 *
 * @returns null where neither a mark nor a critical number tells it
 */
export function abilityOf(standpoint: Standpoint, sport: Sport): Ability | null {
  const own = known.get(standpoint) ?? {}
  known.set(standpoint, own)
  const before = own[sport]
  if (before !== undefined) return before
  return (own[sport] = abilityFrom(standpoint, sport))
}

/** Critical speed in m/s: the athlete's own, else the one that their marks give; undefined where nothing tells it. */
export const criticalSpeedFor = (standpoint: Standpoint, sport: Sport): number | undefined =>
  sport === 'ride' ? undefined : abilityOf(standpoint, sport)?.critical

/** Critical power in W: the athlete's own, else the one that their marks give; undefined where nothing tells it. */
export function criticalPowerFor(standpoint: Standpoint, sport: Sport): number | undefined {
  if (sport === 'ride') return abilityOf(standpoint, sport)?.critical
  const own = criticalPowerOf(standpoint.athlete, sport)
  return own ?? (sport === 'run' ? runPowerLine(standpoint)?.fit.critical : undefined)
}

/**
 * The speed that can be held over a distance, all out.
 *
 * @param metres more than zero
 * @returns m/s
 */
export function intensityOver({ intensityFor }: Pick<Ability, 'intensityFor'>, metres: number): number {
  return intensityFor(timeWhere(seconds => -intensityFor(seconds) * seconds, -metres, 1, 100 * 3600))
}
