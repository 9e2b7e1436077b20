import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { seenBy } from '../../tests/support/standpoint'
import { nobody } from '../athlete/standpoint'
import { daysFrom } from '../quantity/day'
import { readScript } from '../script/reader/read-script'
import { balanceOf } from './balance'
import { burdenDone, burdenOf, burdenOfWork } from './burden'
import type { Burden } from './burden'
import type { PlanEntry } from './entry'
import type { Weight } from './sums'
import { monotonyOf, sharesOf, sumsOf } from './sums'

const week = '2026-03-30'
const burden = (level: Burden['level'], load: number, minutes = 60): Burden => ({
  seconds: minutes * 60,
  effort: null,
  load,
  impulse: null,
  level,
  domains: null,
})
const weight = (offset: number, level: Burden['level'], load: number, minutes = 60): Weight => {
  const day = daysFrom(week, offset)
  return { day, id: `${day} ${level}`, title: `${level} of ${offset}`, sport: 'run', metres: null, burden: burden(level, load, minutes) }
}
const entryOf = ({ id, day }: Weight): PlanEntry => ({
  id,
  day,
  at: 0,
  kind: 'session',
  session: id,
  name: null,
  minutes: null,
  effort: null,
  sport: null,
  filled: false,
})
/** Four weeks like each other, with an easy day and a rest. */
const before = Array.from({ length: 28 }, (_, index) => index - 28)
  .filter(offset => (offset + 28) % 7 !== 0)
  .map(offset => weight(offset, (offset + 28) % 7 === 2 ? 'hard' : 'easy', (offset + 28) % 7 === 2 ? 400 : 200))
const looked = (weights: Weight[], more: Partial<Parameters<typeof balanceOf>[0]> = {}) =>
  balanceOf({ week, today: week, weights: [...before, ...weights], entries: weights.map(entryOf), races: [], ...more })
const codes = (found: ReturnType<typeof looked>) => found.map(({ code }) => code)

describe('what the days of a week suggest', () => {
  it('is nothing for a week like those before it', () => {
    expect(looked([1, 2, 3, 4, 5, 6].map(offset => weight(offset, offset === 2 ? 'hard' : 'easy', offset === 2 ? 400 : 200)))).toEqual([])
  })

  it('is another day for the second of two hard ones, clear of both, blocked days and what is over', () => {
    const hard = [weight(1, 'hard', 300), weight(2, 'race', 300)]
    const found = looked(hard)
    expect(codes(found)).toEqual(['hard-close'])
    expect(found[0]!.fix).toEqual({ id: hard[1]!.id, title: 'race of 2', day: daysFrom(week, 3) })
    const blocked = { ...entryOf(weight(3, null, 0)), kind: 'blocked' as const, session: null }
    expect(looked(hard, { entries: [...hard.map(entryOf), blocked] })[0]!.fix!.day).toBe(daysFrom(week, 4))
    expect(looked(hard, { today: daysFrom(week, 3) })).toEqual([])
    const late = [weight(5, 'hard', 300), weight(6, 'hard', 300)]
    expect(looked(late, { today: daysFrom(week, 5) })[0]!.fix).toBeNull()
    const fixed = looked([hard[0]!, { ...hard[1]!, day: daysFrom(week, 3) }])
    expect(codes(fixed)).toEqual([])
  })

  it('names a long one behind a hard one', () => {
    const found = looked([weight(1, 'hard', 300), weight(2, 'steady', 300, 120)])
    expect(codes(found)).toEqual(['long-after-hard'])
    expect(found[0]!.message).toContain('2 h')
  })

  it('names growth by two ratios, each with its number and its limits', () => {
    const found = looked([0, 1, 3, 5, 6].map(offset => weight(offset, 'steady', 600)))
    expect(codes(found)).toEqual(['ramp', 'acute'])
    expect(found[0]!.message).toContain('Load 3000, against 1400')
    expect(found[0]!.source).toContain('mixed')
    expect(codes(balanceOf({ week, today: week, weights: [weight(0, 'steady', 900)], entries: [], races: [] }))).toEqual([])
  })

  it('names days that are all alike, and a week without an easy one', () => {
    const found = looked([0, 1, 2, 3, 4, 5, 6].map(offset => weight(offset, 'steady', 200 + offset)))
    expect(codes(found)).toEqual(['monotony', 'no-easy-day'])
  })

  it('asks for less before a race, and for nothing behind it', () => {
    const full = [1, 2, 3].map(offset => weight(offset, 'easy', 400))
    const races = [{ name: 'Sund Crossing', day: daysFrom(week, 12) }]
    expect(codes(looked(full, { races }))).toEqual(['taper'])
    expect(codes(looked(full.slice(0, 1), { races }))).toEqual([])
    expect(codes(looked(full, { races: [{ name: 'Past', day: daysFrom(week, -1) }] }))).toEqual([])
  })

  it('keeps its key while the week says the same', () => {
    const hard = [weight(1, 'hard', 300), weight(2, 'hard', 300)]
    expect(looked(hard)[0]!.key).toBe(looked(hard)[0]!.key)
    expect(looked(hard)[0]!.key).not.toBe(looked([weight(3, 'hard', 300), weight(4, 'hard', 300)])[0]!.key)
  })
})

