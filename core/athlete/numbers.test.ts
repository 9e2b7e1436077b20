import { sayZoneMethod } from '../words/numbers'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Athlete } from './athlete'
import { nobody, standpointOf } from './standpoint'
import { unknownAthlete } from './athlete'
import { criticalOfAllOut, criticalSwimSpeed, fitCritical } from './critical'
import { flatSpeedOf, gradeCost, gradeFactor, speedOnGrade } from './grade'
import { ageOn, atReserve, estimatedMaximum, thresholdOfHalfHour } from './heart'
import { resolveEffort } from './named-effort'
import { derivedNumbers } from './numbers'
import { oxygenCapacity, oxygenCost, secondsAtCapacity, speedAtCapacity, sustainableShare } from './oxygen'
import { resolveTarget } from './resolve'
import { zoneNumbers } from './zone-numbers'
import { ownZones, zoneBounds } from './zones'
import { seenBy } from '../../tests/support/standpoint'

const ilse: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Ilse Brandvik',
  birthDate: '1984-11-02',
  sex: 'female',
  massKg: 63,
  heart: { max: 182, rest: 50, threshold: 167 },
  run: { criticalSpeed: 3.6 },
  ride: { criticalPower: 215 },
  efforts: [
    { sport: 'run', metres: 10000, seconds: 2820, date: '2026-03-07' },
    { sport: 'run', metres: 3000, seconds: 784, date: '2026-02-21' },
    { sport: 'swim', metres: 400, seconds: 436, date: '2026-02-18' },
    { sport: 'swim', metres: 200, seconds: 212, date: '2026-02-18' },
  ],
}

describe('critical power and speed (Monod & Scherrer 1965)', () => {
  it('recovers planted parameters, with no error where there is no scatter', () => {
    const planted = fc.record({
      critical: fc.double({ min: 100, max: 400, noNaN: true }),
      reserve: fc.double({ min: 5000, max: 40_000, noNaN: true }),
      times: fc.uniqueArray(fc.integer({ min: 120, max: 1200 }), { minLength: 2, maxLength: 6 }),
    })
    fc.assert(
      fc.property(planted, ({ critical, reserve, times }) => {
        const reading = fitCritical(times.map(seconds => ({ seconds, amount: reserve + critical * seconds })))
        if (!reading.ok) throw new Error(reading.missing)
        expect(reading.fit.critical).toBeCloseTo(critical, 4)
        expect(Math.abs(reading.fit.reserve - reserve)).toBeLessThan(0.01 * reserve)
        expect(reading.fit.criticalError === null).toBe(times.length === 2)
        if (reading.fit.criticalError !== null) expect(reading.fit.criticalError).toBeCloseTo(0, 4)
      }),
    )
  })
  it('tells the standard errors of a least-squares line with n-2 degrees of freedom', () => {
    const reading = fitCritical([
      { seconds: 120, amount: 45_000 },
      { seconds: 300, amount: 84_000 },
      { seconds: 600, amount: 150_000 },
      { seconds: 900, amount: 209_000 },
    ])
    if (!reading.ok) throw new Error(reading.missing)
    const [x, y] = [
      [120, 300, 600, 900],
      [45_000, 84_000, 150_000, 209_000],
    ]
    const meanX = 480
    const sxx = x.reduce((sum, value) => sum + (value - meanX) ** 2, 0)
    const slope = x.reduce((sum, value, index) => sum + (value - meanX) * (y[index]! - 122_000), 0) / sxx
    const rest = x.reduce((sum, value, index) => sum + (y[index]! - 122_000 - slope * (value - meanX)) ** 2, 0)
    expect(reading.fit.critical).toBeCloseTo(slope, 9)
    expect(reading.fit.criticalError).toBeCloseTo(Math.sqrt(rest / 2 / sxx), 9)
  })
  it('says what weakens it, and leaves out what is too short or too long', () => {
    const near = fitCritical([
      { seconds: 180, amount: 60_000 },
      { seconds: 300, amount: 90_000 },
    ])
    expect(near.ok && near.fit.weaknesses).toContain('close-efforts')
    const long = fitCritical([
      { seconds: 180, amount: 60_000 },
      { seconds: 1100, amount: 260_000 },
    ])
    expect(long.ok && long.fit.weaknesses).toContain('long-effort')
    expect(
      fitCritical([
        { seconds: 180, amount: 60_000 },
        { seconds: 3600, amount: 700_000 },
      ]).ok,
    ).toBe(false)
    expect(
      fitCritical([
        { seconds: 300, amount: 60_000 },
        { seconds: 600, amount: 130_000 },
      ]),
    ).toMatchObject({ ok: false, missing: 'fitting-together' })
  })
  it('takes a 3-minute all-out test by its last half minute (Vanhatalo 2007)', () => {
    expect(criticalOfAllOut(300, 240)).toEqual({ critical: 240, reserve: 10_800 })
    expect([criticalOfAllOut(240, 300), criticalOfAllOut(Number.NaN, 200), criticalOfAllOut(300, 0)]).toEqual([null, null, null])
  })
  it('takes critical swim speed from 200 and 400 m (Wakayoshi 1993)', () => {
    expect(criticalSwimSpeed({ metres: 200, seconds: 212 }, { metres: 400, seconds: 436 })).toBeCloseTo(200 / 224, 9)
    expect(criticalSwimSpeed({ metres: 200, seconds: 240 }, { metres: 400, seconds: 436 })).toBeNull()
  })
})

