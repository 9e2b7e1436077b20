const straight = 84.39
const laneWidth = 1.22
const kerbRadius = 36.5

/**
 * Length of a lap on a 400 m track: two straights of 84.39 m and two half circles, measured where one runs.
 *
 * @param lane from 1, at most 9
 * @returns metres
 * @source World Athletics track geometry: 0.30 m out from the kerb in lane 1, 0.20 m out from the line in the others
 * @example lapMetres(2) // 407.04
 */
export function lapMetres(lane: number): number {
  const radius = lane === 1 ? kerbRadius + 0.3 : kerbRadius + laneWidth * (lane - 1) + 0.2
  return 2 * straight + 2 * Math.PI * radius
}
