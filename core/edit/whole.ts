import type { Session } from '../session/document'
import type { Shift } from './harder'
import { harderItem } from './harder'

/**
 * A session with every work target that a shift fits moved by it; its recoveries, lengths and counts stay.
 *
 * @param shift how much harder, below zero easier: of a pace in seconds a harder one is smaller
 * @returns null where no work target is said in what the shift fits
 * @example a session of `3 x 6:00 @ 200 W` by +3 % is `3 x 6:00 @ 206 W`
 */
export function harderSession(session: Session, shift: Shift): Session | null {
  const changed = { count: 0 }
  const items = structuredClone(session.items).map(item => harderItem(item, shift, changed))
  return changed.count > 0 ? { ...session, items } : null
}
