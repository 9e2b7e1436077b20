/** NUL, and halves of surrogate pairs without their other half: no text that a database or UTF-8 can keep. */
const unstorable = new RegExp(
  `${String.fromCharCode(0)}|[\\uD800-\\uDBFF](?![\\uDC00-\\uDFFF])|(?<![\\uD800-\\uDBFF])[\\uDC00-\\uDFFF]`,
  'g',
)

/** Whether a text can be kept as it is. */
export const isStorable = (text: string): boolean => text.search(unstorable) < 0

/**
 * A text without the signs that cannot be kept; all others stay as they are.
 *
 * @example storable('10\u0000:00') // '10:00'
 */
export const storable = (text: string): string => text.replace(unstorable, '')
