/** The mean of those values that are known; null where none is. */
export function meanOfKnown(values: readonly (number | null)[]): number | null {
  const known = values.filter(value => value !== null)
  return known.length === 0 ? null : known.reduce((sum, value) => sum + value, 0) / known.length
}
