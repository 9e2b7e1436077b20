import type { Program, ProgramEnd } from '../wrist/program/program'
import { poolLengthOf } from '../wrist/program/program'
import type { RecordedStep } from './align'
import { metresAt, samplesBetween } from './align'
import type { PlannedStep } from './planned-steps'
import { likelySteps } from './planned-steps'
import type { Recording } from './recording'
import type { ShapeStretch } from './shape-align'
import { alignByShape } from './shape-align'
import type { ShapeSignal } from './shape-signal'
import { longestSilence, meanOf, shapeSignal } from './shape-signal'

/** Steps found in a recording without the engine's marks. */
export interface Unmarked {
  /** In their order; a stretch that is none of the plan's has an empty path. */
  steps: RecordedStep[]
  basis: 'laps' | 'shape'
  /** 0 to 1: how much of the plan was found, and how much of that the recording itself tells. */
  confidence: number
}

/** A lap is a boundary's own when it is that near, in seconds. */
const lapNear = 3
const lapsTell = 0.8
const mostSure = { laps: 0.95, shape: 0.9 } as const
/** Where nobody knows how many rounds there were, the shape alone is not sure of them. */
const openRounds = 0.75
/** Means this far apart, as a share of the reference, tell two steps from each other. */
const tellsApart = 0.06

/** A length that is off by no more than a boundary can be. */
const isNear = (length: number, wanted: number) => Math.abs(length - wanted) <= Math.max(6, 0.03 * wanted)

function isAsLong(end: ProgramEnd, seconds: number, metres: number | null): boolean | null {
  switch (end.on) {
    case 'time':
      return isNear(seconds, end.seconds)
    case 'distance':
    case 'send-off':
      return metres === null ? null : Math.abs(metres - end.metres) <= Math.max(20, 0.03 * end.metres)
    case 'first':
    case 'press':
    case 'heart-rate':
    case 'energy':
      return null
  }
}

/** Between two samples so far apart nobody moved. */
const pausesOf = ({ samples: { t } }: Recording): RecordedStep['pauses'] =>
  t.flatMap((to, index) => {
    const from = index === 0 ? 0 : t[index - 1]!
    return to - from > longestSilence ? [{ from, to }] : []
  })

function recordedStep(
  recording: Recording,
  pauses: RecordedStep['pauses'],
  { from, to }: ShapeStretch,
  planned: PlannedStep | null,
  isLast: boolean,
): RecordedStep {
  const [start, finish] = [metresAt(recording, from), metresAt(recording, to)]
  const metres = start === null || finish === null ? null : Math.max(0, finish - start)
  const isWhole = planned !== null && isAsLong(planned.step.end, to - from, metres) === true
  return {
    path: planned?.path ?? '',
    round: planned?.round ?? [],
    from,
    to,
    ...samplesBetween(recording, from, to),
    metres,
    pauses: planned?.step.sport === 'swim' ? [] : pauses.filter(pause => pause.from >= from && pause.to <= to),
    ceilings: 0,
    endedBy: isWhole ? 'end' : isLast ? 'stop' : 'press',
  }
}

/** How much of what was found the recording itself tells: that values turn there, or a wall or a lap is there, and that lengths fit. */
function toldBy(signal: ShapeSignal, stretches: readonly ShapeStretch[], planned: readonly PlannedStep[], laps: readonly number[]): number {
  let [told, asked] = [0, 0]
  const seen = [...laps, ...signal.walls]
  stretches.forEach((stretch, index) => {
    if (stretch.index === null) return
    const next = stretches[index + 1]
    if (next) {
      const [one, other] = [meanOf(signal, stretch.from, stretch.to), meanOf(signal, next.from, next.to)]
      const isSeen =
        (one !== null && other !== null && Math.abs(one - other) > tellsApart) ||
        seen.some(second => Math.abs(second - stretch.to) <= lapNear)
      asked++
      if (isSeen) told++
    }
    const metres = signal.metres[stretch.to]! - signal.metres[stretch.from]!
    const fits = isAsLong(planned[stretch.index]!.step.end, stretch.to - stretch.from, Number.isNaN(metres) ? null : metres)
    if (fits === null) return
    asked++
    if (fits) told++
  })
  return asked === 0 ? 0.5 : told / asked
}

/** Rounds that nobody could count are the first, second, third of their kind, in the order they were found. */
function inOrderOfRounds(stretches: readonly ShapeStretch[], planned: readonly PlannedStep[]): ShapeStretch[] {
  const left = new Map<string, number[]>()
  const isOpen = new Set(planned.flatMap(({ path, isOptional }) => (isOptional ? [path] : [])))
  planned.forEach(({ path }, index) => isOpen.has(path) && left.set(path, [...(left.get(path) ?? []), index]))
  return stretches.map(stretch => {
    const path = stretch.index === null ? '' : planned[stretch.index]!.path
    return isOpen.has(path) ? { ...stretch, index: left.get(path)!.shift()! } : stretch
  })
}

/**
 * Finds the planned steps in a recording that has none of the engine's marks: at the laps where they fit, else by the shape of power, pace
 * or heart rate.
 *
 * @returns null where nothing was recorded that could tell
 */
export function alignUnmarked(program: Program, recording: Recording): Unmarked | null {
  const planned = [...likelySteps(program.items)]
  const [first] = planned
  if (!first) return null
  const byPower = planned.some(({ step }) => step.target?.of === 'power')
  const signal = shapeSignal(recording, byPower, poolLengthOf(first.step, program) !== null)
  if (!signal) return null
  const laps = recording.marks.filter(({ kind }) => kind === 'lap').map(({ t }) => t)
  const stretches = inOrderOfRounds(alignByShape(signal, planned, laps), planned)
  const found = stretches.filter(({ index }) => index !== null)
  if (found.length === 0) return null
  const inner = stretches.slice(1).map(({ from }) => from)
  const atLaps = inner.filter(second => laps.some(lap => Math.abs(lap - second) <= lapNear)).length
  const basis = laps.length > 0 && inner.length > 0 && atLaps / inner.length >= lapsTell ? 'laps' : 'shape'
  const sure = planned.filter(({ isOptional }) => !isOptional).length
  const share = Math.min(1, found.length / sure) * toldBy(signal, stretches, planned, laps)
  const covered = found.reduce((sum, { from, to }) => sum + to - from, 0) / signal.seconds
  const isOpen = sure < planned.length && basis === 'shape'
  const pauses = pausesOf(recording)
  return {
    steps: stretches.map((stretch, index) =>
      recordedStep(recording, pauses, stretch, stretch.index === null ? null : planned[stretch.index]!, index === stretches.length - 1),
    ),
    basis,
    confidence: Math.round((isOpen ? openRounds : mostSure[basis]) * share * Math.min(1, covered + 0.1) * 100) / 100,
  }
}
