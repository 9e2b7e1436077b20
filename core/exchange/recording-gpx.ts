import { sports } from '../session/sports'
import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser'
import type { Recording } from '../record/recording'
import type { Mark } from '../wrist/engine/marks'
import type { SessionSport } from '../session/document'
import type { ColumnName, Taken, Written } from './exchanged'
import { emptyColumns, samplesOf } from './exchanged'

const typeOf = (sport: SessionSport): string => (sport === 'multi' ? 'multisport' : sports[sport].gpxType)
const ownSpace = 'urn:agonis:recording'

/**
 * A recording as GPX 1.1. Heart rate, cadence, power and the way stand in each point's extensions; marks, feeling and
 * program, which GPX has no words for, in the track's own, so that the recording reads back whole.
 *
 * @returns null where no sample has a position: GPX has points only
 */
export function recordingGpx(recording: Recording): Written | null {
  const { samples, sport, startedAt, timeZone, marks, felt, program } = recording
  const start = Date.parse(startedAt)
  const placed = samples.t
    .map((_, index) => index)
    .filter(index => typeof samples.lat?.[index] === 'number' && typeof samples.lon?.[index] === 'number')
  if (placed.length === 0) return null
  const points = placed.map(index => {
    const beside = {
      'a:hr': samples.heartRate?.[index],
      'a:cad': samples.cadence?.[index],
      'a:power': samples.power?.[index],
      'a:distance': samples.metres[index],
    }
    const known = Object.fromEntries(Object.entries(beside).filter(([, value]) => value !== null && value !== undefined))
    const altitude = samples.altitude?.[index] ?? null
    return {
      '@_lat': samples.lat![index],
      '@_lon': samples.lon![index],
      ...(altitude === null ? {} : { ele: altitude }),
      'time': new Date(start + Math.round(samples.t[index]! * 1000)).toISOString(),
      ...(Object.keys(known).length === 0 ? {} : { extensions: known }),
    }
  })
  const rest = JSON.stringify({
    startedAt,
    sport,
    ...(timeZone ? { timeZone } : {}),
    marks,
    ...(felt ? { felt } : {}),
    ...(program ? { program } : {}),
  })
  const text = new XMLBuilder({ ignoreAttributes: false, format: true, indentBy: ' ', suppressEmptyNode: true }).build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    'gpx': {
      '@_version': '1.1',
      '@_creator': 'Agonis',
      '@_xmlns': 'http://www.topografix.com/GPX/1/1',
      '@_xmlns:a': ownSpace,
      'trk': { type: typeOf(sport), extensions: { 'a:rest': rest }, trkseg: { trkpt: points } },
    },
  })
  const lost = samples.t.length - placed.length
  return { text, left: lost === 0 ? [] : [`${lost} of ${samples.t.length} samples, which have no position`] }
}

interface Point {
  lat?: string
  lon?: string
  ele?: unknown
  time?: unknown
  extensions?: unknown
}
const listed = <T>(value: T | T[] | undefined): T[] => (value === undefined ? [] : Array.isArray(value) ? value : [value])

const deepestExtension = 20

/** The first value under any of the names, as deep as extensions stand in practice. */
function under(value: unknown, names: readonly string[], depth = 0): string | undefined {
  if (typeof value !== 'object' || value === null || depth > deepestExtension) return undefined
  for (const [name, inner] of Object.entries(value)) {
    if (names.includes(name.toLowerCase()) && (typeof inner === 'string' || typeof inner === 'number')) return String(inner)
  }
  for (const inner of Object.values(value)) {
    const found = under(inner, names, depth + 1)
    if (found !== undefined) return found
  }
  return undefined
}

/** What a text says as XML; the parser's words where it says nothing, or what no file of a recording does: entities, names of traps. */
function parseXml(text: string): { ok: true; value: unknown } | { ok: false; problem: string; line?: number } {
  const sound = XMLValidator.validate(text)
  if (sound !== true) return { ok: false, problem: `no XML: ${sound.err.msg}`, line: sound.err.line }
  try {
    return { ok: true, value: new XMLParser(parserOptions).parse(text) }
  } catch (error) {
    return { ok: false, problem: `no XML that can be read: ${error instanceof RangeError ? 'nested too deep' : (error as Error).message}` }
  }
}

