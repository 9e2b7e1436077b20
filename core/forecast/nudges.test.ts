import { sayRefusal } from '../words/refusals'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import type { Athlete } from '../athlete/athlete'
import { steadinessOf } from '../athlete/steadiness'
import { smoothedSd } from '../nudge/steadiness'
import { apply } from '../edit/edit'
import { normalsFrom } from '../quantity/normal'
import { readScript } from '../script/reader/read-script'
import type { Session } from '../session/document'
import { nudgePicture, picturingNudges } from './forecast'
import type { HeldStep, Nudging } from '../nudge/nudging'
import { heldStep, shareOutside } from './nudges'
import { nudgesIn, usualNudging } from '../nudge/nudging'
import { expectedNudges, quietWidth, solveWidth } from '../nudge/quiet-width'
import { knownWidths } from '../nudge/quiet-table'
import { quietRoom } from '../athlete/quiet-room'
import { reckon } from '../reckon/reckon'
import { usualWandering, usualWidths } from '../../tests/support/usual-widths'
import { quietTarget } from './quiet'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const ilse: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Ilse Brandvik',
  heart: { max: 182, rest: 50 },
  run: { criticalSpeed: 3.6 },
  ride: { criticalPower: 215 },
  efforts: [{ sport: 'run', metres: 10_000, seconds: 2820, date: '2026-03-07' }],
  schools: { band: { kind: 'lean-fast' } },
}
const session = (text: string): Session => readScript(text, nobody).sessions[0]!
const held = (change: Partial<HeldStep> = {}): HeldStep => ({
  seconds: 600,
  settling: 10,
  smoothing: 3,
  low: 0.97,
  high: 1.03,
  steadiness: { sd: 0.03, tau: 6 },
  answers: false,
  positionSeconds: 0,
  lengthSeconds: 0,
  ...change,
})

describe('normal numbers (ziggurat, Marsaglia & Tsang 2000)', () => {
  it('have the moments and the tails of the standard normal', () => {
    const normal = normalsFrom(5)
    const count = 1_000_000
    let [sum, squares, fourth, far] = [0, 0, 0, 0]
    for (let index = 0; index < count; index++) {
      const x = normal()
      sum += x
      squares += x * x
      fourth += x ** 4
      if (Math.abs(x) > 3) far++
    }
    expect(Math.abs(sum / count)).toBeLessThan(0.005)
    expect(squares / count).toBeCloseTo(1, 2)
    expect(fourth / count).toBeCloseTo(3, 1)
    expect(far / count).toBeCloseTo(0.0027, 3)
  })
  it('reach as far out as they should, beyond the outermost layer', () => {
    const normal = normalsFrom(8)
    const count = 4_000_000
    let [far, farther] = [0, 0]
    for (let index = 0; index < count; index++) {
      const x = Math.abs(normal())
      if (x > 3.8) far++
      if (x > 4.2) farther++
    }
    expect(Math.abs(far / count / 1.447e-4 - 1)).toBeLessThan(0.15)
    expect(Math.abs(farther / count / 2.669e-5 - 1)).toBeLessThan(0.35)
  })
  it('are the same for the same seed, and others for another', () => {
    const first = (seed: number) => Array.from({ length: 5 }, normalsFrom(seed))
    expect(first(3)).toEqual(first(3))
    expect(first(3)).not.toEqual(first(4))
  })
})

