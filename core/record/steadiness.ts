import type { Steadiness } from '../nudge/steadiness'
import type { Sport } from '../session/document'
import { settlingSeconds } from '../nudge/settling'
import type { Program } from '../wrist/program/program'
import type { Recording } from './recording'
import type { Score } from './score'
import { plannedSteps } from './planned-steps'

/** What recordings say of how steadily a target is held. */
export interface LearntSteadiness extends Steadiness {
  sport: Sport
  measure: 'speed' | 'power'
  seconds: number
  steps: number
}

export interface DoneProgram {
  recording: Recording
  program: Program
  score: Score
}

/** Sums of products a number of seconds apart, and how many; `lags[0]` are the squares. */
interface Pool {
  lags: { sum: number; pairs: number }[]
  steps: number
}

const emptyPool = (): Pool => ({ lags: Array.from({ length: 4 }, () => ({ sum: 0, pairs: 0 })), steps: 0 })

/** Fewer judged seconds than this tell nothing. */
const enoughSeconds = 600
const shortestStep = 60

/** One-second values of a step after settling, as shares of their mean; null at gaps. */
function residuals({ samples }: Recording, from: number, to: number, measure: 'speed' | 'power'): (number | null)[] {
  const values: (number | null)[] = []
  for (let index = 1; index < samples.t.length; index++) {
    const [t, before] = [samples.t[index]!, samples.t[index - 1]!]
    if (t <= from || t > to) continue
    const gap = t - before
    if (gap < 0.9 || gap > 1.1) {
      values.push(null)
      continue
    }
    if (measure === 'power') {
      values.push(samples.power?.[index] ?? null)
      continue
    }
    const [a, b] = [samples.metres[index - 1], samples.metres[index]]
    values.push(typeof a === 'number' && typeof b === 'number' ? (b - a) / gap : null)
  }
  const known = values.filter(value => value !== null)
  const mean = known.reduce((sum, value) => sum + value, 0) / known.length
  return mean > 0 ? values.map(value => (value === null ? null : value / mean - 1)) : []
}

function addTo(pool: Pool, shares: readonly (number | null)[]): void {
  shares.forEach((share, index) => {
    if (share === null) return
    pool.lags.forEach((lag, seconds) => {
      const later = shares[index + seconds]
      if (typeof later !== 'number') return
      lag.sum += share * later
      lag.pairs++
    })
  })
  pool.steps++
}

/**
 * Spread and correlation from the products some seconds apart. A speed is a difference of metres that were rounded, which
 * spoils the first second: it is told from two and three seconds apart.
 */
function autoregressionOf({ lags }: Pool, measure: 'speed' | 'power'): Steadiness | null {
  const covariances = lags.map(({ sum, pairs }) => (pairs === 0 ? 0 : sum / pairs)) as [number, number, number, number]
  const [near, far] = measure === 'power' ? [covariances[0], covariances[1]] : [covariances[2], covariances[3]]
  if (!(near > 0)) return null
  const phi = Math.min(0.995, Math.max(0.05, far / near))
  return { sd: Math.sqrt(measure === 'power' ? near : near / phi ** 2), tau: -1 / Math.log(phi) }
}

/**
 * How steadily the athlete holds a target, from steps that were carried out with one: the spread of the one-second value
 * around its mean in each step, and its correlation time from one second to the next.
 *
 * @param done recordings with the program they were carried out from and their score
 * @returns one entry a sport and measure with at least ten minutes of held steps; none where too little is known
 * @source first-order autoregression by the Yule-Walker equations: phi = r(k+1) / r(k), tau = -1 / ln phi
 */
export function learnSteadiness(done: readonly DoneProgram[]): LearntSteadiness[] {
  const pools = new Map<string, Pool>()
  for (const { recording, program, score } of done) {
    const steps = new Map([...plannedSteps(program.items)].map(({ step, path }) => [path, step]))
    for (const { path, status, startsAt, endsAt } of score.steps) {
      const step = steps.get(path)
      const of = step?.target?.of
      if (!step || (of !== 'pace' && of !== 'power') || step.target!.to || status !== 'done' || startsAt === null || endsAt === null)
        continue
      const from = startsAt + settlingSeconds[of]
      if (endsAt - from < shortestStep) continue
      const key = `${step.sport} ${of === 'pace' ? 'speed' : 'power'}`
      const pool = pools.get(key) ?? emptyPool()
      addTo(pool, residuals(recording, from, endsAt, of === 'pace' ? 'speed' : 'power'))
      pools.set(key, pool)
    }
  }
  return [...pools].flatMap(([key, pool]): LearntSteadiness[] => {
    const [sport, measure] = key.split(' ') as [Sport, 'speed' | 'power']
    const seconds = pool.lags[0]!.pairs
    const found = seconds < enoughSeconds ? null : autoregressionOf(pool, measure)
    if (!found || found.sd > 0.3) return []
    return [{ sport, measure, sd: Math.round(found.sd * 1e4) / 1e4, tau: Math.round(found.tau * 10) / 10, seconds, steps: pool.steps }]
  })
}
