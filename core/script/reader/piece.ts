import { patternOf } from '../../quantity/pattern'
import type { End, Manner, Role, Step, Swim } from '../../session/document'
import { printEnd } from '../print'
import type { Extent } from './ends'
import { readCeiling, readDoubt, readEnd, readGrade, readSendOffClock } from './ends'
import type { Scanner } from './scanner'
import { attempt, firstOf, notice, saidBetween, sees, skipSpaces, take, upcoming } from './scanner'
import { hasContent, restThenLength } from './content'
import { readSwimWord } from './swim'
import { readTarget } from './targets'
import { askedWords, bareEffortNames, effortWords, joiningWords, mannerWords, roleWords, slopeWords } from './words'

/** Words whose role depends on where they stand: first, last or between. */
export type SoftWord = 'easy' | 'jog' | 'walk' | 'float'

/** One step as read, with what only its surroundings can decide. */
export interface Piece {
  step: Step
  /** Said without a role, with a word like `easy` or `jog`. */
  soft?: SoftWord
  /** No length was said: `cool-down`, `jog down`. */
  bare?: true
  from: number
  to: number
}

interface Draft {
  role?: Role
  extent?: Extent
  manner?: Manner
  soft?: SoftWord
  swim: Swim
  step: Partial<Step>
  notes: string[]
}

const lengthOf = (draft: Draft) => (draft.extent?.end.on === 'distance' ? draft.extent.end : undefined)

function readTargets(scanner: Scanner, draft: Draft): boolean {
  return (
    attempt(scanner, () => {
      if (!take(scanner, /@|at\b(?=\s*\S)/iy)) return null
      const ownTime = draft.step.target?.of === 'pace' && 'unit' in draft.step.target && draft.step.target.unit === 's/step'
      if (take(scanner, /also\b/iy)) {
        const also = readTarget(scanner, { afterAt: true })
        if (!also) return null
        draft.step.also = also
        return true
      }
      const target = readTarget(scanner, { afterAt: true, length: lengthOf(draft) })
      if (!target) return null
      if (!draft.step.target) draft.step.target = target
      else if ((ownTime || !scanner.strict) && !draft.step.also) draft.step.also = target
      else return null
      return true
    }) !== null
  )
}

function readAnd(scanner: Scanner, draft: Draft): boolean {
  if (!draft.step.target || draft.step.also) return false
  const also = attempt(scanner, () => (take(scanner, /and\b/iy) ? readTarget(scanner, { afterAt: true }) : null))
  if (also) draft.step.also = also
  return also !== null
}

function readOwnTime(scanner: Scanner, draft: Draft): boolean {
  if (draft.extent?.end.on !== 'distance' || draft.step.target) return false
  const target = attempt(scanner, () =>
    take(scanner, /in\b/iy) ? readTarget(scanner, { afterAt: true, unit: { of: 'pace', unit: 's/step' } }) : null,
  )
  if (target) draft.step.target = target
  return target !== null
}

/** Words in brackets that say no length and no role: `8 x 75 (kick/drill/swim)`. */
function readAside(scanner: Scanner, draft: Draft): boolean {
  const from = scanner.at
  const aside = take(scanner, /\(([^()\d]{2,80})\)/y)
  if (!aside || hasContent(aside[1]!)) {
    scanner.at = from
    return false
  }
  draft.notes.push(scanner.raw.slice(scanner.at - aside[1]!.length - 1, scanner.at - 1).trim())
  notice(scanner, from, 'note', 'left-over', `kept as a note: ${draft.notes.at(-1)!}`)
  return true
}

/** Signs that no phrase of a row begins with. */
const endsPiece = ',;+&)]#/-:*=!.'