describe('the simulation', () => {
  it('agrees with the closed form of the share outside, within its own error', () => {
    const always: Nudging = { smoothingSeconds: 3, alertAfterSeconds: 1, alertRepeatSeconds: 1 }
    for (const step of [
      held(),
      held({ smoothing: 10 }),
      held({ low: 0.95, high: 1.02 }),
      held({ steadiness: { sd: 0.07, tau: 3 }, low: 0.9, high: 1.1 }),
    ]) {
      const [runs, judged] = [400, 590]
      const normal = normalsFrom(11)
      const window = new Float64Array(step.smoothing)
      const shares = Array.from({ length: runs }, () => nudgesIn({ ...step, settling: 10 }, always, normal, window, false) / judged)
      const mean = shares.reduce((sum, share) => sum + share, 0) / runs
      const error = Math.sqrt(shares.reduce((sum, share) => sum + (share - mean) ** 2, 0) / (runs - 1) / runs)
      expect(Math.abs(mean - shareOutside(step))).toBeLessThan(4 * error)
    }
  })
  it('nudges as the engine does: after so long outside, again after a pause, none while settling', () => {
    const outside = held({ seconds: 60, settling: 10, low: 2, high: 3, steadiness: { sd: 1e-9, tau: 1 } })
    expect(nudgesIn(outside, usualNudging, normalsFrom(1), new Float64Array(3))).toBe(5)
    expect(nudgesIn({ ...outside, settling: 60 }, usualNudging, normalsFrom(1), new Float64Array(3))).toBe(0)
    expect(nudgesIn({ ...outside, low: -Infinity, high: Infinity }, usualNudging, normalsFrom(1), new Float64Array(3))).toBe(0)
  })
  it('nudges less with a wider band and with more smoothing', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.005, max: 0.08, noNaN: true }), width => {
        const of = (change: Partial<HeldStep>) => expectedNudges(held({ low: 1 - width, high: 1 + width, ...change }), usualNudging, 60)
        expect(of({ low: 1 - width * 1.5, high: 1 + width * 1.5 })).toBeLessThanOrEqual(of({}) + 0.2)
        expect(of({ smoothing: 20 })).toBeLessThanOrEqual(of({}) + 0.5)
      }),
      { numRuns: 30 },
    )
  })
  it('stays clear of an open bound, so that it hardly nudges', () => {
    const step = heldStep({ of: 'pace', easiest: 4, hardest: null, unit: 'm/s' }, 600, {
      standpoint: seenBy(ilse),
      sport: 'run',
      nudging: usualNudging,
    })!
    expect(step.high).toBe(Infinity)
    expect(expectedNudges(step, usualNudging)).toBeLessThan(2)
    expect(
      heldStep({ of: 'rpe', easiest: 6, hardest: 7, unit: 'of 10' }, 600, {
        standpoint: seenBy(ilse),
        sport: 'run',
        nudging: usualNudging,
      }),
    ).toBeNull()
  })
  it("takes the athlete's own steadiness where it is sound", () => {
    const own = { ...ilse, steadiness: { run: { speed: { sd: 0.01, tau: 4 } }, ride: { power: { sd: -1, tau: 0 } } } }
    expect(steadinessOf(own, 'run', 'speed')).toEqual({ sd: 0.01, tau: 4 })
    expect(steadinessOf(own, 'ride', 'power')).toEqual(steadinessOf(ilse, 'ride', 'power'))
  })
})

