import { type Athlete, unitsOf } from '~~/core/athlete/athlete'
import { sayDistance } from '~~/core/quantity/distance'
import type { ShelfRow } from '~~/shared/api'

/** How far a session goes, in the unit the athlete reads its sport in. */
export const distanceWords = (session: Pick<ShelfRow, 'metres' | 'sport'>, athlete: Athlete): string =>
  session.metres === null ? '–' : sayDistance(session.metres, session.sport === 'multi' ? 'km' : unitsOf(athlete)[session.sport])
