import { readWatch } from '../documents'
import { readOneSession } from '../input'
import { nudgesOf } from '../numbers'
import { standpointIn } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, needed, positionals, runsOf, seedOf, write } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const [file] = positionals(files, 1)
  const [seed, runs] = [seedOf(values), runsOf(values)]
  needed(values.athlete, 'athlete')
  const standpoint = await standpointIn(values)
  const session = await readOneSession(file!, standpoint, hintsIn(values))
  write(nudgesOf(session, standpoint, readWatch(needed(values.watch, 'watch')), seed, runs))
  return 0
}