describe('the quiet band', () => {
  it('is the narrowest with at most one expected nudge in five minutes', () => {
    const share = solveWidth(held(), usualNudging)
    const at = (width: number) => expectedNudges(held({ seconds: 300, low: 1 - width, high: 1 + width }), usualNudging)
    expect(at(share)).toBeLessThanOrEqual(1)
    expect(at(share - 0.002)).toBeGreaterThan(1)
    expect(share).toBeGreaterThan(smoothedSd(0.03, 6, 3))
  })
  it('ships for the usual steadiness on every watch as it is solved: run `npm run quiet-table` where it is not', () => {
    expect(Object.keys(knownWidths).sort()).toEqual([...usualWandering().keys()].sort())
    expect(knownWidths).toMatchObject(Object.fromEntries(usualWidths(7)))
  }, 120_000)
  it('is at least 1 % and at most 4 %, of power 12 %, and says where that still nags', () => {
    const of = { ...held(), steadiness: { sd: 0.2, tau: 6 } }
    expect(quietWidth(of, usualNudging, false)).toEqual({ share: 0.04, stillNags: true })
    expect(quietWidth(of, usualNudging, true)).toEqual({ share: 0.12, stillNags: true })
    expect(quietWidth({ ...of, steadiness: { sd: 0.001, tau: 6 } }, usualNudging, false)).toEqual({ share: 0.01, stillNags: false })
  })
  it('is one number in resolving, beside the session and among the schools', () => {
    const quietly = seenBy({ ...ilse, schools: { band: { kind: 'quiet' } } })
    const said = session('sport run\nplace treadmill\n\n5:00 @ 4:30 /km')
    const [entry] = reckon(said, quietly).flat
    const { schools, quiet } = nudgePicture(session('sport run\nplace treadmill\n\n5:00 @ 4:29-4:31 /km'), quietly, usualNudging, {
      runs: 50,
    })
    const { share } = quietRoom(ilse, 'pace', { sport: 'run', place: 'treadmill', nudging: usualNudging })
    expect(share).toBe(0.0205)
    expect(entry!.target!.hardest! / (1000 / 270)).toBeCloseTo(1 + share, 4)
    expect(schools[0]).toMatchObject({ kind: 'quiet', hardest: expect.closeTo((1000 / 270) * (1 + share), 2) })
    expect(schools[0]!.expected).toBeLessThanOrEqual(1.2)
    expect(quiet.main).toEqual({ of: 'pace', unit: 's/km', easiest: 276, hardest: 264 })
  })
  it('where no band is quiet, offers to be led by the mean of more seconds', () => {
    const swum = session('sport swim\nplace open-water\n\n30:00 @ 2:00-2:06 /100m')
    const { quiet } = nudgePicture(swum, seenBy(ilse), usualNudging, { runs: 50 })
    expect(quiet.steps).toHaveLength(1)
    expect(quiet.steps[0]!.byMeanOf).toBeGreaterThan(5)
    expect(quiet.steps[0]!.words).toContain(`over ${quiet.steps[0]!.byMeanOf} s`)
    const led = session(`sport swim\nplace open-water\n\n30:00 @ ${quiet.steps[0]!.words}`)
    expect(nudgePicture(led, seenBy(ilse), usualNudging, { runs: 50 }).quiet.steps).toEqual([])
  })
  it('says of a zone that nags that it does, though no room can be given to it', () => {
    const zone = session('sport run\n\n1:00:00 @ zone 1 pace\n1:00:00 @ zone 3 power')
    const powered = seenBy({ ...ilse, run: { criticalSpeed: 3.6, criticalPower: 240 }, zones: { run: { power: [150, 180, 184] } } })
    const { quiet, forecast } = nudgePicture(zone, powered, usualNudging, { runs: 50 })
    expect(forecast.perStep[1]!.expected).toBeGreaterThan(30)
    expect(quiet.steps.map(({ path, target }) => [path, target])).toEqual([['2', null]])
  })
  it("is said in the target's own unit, rounded outward", () => {
    expect(quietTarget({ of: 'pace', unit: 's/km', easiest: 252, hardest: 248 }, 0.021)).toEqual({
      of: 'pace',
      unit: 's/km',
      easiest: 256,
      hardest: 244,
    })
    expect(quietTarget({ of: 'power', unit: 'W', easiest: 200, hardest: 210, give: { harder: 5, unit: 'W' } }, 0.05)).toEqual({
      of: 'power',
      unit: 'W',
      easiest: 194,
      hardest: 216,
    })
    expect(quietTarget({ of: 'effort', name: '5k' }, 0.021)).toEqual({
      of: 'effort',
      name: '5k',
      give: { easier: 2.1, harder: 2.1, unit: '%' },
    })
    expect([
      quietTarget({ of: 'heart-rate', zone: 2 }, 0.02),
      quietTarget({ of: 'power', unit: 'W', easiest: 200 }, 0.02),
      quietTarget({ of: 'effort', name: 'max' }, 0.02),
    ]).toEqual([null, null, null])
  })
  it.each([
    'sport run\n\n4 times\n  6:00 @ 4:20-4:26 /km\n  recovery 1:30\n',
    'sport run\n\n3 times\n  1 km @ 10k effort\n  rest 1:00\n',
    'sport run\n\n5 times\n  400 m in 1:32-1:34\n  rest 1:00\n',
    'sport ride\n\n20:00 @ 88-92 %CP and 85-95 rpm\n',
  ])('taken at every row lowers the forecast to one in five minutes or less: %s', text => {
    const before = nudgePicture(session(text), seenBy(ilse), usualNudging, { runs: 200 })
    expect(before.quiet.steps.length).toBeGreaterThan(0)
    let quiet = session(text)
    for (const { path, words } of before.quiet.steps) {
      const result = apply(quiet, { do: 'target', at: path, words }, nobody)
      if (!result.ok) throw new Error(`${words}: ${sayRefusal(result.refusal)}`)
      quiet = result.session
    }
    const after = nudgePicture(quiet, seenBy(ilse), usualNudging, { runs: 200 })
    expect(after.forecast.total.expected).toBeLessThan(before.forecast.total.expected)
    expect(after.quiet.steps).toEqual([])
  })
})

