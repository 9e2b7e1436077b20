/**
 * Names cut to a length so that names that differ still differ: cut behind where that tells them apart, else in the middle,
 * so that the end that differs stays, else numbered.
 *
 * Laws: no name is longer than `longest`; equal names stay equal and different names different; a name that fits is unchanged
 * where nothing before it in `taken` has it.
 *
 * @param longest in characters, 4 or more
 * @param taken names that are in use already
 */
export function shortenNames(names: readonly string[], longest: number, taken: readonly string[] = []): string[] {
  const used = new Set(taken)
  const known = new Map<string, string>()
  const cut = (name: string): string[] => {
    const tail = Math.floor((longest - 1) / 2)
    return [`${name.slice(0, longest - 1).trimEnd()}…`, `${name.slice(0, longest - 1 - tail).trimEnd()}…${name.slice(-tail).trimStart()}`]
  }
  const numbered = (name: string, count: number) => `${name.slice(0, longest - String(count).length - 1).trimEnd()}~${count}`
  const fitting = names.filter(name => name.length <= longest && !used.has(name))
  for (const name of fitting) {
    known.set(name, name)
    used.add(name)
  }
  for (const name of names) {
    if (known.has(name)) continue
    let found = name.length <= longest ? undefined : cut(name).find(short => !used.has(short))
    for (let count = 2; found === undefined; count++) {
      const candidate = numbered(name, count)
      if (!used.has(candidate)) found = candidate
    }
    known.set(name, found)
    used.add(found)
  }
  return names.map(name => known.get(name)!)
}
