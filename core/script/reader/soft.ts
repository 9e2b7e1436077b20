import type { Item, Session, Step } from '../../session/document'
import type { SoftWord } from '../token/soft-word'

/** Steps whose role their place in the session decides, found while a text is read. */
export type SoftSteps = Map<Step, SoftWord>

function hasFirmWork(items: readonly Item[], soft: SoftSteps): boolean {
  return items.some(item => {
    switch (item.kind) {
      case 'step':
        return item.role === 'work' && !soft.has(item)
      case 'block':
      case 'leg':
        return hasFirmWork(item.items, soft)
      case 'unread':
        return false
    }
  })
}

function asWork(step: Step, soft: SoftSteps): void {
  if (soft.get(step) === 'easy' && !step.target) step.target = { of: 'effort', name: 'easy' }
}

function settle(items: readonly Item[], soft: SoftSteps, besideWork: boolean, nested: boolean): void {
  const last = items.length - 1
  items.forEach((item, index) => {
    if (item.kind === 'block') return settle(item.items, soft, besideWork, true)
    if (item.kind === 'leg') return settle(item.items, soft, hasFirmWork(item.items, soft), false)
    if (item.kind !== 'step' || !soft.has(item)) return
    if (!besideWork) return asWork(item, soft)
    item.role = 'recovery'
    if (nested || last === 0) return
    if (index === 0) item.role = 'warm-up'
    if (index === last) item.role = 'cool-down'
  })
}

/**
 * Gives the steps said with `easy`, `jog`, `walk` or `float` their role: first beside work a warm-up,
 * last a cool-down, between work a recovery; with no work at all they are the work.
 */
export function settleSoftSteps(session: Session, soft: SoftSteps): void {
  if (soft.size === 0) return
  settle(session.items, soft, hasFirmWork(session.items, soft), false)
}
