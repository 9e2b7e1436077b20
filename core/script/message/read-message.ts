import type { Ceiling, Item, PlaceOfSession, Prompt, Sport, Step } from '../../session/document'
import type { SoftWord } from '../token/soft-word'
import type { Noticed, Setting } from '../token/scanner'
import { printPrompt } from '../print'
import { sportSpans } from '../token/sport-words'
import { clausesOf } from './clauses'
import type { Composition, Work } from './work'
import { compose } from './compose'
import { tokensOf } from './lattice'
import { itemsOf, spansOf } from './nodes'
import type { Token } from './token'

/** A line of the message, and where its own words begin. */
export interface MessageLine {
  raw: string
  start: number
  /** The sport its label named, in a session of several. */
  sport?: Sport
}

interface Stretch {
  line: number
  from: number
  to: number
}

export interface MessageReading {
  items: Item[]
  soft: Map<Step, SoftWord>
  /** Where each item was said: the part of it in its first line, and what completes it in later ones. */
  places: Map<Item, Stretch & { further: Stretch[] }>
  /** The sport that each item is of, where the message speaks of several. */
  sports: Map<Item, Sport>
  /** First and last line of each item, by their index. */
  lines: Map<Item, { first: number; last: number }>
  noticed: { line: number; noticed: Noticed }[]
  ceiling?: Ceiling
  prompts: Prompt[]
  place?: { place: PlaceOfSession; token: Token }
  leftOver: Token[]
  cost: number
}

const inMiles = /\d\s*(?:mi|miles?)\b|\bmiles?\b/i
const inKilometres = /\d\s*k(?:m|ilomet)/i

/** One message has one sense: where it speaks of miles and not of kilometres, a bare pace is per mile. */
const settingFor = (setting: Setting, text: string): Setting =>
  setting.sport === 'run' && inMiles.test(text) && !inKilometres.test(text) ? { ...setting, paceUnit: 's/mi' } : setting

const poolWords = /(\d{2,3}(?:\.\d+)?)[\s-]*(m|yd?|yards?)[\s-]+pool\b/i

/** A pool that the message names counts for the whole of it. */
function inPool(setting: Setting, lines: readonly MessageLine[]): Setting {
  const match = setting.sport === 'swim' ? lines.map(line => poolWords.exec(line.raw)).find(Boolean) : null
  return match ? { ...setting, poolLength: Number(match[1]), poolUnit: /^y/i.test(match[2]!) ? 'yd' : 'm' } : setting
}

interface Span {
  line: number
  from: number
  to: number
  setting: Setting
  sport?: Sport
}

/** The lines in stretches of one sport each, where the message speaks of several. */
function spansBySport(lines: readonly MessageLine[], setting: Setting): Span[] {
  const { bySport } = setting
  if (!bySport) return lines.map(({ raw, start }, line) => ({ line, from: start, to: raw.length, setting }))
  let current = setting.sport
  return lines.flatMap(({ raw, start, sport }, line) =>
    sportSpans(raw, start, sport ?? current).map(span => {
      current = span.sport
      return { ...span, line, setting: bySport[span.sport] }
    }),
  )
}

/**
 * Reads free text of one session as a whole: each line as the cheapest chain of tokens, the tokens as clauses, the clauses
 * as steps and repeats. Nothing is dropped: what becomes no step is left over, and what makes the reading unsure is a fault.
 *
 * @param lines in their order, with blank ones
 */
export function readMessage(lines: readonly MessageLine[], from: Setting): MessageReading {
  const setting = inPool(settingFor(from, lines.map(line => line.raw.slice(line.start)).join('\n')), lines)
  const spans = spansBySport(lines, setting)
  const tokens = spans.flatMap(({ line, from, to, setting: own }) => tokensOf(lines[line]!.raw, line, own, from, to))
  const spanAt = ({ line, from }: Pick<Span, 'line' | 'from'>) =>
    setting.bySport && spans.find(span => span.line === line && span.from <= from && from < span.to)
  const settingAt = (token: Token) => spanAt(token)?.setting ?? setting
  const place = tokens.find(token => token.is === 'place')
  const composed: Composition = { nodes: [], noticed: [], leftOver: [] }
  for (const token of tokens) {
    const { is, line, from, to } = token
    const note = (code: string, readAs: string) =>
      composed.noticed.push({ line, noticed: { from, to, level: 'note', code, readAs, fixes: [] } })
    if (is === 'label') note('label', 'the name of a part, passed over')
    if (token.is === 'prompt') for (const prompt of token.prompts) note('prompt', `prompt ${printPrompt(prompt)}`)
  }
  const work: Work = {
    settingAt,
    lines: lines.map(line => line.raw),
    result: composed,
    unit: null,
    composeInner: clauses => compose(clauses, { ...work }, true),
  }
  const nodes = compose(clausesOf(tokens), work, false)
  const soft = new Map<Step, SoftWord>()
  const itemLines: MessageReading['lines'] = new Map()
  const sports: MessageReading['sports'] = new Map()
  const places: MessageReading['places'] = new Map()
  const items = itemsOf(nodes, soft, (item, node) => {
    const own = spansOf(node)
    const all = own.map(token => token.line)
    const first = Math.min(...all)
    itemLines.set(item, { first, last: Math.max(...all) })
    const stretchIn = (line: number): Stretch => {
      const there = own.filter(token => token.line === line)
      return { line, from: Math.min(...there.map(token => token.from)), to: Math.max(...there.map(token => token.to)) }
    }
    const [main] = own
    const sport = spanAt(main!)?.sport
    if (sport) sports.set(item, sport)
    const further = [...new Set(all)].filter(line => line > first).map(stretchIn)
    places.set(item, { ...stretchIn(first), further })
  })
  return {
    items,
    soft,
    places,
    lines: itemLines,
    sports,
    noticed: composed.noticed,
    ...(composed.ceiling ? { ceiling: composed.ceiling } : {}),
    prompts: tokens.flatMap(token => (token.is === 'prompt' ? token.prompts : [])),
    ...(place ? { place: { place: place.place, token: place } } : {}),
    leftOver: composed.leftOver,
    cost: tokens.reduce((sum, token) => sum + token.cost, 0),
  }
}
