import type { BandTarget, Sport } from '../session/document'

/** A speed in m/s as a target of one pace, in whole seconds of the sport's unit. */
export function singlePace(speed: number, sport: Sport): BandTarget {
  const [unit, metres] = sport === 'swim' ? (['s/100m', 100] as const) : (['s/km', 1000] as const)
  const seconds = Math.round(metres / speed)
  return { of: 'pace', unit, easiest: seconds, hardest: seconds }
}