describe('monotony and strain', () => {
  it('are as worked out by hand', () => {
    expect(monotonyOf([300, 0, 300, 0, 300, 0, 300])!.monotony).toBeCloseTo(
      1200 / 7 / Math.sqrt((4 * (900 / 7) ** 2 + 3 * (1200 / 7) ** 2) / 6),
      6,
    )
    expect(monotonyOf([100, 100, 100, 100, 100, 100, 100])).toBeNull()
    expect(monotonyOf([])).toBeNull()
  })
})

describe('what a session weighs', () => {
  const standpoint = seenBy(ilse)
  const read = (script: string) => readScript(script, nobody).sessions[0]!
  it('splits its time at the two thresholds and adds up to the whole', () => {
    const { domains, seconds, level, load, effort } = burdenOf(
      read('sport ride\n\n30:00 @ 60 %CP\n20:00 @ 90 %CP\n4:00 @ 105 %CP'),
      standpoint,
    )!
    expect(domains).toEqual({ easy: 1800, between: 1200, hard: 240 })
    expect(seconds).toBe(3240)
    expect(load).toBeCloseTo(effort! * 54, 6)
    expect(level).not.toBe('easy')
    expect(burdenOf(read('sport ride\n\nunread x'), nobody)).toBeNull()
  })

  it('is felt effort times minutes when it was done, and says nothing where nothing was said or heard', () => {
    const t = Array.from({ length: 601 }, (_, index) => index)
    const samples = { t, metres: t, heartRate: t.map(second => (second < 300 ? 120 : 170)) } as unknown as Parameters<
      typeof burdenDone
    >[0]['samples']
    const done = burdenDone({ sport: 'run', samples, felt: { rpe: 6 } }, 600, standpoint)
    expect(done.load).toBe(60)
    expect(done.domains).toEqual({ easy: 299, between: 0, hard: 301 })
    expect(done.impulse).toBeGreaterThan(0)
    const silent = burdenDone({ sport: 'run', samples: { ...samples, heartRate: t.map(() => null) } }, 600, standpoint)
    expect([silent.load, silent.impulse, silent.domains, silent.level]).toEqual([null, null, null, null])
    expect(burdenOfWork(45, 4)).toMatchObject({ load: 180, seconds: 2700, level: 'easy' })
    expect(burdenOfWork(null, 4)).toBeNull()
  })

  it('adds up by sport, with shares that are one, and says how many have no load', () => {
    const done = { ...weight(0, 'easy', 100), burden: { ...burden('easy', 100), domains: { easy: 2700, between: 600, hard: 300 } } }
    const sums = sumsOf([done, { ...done, sport: 'swim', metres: 1500, burden: burden(null, 0, 30) }, { ...done, burden: null }])
    expect(sums.bySport.map(({ sport, count, seconds, metres }) => [sport, count, seconds, metres])).toEqual([
      ['run', 2, 3600, 0],
      ['swim', 1, 1800, 1500],
    ])
    expect([sums.load, sums.impulse, sums.untold]).toEqual([100, null, 1])
    expect(sharesOf(sums.domains)).toEqual({ easy: 0.75, between: 600 / 3600, hard: 300 / 3600 })
    expect(sharesOf(null)).toBeNull()
  })
})
