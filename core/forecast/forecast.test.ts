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
import type { IntensitySegment } from './intensity'
import { effortOfShare, shareOfEffort } from '../athlete/critical-share'
import { heartRateImpulse, impulseWeight, withLoad } from './load'
import { balanceAfter, reserveRate, reserveThrough } from './reserve'
import { ordinal } from './verdict'
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

describe('the reserve above critical (Skiba 2015, differential form)', () => {
  it("is spent in a straight line above critical: W' lasts W'/(P-CP)", () => {
    const rate = 215 / 15_000
    expect(reserveThrough([segment(15_000 / 60, 275 / 215)], rate).least.share).toBeCloseTo(0, 9)
    expect(reserveThrough([segment(125, 275 / 215)], rate).least.share).toBeCloseTo(0.5, 9)
  })
  it('comes back as an exponential below, whatever the slices', () => {
    const rate = 215 / 15_000
    expect(balanceAfter(0.2, 0.5, 100, rate)).toBeCloseTo(1 - 0.8 * Math.exp(-0.5 * rate * 100), 12)
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 1, max: 3600, noNaN: true }),
        (share, balance, seconds) => {
          const whole = balanceAfter(balance, share, seconds, rate)
          const halves = balanceAfter(balanceAfter(balance, share, seconds / 2, rate), share, seconds / 2, rate)
          expect(halves).toBeCloseTo(whole, 9)
          expect(whole).toBeLessThanOrEqual(1)
        },
      ),
    )
  })
  it('tells when and in which step it runs out', () => {
    const course = reserveThrough(
      [
        { ...segment(600, 0.6), path: '1' },
        { ...segment(300, 275 / 215), path: '2' },
      ],
      215 / 15_000,
    )
    expect(course.empty).toMatchObject({ path: '2', t: expect.closeTo(850, 6) })
    expect(course.least.share).toBeLessThan(0)
  })
  it('needs both numbers', () => {
    expect([reserveRate(ilse, 'run'), reserveRate(ilse, 'ride'), reserveRate(ilse, 'swim'), reserveRate(unknownAthlete, 'run')]).toEqual([
      3.6 / 150,
      215 / 15_000,
      null,
      null,
    ])
  })
})

describe('the forecast heart rate', () => {
  it('comes within 1/e of its aim in 30 s upward and in 50 s downward', () => {
    const up = heartThrough([segment(30, 1)], seenBy(ilse))!
    const aim = 50 + 132 * 0.88
    expect((aim - up.points.at(-1)!.bpm) / (aim - 62)).toBeCloseTo(Math.exp(-1), 6)
    const down = heartThrough([segment(600, 1), segment(50, 0, 'rest')], seenBy(ilse))!
    const before = down.points.find(point => Math.abs(point.t - 600) < 1e-6)!.bpm
    expect((down.points.at(-1)!.bpm - 62) / (before - 62)).toBeCloseTo(Math.exp(-1), 6)
  })
  it('drifts 0.3 bpm a minute after 20 min of work, and stays below the maximum', () => {
    const at = (minutes: number) => heartThrough([segment(minutes * 60, 0.7)], seenBy(ilse))!.points.at(-1)!.bpm
    expect(at(60) - at(50)).toBeCloseTo(3, 1)
    expect(heartThrough([segment(7200, 1.4)], seenBy(ilse))!.highest.bpm).toBeLessThanOrEqual(182)
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

describe('the verdict', () => {
  const beyond = session(
    'sport run\n\nwarm-up 15:00\n12 times, drop last recovery\n  300 m @ 3:50 /km\n  recovery 100 m\ncool-down 10:00\n',
  )
  const byTime = session(
    'sport ride\n\nwarm-up 15:00\n6 times, drop last recovery\n  2:00 @ 125-130 %CP\n  recovery 1:00\ncool-down 10:00\n',
  )

  it('names the step that is too much, in its round', () => {
    const { verdict, reserve } = forecastOf(beyond, seenBy(ilse))
    expect(verdict!.reach).toBe('beyond')
    expect(verdict!.message).toContain(`the ${ordinal(reserve!.empty!.round[0]!)} 300 m`)
    expect(reserve!.empty!.path).toBe('2.1')
  })
  it.each([
    ['paces', beyond, 's/km slower'],
    ['shares', byTime, '% easier'],
  ])('proposes what is reckoned: taken, each brings the session within reach (%s)', (_, document, label) => {
    const { verdict } = forecastOf(document, seenBy(ilse))
    expect(verdict!.proposals.map(proposal => proposal.label).join()).toContain(label)
    const words = verdict!.proposals.flatMap(proposal => proposal.edits.map(edit => ('words' in edit ? edit.words : '')))
    expect(words.join(' ')).not.toMatch(/\d\.\d/)
    for (const { edits, leaves } of verdict!.proposals) {
      let eased = document
      for (const edit of edits) {
        const result = apply(eased, edit, nobody)
        if (!result.ok) throw new Error(sayRefusal(result.refusal))
        eased = result.session
      }
      const after = forecastOf(eased, seenBy(ilse))
      expect(after.reserve!.least.share).toBeGreaterThanOrEqual(0.1)
      expect(after.reserve!.least.share).toBeCloseTo(leaves, 9)
    }
  })
  it('proposes the least that is enough: a step less is not', () => {
    const { verdict } = forecastOf(byTime, seenBy(ilse))
    const rest = verdict!.proposals.find(proposal => proposal.label.startsWith('rest'))!
    const edit = rest.edits[0] as { words: string; at: string; do: 'end' }
    const seconds = Number(edit.words.split(':')[0]) * 60 + Number(edit.words.split(':')[1])
    const less = apply(
      byTime,
      { ...edit, words: `${Math.floor((seconds - 15) / 60)}:${String((seconds - 15) % 60).padStart(2, '0')}` },
      nobody,
    )
    expect(less.ok && forecastOf(less.session, seenBy(ilse)).reserve!.least.share).toBeLessThan(0.1)
  })
  it('is calm where nothing goes above critical, and says the number it needs where something does', () => {
    expect(forecastOf(session('sport run\n\n45:00 @ easy effort\n'), seenBy(ilse)).verdict).toMatchObject({ reach: 'easy', proposals: [] })
    const bare = forecastOf(byTime, seenBy({ ...ilse, ride: { criticalPower: 215 } }))
    expect([bare.verdict, bare.missing]).toEqual([null, [{ code: 'reserve', sport: 'ride' }]])
    expect(forecastOf(byTime, seenBy({ ...ilse, ride: {} })).verdict).toBeNull()
  })
  it('counts in words', () =>
    expect([1, 4, 12, 13, 21, 111, 123].map(ordinal)).toEqual(['first', 'fourth', 'twelfth', '13th', '21st', '111th', '123rd']))

  it('brings no NaN and no infinity for any session and any athlete', () => {
    const athletes = fc.constantFrom(ilse, unknownAthlete, { ...ilse, heart: {} }, { ...ilse, run: {} }, { ...ilse, efforts: [], swim: {} })
    fc.assert(
      fc.property(arbitrarySession, athletes, (document, athlete) => {
        const told = JSON.stringify(forecastOf(document, seenBy(athlete)), (_, value: unknown) => {
          if (typeof value === 'number' && !Number.isFinite(value)) throw new Error('not a finite number')
          return value
        })
        expect(told).not.toContain('NaN')
      }),
      { numRuns: 300 },
    )
  })
})