describe('the oxygen model (Daniels & Gilbert 1979)', () => {
  it('agrees with its formula worked by hand: 5 km in 20:00 speaks of 49.8', () => {
    expect(oxygenCost(250 / 60)).toBeCloseTo(-4.6 + 0.182258 * 250 + 0.000104 * 62_500, 9)
    expect(sustainableShare(1200)).toBeCloseTo(0.952_98, 4)
    expect(sustainableShare(210)).toBeCloseTo(0.8 + 0.181_154 + 0.151_999, 4)
    expect(oxygenCapacity(5000, 1200)).toBeCloseTo(49.8, 1)
  })
  it('is within 0.15 % of the printed tables: a capacity of 50 runs 5 km in 19:57, 10 km in 41:21, a marathon in 3:10:49', () => {
    for (const [metres, seconds] of [
      [5000, 1197],
      [10_000, 2481],
      [42_195, 11_449],
    ] as const)
      expect(Math.abs(secondsAtCapacity(50, metres) / seconds - 1)).toBeLessThan(0.0015)
  })
  it('goes both ways', () => {
    fc.assert(
      fc.property(fc.double({ min: 25, max: 85, noNaN: true }), fc.double({ min: 800, max: 50_000, noNaN: true }), (capacity, metres) => {
        expect(oxygenCapacity(metres, secondsAtCapacity(capacity, metres))).toBeCloseTo(capacity, 6)
      }),
    )
    fc.assert(
      fc.property(fc.double({ min: 25, max: 85, noNaN: true }), fc.double({ min: 240, max: 14_400, noNaN: true }), (capacity, seconds) => {
        expect(oxygenCost(speedAtCapacity(capacity, seconds)) / sustainableShare(seconds)).toBeCloseTo(capacity, 6)
      }),
    )
  })
  it('speaks for race efforts where the athlete picked it', () => {
    const byOxygen = resolveEffort(standpointOf({ ...ilse, schools: { racePrediction: 'oxygen' } }, '2026-03-31'), 'run', '5k')
    const capacity = Math.max(oxygenCapacity(10_000, 2820)!, oxygenCapacity(3000, 784)!)
    expect(byOxygen).toMatchObject({ ok: true, hardest: expect.closeTo(5000 / secondsAtCapacity(capacity, 5000), 9) })
    expect(resolveEffort(standpointOf({ ...ilse, schools: { racePrediction: 'oxygen' } }, '2026-03-31'), 'swim', '1500m').ok).toBe(true)
  })
})

describe('heart numbers', () => {
  it('estimates a maximum (Tanaka 2001) and stands in the reserve (Karvonen 1957)', () => {
    expect([estimatedMaximum(40), atReserve(50, 182, 0.5)]).toEqual([180, 116])
  })
  it('counts whole years', () => {
    expect([ageOn(ilse, '2026-11-01'), ageOn(ilse, '2026-11-02'), ageOn(unknownAthlete, '2026-01-01')]).toEqual([41, 42, null])
  })
  it('takes a threshold from half an hour, within reason', () =>
    expect([thresholdOfHalfHour(166.6), thresholdOfHalfHour(60)]).toEqual([167, null]))
})

