import { sayMissing } from '../words/missing'
import { describe, expect, it } from 'vitest'
import type { Athlete } from '../athlete/athlete'
import { unknownAthlete } from '../athlete/athlete'
import { resolveTarget } from '../athlete/resolve'
import type { PlaceOfSession, Sport, Step } from '../session/document'
import { readScript } from '../script/reader/read-script'
import { defaultBike, speedAtPower } from '../athlete/cycling'
import { add, exactly, mapInterval, roundInterval, unknown } from './interval'
import { metresIn, secondsOver, speedOfStep } from './speed'
import { speedOnGrade } from '../athlete/grade'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const athlete: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Ilse Brandvik',
  massKg: 63,
  run: { criticalSpeed: 3.6, criticalPower: 240 },
  ride: { criticalPower: 215 },
  easyPace: { run: 360 },
  recoveryPace: { run: 400 },
  walkPace: { run: 600 },
  schools: { band: { kind: 'even' } },
}
function speedOf(row: string, who = athlete, sport: Sport = 'run', place?: PlaceOfSession['kind']) {
  const step = readScript(`sport ${sport}\n\n${row}\n`, nobody).sessions[0]!.items[0] as Step
  const resolution = step.target && resolveTarget(step.target, seenBy(who), { sport })
  return speedOfStep(step, resolution?.ok ? resolution.target : undefined, seenBy(who), sport, place)
}

