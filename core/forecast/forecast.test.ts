import { sayRefusal } from '../words/refusals'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import type { Athlete } from '../athlete/athlete'
import { unknownAthlete } from '../athlete/athlete'
import { apply } from '../edit/edit'
import { reckon } from '../reckon/reckon'
import { readScript } from '../script/reader/read-script'
import type { Session } from '../session/document'
import { forecastOf } from './forecast'
import { ceilingAt, heartThrough } from './heart-response'
import { heartAfter, heartAt } from '../physiology/heart'
import type { IntensitySegment } from './intensity'
import { effortOfShare, shareOfEffort } from '../athlete/critical-share'
import { heartRateImpulse, impulseWeight, withLoad } from './load'
import { ordinal } from './proposals'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const ilse: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Ilse Brandvik',
  sex: 'female',
  massKg: 63,
  heart: { max: 182, rest: 50, threshold: 167 },
  run: { criticalSpeed: 3.6, dPrime: 150 },
  ride: { criticalPower: 215, wPrime: 15_000 },
  swim: { criticalSpeed: 0.893 },
  efforts: [
    { sport: 'run', metres: 3000, seconds: 784, date: '2026-02-21' },
    { sport: 'run', metres: 10_000, seconds: 2820, date: '2026-03-07' },
  ],
  easyPace: { run: 355 },
  recoveryPace: { run: 390 },
  schools: { band: { kind: 'lean-fast' } },
}
const session = (text: string): Session => readScript(text, nobody).sessions[0]!
const segment = (seconds: number, share: number, role: IntensitySegment['role'] = 'work'): IntensitySegment => ({
  path: '1',
  round: [],
  role,
  sport: 'ride',
  seconds,
  from: share,
  to: share,
})

describe('the forecast heart rate', () => {
  it('comes within 1/e of its aim in 30 s upward and in 50 s downward', () => {
    const heart = { rest: 50, max: 182, threshold: 167 }
    const up = heartAfter(62, heart, 1, 0, 30)
    expect((167 - up) / (167 - 62)).toBeCloseTo(Math.exp(-1), 6)
    expect((heartAfter(167, heart, 0, 3600, 50) - 62) / (167 - 62)).toBeCloseTo(Math.exp(-1), 6)
  })
  it('is at threshold at critical, at the maximum a little above, and never outside rest and maximum', () => {
    const heart = { rest: 50, max: 182, threshold: 167 }
    expect([heartAt(1, heart), heartAt(1.12, heart), heartAt(3, heart), heartAt(0, heart)]).toEqual([167, 182, 182, 62])
    expect(heartAt(1, { rest: 50, max: 182 })).toBeCloseTo(50 + 132 * 0.88, 9)
    fc.assert(
      fc.property(fc.double({ min: 0, max: 3, noNaN: true }), fc.double({ min: 0, max: 20_000, noNaN: true }), (share, worked) => {
        const bpm = heartAfter(120, heart, share, worked, 600)
        expect(bpm).toBeGreaterThanOrEqual(50)
        expect(bpm).toBeLessThanOrEqual(182)
      }),
    )
  })
  it('drifts by 5-8 % in an hour and no further, and not at all when it is easy', () => {
    const at = (share: number, minutes: number) => heartThrough([segment(minutes * 60, share)], seenBy(ilse))!.points.at(-1)!.bpm
    const settled = heartAt(0.8, { rest: 50, max: 182, threshold: 167 })
    expect(at(0.8, 70) / settled).toBeGreaterThan(1.05)
    expect(at(0.8, 240) / settled).toBeLessThan(1.08)
    expect(at(0.8, 240) - at(0.8, 120)).toBeLessThan(1)
    expect(at(0.5, 120)).toBeCloseTo(heartAt(0.5, { rest: 50, max: 182, threshold: 167 }), 3)
  })
  it('of a step that aims at a heart rate is that one', () => {
    const { heart } = forecastOf(session('sport run\n\n2:00:00 @ 140-150 bpm\n'), seenBy(ilse))
    expect(heart!.highest.bpm).toBeCloseTo(145, 1)
  })
  it("of several sports stays within each sport's maximum", () => {
    const both = session('sport multi\n\nleg ride\n  20:00 @ 115 %CP\nleg swim\n  400 m @ 1:30 /100m\n')
    const { heart } = forecastOf(both, seenBy({ ...ilse, heart: { ...ilse.heart, bySport: { swim: { max: 170 } } } }))
    expect(heart!.points.at(-1)!.bpm).toBeLessThanOrEqual(170)
    expect(heart!.highest).toMatchObject({ path: '1.1', high: 182 })
  })
  it('finds the lowest ceiling around a step, and where it is crossed', () => {
    const capped = session('sport run\nceiling 172 bpm\n\n2 times, ceiling 165 bpm\n  9:00 @ 10k effort\n  recovery 1:00\n')
    expect([ceilingAt(capped, '1.1', seenBy(ilse)), ceilingAt(session('sport run\nceiling 90 %HRmax\n\n9:00\n'), '1', nobody)]).toEqual([
      165,
      null,
    ])
    expect(
      forecastOf(session('sport run\nceiling 150 bpm\n\n2 times\n  9:00 @ 10k effort\n  recovery 1:00\n'), seenBy(ilse)).heart!.crossed,
    ).toMatchObject({ path: '1.1', round: [1], above: 150 })
  })
})

