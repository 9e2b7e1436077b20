import { blocksAt } from './cursor'
import type { EngineState, Run } from './engine-state'
import { stepOf } from './engine-state'
import type { ProgramEnd } from '../program/program'

/** A piece of time of even progress, up to the next reading. */
export interface ElapsedSlice {
  seconds: number
  metres: number
  work: number
}

/** Seconds from now until the end is reached within a stretch of even progress, or null. */
export function secondsUntil(end: ProgramEnd, run: Run, slice: ElapsedSlice, isLast: () => boolean): number | null {
  const { state } = run
  const step = state.step!
  const along = (left: number, gain: number) =>
    left <= 0 ? 0 : gain > 0 && left <= gain + 1e-9 ? Math.min(1, left / gain) * slice.seconds : null
  switch (end.on) {
    case 'time':
      return along(end.seconds - (state.moving - step.startMoving), slice.seconds)
    case 'distance':
      return along(end.metres - (state.metres - step.startMetres), slice.metres)
    case 'energy':
      return along(end.joules - (state.work - step.startWork), slice.work)
    case 'press':
      return null
    case 'heart-rate': {
      if (state.heartRate === null) return null
      const reached = end.below !== undefined ? state.heartRate < end.below : state.heartRate > end.above!
      return reached ? slice.seconds : null
    }
    case 'send-off': {
      const touch =
        step.touchedAt === null
          ? along(end.metres - (state.metres - step.startMetres), slice.metres)
          : Math.max(0, step.touchedAt - state.t)
      if (touch === null) return null
      if (isLast()) return touch
      const clock = step.startT + end.seconds - state.t
      return Math.max(touch, clock) <= slice.seconds + 1e-9 ? Math.max(touch, clock, 0) : null
    }
    case 'first': {
      const found = end.of.map(part => secondsUntil(part, run, slice, isLast)).filter(value => value !== null)
      return found.length === 0 ? null : Math.min(...found)
    }
  }
}

/** Notes the touch of a send-off that falls within the stretch. */
export function noteTouch(run: Run, slice: ElapsedSlice): void {
  const { state } = run
  const end = stepOf(run).end
  if (end.on !== 'send-off' || state.step!.touchedAt !== null) return
  const left = end.metres - (state.metres - state.step!.startMetres)
  if (left > slice.metres || slice.metres <= 0) return
  const at = state.t + Math.max(0, left / slice.metres) * slice.seconds
  state.step!.touchedAt = at
}

/** The outermost block until a distance or time that is used up within the stretch. */
export function blockUntil(run: Run, slice: ElapsedSlice): { depth: number; seconds: number } | null {
  const { state, program } = run
  const isRest = stepOf(run).role === 'rest'
  let found: { depth: number; seconds: number } | null = null
  blocksAt(program, state.cursor!).forEach((block, depth) => {
    const frame = state.cursor!.blocks[depth]!
    let seconds: number | null = null
    if ('metres' in block.repeat) {
      const left = block.repeat.metres - (state.distance - frame.startDistance)
      if (!isRest && slice.metres > 0 && left <= slice.metres + 1e-9) seconds = Math.max(0, left / slice.metres) * slice.seconds
    } else if ('seconds' in block.repeat) {
      const left = block.repeat.seconds - (state.moving - frame.startMoving)
      if (left <= slice.seconds + 1e-9) seconds = Math.max(0, left)
    }
    if (seconds !== null && (found === null || seconds < found.seconds)) found = { depth, seconds }
  })
  return found
}

/** How far the step has come, from 0 to 1, where its end can tell. */
export function progressOf(end: ProgramEnd, state: EngineState): number | null {
  const step = state.step
  if (!step) return null
  if (end.on === 'time') return Math.min(1, (state.moving - step.startMoving) / end.seconds)
  if (end.on === 'distance' || end.on === 'send-off') return Math.min(1, (state.metres - step.startMetres) / end.metres)
  return null
}