/** Takes one more word or phrase of the row into the draft; false when the next word belongs to something else. */
function readAttribute(scanner: Scanner, draft: Draft): boolean {
  const next = upcoming(scanner)
  if (next === '(' && draft.extent && !scanner.strict && readAside(scanner, draft)) return true
  if (next === '' || endsPiece.includes(next)) return false
  const grade = (scanner.strict ? 'gud' : 'gudhia@o0123456789').includes(next) && draft.step.grade === undefined && readGrade(scanner)
  if (grade) {
    draft.step.grade = grade
    return true
  }
  if ((next === '@' || next === 'a') && (readTargets(scanner, draft) || readAnd(scanner, draft))) return true
  if (next === 'i' && readOwnTime(scanner, draft)) return true
  const isWord = next >= 'a' && next <= 'z'
  if (isWord && draft.extent && next === 'r' && !scanner.strict && sees(scanner, restThenLength)) return false
  if (isWord && draft.role === undefined) {
    const role = firstOf(scanner, roleWords)
    if (role) {
      draft.role = role
      return true
    }
  }
  const ceiling = next === 'c' && draft.step.ceiling === undefined && attempt(scanner, readCeiling)
  if (ceiling) {
    draft.step.ceiling = ceiling
    return true
  }
  const doubt = next === '?' && draft.step.doubt === undefined && readDoubt(scanner)
  if (doubt) {
    draft.step.doubt = doubt
    return true
  }
  const isPaceRange = !isWord && draft.extent !== undefined && !scanner.strict && sees(scanner, /\d:\d\d\s*-\s*\d{1,2}:\d\d/y)
  const bareTarget = draft.step.target === undefined && readTarget(scanner, { afterAt: isPaceRange })
  if (bareTarget) {
    draft.step.target = bareTarget
    return true
  }
  const second = !scanner.strict && draft.step.target && !draft.step.also ? readTarget(scanner, { afterAt: false }) : null
  if (second) {
    draft.step.also = second
    return true
  }
  const extent = draft.extent === undefined && readEnd(scanner)
  if (extent) {
    draft.extent = extent
    return true
  }
  const manner = isWord && draft.manner === undefined && firstOf(scanner, mannerWords)
  if (manner) {
    draft.manner = manner
    if (!scanner.strict) take(scanner, /back(?:\s+down)?(?:\s+to\s+(?:the\s+)?start)?(?:\s+recover(?:y|ies))?(?![a-z\d])/iy)
    return true
  }
  if ((isWord || next === '"') && readSwimWord(scanner, draft.swim)) return true
  if (scanner.strict || !isWord) return false
  if (take(scanner, /(?:easily|easy)(?![a-z\d])/iy) ?? take(scanner, /E(?![A-Za-z\d])/y)) {
    draft.soft = 'easy'
    return true
  }
  if (draft.extent?.end.on === 'distance' && 'oelg'.includes(next)) {
    const { value, unit } = draft.extent.end
    const seconds = attempt(scanner, () => readSendOffClock(scanner))
    if (seconds !== null) {
      draft.extent = { ...draft.extent, end: { on: 'send-off', value, unit, seconds } }
      return true
    }
  }
  if (draft.extent && draft.role === undefined && take(scanner, /off(?![a-z])(?!\s*(?:\d|the\b))/iy)) {
    draft.role = 'recovery'
    return true
  }
  const beforeWord = scanner.at
  const asked = take(scanner, askedWords)
  if (asked) notice(scanner, beforeWord, 'ask', 'effort-word', `a note: how hard "${asked[0]}" is differs from coach to coach`)
  const named = draft.step.target ? undefined : firstOf(scanner, bareEffortNames)
  if (named) {
    take(scanner, /(?:effort|pace)(?![a-z])/iy)
    draft.step.target = { of: 'effort', name: named }
    notice(scanner, beforeWord, 'note', 'effort-name', `${named} effort`)
    return true
  }
  const words = asked ?? take(scanner, effortWords) ?? take(scanner, slopeWords)
  if (words) {
    draft.notes.push(words[0].trim())
    return true
  }
  if (take(scanner, joiningWords)) return true
  return draft.extent !== undefined && readUnknownWords(scanner, draft)
}

