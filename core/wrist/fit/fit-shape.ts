import type { ProgramBlock, ProgramItem } from '../program/program'
import { countItems, roundItems, timesOf } from '../program/program'

const unrolledAtMost = 5000

/** A flattened item as it stands in one round of a block written out. */
const inRound = (item: ProgramItem, round: number, times: number): ProgramItem => ({
  ...item,
  unrolled: { round: [round, ...(item.unrolled?.round ?? [])], rounds: [times, ...(item.unrolled?.rounds ?? [])] },
})

/**
 * The items with as many blocks written out as the depth a watch holds asks for, and of all the ways to do so the one with
 * the fewest items: an outer block of two rounds is written out before an inner one of twenty.
 *
 * Law: carried out, it is step for step the same.
 *
 * @returns null where a repeat until a distance or time stands too deep, which cannot be written out
 */
export function flattenTo(items: readonly ProgramItem[], maxNesting: number): ProgramItem[] | null {
  const parts = items.map(item => flattenItem(item, maxNesting))
  return parts.some(part => part === null) ? null : parts.flatMap(part => part!)
}

const flattenItem = (item: ProgramItem, maxNesting: number): ProgramItem[] | null =>
  item.kind === 'step' ? [item] : cheaper(keep(item, maxNesting), writeOut(item, maxNesting))

function cheaper(a: ProgramItem[] | null, b: ProgramItem[] | null): ProgramItem[] | null {
  return a && b ? (countItems(a) <= countItems(b) ? a : b) : (a ?? b)
}

/**
 * The block as a block, what is in it flattened further.
 *
 * Trap: where the last recovery is dropped, a block written out at its end would lose its own; such a block cannot stay one.
 */
function keep(block: ProgramBlock, maxNesting: number): ProgramItem[] | null {
  if (maxNesting === 0) return null
  const items = flattenTo(block.items, maxNesting - 1)
  if (!items) return null
  const isTrapped =
    block.dropLastRecovery === true &&
    roundItems({ ...block, items }, true).length !== items.length - (block.items.length - roundItems(block, true).length)
  return isTrapped ? null : [{ ...block, items }]
}

function writeOut(block: ProgramBlock, maxNesting: number): ProgramItem[] | null {
  const times = timesOf(block)
  if (times === null || times * countItems(block.items) > unrolledAtMost) return null
  const parts = new Map(block.items.map(item => [item, flattenItem(item, maxNesting)]))
  if ([...parts.values()].some(part => part === null)) return null
  return Array.from({ length: times }, (_, index) => index + 1).flatMap(round =>
    roundItems(block, round === times).flatMap(item => parts.get(item)!.map(flat => inRound(flat, round, times))),
  )
}
