import { score } from '../../core/record/score'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { readRecording, readWatch } from '../documents'
import { readOneSession } from '../input'
import { standpointIn } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, positionals, write } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const [file, recording] = positionals(files, 2)
  const profile = values.watch === undefined ? profileNamed('all-sport')! : readWatch(values.watch)
  const standpoint = await standpointIn(values)
  const { program } = fit(await readOneSession(file!, standpoint, hintsIn(values)), profile, standpoint)
  write(score(program, readRecording(recording!), standpoint.athlete))
  return 0
}
