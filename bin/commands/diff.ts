import { nobody } from '../../core/athlete/standpoint'
import type { DiffRow, RowChange } from '../../core/edit/diff'
import { diffSessions } from '../../core/edit/diff'
import { readOneSession } from '../input'
import { positionals, write } from '../usage'

export async function run(files: string[]): Promise<number> {
  const [before, after] = await Promise.all(positionals(files, 2).map(file => readOneSession(file, nobody)))
  const { headers, rows } = diffSessions(before!, after!)
  const of = (change: RowChange['change']) => rows.filter(row => row.change === change)
  write({
    added: of('added').map(row => (row as { after: DiffRow }).after),
    removed: of('removed').map(row => (row as { before: DiffRow }).before),
    changed: of('changed').map(({ change: _, ...row }) => row),
    headers,
  })
  return 0
}
