import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { randomFrom } from '../quantity/random'
import { hearFix, hearSensor, readingOf, silentSensors } from './collect'
import { encodeSensor } from './encode'
import { cadenceBetween, decodeSensor, sensorServices } from './gatt'
import type { SensorKind } from './gatt'
import type { Fix, PositionState } from './position'
import { follow } from './position'

const bytes = (...values: number[]) => new DataView(Uint8Array.from(values).buffer)

describe('sensors, byte by byte', () => {
  it.each([
    ['a heart rate in one byte', 'heart-rate', [0x00, 0x48], { kind: 'heart-rate', bpm: 72, hasContact: null, beats: [] }],
    ['a heart rate with contact lost', 'heart-rate', [0x04, 0x00], { kind: 'heart-rate', bpm: 0, hasContact: false, beats: [] }],
    [
      'a heart rate in two bytes, energy and two beats',
      'heart-rate',
      [0x1f, 0x2c, 0x01, 0x10, 0x27, 0x00, 0x04, 0x00, 0x02],
      { kind: 'heart-rate', bpm: 300, hasContact: true, beats: [1, 0.5] },
    ],
    ['power alone', 'cycling-power', [0x00, 0x00, 0xfa, 0x00], { kind: 'cycling-power', watts: 250, crank: null }],
    ['power below nothing', 'cycling-power', [0x00, 0x00, 0xfb, 0xff], { kind: 'cycling-power', watts: -5, crank: null }],
    [
      'power with balance, torque, wheel and crank',
      'cycling-power',
      [0x35, 0x00, 0xc8, 0x00, 0x64, 0x20, 0x00, 0x01, 0x02, 0x00, 0x00, 0x00, 0x10, 0x0a, 0x00, 0x00, 0x08],
      { kind: 'cycling-power', watts: 200, crank: { count: 10, at: 2 } },
    ],
    [
      'wheel and crank',
      'cycling-cadence',
      [0x03, 0x10, 0x00, 0x00, 0x00, 0x00, 0x04, 0x05, 0x00, 0x00, 0x02],
      { kind: 'cycling-cadence', wheel: { count: 16, at: 1 }, crank: { count: 5, at: 0.5 } },
    ],
    [
      'crank alone',
      'cycling-cadence',
      [0x02, 0x05, 0x00, 0x00, 0x02],
      { kind: 'cycling-cadence', wheel: null, crank: { count: 5, at: 0.5 } },
    ],
    [
      'a run with stride and way',
      'running-speed',
      [0x07, 0x00, 0x03, 0xaa, 0x5a, 0x00, 0xe8, 0x03, 0x00, 0x00],
      { kind: 'running-speed', speed: 3, cadence: 170, metres: 100 },
    ],
    [
      'a treadmill with speed and way',
      'treadmill',
      [0x04, 0x00, 0xb0, 0x04, 0x39, 0x30, 0x00],
      { kind: 'treadmill', speed: 1200 / 360, metres: 12_345 },
    ],
    ['a treadmill without speed', 'treadmill', [0x05, 0x00, 0x01, 0x00, 0x01], { kind: 'treadmill', speed: null, metres: 65_537 }],
  ] as [string, SensorKind, number[], object][])('reads %s', (_, kind, given, expected) =>
    expect(decodeSensor(kind, bytes(...given))).toEqual(expected),
  )

  it('gives null for bytes that end too early, and never throws', () => {
    fc.assert(
      fc.property(fc.constantFrom(...(Object.keys(sensorServices) as SensorKind[])), fc.uint8Array({ maxLength: 20 }), (kind, given) => {
        const message = decodeSensor(kind, new DataView(given.slice().buffer))
        expect(message === null || message.kind === kind).toBe(true)
      }),
    )
    for (const kind of Object.keys(sensorServices) as SensorKind[]) expect(decodeSensor(kind, bytes())).toBeNull()
  })

  it('reads back what the simulated sensors send', () => {
    const felt = { bpm: 151.4, watts: 213.6, cadence: 88, speed: 3.5, crank: { count: 70_000, at: 70.5 } }
    expect(decodeSensor('heart-rate', encodeSensor('heart-rate', felt))).toMatchObject({ bpm: 151, hasContact: true })
    expect(decodeSensor('cycling-power', encodeSensor('cycling-power', felt))).toMatchObject({
      watts: 214,
      crank: { count: 4464, at: 6.5 },
    })
    expect(decodeSensor('cycling-cadence', encodeSensor('cycling-cadence', felt))).toMatchObject({ crank: { count: 4464 } })
    expect(decodeSensor('running-speed', encodeSensor('running-speed', felt))).toMatchObject({ speed: 3.5, cadence: 88 })
    expect(decodeSensor('treadmill', encodeSensor('treadmill', felt))).toMatchObject({ speed: 3.5 })
  })

  it('counts turns over the ends of their counters', () => {
    expect(cadenceBetween({ count: 10, at: 1 }, { count: 13, at: 3 })).toBe(90)
    expect(cadenceBetween({ count: 65_535, at: 63.5 }, { count: 1, at: 0.5 })).toBe(120)
    expect(cadenceBetween({ count: 5, at: 1 }, { count: 5, at: 1 })).toBeNull()
  })
})

