import { withLoad } from '../../core/forecast/load'
import { reckon } from '../../core/reckon/reckon'
import { readOneSession } from '../input'
import { standpointIn, withSchool } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, positionals, write } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const watch = values.watch === undefined ? undefined : (await import('../documents')).readWatch(values.watch)
  const standpoint = withSchool(await standpointIn(values), values.school)
  const session = await readOneSession(positionals(files, 1)[0]!, standpoint, hintsIn(values))
  write(withLoad(session, reckon(session, standpoint, watch), standpoint))
  return 0
}
