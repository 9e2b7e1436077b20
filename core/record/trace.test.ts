import { expect, it } from 'vitest'
import type { Recording } from './recording'
import { traceOf } from './trace'

const recordingOf = (seconds: number, metresAt: (t: number) => number | null, power?: (t: number) => number | null): Recording => {
  const t = Array.from({ length: seconds }, (_, index) => index + 1)
  return {
    format: 'agonis.recording',
    version: 1,
    sport: 'run',
    startedAt: '2026-03-31T06:00:00.000Z',
    samples: { t, metres: t.map(metresAt), ...(power ? { power: t.map(power) } : {}) },
    marks: [],
  }
}

it('draws a pace over the seconds it is judged over, and nothing where there is no signal', () => {
  const values = traceOf(
    recordingOf(60, t => (t > 40 && t < 45 ? null : 4 * t)),
    'pace',
    null,
    [],
  )
  expect(values[30]).toBeCloseTo(4, 6)
  expect(values[41]).toBeNull()
  const surge = traceOf(
    recordingOf(60, t => (t <= 30 ? 3 * t : 90 + 5 * (t - 30))),
    'pace',
    null,
    [],
  )
  expect([surge[29], surge[39], surge[59]].map(value => Math.round(value! * 10) / 10)).toEqual([3, 4, 5])
})

it('draws power as the mean of ten seconds with signal', () => {
  const values = traceOf(
    recordingOf(
      40,
      () => null,
      t => (t % 4 === 0 ? null : t <= 20 ? 200 : 300),
    ),
    'power',
    null,
    [],
  )
  expect([values[15], values[35]]).toEqual([200, 300])
})

it('draws a swim length by length, without the wait at the wall', () => {
  const touches = [30, 60, 130, 160]
  const swum = recordingOf(160, t => 25 * touches.filter(touch => touch <= t).length)
  const values = traceOf(swum, 'pace', 25, [0, 100])
  expect(values[10]).toBeCloseTo(25 / 30, 6)
  expect(values[45]).toBeCloseTo(25 / 30, 6)
  expect(values[80]).toBeNull()
  expect(values[120]).toBeCloseTo(25 / 30, 6)
})
