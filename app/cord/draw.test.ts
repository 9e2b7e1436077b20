import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Cord, CordPart } from '~~/core/reckon/cord'
import { drawCord } from './draw'

const knot = (seconds: number, effort: number | null = 100): CordPart => ({ kind: 'knot', seconds, effort })

describe('a cord as it is drawn', () => {
  it('makes a knot as long as the root of its time, darker by effort', () => {
    const { knots } = drawCord({ parts: [knot(100, 90), knot(400, 95), knot(900, 112), knot(900, null)], brackets: [] }, 2000)
    expect(knots[1]!.width / knots[0]!.width).toBeCloseTo(2, 1)
    expect(knots[2]!.width / knots[0]!.width).toBeCloseTo(3, 1)
    expect(knots.map(({ shade }) => shade)).toEqual(['steady', 'hard', 'most', 'unknown'])
  })
  it('draws a thread under what was held, a fray at an open end, and the count in its bracket', () => {
    const cord: Cord = {
      parts: [
        { kind: 'line', seconds: 600, isOpen: true },
        { ...knot(300), held: 0.5 },
        { kind: 'bare', seconds: 60 },
      ],
      brackets: [{ from: 1, to: 2, words: '5', depth: 0 }],
    }
    const { threads, frays, brackets, knots } = drawCord(cord, 300)
    expect(threads[0]!.width).toBeCloseTo((knots[0]!.width + 1) / 2, 9)
    expect(frays).toHaveLength(1)
    expect(brackets).toMatchObject([{ words: '5' }])
  })
  it('stays within its width, whatever the session', () => {
    const parts = fc.array(
      fc.record({
        kind: fc.constantFrom('knot' as const, 'line' as const, 'bare' as const, 'ring' as const),
        seconds: fc.integer({ min: 0, max: 20_000 }),
      }),
      { minLength: 1, maxLength: 120 },
    )
    fc.assert(
      fc.property(parts, fc.integer({ min: 60, max: 400 }), (some, width) => {
        const drawn = drawCord({ parts: some, brackets: [{ from: 0, to: some.length - 1, words: '3', depth: 0 }] }, width)
        for (const { x, width: own } of [...drawn.knots, ...drawn.lines, ...drawn.bare, ...drawn.brackets])
          expect(Number.isFinite(x) && x >= -0.01 && own >= 0 && x + own <= width + (some.length > 20 ? some.length * 9 : 2)).toBe(true)
      }),
      { numRuns: 300 },
    )
  })
})
