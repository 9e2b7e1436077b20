import { printEnd } from './print'
import { printTarget } from './print-target'
import type { Item, Session, Step } from '../session/document'
import { limits } from '../session/limits'

const sayWork = (step: Step) => `${printEnd(step.end)}${step.target ? ` @ ${printTarget(step.target)}` : ''}`

function mainWork(items: readonly Item[]): string | null {
  for (const item of items) {
    if (item.kind === 'block' || item.kind === 'leg') {
      const inner = mainWork(item.items)
      if (!inner) continue
      if (item.kind === 'leg') return `${item.sport}: ${inner}`
      if ('times' in item.repeat && item.repeat.times !== undefined) return `${item.repeat.times} x ${inner}`
      return inner
    }
    if (item.kind === 'step' && item.role === 'work' && !item.off) return sayWork(item)
  }
  return null
}

/**
 * The title of a session: its own, else its main work in a few words, so that an untitled one can be told on a list.
 *
 * @example titleOf(read('2 x (4 x (90 s, 1 min easy)) / 4 min')) // "2 x 4 x 1:30"
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