const names: Readonly<Record<Exclude<ColumnName, 'lat' | 'lon' | 'altitude'>, readonly string[]>> = {
  metres: ['distance', 'metres'],
  heartRate: ['hr', 'heartrate'],
  power: ['power', 'watts'],
  cadence: ['cad', 'cadence'],
}
const numberOf = (words: unknown): number | null => {
  const value = words === undefined || words === null || String(words).trim() === '' ? Number.NaN : Number(words)
  return Number.isFinite(value) ? value : null
}

function sportOf(type: unknown): SessionSport | undefined {
  const words = String(type ?? '').toLowerCase()
  return /swim/.test(words)
    ? 'swim'
    : /cycl|bik|rid/.test(words)
      ? 'ride'
      : /multi|tri/.test(words)
        ? 'multi'
        : /run|jog|walk/.test(words)
          ? 'run'
          : undefined
}

interface Rest {
  startedAt?: string
  sport?: SessionSport
  timeZone?: string
  marks?: Mark[]
  felt?: Recording['felt']
  program?: string
}

function restOf(extensions: unknown): Rest {
  try {
    return JSON.parse(under(extensions, ['rest']) ?? '{}') as Rest
  } catch {
    return {}
  }
}

interface Track {
  type?: unknown
  extensions?: unknown
  trkseg?: { trkpt?: Point | Point[] } | { trkpt?: Point | Point[] }[]
}

const parserOptions = {
  ignoreAttributes: false,
  attributeNamePrefix: '',
  removeNSPrefix: true,
  parseTagValue: false,
  parseAttributeValue: false,
}

/** The points of all segments as columns, with a pause between two segments; points whose time does not go on are counted and left out. */
function columnsOf(segments: readonly Point[][], start: number) {
  const t: number[] = []
  const columns = emptyColumns()
  const pauses: Mark[] = []
  let dropped = 0
  for (const [index, points] of segments.entries()) {
    const before = t.at(-1)
    for (const point of points) {
      const at = Math.round(Date.parse(String(point.time ?? '')) - start) / 1000
      if (!Number.isFinite(at) || at < 0 || (t.length > 0 && at <= t.at(-1)!)) {
        dropped++
        continue
      }
      if (index > 0 && before !== undefined && t.at(-1) === before) pauses.push({ t: before, kind: 'pause' }, { t: at, kind: 'resume' })
      t.push(at)
      columns.lat.push(numberOf(point.lat))
      columns.lon.push(numberOf(point.lon))
      columns.altitude.push(numberOf(point.ele))
      for (const name of ['metres', 'heartRate', 'power', 'cadence'] as const)
        columns[name].push(numberOf(under(point.extensions, names[name])))
    }
  }
  return { t, columns, pauses, dropped }
}

/**
 * Reads the tracks of a GPX 1.1 file as one recording. Heart rate, cadence, power and way are found in the extensions of
 * any namespace by their local names; without a way it is measured along the positions. Between two segments is a pause.
 *
 * @param fallback the sport where the file tells none
 */
export function readRecordingGpx(text: string, fallback: { sport?: SessionSport } = {}): Taken {
  const parsed = parseXml(text)
  if (!parsed.ok) return parsed
  const tracks = listed((parsed.value as { gpx?: { trk?: unknown } }).gpx?.trk) as Track[]
  const segments = tracks
    .flatMap(track => listed(track.trkseg))
    .map(segment => listed(segment.trkpt))
    .filter(points => points.length > 0)
  if (segments.length === 0) return { ok: false, problem: 'no track with points in it' }
  const rest = restOf(tracks[0]!.extensions)
  const firstTime = segments[0]![0]!.time
  const start = Date.parse(rest.startedAt ?? String(firstTime ?? ''))
  if (Number.isNaN(start)) return { ok: false, problem: 'the first point has no time; a route without times is no recording' }
  const { t, columns, pauses, dropped } = columnsOf(segments, start)
  if (t.length === 0) return { ok: false, problem: 'no point has a time that goes on from the one before' }
  return {
    ok: true,
    left: dropped === 0 ? [] : [`${dropped} points whose time is missing or does not go on`],
    recording: {
      format: 'agonis.recording',
      version: 1,
      sport: rest.sport ?? sportOf(tracks[0]!.type) ?? fallback.sport ?? 'run',
      startedAt: new Date(start).toISOString(),
      ...(rest.timeZone ? { timeZone: rest.timeZone } : {}),
      samples: samplesOf(t, columns),
      marks: rest.marks ?? pauses,
      ...(rest.felt ? { felt: rest.felt } : {}),
      ...(rest.program ? { program: rest.program } : {}),
    },
  }
}
