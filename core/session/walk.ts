import { isRecovery, withoutTrailing } from './recovery'
import type { Block, Ceiling, Item, PlaceOfSession, Session, SessionSport, Step } from './document'

/** One step as it comes in the session's order, with where it stands. */
export interface FlatStep {
  /** 1-based positions in the document, off items counted: `3.2.1`. */
  path: string
  /** The round in each enclosing block, outermost first. */
  round: number[]
  /** Total rounds of each enclosing block, null where only the doing tells. */
  rounds: (number | null)[]
  step: Step
  sport: SessionSport
  place?: PlaceOfSession
  /** Every ceiling that holds here, outermost first. */
  ceilings: Ceiling[]
  /** The enclosing blocks, outermost first. */
  blocks: Block[]
}

/**
 * Whether a block until a distance or time goes on: asked before each of its rounds and before each step in it.
 *
 * @param round the rounds around the block, and the block's own as the last
 */
export type GoesOn = (block: Block, round: readonly number[]) => boolean

const isOff = (item: Item) => (item.kind === 'step' || item.kind === 'block') && item.off === true

/** Whether nothing of an item is ever carried out: it is off, unread, or holds nothing else. */
function doesNothing(item: Item): boolean {
  if (isOff(item) || item.kind === 'unread') return true
  if (item.kind === 'step') return false
  const active = item.items.filter(inner => !doesNothing(inner))
  if (active.length === 0 || item.kind === 'leg') return active.length === 0
  return item.lastRecovery === 'drop' && 'times' in item.repeat && item.repeat.times === 1 && active.every(isRecovery)
}

/**
 * The items of a block's round that are carried out: what does nothing left out, and in the block's own last round
 * the trailing recovery and rest steps when the block drops them.
 *
 * @returns pairs of item and its 1-based position in the block
 */
export function itemsOfRound(block: Block, isLast: boolean): [Item, number][] {
  const active = block.items.map((item, index): [Item, number] => [item, index + 1]).filter(([item]) => !doesNothing(item))
  if (!isLast || block.lastRecovery !== 'drop') return active
  return active.slice(0, withoutTrailing(active.map(([item]) => item)))
}

interface Surroundings {
  sport: SessionSport
  place?: PlaceOfSession
  ceilings: Ceiling[]
  round: number[]
  rounds: (number | null)[]
  blocks: Block[]
}

/** Takes one step; false ends the walk. */
export type Visit = (flat: FlatStep) => boolean

/** Whether the walk and every open repeat around go on. */
type Alive = () => boolean

interface Walker {
  visit: Visit
  goesOn: GoesOn
  taken: number
  hasEnded: boolean
}

function walkItem(item: Item, path: string, around: Surroundings, walker: Walker, alive: Alive): void {
  switch (item.kind) {
    case 'unread':
      return
    case 'step': {
      const { round, rounds, sport, place, blocks } = around
      const ceilings = item.ceiling ? [...around.ceilings, item.ceiling] : around.ceilings
      if (walker.visit({ path, round, rounds, step: item, sport, place, ceilings, blocks })) walker.taken++
      else walker.hasEnded = true
      return
    }
    case 'leg':
      return walkItems(item.items, `${path}.`, { ...around, sport: item.sport, place: item.place }, walker, alive)
    case 'block':
      return walkBlock(item, path, around, walker, alive)
  }
}

function walkBlock(block: Block, path: string, around: Surroundings, walker: Walker, alive: Alive): void {
  const times = 'times' in block.repeat && block.repeat.times !== undefined ? block.repeat.times : null
  const within = {
    ...around,
    ceilings: block.ceiling ? [...around.ceilings, block.ceiling] : around.ceilings,
    rounds: [...around.rounds, times],
    blocks: [...around.blocks, block],
  }
  for (let count = 1; times === null || count <= times; count++) {
    const round = [...around.round, count]
    const aliveHere: Alive = times === null ? () => alive() && walker.goesOn(block, round) : alive
    if (!aliveHere()) return
    const takenBefore = walker.taken
    for (const [item, position] of itemsOfRound(block, count === times)) {
      if (!aliveHere()) break
      walkItem(item, `${path}.${position}`, { ...within, round }, walker, aliveHere)
    }
    if (times === null && walker.taken === takenBefore) return
  }
}

function walkItems(items: readonly Item[], prefix: string, around: Surroundings, walker: Walker, alive: Alive): void {
  for (let index = 0; index < items.length; index++) {
    if (!alive()) return
    if (!isOff(items[index]!)) walkItem(items[index]!, `${prefix}${index + 1}`, around, walker, alive)
  }
}

const once: GoesOn = (_, round) => round.at(-1) === 1

/**
 * Takes the session's steps one by one in the order they are carried out. Unread items say nothing and are passed over.
 *
 * @param visit takes a step; false ends the walk
 * @param goesOn rounds of a block until a distance or time; one when not told
 */
export function eachStep(session: Session, visit: Visit, goesOn: GoesOn = once): void {
  const around: Surroundings = {
    sport: session.sport,
    place: session.place,
    round: [],
    rounds: [],
    blocks: [],
    ceilings: session.ceiling ? [session.ceiling] : [],
  }
  const walker: Walker = { visit, goesOn, taken: 0, hasEnded: false }
  walkItems(session.items, '', around, walker, () => !walker.hasEnded)
}

/** The session's steps in the order they are carried out, one round of each block until a distance or time. */
export function walk(session: Session): FlatStep[] {
  const steps: FlatStep[] = []
  eachStep(session, flat => steps.push(flat) > 0)
  return steps
}

/** How many flat steps a list of items comes to, counted without unrolling it; an open repeat counts one round. */
export function countFlatSteps(items: readonly Item[]): number {
  let count = 0
  for (const item of items) {
    if (isOff(item) || item.kind === 'unread') continue
    if (item.kind === 'step') count++
    else if (item.kind === 'leg') count += countFlatSteps(item.items)
    else {
      const times = 'times' in item.repeat && item.repeat.times !== undefined ? item.repeat.times : 1
      const dropped = 'times' in item.repeat ? itemsOfRound(item, false).length - itemsOfRound(item, true).length : 0
      count += countFlatSteps(item.items) * times - dropped
    }
  }
  return count
}

/** How deep blocks stand in blocks: a count, 0 without any. */
export function nestingOf(items: readonly Item[]): number {
  let deepest = 0
  for (const item of items) {
    if (item.kind === 'block') deepest = Math.max(deepest, 1 + nestingOf(item.items))
    if (item.kind === 'leg') deepest = Math.max(deepest, nestingOf(item.items))
  }
  return deepest
}
