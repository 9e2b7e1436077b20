import { parseClock } from '../../quantity/time'
import type { Target } from '../../session/document'
import type { Scanner } from '../token/scanner'
import { attempt, notice, sees, take } from '../token/scanner'
import { targetAt } from './beside'
import { effortAt } from './efforts'
import type { Meaning } from './token'

const member =
  '(?:\\d{1,2}:[0-5]\\d|\\d{2,3}(?:\\.\\d+)?\\s*(?:%|w(?:atts?)?(?![a-z]))?|(?:[a-z][a-z\\d]{1,9}|\\d{1,2}k)(?:\\s+(?:pace|effort))?)'
const byDash = new RegExp(`${member}(?:\\s*-\\s*${member}){2,9}(?![a-z\\d:])`, 'iy')
const bySlash = new RegExp(`${member}(?:\\s*\\/\\s*${member}){2,9}(?![a-z\\d:])`, 'iy')
/** As many, parted by commas, as there are lengths in the list before them. */
const byComma = (count: number) => new RegExp(`${member}(?:\\s*,\\s*${member}){${count - 1}}(?![a-z\\d:])`, 'iy')
const listBefore = /((?:\d+(?:\.\d+)?\s*[-,/]\s*){2,9}\d+)[^@\d]*@\s*$/
const unitBehind = /(%|w(?:atts?)?)$/i

/** One of the list, alone, with the unit that only the last of them says. */
function memberOf(scanner: Scanner, words: string, unit: string): Target | null {
  const seconds = parseClock(words)
  if (seconds) return { of: 'pace', unit: scanner.setting.paceUnit, easiest: seconds, hardest: seconds }
  const text = unit && /\d$/.test(words) ? words + unit : words
  const alone: Scanner = { ...scanner, raw: text, text, at: 0, noticed: [] }
  const meaning = effortAt(alone, true) ?? targetAt(alone, true)
  return meaning?.is === 'target' && alone.at >= text.length ? meaning.target : null
}

/** `@ 85-95-105 %`, `@ MP/HMP/10k`: a target for each of the lengths before it, or for the rounds in turn. */
export function targetListAt(scanner: Scanner): Meaning | null {
  const from = scanner.at
  const listed = listBefore.exec(scanner.text.slice(0, from))?.[1]?.split(/[-,/]/).length ?? 0
  const match =
    attempt(scanner, () => take(scanner, byDash)) ??
    attempt(scanner, () => take(scanner, bySlash)) ??
    (listed > 2 ? attempt(scanner, () => take(scanner, byComma(listed))) : null)
  if (!match) return null
  const said = match[0].trim()
  const unit = unitBehind.exec(said)?.[0] ?? ''
  const words = said.split(/\s*[-/,]\s*/)
  const targets = words.map(word => memberOf(scanner, word.trim(), unit))
  if (targets.some(target => target === null)) return null
  const [first] = targets as [Target]
  if (targets.some(target => target!.of !== first.of)) return null
  if (unit === '%') {
    const of = first.of === 'power' ? 'power' : 'speed'
    if (!sees(scanner, /\s*(?:cp|cs|hr|lthr|hrr|of)/iy)) notice(scanner, from, 'ask', 'percent-of', `percent of critical ${of}`)
    else return null
  }
  if (first.of === 'pace' && 'unit' in first) notice(scanner, from, 'note', 'pace-unit', `per ${first.unit.slice(2)}`)
  return { is: 'target-list', targets: targets as Target[] }
}
