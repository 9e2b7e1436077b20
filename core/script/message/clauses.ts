import type { Collector, Reading } from './collect'
import { collector, isCounted, meaningAfter, takeToken } from './collect'
import type { Clause } from './draft'
import type { MarkSign, Token } from './token'
import { deepestRead } from './work'

const strength: Record<MarkSign, number> = { '/': 1, '-': 2, ',': 3, '+': 4, ';': 5, ':': 6, '.': 7, 'line': 8 }

/** A colon behind a role or a label only points at what follows. */
const isPointing = ({ clause }: Collector) =>
  clause.parts.length === 0 ||
  clause.parts.every(part => part.part === 'step' && part.draft.lengths === undefined && part.draft.role !== undefined)

/** Whether a clause is the first of its line: a sum there is of what follows, further on of what stands before. */
const isFirstOfLine = ({ clause: { mark } }: Collector) => mark === null || mark === 'line' || mark === '.'

/** `pull buoy + paddles`: a sign between two things worn is none between clauses. */
function isMoreKit(into: Collector, reading: Reading): boolean {
  const [token, next] = [reading.tokens[reading.at]!, meaningAfter(reading)]
  if (token.is !== 'mark' || !['+', '/', ','].includes(token.sign) || !into.open()?.swim.kit) return false
  return next?.is === 'swim' && next.swim.kit !== undefined && next.swim.stroke === undefined && next.swim.mode === undefined
}

/** Whether something stands before it in its sentence. */
const hasBefore = (into: Collector) => into.clause.parts.length > 0 || !isFirstOfLine(into)

/** `alternating MP and HMP`: the joint is none between clauses. */
const isWithinTurns = (into: Collector, reading: Reading) => into.open()?.turns !== undefined && meaningAfter(reading)?.is === 'target'

/** `3 x 12 min as 3 min @ 95 % / 1 min @ 105 %`: how hard its parts are is said, so that they are steps, to the end of the line. */
function isParted(into: Collector, { tokens, at }: Reading): boolean {
  const { line } = tokens[at]!
  if (!isCounted(into) || meaningAfter({ tokens, at, isRoleFirst: false })?.is !== 'length') return false
  const behind = tokens.slice(at + 1)
  const rest = behind.slice(
    0,
    Math.max(
      0,
      behind.findIndex(token => token.line !== line || token.is === 'close'),
    ) || undefined,
  )
  const aims = rest.filter(token => token.is === 'target' || token.is === 'clock')
  return aims.length > 1 && aims.length >= rest.filter(token => token.is === 'length').length
}

/** What stands in brackets. */
function takeGroup(into: Collector, token: Token, reading: Reading, depth: number): void {
  const from = reading.at++
  const inner = clausesUntilClose(reading, depth + 1)
  into.clause.fault ??= inner.find(clause => clause.fault)?.fault
  into.clause.tokens.push(...reading.tokens.slice(from, reading.at + 1))
  into.add({ part: 'group', clauses: inner, token })
}

/** The steps behind `as`, to the end of the line, as a group of the repeat before them. */
function takeParts(into: Collector, token: Token, reading: Reading, depth: number): void {
  into.clause.tokens.push(token)
  into.join(token)
  reading.at++
  const inner = clausesUntilClose(reading, depth + 1, true)
  into.clause.tokens.push(...inner.flatMap(clause => clause.tokens))
  into.clause.fault ??= inner.find(clause => clause.fault)?.fault
  into.add({ part: 'group', clauses: inner, token })
}

function clausesUntilClose(reading: Reading, depth: number, isToLineEnd = false): Clause[] {
  const { tokens } = reading
  const isInside = depth > 0
  if (depth > deepestRead) {
    reading.at = tokens.length
    return [{ mark: null, parts: [], unknown: [], tokens: [], line: 0, fault: { code: 'nesting' } }]
  }
  const clauses: Clause[] = []
  let isUnclosed = false
  let into = collector(tokens[reading.at]?.line ?? 0, null)
  const end = (mark: MarkSign, line: number) => {
    const { clause } = into
    into.end()
    if (clause.parts.length > 0 || clause.unknown.length > 0 || clause.fault) {
      clauses.push(clause)
      into = collector(line, mark)
    } else {
      const before = clause.mark
      into = collector(line, before !== null && strength[before] > strength[mark] ? before : mark)
    }
  }
  for (; reading.at < tokens.length; reading.at++) {
    const token = tokens[reading.at]!
    if (token.is === 'close' && isInside) break
    const isNewLine = token.line !== (tokens[reading.at - 1]?.line ?? token.line)
    if (isNewLine && isInside) {
      isUnclosed = true
      reading.at--
      break
    }
    if (isNewLine) end('line', token.line)
    if (token.is === 'close') continue
    if (token.is === 'mark' && (isWithinTurns(into, reading) || isMoreKit(into, reading))) continue
    if (token.is === 'mark') {
      if (token.sign !== ':' || !isPointing(into)) end(token.sign, token.line)
    } else if (token.is === 'label') end('.', token.line)
    else if (token.is === 'prompt') end(',', token.line)
    else if (token.is === 'open') takeGroup(into, token, reading, depth)
    else if (token.is === 'total' && isParted(into, reading)) takeParts(into, token, reading, depth)
    else {
      const isSum = token.is === 'total' && into.open() && !into.open()!.aside && meaningAfter(reading)?.is === 'length'
      if (isSum && !isFirstOfLine(into) && !isCounted(into)) end(',', token.line)
      if (token.is === 'order' && token.which === 'after' && hasBefore(into)) {
        if (into.clause.parts.length > 0) end(',', token.line)
        into.clause.isBefore = true
      }
      into.clause.tokens.push(token)
      takeToken(into, token, reading)
      if (isSum && into.open() && !into.open()!.aside) end(':', token.line)
    }
  }
  end('line', 0)
  const isOpen = isUnclosed || (isInside && reading.at >= tokens.length)
  if (isOpen && !isToLineEnd && clauses[0]) clauses[0].fault ??= { code: 'bracket-open' }
  return clauses
}

const firstRoleIsFirst = (tokens: readonly Token[]): boolean => {
  for (const [index, token] of tokens.entries()) {
    if (token.is !== 'role' || token.role === 'rest' || token.role === 'recovery') continue
    return tokens[index - 1]?.is !== 'length'
  }
  return false
}

/** Parts the tokens of a message into clauses, groups in brackets within them. */
export const clausesOf = (tokens: readonly Token[]): Clause[] =>
  clausesUntilClose({ tokens, at: 0, isRoleFirst: firstRoleIsFirst(tokens) }, 0)
