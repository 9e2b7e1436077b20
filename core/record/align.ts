import { firstWhere } from '../quantity/search'
import type { Recording } from './recording'
import type { Mark } from '../wrist/engine/marks'

/** A stretch of a recording that one planned step took. */
export interface RecordedStep {
  path: string
  round: number[]
  /** Elapsed seconds. */
  from: number
  to: number
  /** First and last sample within, null when there is none. */
  first: number | null
  last: number | null
  metres: number | null
  pauses: { from: number; to: number }[]
  /** How often the ceiling was called. */
  ceilings: number
  /** By its own end, by hand, or by stopping. */
  endedBy: 'end' | 'press' | 'skip' | 'stop'
}

interface Opened {
  path: string
  round: number[]
  from: number
  pauses: { from: number; to: number }[]
  ceilings: number
  endedBy: RecordedStep['endedBy']
  to: number | null
}

/** Position of the first sample later than t. */
function firstAfter(times: readonly number[], t: number): number {
  return firstWhere(0, times.length, at => times[at]! > t)
}

/** Position of the last sample up to a time; of the first where none is. */
export const sampleAt = (times: readonly number[], t: number): number => Math.max(0, firstAfter(times, t) - 1)

/** Cumulative metres at a time, between samples in a straight line. */
export function metresAt(recording: Recording, t: number): number | null {
  const { t: times, metres } = recording.samples
  const after = firstAfter(times, t)
  const before = after - 1
  const low = before < 0 ? 0 : (metres[before] ?? null)
  if (after >= times.length) return low
  const high = metres[after] ?? null
  if (low === null || high === null) return low
  const from = before < 0 ? 0 : times[before]!
  return low + ((high - low) * (t - from)) / (times[after]! - from)
}

/** The first and last sample within a stretch, null when there is none. */
export function samplesBetween({ samples }: Recording, from: number, to: number): Pick<RecordedStep, 'first' | 'last'> {
  const first = firstAfter(samples.t, from)
  const last = firstAfter(samples.t, to) - 1
  return { first: first <= last ? first : null, last: first <= last ? last : null }
}

/** Elapsed seconds of a stretch without its pauses. */
export const movingSeconds = (recordedStep: Pick<RecordedStep, 'from' | 'to' | 'pauses'>) =>
  recordedStep.pauses.reduce((sum, pause) => sum - (Math.min(pause.to, recordedStep.to) - pause.from), recordedStep.to - recordedStep.from)

function reopen(opened: Opened[], mark: Mark): void {
  const name = JSON.stringify([mark.path, mark.round])
  const index = opened.findLastIndex(entry => JSON.stringify([entry.path, entry.round]) === name)
  if (index < 0) return
  const later = opened.splice(index + 1)
  const entry = opened[index]!
  entry.to = null
  entry.endedBy = 'end'
  for (const undone of later) {
    entry.pauses.push(...undone.pauses)
    entry.ceilings += undone.ceilings
  }
}

/** Goes through the marks in order and keeps what each step went through. */
function openedBy(marks: readonly Mark[], end: number): Opened[] {
  const opened: Opened[] = []
  let byHand: 'press' | 'skip' | null = null
  let pausedAt: number | null = null
  const close = (t: number, how: RecordedStep['endedBy']) => {
    const last = opened.at(-1)
    if (last && last.to === null) {
      last.to = t
      last.endedBy = how
    }
  }
  const resume = (t: number) => {
    if (pausedAt !== null) opened.at(-1)?.pauses.push({ from: pausedAt, to: t })
    pausedAt = null
  }
  for (const mark of marks) {
    switch (mark.kind) {
      case 'press':
      case 'skip':
        byHand = mark.kind
        break
      case 'jump':
        byHand = 'skip'
        break
      case 'step':
        close(mark.t, byHand ?? 'end')
        byHand = null
        opened.push({ path: mark.path ?? '', round: mark.round ?? [], from: mark.t, pauses: [], ceilings: 0, endedBy: 'end', to: null })
        break
      case 'back':
        reopen(opened, mark)
        break
      case 'pause':
        pausedAt = mark.t
        break
      case 'resume':
        resume(mark.t)
        break
      case 'ceiling':
        if (opened.length > 0) opened.at(-1)!.ceilings++
        break
      case 'stop':
        resume(mark.t)
        close(mark.t, byHand ?? 'stop')
        break
      case 'lap':
      case 'nudge':
      case 'prompt':
    }
  }
  close(end, 'stop')
  return opened
}

/** Metres of a stretch without those made in its pauses; null where the way at its ends is not known. */
export function metresOfStretch(recording: Recording, { from, to, pauses }: Pick<RecordedStep, 'from' | 'to' | 'pauses'>): number | null {
  const between = (start: number, end: number) => {
    const [low, high] = [metresAt(recording, start), metresAt(recording, end)]
    return low === null || high === null ? null : high - low
  }
  const whole = between(from, to)
  return whole === null ? null : Math.max(0, whole - pauses.reduce((sum, pause) => sum + (between(pause.from, pause.to) ?? 0), 0))
}

/**
 * The stretches that the engine's own marks cut a recording into, in order. A step taken back by `back` goes on as if
 * it had not ended. Empty when the recording has no step marks.
 *
 * @returns times in elapsed seconds, `metres` without those made in pauses
 */
export function alignByMarks(recording: Recording): RecordedStep[] {
  const end = recording.samples.t.at(-1) ?? recording.marks.at(-1)?.t ?? 0
  return openedBy(recording.marks, end).map((entry): RecordedStep => {
    const to = entry.to ?? end
    return {
      path: entry.path,
      round: entry.round,
      from: entry.from,
      to,
      pauses: entry.pauses,
      ceilings: entry.ceilings,
      endedBy: entry.endedBy,
      ...samplesBetween(recording, entry.from, to),
      metres: metresOfStretch(recording, { ...entry, to }),
    }
  })
}
