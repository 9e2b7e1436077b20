/** The end of a line, however the text was written. */
const lineEnd = /\r\n|\n|\r/

/** The lines of a text, without their ends. */
export const linesOf = (text: string): string[] => text.split(lineEnd)

/** Where each line of a text begins, in UTF-16 units. */
export const lineStarts = (text: string): number[] => [
  0,
  ...[...text.matchAll(new RegExp(lineEnd, 'g'))].map(end => end.index + end[0].length),
]
