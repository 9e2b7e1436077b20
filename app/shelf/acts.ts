import type { SessionStanding } from '~~/shared/api'
import { shelfActs as texts } from '~/texts/en'

/** One thing that can be done with a session on the shelf, in its menu and by a key while its title has the focus. */
export interface RowAct {
  name: 'copy' | 'plan' | 'tag' | 'paper' | 'export' | 'archive' | 'remove'
  words: string
  key: string
  /** As `KeyboardEvent.code` has it. */
  code: string
}

export const rowActs = ({ isArchived }: { isArchived: boolean }): RowAct[] => [
  { name: 'copy', words: 'Copy', key: 'C', code: 'KeyC' },
  { name: 'plan', words: texts.putOnADay, key: 'D', code: 'KeyD' },
  { name: 'tag', words: 'Tag', key: 'T', code: 'KeyT' },
  { name: 'paper', words: texts.onPaper, key: 'P', code: 'KeyP' },
  { name: 'export', words: 'Export', key: 'X', code: 'KeyX' },
  { name: 'archive', words: isArchived ? texts.bringBack : 'Archive', key: 'A', code: 'KeyA' },
  { name: 'remove', words: 'Remove', key: 'Del', code: 'Delete' },
]

/** Where a session stands, in words: planned, on which watches, done. */
export function standingWords(
  { plannedOn, watches, timesDone, lastDone }: SessionStanding,
  sayDay: (day: string) => string,
  sayDayOf: (instant: string) => string,
): { words: string; kind: 'plan' | 'good' | 'faint' }[] {
  const times = timesDone === 1 ? 'done' : texts.doneTimesLast(timesDone)
  return [
    ...(plannedOn === null ? [] : [{ words: texts.planned(sayDay(plannedOn)), kind: 'plan' as const }]),
    ...watches.map(name => ({ words: texts.onThe(name), kind: 'good' as const })),
    ...(lastDone === null ? [] : [{ words: `${times} ${sayDayOf(lastDone)}`, kind: 'faint' as const }]),
  ]
}
