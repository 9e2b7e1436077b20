import { fit } from '../../core/wrist/fit/fit'
import { readWatch } from '../documents'
import { readOneSession } from '../input'
import { choicesOf } from '../rehearsal'
import { standpointIn } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, needed, positionals, write } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const standpoint = await standpointIn(values)
  const session = await readOneSession(positionals(files, 1)[0]!, standpoint, hintsIn(values))
  write(fit(session, readWatch(needed(values.watch, 'watch')), standpoint, { choices: choicesOf(values.choices) }))
  return 0
}
