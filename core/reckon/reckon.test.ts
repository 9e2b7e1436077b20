import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import type { Athlete } from '../athlete/athlete'
import { countFlatSteps } from '../session/walk'
import { readScript } from '../script/reader/read-script'
import { defaultBike, powerAtSpeed, speedAtPower } from '../athlete/cycling'
import { lapMetres } from './lap'
import { knownSeconds, reckon } from './reckon'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const athlete: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Ilse Brandvik',
  massKg: 62,
  run: { criticalSpeed: 4, criticalPower: 250 },
  ride: { criticalPower: 215 },
  swim: { criticalSpeed: 0.89 },
  easyPace: { run: 360, swim: 1200 },
  recoveryPace: { run: 400 },
}
const session = (text: string) => readScript(text, nobody).sessions[0]!
const interval = (low: number | null, likely: number | null, high: number | null) => ({ low, likely, high })

describe('what a session comes to', () => {
  it('counts the nested set to 3120 s, 19 steps, none open', () => {
    const reckoning = reckon(session('16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy, 12 min easy'), nobody)
    expect(reckoning.seconds).toEqual(interval(3120, 3120, 3120))
    expect(reckoning.flat).toHaveLength(19)
    expect(reckoning.open).toBe(0)
  })

  it('knows 3840 s of a session with one open step', () => {
    const reckoning = reckon(session('25 min warm-up, 3 x (9 min @ 4:30-4:40 /km, 4 min recovery), cool-down until press'), nobody)
    expect(knownSeconds(reckoning)).toBe(3840)
    expect(reckoning.open).toBe(1)
    expect(reckoning.seconds).toEqual(interval(3840, 3840 + 600, null))
  })

  it('takes the mean of the paces as likely and swaps the ends for time', () => {
    const [step] = reckon(session('sport run\n\n1 km @ 4:00-5:00 /km'), nobody).flat
    expect(step!.seconds).toEqual(interval(240, 270, 300))
    expect(step!.metres).toEqual(interval(1000, 1000, 1000))
  })

  it('gives one point the room of the band school on both sides', () => {
    const even = { ...athlete, schools: { band: { kind: 'even' as const } } }
    const [step] = reckon(session('sport run\n\n1 km @ 4:00 /km'), seenBy(even)).flat
    expect(step!.seconds).toEqual(interval(235, 240, 245))
  })

  it('says what is missing instead of a zero', () => {
    const reckoning = reckon(session('sport run\n\n6 times\n  800 m @ 5k effort\n  rest 1:30'), nobody)
    expect(reckoning.seconds.likely).toBeNull()
    expect(reckoning.metres.likely).toBe(4800)
    expect(reckoning.remarks).toContainEqual({ path: '1.1', code: 'target-unresolved', missing: { code: 'race', sport: 'run' } })
  })

  it('unrolls a repeat until a distance and cuts its last step', () => {
    const reckoning = reckon(session('sport run\n\nrepeat for 2 km\n  3:00 @ 4:00 /km\n  rest 1:00'), seenBy(athlete))
    expect(reckoning.flat.map(step => [step.path, step.round, step.metres.likely, step.partial])).toEqual([
      ['1.1', [1], 750, undefined],
      ['1.2', [1], 0, undefined],
      ['1.1', [2], 750, undefined],
      ['1.2', [2], 0, undefined],
      ['1.1', [3], 500, true],
    ])
    expect(reckoning.flat[0]!.rounds).toEqual([null])
    expect(reckoning.metres.likely).toBe(2000)
  })

  it('lets the last send-off end at the touch, the others at the clock', () => {
    const reckoning = reckon(
      session('sport swim\n\n3 times\n  100 m on 2:00 @ 1:50 /100m'),
      seenBy({ ...athlete, schools: { band: { kind: 'percent' } } }),
    )
    expect(reckoning.seconds.likely).toBe(120 + 120 + 110)
    expect(reckoning.flat[0]!.swimSeconds!.likely).toBe(110)
  })

  it('goes by the forces on the bike for the way of a ride', () => {
    const reckoning = reckon(session('sport ride\nplace outdoors\n\n1:00:00 @ 200 W'), seenBy(athlete))
    expect(reckoning.metres.likely! / 3600).toBeCloseTo(speedAtPower(200, 71, defaultBike), 2)
  })

  it('holds on documents of every kind: low, likely and high in order, no NaN, and every flat step once', () => {
    fc.assert(
      fc.property(arbitrarySession, document => {
        const reckoning = reckon(document, seenBy(athlete))
        for (const part of [reckoning, ...reckoning.flat]) {
          for (const value of [part.seconds, part.metres]) {
            const ends = [value.low, value.likely, value.high].filter(end => end !== null)
            for (const end of ends) expect(Number.isFinite(end) && end >= 0).toBe(true)
            expect([...ends].sort((a, b) => a - b)).toEqual(ends)
          }
        }
        const opened = JSON.stringify(document.items).match(/"repeat":\{"(distance|seconds)"/)
        if (!opened) expect(reckoning.flat).toHaveLength(countFlatSteps(document.items))
      }),
      { numRuns: 1000 },
    )
  }, 60_000)
})

describe('power and speed on the bike', () => {
  it('takes 241 W for 10 m/s of an 80 kg rider and bike, by hand', () => {
    const air = 0.5 * 1.226 * 0.32 * 100
    expect(powerAtSpeed(10, 80, defaultBike)).toBeCloseTo((10 * (air + 0.005 * 80 * 9.81)) / 0.977, 6)
  })
  it('finds the speed of a power and back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 900 }),
        watts => Math.abs(powerAtSpeed(speedAtPower(watts, 80, defaultBike), 80, defaultBike) - watts) < 1e-6,
      ),
    )
  })
})

describe('a lap of the track', () => {
  it('is 400.00 m in lane 1 and 407.04 m in lane 2', () => {
    expect(lapMetres(1)).toBeCloseTo(400, 2)
    expect(lapMetres(2)).toBeCloseTo(407.04, 2)
  })
})
