import { nobody } from '../../core/athlete/standpoint'
import { printSessions } from '../../core/script/print'
import { readOneSession, readSessions } from '../input'
import type { Values } from '../usage'
import { positionals } from '../usage'

export async function run(files: string[], values: Values): Promise<number> {
  const [file] = positionals(files, 1)
  if (values.score === undefined) {
    process.stdout.write(printSessions(await readSessions(file!, nobody, {}, true)))
    return 0
  }
  const [{ readScore }, { printAsRun }, { resultsOf }] = await Promise.all([
    import('../documents'),
    import('../../core/script/as-run'),
    import('../../core/record/results'),
  ])
  const session = await readOneSession(file!, nobody)
  process.stdout.write(printAsRun(session, resultsOf(session, readScore(values.score).steps)))
  return 0
}
