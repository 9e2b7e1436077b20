import { patternOf } from '../../quantity/pattern'
import type { Line, State } from './state'
import { printPlace } from '../print'
import { parsePlace } from './headers'
import { sportNamed } from '../token/sport-words'
import { noteWords, wordsOf } from './state'
import { hasContent } from './content'

const bullet = /^\s*(?:\(?\d{1,2}[.)]\s+|[-*\u2022\u2013\u25E6>]\s+)(?=\S)/
const partLabel = patternOf('i', [
  String.raw`^\s*(?=\S)(?:(?:main|pre|post|back|kick|pull|drill|speed|first|second|third|last)?[\s-]*(?:set|series`,
  String.raw`|part|block|session|workout|main)(?:\s+\d{1,2}|\s+[a-d])?)\s*(?::|\s[-\u2013]\s)\s*`,
])
/** Of the blanks before it one at most is tried as its own, so that a long indent costs no more than a short one. */
const titleLabel = /^\s*(?=\s?\S)([^\d:#@,;()]{3,60}?)\s*(?::|\s[-\u2013]\s)\s*(?=\S)/
const sportLabel = /^\s*(swim|bike|ride|cycle|run)\s*(?::|\s[-\u2013]\s)\s*(?=\S)/i
const ownWords = patternOf('i', [
  String.raw`^(?:twice|thrice|once|one|two|three|four|five|six|repeat|main|swim|bike|ride|cycle|run|warm`,
  String.raw`|cool|wu|cd|rest|recovery|easy|jog|walk|float|hr|heart|leg|off|unread|title|sport|place|day`,
  String.raw`|note|then|stride|transition|steady|threshold|r|ri|repeat|until)(?![\w-])`,
])

/** The line with its first letters blanked, so that every column stays what it was. */
const blanked = (line: Line, length: number): Line => ({
  ...line,
  raw: ' '.repeat(length) + line.raw.slice(length),
  start: Math.max(line.start, length),
})

/** Takes a label off the front of a line, and notes what it was. */
function passed(state: State, line: Line, label: RegExpExecArray, code: string, readAs: string): Line {
  noteWords(state, line, { from: wordsOf(line.raw).from, to: label[0].trimEnd().length }, code, readAs)
  return blanked(line, label[0].length)
}

function titled(state: State, line: Line, label: RegExpExecArray): Line {
  state.session.title = label[1]!.trim()
  return passed(state, line, label, 'titled', `title ${state.session.title}`)
}

/** Takes a bullet or a number off the front of a line, and `Main set:`; words before a colon on the first row are the title. */
export function takeLabels(state: State, line: Line, isFirstRow: boolean): Line {
  let plain = line
  const mark = bullet.exec(plain.raw)
  if (mark && hasContent(plain.raw.slice(mark[0].length))) plain = blanked(plain, mark[0].length)
  const part = partLabel.exec(plain.raw)
  if (part && hasContent(plain.raw.slice(part[0].length))) {
    return passed(state, plain, part, 'label', 'the name of a part, passed over')
  }
  const leg = state.setting.bySport ? sportLabel.exec(plain.raw) : null
  if (leg) {
    const sport = sportNamed(leg[1]!)
    return { ...passed(state, plain, leg, 'leg', `leg ${sport}`), sport }
  }
  const own = sportLabel.exec(plain.raw)
  if (own && sportNamed(own[1]!) === state.session.sport && hasContent(plain.raw.slice(own[0].length)))
    plain = passed(state, plain, own, 'named-sport', `sport ${state.session.sport}`)
  const place = isFirstRow && !state.session.place ? titleLabel.exec(plain.raw) : null
  const named = place && parsePlace(place[1]!)
  if (named) {
    state.session.place = named
    return passed(state, plain, place, 'place', `place ${printPlace(named)}`)
  }
  const isTitleDue = isFirstRow && state.session.title === undefined
  const title = isTitleDue ? titleLabel.exec(plain.raw) : null
  if (
    title &&
    /\p{L}{2}/u.test(title[1]!) &&
    !ownWords.test(title[1]!) &&
    !hasContent(title[1]!) &&
    hasContent(plain.raw.slice(title[0].length))
  ) {
    return titled(state, plain, title)
  }
  return plain
}