describe('running on a slope (Minetti 2002)', () => {
  it("has the polynomial's published cost on the flat, and the least at about a fifth downhill", () => {
    expect(gradeCost(0)).toBe(3.6)
    expect(gradeCost(0.1)).toBeCloseTo(155.4e-5 - 30.4e-4 - 43.3e-3 + 46.3e-2 + 1.95 + 3.6, 9)
    const least = [-0.3, -0.25, -0.2, -0.15, -0.1, 0].reduce((best, slope) => (gradeCost(slope) < gradeCost(best) ? slope : best))
    expect([-0.2, -0.15]).toContain(least)
    expect(gradeCost(2)).toBe(gradeCost(0.45))
  })
  it('goes both ways', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 7, noNaN: true }), fc.double({ min: -0.4, max: 0.4, noNaN: true }), (speed, slope) => {
        expect(flatSpeedOf(speedOnGrade(speed, slope), slope)).toBeCloseTo(speed, 9)
        expect(gradeFactor(slope)).toBeGreaterThan(0)
      }),
    )
  })
  it('makes an effort slower uphill, and leaves a pace as it was said', () => {
    const on = (target: Parameters<typeof resolveTarget>[0], slope?: number) => {
      const reading = resolveTarget(target, seenBy({ ...ilse, schools: { band: { kind: 'even' } } }), { sport: 'run', slope })
      return reading.ok ? reading.target.said.hardest! : 0
    }
    expect(on({ of: 'effort', name: '5k' }, 0.06)).toBeCloseTo(on({ of: 'effort', name: '5k' }) / gradeFactor(0.06), 9)
    expect(on({ of: 'pace', unit: '%CS', easiest: 95, hardest: 100 }, 0.06)).toBeCloseTo(3.6 / gradeFactor(0.06), 9)
    expect(on({ of: 'pace', unit: 's/km', easiest: 250, hardest: 250 }, 0.06)).toBe(4)
  })
})

describe('zones', () => {
  it('say their method, and what is missing', () => {
    expect(zoneBounds({ of: 'heart-rate', scheme: 3 }, seenBy(ilse), 'run')).toEqual({
      ok: true,
      bounds: [167 * 0.82, 167],
      method: 'threshold-and-share',
    })
    expect(sayZoneMethod('threshold-and-share', 'heart-rate')).toContain('82 %')
    expect(zoneBounds({ of: 'heart-rate' }, seenBy(ilse), 'run')).toMatchObject({ method: 'heart-tenths' })
    expect(zoneBounds({ of: 'pace' }, nobody, 'swim')).toEqual({ ok: false, missing: { code: 'critical-speed', sport: 'swim' } })
  })
  it("of one's own rise", () => {
    expect(ownZones([120, 140, 160]).ok).toBe(true)
    for (const bad of [[], [1, 2, 3, 4, 5, 6, 7, 8, 9], [140, 120], [0, 5], [Number.NaN]]) expect(ownZones(bad).ok).toBe(false)
  })
})

