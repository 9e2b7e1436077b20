import { formatNumber, formatTime, parseClock } from '../quantity/time'
import { printItem, printSession } from './print'
import type { Item, Session, Step } from '../session/document'

/** What came of one round of a step: the time for its distance, or the distance in its time; null when it was not done. */
export type RoundResult = { seconds: number } | { metres: number } | null

/** What came of one row, all its rounds in order. */
export interface RowResult {
  rounds: RoundResult[]
  /** Share of the row inside its band, 0 to 1. */
  held?: number
}

const mark = '  => '
const notDone = 'not done'

const printRound = (round: RoundResult): string => {
  if (round === null) return notDone
  if ('seconds' in round) return formatTime(Math.round(round.seconds))
  return round.metres < 10_000 ? `${Math.round(round.metres)} m` : `${formatNumber(Math.round(round.metres / 10) / 100)} km`
}

/** A row's result as it stands behind the row: `1:31 1:32 1:36, held 88 %`. */
export function printResult({ rounds, held }: RowResult): string {
  const words = rounds.map(printRound).join(rounds.some(round => round === null || 'metres' in round) ? ', ' : ' ')
  return held === undefined ? words : `${words}${words === '' ? '' : ', '}held ${Math.round(held * 100)} %`
}

function parseRound(text: string): RoundResult | undefined {
  if (text === notDone) return null
  const way = /^(\d+(?:\.\d+)?) (m|km)$/.exec(text)
  if (way) return { metres: Math.round(Number(way[1]) * (way[2] === 'km' ? 1000 : 1)) }
  const seconds = parseClock(text)
  return seconds === null ? undefined : { seconds }
}

/** Reads what `printResult` writes; null when the words are something else. */
export function parseResult(text: string): RowResult | null {
  const match = /^(.*?)(?:(?:^|, )held (\d{1,3}) %)?$/s.exec(text.trim())
  if (!match) return null
  const words =
    match[1]! === ''
      ? []
      : match[1]!.includes(', ') || match[1] === notDone || / k?m$/.test(match[1]!)
        ? match[1]!.split(', ')
        : match[1]!.split(' ')
  const rounds = words.map(parseRound)
  if (rounds.some(round => round === undefined) || Number(match[2] ?? 0) > 100 || text.trim() === '') return null
  return { rounds: rounds as RoundResult[], ...(match[2] ? { held: Number(match[2]) / 100 } : {}) }
}

/** Where a sign stands outside quotes and doubts, or -1. */
function indexOutside(line: string, sign: string): number {
  for (let at = 0, quote = ''; at < line.length; at++) {
    const letter = line[at]!
    if (quote !== '') {
      if (letter === '\\') at++
      else if (letter === quote) quote = ''
    } else if (letter === '"') quote = '"'
    else if (line.startsWith('?{', at)) quote = '}'
    else if (line.startsWith(sign, at)) return at
  }
  return -1
}

/** Takes the result off a row: the row without it, and the result; null when the line has none. */
export function takeResult(line: string): { row: string; result: RowResult } | null {
  if (!line.includes(mark)) return null
  const at = indexOutside(line, mark)
  const note = indexOutside(line, '  #')
  if (at < 1 || /^\s*#/.test(line) || (note >= 0 && note < at)) return null
  const result = parseResult(line.slice(at + mark.length, note < 0 ? undefined : note))
  return result && { row: line.slice(0, at) + (note < 0 ? '' : line.slice(note)), result }
}

function printRow(step: Step, result: RowResult, depth: number): string {
  const { note: _, ...bare } = step
  const words = printItem(bare, depth)
  return `${words}${mark}${printResult(result)}${printItem(step, depth).slice(words.length)}`
}

function printRows(items: readonly Item[], results: ReadonlyMap<string, RowResult>, prefix: string, depth: number): string[] {
  return items.flatMap((item, index) => {
    const path = `${prefix}${index + 1}`
    const result = results.get(path)
    if (item.kind === 'block' || item.kind === 'leg')
      return [printItem({ ...item, items: [] } as Item, depth), ...printRows(item.items, results, `${path}.`, depth + 1)]
    return [result && item.kind === 'step' ? printRow(item, result, depth) : printItem(item, depth)]
  })
}

/**
 * The script of a session with what came of it after each row, to be pasted into any message.
 *
 * Law: reading it gives the session and the results back.
 *
 * @param results by path
 */
export function printAsRun(session: Session, results: ReadonlyMap<string, RowResult>): string {
  const head = printSession({ ...session, items: [] }).trimEnd()
  const rows = printRows(session.items, results, '', 0)
  return [head, ...(rows.length > 0 ? ['', ...rows] : [])].join('\n') + '\n'
}
