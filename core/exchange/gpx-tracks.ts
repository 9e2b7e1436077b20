import { SaxesParser } from 'saxes'
import type { ColumnName } from './exchanged'
import { emptyColumns, put } from './exchanged'
import type { ForeignRows } from './foreign-samples'

/** One track of a file, as it stands there. Its times are milliseconds since 1970. */
export interface GpxTrack extends ForeignRows {
  type: string
  /** What we wrote beside the points. */
  rest: string
}

export interface GpxTracks {
  tracks: GpxTrack[]
  /** Where it stopped being XML; what stood before is there. */
  fault: { problem: string; line: number } | null
}

type Leaf = Exclude<ColumnName, 'lat' | 'lon'> | 'time'
const leafNames: Readonly<Record<string, Leaf>> = {
  ele: 'altitude',
  time: 'time',
  distance: 'metres',
  metres: 'metres',
  hr: 'heartRate',
  heartrate: 'heartRate',
  power: 'power',
  watts: 'power',
  cad: 'cadence',
  cadence: 'cadence',
}

/** Trap: of nothing, and of blanks alone, `Number` makes 0. */
function number(words: string): number {
  const value = Number(words)
  return value === 0 && words.trim() === '' ? Number.NaN : value
}

/** What is told of a point twice is what was told first. */
function putFirst(column: number[], row: number, value: number): void {
  if (column.length <= row && !Number.isNaN(value)) put(column, row, value)
}

type Tag = Leaf | 'type' | 'rest' | 'trk' | 'trkseg' | 'trkpt' | null
const structure = ['type', 'rest', 'trk', 'trkseg', 'trkpt'] as const

/** What a tag in a point tells of it. */
const valueIn = (tag: Tag): Leaf | null =>
  tag === 'type' || tag === 'rest' || tag === 'trk' || tag === 'trkseg' || tag === 'trkpt' ? null : tag

/** What a tag is by its local name; looked up once for each name, since a file has few names and many tags. */
function tagsByName(): (name: string) => Tag {
  const known = new Map<string, Tag>()
  return name => {
    let tag = known.get(name)
    if (tag !== undefined) return tag
    const local = name.slice(name.indexOf(':') + 1)
    tag = structure.find(one => one === local) ?? leafNames[local.toLowerCase()] ?? null
    known.set(name, tag)
    return tag
  }
}

/**
 * Reads GPX as it comes, part by part, so that a file of any length needs no more than its points. Values in extensions are found
 * by their local names in any namespace. A file that breaks off gives what stands before; one that declares entities is none.
 */
export function gpxReader(): { write: (part: string) => void; end: () => GpxTracks } {
  const tracks: GpxTrack[] = []
  let [fault, track, row]: [GpxTracks['fault'], GpxTrack | null, number] = [null, null, -1]
  let [isInPoint, leaf, text]: [boolean, Leaf | 'type' | 'rest' | null, string] = [false, null, '']
  const tagOf = tagsByName()
  /** How deep one stands, and where the point and the track began that one is in. */
  let [depth, pointAt, trackAt] = [0, 0, 0]
  const parser = new SaxesParser({ xmlns: false, position: true })
  const fail = (problem: string) => (fault ??= { problem, line: parser.line })
  const beginPoint = ({ lat = '', lon = '' }: Record<string, string>) => {
    const { at, columns } = track!
    row = at.length
    isInPoint = true
    pointAt = depth - 1
    at.push(Number.NaN)
    put(columns.lat, row, number(lat))
    put(columns.lon, row, number(lon))
  }
  parser.on('error', error => fail(error.message.replace(/^\d+:\d+: /, '')))
  parser.on('doctype', () => fail('it declares a document type, which no recording needs'))
  parser.on('opentag', ({ name, attributes }) => {
    if (fault) return
    const tag = tagOf(name)
    depth++
    leaf = null
    text = ''
    if (tag === 'trkpt' && track) beginPoint(attributes)
    else if (isInPoint) leaf = valueIn(tag)
    else if (tag === 'trk') {
      track = { type: '', rest: '', at: [], columns: emptyColumns(), stretches: [] }
      tracks.push(track)
      trackAt = depth - 1
    } else if (track) {
      if (tag === 'trkseg') track.stretches.push(track.at.length)
      else if (tag === 'type' || tag === 'rest') leaf = tag
    }
  })
  parser.on('text', words => {
    if (leaf !== null) text += words
  })
  parser.on('closetag', () => {
    depth--
    if (fault || !track) return
    if (leaf === null) {
      if (depth === pointAt) isInPoint = false
      else if (depth === trackAt) track = null
    } else if (leaf === 'type' || leaf === 'rest') track[leaf] ||= text
    else if (leaf === 'time') track.at[row] = Date.parse(text)
    else putFirst(track.columns[leaf], row, number(text))
    leaf = null
  })
  return {
    write: part => {
      if (!fault) parser.write(part)
    },
    end() {
      if (!fault) parser.close()
      return { tracks, fault }
    },
  }
}
