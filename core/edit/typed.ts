import type { Standpoint } from '../athlete/standpoint'
import { printPlace } from '../script/print'
import { readScript } from '../script/reader/read-script'
import type { Item, Session } from '../session/document'
import type { Path } from '../session/item-path'
import { itemAt, sportAt } from '../session/item-path'

/** Whether words can stand as rows at a place: between the legs of a session only legs can. */
export const mayStand = (words: string, session: Session, at: Path): boolean => sportAt(session, at) !== 'multi' || /^leg /m.test(words)

/**
 * The rows that words read as at a place in a session: in its sport, its pool and its athlete's units, as if they stood in
 * the sheet.
 *
 * @returns null where the words are no rows, or a row of them cannot be read
 */
export function itemsOf(words: string, session: Session, at: Path, standpoint: Standpoint): Item[] | null {
  const leg = at.includes('.') ? itemAt(session, at.split('.')[0]!) : null
  const isLegs = /^leg /m.test(words)
  const around = sportAt(session, at)
  const sport = isLegs ? 'multi' : around === 'multi' ? 'run' : around
  const place = leg?.kind === 'leg' ? leg.place : session.place
  const headers = [`sport ${sport}`, ...(place && !isLegs ? [`place ${printPlace(place)}`] : [])]
  const { sessions } = readScript(`${headers.join('\n')}\n\n${words}`, standpoint)
  const items = sessions.length === 1 ? sessions[0]!.items : []
  return items.length > 0 && items.every(item => item.kind !== 'unread') ? items : null
}
