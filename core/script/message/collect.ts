import type { Swim, Target } from '../../session/document'
import type { Fault } from '../../words/faults'
import { printSwim } from '../print'
import type { Clause, Draft, Part } from './draft'
import type { MarkSign, Meaning, Token } from './token'

/** The tokens while they are parted. */
export interface Reading {
  tokens: readonly Token[]
  at: number
  /** The message says its roles before their lengths, as in `WU 10 min`. */
  isRoleFirst: boolean
}

export const meaningAfter = ({ tokens, at }: Reading): Meaning | undefined => {
  for (let next = at + 1; next < tokens.length; next++) if (tokens[next]!.is !== 'filler') return tokens[next]
  return undefined
}

/** The parts of one clause while they are collected; words go to the step that stands open. */
export function collector(line: number, mark: MarkSign | null) {
  const clause: Clause = { mark, parts: [], unknown: [], tokens: [], line }
  let open: Draft | null = null
  /** Words before their step: it takes them, so that they are accounted for. */
  let waiting: Token[] = []
  let isTotalDue = false
  return {
    clause,
    open: () => open,
    begin(token: Token, fields: Partial<Draft> = {}): Draft {
      open = { swim: {}, notes: [], tokens: [token, ...waiting], ...(isTotalDue ? { isTotal: true as const } : {}), ...fields }
      waiting = []
      isTotalDue = false
      clause.parts.push({ part: 'step', draft: open })
      return open
    },
    /** A word that only joins: it goes with the step that stands open, or with the next. */
    join(token: Token) {
      if (open) open.tokens.push(token)
      else waiting.push(token)
    },
    /** The next length is a sum. */
    total(token: Token) {
      waiting.push(token)
      isTotalDue = true
    },
    /** Joining words that no step came for. */
    end() {
      clause.unknown.push(...waiting.filter(token => token.is !== 'place'))
      waiting = []
    },
    add(part: Part) {
      open = null
      clause.parts.push(part)
    },
    /** The step that stands open, or a new one for words that come before their length. */
    onto(token: Token): Draft {
      if (!open) return this.begin(token)
      open.tokens.push(token)
      return open
    },
  }
}

export type Collector = ReturnType<typeof collector>

function takeLength(into: Collector, token: Token & { is: 'length' }, reading: Reading): void {
  if (reading.tokens[reading.at - 1]?.is === 'at') into.clause.fault ??= { code: 'no-target' }
  const open = into.open()
  const draft = open && !open.lengths && open.share === undefined ? into.onto(token) : into.begin(token)
  draft.lengths = token.lengths
  draft.lengthToken = token
  if (token.doubt) draft.doubt = token.doubt
}

function takeRole(into: Collector, token: Token & { is: 'role' }, reading: Reading): void {
  const open = into.open()
  const isBeforeLength = meaningAfter(reading)?.is === 'length' || meaningAfter(reading)?.is === 'share'
  const isPause = token.role === 'rest' || token.role === 'recovery'
  if (!open) return void into.begin(token, { role: token.role })
  const isOwn = open.lengths === undefined ? open.role === undefined || isPause : open.role === undefined
  const hasWorked = open.target !== undefined || open.clock !== undefined || open.sendOff !== undefined
  const isNext = isBeforeLength && open.lengths !== undefined && (isPause ? !hasPlainLength(open) || isCounted(into) : reading.isRoleFirst)
  if ((isOwn || (isPause && open.role !== undefined && !isBeforeLength)) && !isNext && !(isPause && hasWorked && isBeforeLength)) {
    into.onto(token)
    open.role = token.role
  } else into.begin(token, { role: token.role })
}

const hasPlainLength = (draft: Draft) => draft.lengths !== undefined && draft.target === undefined && draft.clock === undefined
export const isCounted = ({ clause }: Collector) =>
  clause.parts.some(part => part.part === 'count') && !clause.parts.some(part => part.part === 'with')

function takeSwim(draft: Draft, swim: Swim, notes: string[]): void {
  const { stroke, mode, kit } = draft.swim
  if ((swim.stroke && stroke && stroke !== swim.stroke) || (swim.mode && mode && mode !== swim.mode)) notes.push(printSwim(swim))
  else draft.swim = { ...draft.swim, ...swim, ...(swim.kit ? { kit: [...(kit ?? []), ...swim.kit] } : {}) }
}

function takeTarget(draft: Draft, target: Target): void {
  if (draft.turns) draft.turns.push(target)
  else if (!draft.target) draft.target = target
  else draft.also ??= target
}

/** A word where a target is due, or a letter or two where the unit of a number is. */
function faultBeside({ tokens, at }: Reading, token: Token & { is: 'unknown' }): Fault | null {
  const before = tokens[at - 1]
  if (before?.is === 'at') return { code: 'no-target' }
  const isBare = before?.is === 'length' && before.line === token.line && before.lengths.every(length => 'bare' in length)
  return isBare && token.words.length <= 2 ? { code: 'no-unit', words: token.words } : null
}

/** `8 x 100 on` and nothing behind it. */
function isHalfSaid({ tokens, at }: Reading, token: Token): boolean {
  const [before, after] = [tokens[at - 1], tokens[at + 1]]
  const isAtEnd = after === undefined || after.line !== token.line || after.is === 'mark'
  return isAtEnd && !(before?.is === 'length' && before.lengths.every(length => 'end' in length && length.end.on === 'time'))
}

function takeSoft(into: Collector, token: Token & { is: 'soft' }, reading: Reading): void {
  const open = into.open()
  const isNext = open?.lengths !== undefined && open.soft !== undefined && meaningAfter(reading)?.is === 'length'
  const draft = open && !isNext ? into.onto(token) : into.begin(token)
  if (draft.soft === undefined || draft.soft === 'easy') draft.soft = token.word
  if (token.isBack) draft.isBack = true
}

