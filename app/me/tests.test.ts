import { describe, expect, it } from 'vitest'
import type { Athlete } from '~~/core/athlete/athlete'
import { fieldTests } from './tests'

const athlete: Athlete = { format: 'agonis.athlete', version: 1, name: 'Athlete', timeZone: 'Europe/Oslo', heart: { max: 182 } }

function kept(key: string, typed: Record<string, string>): Athlete {
  const found = fieldTests.find(test => test.key === key)!.reckon(typed, '2026-03-31')
  if (typeof found === 'string') throw new Error(found)
  return found.change(athlete)
}

describe('a field test', () => {
  it('of half an hour keeps the threshold beside the maximum', () => {
    expect(kept('half-hour', { mean: '167' }).heart).toEqual({ max: 182, threshold: 167 })
  })
  it('all out keeps critical power and the reserve in joules', () => {
    expect(kept('all-out', { mean: '298', end: '215' }).ride).toEqual({ criticalPower: 215, wPrime: 14_940 })
  })
  it('of two efforts on foot keeps critical speed and the reserve in metres, and both efforts', () => {
    const { run, efforts } = kept('run-pair', { 'short': '1200', 'short-time': '4:52', 'long': '3000', 'long-time': '13:04' })
    expect(run).toEqual({ criticalSpeed: 3.65854, dPrime: 132 })
    expect(efforts).toEqual([
      { sport: 'run', seconds: 292, metres: 1200, date: '2026-03-31' },
      { sport: 'run', seconds: 784, metres: 3000, date: '2026-03-31' },
    ])
  })
  it('in the pool keeps critical swim speed', () => {
    expect(kept('swim-pair', { 'short-time': '3:32', 'long-time': '7:16' }).swim).toEqual({ criticalSpeed: 0.89286 })
  })
  it.each(fieldTests.map(({ key }) => key))('%s says what it wants where nothing is typed, and warns', key => {
    const test = fieldTests.find(entry => entry.key === key)!
    expect(test.reckon({}, '2026-03-31')).toMatch(/\w/)
    expect(test.caution).toMatch(/doctor/)
  })
})