describe('the schools', () => {
  it('are compared around the same middle, the quiet one nudging at most once', () => {
    const { schools, schoolsAt } = nudgePicture(
      session('sport run\n\nwarm-up 10:00\n4 times\n  6:00 @ 4:20-4:26 /km\n  recovery 1:30\n'),
      seenBy(ilse),
      usualNudging,
      { runs: 50 },
    )
    expect(schoolsAt).toBe('2.1')
    expect(schools.map(school => school.kind)).toEqual(['quiet', 'lean-fast', 'even', 'percent', 'as-said'])
    expect(schools[0]!.expected).toBeLessThanOrEqual(1.4)
    for (const school of schools) expect(school.easiest < 1000 / 263 && school.hardest > 1000 / 263).toBe(true)
  })
  it('are none where there is nothing to hold', () => {
    const picture = nudgePicture(session('sport run\n\n45:00\n'), seenBy(ilse), usualNudging, { runs: 10 })
    expect([picture.schools, picture.schoolsAt, picture.quiet.main, picture.forecast.total.expected]).toEqual([[], null, null, 0])
  })
  it('say how far they are, rising to the end', () => {
    const picturing = picturingNudges(
      session('sport run\n\n10 times\n  6:00 @ 4:20-4:26 /km\n  recovery 1:30\n'),
      seenBy(ilse),
      usualNudging,
      { runs: 1000 },
    )
    const shares: number[] = []
    for (let step = picturing.next(); !step.done; step = picturing.next()) shares.push(step.value)
    expect(shares.length).toBeGreaterThan(5)
    expect(shares.every((share, index) => share <= 1 && (index === 0 || share >= shares[index - 1]!))).toBe(true)
  })
})

describe('whatever the session and the athlete', () => {
  it('brings no NaN, no infinity and no count below zero', () => {
    const athletes = fc.constantFrom(ilse, { ...ilse, efforts: [] }, { ...ilse, run: {}, ride: {}, heart: {} }, { ...ilse, schools: {} })
    fc.assert(
      fc.property(arbitrarySession, athletes, (document, athlete) => {
        const { forecast, schools } = nudgePicture(document, seenBy(athlete), usualNudging, { runs: 2 })
        for (const { expected, low, high } of [forecast.total, ...forecast.perStep])
          expect([expected, low, high].every(value => Number.isFinite(value) && value >= 0)).toBe(true)
        for (const { easiest, hardest, expected } of schools)
          expect([easiest, hardest].every(value => Number.isFinite(value) && value > 0) && Number.isFinite(expected)).toBe(true)
      }),
      { numRuns: 12 },
    )
  }, 300_000)
})
