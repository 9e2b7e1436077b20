import Papa from 'papaparse'
import type { Recording } from '../record/recording'
import type { Mark, MarkKind } from '../wrist/engine/marks'
import { markKinds } from '../wrist/engine/marks'
import type { SessionSport } from '../session/document'
import { isSessionSport } from '../session/document'
import type { Taken, Written } from './exchanged'
import { columnNames, emptyColumns, samplesOf } from './exchanged'

/** A round of no repeats is a dash, so that it is not taken for none said. */
const sayMark = ({ t, kind, path, round }: Mark) => [`${kind}@${t}`, path ?? '', round && (round.join('.') || '-')].join(' ').trimEnd()
const markPattern = new RegExp(`^(${markKinds.join('|')})@(\\d+(?:\\.\\d+)?)(?: ([\\d.]*)(?: (-|[\\d.]+))?)?$`)

function readMark(words: string): Mark | null {
  const match = markPattern.exec(words.trim())
  if (!match) return null
  const [, kind, t, path, round] = match
  return {
    t: Number(t),
    kind: kind as MarkKind,
    ...(path ? { path } : {}),
    ...(round ? { round: round === '-' ? [] : round.split('.').map(Number) } : {}),
  }
}

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

/**
 * Reads a table of samples: `t` in seconds or `time` as an instant, and any of the columns by their names; others are left.
 *
 * @param fallback the sport where the table says none
 */
export function readRecordingCsv(text: string, fallback: { sport?: SessionSport } = {}): Taken {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true })
  const fault = errors.find(error => error.type !== 'Delimiter')
  if (fault) return { ok: false, problem: fault.message, ...(fault.row === undefined ? {} : { line: fault.row + 2 }) }
  const fields = meta.fields ?? []
  if (!fields.includes('t') && !fields.includes('time')) return { ok: false, problem: 'no column `t` in seconds and none `time`', line: 1 }
  if (data.length === 0) return { ok: false, problem: 'no samples', line: 1 }
  const first = data[0]!
  const startedAt = first.startedAt || first.time
  if (!startedAt || Number.isNaN(Date.parse(startedAt)))
    return { ok: false, problem: 'when it began is not said: a column `startedAt`, or `time`', line: 2 }
  const sport = first.sport || fallback.sport || 'run'
  if (!isSessionSport(sport)) return { ok: false, problem: `a sport is run, ride, swim or multi, not ${sport}`, line: 2 }
  const t: number[] = []
  const columns = emptyColumns()
  const marks: Mark[] = []
  for (const [index, row] of data.entries()) {
    const line = index + 2
    const at = fields.includes('t') ? Number(row.t) : (Date.parse(row.time ?? '') - Date.parse(startedAt)) / 1000
    if (!Number.isFinite(at) || at < 0 || (fields.includes('t') && row.t!.trim() === ''))
      return { ok: false, problem: 'a sample without its time', line }
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
  const known = new Set<string>(['t', 'time', 'sport', 'startedAt', 'marks', ...columnNames])
  return {
    ok: true,
    left: fields.filter(field => !known.has(field)).map(field => `the column ${field}`),
    recording: {
      format: 'agonis.recording',
      version: 1,
      sport,
      startedAt: new Date(startedAt).toISOString(),
      samples: samplesOf(t, columns),
      marks: marks.sort((a, b) => a.t - b.t),
    },
  }
}
