import type { Column, Samples } from '../record/recording'
import type { SessionSport } from '../session/document'
import type { Mark } from '../wrist/engine/marks'
import type { ColumnName, Columns } from './exchanged'
import { columnNames, emptyColumns, samplesOf } from './exchanged'
import { cleanPositions } from './position-track'

/** Rows of a file as they stand in it: seconds since the start, which may be no number or not go on, and their values. */
export interface ForeignRows {
  at: number[]
  columns: Columns
  /** Rows with which a new stretch begins, after a pause. */
  stretches: number[]
}

const bounds: Readonly<Record<ColumnName, readonly [number, number]>> = {
  metres: [0, 1e7],
  heartRate: [0, 350],
  power: [0, 10_000],
  cadence: [0, 500],
  lat: [-90, 90],
  lon: [-180, 180],
  altitude: [-1000, 15_000],
}
const latestSecond = 604_800
/** More samples than this a recording does not hold. */
const samplesAtMost = 400_000

export const countOf = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`

/** Gaps shorter than this are no pause, and none of so many usual steps between two samples. */
const shortestPause = 30
const usualSteps = 8
/** Metres a second over a gap under which one stood. */
const standing = 0.3

/** Where samples stop for long and nothing was covered meanwhile, the device was halted: a pause. */
function pausesInGaps(t: readonly number[], metres: Column): Mark[] {
  const steps = t.slice(1).map((time, index) => time - t[index]!)
  const usual = [...steps].sort((one, other) => one - other)[Math.floor(steps.length * 0.9)] ?? 1
  const marks: Mark[] = []
  for (const [index, gap] of steps.entries()) {
    if (gap < shortestPause || gap < usualSteps * usual) continue
    const [before, after] = [metres[index] ?? null, metres[index + 1] ?? null]
    const isStanding = before === null || after === null || after - before < standing * gap
    if (isStanding) marks.push({ t: t[index]!, kind: 'pause' }, { t: t[index + 1]!, kind: 'resume' })
  }
  return marks
}

function boundValues(columns: Columns, left: string[]): void {
  for (const name of columnNames) {
    const [least, most] = bounds[name]
    let count = 0
    const column = columns[name]
    for (let index = 0; index < column.length; index++) {
      const value = column[index] ?? null
      if (value === null || (value >= least && value <= most)) continue
      column[index] = null
      count++
    }
    if (count > 0) left.push(`${countOf(count, 'value')} of ${name} outside of ${least} to ${most}`)
  }
}

/** A way that is told in steps, or that shrinks, is none that has been covered. */
const isCumulative = (metres: Column): boolean => {
  let [before, isSo] = [0, true]
  for (const value of metres) {
    if (value === null) continue
    if (value < before) isSo = false
    before = value
  }
  return isSo
}

/**
 * What a file holds as samples: rows whose time does not go on and values that cannot be are left out and counted; positions are
 * cleaned, a way that is none is measured anew, and pauses are told from stretches or from gaps.
 *
 * @param isOwn written by Agonis: nothing is cleaned, so that it reads back whole
 */
export function soundSamples(
  rows: ForeignRows,
  { isOwn, sport }: { isOwn: boolean; sport: SessionSport },
): { samples: Samples; pauses: Mark[]; left: string[]; notes: string[] } {
  const [left, notes, t, pauses]: [string[], string[], number[], Mark[]] = [[], [], [], []]
  const columns = emptyColumns()
  const begins = new Set(rows.stretches)
  const told = columnNames.map(name => ({ from: rows.columns[name], to: columns[name] }))
  let [dropped, more, isNew] = [0, 0, false]
  for (let row = 0; row < rows.at.length; row++) {
    const at = rows.at[row]!
    isNew ||= begins.has(row)
    const before = t.at(-1)
    if (!Number.isFinite(at) || at < 0 || at > latestSecond || (before !== undefined && at <= before)) dropped++
    else if (t.length >= samplesAtMost) more++
    else {
      if (isNew && before !== undefined) pauses.push({ t: before, kind: 'pause' }, { t: at, kind: 'resume' })
      isNew = false
      t.push(at)
      for (const { from, to } of told) to.push(from[row] ?? null)
    }
  }
  if (dropped > 0) left.push(`${countOf(dropped, 'point')} whose time is missing or does not go on`)
  if (more > 0) left.push(`${countOf(more, 'sample')} beyond ${samplesAtMost}`)
  boundValues(columns, left)
  if (isOwn) return { samples: samplesOf(t, columns), pauses, left, notes }
  const lost = cleanPositions(t, columns.lat, columns.lon)
  if (lost > 0) left.push(`${countOf(lost, 'position')} where nobody can have been`)
  if (!isCumulative(columns.metres)) {
    columns.metres.fill(null)
    notes.push('its way did not grow, and was measured along the positions')
  }
  const samples = samplesOf(t, columns)
  const halts = pauses.length > 0 || sport === 'swim' ? pauses : pausesInGaps(t, samples.metres)
  if (halts.length > 0) {
    const seconds = halts.reduce((sum, { t: at, kind }) => sum + (kind === 'resume' ? at : -at), 0)
    notes.push(`${countOf(halts.length / 2, 'pause')}, ${Math.round(seconds)} s in all, left out of every mean`)
  }
  return { samples, pauses: halts, left, notes }
}
