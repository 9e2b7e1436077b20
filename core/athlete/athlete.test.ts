import { sayMissing } from '../words/missing'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { randomFrom } from '../quantity/random'
import type { Target } from '../session/document'
import { walk } from '../session/walk'
import type { Athlete } from './athlete'
import { heartOf } from './athlete'
import { resolveEffort } from './named-effort'
import { fitPowerLaw, metresFor, secondsFor } from './power-law'
import { resolveTarget } from './resolve'
import { smoothedSd } from '../nudge/steadiness'
import { nobody, standpointOf } from './standpoint'
import { seenBy } from '../../tests/support/standpoint'

const ilse: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Ilse Brandvik',
  massKg: 63,
  heart: { max: 182, rest: 50, threshold: 167, aerobicThreshold: 146, bySport: { ride: { max: 176 } } },
  run: { criticalPower: 248, criticalSpeed: 3.6 },
  ride: { criticalPower: 215 },
  swim: { criticalSpeed: 0.893 },
  efforts: [{ sport: 'run', metres: 10000, seconds: 2820, date: '2026-03-07' }],
  goals: [{ name: 'quay run', sport: 'run', metres: 10000, seconds: 2760, date: '2026-06-20' }],
  schools: { band: { kind: 'even' } },
}
const resolved = (target: Target, athlete = ilse, sport: 'run' | 'ride' | 'swim' = 'run', stepMetres?: number) => {
  const result = resolveTarget(target, seenBy(athlete), { sport, stepMetres })
  if (!result.ok) throw new Error(sayMissing(result.missing))
  return result.target
}

describe('the power law of race performance (Riegel 1981)', () => {
  it('takes the customary exponent from one effort: 5 km from 10 km in 47:00 by T2 = T1 (D2/D1)^1.06', () => {
    const law = fitPowerLaw('run', [{ metres: 10000, seconds: 2820 }])!
    expect(law.exponent).toBe(1.06)
    expect(secondsFor(law, 5000)).toBeCloseTo(2820 * 0.5 ** 1.06, 6)
    expect(fitPowerLaw('swim', [{ metres: 400, seconds: 436 }])!.exponent).toBe(1.03)
  })
  it('recovers a planted exponent from several efforts', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.03, max: 1.14, noNaN: true }), fc.double({ min: 0.05, max: 0.3, noNaN: true }), (exponent, scale) => {
        const law = fitPowerLaw(
          'run',
          [1500, 3000, 5000, 10000].map(metres => ({ metres, seconds: scale * metres ** exponent })),
        )!
        expect(law.exponent).toBeCloseTo(exponent, 6)
        expect(law.clamped).toBe(false)
      }),
    )
  })
  it('clamps an exponent out of 1.02-1.15 through the mean point, and says so', () => {
    const law = fitPowerLaw('run', [
      { metres: 1000, seconds: 300 },
      { metres: 10000, seconds: 2000 },
    ])!
    expect([law.exponent, law.clamped]).toEqual([1.02, true])
    expect(secondsFor(law, law.atMetres)).toBeCloseTo(law.atSeconds, 9)
  })
  it('goes both ways', () => {
    const law = fitPowerLaw('run', [{ metres: 10000, seconds: 2820 }])!
    fc.assert(
      fc.property(
        fc.double({ min: 400, max: 50000, noNaN: true }),
        metres => Math.abs(metresFor(law, secondsFor(law, metres)) - metres) < metres * 1e-9,
      ),
    )
  })
  it('says nothing from nothing', () => expect(fitPowerLaw('run', [])).toBeNull())
})

