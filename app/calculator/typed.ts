import type { Athlete } from '~~/core/athlete/athlete'
import { unitsOf } from '~~/core/athlete/athlete'
import { metresPer } from '~~/core/quantity/distance'
import { formatTime, parseClock } from '~~/core/quantity/time'
import type { Sport } from '~~/core/session/document'
import type { DistanceUnit } from '~~/core/quantity/units'

/** In what a speed is typed and shown: a pace over a length, or a speed for the ride. */
export interface SpeedUnit {
  words: string
  toSpeed: (typed: string) => number | null
  show: (speed: number) => string
}

function paceUnit(words: string, metres: number): SpeedUnit {
  return {
    words,
    toSpeed(typed) {
      const seconds = parseClock(typed.trim())
      return seconds === null || seconds <= 0 ? null : metres / seconds
    },
    show: speed => {
      const seconds = metres / speed
      return seconds < 36_000 ? formatTime(seconds < 150 ? Math.round(seconds * 10) / 10 : Math.round(seconds)) : '–'
    },
  }
}

function rateUnit(words: string, perMetreSecond: number): SpeedUnit {
  return {
    words,
    toSpeed(typed) {
      const value = Number(typed.trim().replace(',', '.'))
      return value > 0 && Number.isFinite(value) ? value / perMetreSecond : null
    },
    show: speed => (speed * perMetreSecond).toFixed(1),
  }
}

/** The units that a speed can be given in for a sport, the athlete's own first. */
export function speedUnits(athlete: Athlete, sport: Sport): SpeedUnit[] {
  const units = unitsOf(athlete)
  const [kilometre, mile] = [paceUnit('/km', 1000), paceUnit('/mi', metresPer.mi)]
  const rates = [rateUnit('km/h', 3.6), rateUnit('mi/h', 3600 / metresPer.mi)]
  if (sport === 'swim')
    return units.swim === 'yd' ? [paceUnit('/100yd', 91.44), paceUnit('/100m', 100)] : [paceUnit('/100m', 100), paceUnit('/100yd', 91.44)]
  if (sport === 'ride') return [...(units.ride === 'mi' ? rates.reverse() : rates), kilometre]
  return [...(units.run === 'mi' ? [mile, kilometre] : [kilometre, mile]), ...rates]
}

/** A distance as people type it; a bare number is metres in a pool or from 100 up, else the athlete's long unit. */
export function parseDistance(typed: string, athlete: Athlete, sport: Sport): number | null {
  const match = /^\s*(\d+(?:[.,]\d+)?)\s*(km|mi|m|yd|k)?\s*$/i.exec(typed)
  if (!match) return null
  const value = Number(match[1]!.replace(',', '.'))
  const units = unitsOf(athlete)
  const said = match[2]?.toLowerCase()
  const unit = (said === 'k' ? 'km' : (said ?? (sport === 'swim' ? units.swim : value >= 100 ? 'm' : units[sport]))) as DistanceUnit
  const metres = value * metresPer[unit]
  return metres > 0 && metres <= 1_000_000 ? metres : null
}

/** A distance with no more digits than it needs: `400 m`, `10 km`, `21.1 km`. */
export function showDistance(metres: number): string {
  if (metres < 2000) return `${Math.round(metres * 10) / 10} m`
  return `${Math.round(metres / 10) / 100} km`
}

/** A time with the digits it deserves: tenths under ten minutes. */
export const showTime = (seconds: number): string =>
  !Number.isFinite(seconds) || seconds < 0 || seconds > 400 * 3600
    ? '–'
    : formatTime(seconds < 600 ? Math.round(seconds * 10) / 10 : Math.round(seconds))
