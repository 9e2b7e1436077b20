import type { Sport } from '../../session/document'

const sportWords: readonly (readonly [RegExp, Sport])[] = [
  [/\b(?:swim(?:ming)?|swum)\b/i, 'swim'],
  [/\b(?:ride|riding|bike|biking|cycl(?:e|ing)|turbo|spin)\b/i, 'ride'],
  [/\b(?:run(?:ning)?)\b/i, 'run'],
]
const partBoundary = /[,;\n+&/\u2192]|\bthen\b|\band\b/i
const sayingLength = /\d|\b(?:half|mile|hour)\b/i

/** The sport of one word for it: `run`, `swimming`, `bike`. */
export const sportNamed = (word: string): Sport => (/^run/i.test(word) ? 'run' : /^swim/i.test(word) ? 'swim' : 'ride')

/** The sport named first. */
function sportOf(said: string): Sport | undefined {
  const words = said.replace(/\b(?:off|from)\s+the\s+(?:bike|ride)\b/gi, '')
  const found = sportWords.map(([pattern, sport]) => ({ at: words.search(pattern), sport })).filter(({ at }) => at >= 0)
  return found.sort((a, b) => a.at - b.at)[0]?.sport
}

/** The sports that the pieces of a text name, each beside a length. */
export function namedSports(text: string): Set<Sport> {
  const found = new Set<Sport>()
  if (!/\b(?:swim|ride|riding|bike|biking|cycl|turbo|spin)/i.test(text)) return found
  for (const part of text.split(partBoundary)) {
    const sport = sayingLength.test(part) ? sportOf(part) : undefined
    if (sport) found.add(sport)
  }
  return found
}

/** A stretch of a line in which one sport is spoken of. */
export interface SportSpan {
  from: number
  to: number
  sport: Sport
}

const spanBoundary = /[,;+&/\u2192]|->|\b(?:then|and|(?:straight\s+(?:off\s+)?)?into)\b/g

/** The sports that a line speaks of in turn; a piece that names none goes with the one before. */
export function sportSpans(raw: string, start: number, before: Sport): SportSpan[] {
  const cuts = [start, ...[...raw.matchAll(spanBoundary)].map(match => match.index).filter(at => at > start), raw.length]
  const spans: SportSpan[] = []
  let sport = before
  for (const [index, from] of cuts.slice(0, -1).entries()) {
    const to = cuts[index + 1]!
    sport = sportOf(raw.slice(from, to)) ?? sport
    const last = spans.at(-1)
    if (last?.sport === sport) last.to = to
    else spans.push({ from, to, sport })
  }
  return spans
}
