import { sports } from '../session/sports'
import type { Grade, Sport } from '../session/document'
import { criticalPowerFor, criticalSpeedFor } from './ability'
import { wholeHeart } from './heart'
import { loadedBike, powerAtSpeed } from './cycling'
import { shareAtHeart } from '../physiology/heart'
import { flatSpeedOf, slopeOf } from './grade'
import type { Standpoint } from './standpoint'

/** Perceived effort as a share of critical: the customary mapping, rough; 7 of 10 is about critical. */
const sharesOfEffort = [0, 0.4, 0.6, 0.72, 0.8, 0.87, 0.94, 1, 1.06, 1.14, 1.25] as const

/**
 * Share of critical intensity that an effort of 0 to 10 stands for, and back. Rough, and said so where it is shown.
 *
 * @example shareOfEffort(7) // 1
 */
export function shareOfEffort(effort: number): number {
  const low = Math.min(9, Math.max(0, Math.floor(effort)))
  return sharesOfEffort[low]! + (sharesOfEffort[low + 1]! - sharesOfEffort[low]!) * Math.min(1, Math.max(0, effort - low))
}

export function effortOfShare(share: number): number {
  for (let effort = 1; effort < sharesOfEffort.length; effort++) {
    const [before, here] = [sharesOfEffort[effort - 1]!, sharesOfEffort[effort]!]
    if (share <= here) return Math.max(0, effort - 1 + (share - before) / (here - before))
  }
  return 10
}

interface Critical {
  speed: number | undefined
  power: number | undefined
}

export const criticalOf = (standpoint: Standpoint, sport: Sport): Critical => ({
  speed: criticalSpeedFor(standpoint, sport),
  power: criticalPowerFor(standpoint, sport),
})

/** Share of critical that a value of a resolved unit is; null where a number of the athlete is missing. */
export function shareOfCritical(
  value: number,
  unit: string,
  { grade }: { grade?: Grade | undefined },
  standpoint: Standpoint,
  sport: Sport,
): number | null {
  const { speed, power } = criticalOf(standpoint, sport)
  const slope = slopeOf(grade)
  switch (unit) {
    case 'W':
      return power === undefined ? null : value / power
    case 'm/s': {
      if (sport === 'ride') {
        if (power === undefined) return null
        const { totalKg, bike } = loadedBike(standpoint.athlete)
        return Math.max(0, powerAtSpeed(value, totalKg, bike, slope)) / power
      }
      const flat = sports[sport].isOnFoot ? flatSpeedOf(value, slope) : value
      return speed === undefined ? null : flat / speed
    }
    case 'bpm': {
      const heart = wholeHeart(standpoint, sport)
      return heart && shareAtHeart(value, heart)
    }
    case 'of 10':
      return shareOfEffort(value)
    default:
      return null
  }
}
