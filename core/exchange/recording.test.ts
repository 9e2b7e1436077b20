import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkRecording } from '../record/recording'
import type { Column, Recording } from '../record/recording'
import type { Mark } from '../wrist/engine/marks'
import { metresBetween } from './position-track'
import { readRecordingCsv } from './read-csv'
import { readRecordingGpx } from './read-gpx'
import { recordingCsv } from './write-csv'
import { recordingGpx } from './write-gpx'

const value = (least: number, most: number) =>
  fc.double({ min: least, max: most, noNaN: true }).map(number => Math.round(number * 1000) / 1000 + 0)
const marksArbitrary = fc
  .array(
    fc.record({
      t: fc.integer({ min: 0, max: 4000 }),
      kind: fc.constantFrom('step', 'lap', 'press', 'nudge', 'stop'),
      place: fc.option(fc.record({ path: fc.constantFrom('1', '3.2.1'), round: fc.constantFrom<number[]>([], [2], [1, 3]) }), {
        nil: undefined,
      }),
    }),
    { maxLength: 6 },
  )
  .map(all => all.sort((a, b) => a.t - b.t).map(({ t, kind, place }): Mark => ({ t, kind: kind as Mark['kind'], ...place })))

/** Sound recordings whose columns hold something; positions everywhere or nowhere. */
const recordings = (isPlaced: boolean): fc.Arbitrary<Recording> =>
  fc
    .record({
      gaps: fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 30 }),
      marks: marksArbitrary,
      sport: fc.constantFrom('run', 'ride', 'swim', 'multi'),
      felt: fc.option(fc.record({ rpe: fc.integer({ min: 0, max: 10 }), note: fc.string({ maxLength: 20 }) }), { nil: undefined }),
      seed: fc.nat(),
    })
    .chain(({ gaps, marks, sport, felt }) => {
      let at = 0
      const t = gaps.map(gap => (at += gap))
      const column = (values: fc.Arbitrary<number>) =>
        fc.array(fc.option(values, { freq: 3 }), { minLength: t.length, maxLength: t.length })
      const full = (values: fc.Arbitrary<number>) => fc.array(values, { minLength: t.length, maxLength: t.length })
      return fc
        .record({
          metres: full(value(0, 1e5)),
          heartRate: column(value(40, 210)),
          power: column(value(0, 900)),
          lat: full(value(-80, 80)),
          lon: full(value(-179, 179)),
        })
        .map((columns): Recording => {
          const kept = Object.entries(columns).filter(
            ([name, values]) =>
              name === 'metres' || ((isPlaced || (name !== 'lat' && name !== 'lon')) && (values as Column).some(one => one !== null)),
          )
          return {
            format: 'agonis.recording',
            version: 1,
            sport: sport as Recording['sport'],
            startedAt: '2026-03-31T06:00:00.000Z',
            samples: { t, ...Object.fromEntries(kept) } as Recording['samples'],
            marks,
            ...(felt ? { felt } : {}),
          }
        })
    })

describe('a recording as a table', () => {
  it('reads back, but for what it says it leaves', () => {
    fc.assert(
      fc.property(recordings(false), recording => {
        const { felt, ...rest } = recording
        const { text, left } = recordingCsv(recording)
        expect(left).toEqual(felt ? ['how it felt'] : [])
        expect(readRecordingCsv(text)).toEqual({ ok: true, left: [], notes: [], others: [], recording: rest })
      }),
      { numRuns: 200 },
    )
  })
  it('is read by the instants of its samples too, and by positions alone', () => {
    const taken = readRecordingCsv('time,lat,lon,mood\n2026-03-31T06:00:00Z,60,5,good\n2026-03-31T06:00:10Z,60.0003,5,\n', { sport: 'run' })
    expect(taken).toMatchObject({
      ok: true,
      left: ['the column mood'],
      recording: { startedAt: '2026-03-31T06:00:00.000Z', samples: { t: [0, 10] } },
    })
    expect(taken.ok && taken.recording.samples.metres[1]).toBeCloseTo(33.4, 1)
  })
  it.each([
    ['a,b\n1,2', 'no column `t`', 1],
    ['t,metres', 'no samples', 1],
    ['t,metres\n0,0', 'when it began', 2],
    ['t,startedAt\n,2026-03-31T06:00:00Z', 'no sample has a time', 2],
    ['t,startedAt,marks\n0,2026-03-31T06:00:00Z,dance@3', 'no mark of a recording: dance@3', 2],
    ['t,startedAt,sport\n0,2026-03-31T06:00:00Z,row', 'a sport is', 2],
  ])('that is none says what is wrong and where: %j', (text, problem, line) => {
    const taken = readRecordingCsv(text)
    expect(taken).toMatchObject({ ok: false, line })
    expect(!taken.ok && taken.problem).toContain(problem)
  })
})

