import type { Program, ProgramItem } from './program'
import { poolLengthOf, timesOf } from './program'
import { printProgramItem } from './words'

/** Something of a program that the buttons of a watch can make more or less of: a count, or the length of a step. */
export interface Changeable {
  words: string
  /** More by 1, less by -1; null where less would be nothing. */
  by: (direction: 1 | -1) => Program | null
}

const longest = { times: 999, seconds: 48 * 3600, metres: 1_000_000 }
const within = (value: number, least: number, most: number) => (value >= least && value <= most ? value : null)

/** How much longer or shorter a push makes a step, in seconds. */
const secondsOf = (seconds: number) => (seconds < 120 ? 15 : seconds < 600 ? 30 : 60)
const metresOf = (metres: number, pool: number | null) => pool ?? (metres < 1000 ? 100 : 500)

function changedItem(item: ProgramItem, direction: 1 | -1, program: Program): ProgramItem | null {
  if (item.kind === 'block') {
    const times = timesOf(item)
    const next = times === null ? null : within(times + direction, 1, longest.times)
    return next === null ? null : { ...item, repeat: { ...item.repeat, times: next } }
  }
  if (item.end.on === 'time') {
    const seconds = within(item.end.seconds + direction * secondsOf(item.end.seconds), 1, longest.seconds)
    return seconds === null ? null : { ...item, end: { on: 'time', seconds } }
  }
  if (item.end.on === 'distance') {
    const metres = within(item.end.metres + direction * metresOf(item.end.metres, poolLengthOf(item, program)), 1, longest.metres)
    return metres === null ? null : { ...item, end: { on: 'distance', metres } }
  }
  return null
}

function replaced(items: readonly ProgramItem[], item: ProgramItem, next: ProgramItem): ProgramItem[] {
  return items.map(one => (one === item ? next : one.kind === 'block' ? { ...one, items: replaced(one.items, item, next) } : one))
}

function* itemsOf(items: readonly ProgramItem[]): Generator<ProgramItem> {
  for (const item of items) {
    yield item
    if (item.kind === 'block') yield* itemsOf(item.items)
  }
}

const canChange = (item: ProgramItem) =>
  item.kind === 'block' ? timesOf(item) !== null : item.end.on === 'time' || item.end.on === 'distance'

/**
 * What of a program can be changed with three buttons: the counts of its repeats, and steps that end by time or distance.
 *
 * Law: what is changed keeps its name, paths, targets and where it came from.
 */
export function changeableOf(program: Program): Changeable[] {
  return [...itemsOf(program.items)].filter(canChange).map(item => ({
    words: printProgramItem(item),
    by(direction) {
      const next = changedItem(item, direction, program)
      return next && { ...program, items: replaced(program.items, item, next) }
    },
  }))
}