describe('the speed of a step', () => {
  it("is the target's, with the mean of the paces as likely", () => {
    expect(speedOf('10:00 @ 4:00-5:00 /km').speed).toEqual({
      low: expect.closeTo(1000 / 300, 9),
      likely: expect.closeTo(1000 / 270, 9),
      high: expect.closeTo(1000 / 240, 9),
    })
  })
  it('leaves the open side of a one-sided target open', () => {
    expect(speedOf('10:00 @ 4:00 /km or faster').speed).toEqual({ low: 1000 / 240, likely: 1000 / 240, high: null })
  })
  it('is the mean along a target that changes, as a watch leads it: over the time, over the distance, or not at all', () => {
    const [slow, fast] = [1000 / 360, 1000 / 300]
    expect(speedOf('10:00 @ 6:00 to 5:00 /km').speed.likely).toBeCloseTo((slow + fast) / 2, 9)
    expect(speedOf('2 km @ 6:00 to 5:00 /km').speed.likely).toBeCloseTo((fast - slow) / Math.log(fast / slow), 3)
    expect(speedOf('until press @ 6:00 to 5:00 /km').speed.likely).toBeCloseTo(slow, 9)
    const ridden = speedOf('10:00 @ 100 to 300 W', athlete, 'ride', 'outdoors').speed.likely!
    const speeds = Array.from({ length: 2000 }, (_, part) => speedAtPower(100 + (200 * (part + 0.5)) / 2000, 72, defaultBike))
    expect(ridden).toBeCloseTo(speeds.reduce((sum, speed) => sum + speed, 0) / 2000, 2)
  })
  it('goes by the grade: powers and efforts give the real speed up and down, a pace that is said stays', () => {
    const ride = (row: string) => speedOf(row, athlete, 'ride', 'outdoors').speed.likely!
    expect(ride('10:00 uphill 8 % @ 200 W') * 3.6).toBeCloseTo(speedAtPower(200, 72, defaultBike, 0.08) * 3.6, 6)
    expect(ride('10:00 uphill 8 % @ 200 W') * 3.6).toBeLessThan(14)
    expect(ride('10:00 downhill 4 % @ 200 W') * 3.6).toBeGreaterThan(45)
    expect(ride('10:00 uphill 8 % @ 20 km/h') * 3.6).toBeCloseTo(20, 6)
    expect(speedOf('10:00 uphill 8 % @ 200 W').speed.likely).toBeCloseTo(speedOnGrade((3.6 * 200) / 240, 0.08), 9)
    expect(speedOf('recovery 1:00 downhill 8 %').speed.likely).toBeCloseTo(speedOnGrade(2.5, -0.08), 9)
  })
  it('of a heart rate or an effort out of ten is that of the share of critical they stand for', () => {
    const known = { ...athlete, heart: { rest: 50, max: 180, threshold: 160 } }
    expect(speedOf('10:00 @ 160 bpm', known).speed.likely).toBeCloseTo(3.6, 9)
    expect(speedOf('10:00 @ RPE 7', known).speed.likely).toBeCloseTo(3.6, 9)
    expect(speedOf('10:00 @ 50 bpm', known).speed.likely).toBeCloseTo(1000 / 360, 9)
  })
  it('goes by critical power and speed on foot, by the forces on the bike', () => {
    expect(speedOf('10:00 @ 200 W').speed.likely).toBeCloseTo((3.6 * 200) / 240, 9)
    expect(speedOf('10:00 @ 200 W', athlete, 'ride', 'outdoors').speed.likely).toBeCloseTo(speedAtPower(200, 72, defaultBike), 9)
  })
  it.each([
    ['warm-up 10:00', 1000 / 360],
    ['recovery 1:00', 2.5],
    ['recovery 1:00 walk', 1000 / 600],
    ['10:00 jog', 1000 / 360],
    ['cool-down 10:00', 1000 / 360],
    ['10:00 @ 140 bpm', 1000 / 360],
  ])('of "%s" is by habit', (row, likely) => {
    expect(speedOf(row).speed.likely).toBeCloseTo(likely, 9)
    expect(speedOf(row).speed.high! / speedOf(row).speed.low!).toBeCloseTo(1.1 / 0.9, 9)
  })
  it('of work without a target is anywhere from easy to fast, and said to be', () => {
    const { speed, isGuessed } = speedOf('800 m')
    expect(speed.low! < speed.likely! && speed.likely! < speed.high!).toBe(true)
    expect(isGuessed).toBe(true)
  })
  it('of a rest is nothing at all', () => expect(speedOf('rest 1:00').speed).toEqual(exactly(0)))
  it.each<[string, Athlete, Sport, PlaceOfSession['kind'] | undefined, string]>([
    ['10:00 @ 200 W', athlete, 'ride', 'trainer', 'a trainer covers no distance'],
    ['recovery 5:00', athlete, 'ride', 'trainer', 'a trainer covers no distance'],
    ['800 m', unknownAthlete, 'run', undefined, 'a target, or an easy pace'],
    ['warm-up 10:00', unknownAthlete, 'run', undefined, 'an easy pace'],
    ['10:00 @ 200 W', unknownAthlete, 'run', undefined, 'critical power and critical speed'],
  ])('of "%s" can be unknown, and says why', (row, who, sport, place, words) => {
    const { speed, missing } = speedOf(row, who, sport, place)
    expect(speed).toEqual(unknown)
    expect(missing && sayMissing(missing)).toContain(words)
  })
  it('falls back on 78 % of critical where no easy pace is kept', () => {
    expect(speedOf('warm-up 10:00', { ...athlete, easyPace: undefined }).speed.likely).toBeCloseTo(3.6 * 0.78, 9)
  })
})

describe('ranges', () => {
  it('add end by end, and one null makes that end null', () => {
    expect(add({ low: 1, likely: 2, high: 3 }, { low: 10, likely: null, high: 30 })).toEqual({ low: 11, likely: null, high: 33 })
  })
  it('swap their ends between way and time', () => {
    const speed = { low: 2, likely: 4, high: 5 }
    expect(secondsOver(1000, speed)).toEqual({ low: 200, likely: 250, high: 500 })
    expect(metresIn(exactly(100), speed)).toEqual({ low: 200, likely: 400, high: 500 })
    expect(secondsOver(1000, exactly(0))).toEqual(unknown)
  })
  it('map and round every end', () => {
    expect(mapInterval({ low: 1, likely: null, high: 3 }, value => value * 2)).toEqual({ low: 2, likely: null, high: 6 })
    expect(roundInterval({ low: 1.26, likely: 2.04, high: null })).toEqual({ low: 1.3, likely: 2, high: null })
  })
})
