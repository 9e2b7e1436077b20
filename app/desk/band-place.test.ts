import { expect, it } from 'vitest'
import { effortAxis } from '~~/core/reckon/sheet'
import { along, placeOf } from './band-place'

const middle = (effortAxis.low + effortAxis.high) / 2

it('lays an effort across the whole column', () => {
  expect([effortAxis.low, middle, effortAxis.high].map(along)).toEqual([0, 50, 100])
})

it('keeps what is off the axis at its ends', () => {
  expect([effortAxis.low - 30, effortAxis.high + 30].map(along)).toEqual([0, 100])
})

it('draws a band from its low end to its high end', () => {
  expect(placeOf({ low: effortAxis.low, high: middle })).toEqual({ left: 0, width: 50 })
  expect(placeOf({ low: middle, high: effortAxis.high })).toEqual({ left: 50, width: 50 })
})
