/** Things by what they have in common, each group in their order. */
export function groupBy<One, Key>(all: Iterable<One>, keyOf: (one: One) => Key): Map<Key, One[]> {
  const groups = new Map<Key, One[]>()
  for (const one of all) {
    const known = groups.get(keyOf(one))
    if (known) known.push(one)
    else groups.set(keyOf(one), [one])
  }
  return groups
}
