import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { weekCard, weekSizes } from './week-card'

const anyDays = fc.array(
  fc.record({
    name: fc.constantFrom('Mon 30 Nov', 'Tue 1 Dec'),
    lines: fc.array(fc.stringMatching(/^[a-z0-9 ]{1,90}$/), { maxLength: 6 }),
  }),
  { minLength: 1, maxLength: 7 },
)

describe('a week on paper', () => {
  it('has every word of it on its pages, inside their margins', () =>
    fc.assert(
      fc.property(anyDays, fc.constantFrom('page' as const, 'strip' as const), (days, size) => {
        const { width, height, margin } = weekSizes[size]
        const card = weekCard({ title: 'Week', summary: '5 h', days }, size)
        const texts = card.pages.flat().flatMap(mark => (mark.kind === 'text' ? [mark] : []))
        for (const { x, y } of texts) {
          expect(x).toBeGreaterThanOrEqual(margin)
          expect(x).toBeLessThan(width - margin)
          expect(y).toBeLessThanOrEqual(height - margin)
        }
        const letters = (words: readonly string[]) => words.join('').replaceAll(' ', '')
        expect(letters(texts.map(({ text }) => text))).toBe(
          letters(['Week', '5 h', ...days.flatMap(({ name, lines }) => [name, ...lines])]),
        )
      }),
    ))
})
