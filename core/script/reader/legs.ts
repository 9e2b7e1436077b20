import type { Item, Leg, Sport } from '../../session/document'
import type { Scanner } from './scanner'

const sportWords: readonly (readonly [RegExp, Sport])[] = [
  [/\b(?:swim(?:ming)?|swum)\b/i, 'swim'],
  [/\b(?:ride|riding|bike|biking|cycl(?:e|ing)|turbo|spin)\b/i, 'ride'],
  [/\b(?:run(?:ning)?)\b/i, 'run'],
]
const partBoundary = /[,;\n+&]|\bthen\b|\band\b/i
const sayingLength = /\d|\b(?:half|mile|hour)\b/i

/** The sport named first. */
function sportOf(words: string): Sport | undefined {
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

/** Where the pieces name several sports: goes by the one that the next piece names, and says which. */
export function switchSport(scanner: Scanner): Sport | undefined {
  const { bySport } = scanner.setting
  if (!bySport) return undefined
  const sport = sportOf(scanner.text.slice(scanner.at).split(partBoundary)[0]!)
  if (sport) scanner.setting = { ...bySport[sport], bySport }
  return sport
}

/** Puts the items of a session that named several sports into its legs; what names none stays with the leg before it. */
export function intoLegs(items: readonly Item[], sports: ReadonlyMap<Item, Sport>): Item[] {
  const legs: Item[] = []
  let leg: Leg | undefined
  const first = items.map(item => sports.get(item)).find(Boolean) ?? 'run'
  for (const item of items) {
    if (item.kind === 'leg' || item.kind === 'unread' || (item.kind === 'step' && item.role === 'transition')) {
      legs.push(item)
      leg = undefined
      continue
    }
    const sport: Sport = sports.get(item) ?? leg?.sport ?? first
    if (leg?.sport !== sport) {
      leg = { kind: 'leg', sport, items: [] }
      legs.push(leg)
    }
    leg.items.push(item)
  }
  return legs
}
