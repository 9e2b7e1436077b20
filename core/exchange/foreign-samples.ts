import type { Column, Samples } from '../record/recording'
import { firstWhere } from '../quantity/search'
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
  const usual = Float64Array.from(steps).sort()[Math.floor(steps.length * 0.9)] ?? 1
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
      const value = column[index]!
      if (Number.isNaN(value) || (value >= least && value <= most)) continue
      column[index] = Number.NaN
      count++
    }
    if (count > 0) left.push(`${countOf(count, 'value')} of ${name} outside of ${least} to ${most}`)
  }
}

/** A way that is told in steps, or that shrinks, is none that has been covered. */
const isCumulative = (metres: readonly number[]): boolean => {
  let [before, isSo] = [0, true]
  for (const value of metres) {
    if (Number.isNaN(value)) continue
    if (value < before) isSo = false
    before = value
  }
  return isSo
}

/** The rows whose time goes on from the one before, and how many do not, or are too many. */
function rowsGoingOn(at: readonly number[]): { kept: number[]; dropped: number; more: number } {
  const kept: number[] = []
  let [dropped, more, before] = [0, 0, -1]
  for (let row = 0; row < at.length; row++) {
    const time = at[row]!
    if (!(time > before && time >= 0 && time <= latestSecond)) dropped++
    else if (kept.length >= samplesAtMost) more++
    else {
      kept.push(row)
      before = time
    }
  }
  return { kept, dropped, more }
}

function columnsAt(columns: Columns, kept: readonly number[]): Columns {
  const chosen = emptyColumns()
  for (const name of columnNames) if (columns[name].length > 0) chosen[name] = kept.map(row => columns[name][row] ?? Number.NaN)
  return chosen
}

/** Between two stretches is a pause, from the last row that counts to the next. */
function pausesBetween(stretches: readonly number[], kept: readonly number[], t: readonly number[]): Mark[] {
  const firsts = new Set(stretches.map(row => firstWhere(0, kept.length, at => kept[at]! >= row)))
  return [...firsts]
    .filter(first => first > 0 && first < t.length)
    .flatMap((first): Mark[] => [
      { t: t[first - 1]!, kind: 'pause' },
      { t: t[first]!, kind: 'resume' },
    ])
}

/**
 * What a file holds as samples: rows whose time does not go on and values that cannot be are left out and counted; positions are
 * cleaned, a way that is none is measured anew, and pauses are told from stretches or from gaps.
 *
 * @param rows are the reader's no longer: their columns may become those of the samples
 * @param isOwn written by Agonis: nothing is cleaned, so that it reads back whole
 */
export function soundSamples(
  rows: ForeignRows,
  { isOwn, sport }: { isOwn: boolean; sport: SessionSport },
): { samples: Samples; pauses: Mark[]; left: string[]; notes: string[] } {
  const [left, notes]: [string[], string[]] = [[], []]
  const { kept, dropped, more } = rowsGoingOn(rows.at)
  const t = kept.map(row => rows.at[row]!)
  const columns = kept.length === rows.at.length ? rows.columns : columnsAt(rows.columns, kept)
  const pauses = pausesBetween(rows.stretches, kept, t)
  if (dropped > 0) left.push(`${countOf(dropped, 'point')} whose time is missing or does not go on`)
  if (more > 0) left.push(`${countOf(more, 'sample')} beyond ${samplesAtMost}`)
  boundValues(columns, left)
  if (isOwn) return { samples: samplesOf(t, columns), pauses, left, notes }
  const lost = cleanPositions(t, columns.lat, columns.lon)
  if (lost > 0) left.push(`${countOf(lost, 'position')} where nobody can have been`)
  if (!isCumulative(columns.metres)) {
    columns.metres = []
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
