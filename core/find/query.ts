import { nobody } from '../athlete/standpoint'
import { toMetres } from '../quantity/distance'
import type { End, SessionSport } from '../session/document'
import { readEnd } from '../script/token/ends'
import { fold } from '../script/token/fold'
import { scan } from '../script/token/scanner'
import { settingFor } from '../script/reader/state'
import { lengthFacet } from './facets'

/** What a search asks for; every part must hold. */
export interface Query {
  sport?: SessionSport
  /** Of each group at least one facet. */
  facets: string[][]
  seconds: { over?: number; under?: number }
  metres: { over?: number; under?: number }
  tags: string[]
  words: string[]
  /** Only sessions that others have the same rows as. */
  duplicates?: true
  /** Only sessions with variants. */
  families?: true
  archived?: true
}

interface Reader {
  text: string
  query: Query
}

function take(reader: Reader, pattern: RegExp): RegExpExecArray | null {
  const match = pattern.exec(reader.text)
  if (match) reader.text = reader.text.slice(match[0].length).trimStart()
  return match
}

/** A length at the front of the text; both readings of a bare number count. */
function takeLength(reader: Reader): End[] {
  const scanner = scan(reader.text, settingFor('run', { standpoint: nobody }, 'm'))
  const reading = readEnd(scanner)
  if (!reading || (reading.end.on !== 'time' && reading.end.on !== 'distance')) return []
  const bare = /^(\d+)m?$/.exec(reader.text.slice(0, scanner.at).trim())
  reader.text = reader.text.slice(scanner.at).trimStart()
  if (!bare) return [reading.end]
  const value = Number(bare[1])
  return [
    { on: 'distance', value, unit: 'm' },
    { on: 'time', seconds: value * 60 },
    ...(bare[0].endsWith('m') ? [] : [{ on: 'time', seconds: value } as End]),
  ]
}

const sports: readonly (readonly [RegExp, SessionSport])[] = [
  [/^(?:runs?|running)\b/i, 'run'],
  [/^(?:rides?|bike|cycling|riding)\b/i, 'ride'],
  [/^(?:swims?|swimming)\b/i, 'swim'],
  [/^(?:multi|brick)\b/i, 'multi'],
]
const facetWords: readonly (readonly [RegExp, string[]])[] = [
  [/^(?:on\s+)?send-?\s?offs?\b/i, ['send-off']],
  [/^(?:hills?|uphill)\b/i, ['hill']],
  [/^strides?\b/i, ['manner:stride']],
  [/^(?:pool)\b/i, ['place:pool']],
  [/^(?:on\s+(?:the\s+)?)?track\b/i, ['place:track']],
  [/^treadmill\b/i, ['place:treadmill']],
  [/^(?:trainer|turbo)\b/i, ['place:trainer']],
  [/^open[\s-]water\b/i, ['place:open-water']],
  [/^(?:half[\s-]marathon)(?:\s+(?:effort|pace))?\b/i, ['effort:half-marathon']],
  [/^(1500m|mile|3k|5k|10k)\s+(?:effort|pace)\b/i, []],
  [/^(marathon|threshold|critical|steady|easy|max|goal)(?:\s+(?:effort|pace))?\b/i, []],
  [/^(?:by\s+)?(?:heart\s+rate|HR)\b/i, ['by:heart-rate']],
  [/^(?:by\s+)?power\b/i, ['by:power']],
  [/^(?:by\s+)?pace\b/i, ['by:pace']],
  [/^rpe\b/i, ['by:rpe']],
  [/^(?:fins|paddles|buoy|snorkel|board)\b/i, []],
  [/^(?:back|breast|fly|medley|free|choice)(?:stroke|style)?\b/i, []],
  [/^(?:kick|pull|drill)\b/i, []],
]

