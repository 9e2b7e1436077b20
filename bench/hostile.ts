/** npm run bench:hostile: how much longer four times the hostile text takes to read; 4 is linear. */
import { nobody } from '../core/athlete/standpoint'
import { readScript } from '../core/script/reader/read-script'

/** Texts that tempt a reader into more than linear time, each line shorter than the longest that is read. */
const lineLength = 18_000
const pieces = [
  '2 x ',
  '(',
  '1-',
  '400, ',
  'easy hard ',
  '/ ',
  '@ ',
  '5 km or ',
  '9',
  '> ',
  'until ',
  '2 km (1 min ',
  'recover to 120 bpm ',
  'after 5 min easy ',
  'gel at 5 and ',
  '@ 85-95-105 % ',
]

/** @param length of each text, in characters */
const hostileTexts = (length: number): { piece: string; text: string }[] =>
  pieces.map(piece => {
    const line = piece.repeat(Math.ceil(Math.min(lineLength, length) / piece.length))
    const lines = Array.from({ length: Math.max(1, Math.round(length / line.length)) }, (_, index) => `${line} ${index}`)
    return { piece, text: lines.join('\n') }
  })

const millisecondsOf = (text: string) => {
  const runs = Array.from({ length: 3 }, () => {
    const from = performance.now()
    readScript(text, nobody)
    return performance.now() - from
  })
  return Math.min(...runs)
}
const length = Number(process.env.LENGTH ?? 18_000)
const long = hostileTexts(4 * length)
for (const [index, { piece, text }] of hostileTexts(length).entries()) {
  const [once, fourfold] = [millisecondsOf(text), millisecondsOf(long[index]!.text)]
  const growth = (fourfold / once).toFixed(1)
  console.log(`${JSON.stringify(piece).padEnd(16)} ${once.toFixed(1).padStart(8)} ms   four times as long: ${growth.padStart(5)} x`)
}