const degrees = 1 / 111_195
/** Fixes of a way north at an even speed, each off by the accuracy. */
function fixes(seconds: number, speed: number, accuracy: number, seed: number): Fix[] {
  const random = randomFrom(seed)
  let drift = [0, 0]
  return Array.from({ length: seconds }, (_, t) => {
    drift = drift.map(value => value * 0.8 + random.normal() * accuracy * 0.25)
    return { t, lat: 59 + (t * speed + drift[0]!) * degrees, lon: 5 + drift[1]! * degrees * 2, accuracy }
  })
}
const after = (way: readonly Fix[]) => way.reduce<PositionState | null>(follow, null)!

describe('position', () => {
  it('finds the way of a runner and a rider within three percent, and their speed', () => {
    for (const [speed, seed] of [
      [3, 1],
      [3.5, 2],
      [4.5, 3],
      [9, 4],
    ] as const) {
      const state = after(fixes(600, speed, 4, seed))
      expect(Math.abs(state.metres / (599 * speed) - 1)).toBeLessThan(0.03)
      expect(Math.abs(state.speed / speed - 1)).toBeLessThan(0.2)
    }
  })

  it('covers next to no way while standing, however the position wanders', () => {
    expect(after(fixes(600, 0, 4, 5)).metres).toBeLessThan(120)
    expect(after(fixes(600, 0, 1.5, 6)).metres).toBeLessThan(30)
  })

  it('passes over one fix far away, and believes five that agree', () => {
    const way = fixes(60, 3, 4, 7)
    const leap: Fix = { t: 60, lat: 59.02, lon: 5, accuracy: 4 }
    const state = follow(after(way), leap)!
    expect(state.metres).toBe(after(way).metres)
    expect(state.doubted).toBe(1)
    const moved = [1, 2, 3, 4, 5].reduce((before, second) => follow(before, { ...leap, t: 60 + second })!, state)
    expect(moved.doubted).toBe(0)
  })

  it('joins the way straight behind a tunnel', () => {
    const way = fixes(200, 3, 3, 8)
    const tunnelled = after(way.filter(({ t }) => t < 80 || t > 110))
    expect(Math.abs(tunnelled.metres - after(way).metres)).toBeLessThan(25)
  })

  it('joins it straight too where the way has turned in the tunnel', () => {
    const before = after(fixes(100, 3, 3, 8))
    const beyond = Array.from({ length: 60 }, (_, second): Fix => ({
      t: 220 + second,
      lat: 59 + 300 * degrees,
      lon: 5 + ((360 + second * 3) * degrees) / Math.cos((59 * Math.PI) / 180),
      accuracy: 3,
    }))
    expect(Math.abs(beyond.reduce<PositionState | null>(follow, before)!.metres - before.metres - 360 - 177)).toBeLessThan(30)
  })

  it('takes no poor, late or senseless fix', () => {
    const state = after(fixes(30, 3, 4, 9))
    for (const fix of [
      { t: 40, lat: 59, lon: 5, accuracy: 500 },
      { t: 3, lat: 59, lon: 5, accuracy: 4 },
      { t: 40, lat: NaN, lon: 5, accuracy: 4 },
    ])
      expect(follow(state, fix)).toBe(state)
    expect(follow(null, { t: 0, lat: 59, lon: 5, accuracy: 900 })).toBeNull()
  })
})

describe('all sensors together', () => {
  it('make one reading, in which nothing stale is left', () => {
    let state = hearSensor(silentSensors, { kind: 'heart-rate', bpm: 140, hasContact: true, beats: [] }, 10)
    state = hearSensor(state, { kind: 'cycling-power', watts: 200, crank: { count: 1, at: 1 } }, 10)
    state = hearSensor(state, { kind: 'cycling-power', watts: 210, crank: { count: 4, at: 3 } }, 12)
    expect(readingOf(state, 12, 'trainer')).toEqual({ t: 12, metres: null, heartRate: 140, power: 210, cadence: 90 })
    expect(readingOf(state, 17, 'trainer')).toMatchObject({ heartRate: null, power: null, cadence: 90 })
    expect(hearSensor(state, { kind: 'heart-rate', bpm: 140, hasContact: false, beats: [] }, 13).heart).toBeNull()
  })

  it('take the way from the position outdoors, and from the belt indoors', () => {
    let state = silentSensors
    for (let t = 0; t <= 100; t++) {
      state = hearFix(state, { t, lat: 59 + t * 3 * degrees, lon: 5, accuracy: 3 })
      state = hearSensor(state, { kind: 'running-speed', speed: 2, cadence: 170, metres: null }, t)
    }
    expect(readingOf(state, 100, 'treadmill').metres).toBeCloseTo(200)
    expect(readingOf(state, 100, 'road').metres!).toBeGreaterThan(280)
    expect(readingOf(state, 100, 'road').lat).toBeDefined()
    expect(readingOf(state, 110, 'road').metres).toBeNull()
    expect(readingOf(state, 110, 'road').lat).toBeUndefined()
  })
})