describe('a recording as GPX', () => {
  it('reads back whole where every sample has a position', () => {
    fc.assert(
      fc.property(recordings(true), recording => {
        const written = recordingGpx(recording)!
        expect(written.left).toEqual([])
        expect(readRecordingGpx(written.text)).toEqual({ ok: true, left: [], notes: [], others: [], recording })
      }),
      { numRuns: 200 },
    )
  })
  it('holds positions only: the rest is said, and with none there is no file', () => {
    const samples = { t: [0, 1, 2], metres: [0, 3, 6], lat: [60, null, 60.0001], lon: [5, null, 5] }
    const recording: Recording = {
      format: 'agonis.recording',
      version: 1,
      sport: 'run',
      startedAt: '2026-03-31T06:00:00.000Z',
      samples,
      marks: [],
    }
    expect(recordingGpx(recording)!.left).toEqual(['1 of 3 samples, which have no position'])
    expect(recordingGpx({ ...recording, samples: { t: [0], metres: [0] } })).toBeNull()
  })
  it('of others is read by local names, with its pauses, and measured along the way where it has none', () => {
    const point = (second: string, lat: number, beside = '') =>
      `<trkpt lat="${lat}" lon="5"><ele>12</ele><time>2026-03-31T06:00:${second}Z</time>${beside}</trkpt>`
    const text =
      `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1" ` +
      `xmlns:z="urn:z"><trk><type>trail_running</type>
      <trkseg>` +
      `${point('00', 60, '<extensions><z:beside><z:hr>141</z:hr><z:cad>88</z:cad></z:beside></extensions>')}` +
      `${point('05', 60.0001)}${point('05', 60.0002)}</trkseg>
      <trkseg>` +
      `${point('30', 60.0002)}</trkseg></trk></gpx>`
    const taken = readRecordingGpx(text)
    expect(taken).toMatchObject({
      ok: true,
      left: ['1 point whose time is missing or does not go on'],
      recording: {
        sport: 'run',
        samples: { t: [0, 5, 30], heartRate: [141, null, null], cadence: [88, null, null], altitude: [12, 12, 12] },
        marks: [
          { t: 5, kind: 'pause' },
          { t: 30, kind: 'resume' },
        ],
      },
    })
    expect(taken.ok && checkRecording(taken.recording)).toBeNull()
    expect(taken.ok && taken.recording.samples.metres[2]).toBeCloseTo(22.2, 1)
  })
  it.each([
    ['<gpx><trk>', 'unclosed tag'],
    ['<gpx></gpx>', 'no track'],
    ['<gpx><trk><trkseg><trkpt lat="1" lon="2"/></trkseg></trk></gpx>', 'no point has a time'],
    ['not at all', 'no XML'],
    [`<gpx>${'<a>'.repeat(50_000)}${'</a>'.repeat(50_000)}</gpx>`, 'no track'],
    ['<!DOCTYPE gpx [<!ENTITY x SYSTEM "file:///etc/passwd">]><gpx><trk><name>&x;</name></trk></gpx>', 'no XML that can be read'],
    ['<gpx><__proto__><constructor/></__proto__></gpx>', 'no track'],
  ])('that is none says so: %.80j', (text, problem) => {
    const taken = readRecordingGpx(text)
    expect(!taken.ok && taken.problem).toContain(problem)
  })
})

it('a degree along a meridian is 111.2 km', () => expect(metresBetween({ lat: 0, lon: 5 }, { lat: 1, lon: 5 })).toBeCloseTo(111_195, 0))