describe('named efforts', () => {
  const value = (name: Parameters<typeof resolveEffort>[2], sport: 'run' | 'ride' | 'swim' = 'run') =>
    resolveEffort(seenBy(ilse), sport, name)
  it('race distances lie on the law, threshold on its hour', () => {
    expect(value('10k')).toEqual({
      ok: true,
      of: 'pace',
      easiest: expect.closeTo(10000 / 2820, 9),
      hardest: expect.closeTo(10000 / 2820, 9),
    })
    const threshold = value('threshold')
    expect(threshold.ok && threshold.hardest! * 3600).toBeCloseTo(10000 * (3600 / 2820) ** (1 / 1.06), 6)
  })
  it('easy and steady are 78 % and 88 % of critical within 4 %; critical is itself; max is open above', () => {
    expect(value('easy')).toEqual({ ok: true, of: 'pace', easiest: 3.6 * 0.78 * 0.96, hardest: 3.6 * 0.78 * 1.04 })
    expect(value('steady', 'ride')).toEqual({ ok: true, of: 'power', easiest: 215 * 0.88 * 0.96, hardest: 215 * 0.88 * 1.04 })
    expect(value('critical', 'swim')).toMatchObject({ hardest: 0.893 })
    expect(value('max')).toEqual({ ok: true, of: 'pace', easiest: 3.6 })
    expect(value('threshold', 'ride')).toMatchObject({ of: 'power', hardest: 215 })
  })
  it('goal is the next goal race', () => expect(value('goal')).toMatchObject({ hardest: 10000 / 2760 }))
  it('an old effort gives way to a young one, but serves when there is no other', () => {
    const athlete: Athlete = { ...ilse, efforts: [...ilse.efforts!, { sport: 'run', metres: 10000, seconds: 3300, date: '2024-01-01' }] }
    expect(resolveEffort(standpointOf(athlete, '2026-03-31'), 'run', '10k')).toMatchObject({ hardest: expect.closeTo(10000 / 2820, 6) })
    expect(resolveEffort(standpointOf(athlete, '2024-02-01'), 'run', '10k')).toMatchObject({ hardest: expect.closeTo(10000 / 3300, 6) })
  })
  it('name the number that is missing', () => {
    expect(resolveEffort(nobody, 'run', '5k')).toEqual({ ok: false, missing: { code: 'race', sport: 'run' } })
    expect(resolveEffort(nobody, 'ride', 'critical')).toEqual({ ok: false, missing: { code: 'critical-power', sport: 'ride' } })
    expect(resolveEffort(seenBy(ilse), 'ride', '5k')).toMatchObject({ ok: false })
    expect(resolveEffort(seenBy(ilse), 'swim', 'goal')).toMatchObject({ ok: false })
  })
})

