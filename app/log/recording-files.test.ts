import { strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { partsOf, readPart } from './recording-files'

const point = (second: number) =>
  `<trkpt lat="${59 + second * 3e-5}" lon="5"><time>${new Date(Date.UTC(2026, 2, 31) + second * 1000).toISOString()}</time></trkpt>`
const gpx = (type = 'running') =>
  `<gpx version="1.1"><trk><type>${type}</type><trkseg>${[0, 1, 2].map(point).join('')}</trkseg></trk></gpx>`
const own = {
  format: 'agonis.recording',
  version: 1,
  sport: 'run',
  startedAt: '2026-03-31T06:00:00Z',
  samples: { t: [0], metres: [0] },
  marks: [],
}
const read = (name: string, text: string) => readPart({ name, bytes: strToU8(text) })
const names = (name: string, bytes: Uint8Array) =>
  partsOf(name, bytes).map(part => [part.name, 'problem' in part ? part.problem : part.bytes.length])

describe('a file of recordings', () => {
  it('is read by its form, and its bytes go along', () => {
    expect(read('a.gpx', gpx())).toMatchObject({ name: 'a.gpx', recordings: [{ recording: { sport: 'run' } }] })
    expect(read('a.json', JSON.stringify(own))).toMatchObject({ recordings: [{ recording: own }] })
    expect(read('a.csv', 't,metres,startedAt\n0,0,2026-03-31T06:00:00Z\n1,3,\n')).toMatchObject({ recordings: [{ left: [] }] })
    const two = gpx('cycling').replace(
      '</gpx>',
      `${gpx()
        .match(/<trk>.*<\/trk>/)![0]
        .replaceAll('2026', '2027')}</gpx>`,
    )
    expect('recordings' in read('a.gpx', two) && (read('a.gpx', two) as { recordings: unknown[] }).recordings.length).toBe(2)
  })
  it.each([
    ['a.txt', '10:00', 'No form of a recording'],
    ['a.json', '{"format":"agonis.session"}', 'It is a session'],
    ['a.json', '[]', 'It is no recording of Agonis'],
    ['a.json', '{', 'It is not JSON'],
    ['a.gpx', '  ', 'It is empty'],
    ['a.csv', 'name\nquay', 'no column `t`'],
  ])('that is none says why: %s %s', (name, text, problem) => {
    const part = read(name, text)
    expect('problem' in part && part.problem).toContain(problem)
  })
  it('that is no text says so', () => {
    const part = readPart({ name: 'a.gpx', bytes: new Uint8Array([0xff, 0xfe, 0x00]) })
    expect('problem' in part && part.problem).toContain('UTF-8')
  })
})

describe('an archive of recordings', () => {
  const good = strToU8(gpx())
  it('is its files; what is no recording, or an archive itself, is said, and what systems put beside is passed over', () => {
    const inner = zipSync({ 'b.gpx': good })
    const bytes = zipSync({ 'runs/a.gpx': good, 'inner.zip': inner, 'notes.txt': strToU8('x'), '__MACOSX/._a.gpx': good, '.hidden': good })
    expect(new Map(names('all.zip', bytes) as [string, unknown][])).toEqual(
      new Map<string, unknown>([
        ['runs/a.gpx', good.length],
        ['inner.zip', 'An archive within an archive is not opened; unpack it first.'],
        ['notes.txt', 'No form of a recording: .gpx, .csv or .json.'],
      ]),
    )
  })
  it('that is cut off or empty loses only what is cut', () => {
    const bytes = zipSync({ 'a.gpx': good, 'b.gpx': strToU8(gpx().repeat(50)) }, { level: 0 })
    const found = new Map(names('all.zip', bytes.subarray(0, 6000)) as [string, unknown][])
    expect(found.get('a.gpx')).toBe(good.length)
    expect([...found.values()].some(value => /cut off|damaged/.test(String(value)))).toBe(true)
    expect(names('none.zip', zipSync({}))).toEqual([['none.zip', 'The archive is empty.']])
  })
  it('that swells is left where it is past the limit', () => {
    const bomb = zipSync({ 'big.gpx': new Uint8Array(60 * 1024 * 1024), 'a.gpx': good }, { level: 9 })
    const found = new Map(names('all.zip', bomb) as [string, unknown][])
    expect(found.get('big.gpx')).toContain('larger than 50 MB')
    expect(found.get('a.gpx')).toBe(good.length)
  })
})