const outerWords = patternOf('iuy', [
  String.raw`(?:w|with|then|and|or|to|x|by|between|in\s+between|times|twice|thrice|through|sets?|rounds?`,
  String.raw`|until|till|for|same|last|final|finish(?:ing)?|including|incl|plus|followed|repeat(?:ed)?|less`,
  String.raw`|more|shorter|longer|off|on|rest|recovery|rec|ri|r|warm|cool|wu|cd|jog|walk|float|easy|strides?`,
  String.raw`|swim|ride|run|at|as|per|cap|max|hr|zone|rpe|ceiling|give|over|kcal|half|quarter)(?![\p{L}\d])`,
])
const unknownWord = /\p{L}[\p{L}'\u2019.-]*/uy

/** Words about the step that say no length, role or target, kept as its note: `45 min easy along the quay`. */
function readUnknownWords(scanner: Scanner, draft: Draft): boolean {
  const from = scanner.at
  const words: string[] = []
  while (!sees(scanner, outerWords)) {
    const word = take(scanner, unknownWord)
    if (!word) break
    words.push(word[0])
  }
  if (words.length === 0) return false
  draft.notes.push(saidBetween(scanner, from))
  notice(scanner, from, 'note', 'left-over', `kept as a note: ${saidBetween(scanner, from)}`)
  return true
}

/** A cap beside another word for how hard, as in `easy, HR < 145`, is a ceiling and no target. */
export function capToCeiling(step: Step): void {
  const { target } = step
  if (
    target?.of !== 'heart-rate' ||
    !('unit' in target) ||
    target.unit !== 'bpm' ||
    target.easiest !== undefined ||
    target.hardest === undefined ||
    target.to
  )
    return
  step.ceiling = { of: 'heart-rate', above: target.hardest }
  delete step.target
}

/**
 * One step: role, extent, manner or swim words, grade, targets, ceiling and doubt, in any order.
 * Stops where another piece, a separator or a note begins.
 *
 * @param given the end, where the words before have said it already
 * @returns null when nothing here says a length, a role or a manner
 */
export function readPiece(scanner: Scanner, given?: End): Piece | null {
  return attempt(scanner, () => {
    skipSpaces(scanner)
    const from = scanner.at
    const noticedBefore = scanner.noticed.length
    const draft: Draft = { swim: {}, step: {}, notes: [], extent: given && { end: given } }
    const off = take(scanner, /off\s+(?=\S)/iy)
    while (readAttribute(scanner, draft)) {
      /* one phrase after another */
    }
    const softWord = draft.soft ?? (draft.manner && draft.manner !== 'stride' ? draft.manner : undefined)
    if (!draft.extent && !draft.role && !(draft.manner && (softWord || !scanner.strict))) return null
    const bare = !draft.extent
    const role = draft.role ?? 'work'
    const step: Step = { kind: 'step', role, end: draft.extent?.end ?? { on: 'press' }, ...draft.step }
    if (draft.manner) step.manner = draft.manner
    if (Object.keys(draft.swim).length > 0) step.swim = draft.swim
    if (draft.extent?.doubt && !step.doubt) step.doubt = draft.extent.doubt
    const asked = scanner.noticed.slice(noticedBefore).find(noticed => noticed.level === 'ask')
    if (asked && !step.doubt) step.doubt = { said: scanner.raw.slice(asked.from, asked.to).trim() }
    if (draft.notes.length > 0) step.note = draft.notes.join(' ')
    if (off) step.off = true
    if (bare) notice(scanner, from, 'note', 'open-end', `${saidBetween(scanner, from)}, ${printEnd(step.end)}`)
    if (draft.soft === 'easy') capToCeiling(step)
    const piece: Piece = { step, from, to: scanner.at }
    if (bare) piece.bare = true
    if (draft.role === undefined && softWord) piece.soft = softWord
    return piece
  })
}
