import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isStorable, storable } from './storable'

describe('text that can be kept', () => {
  it.each([
    ['10\u0000:00', '10:00'],
    ['a\uD800b', 'ab'],
    ['a\uDC00', 'a'],
    ['\uD83C\uDFC3 10 km', '\uD83C\uDFC3 10 km'],
  ])('%j is kept as %j', (text, kept) => {
    expect(storable(text)).toBe(kept)
    expect(isStorable(text)).toBe(text === kept)
  })
  it('is any text once cleaned, and a text that can be kept is not changed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), text => {
        expect(isStorable(storable(text))).toBe(true)
        expect(new TextDecoder().decode(new TextEncoder().encode(storable(text)))).toBe(storable(text))
      }),
    )
  })
})
