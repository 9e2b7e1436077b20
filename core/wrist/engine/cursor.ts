import type { StepPosition, Program, ProgramBlock, ProgramItem, ProgramStep, Unrolled } from '../program/program'
import { roundItems, timesOf } from '../program/program'

/** One enclosing block on the way to the step being carried out, with what its own repeat needs to count. */
export interface BlockFrame {
  index: number
  round: number
  /** Moving seconds and way metres when the block began. */
  startMoving: number
  startDistance: number
  /** Seconds of work whose mean was inside its band and whose mean is known, in this round. */
  held: number
  judged: number
  /** Rounds in a row of whose work more than half had a mean outside its band. */
  missed: number
}

/** Where in the program one is: the blocks around, outermost first, and the step's position in the innermost. */
export interface Cursor {
  blocks: BlockFrame[]
  index: number
}

export interface Clocks {
  moving: number
  distance: number
}

const asBlock = (item: ProgramItem | undefined): ProgramBlock => {
  if (item?.kind !== 'block') throw new Error('cursor does not point into a block')
  return item
}

const isLastRound = (block: ProgramBlock, round: number) => timesOf(block) === round

interface Found {
  program: Program
  blocks: ProgramBlock[]
  step: ProgramStep | null
}
/** What was found at a cursor, which never changes: a step is asked for a dozen times a second. */
const known = new WeakMap<Cursor, Found>()

function foundAt(program: Program, cursor: Cursor): Found {
  const before = known.get(cursor)
  if (before?.program === program) return before
  const found: Found = { program, blocks: findBlocks(program, cursor), step: null }
  known.set(cursor, found)
  return found
}

/** The blocks around the cursor as written in the program, outermost first. */
export const blocksAt = (program: Program, cursor: Cursor): readonly ProgramBlock[] => foundAt(program, cursor).blocks

function findBlocks(program: Program, cursor: Cursor): ProgramBlock[] {
  const found: ProgramBlock[] = []
  let items: readonly ProgramItem[] = program.items
  for (const frame of cursor.blocks) {
    const block = asBlock(items[frame.index])
    found.push(block)
    items = roundItems(block, isLastRound(block, frame.round))
  }
  return found
}

function listAt(program: Program, frames: readonly BlockFrame[]): readonly ProgramItem[] {
  const last = frames.at(-1)
  if (!last) return program.items
  const block = blocksAt(program, { blocks: [...frames], index: 0 }).at(-1)!
  return roundItems(block, isLastRound(block, last.round))
}

/** The step at the cursor. */
export function stepAt(program: Program, cursor: Cursor): ProgramStep {
  const found = foundAt(program, cursor)
  if (found.step) return found.step
  const item = listAt(program, cursor.blocks)[cursor.index]
  if (item?.kind !== 'step') throw new Error('cursor does not point at a step')
  return (found.step = item)
}

/** Every enclosing block's part, outermost first, those written out included. */
function alongTheWay<T>(
  program: Program,
  cursor: Cursor,
  ofBlock: (frame: BlockFrame, block: ProgramBlock) => T,
  ofUnrolled: (unrolled: Unrolled) => T[],
): T[] {
  const own = (item: ProgramItem) => (item.unrolled ? ofUnrolled(item.unrolled) : [])
  const blocks = blocksAt(program, cursor)
  return [
    ...cursor.blocks.flatMap((frame, index) => [...own(blocks[index]!), ofBlock(frame, blocks[index]!)]),
    ...own(stepAt(program, cursor)),
  ]
}

/** Rounds of every enclosing block, those written out included, outermost first. */
export const roundOf = (program: Program, cursor: Cursor): number[] =>
  alongTheWay(
    program,
    cursor,
    frame => frame.round,
    unrolled => unrolled.round,
  )

/** How many rounds each of those blocks has; null where nobody knows. */
export const roundsOf = (program: Program, cursor: Cursor): (number | null)[] =>
  alongTheWay<number | null>(
    program,
    cursor,
    (_, block) => timesOf(block),
    unrolled => unrolled.rounds,
  )

function descend(program: Program, frames: readonly BlockFrame[], index: number, clocks: Clocks): Cursor | null {
  const list = listAt(program, frames)
  for (let position = index; position < list.length; position++) {
    const item = list[position]!
    if (item.kind === 'step') return { blocks: [...frames], index: position }
    const inner = descend(
      program,
      [...frames, { index: position, round: 1, startMoving: clocks.moving, startDistance: clocks.distance, held: 0, judged: 0, missed: 0 }],
      0,
      clocks,
    )
    if (inner) return inner
  }
  return null
}

