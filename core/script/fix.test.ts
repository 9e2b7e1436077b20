import { expect, it } from 'vitest'
import { withFix } from './fix'

it.each(['\n', '\r\n', '\r'])('replaces just the stretch a remark is about, with lines ended by %j', end => {
  const text = ['Tue: rest', 'Thu: 5m easy', 'Sat: 1 h'].join(end)
  expect(withFix(text, { line: 2, column: 6, length: 2 }, '5:00')).toBe(['Tue: rest', 'Thu: 5:00 easy', 'Sat: 1 h'].join(end))
})
