import type { End } from '../../session/document'
import { aimOf, takeAim } from './aims'
import { easeByPower, isWorkAndEasy, readGroup } from './brackets'
import { changeEach, comeEvery, goOn, progress } from './changes'
import { isStep } from './draft'
import type { Clause, Draft, Part } from './draft'
import { placeEdges, readBefore } from './edges'
import { beginLine } from './lines'
import { copied } from './nodes'
import type { Node, StepNode } from './nodes'
import { foldParts } from './parts-of-step'
import { takeClosingSum, takeSum } from './portions'
import { again, closeScope, rangeDoubt, splitRounds, unwrapTurns } from './repeats'
import { askAfterSet } from './rounds'
import { readStep } from './step-in-place'
import { asRecovery } from './steps'
import { addWords, deepestRead, leaveOver, newSequence, note, unread } from './work'
import type { Sequence, Work } from './work'

/** One clause; where it cannot be read its words stand as they are, and everything else is still read. */
function readClause(sequence: Sequence, clause: Clause, isAlone: boolean, isLastOfLine: boolean, after: Clause | undefined): void {
  const { work, out } = sequence
  work.fault = clause.fault
  const before = {
    nodes: [...out],
    scopes: [...sequence.scopes],
    noticed: work.result.noticed.length,
    leftOver: work.result.leftOver.length,
  }
  if (!work.fault) readParts(sequence, clause, isAlone, isLastOfLine, after)
  if (!work.fault) return
  out.splice(0, out.length, ...before.nodes)
  sequence.scopes.splice(0, sequence.scopes.length, ...before.scopes)
  work.result.noticed.length = before.noticed
  work.result.leftOver.length = before.leftOver
  out.push(unread(work, clause.tokens, clause.line, work.fault))
  work.fault = undefined
}

/** What is known while the parts of one clause are read. */
interface ClauseReading {
  sequence: Sequence
  clause: Clause
  /** It stands on a line of its own. */
  isAlone: boolean
  isLastOfLine: boolean
  after: Clause | undefined
  /** Counts whose steps still come. */
  counts: (Part & { part: 'count' })[]
  /** What comes stands between. */
  isWith: boolean
  /** Where in the sequence the clause began. */
  begun: number
  /** What the steps in the brackets to come are called: `8 x hill (60 s up, jog down)`. */
  name?: Draft
}

/** Whether one repeat more would stand too deep in those whose steps still come; the clause cannot be read then. */
function isTooDeep({ sequence: { scopes, work }, counts }: ClauseReading): boolean {
  const isOver = counts.length + scopes.length > deepestRead
  if (isOver) work.fault ??= { code: 'nesting' }
  return isOver
}

/** A count before its steps, behind them, or at the head of those below. */
function readCount(reading: ClauseReading, part: Part & { part: 'count' }, index: number): void {
  const { sequence, clause, isAlone, begun, counts } = reading
  const { out } = sequence
  if (isTooDeep(reading)) return
  const next = clause.parts[index + 1]
  const isBehind = part.token.is === 'count' && part.token.isBehind === true && out.length > begun
  const isBefore = !isBehind && next !== undefined && next.part !== 'with' && next.part !== 'rounds'
  const isHead = part.opens ? isBefore || reading.isLastOfLine || isAlone : !isBefore && isAlone && out.length === 0
  if (isHead) {
    const doubt = rangeDoubt(sequence, part)
    sequence.scopes.push({ times: part.times, from: out.length, isInline: !isAlone, line: clause.line, token: part.token, doubt })
  } else if (isBefore) counts.push(part)
  else again(sequence, part, isAlone, begun, clause.parts[index - 1]?.part === 'group')
}

function readPart(reading: ClauseReading, part: Part, index: number): void {
  const { sequence, clause, counts, begun } = reading
  const { out, work } = sequence
  const [before, next] = [clause.parts[index - 1], clause.parts[index + 1]]
  switch (part.part) {
    case 'count':
      return readCount(reading, part, index)
    case 'until': {
      if (isTooDeep(reading)) return
      const { repeat: until, token } = part
      sequence.scopes.push({ times: 1, until, from: out.length, isInline: !reading.isAlone, line: clause.line, token })
      return
    }
    case 'with':
      reading.isWith = true
      return
    case 'span':
      return goOn(sequence, part, begun)
    case 'change':
      return changeEach(sequence, part)
    case 'progress':
      return progress(sequence, part)
    case 'every':
      sequence.every = part
      return
    case 'same':
      if (out.length === 0) work.fault ??= { code: 'nothing-before' }
      else out.push(...copied(out.slice(-1)))
      return note(work, part.token, 'note', 'computed', 'the part before it once more')
    case 'rounds': {
      const draft = next?.part === 'step' && !isStep(next.draft) ? next.draft : null
      sequence.rounds.push({ first: part.first, final: part.final, draft })
      note(work, part.token, 'note', 'computed', `rounds ${part.first} to ${part.final}`)
      return
    }
    case 'group':
      readGroup(sequence, part, counts.splice(0), reading.isWith, before?.part === 'group', next?.part === 'with')
      reading.isWith = false
      nameBlock(reading)
      return
    case 'step': {
      const { draft } = part
      if (sequence.rounds.some(rounds => rounds.draft === draft)) return
      const { isWith } = reading
      if (counts.length > 0 && next?.part === 'group' && isOnlyName(draft)) return void (reading.name = draft)
      const context = {
        isWith,
        isFirst: index === 0,
        begun,
        next,
        isFollowedByTime: isOnlyTime(reading.after),
        isLast: reading.after === undefined,
      }
      readStep(sequence, clause, draft, counts.splice(0), context)
      if (draft.level === undefined && isStep(draft)) reading.isWith = isWith && next?.part === 'step'
    }
  }
}

