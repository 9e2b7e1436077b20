import { dayInZone, isTimeZone } from '../quantity/day'
import type { SessionSport } from '../session/document'
import type { Mark } from '../wrist/engine/marks'

/** What a watch brings home, as `docs/formats/recording.schema.json` states it. */

export type Column = (number | null)[]
export interface Samples {
  /** Elapsed seconds including pauses, strictly increasing. */
  t: number[]
  /** Cumulative. */
  metres: Column
  heartRate?: Column
  power?: Column
  cadence?: Column
  lat?: Column
  lon?: Column
  altitude?: Column
}

export interface Recording {
  format: 'agonis.recording'
  version: 1
  sport: SessionSport
  startedAt: string
  timeZone?: string
  samples: Samples
  marks: Mark[]
  felt?: { rpe?: number; note?: string; pain?: boolean }
  /** SHA-256 of the program it was carried out from. */
  program?: string
}

/** The day a recording began on, by the clock of where it was made, else of a zone of the athlete's. */
export const dayOfRecording = ({ startedAt, timeZone }: Pick<Recording, 'startedAt' | 'timeZone'>, zone: string): string =>
  dayInZone(new Date(startedAt), timeZone ?? zone)

const earliest = Date.UTC(1970, 0, 1)
const latest = Date.UTC(2200, 0, 1)

/** A fault that the schema cannot tell: columns of unequal length, time that does not go on, a zone or a year that is none. */
export function checkRecording(recording: Recording): string | null {
  const began = Date.parse(recording.startedAt)
  if (!(began >= earliest && began < latest)) return 'startedAt is before 1970 or after 2199'
  if (recording.timeZone !== undefined && !isTimeZone(recording.timeZone)) return 'timeZone is not the name of a time zone'
  const { t, ...columns } = recording.samples
  for (const [name, column] of Object.entries(columns)) {
    if ((column as Column).length !== t.length) return `samples.${name} has ${(column as Column).length} values, samples.t has ${t.length}`
  }
  for (let index = 1; index < t.length; index++) {
    if (!(t[index]! > t[index - 1]!)) return `samples.t does not increase at position ${index + 1}`
  }
  let before = 0
  for (const [index, mark] of recording.marks.entries()) {
    if (mark.t < before) return `marks are out of order at position ${index + 1}`
    before = mark.t
  }
  return null
}
