import { heldOver } from '../wrist/engine/judging'
import type { Recording } from './recording'

/** What is drawn of a recording: speed in m/s, or power in W. */
export type TraceOf = 'pace' | 'power'

/**
 * The values of a recording over the same seconds that a step is judged over, one for each sample; null without signal.
 *
 * @param poolLength metres of a length where it was swum in a pool: each length has its own speed from wall to wall
 * @param starts elapsed seconds at which steps began: what is waited at the wall before them is no swimming
 */
export function traceOf({ samples }: Recording, of: TraceOf, poolLength: number | null, starts: readonly number[]): (number | null)[] {
  return of === 'power' ? meanPower(samples) : poolLength === null ? meanSpeed(samples) : lengthSpeed(samples, starts)
}

type Samples = Recording['samples']

/** The position of the first sample of each sample's window. */
function* windows(t: readonly number[], seconds: number): Generator<[from: number, to: number]> {
  let from = 0
  for (let to = 0; to < t.length; to++) {
    while (from + 1 < to && t[from + 1]! <= t[to]! - seconds + 1e-9) from++
    yield [from, to]
  }
}

function meanSpeed({ t, metres }: Samples): (number | null)[] {
  return [...windows(t, heldOver.pace)].map(([from, to]) => {
    const [a, b] = [metres[from] ?? null, metres[to] ?? null]
    return a === null || b === null || to === from ? null : (b - a) / (t[to]! - t[from]!)
  })
}

function meanPower({ t, power = [] }: Samples): (number | null)[] {
  let [sum, count, begun] = [0, 0, 0]
  return [...windows(t, heldOver.power)].map(([from, to]) => {
    const value = power[to] ?? null
    if (value !== null) [sum, count] = [sum + value, count + 1]
    for (; begun < from; begun++) if (power[begun] !== null && power[begun] !== undefined) [sum, count] = [sum - power[begun]!, count - 1]
    return count === 0 ? null : sum / count
  })
}

function lengthSpeed({ t, metres }: Samples, starts: readonly number[]): (number | null)[] {
  const values: (number | null)[] = t.map(() => null)
  const left = [...starts].sort((a, b) => a - b)
  let wall = { t: 0, metres: metres[0] ?? 0, index: 0 }
  for (const [index, time] of t.entries()) {
    const now = metres[index] ?? null
    while (left.length > 0 && left[0]! < time) {
      const start = left.shift()!
      if (start >= wall.t) wall = { ...wall, t: start, index }
    }
    if (now === null || now <= wall.metres) continue
    values.fill((now - wall.metres) / (time - wall.t), wall.index, index + 1)
    wall = { t: time, metres: now, index: index + 1 }
  }
  return values
}
