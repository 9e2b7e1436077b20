import type { End, Manner, Role, Step, Swim, SwimKit, Stroke } from '../../session/document'
import { printEnd } from '../print'
import type { Extent } from './ends'
import { readCeiling, readDoubt, readEnd, readGrade } from './ends'
import type { Scanner } from './scanner'
import { attempt, notice, saidBetween, sees, skipSpaces, take } from './scanner'
import { readTarget } from './targets'

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

const roleWords: readonly (readonly [RegExp, Role])[] = [
  [/(?:warm[\s-]?up|warm|WU)(?![a-z\d])/iy, 'warm-up'],
  [/(?:cool[\s-]?down|warm[\s-]?down|CD)(?![a-z\d])/iy, 'cool-down'],
  [/(?:recovery|recoveries|recover|rec)(?![a-z\d])/iy, 'recovery'],
  [/(?:resting|rest|standing|stand)(?![a-z\d])/iy, 'rest'],
  [/transition(?![a-z\d])/iy, 'transition'],
  [/work(?![a-z\d])/iy, 'work'],
]

const mannerWords: readonly (readonly [RegExp, Manner])[] = [
  [/(?:walking|walk)(?![a-z\d])/iy, 'walk'],
  [/(?:jogging|jog)(?![a-z\d])/iy, 'jog'],
  [/(?:floating|float)(?![a-z\d])/iy, 'float'],
  [/(?:strides|stride)(?![a-z\d])/iy, 'stride'],
]

const strokes: readonly (readonly [RegExp, Stroke])[] = [
  [/(?:free(?:style)?|front crawl|FS)(?![a-z])/iy, 'free'], [/back(?:stroke)?(?![a-z])/iy, 'back'],
  [/breast(?:stroke)?(?![a-z])/iy, 'breast'], [/(?:butter)?fly(?![a-z])/iy, 'fly'],
  [/(?:medley|IM)(?![a-z])/iy, 'medley'], [/choice(?![a-z])/iy, 'choice'],
]
const modes = /(swim|kick|pull|drill)(?![a-z])/iy
const kitWords: readonly (readonly [RegExp, SwimKit])[] = [
  [/(?:with\s+)?fins?(?![a-z])/iy, 'fins'], [/(?:with\s+)?paddles?(?![a-z])/iy, 'paddles'],
  [/(?:with\s+)?buoy(?![a-z])/iy, 'buoy'], [/(?:with\s+)?snorkel(?![a-z])/iy, 'snorkel'], [/(?:with\s+)?board(?![a-z])/iy, 'board'],
]
const askedWords = /tempo(?![a-z])/iy
const effortWords = /(?:very\s+)?(?:hard|sprint|fast|brisk|smooth|relaxed|strong)(?![a-z])/iy

const firstOf = <T>(scanner: Scanner, forms: readonly (readonly [RegExp, T])[]): T | undefined =>
  forms.find(([pattern]) => take(scanner, pattern))?.[1]

function readSwimWord(scanner: Scanner, swim: Swim): boolean {
  const quote = take(scanner, /"(?:[^"\\]|\\.)*"/y)
  if (quote) {
    const drill = jsonString(scanner.raw.slice(scanner.at - quote[0].length, scanner.at))
    if (!drill || swim.drill !== undefined) return false
    swim.drill = drill
    return true
  }
  const kit = firstOf(scanner, kitWords)
  if (kit) {
    if (!swim.kit?.includes(kit)) swim.kit = [...swim.kit ?? [], kit]
    return true
  }
  const stroke = swim.stroke === undefined && firstOf(scanner, strokes)
  if (stroke) {
    swim.stroke = stroke
    return true
  }
  const mode = swim.mode === undefined && take(scanner, modes)
  if (mode) {
    swim.mode = mode[1]!.toLowerCase() as Swim['mode']
    return true
  }
  return false
}

