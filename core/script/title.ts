import { printEnd } from './print'
import { printTarget } from './print-target'
import type { Item, Session, Step } from '../session/document'
import { isEasyEffort } from '../session/easy'
import { limits } from '../session/limits'

const sayWork = (step: Step) => `${printEnd(step.end)}${step.target ? ` @ ${printTarget(step.target)}` : ''}`

/** What a session's own work may be called by, in the order of its items: repeats before single steps, targets before none. */
interface Candidate {
  words: string
  rank: number
}

/** A repeat with a target says most of what a session is about, a step that is easy or has no target least. */
function candidates(items: readonly Item[], around: string, isRepeated: boolean): Candidate[] {
  return items.flatMap((item): Candidate[] => {
    if ('off' in item && item.off) return []
    if (item.kind === 'leg') return candidates(item.items, `${around}${item.sport}: `, isRepeated)
    if (item.kind === 'block') {
      const times = 'times' in item.repeat ? item.repeat.times : undefined
      return candidates(item.items, times === undefined ? around : `${around}${times} x `, isRepeated || (times ?? 2) > 1)
    }
    if (item.kind !== 'step' || item.role !== 'work') return []
    return [{ words: `${around}${sayWork(item)}`, rank: (isRepeated ? 2 : 0) + (item.target && !isEasyEffort(item.target) ? 1 : 0) }]
  })
}

/** The work that a session is about: the first of those that say most. */
function mainWork(items: readonly Item[]): string | null {
  const found = candidates(items, '', false)
  const most = Math.max(...found.map(({ rank }) => rank))
  return found.find(({ rank }) => rank === most)?.words ?? null
}

/**
 * The title of a session: its own, else its main work in a few words, so that an untitled one can be told on a list.
 *
 * @example titleOf(read('20 min easy, 2 x (4 x (90 s, 1 min easy)) / 4 min')) // "2 x 4 x 1:30"
 */
export function titleOf(session: Session): string {
  if (session.title !== undefined) return session.title
  const firstNote = session.note
    ?.split('\n')
    .find(line => line.trim() !== '')
    ?.trim()
  const unread = session.items.find(item => item.kind === 'unread')
  const step = session.items.find(item => item.kind === 'step')
  const title = mainWork(session.items) ?? (step ? sayWork(step) : undefined) ?? unread?.text ?? firstNote ?? 'Untitled'
  return title.slice(0, limits.titleLength).trim()
}
