import { sports } from '../session/sports'
import { XMLBuilder } from 'fast-xml-parser'
import type { Recording } from '../record/recording'
import type { SessionSport } from '../session/document'
import type { Written } from './exchanged'

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
