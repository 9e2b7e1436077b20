import type { Column, Recording, Samples } from '../record/recording'
import { wayAlong } from './position-track'

/** A recording written in another form, with what that form could not hold. */
export interface Written {
  text: string
  left: string[]
}

/** A recording out of a file: what was left out of it, and what was noticed and kept to. */
export interface TakenRecording {
  recording: Recording
  left: string[]
  notes: string[]
}

/** What a file of another program held, or why it is none. `others` are recordings of further sports in the same file. */
export type Taken = ({ ok: true; others: TakenRecording[] } & TakenRecording) | { ok: false; problem: string; line?: number }

/** The columns of samples beside the time, in the order they are written. */
export const columnNames = ['metres', 'heartRate', 'power', 'cadence', 'lat', 'lon', 'altitude'] as const
export type ColumnName = (typeof columnNames)[number]
/** Columns as they are read: NaN where a row has no value, and at an end where no further row has one. */
export type Columns = Record<ColumnName, number[]>

export const emptyColumns = (): Columns => ({ metres: [], heartRate: [], power: [], cadence: [], lat: [], lon: [], altitude: [] })

/** Sets the value of a row. */
export function put(column: number[], row: number, value: number): void {
  while (column.length < row) column.push(Number.NaN)
  column[row] = value
}

/** A column with null where a row has no value; none where no row has. */
function valuesIn(column: readonly number[], rows: number): Column | undefined {
  let missing = 0
  for (const value of column) if (Number.isNaN(value)) missing++
  if (missing === column.length) return undefined
  if (missing === 0 && column.length === rows) return column as number[]
  return Array.from({ length: rows }, (_, row) => {
    const value = column[row] ?? Number.NaN
    return Number.isNaN(value) ? null : value
  })
}

/** Samples with only those columns that hold anything. The way always stands; where none was told it is measured along the positions. */
export function samplesOf(t: number[], columns: Columns): Samples {
  const { metres, ...others } = Object.fromEntries(columnNames.map(name => [name, valuesIn(columns[name], t.length)]))
  const told = Object.fromEntries(Object.entries(others).filter(([, column]) => column !== undefined)) as Partial<Samples>
  return { t, metres: metres ?? wayAlong(told.lat ?? t.map(() => null), told.lon ?? []), ...told }
}
