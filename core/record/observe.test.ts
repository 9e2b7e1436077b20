import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { standpointOf } from '../athlete/standpoint'
import { courseOf } from '../forecast/intensity'
import { usedOf } from '../forecast/level'
import { reckon } from '../reckon/reckon'
import { readScript } from '../script/reader/read-script'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import { ilse } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import { usedDone } from './course-done'
import type { Observed } from './observe'
import { observe } from './observe'
import type { Recording, Samples } from './recording'
import { score } from './score'
import { climbedBetween, fadeOf, lapsOf, splitsOf } from './splits'

const standpoint = standpointOf(ilse, null)
const recordingOf = (samples: Samples, over: Partial<Recording> = {}): Recording => ({
  format: 'agonis.recording',
  version: 1,
  sport: 'run',
  startedAt: '2026-03-31T06:00:00.000Z',
  samples,
  marks: [],
  ...over,
})
/** A run, a sample a second, at a speed and a heart rate for each second. */
function run(seconds: number, speed: (t: number) => number, heart?: (t: number) => number): Recording {
  const t = Array.from({ length: seconds }, (_, index) => index)
  let way = 0
  const metres = t.map(at => (way += at === 0 ? 0 : speed(at)))
  return recordingOf({ t, metres, ...(heart ? { heartRate: t.map(heart) } : {}) })
}
const only = <Code extends Observed['code']>(observed: readonly Observed[], code: Code) =>
  observed.filter((one): one is Extract<Observed, { code: Code }> => one.code === code)

describe('splits', () => {
  it('of an even run are even, and add up to all of it without its pauses', () => {
    fc.assert(
      fc.property(fc.integer({ min: 600, max: 4000 }), fc.double({ min: 1.5, max: 6, noNaN: true }), (seconds, speed) => {
        const splits = splitsOf(
          run(seconds, () => speed),
          1000,
        )
        for (const split of splits) expect(split.speed).toBeCloseTo(speed, 6)
        const whole = (seconds - 1) * speed
        const sum = splits.reduce((total, { metres }) => total + metres, 0)
        expect(whole - sum).toBeLessThan(100.001)
        expect(splits.slice(0, -1).every(({ metres }) => metres === 1000)).toBe(true)
      }),
    )
  })
  it('leave pauses out, carry heart and climb, and fade as planted', () => {
    const fading = run(
      3000,
      t => (t < 1500 ? 4 : 3.6),
      () => 150,
    )
    fading.samples.altitude = fading.samples.t.map(t => t / 100)
    const splits = splitsOf(fading, 500)
    expect(splits[0]).toMatchObject({ at: 500, heartRate: 150 })
    expect(splits.reduce((sum, { climbed }) => sum + climbed!, 0)).toBeLessThan(30)
    expect(fadeOf(splits)).toBeCloseTo(0.09, 1)
    const halted = {
      ...fading,
      marks: [
        { t: 20, kind: 'pause' as const },
        { t: 80, kind: 'resume' as const },
      ],
    }
    expect(splitsOf(halted, 500)[0]!.seconds).toBeCloseTo(splits[0]!.seconds - 60, 6)
    expect(fadeOf(splits.slice(0, 3))).toBeNull()
  })
  it('between laps are as they were pressed, and none where none was', () => {
    const even = run(
      1000,
      () => 3,
      () => 150,
    )
    expect(lapsOf(even)).toEqual([])
    const pressed = {
      ...even,
      marks: [
        { t: 300, kind: 'lap' as const },
        { t: 700, kind: 'lap' as const },
      ],
    }
    expect(lapsOf(pressed).map(({ metres, seconds }) => [metres, seconds])).toEqual([
      [900, 300],
      [1200, 400],
      [897, 299],
    ])
  })
  it('count a climb once it is real, and none from an instrument that trembles', () => {
    const up = Array.from({ length: 101 }, (_, index) => index)
    expect(climbedBetween(up, 0, 100)).toBeCloseTo(99, -1)
    expect(
      climbedBetween(
        up.map((_, index) => 50 + (index % 3)),
        0,
        100,
      ),
    ).toBe(0)
    expect(climbedBetween(undefined, 0, 100)).toBeNull()
  })
})

