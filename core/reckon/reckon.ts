import { isOpenEnd, metresOfEnd } from '../session/ends'
import type { ReckonRemark } from '../words/reckoning'
import type { Standpoint } from '../athlete/standpoint'
import { metresPer, toMetres } from '../quantity/distance'
import { printEnd } from '../script/print'
import type { Block, End, PlaceOfSession, Session, Step } from '../session/document'
import type { Nudging } from '../nudge/nudging'
import { usualNudging } from '../nudge/nudging'
import { limits } from '../session/limits'
import type { FlatStep } from '../session/walk'
import { eachStep, walk } from '../session/walk'
import type { Interval } from './interval'
import { add, mapInterval, roundInterval, zero } from './interval'
import { lapMetres } from './lap'
import { poolLengths } from './splits'
import type { ReckonedTarget } from './step'
import { measureStep } from './step'

export type { ReckonedTarget } from './step'

/** One step of the session in its order, with what it comes to. */
export interface ReckonedStep {
  path: string
  round: number[]
  rounds: (number | null)[]
  role: Step['role']
  end: End
  target?: ReckonedTarget
  seconds: Interval
  metres: Interval
  /** The swimming in a send-off, without the wait. */
  swimSeconds?: Interval
  /** On the likely clock, from the session's start. */
  startsAt: number | null
  /** A repeat until a distance or time ends in the middle of this step. */
  partial?: true
}

export interface Reckoning {
  seconds: Interval
  metres: Interval
  /** Entries of `flat` that end by a press or a heart rate. */
  open: number
  flat: ReckonedStep[]
  remarks: ReckonRemark[]
}

/** What a reckoning is made for: from where it is seen, and how the watch judges. */
interface ReckonContext {
  standpoint: Standpoint
  nudging: Nudging
}

interface Reckoned {
  entry: ReckonedStep
  flat: FlatStep
  isOpen: boolean
}

function reckonStep(flat: FlatStep, context: ReckonContext, remarks: Map<string, ReckonRemark>, isLast: boolean): Reckoned {
  const { step, path, round, rounds } = flat
  const { noted, isOpen, ...measured } = measureStep(step, flat.sport, flat.place?.kind, context.standpoint, context.nudging, isLast)
  for (const note of noted) remarks.set(`${path} ${JSON.stringify(note)}`, { path, ...note })
  const entry = { path, round, rounds, role: step.role, end: step.end, ...measured, startsAt: null }
  return { entry, flat, isOpen }
}

/** What a repeat goes on until, in metres or seconds; null for one that counts its rounds. */
export function goalOf(block: Block): { measure: 'metres' | 'seconds'; amount: number } | null {
  if ('distance' in block.repeat) return { measure: 'metres', amount: toMetres(block.repeat.distance) }
  if ('seconds' in block.repeat) return { measure: 'seconds', amount: block.repeat.seconds }
  return null
}

interface OpenBlock {
  block: Block
  left: number
  done: boolean
  guessed: boolean
}

/** Goes through the steps; a repeat until a distance or time is unrolled until its likely measure is used up. */
function unroll(session: Session, context: ReckonContext, remarks: Map<string, ReckonRemark>): Reckoned[] {
  const reckoned: Reckoned[] = []
  const openBlocks = new Map<string, OpenBlock>()
  const key = (block: Block, depth: number, round: readonly number[]) => `${depth} ${round.slice(0, depth).join('.')} ${idOf(block)}`
  const goesOn = (block: Block, round: readonly number[]) => {
    const own = key(block, round.length - 1, round)
    let open = openBlocks.get(own)
    if (!open) {
      open = { block, left: goalOf(block)!.amount, done: false, guessed: false }
      openBlocks.set(own, open)
    }
    if (open.guessed && round.at(-1)! > 1) open.done = true
    return !open.done && reckoned.length < limits.flatSteps
  }
  eachStep(
    session,
    flat => {
      if (reckoned.length >= limits.flatSteps) {
        remarks.set('rounds', { path: flat.path, code: 'too-many-rounds', steps: limits.flatSteps })
        return false
      }
      const next = reckonStep(flat, context, remarks, false)
      if (openBlocks.size > 0)
        shorten(
          next,
          flat.blocks.flatMap((block, depth) => openBlocks.get(key(block, depth, flat.round)) ?? []),
          remarks,
        )
      reckoned.push(next)
      return true
    },
    goesOn,
  )
  return reckoned
}

const blockIds = new WeakMap<Block, number>()
let lastBlockId = 0
function idOf(block: Block): number {
  const known = blockIds.get(block)
  if (known !== undefined) return known
  blockIds.set(block, ++lastBlockId)
  return lastBlockId
}

