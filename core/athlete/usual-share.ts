import type { Manner, Role, Sport } from '../session/document'
import { criticalOf } from './critical-share'
import { speedOfPace } from './athlete'
import type { Standpoint } from './standpoint'

/** What a step without a target is likely gone at, as a share of critical, where no pace says more. */
const likelyShare: Readonly<Record<Role, number>> = {
  'warm-up': 0.68,
  'work': 0.8,
  'recovery': 0.6,
  'rest': 0,
  'cool-down': 0.62,
  'transition': 0.4,
}

/** A stride as a whole, its speeding up and slowing down included: relaxed and fast only for a few seconds. */
const strideShare = 1.08

/** The share of critical that an athlete goes at in a step without a target: by their own paces where they have set them. */
export function usualShare({ role, manner }: { role: Role; manner?: Manner }, standpoint: Standpoint, sport: Sport): number {
  if (role === 'rest') return 0
  if (role === 'work' && manner === 'stride') return strideShare
  const { athlete } = standpoint
  const own =
    manner === 'walk' ? athlete.walkPace : role === 'recovery' ? athlete.recoveryPace : role === 'work' ? undefined : athlete.easyPace
  const { speed } = criticalOf(standpoint, sport)
  const pace = speedOfPace(own, sport)
  return pace !== undefined && speed !== undefined ? pace / speed : likelyShare[role]
}