/** The first step of a program, or null when it has none. */
export const firstCursor = (program: Program): Cursor | null => descend(program, [], 0, { moving: 0, distance: 0 })

const isSame = (a: readonly number[], b: readonly number[]) => a.length === b.length && a.every((value, index) => value === b[index])

function search(
  program: Program,
  place: StepPosition,
  frames: BlockFrame[],
  around: number[],
  now: Cursor | null,
  clocks: Clocks,
): Cursor | null {
  for (const [index, item] of listAt(program, frames).entries()) {
    const rounds = [...around, ...(item.unrolled?.round ?? [])]
    if (!isSame(rounds, place.round.slice(0, rounds.length))) continue
    if (item.kind === 'step') {
      if (item.path === place.path && rounds.length === place.round.length) return { blocks: frames, index }
      continue
    }
    const round = place.round[rounds.length] ?? 1
    const times = timesOf(item)
    if (!(place.path === item.path || place.path.startsWith(`${item.path}.`)) || round < 1 || (times !== null && round > times)) continue
    const same = now?.blocks.slice(0, frames.length + 1)
    const goesOn =
      same?.length === frames.length + 1 && same.every((frame, depth) => frame.index === (frames[depth]?.index ?? index))
        ? same.at(-1)!
        : null
    const frame: BlockFrame = {
      index,
      round,
      startMoving: goesOn?.startMoving ?? clocks.moving,
      startDistance: goesOn?.startDistance ?? clocks.distance,
      held: 0,
      judged: 0,
      missed: goesOn?.missed ?? 0,
    }
    const found =
      place.path === item.path && place.round.length <= rounds.length + 1
        ? descend(program, [...frames, frame], 0, clocks)
        : search(program, place, [...frames, frame], [...rounds, round], now, clocks)
    if (found) return found
  }
  return null
}

/**
 * The step at a place, or the first of a block's round; null where the program has none such.
 *
 * Trap: blocks that one is in already go on: what they have counted stays counted.
 */
export function cursorAt(program: Program, place: StepPosition, now: Cursor | null, clocks: Clocks): Cursor | null {
  return search(program, place, [], [], now, clocks)
}

/** How a block's round ended: what the round's holding was, and whether that ends the block. */
export function closeRound(frame: BlockFrame, block: ProgramBlock): { missed: number; stops: boolean } {
  const limit = 'times' in block.repeat ? block.repeat.stopAfterMissed : undefined
  const missed = frame.judged > 0 && frame.held / frame.judged < 0.5 ? frame.missed + 1 : 0
  return { missed, stops: limit !== undefined && missed >= limit }
}

/** Leaves the innermost block of `frames` and goes on behind it. */
function leave(program: Program, frames: readonly BlockFrame[], clocks: Clocks): Cursor | null {
  const last = frames.at(-1)
  if (!last) return null
  return after(program, frames.slice(0, -1), last.index, clocks)
}

function after(program: Program, frames: readonly BlockFrame[], index: number, clocks: Clocks): Cursor | null {
  const inList = descend(program, frames, index + 1, clocks)
  if (inList) return inList
  const last = frames.at(-1)
  if (!last) return null
  const block = blocksAt(program, { blocks: [...frames], index: 0 }).at(-1)!
  const times = timesOf(block)
  const { missed, stops } = closeRound(last, block)
  if (stops || (times !== null && last.round >= times)) return leave(program, frames, clocks)
  const next = [...frames.slice(0, -1), { ...last, round: last.round + 1, held: 0, judged: 0, missed }]
  return descend(program, next, 0, clocks) ?? leave(program, frames, clocks)
}

/** The step that comes after this one; null at the end of the program. */
export function nextCursor(program: Program, cursor: Cursor, clocks: Clocks): Cursor | null {
  return after(program, cursor.blocks, cursor.index, clocks)
}

/** The step that comes when the block at `depth`, from 0 outermost, ends now, in the middle of whatever is going on in it. */
export function cursorBehind(program: Program, cursor: Cursor, depth: number, clocks: Clocks): Cursor | null {
  return leave(program, cursor.blocks.slice(0, depth + 1), clocks)
}

/** The cursor with so many seconds of judged work counted in every round around it. */
export function withJudged(cursor: Cursor, seconds: number, isInside: boolean): Cursor {
  return {
    ...cursor,
    blocks: cursor.blocks.map(frame => ({ ...frame, held: frame.held + (isInside ? seconds : 0), judged: frame.judged + seconds })),
  }
}
