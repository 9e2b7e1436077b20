import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Athlete, Effort } from '../athlete/athlete'
import { unknownAthlete } from '../athlete/athlete'
import { abilityOf } from '../athlete/ability'
import { standpointOf } from '../athlete/standpoint'
import { formatTime } from '../quantity/time'
import { readScript } from '../script/reader/read-script'
import { forecastOf } from './forecast'
import type { IntensitySegment } from './intensity'
import { effortOfUsed, levelOf } from './level'
import { recovered, sumOf } from '../physiology/recovery'
import { leastReserve, reserveAfter } from './reserve'
import { returningPart } from '../physiology/wear'
import { shareUsed } from './share-used'

const date = '2026-03-01'
const standpoint = (efforts: Omit<Effort, 'date'>[], more: Partial<Athlete> = {}) =>
  standpointOf({ ...unknownAthlete, ...more, efforts: efforts.map(effort => ({ ...effort, date })) }, '2026-03-31')
const runner = standpoint([
  { sport: 'run', metres: 1609.344, seconds: 343 },
  { sport: 'run', metres: 5000, seconds: 1200 },
  { sport: 'run', metres: 10_000, seconds: 2490 },
])
const usedFor = (script: string, by = runner) => forecastOf(readScript(`sport run\n\n${script}\n`, by).sessions[0]!, by).used!.used.likely!
const segment = (seconds: number, share: number): IntensitySegment => ({
  path: '1',
  round: [],
  role: 'work',
  sport: 'run',
  seconds,
  from: share,
  to: share,
})

describe('recovery after exhaustion', () => {
  it.each([
    [120, 0.37],
    [360, 0.65],
    [900, 0.86],
  ])('after %i s is within ten points of the published %f', (seconds, published) => {
    let missing = { fast: 0.3, slow: 0.7 }
    for (let t = 0; t < seconds; t += 10) missing = recovered(missing, 0.1, 10)
    expect(Math.abs(1 - sumOf(missing) - published)).toBeLessThan(0.1)
  })
  it('is slower the harder it is, and none near critical', () => {
    const missing = { fast: 0.2, slow: 0.5 }
    expect(sumOf(recovered(missing, 0.3, 10))).toBeLessThan(sumOf(recovered(missing, 0.8, 10)))
    expect(reserveAfter(missing, 0.97, 10, 0.02)).toEqual(missing)
  })
})

describe("what is left of W' or D'", () => {
  it('is spent in a straight line above critical', () => {
    const rate = 215 / 15_000
    expect(leastReserve([segment(250, 275 / 215)], () => rate)).toBeCloseTo(0, 9)
    expect(leastReserve([segment(125, 275 / 215)], () => rate)).toBeCloseTo(0.5, 9)
    expect([leastReserve([segment(60, 1.1)], () => null), leastReserve([segment(60, 0.9)], () => null)]).toEqual([null, 1])
  })
})

describe('the share used', () => {
  it('of one intensity is its time over what it can be held for', () => {
    const ability = abilityOf(runner, 'run')!
    const { most } = shareUsed([segment(600, 0.9)], () => ability)!
    expect(most.used).toBeCloseTo(600 / ability.secondsAt(0.9 * ability.critical), 9)
    expect(shareUsed([segment(600, 0.9)], () => null)).toBeNull()
  })
  it('comes back by no part below 95 % of critical and by most above 107 %', () =>
    expect([0.5, 0.95, 1.01, 1.07, 2].map(returningPart)).toEqual([0, 0, expect.closeTo(0.47, 9), 0.94, 0.94]))

  it.each([
    ['more rounds', '6 times\n  400 m @ 3k effort\n  rest 1:00', '8 times\n  400 m @ 3k effort\n  rest 1:00'],
    ['shorter rests', '8 times\n  400 m @ 3k effort\n  rest 2:00', '8 times\n  400 m @ 3k effort\n  rest 1:00'],
    ['faster', '8 times\n  400 m @ 5k effort\n  rest 1:00', '8 times\n  400 m @ 3k effort\n  rest 1:00'],
    ['jogging instead of standing', '8 times\n  400 m @ 3k effort\n  rest 1:00', '8 times\n  400 m @ 3k effort\n  recovery 1:00 jog'],
    ['uphill', '20:00 @ 5:00 /km', '20:00 uphill 4 % @ 5:00 /km'],
  ])('%s cost more', (_, less, more) => expect(usedFor(more)).toBeGreaterThan(usedFor(less)))

  it('hardly cares for the order of two sets', () => {
    const [short, long] = ['6 times\n  400 m @ 3k effort\n  rest 1:30', '3 times\n  1 km @ 5k effort\n  rest 2:00']
    const [one, other] = [usedFor(`${short}\n${long}`), usedFor(`${long}\n${short}`)]
    expect(Math.abs(one - other) / one).toBeLessThan(0.15)
  })

  it("makes an athlete's own race a race, written as a time or as an effort, for any athlete", () => {
    const races = [
      ['1500m', 1500],
      ['3k', 3000],
      ['5k', 5000],
      ['10k', 10_000],
      ['half-marathon', 21_097.5],
    ] as const
    const athlete = fc.record({
      speed: fc.double({ min: 2.4, max: 6, noNaN: true }),
      fade: fc.double({ min: 1.04, max: 1.1, noNaN: true }),
    })
    fc.assert(
      fc.property(athlete, fc.subarray([...races], { minLength: 1 }), ({ speed, fade }, run) => {
        const secondsFor = (metres: number) => Math.round((5000 / speed) * (metres / 5000) ** fade)
        const by = standpoint(
          run.map(([, metres]) => ({ sport: 'run', metres, seconds: secondsFor(metres) })),
          { schools: { band: { kind: 'even' } } },
        )
        for (const [name, metres] of run) {
          const seconds = secondsFor(metres)
          for (const row of [`${metres} m @ ${name} effort`, `${metres} m in ${formatTime(seconds)}`]) {
            const used = usedFor(row, by)
            expect(used).toBeGreaterThan(0.98)
            expect(used).toBeLessThan(1.02)
          }
        }
      }),
      { numRuns: 30 },
    )
  })
})

describe('levels and effort', () => {
  it('have their bounds', () => expect([0, 0.25, 0.42, 0.85, 1.1].map(levelOf)).toEqual(['easy', 'steady', 'hard', 'race', 'beyond']))
  it.each([
    ['1:00:00 @ easy effort', 3, 3.7],
    ['2:00:00 @ easy effort', 5, 5.7],
    ['4:00:00 @ easy effort', 8, 8.7],
  ])('%s is felt as %f to %f', (script, low, high) => {
    const effort = effortOfUsed(usedFor(script))
    expect(effort).toBeGreaterThan(low)
    expect(effort).toBeLessThan(high)
  })
  it('of the bike at 60 %% of critical power is about 2 for one hour and under 5 for four', () => {
    const rider = standpoint([
      { sport: 'ride', watts: 335, seconds: 180 },
      { sport: 'ride', watts: 268, seconds: 720 },
      { sport: 'ride', watts: 258, seconds: 1200 },
    ])
    const effort = (hours: number) =>
      forecastOf(readScript(`sport ride\n\n${hours}:00:00 @ 60 %CP\n`, rider).sessions[0]!, rider).used!.effort.likely!
    expect(effort(1)).toBeCloseTo(2, 0)
    expect(effort(4)).toBeGreaterThan(4.4)
    expect(effort(4)).toBeLessThan(5)
  })
})
