import type { Manifest } from 'vue-bundle-renderer'

/** Rooms that open where the server is away: a session is carried out and written anywhere. */
const offlineRooms = ['pages/phone.vue', 'pages/desk/[[id]].vue']

/**
 * The files that some parts of a build need, with all that they import at once or later, but not other rooms.
 *
 * @param parts sources, as the build's manifest has them
 */
export function filesOf(manifest: Manifest, parts: readonly string[]): Set<string> {
  const seen = new Set<string>()
  const files = new Set<string>()
  const visit = (part: string) => {
    const entry = manifest[part]
    if (!entry || seen.has(part)) return
    seen.add(part)
    for (const file of [entry.file, ...(entry.css ?? []), ...(entry.assets ?? [])]) files.add(file)
    for (const next of entry.imports ?? []) visit(next)
    for (const next of entry.dynamicImports ?? []) if (!next.startsWith('pages/')) visit(next)
  }
  parts.forEach(visit)
  return files
}

/** The files that the two rooms without a server need. */
export const offlineFiles = (manifest: Manifest) =>
  filesOf(manifest, [...Object.keys(manifest).filter(part => manifest[part]!.isEntry), ...offlineRooms])
