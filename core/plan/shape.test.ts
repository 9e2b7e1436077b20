import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { daysFrom, weekdayOf } from '../quantity/day'
import type { Level } from '../forecast/level'
import type { PlanShape, ShelvedSession } from './shape'
import { dayParts, hoursOf, layOut, usualShape } from './shape'

const shelved = (id: string, minutes: number, level: Level, sport = 'run', hard = level === 'hard' ? 0.3 : 0): ShelvedSession => ({
  id,
  title: id,
  sport,
  seconds: minutes * 60,
  level,
  hard,
})
const shelf = [
  shelved('strides', 50, 'easy', 'run', 0.1),
  shelved('easy 40', 40, 'easy'),
  shelved('easy 60', 60, 'easy'),
  shelved('long 100', 100, 'steady'),
  shelved('threes', 55, 'hard'),
  shelved('threshold', 60, 'hard'),
  shelved('ride 120', 120, 'easy', 'ride'),
]
const from = '2026-11-30'
const lay = (shape: PlanShape, taken: string[] = [], today = '2026-11-28') =>
  layOut(shape, { from, weekStart: 1, today, shelf, taken: new Set(taken) })

describe('the hours of a shape', () => {
  it('grow for some weeks, ease for one, and go on where the wave before stood', () => {
    const hours = hoursOf({ ...usualShape, hours: 10, growth: 10, ease: 60, weeks: 6 })
    expect(hours.map(value => Math.round(value * 100) / 100)).toEqual([10, 11, 12.1, 7.26, 11, 12.1])
  })

  it('come down to a race from the largest week', () =>
    expect(hoursOf({ ...usualShape, hours: 10, growth: 10, weeks: 5, taper: 2 }).map(value => Math.round(value * 10) / 10)).toEqual([
      10, 11, 12.1, 8.5, 6.1,
    ]))

  const anyShape = fc.record({
    hours: fc.integer({ min: 1, max: 30 }),
    up: fc.integer({ min: 1, max: 6 }),
    growth: fc.integer({ min: 0, max: 15 }),
    ease: fc.integer({ min: 40, max: 100 }),
    weeks: fc.integer({ min: 1, max: 26 }),
    taper: fc.integer({ min: 0, max: 3 }),
    days: fc.array(
      fc.record({ part: fc.constantFrom(...dayParts), sport: fc.constantFrom(null, 'run' as const, 'ride' as const, 'swim' as const) }),
      { minLength: 7, maxLength: 7 },
    ),
  })
  it('are as many as weeks were asked for, none of them nothing, and their days are in order and add up', () =>
    fc.assert(
      fc.property(anyShape, shape => {
        const weeks = lay(shape)
        expect(weeks).toHaveLength(shape.weeks)
        for (const [index, week] of weeks.entries()) {
          expect(week.aimSeconds).toBeGreaterThan(0)
          expect(week.days.map(({ day }) => day)).toEqual(Array.from({ length: 7 }, (_, offset) => daysFrom(from, 7 * index + offset)))
          const sum = week.days.reduce((all, { aimSeconds }) => all + aimSeconds, 0)
          if (shape.days.some(({ part }) => part !== 'rest')) expect(sum).toBeCloseTo(week.aimSeconds, 4)
          for (const day of week.days) for (const one of day.fitting) expect([null, one.sport]).toContain(day.sport)
        }
      }),
    ))
})

describe('weeks laid out from the shelf', () => {
  const [first] = lay(usualShape)
  it('get what fits the part of the day and its length, hard sessions by turns', () => {
    expect(first!.days.map(({ part, fitting }) => [part, fitting[0]?.id ?? null])).toEqual([
      ['rest', null],
      ['hard', 'threes'],
      ['easy', 'easy 60'],
      ['hard', 'threshold'],
      ['easy', 'easy 60'],
      ['long', 'ride 120'],
      ['easy', 'easy 40'],
    ])
  })

  it('put nothing on a day that is taken or over, and say where nothing fits', () => {
    const [week] = lay(
      { ...usualShape, days: usualShape.days.map(day => ({ ...day, sport: 'swim' })) },
      [daysFrom(from, 1)],
      daysFrom(from, 3),
    )
    expect(week!.days.map(({ isTaken }) => isTaken)).toEqual([true, true, true, false, false, false, false])
    expect(week!.days.every(({ fitting }) => fitting.length === 0)).toBe(true)
  })

  it('begin on the first day of the athlete’s own week', () => {
    const weeks = layOut(usualShape, { from, weekStart: 7, today: from, shelf, taken: new Set() })
    expect(weekdayOf(weeks[0]!.from)).toBe(0)
    expect(weeks[0]!.days[0]!.isTaken).toBe(true)
  })
})
