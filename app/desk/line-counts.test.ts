import { describe, expect, it } from 'vitest'
import { lineCountsBetween } from './line-counts'

describe('lineCountsBetween', () => {
  it('counts a changed row on both sides and an untouched one on none', () => {
    expect(lineCountsBetween('warm-up 10:00\n400 m', 'warm-up 10:00\n500 m\n600 m')).toEqual({ added: 2, gone: 1 })
  })

  it('takes a last line end for nothing', () => {
    expect(lineCountsBetween('400 m\n', '400 m')).toEqual({ added: 0, gone: 0 })
  })
})
