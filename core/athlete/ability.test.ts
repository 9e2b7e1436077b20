import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Sport } from '../session/document'
import { abilityOf, criticalPowerFor, criticalSpeedFor, intensityOver, uncertaintyAt } from './ability'
import type { Athlete, Effort } from './athlete'
import { unknownAthlete } from './athlete'
import { drawCurve } from './duration-curve'
import { beyondHuman, futureMarks, isHumanEffort, marksOf, standingOf } from './marks'
import { standpointOf } from './standpoint'

const day = '2026-03-31'
const seen = (efforts: (Omit<Effort, 'date'> & { date?: string })[], more: Partial<Athlete> = {}) =>
  standpointOf({ ...unknownAthlete, ...more, efforts: efforts.map(effort => ({ date: '2026-03-01', ...effort })) }, day)
const run = (metres: number, seconds: number, date = '2026-03-01') => ({ sport: 'run' as const, metres, seconds, date })

describe('the curve of what can be held', () => {
  const outline = (sport: Sport, top: number, exponent: number) =>
    drawCurve({
      sport,
      points: [300, 1200, 3000].map(seconds => ({ seconds, intensity: top * (seconds / 300) ** -exponent })),
      exponent,
      critical: top * 0.9,
    })
  const curves = fc.tuple(
    fc.constantFrom<Sport>('run', 'ride', 'swim'),
    fc.double({ min: 0.8, max: 6, noNaN: true }),
    fc.double({ min: 0.03, max: 0.12, noNaN: true }),
  )

  it('falls strictly over all times and intensities, and both ways undo each other', () => {
    fc.assert(
      fc.property(
        curves,
        fc.double({ min: 0, max: 11.5, noNaN: true }),
        fc.double({ min: 1.001, max: 3, noNaN: true }),
        (shape, log, more) => {
          const curve = outline(...shape)
          const seconds = Math.exp(log)
          const intensity = curve.intensityFor(seconds)
          expect(curve.intensityFor(seconds * more)).toBeLessThan(intensity)
          if (intensity > 0) expect(curve.secondsAt(intensity) / seconds).toBeCloseTo(1, 4)
          expect(curve.secondsAt(intensity * 1.001)).toBeLessThan(curve.secondsAt(intensity))
        },
      ),
    )
  })
  it('is never at an end: rest can be held for ever, and no intensity for nothing', () => {
    const curve = outline('run', 5, 0.07)
    expect(curve.secondsAt(0)).toBe(Infinity)
    expect(curve.secondsAt(1000)).toBeGreaterThan(0)
  })
})

