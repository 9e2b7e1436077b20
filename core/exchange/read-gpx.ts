import type { Recording } from '../record/recording'
import type { SessionSport } from '../session/document'
import type { Mark } from '../wrist/engine/marks'
import type { Taken, TakenRecording } from './exchanged'
import { columnNames, put } from './exchanged'
import { soundSamples } from './foreign-samples'
import type { GpxTrack } from './gpx-tracks'
import { gpxReader } from './gpx-tracks'

function sportOf(type: string): SessionSport | undefined {
  const words = type.toLowerCase()
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

function restOf(words: string): Rest {
  try {
    return JSON.parse(words) as Rest
  } catch {
    return {}
  }
}

/** Tracks of one sport on end are one: between two of them is a pause. */
function joined(tracks: readonly GpxTrack[]): GpxTrack {
  const [first, ...others] = tracks as [GpxTrack, ...GpxTrack[]]
  for (const other of others) {
    first.stretches.push(first.at.length, ...other.stretches.map(row => row + first.at.length))
    for (const name of columnNames) other.columns[name].forEach((value, row) => put(first.columns[name], first.at.length + row, value))
    for (const at of other.at) first.at.push(at)
  }
  return first
}

/** The tracks of one sport on end, each with its sport; a track without any goes with the one before. */
function bySport(tracks: readonly GpxTrack[]): GpxTrack[] {
  const parts: { type: SessionSport | undefined; tracks: GpxTrack[] }[] = []
  for (const track of tracks) {
    const type = sportOf(track.type)
    const last = parts.at(-1)
    if (last && (type === undefined || last.type === type)) last.tracks.push(track)
    else parts.push({ type, tracks: [track] })
  }
  return parts.map(part => joined(part.tracks))
}

function recordingOf(track: GpxTrack, fallback: SessionSport | undefined): TakenRecording | string {
  const rest = restOf(track.rest)
  const isOwn = rest.startedAt !== undefined
  const start = rest.startedAt === undefined ? (track.at.find(at => !Number.isNaN(at)) ?? Number.NaN) : Date.parse(rest.startedAt)
  if (Number.isNaN(start)) return 'no point has a time; a route without times is no recording'
  const told = rest.sport ?? sportOf(track.type)
  const sport = told ?? fallback ?? 'run'
  const rows = { ...track, at: track.at.map(at => (at - start) / 1000) }
  const { samples, pauses, left, notes } = soundSamples(rows, { isOwn, sport })
  if (samples.t.length === 0) return 'no point has a time that goes on from the one before'
  if (told === undefined && fallback === undefined) notes.push('its sport is not told, and it was taken for a run')
  return {
    left,
    notes,
    recording: {
      format: 'agonis.recording',
      version: 1,
      sport,
      startedAt: new Date(start).toISOString(),
      ...(rest.timeZone ? { timeZone: rest.timeZone } : {}),
      samples,
      marks: rest.marks ?? pauses,
      ...(rest.felt ? { felt: rest.felt } : {}),
      ...(rest.program ? { program: rest.program } : {}),
    },
  }
}

/** As many letters are read at a time. */
const partLength = 256 * 1024

/**
 * Reads a GPX 1.1 file. Heart rate, cadence, power and way are found in the extensions of any namespace by their local names;
 * without a way it is measured along the positions. Between two segments is a pause, and so is a long gap in which nobody moved.
 * Tracks of different sports are recordings of their own. A file that breaks off gives what stands before, and says so.
 *
 * @param fallback the sport where the file tells none
 * @param onPart called between two parts of the text with the share that is read
 */
export function readRecordingGpx(text: string, fallback: { sport?: SessionSport } = {}, onPart?: (share: number) => void): Taken {
  const reader = gpxReader()
  for (let at = 0; at < text.length; at += partLength) {
    reader.write(text.slice(at, at + partLength))
    onPart?.(Math.min(1, (at + partLength) / text.length))
  }
  const { tracks, fault } = reader.end()
  const withPoints = tracks.filter(track => track.at.length > 0)
  const isUnsound = fault !== null && (withPoints.length === 0 || /entit|document type/.test(fault.problem))
  if (isUnsound) return { ok: false, problem: `no XML that can be read: ${fault.problem}`, line: fault.line }
  if (withPoints.length === 0) return { ok: false, problem: 'no track with points in it' }
  const taken = bySport(withPoints).map(track => recordingOf(track, fallback.sport))
  const sound = taken.filter(one => typeof one !== 'string')
  const [first, ...others] = sound
  if (!first) return { ok: false, problem: taken.find(one => typeof one === 'string')! }
  if (fault) sound.at(-1)!.notes.push(`the file breaks off in line ${fault.line}; what stands before was kept`)
  return { ok: true, ...first, others }
}
