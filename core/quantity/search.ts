/**
 * The first position from which on something holds, by halving: it must not hold up to there and hold from there on.
 *
 * @param to the position given where it never holds
 * @example firstWhere(0, 4, at => [1, 3, 5, 7][at]! >= 4) // 2
 */
export function firstWhere(from: number, to: number, holds: (at: number) => boolean): number {
  let [low, high] = [from, to]
  while (low < high) {
    const middle = (low + high) >> 1
    if (holds(middle)) high = middle
    else low = middle + 1
  }
  return low
}
