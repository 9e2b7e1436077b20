import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkRecording } from '../record/recording'
import { metresBetween } from './position-track'
import { readRecordingCsv } from './read-csv'
import { readRecordingGpx } from './read-gpx'

const iso = (second: number) => new Date(Date.UTC(2026, 2, 31, 6) + second * 1000).toISOString()
interface Point {
  second: number
  lat?: number
  lon?: number
  beside?: string
}
const point = ({ second, lat = 60 + second * 3e-5, lon = 5, beside = '' }: Point) =>
  `<trkpt lat="${lat}" lon="${lon}"><time>${iso(second)}</time>${beside && `<extensions>${beside}</extensions>`}</trkpt>\n`
const track = (points: string, type = 'running') => `<trk><type>${type}</type><trkseg>${points}</trkseg></trk>`
const file = (tracks: string) => `<?xml version="1.0"?>\n<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${tracks}</gpx>`
const seconds = (from: number, to: number) => Array.from({ length: to - from }, (_, index) => from + index)
const each = (from: number, to: number) =>
  seconds(from, to)
    .map(second => point({ second }))
    .join('')
const sound = (taken: ReturnType<typeof readRecordingGpx>) => {
  if (!taken.ok) throw new Error(taken.problem)
  expect(checkRecording(taken.recording)).toBeNull()
  return taken
}

