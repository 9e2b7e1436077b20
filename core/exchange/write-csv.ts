import Papa from 'papaparse'
import type { Recording } from '../record/recording'
import { sayMark } from './mark-words'
import type { Written } from './exchanged'
import { columnNames } from './exchanged'

/** A recording as a table: a row for each sample, its marks in the row that their time has reached. */
export function recordingCsv(recording: Recording): Written {
  const { samples, marks, sport, startedAt } = recording
  const marksAt = samples.t.map((): string[] => [])
  let reached = 0
  for (const mark of marks) {
    while (reached + 1 < samples.t.length && samples.t[reached + 1]! <= mark.t) reached++
    marksAt[reached]?.push(sayMark(mark))
  }
  const data = samples.t.map((t, row) => [
    t,
    ...columnNames.map(name => samples[name]?.[row] ?? ''),
    row === 0 ? sport : '',
    row === 0 ? startedAt : '',
    marksAt[row]!.join('; '),
  ])
  const left = [recording.timeZone && 'the time zone', recording.felt && 'how it felt', recording.program && 'which program it was'].filter(
    what => typeof what === 'string',
  )
  return { text: Papa.unparse({ fields: ['t', ...columnNames, 'sport', 'startedAt', 'marks'], data }, { newline: '\n' }) + '\n', left }
}
