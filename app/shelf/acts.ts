import type { SessionStanding } from '~~/shared/api'

/** One thing that can be done with a session on the shelf, in its menu and by a key while its title has the focus. */
export interface RowAct {
  name: 'copy' | 'tag' | 'paper' | 'export' | 'archive' | 'remove'
  words: string
  key: string
  /** As `KeyboardEvent.code` has it. */
  code: string
}

export const rowActs = ({ isArchived }: { isArchived: boolean }): RowAct[] => [
  { name: 'copy', words: 'Copy', key: 'C', code: 'KeyC' },
  { name: 'tag', words: 'Tag', key: 'T', code: 'KeyT' },
  { name: 'paper', words: 'On paper', key: 'P', code: 'KeyP' },
  { name: 'export', words: 'Export', key: 'X', code: 'KeyX' },
  { name: 'archive', words: isArchived ? 'Bring back' : 'Archive', key: 'A', code: 'KeyA' },
  { name: 'remove', words: 'Remove', key: 'Del', code: 'Delete' },
]

/** Where a session stands, in words: planned, on which watches, done. */
export function standingWords(
  { plannedOn, watches, timesDone, lastDone }: SessionStanding,
  sayDay: (day: string) => string,
  sayDayOf: (instant: string) => string,
): { words: string; kind: 'plan' | 'good' | 'faint' }[] {
  const times = timesDone === 1 ? 'done' : `done ${timesDone} times, last`
  return [
    ...(plannedOn === null ? [] : [{ words: `planned ${sayDay(plannedOn)}`, kind: 'plan' as const }]),
    ...watches.map(name => ({ words: `on the ${name}`, kind: 'good' as const })),
    ...(lastDone === null ? [] : [{ words: `${times} ${sayDayOf(lastDone)}`, kind: 'faint' as const }]),
  ]
}