describe('what is noticed of a recording', () => {
  it('is the drift of the heart as planted, and none where the going was uneven or short', () => {
    const drifting = run(
      4800,
      () => 3,
      t => 140 * (1 + (0.06 * t) / 4800),
    )
    expect(only(observe(drifting, null, null), 'drift')[0]!.share).toBeCloseTo(0.03, 2)
    const uneven = run(
      4800,
      t => (Math.floor(t / 120) % 2 ? 4.5 : 2),
      () => 140,
    )
    expect(only(observe(uneven, null, null), 'drift')).toEqual([])
    expect(
      only(
        observe(
          run(
            1500,
            () => 3,
            () => 140,
          ),
          null,
          null,
        ),
        'drift',
      ),
    ).toEqual([])
  })
  it('is where one stood outside of rests and pauses, and for how long', () => {
    const stopping = run(2000, t => ((t > 500 && t <= 540) || (t > 900 && t <= 960) || (t > 1200 && t <= 1205) ? 0 : 3))
    expect(only(observe(stopping, null, null), 'stops')).toEqual([{ code: 'stops', count: 2, seconds: 100 }])
    const halted = {
      ...stopping,
      marks: [
        { t: 500, kind: 'pause' as const },
        { t: 540, kind: 'resume' as const },
      ],
    }
    expect(only(observe(halted, null, null), 'stops')).toEqual([{ code: 'stops', count: 1, seconds: 60 }])
    expect(only(observe(halted, null, null), 'pauses')).toEqual([{ code: 'pauses', count: 1, seconds: 40 }])
  })
  it('is how repeats ran and how the heart recovered, by the steps of the plan', () => {
    const script = 'sport run\n\nwarm-up 10:00\n6 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n'
    const { program } = fit(readScript(script, standpoint).sessions[0]!, profileNamed('all-sport')!, standpoint)
    const recording = rehearse(program, ilse, { seed: 3, startedAt: '2026-03-31T06:00:00.000Z' })
    const judged = score(program, recording, ilse)
    const work = judged.steps.filter(({ path }) => path === '2.1')
    work.forEach((step, index) => (step.mean.speed = index < 3 ? 4 : 3.8))
    const observed = observe(recording, program, judged)
    expect(only(observed, 'repeats')[0]).toMatchObject({ path: '2.1', count: 6, of: 'speed', best: 1, worst: 4 })
    expect(only(observed, 'repeats')[0]!.fade).toBeCloseTo(0.05, 6)
    const recovery = only(observed, 'recovery')[0]!
    expect(recovery.after).toBe(6)
    expect(recovery.beats).toBeGreaterThan(10)
    expect(recovery.beats).toBeLessThan(80)
  })
})

describe('the share used by what was done', () => {
  it.each([
    ['sport run\n\nwarm-up 15:00 @ easy effort\n5 times\n  4:00 @ 5k effort\n  recovery 3:00\ncool-down 10:00 @ easy effort\n', 0.15],
    ['sport run\n\n60:00 @ easy effort\n', 0.1],
    ['sport swim\nplace pool 25 m\n\nwarm-up 300 m\n6 times\n  200 m @ threshold effort\n  rest 0:30\n', 0.35],
    ['sport ride\n\nwarm-up 15:00 @ easy effort\n3 times\n  10:00 @ threshold effort\n  recovery 5:00\n', 0.2],
  ])('is near the forecast where the plan was carried out: %#', (script, within) => {
    const session = readScript(script, standpoint).sessions[0]!
    const { program } = fit(session, profileNamed('all-sport')!, standpoint)
    const recording = rehearse(program, ilse, { seed: 8, startedAt: '2026-03-31T06:00:00.000Z' })
    const forecast = usedOf(courseOf(session, reckon(session, standpoint).flat, standpoint), standpoint)!.used.likely!
    const done = usedDone(recording, standpoint)!.used.likely!
    expect(Math.abs(done / forecast - 1)).toBeLessThan(within)
  })
  it('is not known of several sports, of a ride without power, or of nobody', () => {
    const ride = { ...run(600, () => 8), sport: 'ride' as const }
    expect(usedDone(ride, standpoint)).toBeNull()
    expect(usedDone({ ...ride, sport: 'multi' }, standpoint)).toBeNull()
    expect(
      usedDone(
        run(600, () => 3),
        standpointOf({ ...ilse, efforts: [], run: {} }, null),
      ),
    ).toBeNull()
  })
})