describe('resolving targets', () => {
  it.each<[string, Target, object, ('run' | 'ride' | 'swim')?]>([
    [
      'a pace range',
      { of: 'pace', unit: 's/km', easiest: 250, hardest: 240 },
      { of: 'pace', unit: 'm/s', easiest: 4, hardest: 1000 / 240 },
    ],
    ['an own time', { of: 'pace', unit: 's/step', easiest: 100, hardest: 80 }, { easiest: 4, hardest: 5 }],
    ['a speed', { of: 'speed', unit: 'km/h', easiest: 28.8, hardest: 36 }, { easiest: 8, hardest: 10 }, 'ride'],
    [
      'percent of critical power',
      { of: 'power', unit: '%CP', easiest: 90, hardest: 100 },
      { unit: 'W', easiest: 193.5, hardest: 215 },
      'ride',
    ],
    ['percent of critical speed', { of: 'pace', unit: '%CS', easiest: 90, hardest: 100 }, { easiest: 3.24, hardest: 3.6 }],
    [
      'heart-rate reserve (Karvonen 1957)',
      { of: 'heart-rate', unit: '%HRR', easiest: 50, hardest: 75 },
      { unit: 'bpm', easiest: 116, hardest: 149 },
    ],
    [
      "percent of the sport's own maximum",
      { of: 'heart-rate', unit: '%HRmax', easiest: 50, hardest: 75 },
      { easiest: 88, hardest: 132 },
      'ride',
    ],
    ['percent of threshold', { of: 'heart-rate', unit: '%LTHR', hardest: 100 }, { hardest: 167 }],
    ['heart-rate zone 3 of five (Edwards 1993)', { of: 'heart-rate', zone: 3 }, { easiest: 182 * 0.7, hardest: 182 * 0.8 }],
    ['heart-rate zone 2 of three', { of: 'heart-rate', zone: 2, scheme: 3 }, { easiest: 146, hardest: 167 }],
    ['the lowest zone, open below', { of: 'power', zone: 1 }, { hardest: 215 * 0.65 }, 'ride'],
    ['zones two to three', { of: 'power', zone: [2, 3] }, { easiest: 215 * 0.65, hardest: 215 * 0.95 }, 'ride'],
    [
      'an effort slower by seconds',
      { of: 'effort', name: '10k', offset: { value: 8, unit: 's/km' }, give: { unit: '%' } },
      { easiest: 1000 / 290, hardest: 1000 / 290 },
    ],
    [
      'an effort harder by percent',
      { of: 'effort', name: 'critical', offset: { value: 2, unit: '%' }, give: { unit: '%' } },
      { easiest: 215 * 1.02, hardest: 215 * 1.02 },
      'ride',
    ],
    [
      'a change over the step',
      { of: 'power', unit: 'W', easiest: 150, hardest: 160, to: { easiest: 200, hardest: 210 } },
      { easiest: 150, to: { easiest: 200, hardest: 210 } },
      'ride',
    ],
    [
      'room of its own',
      { of: 'pace', unit: 's/km', easiest: 250, hardest: 250, give: { easier: 10, harder: 5, unit: 's/km' } },
      { easiest: 1000 / 260, hardest: 1000 / 245 },
    ],
    [
      'room of its own in watts',
      { of: 'power', unit: 'W', easiest: 200, hardest: 220, give: { harder: 5, unit: 'W' } },
      { easiest: 200, hardest: 225 },
      'ride',
    ],
  ])('%s', (_, target, expected, sport) => {
    const close = JSON.parse(JSON.stringify(expected), (_, value: unknown) =>
      typeof value === 'number' ? expect.closeTo(value, 6) : value,
    ) as object
    expect(resolved(target, ilse, sport ?? 'run', 400)).toMatchObject(close)
  })

  it.each([
    ['even', 1000 / 255, 1000 / 245],
    ['percent', 4 * 0.97, 4 * 1.03],
    ['lean-fast', 4 * 0.9925, 4 * 1.015],
  ] as const)('gives one point the room of the %s school', (kind, easiest, hardest) => {
    const target = resolved({ of: 'pace', unit: 's/km', easiest: 250, hardest: 250 }, { ...ilse, schools: { band: { kind } } })
    expect(target.easiest).toBeCloseTo(easiest, 6)
    expect(target.hardest).toBeCloseTo(hardest, 6)
    expect(target.said).toEqual({ easiest: 4, hardest: 4 })
  })

  it('gives a longer smoothing a narrower quiet band', () => {
    const width = (over: number) => {
      const { easiest, hardest } = resolved({ of: 'power', unit: 'W', easiest: 200, hardest: 200, over }, { ...ilse, schools: {} }, 'ride')
      return hardest! - easiest!
    }
    expect(width(30)).toBeLessThan(width(10))
    expect(width(10)).toBeLessThan(width(3))
  })

  it.each<[Target, string]>([
    [{ of: 'power', unit: '%CP', easiest: 90 }, 'critical power in the run'],
    [{ of: 'heart-rate', unit: '%HRR', easiest: 50 }, 'maximum and resting heart rate'],
    [{ of: 'pace', unit: 's/step', easiest: 90 }, "the step's own distance"],
    [{ of: 'power', zone: 2, scheme: 'own' }, 'own power zones'],
    [{ of: 'effort', name: 'easy' }, 'critical speed'],
  ])('names what is missing', (target, words) => {
    const result = resolveTarget(target, nobody, { sport: 'run' })
    expect(!result.ok && sayMissing(result.missing)).toContain(words)
  })

  it('never brings a NaN, an infinity or a number of zero or less, for any target', () => {
    fc.assert(
      fc.property(arbitrarySession, fc.constantFrom('quiet', 'lean-fast', 'even', 'percent' as const), (document, kind) => {
        for (const flat of walk(document)) {
          for (const target of [flat.step.target, flat.step.also]) {
            if (!target || flat.sport === 'multi') continue
            const result = resolveTarget(target, seenBy({ ...ilse, schools: { band: { kind } } }), { sport: flat.sport, stepMetres: 400 })
            if (!result.ok) continue
            for (const end of [result.target, result.target.to ?? {}]) {
              for (const value of [end.easiest, end.hardest])
                if (value !== undefined) expect(Number.isFinite(value) && value > 0).toBe(true)
            }
          }
        }
      }),
      { numRuns: 500 },
    )
  })
})

describe('heart numbers', () => {
  it("are the sport's own where given", () => expect(heartOf(ilse, 'ride')).toMatchObject({ max: 176, rest: 50 }))
})

describe('the spread of smoothed AR(1) noise', () => {
  it('is the spread itself without smoothing, and falls with it', () => {
    expect(smoothedSd(2, 5, 1)).toBeCloseTo(2, 9)
    expect(smoothedSd(2, 5, 10)).toBeLessThan(smoothedSd(2, 5, 5))
  })
  it('agrees with a simulation of the moving average', () => {
    const random = randomFrom(11)
    const [tau, seconds] = [6, 5]
    const phi = Math.exp(-1 / tau)
    const values: number[] = []
    let noise = random.normal()
    for (let index = 0; index < 200_000; index++) {
      noise = noise * phi + random.normal() * Math.sqrt(1 - phi * phi)
      values.push(noise)
    }
    let sum = 0
    for (let index = seconds; index < values.length; index++) {
      const mean = values.slice(index - seconds, index).reduce((a, b) => a + b, 0) / seconds
      sum += mean * mean
    }
    expect(Math.sqrt(sum / (values.length - seconds))).toBeCloseTo(smoothedSd(1, tau, seconds), 1)
  })
})
