import Papa from 'papaparse'
import type { Column, Mark, MarkKind, Recording } from '../record/recording'
import type { SessionSport } from '../session/document'
import type { ColumnName, Taken, Written } from './exchanged'
import { columnNames, samplesOf } from './exchanged'
import { wayAlong } from './way'

/** A round of no repeats is a dash, so that it is not taken for none said. */
const sayMark = ({ t, kind, path, round }: Mark) => [`${kind}@${t}`, path ?? '', round && (round.join('.') || '-')].join(' ').trimEnd()
const markPattern = /^(step|lap|press|skip|back|jump|pause|resume|nudge|ceiling|prompt|stop)@(\d+(?:\.\d+)?)(?: ([\d.]*)(?: (-|[\d.]+))?)?$/

function readMark(words: string): Mark | null {
  const match = markPattern.exec(words.trim())
  if (!match) return null
  const [, kind, t, path, round] = match
  return { t: Number(t), kind: kind as MarkKind, ...(path ? { path } : {}), ...(round ? { round: round === '-' ? [] : round.split('.').map(Number) } : {}) }
}

/** The last row that a mark's time has reached. */
function rowOf(t: readonly number[], at: number): number {
  let row = 0
  while (row + 1 < t.length && t[row + 1]! <= at) row++
  return row
}

/** A recording as a table: a row for each sample, its marks in the row that their time has reached. */
export function recordingCsv(recording: Recording): Written {
  const { samples, marks, sport, startedAt } = recording
  const marksAt = new Map<number, string[]>()
  for (const mark of marks) {
    const row = rowOf(samples.t, mark.t)
    marksAt.set(row, [...marksAt.get(row) ?? [], sayMark(mark)])
  }
  const data = samples.t.map((t, row) => [
    t, ...columnNames.map(name => samples[name]?.[row] ?? ''), row === 0 ? sport : '', row === 0 ? startedAt : '', (marksAt.get(row) ?? []).join('; '),
  ])
  const left = [recording.timeZone && 'the time zone', recording.felt && 'how it felt', recording.program && 'which program it was'].filter(what => typeof what === 'string')
  return { text: Papa.unparse({ fields: ['t', ...columnNames, 'sport', 'startedAt', 'marks'], data }, { newline: '\n' }) + '\n', left }
}

const sports = new Set(['run', 'ride', 'swim', 'multi'])

/**
 * Reads a table of samples: `t` in seconds or `time` as an instant, and any of the columns by their names; others are left.
 *
 * @param fallback the sport, and the instant of the start, where the table says none
 */
export function readRecordingCsv(text: string, fallback: { sport?: SessionSport, startedAt?: string } = {}): Taken {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true })
  const fault = errors.find(error => error.type !== 'Delimiter')
  if (fault) return { ok: false, problem: fault.message, ...(fault.row === undefined ? {} : { line: fault.row + 2 }) }
  const fields = meta.fields ?? []
  if (!fields.includes('t') && !fields.includes('time')) return { ok: false, problem: 'no column `t` in seconds and none `time`', line: 1 }
  if (data.length === 0) return { ok: false, problem: 'no samples', line: 1 }
  const first = data[0]!
  const startedAt = first.startedAt || first.time || fallback.startedAt
  if (!startedAt || Number.isNaN(Date.parse(startedAt))) return { ok: false, problem: 'when it began is not said: a column `startedAt`, or `time`', line: 2 }
  const sport = first.sport || fallback.sport || 'run'
  if (!sports.has(sport)) return { ok: false, problem: `a sport is run, ride, swim or multi, not ${sport}`, line: 2 }
  const t: number[] = []
  const columns = Object.fromEntries(columnNames.map(name => [name, [] as Column])) as Record<ColumnName, Column>
  const marks: Mark[] = []
  for (const [index, row] of data.entries()) {
    const line = index + 2
    const at = fields.includes('t') ? Number(row.t) : (Date.parse(row.time ?? '') - Date.parse(startedAt)) / 1000
    if (!Number.isFinite(at) || at < 0 || (fields.includes('t') && row.t!.trim() === '')) return { ok: false, problem: 'a sample without its time', line }
    if (t.length > 0 && at <= t.at(-1)!) return { ok: false, problem: 'time does not go on', line }
    t.push(at)
    for (const name of columnNames) {
      const words = row[name]?.trim() ?? ''
      const value = words === '' ? null : Number(words)
      if (value !== null && !Number.isFinite(value)) return { ok: false, problem: `${name} is no number: ${words}`, line }
      columns[name].push(value)
    }
    for (const words of (row.marks ?? '').split(';').filter(part => part.trim() !== '')) {
      const mark = readMark(words)
      if (!mark) return { ok: false, problem: `no mark of a recording: ${words.trim()}`, line }
      marks.push(mark)
    }
  }
  if (columns.metres.every(value => value === null)) columns.metres = wayAlong(columns.lat, columns.lon)
  const known = new Set<string>(['t', 'time', 'sport', 'startedAt', 'marks', ...columnNames])
  return {
    ok: true, left: fields.filter(field => !known.has(field)).map(field => `the column ${field}`),
    recording: { format: 'agonis.recording', version: 1, sport: sport as SessionSport, startedAt: new Date(startedAt).toISOString(), samples: samplesOf(t, columns), marks: marks.sort((a, b) => a.t - b.t) },
  }
}