describe('the derived numbers', () => {
  const named = (athlete: Athlete, name: string, on = '2026-03-31') =>
    derivedNumbers(standpointOf(athlete, on)).filter(number => number.name === name)
  it('set two schools side by side under one name', () => {
    expect(named(ilse, '5k').map(number => number.method)).toEqual(['power law', 'oxygen model'])
    expect(
      named(ilse, 'easy heart rate, at most')
        .filter(number => number.sport === 'run')
        .map(number => number.method),
    ).toEqual(['70 % of heart-rate reserve', '77 % of maximum', '85 % of threshold'])
  })
  it('flag what rests on old efforts', () => {
    expect(named(ilse, '5k')[0]!.isAged).toBeUndefined()
    expect(named(ilse, '5k', '2026-09-30')[0]).toMatchObject({ isAged: true, date: '2026-03-07' })
  })
  it('offer what can be taken into the document', () => {
    expect(named(ilse, 'critical swim speed')[0]).toMatchObject({ field: 'swim.criticalSpeed', value: expect.closeTo(200 / 224, 9) })
    expect(named(ilse, 'maximum heart rate')[0]).toMatchObject({ value: expect.closeTo(208 - 0.7 * 41, 9), uncertainty: 10 })
  })
  it('give 95 % ranges: of three trials with one degree of freedom, of two none, and say what is hardly known', () => {
    const ride = (seconds: number, watts: number) => ({ sport: 'ride' as const, seconds, watts, date: '2026-03-01' })
    const power = (...efforts: ReturnType<typeof ride>[]) => named({ ...unknownAthlete, efforts }, 'critical power')[0]!
    const three = [ride(180, 300), ride(480, 250), ride(900, 236)]
    const reading = fitCritical(three.map(({ seconds, watts }) => ({ seconds, amount: seconds * watts })))
    expect(power(...three).uncertainty).toBeCloseTo(12.706 * (reading.ok ? reading.fit.criticalError! : 0), 6)
    expect(power(...three.slice(0, 2))).toMatchObject({ weakness: expect.stringContaining('two efforts') })
    expect(power(...three.slice(0, 2)).uncertainty).toBeUndefined()
    expect(power(ride(180, 300), ride(480, 250), ride(900, 205)).weakness).toContain('hardly known')
  })
  it('are less sure of a race the further it is from the known', () => {
    const sure = (name: string) =>
      named({ ...unknownAthlete, efforts: [{ sport: 'run', metres: 5000, seconds: 1200, date: '2026-03-01' }] }, name)[0]!
    const share = (name: string) => sure(name).uncertainty! / sure(name).value
    expect(share('5k')).toBeCloseTo(1.96 * Math.hypot(0.006, 0.02), 3)
    expect(share('marathon')).toBeGreaterThan(2 * share('5k'))
  })
  it('leave the oxygen model where it holds: 3.5 to 230 min', () => {
    const slow = { ...unknownAthlete, efforts: [{ sport: 'run' as const, metres: 42_195, seconds: 15_000, date: '2026-03-01' }] }
    expect(named(slow, 'marathon').map(({ method }) => method)).toEqual(['power law'])
    expect(named(slow, 'oxygen capacity as run')).toEqual([])
  })
  it('say nothing from nothing', () => expect(derivedNumbers(standpointOf(unknownAthlete, '2026-03-31'))).toEqual([]))
  it('hold no NaN, infinity, zero or negative number, whatever is known', () => {
    const effort = fc.record({
      sport: fc.constantFrom('run' as const, 'ride' as const, 'swim' as const),
      metres: fc.option(fc.double({ min: 0.001, max: 1e6, noNaN: true }), { nil: undefined }),
      seconds: fc.double({ min: 0.001, max: 172_800, noNaN: true }),
      watts: fc.option(fc.double({ min: 0.001, max: 3000, noNaN: true }), { nil: undefined }),
      date: fc.constantFrom('2026-03-01', '2020-01-01'),
    })
    const bpm = fc.option(fc.integer({ min: 20, max: 250 }), { nil: undefined })
    const athlete = fc.record({
      efforts: fc.array(effort, { maxLength: 6 }),
      heart: fc.record({ max: bpm, rest: bpm, threshold: bpm }),
      criticalSpeed: fc.option(fc.double({ min: 0.01, max: 30, noNaN: true }), { nil: undefined }),
    })
    fc.assert(
      fc.property(athlete, ({ efforts, heart, criticalSpeed }) => {
        const who: Athlete = {
          ...unknownAthlete,
          birthDate: '1984-11-02',
          efforts: JSON.parse(JSON.stringify(efforts)) as Athlete['efforts'],
          heart,
          run: { criticalSpeed },
        }
        for (const { value, uncertainty = 0 } of derivedNumbers(standpointOf(who, '2026-03-31')))
          expect(Number.isFinite(value) && value > 0 && Number.isFinite(uncertainty) && uncertainty >= 0).toBe(true)
      }),
      { numRuns: 500 },
    )
  })
})

describe('numbers from little', () => {
  const seen = (athlete: Partial<Athlete>) => standpointOf({ ...unknownAthlete, ...athlete }, '2026-03-31')
  it('give a critical speed from one race, rough, and none beside an own one', () => {
    const efforts = [{ sport: 'run' as const, metres: 5000, seconds: 1200, date: '2026-03-01' }]
    const critical = (athlete: Partial<Athlete>) => derivedNumbers(seen(athlete)).filter(({ name }) => name === 'critical speed')
    expect(critical({ efforts })).toMatchObject([{ sport: 'run', weakness: 'from one race, rough' }])
    expect(critical({ efforts })[0]!.value).toBeCloseTo((5000 / 1200) * (2700 / 1200) ** (1 / 1.06 - 1), 6)
    expect(critical({ efforts, run: { criticalSpeed: 4 } })).toEqual([])
  })
  it('tell where zones begin, own ones as they were set', () => {
    const athlete = { heart: { max: 180 }, ride: { criticalPower: 200 }, zones: { run: { pace: [3, 4] } } }
    const found = zoneNumbers(seen(athlete)).map(({ name, sport, value }) => `${sport} ${name} ${Math.round(value)}`)
    expect(found).toContain('run heart rate zone 2 begins 108')
    expect(found).toContain('ride power zone 2 begins 130')
    expect(found.filter(words => words.startsWith('run pace'))).toEqual(['run pace zone 2 begins 3', 'run pace zone 3 begins 4'])
    expect(zoneNumbers(seen({}))).toEqual([])
  })
})
