import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { metresPer, sayDistance, toMetres } from './distance'
import { paceToSpeed, speedToPace } from './intensity'
import { randomFrom } from './random'
import { formatNumber, formatTime, parseClock, sayDuration } from './time'

describe('times', () => {
  it.each([
    [0, '0:00'],
    [5, '0:05'],
    [90, '1:30'],
    [599.5, '9:59.5'],
    [3599, '59:59'],
    [3600, '1:00:00'],
    [3900, '1:05:00'],
    [172800, '48:00:00'],
    [0.1, '0:00.1'],
  ])('%d s is %s', (seconds, text) => {
    expect(formatTime(seconds)).toBe(text)
    expect(parseClock(text)).toBe(seconds)
  })

  it('reads what it writes, for every tenth of a second up to 48 h', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 1_728_000 }), tenths => parseClock(formatTime(tenths / 10)) === tenths / 10))
  })

  it.each(['', '90', '1:60', '1:5', '-1:30', '1:30:60', ':30', '1:30 ', 'a'])('does not take "%s" for a clock', text =>
    expect(parseClock(text)).toBeNull(),
  )

  it.each([-1, NaN, Infinity])('refuses %d as a duration', value => expect(() => formatTime(value)).toThrow(RangeError))

  it.each([
    [45, '45 s'],
    [60, '1 min'],
    [150, '2:30'],
    [3600, '1 h'],
    [3900, '1 h 05'],
    [3599.7, '1 h'],
    [5400, '1 h 30'],
  ])('says %d s as "%s"', (seconds, words) => expect(sayDuration(seconds)).toBe(words))
})

describe('numbers', () => {
  it('are the shortest decimal that reads back as the same number, without an exponent', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-9, max: 1e12, noNaN: true }), value => {
        const text = formatNumber(value)
        expect(text).not.toMatch(/e/i)
        expect(Math.abs(Number(text) - value)).toBeLessThanOrEqual(value * 1e-9)
      }),
    )
    expect(formatNumber(0.5)).toBe('0.5')
    expect(() => formatNumber(NaN)).toThrow(RangeError)
  })
})

describe('distances', () => {
  it('use the international mile and yard of 1959', () => {
    expect(metresPer.mi).toBe(1760 * metresPer.yd)
    expect(toMetres({ value: 2, unit: 'mi' })).toBeCloseTo(3218.688, 9)
  })
  it.each([
    [400, 'km', '400 m'],
    [1999.4, 'km', '1999 m'],
    [12345, 'km', '12.3 km'],
    [8046.72, 'mi', '5.0 mi'],
    [1500, 'm', '1500 m'],
    [91.44, 'yd', '100 yd'],
  ] as const)('%d m in %s is %s', (metres, unit, words) => {
    expect(sayDistance(metres, unit)).toBe(words)
  })
})

describe('paces', () => {
  it('turn into speeds and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 25, noNaN: true }),
        fc.constantFrom('s/km', 's/mi', 's/100m', 's/100yd' as const),
        (speed, unit) => Math.abs(paceToSpeed(speedToPace(speed, unit), unit)! - speed) < 1e-9,
      ),
    )
  })
  it('of a step need its own distance', () => {
    expect(paceToSpeed(80, 's/step', 400)).toBe(5)
    expect(paceToSpeed(80, 's/step')).toBeNull()
    expect(paceToSpeed(0, 's/km')).toBeNull()
    expect(() => speedToPace(0, 's/km')).toThrow(RangeError)
  })
})

describe('seeded numbers', () => {
  it('are the same for the same seed and differ for another', () => {
    const draw = (seed: number) => Array.from({ length: 5 }, randomFrom(seed).next)
    expect(draw(7)).toEqual(draw(7))
    expect(draw(7)).not.toEqual(draw(8))
  })
  it('have the mean and spread of a uniform and a standard normal', () => {
    const random = randomFrom(1)
    const spread = (values: number[]) => {
      const mean = values.reduce((sum, value) => sum + value, 0) / values.length
      return [mean, Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length)]
    }
    const [uniformMean, uniformSd] = spread(Array.from({ length: 20_000 }, random.next))
    const [normalMean, normalSd] = spread(Array.from({ length: 20_000 }, random.normal))
    expect(uniformMean).toBeCloseTo(0.5, 1)
    expect(uniformSd).toBeCloseTo(1 / Math.sqrt(12), 2)
    expect(Math.abs(normalMean!)).toBeLessThan(0.03)
    expect(Math.abs(normalSd! - 1)).toBeLessThan(0.03)
  })
})
