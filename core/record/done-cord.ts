import type { Standpoint } from '../athlete/standpoint'
import type { Cord, CordBracket, CordPart } from '../reckon/cord'
import { knotEffort, mostParts, partKind } from '../reckon/cord'
import { onEffortAxis } from '../reckon/sheet'
import type { Program, ProgramStep } from '../wrist/program/program'
import { stepAtPath } from '../wrist/program/program-steps'
import type { Score, ScoredStep } from './score'

function effortOf({ target, grade, manner, role, sport }: ProgramStep, standpoint: Standpoint): number | null {
  const band =
    target &&
    onEffortAxis(
      { of: target.of, unit: target.unit, easiest: target.easiest ?? null, hardest: target.hardest ?? null },
      grade,
      standpoint,
      sport,
    )
  return knotEffort(band ? (band.low + band.high) / 2 : null, { role, manner }, standpoint, sport)
}

function partOf(step: ProgramStep, { seconds, held }: ScoredStep, standpoint: Standpoint): CordPart {
  const effort = effortOf(step, standpoint)
  const kind = partKind(step, effort)
  return { kind, seconds: Math.round(seconds ?? 0), ...(kind === 'knot' ? { effort } : {}), ...(held === null ? {} : { held }) }
}

/** The repeats around the parts: those of one block and one outer round lie together, and are counted. */
function bracketsOf(steps: readonly ScoredStep[], blockOf: (step: ScoredStep, depth: number) => string | null): CordBracket[] {
  const found = new Map<string, CordBracket & { rounds: Set<number> }>()
  steps.forEach((step, index) => {
    step.round.forEach((round, depth) => {
      const block = blockOf(step, depth)
      if (block === null) return
      const key = `${block} ${step.round.slice(0, depth).join('.')}`
      const bracket = found.get(key) ?? { from: index, to: index, words: '', depth, rounds: new Set<number>() }
      bracket.to = index
      bracket.rounds.add(round)
      found.set(key, bracket)
    })
  })
  return [...found.values()].map(({ rounds, ...bracket }) => ({ ...bracket, words: String(rounds.size) }))
}

/**
 * What was done as a cord: the steps that were carried out, as long as they took, with the share of each that was held.
 *
 * @returns null where nothing tells which step was when
 */
export function doneCord(program: Program, score: Score, standpoint: Standpoint): Cord | null {
  const done = score.steps.filter(({ status, seconds, path }) => status !== 'skipped' && (seconds ?? 0) > 0 && stepAtPath(program, path))
  if (score.basis === 'none' || done.length === 0) return null
  const shown = done.slice(0, mostParts)
  const brackets = bracketsOf(shown, ({ path, round }, depth) => {
    const parts = path.split('.')
    const outer = parts.length - 1 - (round.length - 1 - depth)
    return outer > 0 ? parts.slice(0, outer).join('.') : null
  })
  return { parts: shown.map(step => partOf(stepAtPath(program, step.path)!, step, standpoint)), brackets }
}
