import { SaxesParser } from 'saxes'
import type { ColumnName } from './exchanged'
import { emptyColumns } from './exchanged'
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
const leaves: Readonly<Record<string, Leaf>> = {
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

const number = (words: string): number | null => {
  const value = words.trim() === '' ? Number.NaN : Number(words)
  return Number.isNaN(value) ? null : value
}

const localName = (name: string): string => name.slice(name.indexOf(':') + 1)

/**
 * Reads GPX as it comes, part by part, so that a file of any length needs no more than its points. Values in extensions are found
 * by their local names in any namespace. A file that breaks off gives what stands before; one that declares entities is none.
 */
export function gpxReader(): { write: (part: string) => void; end: () => GpxTracks } {
  const tracks: GpxTrack[] = []
  let fault: GpxTracks['fault'] = null
  let track: GpxTrack | null = null
  let row = -1
  let [isInPoint, leaf, text]: [boolean, Leaf | 'type' | 'rest' | null, string] = [false, null, '']
  const parser = new SaxesParser({ xmlns: false, position: true })
  const fail = (problem: string) => (fault ??= { problem, line: parser.line })
  const beginPoint = ({ lat = '', lon = '' }: Record<string, string>) => {
    row = track!.at.length
    isInPoint = true
    track!.at.push(Number.NaN)
    for (const column of Object.values(track!.columns)) column.push(null)
    track!.columns.lat[row] = number(lat)
    track!.columns.lon[row] = number(lon)
  }
  parser.on('error', error => fail(error.message.replace(/^\d+:\d+: /, '')))
  parser.on('doctype', () => fail('it declares a document type, which no recording needs'))
  parser.on('opentag', ({ name: whole, attributes }) => {
    if (fault) return
    const name = localName(whole)
    leaf = null
    text = ''
    if (name === 'trkpt') {
      if (track) beginPoint(attributes)
    } else if (isInPoint) {
      leaf = leaves[name.toLowerCase()] ?? null
    } else if (name === 'trk') {
      track = { type: '', rest: '', at: [], columns: emptyColumns(), stretches: [] }
      tracks.push(track)
    } else if (track) {
      if (name === 'trkseg') track.stretches.push(track.at.length)
      else if (name === 'type') leaf = 'type'
      else if (name === 'rest') leaf = 'rest'
    }
  })
  parser.on('text', words => {
    if (leaf !== null) text += words
  })
  parser.on('closetag', ({ name: whole }) => {
    if (fault || !track) return
    const name = localName(whole)
    if (name === 'trkpt') isInPoint = false
    else if (name === 'trk') track = null
    else if (leaf === 'type' || leaf === 'rest') track[leaf] ||= text
    else if (leaf === 'time') track.at[row] = Date.parse(text)
    else if (leaf !== null) track.columns[leaf][row] ??= number(text)
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
