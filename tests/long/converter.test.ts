import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { readRecordingCsv } from '../../core/exchange/read-csv'
import { readRecordingGpx } from '../../core/exchange/read-gpx'
import { recordingGpx } from '../../core/exchange/write-gpx'
import type { Recording } from '../../core/record/recording'
import { checkRecording } from '../../core/record/recording'

/** Recordings through a general converter of Debian, gpsbabel, and back: what the form can hold comes home. */

let home: string
beforeEach(() => (home = mkdtempSync(join(tmpdir(), 'agonis-converter-'))))
afterEach(() => rmSync(home, { recursive: true, force: true }))

/** Half an hour through the hills, with a pause in it. */
const recording: Recording = {
  format: 'agonis.recording',
  version: 1,
  sport: 'run',
  startedAt: '2026-03-31T06:00:00.000Z',
  samples: Object.assign(
    { t: Array.from({ length: 1800 }, (_, index) => (index < 900 ? index : index + 300)) },
    Object.fromEntries(
      Object.entries({
        metres: (index: number) => index * 3,
        lat: (index: number) => Math.round((59 + index * 2.5e-5) * 1e7) / 1e7,
        lon: (index: number) => Math.round((5.4 + Math.sin(index / 200) * 0.01) * 1e7) / 1e7,
        altitude: (index: number) => Math.round((40 + 20 * Math.sin(index / 150)) * 10) / 10,
        heartRate: (index: number) => 130 + Math.floor(index / 60),
        cadence: (index: number) => 84 + (index % 4),
      }).map(([name, of]) => [name, Array.from({ length: 1800 }, (_, index) => of(index))]),
    ) as Omit<Recording['samples'], 't'>,
  ),
  marks: [],
}

/** @param filter what the converter does on the way */
function converted(text: string, from: string, to: string, filter: string[] = []): string {
  const [file, made] = [join(home, 'in'), join(home, 'out')]
  writeFileSync(file, text)
  execFileSync('gpsbabel', ['-t', '-i', from, '-f', file, ...filter, '-o', to, '-F', made], { env: { ...process.env, TZ: 'UTC' } })
  return readFileSync(made, 'utf8')
}
const sound = (taken: ReturnType<typeof readRecordingGpx>) => {
  if (!taken.ok) throw new Error(taken.problem)
  expect(checkRecording(taken.recording)).toBeNull()
  return taken.recording
}
const near = (one: readonly (number | null)[] | undefined, other: readonly (number | null)[], within: number) => {
  expect(one?.length).toBe(other.length)
  one!.forEach((value, index) => expect(Math.abs(value! - other[index]!)).toBeLessThanOrEqual(within))
}

/** Where nothing was recorded for five minutes, and nothing covered. */
const pause = [
  { t: 899, kind: 'pause' },
  { t: 1200, kind: 'resume' },
]

describe('gpsbabel', () => {
  const written = recordingGpx(recording)!.text
  it('reads our GPX, and gives it back with every point, its time and place, and what we wrote beside it', () => {
    const back = sound(readRecordingGpx(converted(written, 'gpx', 'gpx'), { sport: 'run' }))
    expect(back.startedAt).toBe(recording.startedAt)
    expect(back.samples.t).toEqual(recording.samples.t)
    near(back.samples.lat, recording.samples.lat!, 1e-6)
    near(back.samples.lon, recording.samples.lon!, 1e-6)
    near(back.samples.altitude, recording.samples.altitude!, 0.1)
    expect(back.marks).toEqual(recording.marks)
    near(back.samples.heartRate, recording.samples.heartRate!, 0)
    near(back.samples.cadence, recording.samples.cadence!, 0)
    near(back.samples.metres, recording.samples.metres, 0.01)
  })
  it('makes a table of it that is read here, the whole way long', () => {
    const table = converted(written, 'gpx', 'unicsv,utc=0')
    const back = sound(readRecordingCsv(table, { sport: 'run' }))
    expect(back.samples.t).toEqual(recording.samples.t)
    near(back.samples.lat, recording.samples.lat!, 2e-6)
    near(back.samples.altitude, recording.samples.altitude!, 0.1)
    expect(back.marks).toEqual(pause)
  })
  it('makes GPX of another device out of a table of ours, and that is read here', () => {
    const { samples } = recording
    const rows = samples.t.map((t, index) => {
      const at = new Date(Date.parse(recording.startedAt) + t * 1000).toISOString()
      return [
        samples.lat![index],
        samples.lon![index],
        samples.altitude![index],
        at.slice(0, 10).replaceAll('-', '/'),
        at.slice(11, 19),
      ].join(',')
    })
    const table = `Latitude,Longitude,Altitude,Date,Time\n${rows.join('\n')}\n`
    const back = sound(readRecordingGpx(converted(table, 'unicsv,utc=0', 'gpx', ['-x', 'transform,trk=wpt']), { sport: 'run' }))
    expect(back.samples.t).toEqual(samples.t)
    near(back.samples.lat, samples.lat!, 1e-6)
  })
})
