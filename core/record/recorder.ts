import type { SensorSample } from '../wrist/engine/holding'
import type { Recording, Samples } from './recording'
import type { Mark } from '../wrist/engine/marks'

/** Writes a recording down as it happens; grows in place, for hours of one sample a second. */
export interface Recorder {
  samples: Required<Samples>
  marks: Mark[]
}

export const emptyRecorder = (): Recorder => ({
  samples: { t: [], metres: [], heartRate: [], power: [], cadence: [], lat: [], lon: [], altitude: [] },
  marks: [],
})

const rounded = (value: number | null | undefined, steps: number) =>
  value === null || value === undefined ? null : Math.round(value * steps) / steps

/** Adds a sample; one that is not later than the last is passed over, so that time strictly goes on. */
export function addReading(recorder: Recorder, reading: SensorSample): void {
  const { samples } = recorder
  const last = samples.t.at(-1)
  if (last !== undefined && reading.t <= last) return
  samples.t.push(reading.t)
  samples.metres.push(rounded(reading.metres, 10))
  samples.heartRate.push(rounded(reading.heartRate, 1))
  samples.power.push(rounded(reading.power, 1))
  samples.cadence.push(rounded(reading.cadence, 1))
  samples.lat.push(rounded(reading.lat, 1e6))
  samples.lon.push(rounded(reading.lon, 1e6))
  samples.altitude.push(rounded(reading.altitude, 10))
}

export function addMarks(recorder: Recorder, marks: readonly Mark[]): void {
  for (const mark of marks) recorder.marks.push({ ...mark, t: Math.round(mark.t * 1000) / 1000 })
}

/** The finished recording; a column without any signal is left out. */
export function finishRecording(
  recorder: Recorder,
  head: Pick<Recording, 'sport' | 'startedAt' | 'timeZone' | 'program' | 'felt'>,
): Recording {
  const { t, metres, ...signals } = recorder.samples
  const heard = Object.fromEntries(Object.entries(signals).filter(([, column]) => column.some(value => value !== null)))
  const marks = [...recorder.marks].sort((a, b) => a.t - b.t)
  return JSON.parse(
    JSON.stringify({ format: 'agonis.recording', version: 1, ...head, samples: { t, metres, ...heard }, marks }),
  ) as Recording
}
