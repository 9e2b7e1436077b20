import type { Random } from '../../core/quantity/random'

/** A way to write the same thing otherwise. */
interface Variation {
  name: string
  /** Null where the words have nothing to vary so. */
  vary: (said: string, random: Random) => string | null
}

const replaced = (said: string, pattern: RegExp, by: (...match: string[]) => string): string | null => {
  const varied = said.replace(pattern, (...match) => by(...(match.slice(0, -2) as string[])))
  return varied === said ? null : varied
}
const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random.next() * from.length)]!

/** Spaces, cases and signs that change nothing of what is meant. */
export const variations: readonly Variation[] = [
  {
    name: 'the sign of a repeat',
    vary: (said, random) => replaced(said, /(\d) ?x ?(?=\d)/g, (_, count) => `${count}${pick(random, [' x ', 'x', ' × ', '×', ' * '])}`),
  },
  {
    name: 'minutes',
    vary: (said, random) =>
      replaced(
        said,
        /(\d) ?(?:min|')(?![a-z\d'"])/g,
        (_, number) => `${number}${pick(random, [' min', 'min', "'", ' mins', ' minutes', '’', '′'])}`,
      ),
  },
  {
    name: 'seconds',
    vary: (said, random) =>
      replaced(
        said,
        /(?<!\d\d|:\d)(\d) ?(?:s|sec|")(?![a-z\d/"])/g,
        (_, number) => `${number}${pick(random, [' s', 's', '"', ' sec', ' seconds', '″'])}`,
      ),
  },
  {
    name: 'kilometres',
    vary: (said, random) =>
      replaced(said, /(\d) ?km(?![a-z/])/g, (_, number) => `${number}${pick(random, [' km', 'km', ' Km', ' kilometres'])}`),
  },
  {
    name: 'what stands between',
    vary: (said, random) => replaced(said, / (?:w\/|with) (?=\d)/g, () => pick(random, [' w/ ', ' with ', ' w/'])),
  },
  { name: 'at', vary: (said, random) => replaced(said, / @ (?=\d|[a-z])/g, () => pick(random, [' @ ', ' @', ' at '])) },
  {
    name: 'capitals',
    vary: said =>
      /\d ?[MKSmks](?![a-z])|[A-Z]{2}|\b[A-Z]\b|drill/.test(said)
        ? null
        : said
            .toUpperCase()
            .replace(/(?<![A-Z])X(?![A-Z])/g, 'x')
            .replace(/(\d ?)(KM|MIN|SEC)(?![A-Z])/g, (_, number: string, unit: string) => number + unit.toLowerCase()),
  },
  {
    name: 'dashes',
    vary: (said, random) =>
      /\d{4}-\d/.test(said) ? null : replaced(said, /(\d)-(?=\d)/g, (_, number) => `${number}${pick(random, ['-', '–'])}`),
  },
  {
    name: 'spaces',
    vary: (said, random) =>
      /\n |^place|\d \d{3}/.test(said) ? null : replaced(said, / /g, () => pick(random, [' ', ' ', '  ', '\u00A0'])),
  },
  { name: 'a bullet', vary: said => (/^\d/.test(said) && !said.includes('\n') ? `• ${said}` : null) },
  {
    name: 'a quote sign',
    vary: said =>
      /---|^place/m.test(said)
        ? null
        : said
            .split('\n')
            .map(line => `> ${line}`)
            .join('\n'),
  },
  { name: 'a greeting', vary: said => (/^(?:title|sport|place|hi\b)/i.test(said) ? null : `Hello!\n\n${said}`) },
  { name: 'a full stop', vary: said => (/[\w'"]$/.test(said) && !said.includes('\n') ? `${said}.` : null) },
  { name: 'an emoji', vary: said => (said.includes('\n') ? null : `${said} 💪`) },
]
