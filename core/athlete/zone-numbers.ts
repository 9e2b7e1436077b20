import { sportNames, sports } from '../session/sports'
import type { Sport, ZoneMeasure } from '../session/document'
import { criticalPowerFor, criticalSpeedFor } from './ability'
import { heartFor } from './heart'
import type { DerivedNumber } from './derived-number'
import type { NumberInput, ZoneMethod } from '../words/numbers'
import { sayNumberInput, zoneWords } from '../words/numbers'
import type { Standpoint } from './standpoint'
import { zoneBounds } from './zones'

const units: Readonly<Record<ZoneMeasure, DerivedNumber['unit']>> = { 'heart-rate': 'bpm', 'power': 'W', 'pace': 'm/s' }

function inputOf(method: ZoneMethod, of: ZoneMeasure, standpoint: Standpoint, sport: Sport): NumberInput {
  if (method === 'own') return { code: 'own-zones' }
  if (of === 'heart-rate') return { code: 'maximum', value: heartFor(standpoint, sport).max! }
  return of === 'power'
    ? { code: 'critical-power', watts: criticalPowerFor(standpoint, sport)! }
    : { code: 'critical-speed', metresPerSecond: criticalSpeedFor(standpoint, sport)! }
}

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
      const inputs = [sayNumberInput(inputOf(found.method, of, standpoint, sport))]
      return found.bounds.map((value, index) => ({ sport, value, unit: units[of], ...zoneWords(found.method, of, index + 2), inputs }))
    }),
  )
}
