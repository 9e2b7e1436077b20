import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { heartAfter, heartAt, shareAtHeart } from './heart'
import { trimAfter } from './heart-led'
import { mostHeld, unworn, wornAfter, wornBy } from './wear'

const hearts = fc
  .tuple(fc.integer({ min: 35, max: 75 }), fc.integer({ min: 150, max: 215 }), fc.double({ min: 0.7, max: 0.95, noNaN: true }))
  .map(([rest, max, share]) => ({ rest, max, threshold: rest + (max - rest) * share }))

describe('the heart', () => {
  it('and the share of critical that goes with it undo each other', () => {
    fc.assert(
      fc.property(hearts, fc.double({ min: 0.05, max: 1.11, noNaN: true }), (heart, share) => {
        expect(shareAtHeart(heartAt(share, heart), heart)).toBeCloseTo(share, 9)
      }),
    )
    expect(heartAt(1, { rest: 50, max: 182, threshold: 167 })).toBeCloseTo(167, 9)
    expect(heartAt(1.12, { rest: 50, max: 182 })).toBeCloseTo(182, 9)
  })
  it('led to a rate comes there and stays, through its drift', () => {
    fc.assert(
      fc.property(hearts, fc.double({ min: 0.55, max: 0.9, noNaN: true }), (heart, of) => {
        const aimed = heart.rest + (heart.max - heart.rest) * of
        const meant = shareAtHeart(aimed, heart)
        let [bpm, trim] = [heartAt(0, heart), 0]
        for (let second = 0; second < 7200; second++) {
          trim = trimAfter(trim, bpm, aimed, heart, 1)
          bpm = heartAfter(bpm, heart, meant + trim, second, 1)
          if (second > 400) expect(Math.abs(bpm - aimed)).toBeLessThan(0.03 * aimed)
        }
      }),
      { numRuns: 20 },
    )
  })
})

describe('who tires', () => {
  it('can do all they mean up to a race, and less the more is used', () => {
    expect(mostHeld(unworn)).toBe(Infinity)
    const held = [1.01, 1.1, 1.2, 1.5, 3].map(stays => mostHeld({ ...unworn, stays }))
    expect(held).toEqual([...held].sort((a, b) => b - a))
    expect(held[1]).toBeCloseTo(1, 9)
    expect(held.at(-1)).toBe(0.5)
  })
  it('has used a race when an intensity has been held as long as it can be', () => {
    let wear = unworn
    for (let second = 0; second < 1200; second++) wear = wornAfter(wear, 1.03, 1, 1200)
    expect(wornBy(wear)).toBeCloseTo(1, 9)
    for (let second = 0; second < 360; second++) wear = wornAfter(wear, 0.3, 1, Infinity)
    expect(wornBy(wear)).toBeLessThan(0.7)
    expect(wornBy(wear)).toBeGreaterThan(wear.stays)
  })
})
