/** The mean of those values that are known; null where none is. */
export function meanOfKnown(values: readonly (number | null)[]): number | null {
  const known = values.filter(value => value !== null)
  return known.length === 0 ? null : known.reduce((sum, value) => sum + value, 0) / known.length
}

/**
 * The value in the middle, or half-way between the two in the middle; NaN of none.
 *
 * @example median([5, 1, 3]) // 3
 * @example median([1, 2]) // 1.5
 */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other)
  const middle = sorted.length / 2
  const [below, above] = [sorted[Math.ceil(middle) - 1] ?? Number.NaN, sorted[Math.floor(middle)] ?? Number.NaN]
  return (below + above) / 2
}
