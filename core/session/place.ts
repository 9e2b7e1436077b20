import { toMetres } from '../quantity/distance'
import type { PlaceOfSession, Session, SessionSport } from './document'
import { itemAt } from './item-path'
import type { Path } from './item-path'

/** Where an item is carried out: in the place of its leg, or where it stands in none, in the session's. */
export function placeAt(session: Session, path: Path): PlaceOfSession | undefined {
  const leg = path.includes('.') ? itemAt(session, path.split('.')[0]!) : null
  return leg?.kind === 'leg' ? leg.place : session.place
}

/** Metres of a length where it is swum in a pool, whose metres come a length at a time; else null. */
export const poolMetres = (sport: SessionSport, place: PlaceOfSession | undefined): number | null =>
  sport === 'swim' && place?.kind === 'pool' ? toMetres({ value: place.length, unit: place.unit }) : null
