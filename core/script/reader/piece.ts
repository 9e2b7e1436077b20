import type { Manner, Role, Step, Swim } from '../../session/document'
import type { Extent } from '../token/ends'
import { readCeiling, readDoubt, readEnd, readGrade } from '../token/ends'
import type { Scanner } from '../token/scanner'
import { attempt, firstOf, sees, skipSpaces, take, upcoming } from '../token/scanner'
import { readSwimWord } from '../token/swim'
import { readTarget } from '../token/targets'
import { mannerWords, roleWords } from '../token/words'

/** One step as read, and the stretch of the line that said it. */
export interface Piece {
  step: Step
  from: number
  to: number
}

interface Draft {
  role?: Role
  extent?: Extent
  manner?: Manner
  swim: Swim
  step: Partial<Step>
}

function readTargets(scanner: Scanner, draft: Draft): boolean {
  const target = attempt(scanner, () => {
    if (!take(scanner, /@/y)) return null
    const isAlso = draft.step.target === undefined && take(scanner, /also\b/y) !== null
    const found = readTarget(scanner, { afterAt: true })
    return found && { found, isAlso }
  })
  if (!target) return false
  const isOwnTime = draft.step.target?.of === 'pace' && 'unit' in draft.step.target && draft.step.target.unit === 's/step'
  if (target.isAlso || (draft.step.target && isOwnTime && !draft.step.also)) draft.step.also = target.found
  else if (!draft.step.target) draft.step.target = target.found
  else return false
  return true
}

function readAnd(scanner: Scanner, draft: Draft): boolean {
  if (!draft.step.target || draft.step.also) return false
  const also = attempt(scanner, () => (take(scanner, /and\b/y) ? readTarget(scanner, { afterAt: true }) : null))
  if (also) draft.step.also = also
  return also !== null
}

function readOwnTime(scanner: Scanner, draft: Draft): boolean {
  if (draft.extent?.end.on !== 'distance' || draft.step.target) return false
  const target = attempt(scanner, () =>
    take(scanner, /in\b/y) ? readTarget(scanner, { afterAt: true, unit: { of: 'pace', unit: 's/step' } }) : null,
  )
  if (target) draft.step.target = target
  return target !== null
}

/** Reads one more thing into its place; false where it stands for something else, or its place is taken. */
function into<T extends object, K extends keyof T>(holder: T, key: K, read: () => T[K] | null | false | undefined): boolean {
  const value = holder[key] === undefined ? read() : null
  if (value === null || value === false || value === undefined) return false
  holder[key] = value
  return true
}

/** Takes one more word or phrase of the row into the draft; false when the next word belongs to something else. */
function readAttribute(scanner: Scanner, draft: Draft): boolean {
  const next = upcoming(scanner)
  const { step } = draft
  const isWord = next >= 'a' && next <= 'z'
  return (
    next !== '' &&
    (('ud'.includes(next) && into(step, 'grade', () => readGrade(scanner) ?? undefined)) ||
      (next === 'g' && into(step, 'grade', () => readGrade(scanner) ?? undefined)) ||
      ((next === '@' || next === 'a') && (readTargets(scanner, draft) || readAnd(scanner, draft))) ||
      (next === 'i' && readOwnTime(scanner, draft)) ||
      (isWord && into(draft, 'role', () => firstOf(scanner, roleWords))) ||
      (next === 'c' && into(step, 'ceiling', () => attempt(scanner, readCeiling) ?? undefined)) ||
      (next === '?' && into(step, 'doubt', () => readDoubt(scanner) ?? undefined)) ||
      into(draft, 'extent', () => (sees(scanner, /\d:\d\d\s*-/y) ? null : readEnd(scanner)) ?? undefined) ||
      (isWord && into(draft, 'manner', () => firstOf(scanner, mannerWords))) ||
      ((isWord || next === '"') && readSwimWord(scanner, draft.swim)))
  )
}

/**
 * One row in canonical form: role, extent, manner or swim words, grade, targets, ceiling and doubt.
 *
 * @returns null when nothing here says a length or a role
 */
export function readPiece(scanner: Scanner): Piece | null {
  return attempt(scanner, () => {
    skipSpaces(scanner)
    const from = scanner.at
    const draft: Draft = { swim: {}, step: {} }
    const off = take(scanner, /off\s+(?=\S)/y)
    while (readAttribute(scanner, draft)) {
      /* one phrase after another */
    }
    if (!draft.extent && !draft.role) return null
    const step: Step = { kind: 'step', role: draft.role ?? 'work', end: draft.extent?.end ?? { on: 'press' }, ...draft.step }
    if (draft.manner) step.manner = draft.manner
    if (Object.keys(draft.swim).length > 0) step.swim = draft.swim
    if (draft.extent?.doubt && !step.doubt) step.doubt = draft.extent.doubt
    if (off) step.off = true
    return { step, from, to: scanner.at }
  })
}
