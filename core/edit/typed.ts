import { readScript } from '../script/read'
import type { Item, SessionSport } from '../session/document'

/** The rows that words read as, in the sport of their place. */
export function itemsOf(words: string, sport: SessionSport): Item[] | null {
  if (sport === 'multi' && !/^leg /m.test(words)) return null
  const { sessions } = readScript(`sport ${sport}\n\n${words}`)
  const items = sessions.length === 1 ? sessions[0]!.items : []
  return items.length > 0 && items.every(item => item.kind !== 'unread') ? items : null
}
