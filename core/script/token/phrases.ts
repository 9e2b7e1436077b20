/**
 * Spoken numbers written as figures, each phrase padded with spaces to its own length, so that columns keep their meaning.
 */
const counts: Record<string, string> = {
  a: '1',
  an: '1',
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  eleven: '11',
  twelve: '12',
  fifteen: '15',
  twenty: '20',
  thirty: '30',
  forty: '40',
  fifty: '50',
  sixty: '60',
  ninety: '90',
}
const fractions: Record<string, number> = { '1/2': 0.5, '1/4': 0.25, '3/4': 0.75 }
const noun = '(?:minutes?|mins?|seconds?|secs?|hours?|miles?|mi|kilomet(?:re|er)s?|km|k|met(?:re|er)s?)\\b'

const saysNumber = new RegExp(`\\b(?:${Object.keys(counts).join('|')})[\\s-]`, 'i')
const saysFraction = /\d\/\d/
const saysSeconds = /(?:^|[\s(,@/]):\d/
const spelled = new RegExp(`\\b(${Object.keys(counts).join('|')})(?=[\\s-]+(?:${noun}|times\\b|sets?\\b|rounds?\\b|reps?\\b|x\\b))`, 'gi')
const spelledAndHalf = new RegExp(
  `\\b(${Object.keys(counts).join('|')}|\\d{1,2})(?:\\s+and\\s+a\\s+half(?=\\s+` +
    `${noun})|\\s+(hours?|miles?|minutes?)\\s+and\\s+a\\s+half\\b)`,
  'gi',
)
const written = new RegExp(`(?:\\b(\\d{1,3})\\s+)?(?<![\\d.]|\\d/|[a-wyz])([13]/[24])(\\s+)(?=${noun})`, 'gi')
const secondsOnly = /(^|[\s(,@/]):([0-5]\d)(?![\d:])/g

const padded = (text: string, length: number): string | null => (text.length <= length ? text.padEnd(length) : null)

/** @returns text of the same length */
export function foldPhrases(text: string): string {
  let folded = text
  if (/half/i.test(folded)) {
    folded = folded.replace(
      spelledAndHalf,
      (phrase: string, count: string, unit: string | undefined) =>
        padded(`${Number(counts[count.toLowerCase()] ?? count) + 0.5}`, phrase.length - (unit?.length ?? 0))?.concat(unit ?? '') ?? phrase,
    )
  }
  if (saysNumber.test(folded)) folded = folded.replace(spelled, (word: string) => padded(counts[word.toLowerCase()]!, word.length) ?? word)
  if (saysFraction.test(folded)) {
    folded = folded.replace(written, (phrase: string, whole: string | undefined, share: string, gap: string) => {
      const figure = String(Number(whole ?? 0) + fractions[share]!)
      return fractions[share] === undefined ? phrase : (padded(figure, phrase.length) ?? `${figure}${gap}`.slice(0, phrase.length))
    })
  }
  return saysSeconds.test(folded) ? folded.replace(secondsOnly, (_, before: string, seconds: string) => `${before}${seconds}"`) : folded
}
