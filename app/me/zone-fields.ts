import type { Athlete } from '~~/core/athlete/athlete'
import { ownZones } from '~~/core/athlete/zones'
import { formatTime, parseClock } from '~~/core/quantity/time'
import type { Sport, ZoneMeasure } from '~~/core/session/document'
import { paceUnitOf } from './say-number'

/** How bounds of zones are typed and shown in a sport: paces as clocks, else whole numbers. */
export function zoneUnit(athlete: Athlete, sport: Sport, of: ZoneMeasure): { words: string; metres: number | null } {
  if (of === 'heart-rate') return { words: 'bpm', metres: null }
  if (of === 'power') return { words: 'W', metres: null }
  return paceUnitOf(athlete, sport)
}

export const showBound = (value: number, metres: number | null): string =>
  metres === null ? String(Math.round(value)) : formatTime(Math.round(metres / value))

/** Own zones from typed bounds, easiest first, parted by commas or spaces. */
export function readBounds(typed: string, metres: number | null): { ok: true; bounds: number[] } | { ok: false; problem: string } {
  const words = typed.split(/[\s,;]+/).filter(Boolean)
  const bounds = words.map(word => {
    if (metres === null) return Number(word)
    const seconds = parseClock(word)
    return seconds === null || seconds <= 0 ? Number.NaN : Math.round((metres / seconds) * 1e5) / 1e5
  })
  return ownZones(bounds)
}
