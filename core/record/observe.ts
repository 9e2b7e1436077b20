import { median } from '../quantity/mean'
import { firstWhere } from '../quantity/search'
import type { Program } from '../wrist/program/program'
import { stepsOf } from '../wrist/program/program-steps'
import type { Recording } from './recording'
import type { Score, ScoredStep } from './score'
import { sampleAt } from './align'
import { climbedBetween, meanBetween, movingBetween, pausesOf } from './splits'

/** What is noticed of a recording beyond its steps, as codes with their numbers; `core/words/observed.ts` says them. */
export type Observed =
  /** Repeats of one step that got slower or faster from their first half to their second, and how much they differ from each other. */
  | { code: 'repeats'; path: string; count: number; of: 'speed' | 'power'; fade: number; spread: number; best: number; worst: number }
  /** Beats to the speed or power, from the first half to the second. */
  | { code: 'drift'; of: 'speed' | 'power'; share: number; seconds: number }
  /** Beats that the heart falls in the minute after hard steps. */
  | { code: 'recovery'; beats: number; after: number }
  | { code: 'stops'; count: number; seconds: number }
  | { code: 'pauses'; count: number; seconds: number }
  | { code: 'climbed'; metres: number }

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

const workPaths = ({ items }: Program) =>
  new Map(
    [...stepsOf(items)]
      .filter(({ role }) => role === 'work')
      .map(({ path, target }) => [path, target?.of === 'power' ? 'power' : 'speed'] as const),
  )

/** Fewer repeats than this have no halves. */
const fewestRepeats = 3

function* repeatsOf(program: Program, { steps }: Score): Generator<Observed> {
  for (const [path, of] of workPaths(program)) {
    const values = steps
      .filter(step => step.path === path && (step.status === 'done' || step.status === 'ran-over') && (step.mean[of] ?? 0) > 0)
      .map(step => step.mean[of]!)
    if (values.length < fewestRepeats) continue
    const half = Math.floor(values.length / 2)
    const whole = mean(values)
    yield {
      code: 'repeats',
      path,
      of,
      count: values.length,
      fade: 1 - mean(values.slice(-half)) / mean(values.slice(0, half)),
      spread: Math.sqrt(values.reduce((sum, value) => sum + (value - whole) ** 2, 0) / (values.length - 1)) / whole,
      best: values.indexOf(Math.max(...values)) + 1,
      worst: values.indexOf(Math.min(...values)) + 1,
    }
  }
}

/** Shorter than that a drift says nothing, in moving seconds; and the heart takes so long to come up. */
const steadyFor = 1800
const comingUp = 300
/** Wanders more than that about its mean from minute to minute, and it was no even going. */
const evenEnough = 0.12

/**
 * How far the heart drifts from speed or power between the halves of an even going: the ratio of the second half over that of the
 * first, less one. The first five minutes are left out.
 *
 * @returns null where it was under half an hour or not even
 */
function driftOf(recording: Recording): Extract<Observed, { code: 'drift' }> | null {
  const { t, metres, heartRate, power } = recording.samples
  if (!heartRate) return null
  const of = power && recording.sport === 'ride' ? ('power' as const) : ('speed' as const)
  const pauses = pausesOf(recording)
  const end = t.at(-1) ?? 0
  const minutes: { value: number; beats: number }[] = []
  for (let from = comingUp; from + 60 <= end; from += 60) {
    if (movingBetween(pauses, from, from + 60) < 60) continue
    const [first, last] = [sampleAt(t, from), sampleAt(t, from + 60)]
    const beats = meanBetween(heartRate, first, last)
    const way = (metres[last] ?? Number.NaN) - (metres[first] ?? Number.NaN)
    const value = of === 'power' ? meanBetween(power, first, last) : way / 60
    if (beats !== null && value !== null && value > 0) minutes.push({ value, beats })
  }
  if (minutes.length * 60 < steadyFor) return null
  const whole = mean(minutes.map(({ value }) => value))
  const spread = Math.sqrt(mean(minutes.map(({ value }) => (value / whole - 1) ** 2)))
  if (spread > evenEnough) return null
  const half = Math.floor(minutes.length / 2)
  const ratio = (part: typeof minutes) => mean(part.map(({ beats }) => beats)) / mean(part.map(({ value }) => value))
  return { code: 'drift', of, share: ratio(minutes.slice(-half)) / ratio(minutes.slice(0, half)) - 1, seconds: minutes.length * 60 }
}

