import { flatSpeedOf, speedOnGrade } from '../athlete/grade'

/**
 * The belt speed on a grade that costs what a speed costs on the flat, and back.
 *
 * There is no wind on a treadmill: at the same grade of nought a belt is a little easier than a road, the more the faster;
 * that is left out and to be said.
 *
 * @param percent grade, -15 to 30
 * @source Minetti et al., J Appl Physiol 93 (2002), as the ratio of costs
 */
export const beltFor = (flatSpeed: number, percent: number): number => speedOnGrade(flatSpeed, percent / 100)
/**
 * The speed on the flat that costs as much as a belt's.
 *
 * @param beltSpeed in m/s
 * @param percent grade, -15 to 30
 * @returns m/s
 */
export const flatFor = (beltSpeed: number, percent: number): number => flatSpeedOf(beltSpeed, percent / 100)
