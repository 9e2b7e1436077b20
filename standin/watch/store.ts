import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** The watch's own storage: one file a thing, replaced whole, so that a power cut leaves the old or the new. */
export interface Store {
  read: <T>(name: string) => T | null
  write: (name: string, value: unknown) => void
}

export function openStore(folder: string): Store {
  mkdirSync(folder, { recursive: true })
  return {
    read<T>(name: string) {
      try {
        return JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8')) as T
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === 'ENOENT' || error instanceof SyntaxError) return null
        throw error
      }
    },
    write(name, value) {
      const file = join(folder, `${name}.json`)
      writeFileSync(`${file}.new`, JSON.stringify(value))
      renameSync(`${file}.new`, file)
    },
  }
}