describe('load', () => {
  it('weighs a minute after Banister (1991)', () => {
    expect(impulseWeight(0.8, 'male')).toBeCloseTo(0.8 * 0.64 * Math.exp(1.92 * 0.8), 12)
    expect(impulseWeight(0.8, 'female')).toBeCloseTo(0.8 * 0.86 * Math.exp(1.67 * 0.8), 12)
    expect(impulseWeight(0.8)).toBeCloseTo((impulseWeight(0.8, 'male') + impulseWeight(0.8, 'female')) / 2, 12)
    expect([impulseWeight(-1), impulseWeight(2, 'male')]).toEqual([0, impulseWeight(1, 'male')])
  })
  it('of an hour at one heart rate is sixty minutes of its weight', () => {
    expect(
      heartRateImpulse(
        [
          { t: 0, bpm: 142.4 },
          { t: 3600, bpm: 142.4 },
        ],
        50,
        182,
        'female',
      ),
    ).toBeCloseTo(60 * impulseWeight(0.7, 'female'), 9)
  })
  it('stands beside a reckoning in whole numbers', () => {
    const hour = session('sport run\n\n45:00 @ easy effort\n')
    const { load, flat } = withLoad(hour, reckon(hour, seenBy(ilse)), seenBy(ilse))
    expect(flat).toHaveLength(1)
    expect(load.sessionEffort).toEqual({
      low: Math.round(forecastOf(hour, seenBy(ilse)).load.sessionEffort.low!),
      likely: Math.round(forecastOf(hour, seenBy(ilse)).load.sessionEffort.likely!),
      high: Math.round(forecastOf(hour, seenBy(ilse)).load.sessionEffort.high!),
    })
  })
  it("of a session has a range, and is unknown without the heart's numbers", () => {
    const { load } = forecastOf(session('sport run\n\n45:00 @ easy effort\n'), seenBy(ilse))
    expect(load.sessionEffort.likely! / 45).toBeGreaterThan(2)
    expect(load.sessionEffort.likely! / 45).toBeLessThan(5)
    expect(load.heartRateImpulse.low!).toBeLessThan(load.heartRateImpulse.high!)
    expect(
      forecastOf(session('sport run\n\n45:00 @ easy effort\n'), seenBy({ ...ilse, heart: {} })).load.heartRateImpulse.likely,
    ).toBeNull()
  })
})

describe('perceived effort', () => {
  it('goes to a share of critical and back, rising', () => {
    expect(shareOfEffort(7)).toBe(1)
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 10, noNaN: true }), effort => Math.abs(effortOfShare(shareOfEffort(effort)) - effort) < 1e-6),
    )
  })
})