describe('a GPX file as it comes from outside', () => {
  it('that breaks off gives what stands before, wherever it is cut', () => {
    const whole = file(track(each(0, 60)))
    const firstPointEnd = whole.indexOf('</trkpt>')
    fc.assert(
      fc.property(fc.integer({ min: firstPointEnd + 8, max: whole.length - 8 }), at => {
        const { recording, notes } = sound(readRecordingGpx(whole.slice(0, at)))
        const complete = whole.slice(0, at).split('</time>').length - 1
        expect(recording.samples.t.length).toBe(complete)
        expect(notes.some(note => note.includes('breaks off'))).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
  it('of two sports is two recordings, of one sport in two tracks one with a pause', () => {
    const two = sound(readRecordingGpx(file(track(each(0, 20), 'cycling') + track(each(100, 130), 'running'))))
    expect([two.recording.sport, two.recording.samples.t.length]).toEqual(['ride', 20])
    expect(two.others.map(({ recording }) => [recording.sport, recording.startedAt, recording.samples.t.length])).toEqual([
      ['run', iso(100), 30],
    ])
    const one = sound(readRecordingGpx(file(track(each(0, 20)) + track(each(100, 130)))))
    expect(one.others).toEqual([])
    expect(one.recording.marks).toEqual([
      { t: 19, kind: 'pause' },
      { t: 100, kind: 'resume' },
    ])
  })
  it('keeps each value in its row where one track tells what another does not, and takes what is told first of what is told twice', () => {
    const told = (from: number, to: number, beside: string) =>
      seconds(from, to)
        .map(second => point({ second, beside }))
        .join('')
    const one = track(told(0, 2, '') + told(2, 3, '<ns:hr>odd</ns:hr><ns:hr>120</ns:hr><hr>90</hr>'))
    const { samples } = sound(readRecordingGpx(file(one + track(told(100, 102, '<power>200</power>'))))).recording
    expect(samples.heartRate).toEqual([null, null, 120, null, null])
    expect(samples.power).toEqual([null, null, null, 200, 200])
    expect(samples.cadence).toBeUndefined()
    expect(samples.lat?.length).toBe(5)
  })

  it('has a pause where it stops for long and stood, and none where it was carried on or is sampled rarely', () => {
    const still = [...seconds(0, 30), ...seconds(200, 230)].map(second => point({ second, lat: 60 + Math.min(second, 30) * 3e-5 }))
    const { recording, notes } = sound(readRecordingGpx(file(track(still.join('')))))
    expect(recording.marks).toEqual([
      { t: 29, kind: 'pause' },
      { t: 200, kind: 'resume' },
    ])
    expect(notes).toEqual(['1 pause, 171 s in all, left out of every mean'])
    expect(sound(readRecordingGpx(file(track(each(0, 30) + each(200, 230))))).recording.marks).toEqual([])
    const rare = [0, 20, 41, 60, 85, 120, 150].map(second => point({ second, lat: 60 }))
    expect(sound(readRecordingGpx(file(track(rare.join(''))))).recording.marks).toEqual([])
  })
  it('leaves out positions in the sea and single ones far away, and the way does not jump', () => {
    const points = seconds(0, 60).map(second =>
      second === 20 ? point({ second, lat: 0, lon: 0 }) : second === 40 ? point({ second, lat: 61 }) : point({ second }),
    )
    const { recording, left } = sound(readRecordingGpx(file(track(points.join('')))))
    expect(left).toEqual(['2 positions where nobody can have been'])
    const straight = metresBetween({ lat: 60, lon: 5 }, { lat: 60 + 59 * 3e-5, lon: 5 })
    expect(recording.samples.metres.at(-1)).toBeCloseTo(straight, 0)
    const carried =
      each(0, 30) +
      seconds(31, 60)
        .map(second => point({ second, lat: 61 + second * 3e-5 }))
        .join('')
    const moved = sound(readRecordingGpx(file(track(carried))))
    expect(moved.left).toEqual([])
    expect(moved.recording.samples.lat!.every(lat => lat !== null)).toBe(true)
  })
  it('drops values that cannot be, times that go back, and a way told in steps', () => {
    const points = seconds(0, 10).map(second =>
      point({
        second: second === 5 ? 2 : second,
        beside: `<distance>${second % 3 === 0 ? '1e300' : 3}</distance><hr>${second === 7 ? 999 : 140}</hr>`,
      }),
    )
    const { recording, left } = sound(readRecordingGpx(file(track(points.join('')))))
    expect(recording.samples.t).toEqual([0, 1, 2, 3, 4, 6, 7, 8, 9])
    expect(recording.samples.heartRate![6]).toBeNull()
    expect(left).toEqual([
      '1 point whose time is missing or does not go on',
      '4 values of metres outside of 0 to 10000000',
      '1 value of heartRate outside of 0 to 350',
    ])
    const steps = seconds(0, 10).map(second => point({ second, beside: `<distance>${2 + (second % 2)}</distance>` }))
    const stepped = sound(readRecordingGpx(file(track(steps.join('')))))
    expect(stepped.notes).toEqual(['its way did not grow, and was measured along the positions'])
    expect(stepped.recording.samples.metres.at(-1)).toBeCloseTo(30, 0)
  })
  it('that declares a document type or uses an entity of its own is refused, with the line', () => {
    const declared =
      '<?xml version="1.0"?>\n<!DOCTYPE gpx [<!ENTITY a "aaaa">]>\n' +
      file(track(each(0, 9)))
        .split('\n')
        .slice(1)
        .join('\n')
    expect(readRecordingGpx(declared)).toMatchObject({ ok: false, line: 2 })
    const used = file(track(each(0, 9)).replace('running', '&a;'))
    expect(readRecordingGpx(used)).toMatchObject({ ok: false })
  })
  it('says how far it is', () => {
    const shares: number[] = []
    readRecordingGpx(file(track(each(0, 8000))), {}, share => shares.push(share))
    expect(shares.length).toBeGreaterThan(1)
    expect(shares).toEqual([...shares].sort((one, other) => one - other))
    expect(shares.at(-1)).toBe(1)
  })
})

describe('a table as it comes from outside', () => {
  it('has other separators, decimal commas, other names and a clock', () => {
    const taken = readRecordingCsv(
      'Date;Time;Distance (m);Heart rate;Latitude;Longitude\n2026/03/31;06:00:00;0,0;140;60,1;5\n2026/03/31;06:00:01;3,5;;60,10003;5\n',
      { sport: 'ride' },
    )
    expect(taken).toMatchObject({
      ok: true,
      left: [],
      notes: [],
      recording: {
        sport: 'ride',
        startedAt: iso(0),
        samples: { t: [0, 1], metres: [0, 3.5], heartRate: [140, null], lat: [60.1, 60.10003], lon: [5, 5] },
      },
    })
    const clock = readRecordingCsv('elapsed\twatts\tstartedAt\n0:58\t200\t2026-03-31T06:00:00Z\n1:00:02\t210\t\n')
    expect(clock).toMatchObject({ ok: true, recording: { samples: { t: [58, 3602], power: [200, 210] } } })
  })
  it('loses a cell that is a formula, says which, and nothing else', () => {
    const taken = readRecordingCsv('t,metres,heartRate,startedAt\n0,0,140,2026-03-31T06:00:00Z\n1,=1+1,141,\n2,6,142,\n2,7,143,\n')
    expect(taken).toMatchObject({
      ok: true,
      left: ['1 cell without a number: =1+1 in line 3', '1 point whose time is missing or does not go on'],
      recording: { samples: { t: [0, 1, 2], metres: [0, null, 6], heartRate: [140, 141, 142] } },
    })
  })
})
