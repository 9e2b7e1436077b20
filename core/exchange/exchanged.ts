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
export type Columns = Record<ColumnName, Column>

export const emptyColumns = (): Columns => ({ metres: [], heartRate: [], power: [], cadence: [], lat: [], lon: [], altitude: [] })

/** Samples with only those columns that hold anything. The way always stands; where none was told it is measured along the positions. */
export function samplesOf(t: number[], columns: Columns): Samples {
  const isWayKnown = columns.metres.some(value => value !== null)
  const samples: Samples = { t, metres: isWayKnown ? columns.metres : wayAlong(columns.lat, columns.lon) }
  for (const name of columnNames) {
    if (name !== 'metres' && columns[name].some(value => value !== null)) samples[name] = columns[name]
  }
  return samples
}