/** Cuts a step where the tightest open repeat around it is used up. */
function shorten(next: Reckoned, around: OpenBlock[], remarks: Map<string, ReckonRemark>): void {
  const { entry, flat } = next
  const amounts = around.map(open => amountFor(open, next))
  let share = 1
  around.forEach((open, index) => {
    const amount = amounts[index]
    if (amount === null || amount === undefined) {
      open.guessed = true
      remarks.set(`rounds ${flat.path}`, { path: flat.path, code: 'rounds-unknown' })
    } else if (amount > 0 && amount >= open.left - 1e-9) {
      share = Math.min(share, open.left / amount)
    }
  })
  around.forEach((open, index) => {
    open.left -= (amounts[index] ?? 0) * share
    if (open.left <= 1e-6) open.done = true
  })
  if (share < 1 - 1e-9) {
    entry.seconds = mapInterval(entry.seconds, value => value * share)
    entry.metres = mapInterval(entry.metres, value => value * share)
    entry.partial = true
  }
}

function amountFor(open: OpenBlock, { entry, flat }: Reckoned): number | null {
  const goal = goalOf(open.block)!
  if (goal.measure === 'seconds') return entry.seconds.likely
  return flat.step.role === 'rest' ? 0 : entry.metres.likely
}

/**
 * What a session comes to: time and distance of each step and in all, with low, likely and high.
 *
 * Sums are interval sums; a null in any part makes that end of the sum null. An open step counts 0 in low, the usual
 * length in likely and null in high. A repeat until a distance or time is unrolled on the likely clock.
 *
 * @param nudging how the watch judges; the usual way where none is named
 */
export function reckon(session: Session, standpoint: Standpoint, nudging: Nudging = usualNudging): Reckoning {
  const context: ReckonContext = { standpoint, nudging }
  const found = new Map<string, ReckonRemark>()
  const reckoned = unroll(session, context, found)
  settleLastSendOff(reckoned, context, found)
  let seconds = zero
  let metres = zero
  let clock: number | null = 0
  for (const { entry } of reckoned) {
    entry.startsAt = clock === null ? null : Math.round(clock * 10) / 10
    seconds = add(seconds, entry.seconds)
    metres = add(metres, entry.metres)
    clock = clock === null || entry.seconds.likely === null ? null : clock + entry.seconds.likely
    entry.seconds = roundInterval(entry.seconds)
    entry.metres = roundInterval(entry.metres)
  }
  return {
    seconds: roundInterval(seconds),
    metres: roundInterval(metres),
    open: reckoned.filter(({ isOpen }) => isOpen).length,
    flat: reckoned.map(({ entry }) => entry),
    remarks: [...found.values(), ...trackRemark(session)],
  }
}

/** The last send-off of a session ends at the touch. */
function settleLastSendOff(reckoned: Reckoned[], context: ReckonContext, found: Map<string, ReckonRemark>): void {
  const last = reckoned.at(-1)
  if (last?.entry.end.on !== 'send-off') return
  const settled = reckonStep(last.flat, context, found, true)
  last.entry.seconds = settled.entry.seconds
}

/** Distances that end away from the wall, with the whole lengths they come to. */
function poolRemarks(session: Session, place: Extract<PlaceOfSession, { kind: 'pool' }>): ReckonRemark[] {
  const length = place.length * metresPer[place.unit]
  const found = new Map<string, ReckonRemark>()
  for (const { path, step } of walk(session)) {
    const metres = metresOfEnd(step.end)
    if (metres === undefined || found.has(path)) continue
    const whole = poolLengths(metres, length)
    if (Math.abs(whole.metres - metres) < 0.01) continue
    const distance = `${Math.round((whole.metres / metresPer[place.unit]) * 100) / 100} ${place.unit}`
    found.set(path, { path, code: 'lengths', end: printEnd(step.end), lengths: whole.lengths, distance })
  }
  return [...found.values()]
}

function trackRemark(session: Session): ReckonRemark[] {
  if (session.place?.kind === 'pool') return poolRemarks(session, session.place)
  if (session.place?.kind !== 'track') return []
  const lane = session.place.lane ?? 1
  return [{ code: 'lap', lane, metres: lapMetres(lane) }]
}

/** What is known of a session's length for certain, without what habit guesses: the sum of all ends that are times. */
export function knownSeconds(reckoning: Reckoning): number {
  return reckoning.flat.reduce((sum, entry) => sum + (isOpenEnd(entry.end) ? 0 : (entry.seconds.likely ?? 0)), 0)
}
