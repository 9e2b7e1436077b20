import { groupBy } from '../quantity/group'
import { meanOfKnown } from '../quantity/mean'
import { heartRecoveries } from '../record/observe'
import type { Recording } from '../record/recording'
import type { Score, ScoredStep } from '../record/score'
import type { Role } from '../session/document'
import type { Program, ProgramStep } from '../wrist/program/program'
import { stepsByPath } from '../wrist/program/program-steps'
import type { BestEffort } from './best-efforts'
import { bestEfforts } from './best-efforts'

/** One row of work in one recording: the mean of its rounds. */
export interface LearntRow {
  path: string
  of: 'speed' | 'power'
  mean: number
  heartRate: number | null
  rounds: number
}

/** How far the work of a recording lay from the middle of its bands: 0.02 is two percent harder. */
export interface LearntEvidence {
  ratio: number
  seconds: number
  steps: number
}

/** What one recording tells for good, so that its samples need not be read again. */
export interface Learnt {
  version: number
  bests: BestEffort[]
  rows: LearntRow[]
  evidence: LearntEvidence | null
  /** Seconds that open steps took. */
  open: { role: Role; seconds: number }[]
  /** Beats that the heart fell in the minute after hard steps. */
  recoveries: number[]
}

/** Goes up when the same recording tells something else than before. */
export const learntVersion = 1

const isDone = ({ status }: ScoredStep) => status === 'done' || status === 'ran-over'
/** Shorter work tells nothing of what can be held, in seconds. */
const longEnough = 60
/** Below this confidence nobody knows which step was which. */
const surely = 0.6

function rowsOf(steps: ReadonlyMap<string, ProgramStep>, scored: readonly ScoredStep[]): LearntRow[] {
  const byPath = groupBy(
    scored.filter(step => isDone(step) && steps.get(step.path)?.role === 'work'),
    ({ path }) => path,
  )
  return [...byPath].flatMap(([path, rounds]): LearntRow[] => {
    const of = steps.get(path)!.target?.of === 'power' ? ('power' as const) : ('speed' as const)
    const value = meanOfKnown(rounds.map(round => round.mean[of]))
    return value === null || value <= 0
      ? []
      : [{ path, of, mean: value, heartRate: meanOfKnown(rounds.map(round => round.mean.heartRate)), rounds: rounds.length }]
  })
}

function evidenceOf(steps: ReadonlyMap<string, ProgramStep>, scored: readonly ScoredStep[]): LearntEvidence | null {
  let [sum, seconds, count] = [0, 0, 0]
  for (const step of scored) {
    const planned = steps.get(step.path)
    const target = planned?.target
    if (!isDone(step) || planned?.role !== 'work' || !target || target.to || (step.seconds ?? 0) < longEnough) continue
    if (target.of !== 'pace' && target.of !== 'power') continue
    const value = target.of === 'pace' ? step.mean.speed : step.mean.power
    if (value === null || value <= 0 || !target.easiest || !target.hardest) continue
    sum += step.seconds! * Math.log(value / ((target.easiest + target.hardest) / 2))
    seconds += step.seconds!
    count++
  }
  return seconds === 0 ? null : { ratio: sum / seconds, seconds, steps: count }
}

/** What one recording tells for good: its bests, its rows, how its work lay to its bands, how long open steps took, how the heart fell. */
export function learnFrom(recording: Recording, program: Program | null, score: Score | null): Learnt {
  const isKnown = program !== null && score !== null && score.basis !== 'none' && score.confidence >= surely
  const steps = stepsByPath(isKnown ? program.items : [])
  const scored = isKnown ? score.steps : []
  return {
    version: learntVersion,
    bests: bestEfforts(recording),
    rows: rowsOf(steps, scored),
    evidence: evidenceOf(steps, scored),
    open: scored.flatMap(step => {
      const planned = steps.get(step.path)
      return planned?.end.on === 'press' && isDone(step) && step.seconds !== null ? [{ role: planned.role, seconds: step.seconds }] : []
    }),
    recoveries: heartRecoveries(
      recording,
      scored.filter(step => step.startsAt !== null && step.endsAt !== null),
    ),
  }
}
