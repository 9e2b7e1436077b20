import type { PlanKind } from '../plan/entry'
import { printSession } from '../script/print'
import { titleOf } from '../script/title'
import type { Session } from '../session/document'
import { sayDay } from '../words/date'

/** One thing of a day, as it is passed on. */
export interface SharedEntry {
  day: string
  kind: PlanKind
  /** What it is called where it is no session. */
  title: string
  minutes: number | null
  session: Session | null
}

/**
 * Some days as a text that a person reads and a message that is read back: each day's name and date, and what is on it. Notes are the
 * athlete's own and stay out, as do the words that a session was made from.
 *
 * @param entries in the order of their days
 * @example `Tue 1 Dec` and below it `sport run`, an empty line and the rows of the session
 */
export function weekText(entries: readonly SharedEntry[]): string {
  const parts = entries.flatMap(({ day, kind, title, minutes, session }) => {
    const head = sayDay(day, { weekday: 'short' })
    if (session) {
      const { day: _, source: __, note: ___, ...own } = session
      return [`${head}\n${own.title === undefined ? '' : `title ${titleOf(own)}\n`}${bodyOf(own)}`]
    }
    if (kind === 'rest') return [`${head}\nrest day`]
    if (kind === 'work') return [`${head}\n# ${title}${minutes === null ? '' : `, ${minutes} min`}`]
    return kind === 'race' ? [`${head}\n# Race: ${title}`] : []
  })
  return parts.length === 0 ? '' : `${parts.join('\n\n')}\n`
}

const bodyOf = (session: Session): string =>
  printSession(session)
    .split('\n')
    .filter(line => !line.startsWith('title '))
    .join('\n')
    .trim()
