import { forecastFor } from '../numbers'
import { readOneSession } from '../input'
import { standpointIn } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, needed, positionals, write } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const [file] = positionals(files, 1)
  needed(values.athlete, 'athlete')
  const standpoint = await standpointIn(values)
  write(forecastFor(await readOneSession(file!, standpoint, hintsIn(values)), standpoint))
  return 0
}
