import type { OwnWord } from '../../athlete/athlete'
import type { Standpoint } from '../../athlete/standpoint'
import { numbersOf } from '../../athlete/athlete'
import { withAthlete } from '../../athlete/standpoint'
import { printEnd, printItem } from '../print'
import type { Remark } from '../remark'
import { answerTo, lessonOf, ownWordsOf, withOwnWord } from '../token/own-words'
import type { MessageHints } from './options'
import { readScript } from './read-script'

/** The standpoint of an athlete who has one more word of their own. */
export const standpointWith = (standpoint: Standpoint, word: OwnWord): Standpoint =>
  withAthlete(standpoint, { ...standpoint.athlete, words: withOwnWord(standpoint.athlete.words, word) })

const doubtMark = /\?\{((?:\\.|[^\\}])+)\}/

/** What an answer teaches that settles a doubt kept in a row: its words are the length or the count of the row as settled. */
function lessonOfRow(row: string, answer: string, standpoint: Standpoint): OwnWord | null {
  const said = doubtMark.exec(row)?.[1]
  const [item] = readScript(answer, standpoint).sessions[0]!.items
  if (said === undefined || item?.kind !== 'step') return null
  const word = lessonOf(said, printEnd(item.end))
  return word && answerTo(ownWordsOf([word])!, said) !== null ? word : null
}

/**
 * What the answer to a question teaches for the messages to come; null where it holds for this one place alone. It is a
 * lesson where the very message, read with it, no longer asks.
 *
 * @param text that the remark was made on
 * @param answer the replacement of one of the remark's fixes
 */
export function lessonFrom(text: string, remark: Remark, answer: string, standpoint: Standpoint, hints: MessageHints = {}): OwnWord | null {
  if (remark.level !== 'ask') return null
  if (remark.code === 'doubt-open') return lessonOfRow(remark.said, answer, standpoint)
  const word = lessonOf(remark.said, answer)
  if (!word) return null
  const { remarks } = readScript(text, standpointWith(standpoint, word), hints)
  return remarks.some(({ code, line, column }) => code === 'own-word' && line === remark.line && column === remark.column) ? word : null
}

/** What words would stand for, said in canonical words: rows, or what a row aims at. */
export type OwnMeaning = { is: 'rows'; words: string } | { is: 'target'; words: string }

/**
 * What a meaning comes to before it is kept; null where it says nothing that a session holds.
 *
 * @example meaningOf('3.2 km easy', nobody) // { is: 'rows', words: '3.2 km @ easy effort' }
 */
export function meaningOf(means: string, standpoint: Standpoint, hints: MessageHints = {}): OwnMeaning | null {
  const without = withAthlete(standpoint, numbersOf(standpoint.athlete))
  const aimed = readScript(`10 min @ ${means.replace(/^\s*@/, '')}`, without, hints).sessions[0]?.items ?? []
  const [only] = aimed
  if (aimed.length === 1 && only?.kind === 'step' && only.target && only.end.on === 'time' && only.end.seconds === 600)
    return { is: 'target', words: printItem(only).split('@')[1]!.trim() }
  const { items } = readScript(means, without, hints).sessions[0]!
  if (items.length === 0 || items.some(item => item.kind === 'unread')) return null
  return { is: 'rows', words: items.map(item => printItem(item)).join('\n') }
}
