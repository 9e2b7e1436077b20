import { readScript } from '../../core/script/reader/read-script'
import { BadInput, readText } from '../files'
import { standpointIn } from '../standpoint'
import type { Values } from '../usage'
import { hintsIn, WrongUse, write } from '../usage'

/** One file gives its own lines; of several each remark says in which it stands. */
export async function run(files: string[], values: Values): Promise<number> {
  if (files.length === 0) throw new WrongUse('a file is needed')
  const [standpoint, hints] = [await standpointIn(values), hintsIn(values)]
  const results = files.map(file => {
    const result = readScript(readText(file), standpoint, hints)
    if (result.remarks.some(remark => remark.code === 'too-long'))
      throw new BadInput([{ problem: `${files.length > 1 ? `${file}: ` : ''}the text is over 1 MB, the limit` }])
    return { ...result, remarks: files.length > 1 ? result.remarks.map(remark => ({ file, ...remark })) : result.remarks }
  })
  const remarks = results.flatMap(result => result.remarks)
  const asRun = results.flatMap(result => result.results.map(found => Object.fromEntries(found)))
  write({
    sessions: results.flatMap(result => result.sessions),
    remarks,
    ...(asRun.some(found => Object.keys(found).length > 0) ? { results: asRun } : {}),
  })
  return values.strict && remarks.some(remark => remark.level !== 'note') ? 1 : 0
}