/** Shares of the highest heart rate of the recording above which a step was hard for the heart. */
const hardForHeart = 0.85
const recoveryAfter = 60

/** Beats that the heart fell in the minute after each hard step that a rest of a minute or more followed. */
export function heartRecoveries({ samples: { t, heartRate } }: Recording, steps: readonly ScoredStep[]): number[] {
  if (!heartRate) return []
  const highest = Math.max(0, ...heartRate.map(value => value ?? 0))
  const at = (time: number): number | null => {
    const index = firstWhere(0, t.length, one => t[one]! >= time)
    return heartRate[index] ?? heartRate[index - 1] ?? null
  }
  return steps.flatMap((step, index) => {
    const next = steps[index + 1]
    if (step.endsAt === null || !next || next.startsAt === null || next.endsAt === null) return []
    if (next.endsAt - next.startsAt < recoveryAfter) return []
    const [end, later] = [at(step.endsAt), at(step.endsAt + recoveryAfter)]
    const isRest = (next.mean.speed ?? 0) < (step.mean.speed ?? 0) || (next.mean.power ?? 0) < (step.mean.power ?? 0)
    return end !== null && later !== null && isRest && end >= hardForHeart * highest && later < end ? [end - later] : []
  })
}

/** Slower than that one stands, in m/s, for at least so many seconds. */
const standing = 0.3
const stopSeconds = 10

function stopsOf(recording: Recording, steps: readonly ScoredStep[], rests: ReadonlySet<string>): Extract<Observed, { code: 'stops' }> {
  const { t, metres } = recording.samples
  const pauses = pausesOf(recording)
  const isRest = (time: number) => steps.some(({ path, startsAt, endsAt }) => rests.has(path) && startsAt! <= time && time <= endsAt!)
  let [count, seconds, from]: [number, number, number | null] = [0, 0, null]
  const close = (to: number) => {
    if (from === null) return
    const stood = movingBetween(pauses, from, to)
    if (stood >= stopSeconds && !isRest((from + to) / 2)) [count, seconds] = [count + 1, seconds + stood]
    from = null
  }
  for (let index = 1; index < t.length; index++) {
    const [before, now] = [metres[index - 1] ?? null, metres[index] ?? null]
    if (before === null || now === null) continue
    if (now - before < standing * (t[index]! - t[index - 1]!)) from ??= t[index - 1]!
    else close(t[index - 1]!)
  }
  close(t.at(-1) ?? 0)
  return { code: 'stops', count, seconds }
}

const restPaths = ({ items }: Program) =>
  new Set([...stepsOf(items)].filter(({ role }) => role === 'rest' || role === 'recovery').map(({ path }) => path))

/** Metres of climbing from which on it is worth a word. */
const hilly = 15

/**
 * What is noticed of a recording: how its repeats ran, how the heart drifted and recovered, where one stood, paused and climbed.
 * What the samples do not tell is not there.
 */
export function observe(recording: Recording, program: Program | null, score: Score | null): Observed[] {
  const observed: Observed[] = []
  const steps = score && score.basis !== 'none' ? score.steps.filter(step => step.startsAt !== null && step.endsAt !== null) : []
  if (program && score) observed.push(...repeatsOf(program, score))
  const drift = driftOf(recording)
  if (drift) observed.push(drift)
  const recoveries = heartRecoveries(recording, steps)
  if (recoveries.length >= fewestRepeats) observed.push({ code: 'recovery', beats: median(recoveries), after: recoveries.length })
  if (recording.sport === 'run' || recording.sport === 'ride') {
    const stops = stopsOf(recording, steps, program ? restPaths(program) : new Set())
    if (stops.count > 0) observed.push(stops)
  }
  const pauses = pausesOf(recording)
  if (pauses.length > 0)
    observed.push({ code: 'pauses', count: pauses.length, seconds: pauses.reduce((sum, { from, to }) => sum + to - from, 0) })
  const climbed = climbedBetween(recording.samples.altitude, 0, recording.samples.t.length - 1)
  if (climbed !== null && climbed >= hilly) observed.push({ code: 'climbed', metres: climbed })
  return observed
}