describe('what an athlete can do', () => {
  it('meets every mark exactly', () => {
    const ability = abilityOf(seen([run(1500, 300), run(5000, 1120), run(10_000, 2340)]), 'run')!
    for (const [metres, seconds] of [
      [1500, 300],
      [5000, 1120],
      [10_000, 2340],
    ] as const) {
      expect(ability.intensityFor(seconds)).toBeCloseTo(metres / seconds, 9)
      expect(intensityOver(ability, metres)).toBeCloseTo(metres / seconds, 9)
    }
  })
  it('is told by one race, rough; critical speed is then what is held for 45 min', () => {
    const ability = abilityOf(seen([run(5000, 1200)]), 'run')!
    expect(ability.criticalFrom).toBe('one-race')
    expect(ability.critical).toBeCloseTo(ability.intensityFor(2700), 12)
    expect(ability.uncertainty).toBeGreaterThan(abilityOf(seen([run(1500, 325), run(5000, 1200)]), 'run')!.uncertainty)
  })
  it('takes critical speed from marks of 2 to 20 min, of a pool from 200 and 400 m of any time, and never over an own one', () => {
    const marks = [run(1500, 300), run(3600, 800)]
    expect(criticalSpeedFor(seen(marks), 'run')).toBeCloseTo(2100 / 500, 9)
    expect(criticalSpeedFor(seen(marks, { run: { criticalSpeed: 4 } }), 'run')).toBe(4)
    const fast = [
      { sport: 'swim' as const, metres: 200, seconds: 112 },
      { sport: 'swim' as const, metres: 400, seconds: 240 },
    ]
    expect(criticalSpeedFor(seen(fast), 'swim')).toBeCloseTo(200 / 128, 9)
    expect(
      criticalPowerFor(
        seen([
          { sport: 'ride', watts: 300, seconds: 180 },
          { sport: 'ride', watts: 228, seconds: 1200 },
        ]),
        'ride',
      ),
    ).toBeCloseTo((228 * 1200 - 300 * 180) / 1020, 9)
  })
  it('is told by critical power alone where there is no mark, and not at all by nothing', () => {
    const ability = abilityOf(seen([], { ride: { criticalPower: 215, wPrime: 15_000 } }), 'ride')!
    expect(ability.intensityFor(2700)).toBeCloseTo(215, 9)
    expect(ability.intensityFor(420)).toBeCloseTo(215 + 15_000 / 420, 9)
    expect(abilityOf(seen([]), 'run')).toBeNull()
  })
  it('counts the faster of marks that contradict each other, and names the other', () => {
    const { marks, conflicts } = abilityOf(seen([run(3000, 660), run(5000, 1300), run(10_000, 2400)]), 'run')!
    expect(conflicts.map(({ seconds }) => seconds)).toEqual([1300])
    expect(marks.map(({ seconds }) => seconds)).toEqual([660, 2400])
    const slow = abilityOf(seen([run(3000, 660), run(5000, 1197), run(10_000, 2400)]), 'run')!
    expect(slow.conflicts.map(({ seconds }) => seconds)).toEqual([1197])
    expect(abilityOf(seen([run(5000, 1200), run(3000, 800)]), 'run')!.conflicts).toMatchObject([
      { seconds: 800, against: { seconds: 1200 } },
    ])
  })
  it('counts no mark that the athlete leaves out, and so settles a conflict either way', () => {
    const [fast, slow] = [run(5000, 1200), run(3000, 800)]
    expect(abilityOf(seen([fast, { ...slow, leftOut: true }]), 'run')).toMatchObject({ conflicts: [], marks: [{ seconds: 1200 }] })
    expect(abilityOf(seen([{ ...fast, leftOut: true }, slow]), 'run')).toMatchObject({ conflicts: [], marks: [{ seconds: 800 }] })
  })
  it('is less sure the further a time is from the marks, and beyond them less than between', () => {
    const one = abilityOf(seen([run(5000, 1200)]), 'run')!
    const two = abilityOf(seen([run(3000, 690), run(10_000, 2490)]), 'run')!
    expect(uncertaintyAt(one, 1200)).toBe(one.uncertainty)
    expect(uncertaintyAt(one, 3600)).toBeGreaterThan(uncertaintyAt(one, 2400))
    expect(uncertaintyAt(two, 1300) - two.uncertainty).toBeLessThan(uncertaintyAt(two, 5000) - two.uncertainty)
    expect(uncertaintyAt(one, 3600)).toBeGreaterThan(uncertaintyAt(two, 3600))
  })
  it('tells critical power on foot from runs with a power, by the same rule of which count', () => {
    const powered = (metres: number, seconds: number, watts: number) => ({ ...run(metres, seconds), watts })
    const efforts = [powered(1200, 240, 330), powered(3000, 720, 285)]
    expect(criticalPowerFor(seen(efforts), 'run')).toBeCloseTo((285 * 720 - 330 * 240) / 480, 9)
    expect(criticalPowerFor(seen(efforts.map(effort => ({ ...effort, date: '2026-06-01' }))), 'run')).toBeUndefined()
    expect(criticalPowerFor(seen(efforts, { run: { criticalPower: 250 } }), 'run')).toBe(250)
  })
  it('takes 200 and 400 m in a pool of a fast swimmer, under two minutes as well', () => {
    const pool = (metres: number, seconds: number) => ({ sport: 'swim' as const, metres, seconds })
    expect(abilityOf(seen([pool(200, 118), pool(400, 250)]), 'swim')).toMatchObject({
      criticalFrom: 'marks',
      critical: expect.closeTo(200 / 132, 9),
    })
  })
})

describe('marks', () => {
  it('are those of the last 120 days and never of the future; old ones only where there is nothing younger', () => {
    const [old, young, ahead] = [run(5000, 1250, '2025-06-01'), run(5000, 1200), run(5000, 1000, '2026-05-01')]
    const times = (...efforts: ReturnType<typeof run>[]) => {
      const { marks, areOld } = marksOf(seen(efforts), 'run')
      return [marks.map(({ seconds }) => seconds), areOld]
    }
    expect(times(old, young, ahead)).toEqual([[1200], false])
    expect(times(old, ahead)).toEqual([[1250], true])
  })
  it('are what a human can do', () => {
    expect(isHumanEffort(run(10_000, 1580))).toBe(true)
    expect(isHumanEffort(run(100, 9.7))).toBe(true)
    expect(isHumanEffort(run(10_000, 1200))).toBe(false)
    expect(isHumanEffort({ sport: 'ride', watts: 900, seconds: 3600, date: day })).toBe(false)
    expect(isHumanEffort({ sport: 'swim', metres: 1500, seconds: 600, date: day })).toBe(false)
    expect(beyondHuman('run', 206)).toBe(7.5)
    expect(marksOf(seen([run(10_000, 1200)]), 'run').marks).toEqual([])
  })
  it('say how they stand', () => {
    const standing = (change: Partial<Effort>) => standingOf({ ...run(5000, 1200), ...change }, day)
    expect([{}, { date: '2025-06-01' }, { date: '2026-04-01' }, { seconds: 600 }, { leftOut: true as const }].map(standing)).toEqual([
      'counts',
      'old',
      'future',
      'impossible',
      'left-out',
    ])
    expect(standingOf(run(5000, 1200, '2025-06-01'), null)).toBe('counts')
    expect(futureMarks(seen([run(5000, 1200), run(5000, 1200, '2026-04-01')]), 'run')).toBe(1)
  })
})
