import type { DayName } from '../../session/document'

/** The days in the languages that people mix in, each by its stem and the rest of its name, from Monday on. */
const languages: readonly (readonly (readonly [stem: string, rest: string])[])[] = [
  [
    ['lun', 'di'],
    ['mar', 'di'],
    ['mer', 'credi'],
    ['jeu', 'di'],
    ['ven', 'dredi'],
    ['sam', 'edi'],
    ['dim', 'anche'],
  ],
  [
    ['lun', 'es'],
    ['mar', 'tes'],
    ['mi[e\u00E9]', 'rcoles'],
    ['jue', 'ves'],
    ['vie', 'rnes'],
    ['s[a\u00E1]b', 'ado'],
    ['dom', 'ingo'],
  ],
  [
    ['mo', 'ntag'],
    ['di', 'enstag'],
    ['mi', 'ttwoch'],
    ['do', 'nnerstag'],
    ['fr', 'eitag'],
    ['sa', 'mstag'],
    ['so', 'nntag'],
  ],
  [
    ['man', 'dag'],
    ['ti[rs]', 'dag'],
    ['ons', 'dag'],
    ['tor', 's?dag'],
    ['fre', 'dag'],
    ['l[\u00F8\u00F6o]r', 'dag'],
    ['s[\u00F8\u00F6o]n', 'dag'],
  ],
]
const english: readonly DayName[] = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']
const patterns = languages.map(days =>
  days.map(([stem, rest]) => new RegExp(`^(\\s*)(${stem}(?:${rest})?)(?=\\.?\\s*(?:[:,\u2013\u2014]|-\\s))`, 'i')),
)

/** Lines that a language's day names head, so many that it is no chance. */
const enough = 2

/** The lines with their days in English, where another language heads them: each line as long as before. */
export function inEnglish(lines: readonly string[]): string[] {
  const counts = patterns.map(days => lines.filter(line => days.some(day => day.test(line))).length)
  const most = Math.max(...counts)
  if (most < enough) return [...lines]
  const days = patterns[counts.indexOf(most)]!
  return lines.map(line => {
    const index = days.findIndex(day => day.test(line))
    if (index < 0) return line
    return line.replace(
      days[index]!,
      (match: string, space: string, name: string) =>
        space + english[index]!.padEnd(name.length) + match.slice(space.length + Math.max(name.length, 3)),
    )
  })
}

/** The name of a day in English or its beginning, as the source of an expression with one group. */
export const dayWord = '(mon(?:day)?|tue(?:s(?:day)?)?|wed(?:s|nesday)?|thu(?:rs?(?:day)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?)'
const range = new RegExp(`^\\s*${dayWord}\\s*(?:-|\u2013|to|through)\\s*${dayWord}\\s*[:.,\u2013-]\\s*`, 'i')
const several = new RegExp(`^\\s*(${dayWord}(?:\\s*(?:[/,&+]|and)\\s*${dayWord})+)\\s*[:.\u2013-]\\s*`, 'i')
const nameOf = (word: string) => word.slice(0, 3).toLowerCase() as DayName

/** Days that one line is for: `Mon-Fri:`, `Mon/Wed/Fri:`. Null where it names one or none. */
export function severalDays(line: string): { days: DayName[]; length: number } | null {
  const span = range.exec(line)
  if (span) {
    const [from, to] = [english.indexOf(nameOf(span[1]!)), english.indexOf(nameOf(span[2]!))]
    const count = ((to - from + 7) % 7) + 1
    return { days: Array.from({ length: count }, (_, index) => english[(from + index) % 7]!), length: span[0].length }
  }
  const list = several.exec(line)
  if (!list) return null
  const days = list[1]!.split(/\s*(?:[/,&+]|\band\b)\s*/i).map(nameOf)
  return { days, length: list[0].length }
}

const dayStart = new RegExp(`(?<=\\S)\\s*[/;,.|]\\s+(?=${dayWord}\\b[:.]?\\s)`, 'gi')
const beginsWithDay = new RegExp(`^\\s*${dayWord}\\b`, 'i')

/** Where a line that one day heads goes over to another: `Tue 6x400 / Thu 10k easy`. */
export function laterDays(line: string): number[] {
  if (!beginsWithDay.test(line)) return []
  return [...line.matchAll(dayStart)].map(match => match.index + match[0].length)
}

const letters: Readonly<Record<string, readonly number[]>> = { m: [0], t: [1, 3], w: [2], f: [4], s: [5, 6] }
const letterHead = /^\s*([MTWFS])\s*[:.)-]\s+(?=\S)/

/** Days by their first letters, where lines in their order begin with them: `M: 5 km`, `T: 8 km`. */
export function daysByLetter(lines: readonly string[]): Map<number, { day: DayName; length: number }> {
  const found = new Map<number, { day: DayName; length: number }>()
  let last = -1
  for (const [index, line] of lines.entries()) {
    const match = letterHead.exec(line)
    const day = match && letters[match[1]!.toLowerCase()]!.find(number => number > last)
    if (!match || day === undefined || day === null) continue
    found.set(index, { day: english[day]!, length: match[0].length })
    last = day
  }
  return found.size > enough ? found : new Map()
}
