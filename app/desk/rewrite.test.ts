import { expect, it } from 'vitest'
import { withWords } from './rewrite'

it.each([
  ['', '10:00 easy', '10:00 easy\n'],
  ['title Quay', '10:00 easy', 'title Quay\n\n10:00 easy\n'],
  ['10:00 easy\n', 'cool 5:00', '10:00 easy\ncool 5:00\n'],
  ['title Quay\nsport run\n\n10:00', 'sport ride', 'title Quay\nsport ride\n\n10:00\n'],
  ['title Quay\nprompt one\n\n10:00', 'prompt two', 'title Quay\nprompt one\nprompt two\n\n10:00\n'],
  ['10:00', 'sport swim', 'sport swim\n\n10:00\n'],
])('puts words where they belong: %j and %j', (text, words, expected) => {
  expect(withWords(text, words)).toBe(expected)
})
