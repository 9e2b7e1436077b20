import type { Burden } from './burden'
import { burdenOfWork } from './burden'
import type { PlanKind } from './entry'
import type { Weight } from './sums'

/** Something planned, with what it weighs where it is a session. */
export interface Planned {
  id: string
  day: string
  kind: PlanKind
  sessionId: string | null
  title: string
  sport: string | null
  metres: number | null
  minutes: number | null
  effort: number | null
  burden: Burden | null
}

/** Something done, with what it weighed. */
export interface Done {
  id: string
  day: string
  sessionId: string | null
  title: string
  sport: string
  metres: number | null
  burden: Burden | null
}

/**
 * What weighs on each day: up to today what was done, from today on what is planned and not done yet; other work wherever it stands.
 *
 * @param today ISO date
 */
export function weightsOf(planned: readonly Planned[], done: readonly Done[], today: string): Weight[] {
  const isDone = ({ day, sessionId }: Planned) => done.some(one => one.day === day && one.sessionId === sessionId)
  return [
    ...done.map(({ day, id, title, sport, metres, burden }) => ({ day, id, title, sport, metres, burden })),
    ...planned.flatMap((entry): Weight[] => {
      const { day, id, kind, title, sport, metres } = entry
      if (kind === 'work') return [{ day, id, title, sport: 'work', metres: null, burden: burdenOfWork(entry.minutes, entry.effort) }]
      if (kind !== 'session' || day < today || isDone(entry)) return []
      return [{ day, id, title, sport: sport ?? '', metres, burden: entry.burden }]
    }),
  ]
}