function wordFacet(matched: string): string[] {
  const word = matched
    .toLowerCase()
    .replace(/\s+(?:effort|pace)$/, '')
    .replace(/(?:stroke|style)$/, '')
  if (['fins', 'paddles', 'buoy', 'snorkel', 'board'].includes(word)) return [`kit:${word}`]
  if (['kick', 'pull', 'drill'].includes(word)) return [`mode:${word}`]
  if (['back', 'breast', 'fly', 'medley', 'free', 'choice'].includes(word)) return [`stroke:${word}`]
  return [`effort:${word}`]
}

function takeBound(reader: Reader): boolean {
  const before = reader.text
  const side = take(reader, /^(?:(under|below|shorter than|less than|at most|up to|<)|(over|above|longer than|more than|at least|>))\s*/i)
  if (!side) return false
  const [length] = takeLength(reader)
  if (!length) {
    reader.text = before
    return false
  }
  const key = side[1] ? 'under' : 'over'
  if (length.on === 'time') reader.query.seconds[key] = length.seconds
  else if (length.on === 'distance') reader.query.metres[key] = toMetres(length)
  return true
}

function takeRounds(reader: Reader): boolean {
  const before = reader.text
  const count = take(reader, /^(\d{1,3})\s*(?:x|\*|times)\s*/i)
  if (!count) return false
  const lengths = takeLength(reader)
    .map(lengthFacet)
    .filter(length => length !== null)
  if (lengths.length === 0 && /^\S/.test(reader.text) && !/^(?:with|under|over|run|ride|swim)/i.test(reader.text)) {
    reader.text = before
    return false
  }
  reader.query.facets.push(lengths.length === 0 ? [`rounds:${count[1]}`] : lengths.map(length => `rounds:${count[1]}x${length}`))
  return true
}

function takeOne(reader: Reader): void {
  const { query } = reader
  const tag = take(reader, /^(?:#|tag:)([\p{L}\d_-]+)/iu)
  if (tag) return void query.tags.push(tag[1]!.toLowerCase())
  const quoted = take(reader, /^"([^"]*)"?/)
  if (quoted) return void (quoted[1] && query.words.push(quoted[1]))
  if (take(reader, /^(?:duplicates|twins|same content)\b/i)) return void (query.duplicates = true)
  if (take(reader, /^(?:families|variants|with variants)\b/i)) return void (query.families = true)
  if (take(reader, /^archived?\b/i)) return void (query.archived = true)
  if (takeBound(reader) || takeRounds(reader)) return
  const zone = take(reader, /^(?:zone\s*|z)([1-9])(?:\s*-\s*([1-9]))?\b/i)
  if (zone)
    return void query.facets.push(
      ...Array.from({ length: Math.max(1, Number(zone[2] ?? zone[1]) - Number(zone[1]) + 1) }, (_, index) => [
        `zone:${Number(zone[1]) + index}`,
      ]),
    )
  for (const [pattern, facets] of facetWords) {
    const match = take(reader, pattern)
    if (match) return void query.facets.push(facets.length > 0 ? facets : wordFacet(match[0]))
  }
  for (const [pattern, sport] of sports) {
    if (take(reader, pattern)) return void (query.sport = sport)
  }
  if (take(reader, /^(?:with|and|of|a|the|in|at|@|[,;])(?=\s|$)/i)) return
  if (/^\d/.test(reader.text)) {
    const lengths = takeLength(reader)
      .map(lengthFacet)
      .filter(length => length !== null)
    if (lengths.length > 0) return void query.facets.push(lengths.map(length => `length:${length}`))
  }
  const word = take(reader, /^\S+/)
  if (word) query.words.push(word[0])
}

/**
 * What the words of a search ask for: `12x300`, `ride under 1 h with zone 3`, `swim on send-offs`, `#track`, any text.
 * Words that name nothing in a session are looked for in titles, notes and rows. Never fails.
 *
 * @example parseQuery('ride under 1 h').seconds // { under: 3600 }
 */
export function parseQuery(text: string): Query {
  const reader: Reader = { text: fold(text.slice(0, 200)).trim(), query: { facets: [], seconds: {}, metres: {}, tags: [], words: [] } }
  while (reader.text !== '') takeOne(reader)
  return reader.query
}
