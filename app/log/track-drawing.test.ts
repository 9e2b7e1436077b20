import { describe, expect, it } from 'vitest'
import type { Recording } from '~~/core/record/recording'
import { drawTrack } from './track-drawing'

const along = (lat: (number | null)[], lon: (number | null)[]) =>
  ({ samples: { t: lat.map((_, index) => index), metres: lat.map(() => null), lat, lon } }) as unknown as Recording

describe('a track', () => {
  it('is drawn in its true proportions, north up, with what was work', () => {
    const side = 0.01
    const drawing = drawTrack(along([60, 60 + side, 60 + side, 60], [5, 5, 5 + 2 * side, 5 + 2 * side]), [{ startsAt: 1, endsAt: 2 }])!
    expect(drawing.width - 28).toBeCloseTo(drawing.height - 28, -1)
    expect(drawing.start.y).toBeCloseTo(drawing.height - 14, -1)
    expect(drawing.work.length).toBe(1)
    expect(drawing.whole.match(/[ML]/g)!.length).toBe(4)
    const metres = (drawing.height - 28) / (drawing.scale.pixels / drawing.scale.metres)
    expect(Math.abs(metres / 1111.95 - 1)).toBeLessThan(0.02)
  })
  it('is none without positions, of one place, or of very few points; of very many it is thinned', () => {
    expect(drawTrack(along([null, null], [null, null]), [])).toBeNull()
    expect(drawTrack(along([60, 60.00001], [5, 5]), [])).toBeNull()
    const many = Array.from({ length: 20_000 }, (_, index) => 60 + index * 1e-5)
    expect(
      drawTrack(
        along(
          many,
          many.map(() => 5),
        ),
        [],
      )!.whole.match(/[ML]/g)!.length,
    ).toBeLessThanOrEqual(1502)
  })
})
