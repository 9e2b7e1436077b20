import { nextOf } from '../../core/plan/next'
import { score } from '../../core/record/score'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { readRecording } from '../documents'
import { readOneSession } from '../input'
import { standpointIn } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, needed, positionals, write } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const [file, given] = positionals(files, 2)
  needed(values.athlete, 'athlete')
  const standpoint = await standpointIn(values)
  const session = await readOneSession(file!, standpoint, hintsIn(values))
  const recording = readRecording(given!)
  const { program } = fit(session, profileNamed('all-sport')!, standpoint)
  const proposals = nextOf(session, recording, score(program, recording, standpoint.athlete), standpoint)
  write(proposals.map(({ kind, session: next, because, cautions }) => ({ kind, session: next, because, cautions })))
  return 0
}
