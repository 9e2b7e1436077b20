import type { Heart } from './heart'

/** How fast somebody heeds a heart that is off what it is led to, in shares of critical a second and share of the reserve. */
const heeds = { rate: 0.006, most: 0.35 }
/** Further off than this share of the reserve the heart is only on its way. */
const onItsWay = 0.12

/**
 * By how much harder or easier somebody goes who is led by their heart: slowly, until the heart is where it is to be.
 *
 * @param trim what it was, as a share of critical; 0 at the beginning of a step
 * @param aimed the heart rate that is meant, in bpm
 * @source own: an integral controller, as people steer who look at a heart rate now and then
 */
export function trimAfter(trim: number, bpm: number, aimed: number, { rest, max }: Heart, seconds: number): number {
  const off = (aimed - bpm) / (max - rest)
  const isClose = Math.abs(off) < onItsWay || trim !== 0
  return isClose ? Math.max(-heeds.most, Math.min(heeds.most, trim + off * heeds.rate * seconds)) : 0
}
