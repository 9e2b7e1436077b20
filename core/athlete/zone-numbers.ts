import { sportNames, sports } from '../session/sports'
import type { Sport, ZoneMeasure } from '../session/document'
import { criticalPowerFor, criticalSpeedFor } from './ability'
import { heartOf } from './athlete'
import type { DerivedNumber } from './derived-number'
import { ownCustom } from './derived-number'
import type { Standpoint } from './standpoint'
import { zoneBounds } from './zones'

const units: Readonly<Record<ZoneMeasure, DerivedNumber['unit']>> = { 'heart-rate': 'bpm', 'power': 'W', 'pace': 'm/s' }

const sayCritical = (standpoint: Standpoint, sport: Sport, of: ZoneMeasure) =>
  of === 'power'
    ? `critical power ${Math.round(criticalPowerFor(standpoint, sport)!)} W`
    : `critical speed ${criticalSpeedFor(standpoint, sport)!.toFixed(3)} m/s`

/**
 * Where each zone of each sport and measure begins, that of the athlete's own zones, else of five.
 *
 * @returns nothing for what cannot be told
 */
export function zoneNumbers(standpoint: Standpoint): DerivedNumber[] {
  return sportNames.flatMap(sport =>
    sports[sport].zoneMeasures.flatMap((of): DerivedNumber[] => {
      const found = zoneBounds({ of }, standpoint, sport)
      if (!found.ok) return []
      const isOwn = standpoint.athlete.zones?.[sport]?.[of] !== undefined
      return found.bounds.map((value, index) => ({
        name: `${of.replace('-', ' ')} zone ${index + 2} begins`,
        sport,
        value,
        unit: units[of],
        method: found.method,
        source: isOwn ? 'set by you' : of === 'heart-rate' ? 'Edwards (1993)' : ownCustom,
        inputs: [
          isOwn
            ? 'own zones'
            : of === 'heart-rate'
              ? `maximum ${heartOf(standpoint.athlete, sport).max}`
              : sayCritical(standpoint, sport, of),
        ],
        changes: 'own zones, or the number they are shares of',
      }))
    }),
  )
}