/** `warm up for 15 min` says how long; behind steps it says how long they go on in turn. */
function takeSpan(into: Collector, token: Token & { is: 'span' }): void {
  const open = into.open()
  if (open && !open.lengths && open.share === undefined) {
    Object.assign(into.onto(token), { lengths: [{ end: { on: 'time', seconds: token.seconds } }], lengthToken: token })
  } else into.add({ part: 'span', seconds: token.seconds, token })
}

/** `as` behind a repeat begins how it is swum; behind a length, the sum of what follows. */
function takeTotal(into: Collector, token: Token & { is: 'total' }): void {
  const open = into.open()
  if (open && isCounted(into)) open.aside = [token]
  else if (open) into.onto(token).isTotal = true
  else into.total(token)
}

function takeOnOff(into: Collector, token: Token & { is: 'on-off' }, reading: Reading): void {
  const open = into.open()
  into.join(token)
  if (token.which === 'off' && open && open.role === undefined) Object.assign(open, { role: 'recovery', isOff: true })
  if (token.which === 'on' && into.clause.parts.length > 0 && isHalfSaid(reading, token)) into.clause.fault ??= { code: 'half-said' }
}

type Taker<Is extends Token['is']> = (into: Collector, token: Extract<Token, { is: Is }>, reading: Reading) => void
/** A time of its own behind a rest is that of the work before it: `10 x 400 with 60 s rest at 90 s`. */
function takeClock(into: Collector, token: Token & { is: 'clock' }): void {
  const open = into.open()
  const work =
    open?.role === 'rest' &&
    into.clause.parts.findLast(part => part.part === 'step' && part.draft !== open && part.draft.role === undefined)
  if (!work || work.part !== 'step' || work.draft.target || work.draft.clock) return void (into.onto(token).clock = token.clock)
  work.draft.clock = token.clock
  work.draft.tokens.push(token)
}

const joins = (into: Collector, token: Token) => into.join(token)

/** Where each kind of token goes. */
const takers: { [Is in Token['is']]: Taker<Is> } = {
  'length': takeLength,
  'role': takeRole,
  'soft': takeSoft,
  'pair': (into, token) => {
    Object.assign(into.begin(token), { lengths: [token.work], lengthToken: token, easy: token.easy, isWalk: token.isWalk })
  },
  'stride': (into, token) => {
    into.onto(token).isStride = true
  },
  'target': (into, token) => takeTarget(into.open()?.role === 'rest' ? into.begin(token) : into.onto(token), token.target),
  'clock': takeClock,
  'target-list': (into, token) => {
    const draft = into.onto(token)
    if (draft.lengths?.length === token.targets.length) draft.each = token.targets
    else draft.turns = token.targets
  },
  'ceiling': (into, token) => {
    Object.assign(into.onto(token), { ceiling: token.ceiling, isBound: token.isBound })
  },
  'send-off': (into, token) => {
    into.onto(token).sendOff = token.seconds
  },
  'grade': (into, token) => {
    into.onto(token).grade = token.grade
  },
  'swim': (into, token) => {
    const draft = into.onto(token)
    takeSwim(draft, token.swim, draft.notes)
  },
  'note': (into, token) => {
    into.onto(token).notes.push(token.words)
  },
  'share': (into, token) => {
    if (into.open() && !into.open()!.lengths) into.onto(token).share = token
    else into.begin(token, { share: token })
  },
  'portion': (into, token) => {
    into.begin(token, { portion: token.which, ...(token.isHalf ? { isHalf: true } : {}) })
  },
  'alternating': (into, token) => {
    into.onto(token).turns = []
  },
  'total': takeTotal,
  'on-off': takeOnOff,
  'between': (into, token) => {
    into.join(token)
    if (into.open()) into.open()!.level = token.level
  },
  'with': (into, token) => {
    into.add({ part: 'with', token })
    into.join(token)
  },
  'span': takeSpan,
  'change': (into, token) => into.add({ part: 'change', by: token.by, token }),
  'progress': (into, token) => into.add({ part: 'progress', by: token.by, unit: token.unit, from: token.begin, token }),
  'every': (into, token) => into.add({ part: 'every', seconds: token.seconds, token }),
  'same': (into, token) => into.add({ part: 'same', token }),
  'until': (into, token) => into.add({ part: 'until', repeat: token.repeat, token }),
  'rounds': (into, token) => into.add({ part: 'rounds', first: token.first, final: token.final, token }),
  'count': (into, token) =>
    into.add({ part: 'count', times: token.times, opens: token.opens, token, ...(token.most ? { most: token.most } : {}) }),
  'fault': (into, token) => {
    into.clause.fault ??= token.fault
  },
  'unknown': (into, token, reading) => {
    const fault = faultBeside(reading, token)
    if (fault) into.clause.fault ??= fault
    into.clause.unknown.push(token)
  },
  'at': joins,
  'place': joins,
  'filler': joins,
  'order': (into, token) => {
    const open = into.open()
    into.join(token)
    if (open && token.which !== 'after') open.order = token.which
  },
  'prompt': () => {},
  'label': () => {},
  'mark': () => {},
  'open': () => {},
  'close': () => {},
}

const isAside = new Set<Token['is']>(['length', 'soft', 'note', 'swim', 'filler', 'unknown', 'target'])

/** Puts one token where it belongs; words go to the step that stands open. */
export function takeToken(into: Collector, token: Token, reading: Reading): void {
  const open = into.open()
  if (open?.aside && isAside.has(token.is)) {
    open.aside.push(token)
    open.tokens.push({ ...token, noticed: [] })
    return
  }
  const taker = takers[token.is] as Taker<Token['is']>
  taker(into, token as never, reading)
}
