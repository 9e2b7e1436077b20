import { readWatch } from '../documents'
import { readOneSession } from '../input'
import { rehearsalOf } from '../rehearsal'
import { standpointIn } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, needed, positionals, seedOf, write } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const [file] = positionals(files, 1)
  const seed = seedOf(values)
  needed(values.athlete, 'athlete')
  const standpoint = await standpointIn(values)
  const profile = readWatch(needed(values.watch, 'watch'))
  const session = await readOneSession(file!, standpoint, hintsIn(values))
  const { presses, faults, from, choices } = values
  write(rehearsalOf(session, profile, standpoint, { seed, presses, faults, from, choices }))
  return 0
}