function jsonString(text: string): string | null {
  try {
    return JSON.parse(text) as string
  }
  catch {
    return null
  }
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

function readTargets(scanner: Scanner, draft: Draft): boolean {
  return attempt(scanner, () => {
    if (!take(scanner, /@|at\b(?=\s*\S)/iy)) return null
    const ownTime = draft.step.target?.of === 'pace' && 'unit' in draft.step.target && draft.step.target.unit === 's/step'
    if (take(scanner, /also\b/iy)) {
      const also = readTarget(scanner, { afterAt: true })
      if (!also) return null
      draft.step.also = also
      return true
    }
    const target = readTarget(scanner, { afterAt: true })
    if (!target) return null
    if (!draft.step.target) draft.step.target = target
    else if ((ownTime || !scanner.strict) && !draft.step.also) draft.step.also = target
    else return null
    return true
  }) !== null
}

function readAnd(scanner: Scanner, draft: Draft): boolean {
  if (!draft.step.target || draft.step.also) return false
  const also = attempt(scanner, () => take(scanner, /and\b/iy) ? readTarget(scanner, { afterAt: true }) : null)
  if (also) draft.step.also = also
  return also !== null
}

function readOwnTime(scanner: Scanner, draft: Draft): boolean {
  if (draft.extent?.end.on !== 'distance' || draft.step.target) return false
  const target = attempt(scanner, () => take(scanner, /in\b/iy) ? readTarget(scanner, { afterAt: true, unit: { of: 'pace', unit: 's/step' } }) : null)
  if (target) draft.step.target = target
  return target !== null
}

/** Takes one more word or phrase of the row into the draft; false when the next word belongs to something else. */
function readAttribute(scanner: Scanner, draft: Draft): boolean {
  if (readTargets(scanner, draft) || readAnd(scanner, draft) || readOwnTime(scanner, draft)) return true
  if (draft.role === undefined) {
    const role = firstOf(scanner, roleWords)
    if (role) {
      draft.role = role
      return true
    }
  }
  const ceiling = draft.step.ceiling === undefined && attempt(scanner, readCeiling)
  if (ceiling) {
    draft.step.ceiling = ceiling
    return true
  }
  const doubt = draft.step.doubt === undefined && readDoubt(scanner)
  if (doubt) {
    draft.step.doubt = doubt
    return true
  }
  const grade = draft.step.grade === undefined && readGrade(scanner)
  if (grade) {
    draft.step.grade = grade
    return true
  }
  const isPaceRange = draft.extent !== undefined && !scanner.strict && sees(scanner, /\d:\d\d\s*-\s*\d{1,2}:\d\d/y)
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
  const manner = draft.manner === undefined && firstOf(scanner, mannerWords)
  if (manner) {
    draft.manner = manner
    if (!scanner.strict) take(scanner, /back(?![a-z\d])/iy)
    return true
  }
  if (readSwimWord(scanner, draft.swim)) return true
  if (scanner.strict) return false
  if (take(scanner, /(?:easily|easy)(?![a-z\d])/iy)) {
    draft.soft = 'easy'
    return true
  }
  const beforeWord = scanner.at
  const asked = take(scanner, askedWords)
  if (asked) notice(scanner, beforeWord, 'ask', 'effort-word', `a note: how hard "${asked[0]}" is differs from coach to coach`)
  const effort = asked ?? take(scanner, effortWords)
  if (effort) {
    draft.notes.push(effort[0])
    return true
  }
  return take(scanner, /(?:each|of|for|down|the|a)(?![a-z\d])/iy) !== null
}

/** A cap beside another word for how hard, as in `easy, HR < 145`, is a ceiling and no target. */
export function capToCeiling(step: Step): void {
  const { target } = step
  if (target?.of !== 'heart-rate' || !('unit' in target) || target.unit !== 'bpm' || target.easiest !== undefined || target.hardest === undefined || target.to) return
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
    while (readAttribute(scanner, draft)) { /* one phrase after another */ }
    const softWord = draft.soft ?? (draft.manner && draft.manner !== 'stride' ? draft.manner : undefined)
    if (!draft.extent && !draft.role && !(softWord && draft.manner)) return null
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
