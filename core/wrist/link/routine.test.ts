import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayInZone, daysFrom, minutesInZone, weekdayOf } from '../../quantity/day'
import { clearingActs, nextClearing, nextPush, pushAhead } from './routine'
import type { PushQuestion, SlotBeside } from './schools'

const zones = ['Europe/Oslo', 'America/New_York', 'Australia/Lord_Howe', 'Pacific/Apia', 'Asia/Kathmandu', 'UTC']
/** Moments of forty years. */
const anyMoment = fc.integer({ min: Date.UTC(2000, 0), max: Date.UTC(2040, 0) }).map(milliseconds => new Date(milliseconds))
const hours = (from: Date, to: Date) => (to.getTime() - from.getTime()) / 3_600_000

describe('the athlete’s hour', () => {
  it('comes once a day, by their clock, over every turn of it', () =>
    fc.assert(
      fc.property(anyMoment, fc.integer({ min: 0, max: 1439 }), fc.constantFrom(...zones), (now, hour, zone) => {
        const next = nextPush(now, hour, zone)
        expect(hours(now, next)).toBeGreaterThan(0)
        expect(hours(now, next)).toBeLessThanOrEqual(zone === 'Pacific/Apia' ? 50 : 26)
        expect(Math.abs(minutesInZone(next, zone) - hour)).toBeLessThanOrEqual(60)
      }),
      { numRuns: 1500 },
    ))

  it('ends a week just after its last day', () =>
    fc.assert(
      fc.property(anyMoment, fc.integer({ min: 1, max: 7 }), fc.constantFrom(...zones), (now, weekStart, zone) => {
        const next = nextClearing(now, weekStart, zone)
        expect(weekdayOf(dayInZone(next, zone))).toBe(weekStart % 7)
        expect(hours(now, next)).toBeGreaterThan(0)
        expect(hours(now, next)).toBeLessThanOrEqual(8 * 24)
      }),
      { numRuns: 1500 },
    ))
})

const today = '2026-11-30'
const empty = (slot: number): SlotBeside => ({
  slot,
  generation: 1,
  digest: null,
  name: null,
  size: 0,
  by: null,
  should: null,
  isRunning: false,
  awaitsRecording: false,
})
const held = (slot: number, session: string, day: string, rest: Partial<SlotBeside> = {}): SlotBeside => ({
  ...empty(slot),
  digest: session,
  name: session,
  by: 'server',
  should: { session, day, digest: session, isLeaving: false },
  ...rest,
})
const question = (rest: Partial<PushQuestion>): PushQuestion => ({
  naming: 'weekday',
  pushing: 'week',
  today,
  weekStart: 1,
  due: [],
  slots: [],
  fitted: one => ({ digest: one.session, fits: true }),
  ...rest,
})

describe('what goes when the week is over', () => {
  it('is what was sent for its days, also for who pushes by hand, and never what runs or is not home', () => {
    const slots = [
      held(1, 'tuesday', '2026-11-24'),
      held(2, 'running', '2026-11-25', { isRunning: true }),
      held(3, 'waiting', '2026-11-26', { awaitsRecording: true }),
      held(4, 'this week', today),
      { ...empty(5), digest: 'own', name: 'own', by: 'hand' as const },
    ]
    const acts = clearingActs(question({ pushing: 'hand', slots, due: [{ day: today, session: 'new', title: 'new' }] }))
    expect(acts.map(act => [act.do, 'slot' in act ? act.slot : 0])).toEqual([['remove', 1]])
  })
})

describe('the days ahead', () => {
  const due = Array.from({ length: 14 }, (_, offset) => ({ day: daysFrom(today, offset), session: `s${offset}`, title: `s${offset}` }))

  it('send each session once, in time, as slots come free', () => {
    const ahead = pushAhead(question({ naming: 'telling', due, slots: [1, 2, 3].map(empty) }), 7)
    const sent = ahead.flatMap(({ day, acts }) => acts.flatMap(act => (act.do === 'send' ? [[act.session, day <= act.day]] : [])))
    expect(new Set(sent.map(([session]) => session)).size).toBe(sent.length)
    expect(sent.every(([, isInTime]) => isInTime)).toBe(true)
    const waits = ahead.map(({ acts }) => acts.filter(({ do: act }) => act === 'wait').length)
    expect(waits).toEqual([4, 1, 1, 1, 1, 1, 1])
  })

  it('bring nothing more on a day than what became due, when all fits', () => {
    const ahead = pushAhead(question({ naming: 'telling', due, slots: Array.from({ length: 20 }, (_, index) => empty(index + 1)) }), 7)
    expect(ahead.map(({ acts }) => acts.length)).toEqual([7, 1, 1, 1, 1, 1, 1])
  })
})
