import type { Column, Recording, Samples } from '../record/recording'

/** A recording written in another form, with what that form could not hold. */
export interface Written { text: string, left: string[] }

/** A recording read from another form, with what was left out of it, or why it is none. */
export type Taken
  = | { ok: true, recording: Recording, left: string[] }
    | { ok: false, problem: string, line?: number }

/** The columns of samples beside the time, in the order they are written. */
export const columnNames = ['metres', 'heartRate', 'power', 'cadence', 'lat', 'lon', 'altitude'] as const
export type ColumnName = typeof columnNames[number]

/** Samples with only those columns that hold anything; the way always stands. */
export function samplesOf(t: number[], columns: Record<ColumnName, Column>): Samples {
  const samples: Samples = { t, metres: columns.metres }
  for (const name of columnNames) {
    if (name !== 'metres' && columns[name].some(value => value !== null)) samples[name] = columns[name]
  }
  return samples
}
