import type { Grade } from '../session/document'

const steepest = 0.45

/**
 * Energy cost of running on a slope.
 *
 * @param slope rise over run, clamped to -0.45..0.45
 * @returns J per kg and m
 * @source Minetti et al., J Appl Physiol 93 (2002)
 * @example gradeCost(0) // 3.6
 */
export function gradeCost(slope: number): number {
  const i = Math.min(steepest, Math.max(-steepest, slope))
  return 155.4 * i ** 5 - 30.4 * i ** 4 - 43.3 * i ** 3 + 46.3 * i ** 2 + 19.5 * i + 3.6
}

/** How much more a metre costs on the slope than on the flat; 1 on the flat. */
export const gradeFactor = (slope: number): number => gradeCost(slope) / gradeCost(0)

/**
 * The way on foot that takes so much energy: about a kilocalorie per kilogram and kilometre, by the cost of the slope.
 *
 * @param kilocalories more than zero
 * @param slope rise over run, -0.45 to 0.45
 * @returns metres, within about 15 %
 * @example metresOnFoot(70, 70, 0) // 1000
 */
export const metresOnFoot = (kilocalories: number, massKg: number, slope: number): number =>
  ((kilocalories / massKg) * 1000) / gradeFactor(slope)

/**
 * The speed on a slope that costs as much as a speed on the flat.
 *
 * @param flatSpeed in m/s
 * @param slope rise over run, -0.45 to 0.45
 * @returns m/s
 * @example speedOnGrade(4, 0) // 4
 */
export const speedOnGrade = (flatSpeed: number, slope: number): number => flatSpeed / gradeFactor(slope)
/**
 * The speed on the flat that costs as much as a speed on a slope.
 *
 * @param speed on the slope, in m/s
 * @param slope rise over run, -0.45 to 0.45
 * @returns m/s
 * @example flatSpeedOf(4, 0) // 4
 */
export const flatSpeedOf = (speed: number, slope: number): number => speed * gradeFactor(slope)

/** The middle of a grade in percent, as rise over run; flat where none is said. */
export const slopeOf = (grade: Grade | undefined): number => (grade ? (grade.low + grade.high) / 200 : 0)
