import Papa from 'papaparse'
import type { SessionSport } from '../session/document'
import { isSessionSport } from '../session/document'
import type { Mark } from '../wrist/engine/marks'
import type { ColumnName, Taken } from './exchanged'
import { columnNames, emptyColumns, put } from './exchanged'
import { countOf, soundSamples } from './foreign-samples'
import { readMark } from './mark-words'

type Field = ColumnName | 't' | 'time' | 'date' | 'sport' | 'startedAt' | 'marks'

/** What the columns of other programs are called, in letters alone. */
const fieldNames: Readonly<Record<string, Field>> = {
  t: 't',
  seconds: 't',
  elapsed: 't',
  time: 'time',
  timestamp: 'time',
  datetime: 'time',
  date: 'date',
  metres: 'metres',
  meters: 'metres',
  distance: 'metres',
  heartrate: 'heartRate',
  hr: 'heartRate',
  bpm: 'heartRate',
  power: 'power',
  watts: 'power',
  cadence: 'cadence',
  cad: 'cadence',
  lat: 'lat',
  latitude: 'lat',
  lon: 'lon',
  lng: 'lon',
  longitude: 'lon',
  altitude: 'altitude',
  elevation: 'altitude',
  ele: 'altitude',
  sport: 'sport',
  startedat: 'startedAt',
  marks: 'marks',
}
const fieldOf = (header: string): Field | undefined => fieldNames[header.toLowerCase().replace(/\(.*\)|[^a-z]/g, '')]

/** A number with a point, or with a comma where commas part no columns. */
function numberIn(words: string, delimiter: string): number {
  const trimmed = words.trim()
  if (trimmed === '') return Number.NaN
  return Number(delimiter !== ',' && /^[+-]?\d+,\d+$/.test(trimmed) ? trimmed.replace(',', '.') : trimmed)
}

/** Seconds of `90`, `1:30` or `1:02:30`. */
function elapsedIn(words: string, delimiter: string): number {
  if (!/^\d+(:\d{1,2}){1,2}([.,]\d+)?$/.test(words.trim())) return numberIn(words, delimiter)
  return words.split(':').reduce((sum, part) => sum * 60 + Number(part.replace(',', '.')), 0)
}

/** An instant of a cell that names its zone, or of a date and a time beside each other, which without a zone are taken as UTC. */
function instantIn(date: string | undefined, time: string): number {
  if (date) return Date.parse(`${date.trim().replaceAll('/', '-')}T${time.trim()}Z`)
  return Date.parse(time)
}

interface Table {
  rows: string[][]
  delimiter: string
  at: ReadonlyMap<Field, number>
  unread: string[]
}

function tableOf(text: string): Table | Extract<Taken, { ok: false }> {
  const { data, meta, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: true })
  const fault = errors.find(error => error.type !== 'Delimiter')
  if (fault) return { ok: false, problem: fault.message, ...(fault.row === undefined ? {} : { line: fault.row + 1 }) }
  const [header = [], ...rows] = data
  const at = new Map<Field, number>()
  const unread: string[] = []
  header.forEach((name, column) => {
    const field = fieldOf(name)
    if (field === undefined || at.has(field)) unread.push(name.trim())
    else at.set(field, column)
  })
  if (!at.has('t') && !at.has('time')) return { ok: false, problem: 'no column `t` in seconds and none `time`', line: 1 }
  if (rows.length === 0) return { ok: false, problem: 'no samples', line: 1 }
  return { rows, delimiter: meta.delimiter, at, unread }
}

function columnsOf({ rows, delimiter, at }: Table, left: string[]) {
  const columns = emptyColumns()
  let [unread, example] = [0, '']
  for (const [index, row] of rows.entries()) {
    for (const name of columnNames) {
      const column = at.get(name)
      const words = (column === undefined ? '' : (row[column] ?? '')).trim()
      if (words === '') continue
      const value = numberIn(words, delimiter)
      if (Number.isFinite(value)) put(columns[name], index, value)
      else {
        unread++
        example ||= `${words.slice(0, 40)} in line ${index + 2}`
      }
    }
  }
  if (unread > 0) left.push(`${countOf(unread, 'cell')} without a number: ${example}`)
  return columns
}

function marksOf({ rows, at }: Table): Mark[] | Extract<Taken, { ok: false }> {
  const column = at.get('marks')
  const marks: Mark[] = []
  if (column === undefined) return marks
  for (const [index, row] of rows.entries()) {
    for (const words of (row[column] ?? '').split(';').filter(part => part.trim() !== '')) {
      const mark = readMark(words)
      if (!mark) return { ok: false, problem: `no mark of a recording: ${words.trim()}`, line: index + 2 }
      marks.push(mark)
    }
  }
  return marks.sort((a, b) => a.t - b.t)
}

/**
 * Reads a table of samples: `t` in seconds or as a clock, or `time` as an instant (beside a `date` or whole), and any of the columns
 * by their names, those of other programs too; others are left. Columns may be parted by commas, semicolons or tabs; where no comma
 * parts them, numbers may have one.
 *
 * @param fallback the sport where the table says none
 */
export function readRecordingCsv(text: string, fallback: { sport?: SessionSport } = {}): Taken {
  const table = tableOf(text)
  if ('ok' in table) return table
  const { rows, delimiter, at, unread } = table
  const cell = (row: readonly string[], field: Field) => row[at.get(field) ?? -1]?.trim() ?? ''
  const first = rows[0]!
  const instants = rows.map(row => (at.has('time') ? instantIn(cell(row, 'date') || undefined, cell(row, 'time')) : Number.NaN))
  const told = Date.parse(cell(first, 'startedAt'))
  const start = Number.isNaN(told) ? (instants.find(instant => !Number.isNaN(instant)) ?? Number.NaN) : told
  if (Number.isNaN(start)) return { ok: false, problem: 'when it began is not said: a column `startedAt`, or `time`', line: 2 }
  const saidSport = cell(first, 'sport')
  const sport = saidSport || fallback.sport || 'run'
  if (!isSessionSport(sport)) return { ok: false, problem: `a sport is run, ride, swim or multi, not ${sport}`, line: 2 }
  const left = unread.filter(Boolean).map(name => `the column ${name}`)
  const columns = columnsOf(table, left)
  const marks = marksOf(table)
  if ('ok' in marks) return marks
  const seconds = rows.map((row, index) =>
    at.has('t') ? elapsedIn(cell(row, 't'), delimiter) : Math.round(instants[index]! - start) / 1000,
  )
  const isOwn = at.has('startedAt')
  const sound = soundSamples({ at: seconds, columns, stretches: [] }, { isOwn, sport })
  if (sound.samples.t.length === 0) return { ok: false, problem: 'no sample has a time that goes on from the one before', line: 2 }
  if (!saidSport && !fallback.sport) sound.notes.push('its sport is not told, and it was taken for a run')
  return {
    ok: true,
    others: [],
    left: [...left, ...sound.left],
    notes: sound.notes,
    recording: {
      format: 'agonis.recording',
      version: 1,
      sport,
      startedAt: new Date(start).toISOString(),
      samples: sound.samples,
      marks: isOwn ? marks : [...marks, ...sound.pauses].sort((a, b) => a.t - b.t),
    },
  }
}