describe('how hard a session is', () => {
  const repeats = session(
    'sport ride\n\nwarm-up 15:00\n10 times, drop last recovery\n  2:00 @ 130-135 %CP\n  recovery 1:00\ncool-down 10:00\n',
  )
  const paces = session('sport run\n\nwarm-up 15:00\n16 times, drop last recovery\n  1 km @ 4:25 /km\n  recovery 1:00\ncool-down 10:00\n')

  it('names the level, its reason and the step after which most is used', () => {
    const { used, message } = forecastOf(paces, seenBy(ilse))
    expect(used!.level).toBe('beyond')
    expect(message).toContain('the 16th 1 km')
    expect(used!.course.most.path).toBe('2.1')
  })
  it('is calm where nothing is hard', () => {
    const { used, message, proposals } = forecastOf(session('sport run\n\n45:00 @ easy effort\n'), seenBy(ilse))
    expect([used!.level, proposals]).toEqual(['easy', []])
    expect(message).toMatch(/^Easy: about \d+ % of what a race would take\.$/)
  })
  it.each([
    ['paces', paces, 's/km slower'],
    ['shares', repeats, '% easier'],
  ])('proposes what is reckoned: taken, each brings the level down (%s)', (_, document, label) => {
    const { used, proposals } = forecastOf(document, seenBy(ilse))
    expect(proposals.map(proposal => proposal.label).join()).toContain(label)
    for (const { edits, used: after, level } of proposals) {
      let eased = document
      for (const edit of edits) {
        const result = apply(eased, edit, seenBy(ilse))
        if (!result.ok) throw new Error(sayRefusal(result.refusal))
        eased = result.session
      }
      const again = forecastOf(eased, seenBy(ilse))
      expect(again.used!.used.likely).toBeCloseTo(after, 9)
      expect(again.used!.level).toBe(level)
      expect(level).not.toBe(used!.level)
    }
  })
  it('proposes the least that is enough: a second less is not', () => {
    const slower = forecastOf(paces, seenBy(ilse)).proposals.find(proposal => proposal.kind === 'slower')!
    const less = apply(paces, { do: 'target', at: '2.1', words: `4:${25 + slower.value! - 1} /km` }, seenBy(ilse))
    expect(less.ok && forecastOf(less.session, seenBy(ilse)).used!.level).toBe('beyond')
  })
  it('leaves out what it cannot tell, says so, and puts no upper end to it', () => {
    const open = forecastOf(session('sport run\n\n30:00\n3 km @ 10k effort\n'), seenBy(ilse))
    expect(open.leftOut).toEqual([{ path: '1', code: 'no-target' }])
    expect(open.message).toMatch(/^Not known: the work says no target\./)
    expect([open.used!.used.high, open.used!.used.likely! > 0]).toEqual([null, true])
    const unknown = forecastOf(repeats, seenBy({ ...ilse, ride: {} }))
    expect([unknown.used, unknown.message, unknown.missing[0]]).toEqual([null, '', { code: 'critical-power', sport: 'ride' }])
  })
  it("takes a max effort as the most for the step's own length", () => {
    const all = (row: string) => forecastOf(session(`sport run\n\n${row}\n`), seenBy(ilse)).used!.used.likely
    expect(all('3 km @ max effort')).toBeCloseTo(1, 2)
    expect(all('20:00 @ max effort')).toBeCloseTo(1, 2)
  })
  it('counts in words', () =>
    expect([1, 4, 12, 13, 21, 111, 123].map(ordinal)).toEqual(['first', 'fourth', 'twelfth', '13th', '21st', '111th', '123rd']))

  it('brings no NaN, no infinity and no range that is the wrong way round for any session and any athlete', () => {
    const known = fc.constantFrom(ilse, unknownAthlete, { ...ilse, heart: {} }, { ...ilse, run: {} }, { ...ilse, efforts: [], swim: {} })
    const made = fc
      .tuple(
        fc.integer({ min: 800, max: 3000 }),
        fc.integer({ min: 40, max: 75 }),
        fc.integer({ min: 150, max: 210 }),
        fc.integer({ min: 90, max: 400 }),
      )
      .map(([fiveK, rest, max, watts]): Athlete => ({
        ...unknownAthlete,
        heart: { rest, max },
        efforts: [
          { sport: 'run', metres: 5000, seconds: fiveK, date: '2026-03-01' },
          { sport: 'ride', watts, seconds: 1200, date: '2026-03-01' },
          { sport: 'swim', metres: 400, seconds: fiveK / 4, date: '2026-03-01' },
        ],
      }))
    const athletes = fc.oneof(known, made)
    fc.assert(
      fc.property(arbitrarySession, athletes, (document, athlete) => {
        const forecast = forecastOf(document, seenBy(athlete))
        JSON.stringify(forecast, (_, value: unknown) => {
          if (typeof value === 'number' && !Number.isFinite(value)) throw new Error('not a finite number')
          return value
        })
        const { low, likely, high } = forecast.used?.used ?? { low: 0, likely: 0, high: 0 }
        expect(low).toBeGreaterThanOrEqual(0)
        expect(low!).toBeLessThanOrEqual(likely! + 1e-9)
        expect(high ?? likely!).toBeGreaterThanOrEqual(likely! - 1e-9)
        if (forecast.used) expect(forecast.used.level === 'beyond').toBe(likely! >= 1.1)
        for (const effort of Object.values(forecast.used?.effort ?? {})) expect(effort === null || (effort >= 0 && effort <= 10)).toBe(true)
        for (const { low: least, likely: most, high: top } of Object.values(forecast.load))
          expect(
            least === null || (least >= 0 && least <= (most ?? least) + 1e-9 && (top ?? most ?? least) >= (most ?? least) - 1e-9),
          ).toBe(true)
        for (const { bpm } of forecast.heart?.points ?? []) expect(bpm >= 35 && bpm <= 215).toBe(true)
      }),
      { numRuns: 300 },
    )
  })
})
