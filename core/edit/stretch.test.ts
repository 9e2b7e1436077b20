import { sayMissing } from '../words/missing'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Athlete } from '../athlete/athlete'
import { unknownAthlete } from '../athlete/athlete'
import { resolveTarget } from '../athlete/resolve'
import { onEffortAxis } from '../reckon/sheet'
import type { BandTarget, Target } from '../session/document'
import { stretchTarget } from './stretch'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const ilse: Athlete = {
  ...unknownAthlete,
  heart: { max: 182, rest: 50, threshold: 167 },
  run: { criticalSpeed: 3.6, criticalPower: 248 },
  ride: { criticalPower: 215 },
  swim: { criticalSpeed: 0.893 },
}
const targets: readonly BandTarget[] = [
  { of: 'pace', unit: 's/km', easiest: 290, hardest: 270 },
  { of: 'pace', unit: '%CS', easiest: 95, hardest: 100 },
  { of: 'power', unit: 'W', easiest: 230, hardest: 250 },
  { of: 'power', unit: '%CP', easiest: 95, hardest: 105 },
  { of: 'speed', unit: 'km/h', easiest: 12, hardest: 13 },
  { of: 'heart-rate', unit: 'bpm', easiest: 150, hardest: 160 },
  { of: 'heart-rate', unit: '%HRR', easiest: 75, hardest: 85 },
]

describe('an end of a band moved along the axis', () => {
  it('comes to stand where it was let go, within the rounding of its unit', () => {
    fc.assert(
      fc.property(fc.constantFrom(...targets), fc.double({ min: 101, max: 128, noNaN: true }), (target, percent) => {
        const moved = stretchTarget(target, 'hardest', percent, seenBy(ilse), 'run')!
        const resolution = resolveTarget(moved, seenBy(ilse), { sport: 'run' })
        if (!resolution.ok) throw new Error(sayMissing(resolution.missing))
        const { of, unit, easiest = null, hardest = null } = resolution.target
        expect(
          Math.abs(
            onEffortAxis({ of, unit, easiest, hardest }, undefined, seenBy(ilse), 'run')!.high -
              Math.min(percent, of === 'heart-rate' ? 112 : Infinity),
          ),
        ).toBeLessThan(1.7)
        expect(moved.easiest).toBe(target.easiest)
      }),
    )
  })
  it('stops at the other end', () => {
    expect(stretchTarget(targets[0]!, 'easiest', 130, seenBy(ilse), 'run')).toMatchObject({ easiest: 270, hardest: 270 })
    expect(stretchTarget(targets[3]!, 'hardest', 60, seenBy(ilse), 'ride')).toMatchObject({ easiest: 95, hardest: 95 })
  })
  it('opens a single point into a band, and drops the room it had', () => {
    expect(
      stretchTarget(
        { of: 'power', unit: 'W', easiest: 215, hardest: 215, give: { harder: 5, unit: 'W' } },
        'hardest',
        110,
        seenBy(ilse),
        'ride',
      ),
    ).toEqual({ of: 'power', unit: 'W', easiest: 215, hardest: 237 })
  })
  it('moves nothing that is not said in numbers, or whose numbers are missing', () => {
    const others: Target[] = [
      { of: 'effort', name: '5k' },
      { of: 'heart-rate', zone: 2 },
      { of: 'cadence', unit: 'rpm', easiest: 85, hardest: 95 },
      { ...targets[2]!, to: { easiest: 240 } },
    ]
    for (const target of others) expect(stretchTarget(target, 'hardest', 105, seenBy(ilse), 'run')).toBeNull()
    expect(stretchTarget(targets[0]!, 'hardest', 105, nobody, 'run')).toBeNull()
  })
})