const isOnlyName = (draft: Draft) =>
  !isStep(draft) && draft.notes.length > 0 && !draft.target && !draft.clock && !draft.sendOff && Object.keys(draft.swim).length === 0

/** Gives the repeat in brackets the name that stood before them. */
function nameBlock(reading: ClauseReading): void {
  const { name, sequence } = reading
  if (!name) return
  delete reading.name
  const { work, out } = sequence
  const last = out.at(-1)
  if (last?.node !== 'block') return leaveOver(work, name)
  addWords(last, name.notes.join(', '))
  last.tokens.push(...name.tokens)
}

/** A clause, part by part. */
function readParts(sequence: Sequence, clause: Clause, isAlone: boolean, isLastOfLine: boolean, after: Clause | undefined): void {
  const { work, out } = sequence
  work.result.leftOver.push(...clause.unknown)
  if (clause.unknown.length > 0 && clause.parts.length > 0 && clause.parts.every(isOnlyNumber)) work.fault ??= { code: 'unknown' }
  const begun = out.length
  const reading: ClauseReading = { sequence, clause, isAlone, isLastOfLine, after, counts: [], isWith: false, begun }
  clause.parts = foldParts(work, clause.parts)
  clause.parts.forEach((part, index) => readPart(reading, part, index))
  if (reading.counts.length > 0) work.fault ??= { code: 'empty-repeat' }
  const last = out.at(-1)
  if (sequence.rounds.length > 0 && last?.node === 'block' && out.length > begun) out.splice(-1, 1, ...splitRounds(sequence, last))
}

/** A small number without unit, and no word beside it that the reader knows. */
const isOnlyNumber = (part: Part) => {
  const draft = part.part === 'step' ? part.draft : null
  const [length] = draft?.lengths ?? []
  return (
    draft !== null &&
    draft.tokens.length === 1 &&
    draft.lengths?.length === 1 &&
    length !== undefined &&
    'bare' in length &&
    length.bare < 100
  )
}

const isOnlyTime = (clause: Clause | undefined) => {
  const [part] = clause?.parts ?? []
  return (
    clause?.mark === ',' && clause.parts.length === 1 && part?.part === 'step' && part.draft.tokens.every(token => token.is === 'length')
  )
}

const opensEdge = (clause: Clause) =>
  clause.parts.some(part => part.part === 'step' && (part.draft.role === 'warm-up' || part.draft.role === 'cool-down'))

/** `8 mi total:`: a length that what follows in its line is the sum of. */
function isSumHead(clause: Clause, next: Clause | undefined): boolean {
  const [only] = clause.parts
  if (next?.mark !== ':' || next.line !== clause.line || clause.parts.length !== 1 || only?.part !== 'step') return false
  return only.draft.lengths?.length === 1 && only.draft.role === undefined
}

const unitOf = (end: End): Work['unit'] =>
  end.on === 'time' ? 'min' : end.on === 'distance' && (end.unit === 'mi' || end.unit === 'km') ? end.unit : null

/** Puts clauses together: repeats, what stands between, portions, sums. */
export function compose(clauses: readonly Clause[], work: Work, isInside: boolean): Node[] {
  const sequence = newSequence(work, isInside)
  const { out, scopes } = sequence
  for (const [index, clause] of clauses.entries()) {
    const isNewLine = clause.line !== sequence.line
    const next = clauses[index + 1]
    const isLastOfLine = next === undefined || next.line !== clause.line
    if (isNewLine || clause.mark === '.') beginLine(sequence, clause)
    if (opensEdge(clause)) while (scopes.length > 0) closeScope(sequence)
    const aim = aimOf(sequence, clause, next)
    if (aim) {
      sequence.aim = aim
      work.result.leftOver.push(...clause.unknown)
      continue
    }
    const isAlone = clause.parts.length === 1 && (isNewLine || index === 0) && isLastOfLine
    if (clause.isBefore) readBefore(sequence, () => readClause(sequence, clause, isAlone, isLastOfLine, next))
    else readClause(sequence, clause, isAlone, isLastOfLine, next)
    const head = isSumHead(clause, next) ? out.at(-1) : undefined
    if (head?.node !== 'step') continue
    sequence.head = head
    sequence.headFrom = out.length
    work.unit = unitOf(head.step.end)
  }
  takeAim(sequence)
  takeClosingSum(sequence)
  if (sequence.every) comeEvery(sequence, sequence.every)
  if (isInside) easeByPower(out)
  if (isInside) askAfterSet(sequence, clauses)
  if (isInside && isWorkAndEasy(clauses, out)) out[1] = asRecovery(out[1] as StepNode)
  if (sequence.head) takeSum(sequence, sequence.head, sequence.headFrom)
  while (scopes.length > 0) closeScope(sequence)
  unwrapTurns(sequence)
  if (!isInside) placeEdges(sequence)
  return out
}
