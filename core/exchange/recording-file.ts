import type { SessionSport } from '../session/document'
import type { Recording } from '../record/recording'
import type { Taken, Written } from './exchanged'
import { readRecordingCsv } from './read-csv'
import { readRecordingGpx } from './read-gpx'
import { recordingCsv } from './write-csv'
import { recordingGpx } from './write-gpx'

/** The forms of a recording's file that other programs know, by the ending of its name. */
export const recordingForms = ['gpx', 'csv', 'json'] as const
export type RecordingForm = (typeof recordingForms)[number]

/** The form of a file by its name; null where it is none of a recording. */
export const formOfName = (name: string): RecordingForm | null =>
  recordingForms.find(form => name.toLowerCase().endsWith(`.${form}`)) ?? null

/**
 * Reads a recording in a form of other programs.
 *
 * @param form told by the file's name
 * @param onPart called as it goes on, with the share of the text that is read
 */
export const readRecordingText = (
  form: Exclude<RecordingForm, 'json'>,
  text: string,
  fallback: { sport?: SessionSport } = {},
  onPart?: (share: number) => void,
): Taken => (form === 'gpx' ? readRecordingGpx(text, fallback, onPart) : readRecordingCsv(text, fallback))

/** Writes a recording in a form of others; null where that form cannot hold it at all. */
export function writeRecording(form: RecordingForm, recording: Recording): Written | null {
  if (form === 'json') return { text: `${JSON.stringify(recording)}\n`, left: [] }
  return form === 'gpx' ? recordingGpx(recording) : recordingCsv(recording)
}
