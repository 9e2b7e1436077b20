import type { Block, Ceiling, Item, Leg, Place, Session, SessionSport, Sport, Step } from './document'

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
  place?: Place
  /** Every ceiling that holds here, outermost first. */
  ceilings: Ceiling[]
  /** The enclosing blocks, outermost first. */
  blocks: Block[]
}

/** How often a block until a distance or time goes round; the walk asks for it. */
export type RoundsOf = (block: Block) => number

const isOff = (item: Item) => (item.kind === 'step' || item.kind === 'block') && item.off === true

/**
 * The items of a block's round that are carried out: off items left out, and in the block's own last round
 * the trailing recovery and rest steps when the block drops them.
 *
 * @returns pairs of item and its 1-based position in the block
 */
export function itemsOfRound(block: Block, isLast: boolean): [Item, number][] {
  const active = block.items.map((item, index): [Item, number] => [item, index + 1]).filter(([item]) => !isOff(item))
  if (!isLast || block.lastRecovery !== 'drop') return active
  let count = active.length
  while (count > 0) {
    const [item] = active[count - 1]!
    if (item.kind !== 'step' || (item.role !== 'recovery' && item.role !== 'rest')) break
    count--
  }
  return active.slice(0, count)
}

interface Surroundings {
  sport: SessionSport
  place?: Place
  ceilings: Ceiling[]
  round: number[]
  rounds: (number | null)[]
  blocks: Block[]
}

function* walkItem(item: Item, path: string, around: Surroundings, roundsOf: RoundsOf): Generator<FlatStep> {
  switch (item.kind) {
    case 'unread': return
    case 'step': {
      const { round, rounds, sport, place, blocks } = around
      const ceilings = item.ceiling ? [...around.ceilings, item.ceiling] : around.ceilings
      yield { path, round, rounds, step: item, sport, place, ceilings, blocks }
      return
    }
    case 'leg': {
      yield* walkItems(item.items.map((inner, index) => [inner, index + 1]), `${path}.`, { ...around, sport: item.sport, place: item.place }, roundsOf)
      return
    }
    case 'block': {
      const times = 'times' in item.repeat && item.repeat.times !== undefined ? item.repeat.times : null
      const total = times ?? roundsOf(item)
      const ceilings = item.ceiling ? [...around.ceilings, item.ceiling] : around.ceilings
      const rounds = [...around.rounds, times]
      const blocks = [...around.blocks, item]
      for (let round = 1; round <= total; round++) {
        const inner = { ...around, ceilings, rounds, blocks, round: [...around.round, round] }
        yield* walkItems(itemsOfRound(item, times !== null && round === total), `${path}.`, inner, roundsOf)
      }
    }
  }
}

function* walkItems(items: readonly [Item, number][], prefix: string, around: Surroundings, roundsOf: RoundsOf): Generator<FlatStep> {
  for (const [item, position] of items) {
    if (!isOff(item)) yield* walkItem(item, `${prefix}${position}`, around, roundsOf)
  }
}

/**
 * The session's steps in the order they are carried out. Unread items say nothing and are passed over.
 *
 * @param roundsOf rounds of a block until a distance or time; one when not told
 */
export function* walk(session: Session, roundsOf: RoundsOf = () => 1): Generator<FlatStep> {
  const around: Surroundings = {
    sport: session.sport, place: session.place, round: [], rounds: [], blocks: [],
    ceilings: session.ceiling ? [session.ceiling] : [],
  }
  yield* walkItems(session.items.map((item, index) => [item, index + 1]), '', around, roundsOf)
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
      const body = countFlatSteps(item.items)
      const lastBody = countFlatSteps(itemsOfRound(item, true).map(([inner]) => inner))
      count += body * (times - 1) + ('times' in item.repeat ? lastBody : body)
    }
  }
  return count
}

/** How deep blocks stand in blocks. */
export function nestingOf(items: readonly Item[]): number {
  let deepest = 0
  for (const item of items) {
    if (item.kind === 'block') deepest = Math.max(deepest, 1 + nestingOf(item.items))
    if (item.kind === 'leg') deepest = Math.max(deepest, nestingOf(item.items))
  }
  return deepest
}

export type { Leg, Sport }
